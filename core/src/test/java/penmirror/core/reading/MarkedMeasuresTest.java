package penmirror.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Similarity;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.MarkingError;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureResult;
import penmirror.core.measure.NoReading;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.Reading;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.face.TurnMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.style.MeasuredWork;

class MarkedMeasuresTest {

  /**
   * Vitruvius, De architectura III.1: head an eighth of the height, nose base at the face's third.
   */
  @Test
  void theCanonOfVitruviusReadsSo() {
    Marks canon = Canon.vitruvian();
    assertThat(value(ProportionMeasures.STATURE, canon)).isCloseTo(8, offset(1e-9));
    double faceInHeads = 0.8;
    assertThat(value(FaceMeasures.NOSE_BASE_HEIGHT, canon))
        .isCloseTo(1 - faceInHeads / 3, offset(1e-9));
    assertThat(value(FaceMeasures.UPPER_THIRD, canon)).isCloseTo(1, offset(1e-9));
    assertThat(value(FaceMeasures.LOWER_THIRD, canon)).isCloseTo(1, offset(1e-9));
    double footInHeads = 8 / 6.0;
    assertThat(value(ProportionMeasures.FOOT, canon)).isCloseTo(footInHeads, offset(1e-9));
  }

  /** Every formula on points whose value is counted on the fingers. */
  @ParameterizedTest
  @CsvSource({
    "stature.hair, 7.190476190476190", // 1510 / 210
    "stature.axis, 7.616776",
    "torso.share, 0.3666666666666667", // 550 / 1500
    "shoulders.waist, 1.6666666666666667", // 400 / 240
    "hips.waist, 1.1666666666666667", // 280 / 240
    "hips.shoulders, 0.7",
    "neck.width, 0.5066666666666667", // 76 / 150
    "neck.length, 0.3",
    "hand.head, 0.7500666637037037",
    "jaw.cheek, 0.8",
    "hair.lift, 0.05",
    "hair.width, 1.1333333333333333", // 170 / 150
    "eye.height, 0.06",
    "eye.peak, 0.5666666666666667", // 17 of 30 from the inner corner
    "eye.dip, 0.4333333333333333",
    "pupil.iris, 0.5",
    "iris.aspect, 1",
    "brow.gap, 0.045",
    "nose.length, 0.25",
    "mouth.chin, 0.17",
    "face.low, 0.6866666666666667", // (0.5 + 0.73 + 0.83) / 3
    "face.upper, 0.7377049180327869", // (185 - 140) / (246 - 185)
    "face.lower, 0.8852459016393442", // (300 - 246) / 61
    "ear.top, 0.43",
    "ear.base, 0.73",
    "jaw.turn, 0.1" // 15 px outside the eye corner, of 150
  })
  void formulasGiveWhatIsCountedByHand(String key, double expected) {
    double tolerance = key.equals("stature.axis") ? 1e-3 : 1e-9;
    assertThat(value(MeasureCatalogue.byKey(key).orElseThrow(), Canon.realistic()))
        .isCloseTo(expected, offset(tolerance));
  }

  /** Common practice: from the front the outline turns right under the outer eye corner. */
  @Test
  void aJawThatTurnsUnderTheEyeCornerReadsZero() {
    Marks adult =
        Canon.realistic()
            .with(Landmark.JAW_L, Mark.placed(255, 266))
            .with(Landmark.JAW_R, Mark.placed(345, 266));
    assertThat(value(FaceMeasures.JAW_TURN, adult)).isCloseTo(0, offset(1e-9));
  }

  /** A figure that bends is longer along its middle than from top to bottom; a straight one not. */
  @Test
  void alongTheAxisABentFigureKeepsItsHeight() {
    Marks straight = Canon.realistic();
    Marks bent = straight.with(Landmark.CROTCH, Mark.placed(420, 850));
    assertThat(value(ProportionMeasures.STATURE, bent)).isEqualTo(7.5);
    assertThat(value(ProportionMeasures.STATURE_ALONG_AXIS, bent))
        .isGreaterThan(value(ProportionMeasures.STATURE_ALONG_AXIS, straight) + 0.1);
  }

  @Test
  void theStandingLegIsCountedNotTheLiftedOne() {
    Marks lifted =
        Canon.realistic()
            .with(Landmark.KNEE_R, Mark.placed(500, 1000))
            .with(Landmark.ANKLE_R, Mark.placed(700, 1000));
    assertThat(value(ProportionMeasures.STATURE_ALONG_AXIS, lifted))
        .isEqualTo(value(ProportionMeasures.STATURE_ALONG_AXIS, Canon.realistic()));
  }

