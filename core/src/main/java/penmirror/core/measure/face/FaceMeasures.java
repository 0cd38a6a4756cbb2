package penmirror.core.measure.face;

import static penmirror.core.figure.Landmark.CHEEK_L;
import static penmirror.core.figure.Landmark.CHEEK_R;
import static penmirror.core.figure.Landmark.CHIN;
import static penmirror.core.figure.Landmark.CROWN;
import static penmirror.core.figure.Landmark.EYE_L_INNER;
import static penmirror.core.figure.Landmark.EYE_L_OUTER;
import static penmirror.core.figure.Landmark.EYE_R_INNER;
import static penmirror.core.figure.Landmark.EYE_R_OUTER;
import static penmirror.core.figure.Landmark.MOUTH_L;
import static penmirror.core.figure.Landmark.MOUTH_R;
import static penmirror.core.figure.Landmark.NOSE_BASE;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Measure.Comparison;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/**
 * Where the features sit, in the head's frame: heights are counted down from the crown, in heads.
 * Crown 0, chin 1, larger is lower. Floors and spreads are estimates from memory; docs/measures.md
 * says so beside each.
 */
public final class FaceMeasures {
  private static final Landmark[] EYES = {EYE_L_OUTER, EYE_L_INNER, EYE_R_INNER, EYE_R_OUTER};

  public static final Measure EYE_LINE =
      face("eye.line", Unit.OF_THE_HEAD)
          .formula("height of the line fitted through the four eye corners", m -> height(m, EYES))
          .needs(CROWN, CHIN, EYE_L_OUTER, EYE_L_INNER, EYE_R_INNER, EYE_R_OUTER)
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
              "inner to outer corner against the perpendicular of the axis, mean of both, outer up"
                  + " positive",
              FaceMeasures::meanTilt)
          .needs(CROWN, CHIN, EYE_L_OUTER, EYE_L_INNER, EYE_R_INNER, EYE_R_OUTER)
          .comparedBy(Scale.LINEAR, Comparison.SAME_VIEW)
          .spreads(1.5, 2.5, 6)
          .source("common practice: outer corner above the inner reads sharp")
          .build();

  public static final Measure NOSE_BASE_HEIGHT =
      face("nose.base", Unit.OF_THE_HEAD)
          .formula("height of the nose base", m -> height(m, NOSE_BASE))
          .needs(CROWN, CHIN, NOSE_BASE)
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(0.010, 0.020, 0.05)
          .source("Vitruvius, De architectura III.1: the face in three equal thirds")
          .build();

  public static final Measure MOUTH_LINE =
      face("mouth.line", Unit.OF_THE_HEAD)
          .formula("mean height of the mouth corners", m -> height(m, MOUTH_L, MOUTH_R))
          .needs(CROWN, CHIN, MOUTH_L, MOUTH_R)
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

  public static final List<Measure> ALL =
      List.of(
          EYE_LINE, EYE_WIDTH, EYE_SPACING, EYE_TILT, NOSE_BASE_HEIGHT, MOUTH_LINE, MOUTH_WIDTH);

  private FaceMeasures() {}

  private static Measure.Builder face(String key, Unit unit) {
    return Measure.of(key, MeasureGroup.FACE, unit)
        .validIn(View.FRONT, View.THREE_QUARTER, View.SIDE);
  }

  private static OptionalDouble height(Marks marks, Landmark... landmarks) {
    return inFrame(
        marks,
        frame ->
            Arrays.stream(landmarks)
                .mapToDouble(landmark -> frame.height(marks.require(landmark)))
                .average()
                .orElseThrow());
  }

  private static OptionalDouble meanTilt(Marks marks) {
    return inFrame(
        marks,
        frame ->
            (tiltDegrees(frame, marks.require(EYE_L_INNER), marks.require(EYE_L_OUTER))
                    + tiltDegrees(frame, marks.require(EYE_R_INNER), marks.require(EYE_R_OUTER)))
                / 2);
  }

  private static double tiltDegrees(HeadFrame frame, Point inner, Point outer) {
    Point eye = outer.minus(inner);
    if (eye.length() == 0) {
      return Double.NaN;
    }
    return Math.toDegrees(Math.atan2(-eye.dot(frame.down()), Math.abs(eye.dot(frame.across()))));
  }

  private static OptionalDouble inFrame(Marks marks, ToDoubleFunction<HeadFrame> value) {
    return marks
        .headFrame()
        .map(frame -> OptionalDouble.of(value.applyAsDouble(frame)))
        .orElse(OptionalDouble.empty());
  }

  private static double meanEyeWidth(Marks marks) {
    return (marks.distance(EYE_L_OUTER, EYE_L_INNER) + marks.distance(EYE_R_INNER, EYE_R_OUTER))
        / 2;
  }

  private static double eyeDistance(Marks marks) {
    Point left = marks.require(EYE_L_OUTER).midpointTo(marks.require(EYE_L_INNER));
    Point right = marks.require(EYE_R_INNER).midpointTo(marks.require(EYE_R_OUTER));
    return left.distanceTo(right);
  }
}
