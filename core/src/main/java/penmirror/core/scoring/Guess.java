package penmirror.core.scoring;

import java.util.List;
import java.util.Optional;
import penmirror.core.figure.Canon;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.style.Rule;

/**
 * A proportion judged by eye before its reading is shown.
 *
 * @param said in the measure's unit, as is what it was read as
 */
public record Guess(Measure measure, double said, double is) {

  /** On the scale of a measure that no rule tells how exact to be on: a tenth of its value. */
  private static final double ROUGHLY = 0.1;

  /**
   * What can be judged by eye.
   *
   * @param least and most: the ends between which it is judged, in the measure's unit
   */
  public record Asked(Measure measure, Shape shape, double least, double most) {
    /** As a realistic adult has it: where one begins. */
    public double usual() {
      return measure.valueOf(Canon.realistic()).orElse((least + most) / 2);
    }
  }

  /** How it is drawn while it is judged. */
  public enum Shape {
    /** A line across a head, from the crown (0) to the chin (1). */
    HEIGHT,
    /** One eye across a face. */
    WIDTH,
    /** An opening, by its height over its width. */
    OPENING,
    /** A figure of so many heads. */
    HEADS,
    /** Legs as a share of a figure. */
    LEGS
  }

  /** Every one that can be asked after, the face first. */
  public static List<Asked> all() {
    return List.of(
        new Asked(FaceMeasures.EYE_LINE, Shape.HEIGHT, 0.2, 0.95),
        new Asked(FaceMeasures.MOUTH_LINE, Shape.HEIGHT, 0.2, 0.98),
        new Asked(FaceMeasures.NOSE_BASE_HEIGHT, Shape.HEIGHT, 0.2, 0.98),
        new Asked(FaceMeasures.EYE_WIDTH, Shape.WIDTH, 0.05, 0.5),
        new Asked(FaceMeasures.EYE_ASPECT, Shape.OPENING, 0.05, 2),
        new Asked(StatureConvention.STRAIGHT_FROM_CROWN.measure(), Shape.HEADS, 1.5, 10),
        new Asked(ProportionMeasures.LEGS, Shape.LEGS, 0.15, 0.75));
  }

  public static Optional<Asked> asked(String measureKey) {
    return all().stream().filter(of -> of.measure().key().equals(measureKey)).findFirst();
  }

  /** In the measure's unit, above 0 for too much. */
  public double off() {
    return said - is;
  }

  /**
   * How far off it is in tolerances, signed, above 0 for too much.
   *
   * @param rule of the measure; without one a tenth of the value counts as one tolerance
   */
  public double z(Optional<Rule> rule) {
    if (rule.isPresent()) {
      return rule.get().apart(said) - rule.get().apart(is);
    }
    return off() / (ROUGHLY * Math.abs(is));
  }
}