  @Test
  void browsWithTheirInnerEndsLowSlopePositively() {
    Marks stern =
        Canon.realistic()
            .with(Landmark.BROW_L_INNER, Mark.placed(288, 194))
            .with(Landmark.BROW_R_INNER, Mark.placed(312, 194));
    assertThat(value(FaceMeasures.BROW_SLOPE, stern))
        .isCloseTo(Math.toDegrees(Math.atan2(8, 38)), offset(1e-9));
  }

  @Test
  void aBrowWhosePeakLiesAboveItsEndsIsArched() {
    double length = Math.hypot(38, 2);
    double above = (38 * 6.0 + 2 * 26 - 0) / length; // distance of the peak from the line
    assertThat(value(FaceMeasures.BROW_ARCH, Canon.realistic()))
        .isCloseTo(above / length, offset(0.02))
        .isPositive();
    Marks sagging =
        Canon.realistic()
            .with(Landmark.BROW_L_PEAK, Mark.placed(262, 195))
            .with(Landmark.BROW_R_PEAK, Mark.placed(338, 195));
    assertThat(value(FaceMeasures.BROW_ARCH, sagging)).isNegative();
  }

  /** Common practice: what every drawing lesson says of a realistic adult. */
  @Test
  void theFactsOfTheTradeReadSo() {
    Marks adult = Canon.realistic();
    assertThat(value(ProportionMeasures.STATURE, adult)).isCloseTo(7.5, offset(1e-9));
    assertThat(value(ProportionMeasures.LEGS, adult)).isCloseTo(0.5, offset(1e-9));
    assertThat(value(ProportionMeasures.SHOULDERS, adult)).isCloseTo(2, offset(1e-9));
    assertThat(value(ProportionMeasures.SHOULDER_DROP, adult)).isCloseTo(1.335, offset(1e-9));
    assertThat(value(ProportionMeasures.HEAD_ASPECT, adult)).isCloseTo(0.75, offset(1e-9));
    assertThat(value(FaceMeasures.EYE_LINE, adult)).isCloseTo(0.5, offset(1e-9));
    assertThat(value(FaceMeasures.EYE_SPACING, adult)).isCloseTo(1, offset(1e-9));
    assertThat(value(FaceMeasures.EYE_WIDTH, adult)).isCloseTo(0.2, offset(1e-9));
    assertThat(value(FaceMeasures.EYE_TILT, adult)).isCloseTo(0, offset(1e-9));
    assertThat(value(FaceMeasures.MOUTH_LINE, adult)).isCloseTo(0.83, offset(1e-9));
    assertThat(value(FaceMeasures.MOUTH_WIDTH, adult)).isCloseTo(0.8, offset(1e-9));
  }

  @Test
  void outerCornersUpIsAPositiveTilt() {
    Marks sharp =
        Canon.realistic()
            .with(Landmark.EYE_L_OUTER, Mark.placed(255, 195))
            .with(Landmark.EYE_R_OUTER, Mark.placed(345, 195));
    assertThat(value(FaceMeasures.EYE_TILT, sharp))
        .isCloseTo(Math.toDegrees(Math.atan2(5, 30)), offset(1e-9));
  }

  @Test
  void sizeAndPlaceOfThePictureDoNotMatter() {
    Similarity move = new Similarity(3.5, 0, 812, -40);
    assertSameReadings(Canon.realistic(), moved(Canon.realistic(), move), MeasureCatalogue.all());
  }

  /** Face measures are taken in the tilted head's own frame. */
  @Test
  void aTiltedHeadReadsLikeAnUprightOne() {
    Similarity tilt = new Similarity(Math.cos(0.3), Math.sin(0.3), 0, 0);
    assertSameReadings(Canon.realistic(), moved(Canon.realistic(), tilt), FaceMeasures.ALL);
    Marks turned =
        Canon.realistic()
            .withView(View.THREE_QUARTER)
            .moved(List.of(Landmark.CHEEK_L), p -> p.plus(new Point(-40, 0)));
    assertSameReadings(turned, moved(turned, tilt), TurnMeasures.ALL);
  }

  @Test
  void aMirroredFigureReadsTheSame() {
    Marks adult = Canon.realistic();
    Marks mirrored = Marks.none(View.FRONT);
    for (Landmark landmark : adult.landmarks().keySet()) {
      Point p = adult.point(landmark).orElseThrow();
      mirrored = mirrored.with(landmark.mirrored(), Mark.placed(600 - p.x(), p.y()));
    }
    assertSameReadings(adult, mirrored, MeasureCatalogue.all());
  }

