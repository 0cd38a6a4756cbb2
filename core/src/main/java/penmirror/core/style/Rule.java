package penmirror.core.style;

import java.util.List;
import penmirror.core.measure.Measure;
import penmirror.core.statistics.Sample;

/**
 * What the works say about one measure.
 *
 * @param centre median of the works, in the measure's unit
 * @param spread robust spread of the works, in the measure's scale
 * @param tolerance half the band, in the measure's scale, (0, ∞)
 * @param readingCount works that have a reading, 1 or more
 * @param weight in the score, 0 or more; 0 is shown and not scored
 */
public record Rule(
    Measure measure,
    double centre,
    double spread,
    double tolerance,
    int readingCount,
    Strength strength,
    double weight) {

  /** A rule that fewer than this share of the works have is not scored. */
  public static final double LEAST_SHARE = 0.5;

  /** Below this many works the spread is half the range, and the page says so. */
  public static final int FEW_WORKS = 4;

  /** How much the shipped spread counts against the works' own, in works. */
  private static final double PRIOR_WORKS = 4;

  /**
   * A rule over works that all have the measure, before weights are shared out within groups. Its
   * middle heeds how much each work counts; its spread does not.
   *
   * @param markingError no rule is tighter than one can mark; 0 where that was not measured
   */
  static Rule over(
      Measure measure, List<MeasuredWork> works, int worksInScope, double markingError) {
    double[] values =
        measure
            .scale()
            .unwrapped(works.stream().mapToDouble(work -> work.values().get(measure)).toArray());
    double[] weights = works.stream().mapToDouble(MeasuredWork::weight).toArray();
    Sample scaled = Sample.of(values);
    double tolerance = Math.max(markingError, tolerance(measure, scaled));
    double share = values.length / (double) worksInScope;
    Strength strength = Strength.of(tolerance, measure.spreadAmongStyles(), share);
    double weight =
        strength == Strength.FREE || !measure.isScored()
            ? 0
            : share * Math.log1p(measure.spreadAmongStyles() / tolerance) / Math.log(2);
    return new Rule(
        measure,
        measure.scale().told(measure.scale().fromScale(Sample.weightedMedian(values, weights))),
        scaled.spread(),
        tolerance,
        values.length,
        strength,
        weight);
  }

  /**
   * The works' own trimmed deviation, mixed with the spread that works of one illustrator usually
   * have; never under the floor.
   */
  private static double tolerance(Measure measure, Sample scaled) {
    double own = scaled.trimmedStandardDeviation();
    double usual = measure.spreadWithinStyle();
    int n = scaled.size();
    double mixed =
        Math.sqrt((PRIOR_WORKS * usual * usual + (n - 1) * own * own) / (PRIOR_WORKS + n - 1));
    return Math.max(measure.floorTolerance(), mixed);
  }

  /** Signed distance from the centre in tolerances. */
  public double z(double value) {
    return measure.scale().difference(value, centre) / tolerance;
  }

  /**
   * Lower end of the band, in the measure's unit; never below what can be. On a scale that runs in
   * a circle it is the end from which the band runs upward, and may be the larger number: 335 to 5.
   */
  public double low() {
    double low = measure.scale().fromScale(measure.scale().toScale(centre) - tolerance);
    return Math.max(measure.unit().least(), measure.scale().told(low));
  }

  /** Upper end of the band, in the measure's unit; never above what can be. */
  public double high() {
    double high = measure.scale().fromScale(measure.scale().toScale(centre) + tolerance);
    return Math.min(measure.unit().most(), measure.scale().told(high));
  }

  public boolean isScored() {
    return weight > 0;
  }

  Rule withWeight(double newWeight) {
    return new Rule(measure, centre, spread, tolerance, readingCount, strength, newWeight);
  }
}
