package penmirror.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Similarity;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;

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
  }

  @Test
  void aMirroredFigureReadsTheSame() {
    Marks adult = Canon.realistic();
    Marks mirrored = Marks.none(View.FRONT);
    for (Landmark landmark : adult.landmarks().keySet()) {
      Point p = adult.point(landmark).orElseThrow();
      mirrored = mirrored.with(swapped(landmark), Mark.placed(600 - p.x(), p.y()));
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
    double error = Measure.MARKING_ERROR_HEADS * 200;
    Random random = new Random(11);
    for (Measure measure : List.of(ProportionMeasures.STATURE, FaceMeasures.EYE_SPACING)) {
      double sum = 0;
      double squares = 0;
      int runs = 4000;
      for (int run = 0; run < runs; run++) {
        Marks shaken =
            adult.moved(
                measure.needs(),
                p ->
                    p.plus(
                        new Point(error * random.nextGaussian(), error * random.nextGaussian())));
        double value = value(measure, shaken);
        sum += value;
        squares += value * value;
      }
      double spread = Math.sqrt(squares / runs - Math.pow(sum / runs, 2));
      double carried = reading(measure, adult).standardError();
      // 4000 runs know a spread to about 1 %; the carried error leaves out curvature.
      assertThat(carried).as(measure.key()).isCloseTo(spread, offset(0.06 * spread));
    }
  }

  @Test
  void estimatedPointsCountWithAWiderError() {
    Marks adult = Canon.realistic();
    Marks unsure =
        adult.with(
            Landmark.CROWN,
            Mark.at(adult.point(Landmark.CROWN).orElseThrow(), Mark.State.ESTIMATED));
    assertThat(reading(ProportionMeasures.STATURE, unsure).standardError())
        .isGreaterThan(1.5 * reading(ProportionMeasures.STATURE, adult).standardError());
  }

  private static Marks moved(Marks marks, Similarity move) {
    return marks.moved(marks.landmarks().keySet(), move::apply);
  }

  private static Landmark swapped(Landmark landmark) {
    String key = landmark.key();
    String other =
        key.contains("_l")
            ? key.replaceFirst("_l(?=_|$)", "_r")
            : key.replaceFirst("_r(?=_|$)", "_l");
    return Landmark.ofKey(other).orElse(landmark);
  }

  private static void assertSameReadings(Marks one, Marks other, List<Measure> measures) {
    for (Measure measure : measures) {
      if (!measure.isFromPixels()) {
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