  @Test
  void firstFourPointsAlreadyAnswerSomething() {
    Marks four = Marks.none(View.FRONT);
    for (Landmark landmark :
        List.of(Landmark.CROWN, Landmark.CHIN, Landmark.NOSE_BASE, Landmark.SOLE)) {
      four = four.with(landmark, Canon.realistic().landmarks().get(landmark));
    }
    assertThat(value(ProportionMeasures.STATURE, four)).isEqualTo(7.5);
  }

  @Test
  void aMissingLandmarkIsNamedAndAHiddenOneSaidToBeHidden() {
    Marks some = Marks.none(View.FRONT).with(Landmark.CROWN, Mark.placed(1, 1));
    NoReading missing = noReading(ProportionMeasures.STATURE, some);
    assertThat(missing.reason()).isEqualTo(Reason.LANDMARKS_MISSING);
    assertThat(missing.missing()).containsExactly(Landmark.CHIN, Landmark.SOLE);

    Marks hidden = Canon.realistic().with(Landmark.SOLE, Mark.hidden());
    assertThat(noReading(ProportionMeasures.STATURE, hidden).reason())
        .isEqualTo(Reason.LANDMARKS_HIDDEN);
  }

  @Test
  void aFaceIsNotReadFromTheBack() {
    Marks back = Canon.realistic().withView(View.BACK);
    assertThat(noReading(FaceMeasures.EYE_LINE, back).reason()).isEqualTo(Reason.NOT_IN_THIS_VIEW);
    assertThat(value(ProportionMeasures.STATURE, back)).isEqualTo(7.5);
  }

  @Test
  void impossiblePointsGiveNoReadingAndNeverInfinity() {
    Marks adult = Canon.realistic();
    Marks noHead = adult.with(Landmark.CROWN, Mark.placed(300, 300));
    Marks noEye =
        adult
            .with(Landmark.EYE_L_OUTER, Mark.placed(285, 200))
            .with(Landmark.EYE_R_OUTER, Mark.placed(315, 200));
    Marks upsideDown = adult.with(Landmark.SOLE, Mark.placed(300, 20));
    for (Marks marks : List.of(noHead, noEye, upsideDown)) {
      for (MeasureResult result :
          MeasureCatalogue.readAll(new Evidence(marks, Optional.empty())).values()) {
        result.reading().ifPresent(r -> assertThat(r.value()).isFinite());
      }
    }
    assertThat(noReading(FaceMeasures.EYE_LINE, noHead).reason())
        .isEqualTo(Reason.POINTS_IMPOSSIBLE);
    assertThat(noReading(FaceMeasures.EYE_SPACING, noEye).reason())
        .isEqualTo(Reason.POINTS_IMPOSSIBLE);
    assertThat(noReading(FaceMeasures.EYE_TILT, noEye).reason())
        .isEqualTo(Reason.POINTS_IMPOSSIBLE);
    assertThat(noReading(ProportionMeasures.STATURE, upsideDown).reason())
        .isEqualTo(Reason.POINTS_IMPOSSIBLE);
  }

  /** The error carried from the landmarks is the spread one gets by marking again and again. */
  @Test
  void standardErrorIsTheSpreadOfRepeatedMarking() {
    Marks adult = Canon.realistic();
    Random random = new Random(11);
    for (Measure measure :
        List.of(
            ProportionMeasures.STATURE,
            ProportionMeasures.ARMS,
            ProportionMeasures.HAND,
            ProportionMeasures.CHIN_ANGLE,
            FaceMeasures.EYE_SPACING,
            FaceMeasures.UPPER_THIRD)) {
      double sum = 0;
      double squares = 0;
      int runs = 4000;
      for (int run = 0; run < runs; run++) {
        Marks shaken = adult;
        for (Landmark landmark : measure.needs()) {
          double error = 200 * MarkingError.SHIPPED.of(landmark, Mark.State.PLACED);
          Point step = new Point(error * random.nextGaussian(), error * random.nextGaussian());
          shaken = shaken.moved(List.of(landmark), p -> p.plus(step));
        }
        double value = value(measure, shaken);
        sum += value;
        squares += value * value;
      }
      double spread = Math.sqrt(squares / runs - Math.pow(sum / runs, 2));
      double carried = reading(measure, adult).standardError().orElseThrow();
      // 4000 runs know a spread to about 1 %; the carried error leaves out curvature.
      assertThat(carried).as(measure.key()).isCloseTo(spread, offset(0.06 * spread));
    }
  }

