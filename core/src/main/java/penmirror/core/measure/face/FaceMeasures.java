package penmirror.core.measure.face;

import static penmirror.core.figure.Landmark.BROW_L_INNER;
import static penmirror.core.figure.Landmark.BROW_L_OUTER;
import static penmirror.core.figure.Landmark.BROW_L_PEAK;
import static penmirror.core.figure.Landmark.CHEEK_L;
import static penmirror.core.figure.Landmark.CHEEK_R;
import static penmirror.core.figure.Landmark.CHIN;
import static penmirror.core.figure.Landmark.CROWN;
import static penmirror.core.figure.Landmark.EAR_L_BASE;
import static penmirror.core.figure.Landmark.EAR_L_TOP;
import static penmirror.core.figure.Landmark.EYE_L_BOTTOM;
import static penmirror.core.figure.Landmark.EYE_L_INNER;
import static penmirror.core.figure.Landmark.EYE_L_OUTER;
import static penmirror.core.figure.Landmark.EYE_L_TOP;
import static penmirror.core.figure.Landmark.EYE_R_INNER;
import static penmirror.core.figure.Landmark.EYE_R_OUTER;
import static penmirror.core.figure.Landmark.HAIRLINE;
import static penmirror.core.figure.Landmark.IRIS_L_CENTRE;
import static penmirror.core.figure.Landmark.IRIS_L_EDGE;
import static penmirror.core.figure.Landmark.IRIS_L_TOP;
import static penmirror.core.figure.Landmark.JAW_L;
import static penmirror.core.figure.Landmark.LASH_L_TOP;
import static penmirror.core.figure.Landmark.MOUTH_L;
import static penmirror.core.figure.Landmark.MOUTH_R;
import static penmirror.core.figure.Landmark.NOSE_BASE;
import static penmirror.core.figure.Landmark.NOSE_TOP;
import static penmirror.core.figure.Landmark.PUPIL_L;

import java.util.List;
import java.util.OptionalDouble;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Measure.Comparison;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/**
 * Where the features sit, in the head's frame: heights are counted down from the crown, in heads.
 * Crown 0, chin 1, larger is lower. Eyes are measured at the opening, inside the lash. Floors and
 * spreads are estimates from memory; docs/measures.md says so.
 */
public final class FaceMeasures {

  public static final Measure EYE_LINE =
      face("eye.line", Unit.OF_THE_HEAD)
          .formula(
              "height of the line fitted through the eye corners",
              marks -> meanHeight(marks, EYE_L_OUTER, EYE_L_INNER))
          .needs(CROWN, CHIN)
          .needsOfASide(EYE_L_OUTER, EYE_L_INNER)
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(0.008, 0.018, 0.06)
          .source("common practice: half the head's height in a realistic head")
          .build();

