package penmirror.core.style;

import java.util.Optional;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.measure.Measure;
import penmirror.core.statistics.Sample;

/**
 * What the works say about one measure.
 *
 * @param centre median of the works, in the measure's unit
 * @param spread robust spread of the works, in the measure's scale
 * @param tolerance half the band, in the measure's scale, (0, ∞)
 * @param room how far from the middle several of the works lie
 * @param readingCount works that have a reading, 1 or more
 * @param weight in the score, 0 or more; 0 is shown and not scored
 * @param grounds what it stands on
 */
public record Rule(
    Measure measure,
    double centre,
    double spread,
    double tolerance,
    Room room,
    int readingCount,
    Strength strength,
    double weight,
    Grounds grounds)
    implements StyleRule {

  /** What a rule stands on. */
  public enum Grounds {
    /** Every work that can show it. */
    ALL,
    /** The works that show what was asked for, and no others. */
    SAME,
    /** Too few show what was asked for: every work, and the band is wider. */
    WIDER,
    /** Too few are in the mood that was asked for: every work, brought to it. */
    BROUGHT,
    /** The user's own word. */
    BY_HAND
  }

  /**
   * How far from the middle works lie on either side that are not alone there: what several of them
   * do is no miss, though it lies outside the band.
   *
   * @param below in the measure's scale, 0 or more; 0 where no work but the farthest few lies there
   * @param above the same on the other side
   */
  public record Room(double below, double above) {
    public static final Room NONE = new Room(0, 0);

    /** One in so many may stand alone, and at least one of any number. */
    private static final int ALONE = 8;

    public Room {
      if (!(below >= 0 && above >= 0 && below + above < Double.POSITIVE_INFINITY)) {
        throw new IllegalArgumentException(
            "The room on either side is 0 or more, got " + below + " and " + above + ".");
      }
    }

    private static Room around(double middle, Sample scaled) {
      int alone = Math.max(1, scaled.size() / ALONE);
      if (alone >= scaled.size()) {
        return NONE;
      }
      return new Room(
          Math.max(0, middle - scaled.ascending(alone)),
          Math.max(0, scaled.ascending(scaled.size() - 1 - alone) - middle));
    }
  }

  /**
   * How much a band is opened beyond what the works say.
   *
   * @param markingError no rule is tighter than one can mark, in the measure's scale; 0 where that
   *     was not measured
   * @param factor 1 or more
   * @param added standard deviation that comes in with what was brought to another mood
   */
  record Looseness(double markingError, double factor, double added) {
    static final Looseness NONE = new Looseness(0, 1, 0);
  }

  /** A rule over every work that can show it. */
  public Rule(
      Measure measure,
      double centre,
      double spread,
      double tolerance,
      int readingCount,
      Strength strength,
      double weight) {
    this(
        measure, centre, spread, tolerance, Room.NONE, readingCount, strength, weight, Grounds.ALL);
  }

  /** A rule that fewer than this share of the works have is not scored. */
  public static final double LEAST_SHARE = 0.5;

  /** Below this many works the spread is half the range, and the page says so. */
  public static final int FEW_WORKS = 4;

  /** How much the shipped spread counts against the works' own, in works. */
  private static final double PRIOR_WORKS = 4;

  /**
   * A rule over readings, before weights are shared out within groups. Its middle heeds how much
   * each work counts; its spread does not.
   *
   * @param readings one a work, at least one
   * @param weights how much each work counts
   */
  static Rule over(
      Measure measure,
      double[] readings,
      double[] weights,
      int worksInScope,
      Looseness loose,
      Grounds grounds) {
    double[] values = measure.scale().unwrapped(readings);
    Sample scaled = Sample.of(values);
    double tolerance =
        Math.max(
            loose.markingError(),
            Math.hypot(loose.factor() * tolerance(measure, scaled), loose.added()));
    double share = values.length / (double) worksInScope;
    Strength strength = Strength.of(tolerance, measure.spreadAmongStyles(), share);
    double middle = Sample.weightedMedian(values, weights);
    return new Rule(
        measure,
        measure.scale().told(measure.scale().fromScale(middle)),
        scaled.spread(),
        tolerance,
        Room.around(middle, scaled),
        values.length,
        strength,
        strength == Strength.FREE ? 0 : share * weight(measure, tolerance),
        grounds);
  }

  private static double weight(Measure measure, double tolerance) {
    return measure.isScored()
        ? Math.log1p(measure.spreadAmongStyles() / tolerance) / Math.log(2)
        : 0;
  }

  /**
   * This rule where the user says it lies. However wide, it is one: a hand was told to keep it; and
   * it weighs as much as a rule of that width over all works.
   */
  Rule saidToLie(Said.Band band) {
    Strength asWide = Strength.of(band.tolerance(), measure.spreadAmongStyles(), 1);
    return new Rule(
        measure,
        band.centre(),
        spread,
        band.tolerance(),
        Room.NONE,
        readingCount,
        asWide == Strength.FREE ? Strength.USUALLY : asWide,
        weight(measure, band.tolerance()),
        Grounds.BY_HAND);
  }

  public boolean isSetByHand() {
    return grounds == Grounds.BY_HAND;
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
  public double apart(double value) {
    return measure.scale().difference(value, centre) / tolerance;
  }

  /** Whether a value lies inside the band. */
  public boolean holds(double value) {
    return Math.abs(apart(value)) <= 1;
  }

  /**
   * How far a value misses, signed: within the band its distance from the centre in tolerances, at
   * most 1 as far as several works go, and one more for each tolerance beyond.
   */
  public double z(double value) {
    double apart = apart(value);
    double beyond = Math.abs(apart) - reach(apart < 0) / tolerance;
    return beyond > 0
        ? Math.copySign(1 + beyond, apart)
        : Math.copySign(Math.min(1, Math.abs(apart)), apart);
  }

  /**
   * How far from the centre, on one side, no value is a miss; in the measure's scale, at least the
   * tolerance.
   */
  public double reach(boolean below) {
    return Math.max(tolerance, below ? room.below() : room.above());
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

  @Override
  public Optional<Act> act() {
    return Acts.of(measure);
  }

  Rule withWeight(double newWeight) {
    return new Rule(
        measure, centre, spread, tolerance, room, readingCount, strength, newWeight, grounds);
  }
}