  @Test
  void aHandIsAsLongAsItsTipIsSeen() {
    Marks adult = Canon.realistic();
    double both = value(ProportionMeasures.HAND, adult);
    Point wrist = adult.require(Landmark.WRIST_L);
    Point half = wrist.midpointTo(adult.require(Landmark.FINGERTIP_L));
    Marks towardUs = adult.with(Landmark.FINGERTIP_L, Mark.placed(half.x(), half.y()));
    assertThat(value(ProportionMeasures.HAND, towardUs)).isCloseTo(both, offset(1e-9));
    Marks fist = adult.with(Landmark.FINGERTIP_L, Mark.at(half, Mark.State.ESTIMATED));
    assertThat(value(ProportionMeasures.HAND, fist)).isCloseTo(both, offset(1e-9));
    Point other = adult.require(Landmark.WRIST_R).plus(half.minus(wrist));
    Marks fists = fist.with(Landmark.FINGERTIP_R, Mark.at(other, Mark.State.ESTIMATED));
    assertThat(noReading(ProportionMeasures.HAND, fists).reason())
        .isEqualTo(Reason.LANDMARKS_HIDDEN);
    assertThat(noReading(ProportionMeasures.ARMS, fists).reason())
        .isEqualTo(Reason.LANDMARKS_HIDDEN);
  }

  /** One ear that shows, or only its lobe, is told; two under hair are guessed and say nothing. */
  @Test
  void earsNeckAndHairlineAreToldWhereTheyAreSeen() {
    Marks adult = Canon.realistic();
    Marks lobes = covered(adult, Landmark.EAR_L_TOP, Landmark.EAR_R_TOP);
    assertThat(value(FaceMeasures.EAR_TOP, lobes))
        .isCloseTo(value(FaceMeasures.EAR_TOP, adult), offset(1e-9));
    assertThat(reading(FaceMeasures.EAR_TOP, lobes).standardError().orElseThrow())
        .isGreaterThan(reading(FaceMeasures.EAR_TOP, adult).standardError().orElseThrow());
    Marks oneUnderHair = covered(adult, Landmark.EAR_L_TOP, Landmark.EAR_L_BASE);
    assertThat(value(FaceMeasures.EAR_SIZE, oneUnderHair))
        .isCloseTo(value(FaceMeasures.EAR_SIZE, adult), offset(1e-9));
    requireOutOfSight(
        FaceMeasures.EAR_SIZE, covered(oneUnderHair, Landmark.EAR_R_TOP, Landmark.EAR_R_BASE));
    requireOutOfSight(ProportionMeasures.NECK_WIDTH, covered(adult, Landmark.NECK_R));
    requireOutOfSight(FaceMeasures.UPPER_THIRD, covered(adult, Landmark.HAIRLINE));
  }

  private static Marks covered(Marks marks, Landmark... covered) {
    Marks some = marks;
    for (Landmark landmark : covered) {
      some = some.with(landmark, Mark.at(some.require(landmark), Mark.State.ESTIMATED));
    }
    return some;
  }

  private static void requireOutOfSight(Measure measure, Marks marks) {
    assertThat(noReading(measure, marks).reason()).isEqualTo(Reason.LANDMARKS_HIDDEN);
    Evidence evidence = new Evidence(marks, Optional.empty());
    assertThat(measure.isOutOfSight(evidence)).isTrue();
    assertThat(MeasuredWork.of("1", "Work", "", evidence).outOfSight()).contains(measure);
  }

  @Test
  void estimatedPointsCountWithAWiderError() {
    Marks adult = Canon.realistic();
    Marks unsure =
        adult.with(
            Landmark.CROWN,
            Mark.at(adult.point(Landmark.CROWN).orElseThrow(), Mark.State.ESTIMATED));
    assertThat(reading(ProportionMeasures.STATURE, unsure).standardError().orElseThrow())
        .isGreaterThan(
            1.5 * reading(ProportionMeasures.STATURE, adult).standardError().orElseThrow());
  }

  private static Marks moved(Marks marks, Similarity move) {
    return marks.moved(marks.landmarks().keySet(), move::apply);
  }

  /** As far as they hold in the view. */
  private static void assertSameReadings(Marks one, Marks other, List<Measure> measures) {
    for (Measure measure : measures) {
      if (!measure.isFromPixels() && measure.views().contains(one.view())) {
        assertThat(value(measure, other))
            .as(measure.key())
            .isCloseTo(value(measure, one), offset(1e-9));
      }
    }
  }

  private static double value(Measure measure, Marks marks) {
    return reading(measure, marks).value();
  }

  private static Reading reading(Measure measure, Marks marks) {
    return measure.read(new Evidence(marks, Optional.empty())).reading().orElseThrow();
  }

  private static NoReading noReading(Measure measure, Marks marks) {
    return measure
        .read(new Evidence(marks, Optional.empty()))
        .fold(
            reading -> {
              throw new AssertionError("Expected no reading, got " + reading);
            },
            none -> none);
  }
}
