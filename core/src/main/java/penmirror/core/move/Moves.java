package penmirror.core.move;

import static penmirror.core.figure.Landmark.ANKLE_L;
import static penmirror.core.figure.Landmark.BROW_L_INNER;
import static penmirror.core.figure.Landmark.BROW_L_OUTER;
import static penmirror.core.figure.Landmark.BROW_L_PEAK;
import static penmirror.core.figure.Landmark.CHEEK_L;
import static penmirror.core.figure.Landmark.CHIN;
import static penmirror.core.figure.Landmark.CROTCH;
import static penmirror.core.figure.Landmark.EAR_L_BASE;
import static penmirror.core.figure.Landmark.EAR_L_TOP;
import static penmirror.core.figure.Landmark.ELBOW_L;
import static penmirror.core.figure.Landmark.EYE_L_BOTTOM;
import static penmirror.core.figure.Landmark.EYE_L_INNER;
import static penmirror.core.figure.Landmark.EYE_L_OUTER;
import static penmirror.core.figure.Landmark.EYE_L_TOP;
import static penmirror.core.figure.Landmark.FINGERTIP_L;
import static penmirror.core.figure.Landmark.HAIRLINE;
import static penmirror.core.figure.Landmark.HAIR_L;
import static penmirror.core.figure.Landmark.HAIR_TOP;
import static penmirror.core.figure.Landmark.HEEL_L;
import static penmirror.core.figure.Landmark.HIP_L;
import static penmirror.core.figure.Landmark.IRIS_L_CENTRE;
import static penmirror.core.figure.Landmark.IRIS_L_EDGE;
import static penmirror.core.figure.Landmark.IRIS_L_TOP;
import static penmirror.core.figure.Landmark.JAW_L;
import static penmirror.core.figure.Landmark.KNEE_L;
import static penmirror.core.figure.Landmark.LASH_L_TOP;
import static penmirror.core.figure.Landmark.MOUTH_BOTTOM;
import static penmirror.core.figure.Landmark.MOUTH_L;
import static penmirror.core.figure.Landmark.MOUTH_TOP;
import static penmirror.core.figure.Landmark.NECK_BASE;
import static penmirror.core.figure.Landmark.NECK_L;
import static penmirror.core.figure.Landmark.NOSE_BASE;
import static penmirror.core.figure.Landmark.NOSE_TOP;
import static penmirror.core.figure.Landmark.PUPIL_L;
import static penmirror.core.figure.Landmark.SHOULDER_L;
import static penmirror.core.figure.Landmark.TOE_L;
import static penmirror.core.figure.Landmark.WAIST_L;
import static penmirror.core.figure.Landmark.WRIST_L;
import static penmirror.core.move.Shifts.along;
import static penmirror.core.move.Shifts.apart;
import static penmirror.core.move.Shifts.away;
import static penmirror.core.move.Shifts.bodyLonger;
import static penmirror.core.move.Shifts.down;
import static penmirror.core.move.Shifts.downThePicture;
import static penmirror.core.move.Shifts.drawnOut;
import static penmirror.core.move.Shifts.eachEye;
import static penmirror.core.move.Shifts.eyesAndBrowsDown;
import static penmirror.core.move.Shifts.eyesApart;
import static penmirror.core.move.Shifts.eyesDown;
import static penmirror.core.move.Shifts.faceWider;
import static penmirror.core.move.Shifts.farEyeOpened;
import static penmirror.core.move.Shifts.farEyeWider;
import static penmirror.core.move.Shifts.opened;
import static penmirror.core.move.Shifts.openedWithIrisAndBrows;
import static penmirror.core.move.Shifts.scaledAboutMiddle;
import static penmirror.core.move.Shifts.scaledFrom;
import static penmirror.core.move.Shifts.together;
import static penmirror.core.move.Shifts.turnedUp;
import static penmirror.core.move.Shifts.up;
import static penmirror.core.move.Shifts.upThePicture;

import java.util.List;
import java.util.Optional;
import penmirror.core.figure.Feature;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Side;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.face.TurnMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.move.Move.Amount;

/**
 * The move for every measure that is read from marks and counts. Listed in the order in which the
 * moves of one feature are done: size before turn, turn before place.
 */
