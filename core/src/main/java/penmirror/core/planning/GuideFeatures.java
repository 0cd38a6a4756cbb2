package penmirror.core.planning;

import java.util.Optional;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;

/**
 * What a sheet rules beside the construction lines, in pixels of a canvas; empty where it is not
 * ruled, or where what it is counted in is not.
 *
 * @param lashPixels how high the lash block stands above the opening
 * @param noseLengthPixels from the nose's base up to its top
 * @param hairWidthPixels where the hair is widest
 * @param waistPixels from side to side, as are the hips
 * @param forearmPixels across its middle, as is the calf
 */
public record GuideFeatures(
    Optional<Double> lashPixels,
    Optional<Iris> iris,
    Optional<Brow> brow,
    Optional<Double> noseLengthPixels,
    Optional<Span> ears,
    Optional<Double> hairWidthPixels,
    Optional<Neck> neck,
    Optional<Double> waistPixels,
    Optional<Double> hipsPixels,
    Optional<Double> forearmPixels,
    Optional<Double> calfPixels) {

  /** Shares of the way from the shoulders down to the crotch, of a realistic adult. */
  static final double WAIST_DOWN = down(Landmark.WAIST_L, Landmark.SHOULDER_L, Landmark.CROTCH);

  static final double HIPS_DOWN = down(Landmark.HIP_L, Landmark.SHOULDER_L, Landmark.CROTCH);

  /** Share of the leg, crotch to sole, down to the ankle, of a realistic adult. */
  static final double ANKLE_DOWN = down(Landmark.ANKLE_L, Landmark.CROTCH, Landmark.SOLE);

  /**
   * @param widthPixels from side to side
   * @param heightOverWidth 1 for a round iris
   * @param pupilShare pupil over iris
   */
  public record Iris(double widthPixels, double heightOverWidth, Optional<Double> pupilShare) {}

  /**
   * @param abovePixels from the top of the opening up to the middle between the brow's ends
   * @param lengthPixels the eye's width: how long a brow is, nothing rules
   * @param slopeDegrees inner end low positive
   * @param archShare how far its peak stands above the line between its ends, of its length
   */
  public record Brow(
      double abovePixels, double lengthPixels, double slopeDegrees, double archShare) {}

  /** Heights below the crown, upper and lower. */
  public record Span(double topPixels, double basePixels) {}

  /**
   * @param lengthPixels from the chin to the pit of the neck
   */
  public record Neck(double widthPixels, double lengthPixels) {}

  /**
   * @param faceWidth cheek to cheek, pixels
   * @param shoulders from end to end, pixels
   */
  static GuideFeatures of(
      StyleSheet sheet,
      double head,
      Optional<Double> faceWidth,
      Optional<GuidePlan.Eyes> eyes,
      Optional<Double> shoulders) {
    Optional<Double> opening = eyes.flatMap(GuidePlan.Eyes::heightPixels);
    Optional<Double> waist =
        shoulders.flatMap(
            wide -> centre(sheet, ProportionMeasures.SHOULDERS_TO_WAIST).map(r -> wide / r));
    return new GuideFeatures(
        opening.flatMap(tall -> centre(sheet, FaceMeasures.LASH).map(share -> share * tall)),
        opening.flatMap(tall -> iris(sheet, tall)),
        eyes.filter(e -> e.heightPixels().isPresent()).flatMap(e -> brow(sheet, head, e)),
        centre(sheet, FaceMeasures.NOSE_LENGTH).map(share -> share * head),
        both(
            centre(sheet, FaceMeasures.EAR_TOP),
            centre(sheet, FaceMeasures.EAR_BASE),
            (top, base) -> new Span(top * head, base * head)),
        both(faceWidth, centre(sheet, ProportionMeasures.HAIR_WIDTH), (wide, r) -> wide * r),
        faceWidth.flatMap(
            wide ->
                both(
                    centre(sheet, ProportionMeasures.NECK_WIDTH),
                    centre(sheet, ProportionMeasures.NECK_LENGTH),
                    (w, length) -> new Neck(w * wide, length * head))),
        waist,
        both(waist, centre(sheet, ProportionMeasures.HIPS_TO_WAIST), (wide, r) -> wide * r),
        Limbs.of(sheet).forearmHeads().map(heads -> heads * head),
        Limbs.of(sheet).calfHeads().map(heads -> heads * head));
  }

  private static Optional<Iris> iris(StyleSheet sheet, double opening) {
    return centre(sheet, FaceMeasures.IRIS_SIZE)
        .map(
            share ->
                new Iris(
                    share * opening,
                    centre(sheet, FaceMeasures.IRIS_ASPECT).orElse(1.0),
                    centre(sheet, FaceMeasures.PUPIL)));
  }

  private static Optional<Brow> brow(StyleSheet sheet, double head, GuidePlan.Eyes eyes) {
    return centre(sheet, FaceMeasures.BROW_GAP)
        .map(
            gap ->
                new Brow(
                    gap * head,
                    eyes.widthPixels(),
                    centre(sheet, FaceMeasures.BROW_SLOPE).orElse(0.0),
                    centre(sheet, FaceMeasures.BROW_ARCH).orElse(0.0)));
  }

  private interface Joined<T> {
    T of(double one, double other);
  }

  private static <T> Optional<T> both(
      Optional<Double> one, Optional<Double> other, Joined<T> joined) {
    return one.flatMap(a -> other.map(b -> joined.of(a, b)));
  }

  private static Optional<Double> centre(StyleSheet sheet, Measure measure) {
    return sheet.rule(measure).map(Rule::centre);
  }

  private static double down(Landmark at, Landmark from, Landmark to) {
    Marks adult = Canon.realistic();
    double top = adult.require(from).y();
    return (adult.require(at).y() - top) / (adult.require(to).y() - top);
  }
}
