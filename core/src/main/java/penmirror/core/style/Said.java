package penmirror.core.style;

import java.util.List;
import java.util.Optional;
import penmirror.core.measure.Measure;

/**
 * What the user says over one rule; it stands above what the works say.
 *
 * @param band where the rule is to lie; empty where the works decide
 * @param leftOut ids of works that take no part in this rule
 */
public record Said(Measure measure, Optional<Band> band, List<String> leftOut) {
  public Said {
    leftOut = List.copyOf(leftOut);
  }

  /**
   * Both ends in the measure's unit. On a scale that runs in a circle it runs upward from {@code
   * low}, which may be the larger number. An end that cannot be is refused, and so are two that are
   * one.
   */
  public record Band(Measure measure, double low, double high) {
    public Band {
      if (!measure.scale().admits(low) || !measure.scale().admits(high)) {
        throw new IllegalArgumentException(
            low + " to " + high + " is outside what " + measure.key() + " can be.");
      }
      if (!(measure.scale().difference(high, low) > 0)) {
        throw new IllegalArgumentException(
            "A band has a lower and an upper end, got " + low + " to " + high + ".");
      }
    }

    /** The band of a rule as it stands, to be kept whatever works come. */
    public static Band of(Rule rule) {
      return opened(rule, 1);
    }

    /**
     * The band of a rule, opened or closed about its middle.
     *
     * @param factor on its width, above 0
     */
    public static Band opened(Rule rule, double factor) {
      Measure measure = rule.measure();
      double middle = measure.scale().toScale(rule.centre());
      double half = rule.tolerance() * factor;
      return new Band(measure, end(measure, middle - half), end(measure, middle + half));
    }

    private static double end(Measure measure, double scaled) {
      return measure.scale().told(measure.scale().fromScale(scaled));
    }

    double tolerance() {
      return measure.scale().difference(high, low) / 2;
    }

    double centre() {
      double middle = measure.scale().toScale(low) + tolerance();
      return measure.scale().told(measure.scale().fromScale(middle));
    }
  }
}