public final class Moves {
  private static final List<Move> ALL =
      List.of(
          new Move(
              "eye size",
              Feature.EYES,
              FaceMeasures.EYE_WIDTH,
              Amount.FACTOR,
              eachEye(Shifts::eyeScaled)),
          new Move(
              "far eye width", Feature.EYES, TurnMeasures.FAR_WIDTH, Amount.FACTOR, farEyeWider()),
          new Move(
              "far eye height",
              Feature.EYES,
              TurnMeasures.FAR_HEIGHT,
              Amount.FACTOR,
              farEyeOpened()),
          new Move(
              "eye turn",
              Feature.EYES,
              FaceMeasures.EYE_TILT,
              Amount.DEGREES,
              eachEye((p, centre, side, by) -> p.turnedAbout(centre, -side.outward() * by))),
          new Move("eye gap", Feature.EYES, FaceMeasures.EYE_SPACING, Amount.PIXELS, eyesApart()),
          new Move("eye height", Feature.EYES, FaceMeasures.EYE_LINE, Amount.PIXELS, eyesDown()),
          new Move(
              "eye opening",
              Feature.EYES,
              FaceMeasures.EYE_ASPECT,
              Amount.FACTOR,
              opened(EYE_L_TOP, EYE_L_BOTTOM, LASH_L_TOP)),
          new Move(
              "eye top",
              Feature.EYES,
              FaceMeasures.EYE_PEAK,
              Amount.PIXELS,
              along(EYE_L_INNER, EYE_L_OUTER, EYE_L_TOP, LASH_L_TOP)),
          new Move(
              "eye foot",
              Feature.EYES,
              FaceMeasures.EYE_DIP,
              Amount.PIXELS,
              along(EYE_L_INNER, EYE_L_OUTER, EYE_L_BOTTOM)),
          new Move(
              "lash height",
              Feature.EYES,
              FaceMeasures.LASH,
              Amount.PIXELS,
              away(EYE_L_TOP, LASH_L_TOP)),
          new Move(
              "iris",
              Feature.EYES,
              FaceMeasures.IRIS_SIZE,
              Amount.FACTOR,
              scaledFrom(IRIS_L_CENTRE, IRIS_L_EDGE, IRIS_L_TOP, PUPIL_L)),
          new Move(
              "iris shape",
              Feature.EYES,
              FaceMeasures.IRIS_ASPECT,
              Amount.PIXELS,
              away(IRIS_L_CENTRE, IRIS_L_TOP)),
          new Move(
              "pupil size",
              Feature.EYES,
              FaceMeasures.PUPIL,
              Amount.FACTOR,
              scaledFrom(IRIS_L_CENTRE, PUPIL_L)),
          new Move(
              "brow turn",
              Feature.BROWS,
              FaceMeasures.BROW_SLOPE,
              Amount.DEGREES,
              turnedUp(BROW_L_INNER, BROW_L_OUTER, BROW_L_INNER, BROW_L_PEAK, BROW_L_OUTER)),
          new Move(
              "brow peak", Feature.BROWS, FaceMeasures.BROW_ARCH, Amount.PIXELS, up(BROW_L_PEAK)),
          new Move(
              "brow height",
              Feature.BROWS,
              FaceMeasures.BROW_GAP,
              Amount.PIXELS,
              up(BROW_L_INNER, BROW_L_PEAK, BROW_L_OUTER)),
          new Move(
              "nose height",
              Feature.NOSE,
              FaceMeasures.NOSE_BASE_HEIGHT,
              Amount.PIXELS,
              down(NOSE_BASE)),
          new Move(
              "nose length", Feature.NOSE, FaceMeasures.NOSE_LENGTH, Amount.PIXELS, up(NOSE_TOP)),
          new Move(
              "mouth size",
              Feature.MOUTH,
              FaceMeasures.MOUTH_WIDTH,
              Amount.FACTOR,
              scaledAboutMiddle(MOUTH_L, MOUTH_L, MOUTH_TOP, MOUTH_BOTTOM)),
          new Move(
              "mouth height",
              Feature.MOUTH,
              FaceMeasures.MOUTH_LINE,
              Amount.PIXELS,
              down(MOUTH_L, MOUTH_TOP, MOUTH_BOTTOM)),
          new Move(
              "face size",
              Feature.FACE,
              ProportionMeasures.HEAD_ASPECT,
              Amount.PIXELS,
              apart(CHEEK_L)),
          new Move("jaw size", Feature.FACE, ProportionMeasures.JAW, Amount.PIXELS, apart(JAW_L)),
          new Move(
              "jaw height",
              Feature.FACE,
              ProportionMeasures.CHIN_ANGLE,
              Amount.PIXELS,
              down(JAW_L)),
          new Move(
              "ear height",
              Feature.EARS,
              FaceMeasures.EAR_TOP,
              Amount.PIXELS,
              down(EAR_L_TOP, EAR_L_BASE)),
          new Move(
              "ear length",
              Feature.EARS,
              FaceMeasures.EAR_SIZE,
              Amount.FACTOR,
              scaledFrom(EAR_L_TOP, EAR_L_BASE)),
          new Move(
              "hair height",
              Feature.HAIR,
              ProportionMeasures.HAIR_LIFT,
              Amount.PIXELS,
              up(HAIR_TOP)),
          new Move(
              "hair size",
              Feature.HAIR,
              ProportionMeasures.HAIR_WIDTH,
              Amount.PIXELS,
              apart(HAIR_L)),
          new Move("hairline", Feature.HAIR, FaceMeasures.UPPER_THIRD, Amount.PIXELS, up(HAIRLINE)),
          new Move(
              "neck size",
              Feature.NECK,
              ProportionMeasures.NECK_WIDTH,
              Amount.PIXELS,
              apart(NECK_L)),
          new Move(
              "neck length",
              Feature.NECK,
              ProportionMeasures.NECK_LENGTH,
              Amount.PIXELS,
              away(CHIN, NECK_BASE)),
          new Move(
              "shoulder width",
              Feature.SHOULDERS,
              ProportionMeasures.SHOULDERS,
              Amount.PIXELS,
              apart(SHOULDER_L)),
          new Move(
              "shoulder height",
              Feature.SHOULDERS,
              ProportionMeasures.SHOULDER_DROP,
              Amount.PIXELS,
              downThePicture(SHOULDER_L)),
          new Move(
              "waist",
              Feature.WAIST,
              ProportionMeasures.SHOULDERS_TO_WAIST,
              Amount.PIXELS,
              together(WAIST_L)),
          new Move(
              "hips", Feature.WAIST, ProportionMeasures.HIPS_TO_WAIST, Amount.PIXELS, apart(HIP_L)),
          new Move(
              "hand size",
              Feature.ARMS,
              ProportionMeasures.HAND,
              Amount.FACTOR,
              scaledFrom(WRIST_L, FINGERTIP_L)),
          new Move(
              "elbow",
              Feature.ARMS,
              ProportionMeasures.ARM_HALVES,
              Amount.PIXELS,
              along(SHOULDER_L, WRIST_L, ELBOW_L)),
          new Move(
              "arm length",
              Feature.ARMS,
              ProportionMeasures.ARMS,
              Amount.FACTOR,
              drawnOut(SHOULDER_L, ELBOW_L, WRIST_L, FINGERTIP_L)),
          new Move(
              "crotch", Feature.LEGS, ProportionMeasures.LEGS, Amount.PIXELS, upThePicture(CROTCH)),
          new Move(
              "knee",
              Feature.LEGS,
              ProportionMeasures.LEG_HALVES,
              Amount.PIXELS,
              along(CROTCH, ANKLE_L, KNEE_L)),
          new Move(
              "foot length",
              Feature.FEET,
              ProportionMeasures.FOOT,
              Amount.FACTOR,
              scaledFrom(HEEL_L, TOE_L)),
          new Move(
              "body length", Feature.BODY, ProportionMeasures.STATURE, Amount.FACTOR, bodyLonger()),
          new Move(
              "body length with hair",
              Feature.BODY,
              ProportionMeasures.STATURE_WITH_HAIR,
              Amount.FACTOR,
              bodyLonger()),
          new Move(
              "body length along the axis",
              Feature.BODY,
              ProportionMeasures.STATURE_ALONG_AXIS,
              Amount.FACTOR,
              bodyLonger()),
          new Move(
              "body length along the axis with hair",
              Feature.BODY,
              ProportionMeasures.STATURE_ALONG_AXIS_WITH_HAIR,
              Amount.FACTOR,
              bodyLonger()));

