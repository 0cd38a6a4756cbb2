package penmirror.core.measure.proportion;

import static penmirror.core.figure.Landmark.ANKLE_L;
import static penmirror.core.figure.Landmark.CHEEK_L;
import static penmirror.core.figure.Landmark.CHEEK_R;
import static penmirror.core.figure.Landmark.CHIN;
import static penmirror.core.figure.Landmark.CROTCH;
import static penmirror.core.figure.Landmark.CROWN;
import static penmirror.core.figure.Landmark.ELBOW_L;
import static penmirror.core.figure.Landmark.FINGERTIP_L;
import static penmirror.core.figure.Landmark.HAIR_L;
import static penmirror.core.figure.Landmark.HAIR_R;
import static penmirror.core.figure.Landmark.HAIR_TOP;
import static penmirror.core.figure.Landmark.HEEL_L;
import static penmirror.core.figure.Landmark.HIP_L;
import static penmirror.core.figure.Landmark.HIP_R;
import static penmirror.core.figure.Landmark.JAW_L;
import static penmirror.core.figure.Landmark.JAW_R;
import static penmirror.core.figure.Landmark.KNEE_L;
import static penmirror.core.figure.Landmark.NECK_BASE;
import static penmirror.core.figure.Landmark.NECK_L;
import static penmirror.core.figure.Landmark.NECK_R;
import static penmirror.core.figure.Landmark.SHOULDER_L;
import static penmirror.core.figure.Landmark.SHOULDER_R;
import static penmirror.core.figure.Landmark.SOLE;
import static penmirror.core.figure.Landmark.TOE_L;
import static penmirror.core.figure.Landmark.WAIST_L;
import static penmirror.core.figure.Landmark.WAIST_R;
import static penmirror.core.figure.Landmark.WRIST_L;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
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
 * The whole figure, counted in heads. The head is crown to chin along its own axis. Floors and
 * spreads are estimates from memory; docs/measures.md says so.
 */
public final class ProportionMeasures {
  private static final Landmark[] LEG = {KNEE_L, ANKLE_L};
  private static final Landmark[] ARM = {SHOULDER_L, ELBOW_L, WRIST_L, FINGERTIP_L};

