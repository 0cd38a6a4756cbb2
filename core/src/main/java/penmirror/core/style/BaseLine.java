package penmirror.core.style;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.figure.Canon;
import penmirror.core.measure.Measure;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.statistics.Sample;

/**
 * What is held against a style to see what is its own: the user's own hand, else other styles, else
 * a realistic figure.
 *
 * @param from where the values come from
 * @param values in the unit of each measure; measures it does not know are absent
 */
public record BaseLine(From from, Map<Measure, Double> values) {

  /** Where a base line comes from, best first. */
  public enum From {
    OWN_HAND,
    OTHER_STYLES,
    REALISTIC
  }

  public BaseLine {
    values = Map.copyOf(values);
  }

  /** The middles of one's own drawings. */
  public static BaseLine ownHand(StyleSheet own) {
    Map<Measure, Double> values = new HashMap<>();
    own.rules().forEach(rule -> values.put(rule.measure(), rule.centre()));
    return new BaseLine(From.OWN_HAND, values);
  }

  /** The middle of the middles of other styles, taken in the scale of each measure. */
  public static BaseLine otherStyles(List<StyleSheet> others) {
    Map<Measure, Double> values = new HashMap<>();
    for (Measure measure : MeasureCatalogue.all()) {
      List<Double> centres = new ArrayList<>();
      // What a style leaves free is nobody's way of drawing.
      others.forEach(
          sheet ->
              sheet
                  .rule(measure)
                  .filter(rule -> rule.strength() != Strength.FREE)
                  .ifPresent(rule -> centres.add(rule.centre())));
      if (!centres.isEmpty()) {
        double[] scaled = measure.scale().unwrapped(centres.stream().mapToDouble(c -> c).toArray());
        values.put(
            measure, measure.scale().told(measure.scale().fromScale(Sample.of(scaled).median())));
      }
    }
    return new BaseLine(From.OTHER_STYLES, values);
  }

  /** A grown figure as life has it; it knows marked measures only. */
  public static BaseLine realistic() {
    Map<Measure, Double> values = new HashMap<>();
    for (Measure measure : MeasureCatalogue.all()) {
      measure.valueOf(Canon.realistic()).ifPresent(value -> values.put(measure, value));
    }
    return new BaseLine(From.REALISTIC, values);
  }

  /**
   * How far a rule's middle lies from it, in spreads among styles; signed, above 0 where the style
   * has more of it. Empty where the base line does not know the measure.
   */
  public Optional<Double> distance(Rule rule) {
    return Optional.ofNullable(values.get(rule.measure()))
        .map(
            value ->
                rule.measure().scale().difference(rule.centre(), value)
                    / rule.measure().spreadAmongStyles());
  }
}