  /** Moves that take along what hangs on a feature, in place of the plain one. */
  private static final List<Move> CARRYING = ALL.stream().map(Moves::carrying).toList();

  private static Move carrying(Move move) {
    if (move.measure() == FaceMeasures.EYE_LINE) {
      return move.by("eye height with brows", eyesAndBrowsDown());
    }
    if (move.measure() == FaceMeasures.EYE_WIDTH) {
      return move.by(
          "eye size with gap",
          scaledAboutMiddle(
              EYE_L_OUTER, Feature.EYES.landmarks(Side.LEFT).toArray(Landmark[]::new)));
    }
    if (move.measure() == FaceMeasures.EYE_ASPECT) {
      return move.by("eye opening with iris and brows", openedWithIrisAndBrows());
    }
    return move.measure() == ProportionMeasures.HEAD_ASPECT
        ? move.by("face size with all in it", faceWider())
        : move;
  }

  private Moves() {}

  public static List<Move> all() {
    return ALL;
  }

  /** The same, with brows that go along with eyes, and features with the face. */
  public static List<Move> carrying() {
    return CARRYING;
  }

  /** The move that changes a measure; empty for what is read from pixels or only told. */
  public static Optional<Move> of(Measure measure) {
    return ALL.stream().filter(move -> move.measure() == measure).findFirst();
  }
}