  public static final Measure STATURE =
      proportion("stature.heads", Unit.HEADS)
          .formula(
              "crown to sole, straight down / crown to chin",
              marks -> Measure.inHeads(marks, height(marks, CROWN, SOLE)))
          .needs(CROWN, CHIN, SOLE)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.012, 0.05, 0.30)
          .source("Vitruvius, De architectura III.1: the head is an eighth of the height")
          .build();

  public static final Measure STATURE_WITH_HAIR =
      proportion("stature.hair", Unit.HEADS)
          .formula(
              "hair top to sole, straight down / hair top to chin",
              marks -> Measure.ratio(height(marks, HAIR_TOP, SOLE), marks.distance(HAIR_TOP, CHIN)))
          .needs(HAIR_TOP, CHIN, SOLE)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.012, 0.06, 0.30)
          .source("common practice: counted with the hair where the skull cannot be seen")
          .build();

  public static final Measure STATURE_ALONG_AXIS =
      proportion("stature.axis", Unit.HEADS)
          .formula(
              "crown, chin, neck base, crotch, knee, ankle, sole, one after the other, over the"
                  + " standing leg / crown to chin",
              marks -> Measure.inHeads(marks, alongAxis(marks, CROWN)))
          .needs(CROWN, CHIN, NECK_BASE, CROTCH, SOLE)
          .needsOfASide(LEG)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.02, 0.05, 0.30)
          .source("common practice: a bent figure is counted along its middle")
          .build();

  public static final Measure STATURE_ALONG_AXIS_WITH_HAIR =
      proportion("stature.axis.hair", Unit.HEADS)
          .formula(
              "as stature.axis from the hair top / hair top to chin",
              marks -> Measure.ratio(alongAxis(marks, HAIR_TOP), marks.distance(HAIR_TOP, CHIN)))
          .needs(HAIR_TOP, CHIN, NECK_BASE, CROTCH, SOLE)
          .needsOfASide(LEG)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.02, 0.06, 0.30)
          .source("common practice: a bent figure is counted along its middle")
          .build();

  public static final Measure LEGS =
      proportion("legs.share", Unit.OF_THE_HEIGHT)
          .formula(
              "crotch to sole / crown to sole, both straight down",
              marks -> Measure.ratio(height(marks, CROTCH, SOLE), height(marks, CROWN, SOLE)))
          .needs(CROWN, CROTCH, SOLE)
          .comparedBy(Scale.LOG_RATIO, Comparison.ACROSS_VIEWS)
          .spreads(0.03, 0.06, 0.25)
          .source("common practice: about half in a realistic adult")
          .build();

  public static final Measure TORSO =
      proportion("torso.share", Unit.OF_THE_HEIGHT)
          .formula(
              "chin to crotch / crown to sole, both straight down",
              marks -> Measure.ratio(height(marks, CHIN, CROTCH), height(marks, CROWN, SOLE)))
          .needs(CROWN, CHIN, CROTCH, SOLE)
          .comparedBy(Scale.LOG_RATIO, Comparison.ACROSS_VIEWS)
          .spreads(0.03, 0.06, 0.25)
          .notScored()
          .source("common practice")
          .build();

  public static final Measure SHOULDERS =
      proportion("shoulders.heads", Unit.HEADS)
          .formula(
              "shoulder to shoulder / crown to chin",
              marks -> Measure.inHeads(marks, marks.distance(SHOULDER_L, SHOULDER_R)))
          .needs(CROWN, CHIN, SHOULDER_L, SHOULDER_R)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.02, 0.06, 0.25)
          .source("common practice")
          .build();

  public static final Measure SHOULDER_DROP =
      proportion("shoulders.drop", Unit.HEADS)
          .formula(
              "crown to the middle between the shoulders, straight down / crown to chin",
              marks ->
                  Measure.inHeads(
                      marks,
                      (height(marks, CROWN, SHOULDER_L) + height(marks, CROWN, SHOULDER_R)) / 2))
          .needs(CROWN, CHIN, SHOULDER_L, SHOULDER_R)
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.02, 0.05, 0.12)
          .source("common practice: a third of a head below the chin in a realistic adult")
          .build();

  public static final Measure SHOULDERS_TO_WAIST =
      widths("shoulders.waist", SHOULDER_L, SHOULDER_R, WAIST_L, WAIST_R, "shoulder", "waist")
          .spreads(0.04, 0.10, 0.25)
          .build();

  public static final Measure HIPS_TO_WAIST =
      widths("hips.waist", HIP_L, HIP_R, WAIST_L, WAIST_R, "hip", "waist")
          .spreads(0.04, 0.10, 0.20)
          .build();

  public static final Measure HIPS_TO_SHOULDERS =
      widths("hips.shoulders", HIP_L, HIP_R, SHOULDER_L, SHOULDER_R, "hip", "shoulder")
          .spreads(0.04, 0.10, 0.25)
          .notScored()
          .build();

  public static final Measure NECK_WIDTH =
      proportion("neck.width", Unit.CHEEK_WIDTHS)
          .formula(
              "neck width / cheek width",
              marks ->
                  Measure.ratio(marks.distance(NECK_L, NECK_R), marks.distance(CHEEK_L, CHEEK_R)))
          .needs(NECK_L, NECK_R, CHEEK_L, CHEEK_R)
          .needsSeen(NECK_L)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.04, 0.12, 0.30)
          .source("common practice: half the head's width and more in a grown figure")
          .build();

  public static final Measure NECK_LENGTH =
      proportion("neck.length", Unit.OF_THE_HEAD)
          .formula(
              "chin to neck base / crown to chin",
              marks -> Measure.inHeads(marks, marks.distance(CHIN, NECK_BASE)))
          .needs(CROWN, CHIN, NECK_BASE)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.08, 0.18, 0.40)
          .source("common practice")
          .build();

  public static final Measure ARMS =
      proportion("arm.share", Unit.OF_THE_HEIGHT)
          .formula(
              "shoulder, elbow, wrist, fingertip, one after the other, mean of both arms / crown"
                  + " to sole; no fist",
              Measure.meanOfSides((m, side) -> path(m, side, ARM) / height(m, CROWN, SOLE), ARM))
          .needs(CROWN, SOLE)
          .needsOfASide(ARM)
          .needsSeen(FINGERTIP_L)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.03, 0.08, 0.20)
          .source("common practice: the fingertips reach half way down the thigh")
          .build();

  public static final Measure ARM_HALVES =
      proportion("arm.halves", Unit.RATIO)
          .formula(
              "upper arm / lower arm, mean of both arms",
              Measure.meanOfSides(
                  (m, side) ->
                      distance(m, side, SHOULDER_L, ELBOW_L) / distance(m, side, ELBOW_L, WRIST_L),
                  SHOULDER_L,
                  ELBOW_L,
                  WRIST_L))
          .needsOfASide(SHOULDER_L, ELBOW_L, WRIST_L)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.05, 0.12, 0.25)
          .source("common practice")
          .build();

  public static final Measure HAND =
      proportion("hand.head", Unit.OF_THE_HEAD)
          .formula(
              "wrist to fingertip, mean of both hands, the longer where one is far shorter / crown to"
                  + " chin; no fist",
              Measure.inHeads(
                  Measure.unshortenedOfSides(
                      (m, side) -> distance(m, side, WRIST_L, FINGERTIP_L), WRIST_L, FINGERTIP_L)))
          .needs(CROWN, CHIN)
          .needsOfASide(WRIST_L, FINGERTIP_L)
          .needsSeen(FINGERTIP_L)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.05, 0.14, 0.30)
          .source("common practice: a hand covers the face from chin to hairline")
          .build();

  public static final Measure FOOT =
      proportion("foot.head", Unit.OF_THE_HEAD)
          .formula(
              "heel to toe, mean of both feet / crown to chin",
              Measure.meanOfSidesInHeads(
                  (m, side) -> distance(m, side, HEEL_L, TOE_L), HEEL_L, TOE_L))
          .needs(CROWN, CHIN)
          .needsOfASide(HEEL_L, TOE_L)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.06, 0.16, 0.35)
          .source("Vitruvius, De architectura III.1: the foot is a sixth of the height")
          .build();

  public static final Measure LEG_HALVES =
      proportion("thigh.shin", Unit.RATIO)
          .formula(
              "crotch to knee / knee to ankle, mean of both legs",
              Measure.meanOfSides(
                  (m, side) ->
                      m.distance(CROTCH, side.of(KNEE_L)) / distance(m, side, KNEE_L, ANKLE_L),
                  CROTCH,
                  KNEE_L,
                  ANKLE_L))
          .needs(CROTCH)
          .needsOfASide(LEG)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.05, 0.12, 0.25)
          .source("common practice")
          .build();

  public static final Measure HEAD_ASPECT =
      proportion("head.aspect", Unit.OF_THE_HEAD)
          .formula(
              "cheek width / crown to chin",
              marks -> Measure.inHeads(marks, marks.distance(CHEEK_L, CHEEK_R)))
          .needs(CROWN, CHIN, CHEEK_L, CHEEK_R)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.02, 0.06, 0.15)
          .source("common practice")
          .build();

  public static final Measure JAW =
      proportion("jaw.cheek", Unit.CHEEK_WIDTHS)
          .formula(
              "jaw width / cheek width",
              marks ->
                  Measure.ratio(marks.distance(JAW_L, JAW_R), marks.distance(CHEEK_L, CHEEK_R)))
          .needs(JAW_L, JAW_R, CHEEK_L, CHEEK_R)
          .validIn(View.FRONT, View.THREE_QUARTER)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.03, 0.08, 0.16)
          .source("common practice")
          .build();

  public static final Measure CHIN_ANGLE =
      proportion("chin.angle", Unit.DEGREES)
          .formula(
              "angle at the chin between the two jaw corners",
              marks -> angle(marks.require(JAW_L), marks.require(CHIN), marks.require(JAW_R)))
          .needs(JAW_L, CHIN, JAW_R)
          .validIn(View.FRONT, View.THREE_QUARTER)
          .comparedBy(Scale.LINEAR, Comparison.SAME_VIEW)
          .spreads(3, 6, 12)
          .source("common practice: small is pointed, large is square")
          .build();

  public static final Measure HAIR_LIFT =
      proportion("hair.lift", Unit.OF_THE_HEAD)
          .formula(
              "hair top above the crown, along the head's axis / crown to chin",
              marks ->
                  marks
                      .headFrame()
                      .map(frame -> OptionalDouble.of(-frame.height(marks.require(HAIR_TOP))))
                      .orElse(OptionalDouble.empty()))
          .needs(CROWN, CHIN, HAIR_TOP)
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(0.02, 0.06, 0.12)
          .source("common practice: hair has height of its own above the skull")
          .build();

  public static final Measure HAIR_WIDTH =
      proportion("hair.width", Unit.CHEEK_WIDTHS)
          .formula(
              "widest hair / cheek width",
              marks ->
                  Measure.ratio(marks.distance(HAIR_L, HAIR_R), marks.distance(CHEEK_L, CHEEK_R)))
          .needs(HAIR_L, HAIR_R, CHEEK_L, CHEEK_R)
          .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
          .spreads(0.05, 0.18, 0.30)
          .source("common practice")
          .build();

  public static final List<Measure> ALL =
      List.of(
          STATURE,
          STATURE_WITH_HAIR,
          STATURE_ALONG_AXIS,
          STATURE_ALONG_AXIS_WITH_HAIR,
          LEGS,
          TORSO,
          LEG_HALVES,
          FOOT,
          SHOULDERS,
          SHOULDER_DROP,
          SHOULDERS_TO_WAIST,
          HIPS_TO_WAIST,
          HIPS_TO_SHOULDERS,
          ARMS,
          ARM_HALVES,
          HAND,
          NECK_WIDTH,
          NECK_LENGTH,
          HEAD_ASPECT,
          JAW,
          CHIN_ANGLE,
          HAIR_LIFT,
          HAIR_WIDTH);

  private ProportionMeasures() {}

  private static Measure.Builder proportion(String key, Unit unit) {
    return Measure.of(key, MeasureGroup.PROPORTION, unit);
  }

  private static Measure.Builder widths(
      String key,
      Landmark left,
      Landmark right,
      Landmark otherLeft,
      Landmark otherRight,
      String name,
      String otherName) {
    return proportion(key, Unit.RATIO)
        .formula(
            name + " width / " + otherName + " width",
            marks ->
                Measure.ratio(marks.distance(left, right), marks.distance(otherLeft, otherRight)))
        .needs(left, right, otherLeft, otherRight)
        .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
        .source("common practice");
  }

  private static double height(Marks marks, Landmark top, Landmark bottom) {
    return marks.require(bottom).y() - marks.require(top).y();
  }

  private static double distance(Marks marks, Side side, Landmark one, Landmark other) {
    return marks.distance(side.of(one), side.of(other));
  }

  private static double path(Marks marks, Side side, Landmark... left) {
    double pixels = 0;
    for (int i = 1; i < left.length; i++) {
      pixels += distance(marks, side, left[i - 1], left[i]);
    }
    return pixels;
  }

  /** Down the middle of the figure and over the leg whose ankle is nearest the ground. */
  private static double alongAxis(Marks marks, Landmark top) {
    Optional<Side> standing =
        Arrays.stream(Side.values())
            .filter(side -> Arrays.stream(LEG).allMatch(l -> marks.point(side.of(l)).isPresent()))
            .min(Comparator.comparingDouble(side -> marks.distance(side.of(ANKLE_L), SOLE)));
    Side side = standing.orElseThrow();
    return marks.distance(top, CHIN)
        + marks.distance(CHIN, NECK_BASE)
        + marks.distance(NECK_BASE, CROTCH)
        + marks.distance(CROTCH, side.of(KNEE_L))
        + distance(marks, side, KNEE_L, ANKLE_L)
        + marks.distance(side.of(ANKLE_L), SOLE);
  }

  private static OptionalDouble angle(Point one, Point corner, Point other) {
    Point a = one.minus(corner);
    Point b = other.minus(corner);
    if (a.length() == 0 || b.length() == 0) {
      return OptionalDouble.empty();
    }
    double cosine = Math.max(-1, Math.min(1, a.dot(b) / (a.length() * b.length())));
    return OptionalDouble.of(Math.toDegrees(Math.acos(cosine)));
  }
}