  public static final Measure EYE_WIDTH =
      face("eye.width", Unit.CHEEK_WIDTHS)
          .formula(
              "mean eye width / cheek width",
              m -> Measure.ratio(meanEyeWidth(m), m.distance(CHEEK_L, CHEEK_R)))
          .needs(EYE_L_OUTER, EYE_L_INNER, EYE_R_INNER, EYE_R_OUTER, CHEEK_L, CHEEK_R)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.03, 0.08, 0.30)
          .source("common practice: a realistic face is about five eyes wide")
          .build();

  public static final Measure EYE_HEIGHT =
      face("eye.height", Unit.OF_THE_HEAD)
          .formula(
              "opening from top to bottom along the axis, mean of both eyes / crown to chin",
              Measure.meanOfSides(FaceMeasures::eyeHeight, CROWN, CHIN, EYE_L_TOP, EYE_L_BOTTOM))
          .needs(CROWN, CHIN)
          .needsOfASide(EYE_L_TOP, EYE_L_BOTTOM)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.04, 0.12, 0.40)
          .notScored()
          .source("common practice")
          .build();

  public static final Measure EYE_ASPECT =
      face("eye.aspect", Unit.RATIO)
          .formula(
              "height of the opening / its width, mean of both eyes",
              Measure.meanOfSides(
                  (m, side) ->
                      m.distance(side.of(EYE_L_TOP), side.of(EYE_L_BOTTOM)) / eyeWidth(m, side),
                  EYE_L_OUTER,
                  EYE_L_INNER,
                  EYE_L_TOP,
                  EYE_L_BOTTOM))
          .needsOfASide(EYE_L_OUTER, EYE_L_INNER, EYE_L_TOP, EYE_L_BOTTOM)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.05, 0.14, 0.40)
          .source("common practice")
          .build();

  public static final Measure EYE_SPACING =
      face("eye.spacing", Unit.EYE_WIDTHS)
          .formula(
              "inner corner to inner corner / mean eye width",
              m -> Measure.ratio(m.distance(EYE_L_INNER, EYE_R_INNER), meanEyeWidth(m)))
          .needs(EYE_L_OUTER, EYE_L_INNER, EYE_R_INNER, EYE_R_OUTER)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.03, 0.08, 0.25)
          .source("common practice: one eye's width between the eyes")
          .build();

  public static final Measure EYE_TILT =
      face("eye.tilt", Unit.DEGREES)
          .formula(
              "inner to outer corner against the perpendicular of the axis, mean of both, outer up positive",
              Measure.meanOfSides(
                  (m, side) -> riseDegrees(m, side.of(EYE_L_INNER), side.of(EYE_L_OUTER)),
                  CROWN,
                  CHIN,
                  EYE_L_INNER,
                  EYE_L_OUTER))
          .needs(CROWN, CHIN)
          .needsOfASide(EYE_L_OUTER, EYE_L_INNER)
          .comparedBy(Scale.LINEAR, Comparison.SAME_VIEW)
          .spreads(1.5, 2.5, 6)
          .source("common practice: outer corner above the inner reads sharp")
          .build();

  public static final Measure EYE_DROP =
      face("eye.drop", Unit.RATIO)
          .formula(
              "height of the opening / eye top to nose base, along the axis",
              Measure.meanOfSides(
                  (m, side) ->
                      eyeHeight(m, side) / (height(m, NOSE_BASE) - height(m, side.of(EYE_L_TOP))),
                  CROWN,
                  CHIN,
                  NOSE_BASE,
                  EYE_L_TOP,
                  EYE_L_BOTTOM))
          .needs(CROWN, CHIN, NOSE_BASE)
          .needsOfASide(EYE_L_TOP, EYE_L_BOTTOM)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.05, 0.12, 0.35)
          .notScored()
          .source("common practice: how far down the face the eyes reach")
          .build();

  public static final Measure EYE_PEAK =
      face("eye.peak", Unit.OF_THE_WIDTH)
          .formula(
              "where the top of the opening lies from the inner (0) to the outer corner (1), mean of both",
              Measure.meanOfSides(
                  (m, side) -> along(m, side, EYE_L_TOP), EYE_L_OUTER, EYE_L_INNER, EYE_L_TOP))
          .needsOfASide(EYE_L_OUTER, EYE_L_INNER, EYE_L_TOP)
          .comparedBy(Scale.LINEAR, Comparison.SAME_VIEW)
          .spreads(0.04, 0.09, 0.15)
          .source("common practice")
          .build();

  public static final Measure EYE_DIP =
      face("eye.dip", Unit.OF_THE_WIDTH)
          .formula(
              "where the bottom of the opening lies from the inner (0) to the outer corner (1), mean of both",
              Measure.meanOfSides(
                  (m, side) -> along(m, side, EYE_L_BOTTOM),
                  EYE_L_OUTER,
                  EYE_L_INNER,
                  EYE_L_BOTTOM))
          .needsOfASide(EYE_L_OUTER, EYE_L_INNER, EYE_L_BOTTOM)
          .comparedBy(Scale.LINEAR, Comparison.SAME_VIEW)
          .spreads(0.04, 0.09, 0.15)
          .source("common practice")
          .build();

  public static final Measure LASH =
      face("eye.lash", Unit.EYE_HEIGHTS)
          .formula(
              "top of the dark block above the top of the opening / height of the opening, mean of both",
              Measure.meanOfSides(
                  (m, side) ->
                      m.distance(side.of(LASH_L_TOP), side.of(EYE_L_TOP))
                          / m.distance(side.of(EYE_L_TOP), side.of(EYE_L_BOTTOM)),
                  LASH_L_TOP,
                  EYE_L_TOP,
                  EYE_L_BOTTOM))
          .needsOfASide(LASH_L_TOP, EYE_L_TOP, EYE_L_BOTTOM)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.10, 0.25, 0.60)
          .source("common practice: eyes look large by their lashes, not by the opening")
          .build();

  public static final Measure IRIS_SIZE =
      face("iris.eye", Unit.EYE_HEIGHTS)
          .formula(
              "iris diameter / height of the opening, mean of both",
              Measure.meanOfSides(
                  (m, side) ->
                      2
                          * irisRadius(m, side)
                          / m.distance(side.of(EYE_L_TOP), side.of(EYE_L_BOTTOM)),
                  IRIS_L_CENTRE,
                  IRIS_L_EDGE,
                  EYE_L_TOP,
                  EYE_L_BOTTOM))
          .needsOfASide(IRIS_L_CENTRE, IRIS_L_EDGE, EYE_L_TOP, EYE_L_BOTTOM)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.05, 0.12, 0.30)
          .source("common practice: the iris fills most of the opening")
          .build();

  public static final Measure IRIS_ASPECT =
      face("iris.aspect", Unit.RATIO)
          .formula(
              "iris centre to its top / centre to its side, mean of both",
              Measure.meanOfSides(
                  (m, side) ->
                      m.distance(side.of(IRIS_L_CENTRE), side.of(IRIS_L_TOP)) / irisRadius(m, side),
                  IRIS_L_CENTRE,
                  IRIS_L_EDGE,
                  IRIS_L_TOP))
          .needsOfASide(IRIS_L_CENTRE, IRIS_L_EDGE, IRIS_L_TOP)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.04, 0.10, 0.25)
          .source("common practice: mostly a true circle")
          .build();

  public static final Measure PUPIL =
      face("pupil.iris", Unit.RATIO)
          .formula(
              "pupil radius / iris radius, mean of both",
              Measure.meanOfSides(
                  (m, side) ->
                      m.distance(side.of(IRIS_L_CENTRE), side.of(PUPIL_L)) / irisRadius(m, side),
                  IRIS_L_CENTRE,
                  IRIS_L_EDGE,
                  PUPIL_L))
          .needsOfASide(IRIS_L_CENTRE, IRIS_L_EDGE, PUPIL_L)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.06, 0.15, 0.35)
          .source("common practice")
          .build();

  public static final Measure BROW_GAP =
      face("brow.gap", Unit.OF_THE_HEAD)
          .formula(
              "height of the eye top less that of the brow, mean of both",
              Measure.meanOfSides(
                  (m, side) -> height(m, side.of(EYE_L_TOP)) - browHeight(m, side),
                  CROWN,
                  CHIN,
                  BROW_L_OUTER,
                  BROW_L_INNER,
                  EYE_L_TOP))
          .needs(CROWN, CHIN)
          .needsOfASide(BROW_L_OUTER, BROW_L_INNER, EYE_L_TOP)
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(0.008, 0.02, 0.05)
          .source("common practice: low brows look stern")
          .build();

  public static final Measure BROW_SLOPE =
      face("brow.slope", Unit.DEGREES)
          .formula(
              "inner to outer end of the brow against the perpendicular of the axis, mean of both, inner low positive",
              Measure.meanOfSides(
                  (m, side) -> riseDegrees(m, side.of(BROW_L_INNER), side.of(BROW_L_OUTER)),
                  CROWN,
                  CHIN,
                  BROW_L_INNER,
                  BROW_L_OUTER))
          .needs(CROWN, CHIN)
          .needsOfASide(BROW_L_INNER, BROW_L_OUTER)
          .comparedBy(Scale.LINEAR, Comparison.SAME_VIEW)
          .spreads(2, 5, 9)
          .source("common practice: inner ends low look stern")
          .build();

  public static final Measure BROW_ARCH =
      face("brow.arch", Unit.OF_THE_WIDTH)
          .formula(
              "peak above the line between the ends / length of the brow, mean of both",
              Measure.meanOfSides(FaceMeasures::browArch, BROW_L_OUTER, BROW_L_INNER, BROW_L_PEAK))
          .needsOfASide(BROW_L_OUTER, BROW_L_PEAK, BROW_L_INNER)
          .comparedBy(Scale.LINEAR, Comparison.SAME_VIEW)
          .spreads(0.02, 0.05, 0.10)
          .source("common practice")
          .build();

  public static final Measure NOSE_BASE_HEIGHT =
      face("nose.base", Unit.OF_THE_HEAD)
          .formula("height of the nose base", m -> heightOf(m, NOSE_BASE))
          .needs(CROWN, CHIN, NOSE_BASE)
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(0.010, 0.020, 0.05)
          .source("Vitruvius, De architectura III.1: the face in three equal thirds")
          .build();

  public static final Measure NOSE_LENGTH =
      face("nose.length", Unit.OF_THE_HEAD)
          .formula(
              "height of the nose base less that of the nose top",
              m -> difference(m, NOSE_BASE, NOSE_TOP))
          .needs(CROWN, CHIN, NOSE_TOP, NOSE_BASE)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.06, 0.14, 0.35)
          .source("common practice")
          .build();

  public static final Measure MOUTH_LINE =
      face("mouth.line", Unit.OF_THE_HEAD)
          .formula("mean height of the mouth corners", marks -> meanHeight(marks, MOUTH_L))
          .needs(CROWN, CHIN)
          .needsOfASide(MOUTH_L)
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(0.010, 0.020, 0.05)
          .source("common practice")
          .build();

  public static final Measure MOUTH_WIDTH =
      face("mouth.width", Unit.EYE_DISTANCES)
          .formula(
              "mouth corner to corner / distance between the eye centres",
              m -> Measure.ratio(m.distance(MOUTH_L, MOUTH_R), eyeDistance(m)))
          .needs(EYE_L_OUTER, EYE_L_INNER, EYE_R_INNER, EYE_R_OUTER, MOUTH_L, MOUTH_R)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.04, 0.15, 0.30)
          .source("common practice")
          .build();

  public static final Measure MOUTH_TO_CHIN =
      face("mouth.chin", Unit.OF_THE_HEAD)
          .formula(
              "mean height of the mouth corners up from the chin",
              m -> oneLess(meanHeight(m, MOUTH_L)))
          .needs(CROWN, CHIN)
          .needsOfASide(MOUTH_L)
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(0.010, 0.020, 0.05)
          .notScored()
          .source("common practice")
          .build();

  public static final Measure UPPER_THIRD =
      face("face.upper", Unit.RATIO)
          .formula(
              "hairline to brow / brow to nose base, along the axis",
              m -> thirds(m, browLine(m) - height(m, HAIRLINE)))
          .needs(CROWN, CHIN, HAIRLINE, NOSE_BASE)
          .needsOfASide(BROW_L_OUTER, BROW_L_INNER)
          .needsSeen(HAIRLINE)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.2, 0.2, 0.30)
          .source("Vitruvius, De architectura III.1: the face in three equal thirds")
          .build();

  public static final Measure LOWER_THIRD =
      face("face.lower", Unit.RATIO)
          .formula(
              "nose base to chin / brow to nose base, along the axis",
              m -> thirds(m, 1 - height(m, NOSE_BASE)))
          .needs(CROWN, CHIN, NOSE_BASE)
          .needsOfASide(BROW_L_OUTER, BROW_L_INNER)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.06, 0.12, 0.30)
          .notScored()
          .source("Vitruvius, De architectura III.1: the face in three equal thirds")
          .build();

  public static final Measure FEATURES_LOW =
      face("face.low", Unit.OF_THE_HEAD)
          .formula(
              "mean height of the eye line, the nose base and the mouth",
              FaceMeasures::featuresHeight)
          .needs(CROWN, CHIN, NOSE_BASE)
          .needsOfASide(EYE_L_OUTER, EYE_L_INNER, MOUTH_L)
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(0.008, 0.018, 0.05)
          .notScored()
          .source("common practice: features far down look young")
          .build();

  public static final Measure EAR_TOP =
      face("ear.top", Unit.OF_THE_HEAD)
          .formula(
              "height of the top of the ear, mean of both", marks -> meanHeight(marks, EAR_L_TOP))
          .needs(CROWN, CHIN)
          .needsOfASide(EAR_L_TOP)
          .needsSeen(EAR_L_TOP, EAR_L_BASE)
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(0.012, 0.03, 0.06)
          .source("common practice: level with the brows")
          .build();

  public static final Measure EAR_BASE =
      face("ear.base", Unit.OF_THE_HEAD)
          .formula(
              "height of the base of the ear, mean of both", marks -> meanHeight(marks, EAR_L_BASE))
          .needs(CROWN, CHIN)
          .needsOfASide(EAR_L_BASE)
          .needsSeen(EAR_L_TOP, EAR_L_BASE)
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(0.012, 0.03, 0.06)
          .notScored()
          .source("common practice: level with the nose base")
          .build();

  public static final Measure EAR_SIZE =
      face("ear.size", Unit.OF_THE_HEAD)
          .formula(
              "top to base of the ear, mean of both / crown to chin",
              Measure.meanOfSidesInHeads(
                  (marks, side) -> marks.distance(side.of(EAR_L_TOP), side.of(EAR_L_BASE)),
                  EAR_L_TOP,
                  EAR_L_BASE))
          .needs(CROWN, CHIN)
          .needsOfASide(EAR_L_TOP, EAR_L_BASE)
          .needsSeen(EAR_L_TOP, EAR_L_BASE)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.05, 0.14, 0.30)
          .source("common practice")
          .build();

  public static final Measure JAW_TURN =
      face("jaw.turn", Unit.CHEEK_WIDTHS)
          .formula(
              "outer eye corner to jaw corner, sideways and outward, mean of both / cheek width",
              FaceMeasures::jawTurn)
          .needs(CROWN, CHIN, CHEEK_L, CHEEK_R)
          .needsOfASide(EYE_L_OUTER, JAW_L)
          .validIn(View.FRONT, View.THREE_QUARTER)
          .comparedBy(Scale.LINEAR, Comparison.SAME_VIEW)
          .spreads(0.02, 0.04, 0.08)
          .notScored()
          .source(
              "common practice: from the front the outline turns right under the outer eye corner")
          .build();

  public static final List<Measure> ALL =
      List.of(
          EYE_LINE,
          EYE_WIDTH,
          EYE_HEIGHT,
          EYE_ASPECT,
          EYE_SPACING,
          EYE_TILT,
          EYE_DROP,
          EYE_PEAK,
          EYE_DIP,
          LASH,
          IRIS_SIZE,
          IRIS_ASPECT,
          PUPIL,
          BROW_GAP,
          BROW_SLOPE,
          BROW_ARCH,
          NOSE_BASE_HEIGHT,
          NOSE_LENGTH,
          MOUTH_LINE,
          MOUTH_WIDTH,
          MOUTH_TO_CHIN,
          UPPER_THIRD,
          LOWER_THIRD,
          FEATURES_LOW,
          EAR_TOP,
          EAR_BASE,
          EAR_SIZE,
          JAW_TURN);

  private FaceMeasures() {}

  private static Measure.Builder face(String key, Unit unit) {
    return Measure.of(key, MeasureGroup.FACE, unit)
        .validIn(View.FRONT, View.THREE_QUARTER, View.SIDE);
  }

  /** Height of a point in the head's frame; NaN without a head. */
  private static double height(Marks marks, Landmark landmark) {
    return marks.headFrame().map(frame -> frame.height(marks.require(landmark))).orElse(Double.NaN);
  }

  private static OptionalDouble finite(double value) {
    return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
  }

  private static OptionalDouble heightOf(Marks marks, Landmark landmark) {
    return finite(height(marks, landmark));
  }

  private static OptionalDouble difference(Marks marks, Landmark lower, Landmark upper) {
    return finite(height(marks, lower) - height(marks, upper));
  }

  /** Mean over the sides, given by the names on the left. */
  private static OptionalDouble meanHeight(Marks marks, Landmark... left) {
    return Measure.meanOfSides(
            (m, side) -> {
              double sum = 0;
              for (Landmark landmark : left) {
                sum += height(m, side.of(landmark));
              }
              return sum / left.length;
            },
            left)
        .value(marks);
  }

  private static OptionalDouble oneLess(OptionalDouble height) {
    return height.isPresent() ? OptionalDouble.of(1 - height.getAsDouble()) : height;
  }

  private static double eyeHeight(Marks marks, Side side) {
    return height(marks, side.of(EYE_L_BOTTOM)) - height(marks, side.of(EYE_L_TOP));
  }

  private static double eyeWidth(Marks marks, Side side) {
    return marks.distance(side.of(EYE_L_OUTER), side.of(EYE_L_INNER));
  }

  private static double irisRadius(Marks marks, Side side) {
    return marks.distance(side.of(IRIS_L_CENTRE), side.of(IRIS_L_EDGE));
  }

  private static double browHeight(Marks marks, Side side) {
    return (height(marks, side.of(BROW_L_OUTER)) + height(marks, side.of(BROW_L_INNER))) / 2;
  }

  private static double browLine(Marks marks) {
    return Measure.meanOfSides(FaceMeasures::browHeight, BROW_L_OUTER, BROW_L_INNER)
        .value(marks)
        .orElse(Double.NaN);
  }

  /** A length against the middle third, from the brows to the nose base. */
  private static OptionalDouble thirds(Marks marks, double length) {
    return finite(length / (height(marks, NOSE_BASE) - browLine(marks)));
  }

  private static OptionalDouble featuresHeight(Marks marks) {
    double eyes = meanHeight(marks, EYE_L_OUTER, EYE_L_INNER).orElse(Double.NaN);
    double mouth = meanHeight(marks, MOUTH_L).orElse(Double.NaN);
    return finite((eyes + height(marks, NOSE_BASE) + mouth) / 3);
  }

  private static OptionalDouble jawTurn(Marks marks) {
    OptionalDouble heads =
        Measure.meanOfSides(
                (m, side) ->
                    m.headFrame()
                        .map(
                            frame ->
                                side.outward()
                                    * (frame.sideways(m.require(side.of(JAW_L)))
                                        - frame.sideways(m.require(side.of(EYE_L_OUTER)))))
                        .orElse(Double.NaN),
                EYE_L_OUTER,
                JAW_L)
            .value(marks);
    double head = marks.headFrame().map(HeadFrame::headPixels).orElse(Double.NaN);
    return finite(heads.orElse(Double.NaN) * head / marks.distance(CHEEK_L, CHEEK_R));
  }

  /** How far the line from one point to the other rises in the head's frame. */
  private static double riseDegrees(Marks marks, Landmark from, Landmark to) {
    Point step = marks.require(to).minus(marks.require(from));
    if (step.length() == 0) {
      return Double.NaN;
    }
    return marks
        .headFrame()
        .map(
            frame ->
                Math.toDegrees(
                    Math.atan2(-step.dot(frame.down()), Math.abs(step.dot(frame.across())))))
        .orElse(Double.NaN);
  }

  /** Share of the way from the inner to the outer corner. */
  private static double along(Marks marks, Side side, Landmark left) {
    Point inner = marks.require(side.of(EYE_L_INNER));
    Point eye = marks.require(side.of(EYE_L_OUTER)).minus(inner);
    return marks.require(side.of(left)).minus(inner).dot(eye) / eye.dot(eye);
  }

  /** Positive where the peak lies above the line between the ends. */
  private static double browArch(Marks marks, Side side) {
    Point inner = marks.require(side.of(BROW_L_INNER));
    Point brow = marks.require(side.of(BROW_L_OUTER)).minus(inner);
    Point peak = marks.require(side.of(BROW_L_PEAK)).minus(inner);
    double cross = brow.x() * peak.y() - brow.y() * peak.x();
    return -side.outward() * cross / brow.dot(brow);
  }

  private static double meanEyeWidth(Marks marks) {
    return (eyeWidth(marks, Side.LEFT) + eyeWidth(marks, Side.RIGHT)) / 2;
  }

  private static double eyeDistance(Marks marks) {
    Point left = marks.require(EYE_L_OUTER).midpointTo(marks.require(EYE_L_INNER));
    Point right = marks.require(EYE_R_INNER).midpointTo(marks.require(EYE_R_OUTER));
    return left.distanceTo(right);
  }
}
