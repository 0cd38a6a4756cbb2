package penmirror.core.coverage;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;

class PartFrameTest {
  private static final Marks MARKS = Canon.realistic();

  @ParameterizedTest
  @EnumSource(Part.class)
  void everyPointOfThePartLiesInside(Part part) {
    PartFrame.of(part, MARKS, 4000, 8000)
        .ifPresent(
            frame ->
                assertThat(part.landmarks())
                    .allSatisfy(
                        landmark ->
                            MARKS
                                .point(landmark)
                                .ifPresent(p -> assertThat(holds(frame, p)).isTrue())));
  }

  private static boolean holds(PartFrame frame, Point point) {
    return point.x() >= frame.x()
        && point.x() <= frame.x() + frame.width()
        && point.y() >= frame.y()
        && point.y() <= frame.y() + frame.height();
  }

  @Test
  void eyesAreAPieceOfTheFaceAndNotTheFigure() {
    PartFrame eyes = PartFrame.of(Part.EYES, MARKS, 4000, 8000).orElseThrow();
    double head = MARKS.headFrame().orElseThrow().headPixels();
    assertThat(eyes.width()).isBetween(0.5 * head, 1.3 * head);
    assertThat(eyes.height()).isBetween(0.2 * head, 0.8 * head);
  }

  @Test
  void itNeverReachesBeyondThePicture() {
    PartFrame feet = PartFrame.of(Part.FEET, MARKS, 500, 1200).orElseThrow();
    assertThat(feet.x()).isBetween(0.0, 500.0);
    assertThat(feet.x() + feet.width()).isLessThanOrEqualTo(500);
    assertThat(feet.y() + feet.height()).isLessThanOrEqualTo(1200);
  }

  @Test
  void withoutPointsOrHeadThereIsNone() {
    assertThat(PartFrame.of(Part.LIGHT, MARKS, 4000, 8000)).isEmpty();
    assertThat(PartFrame.of(Part.EYES, Marks.none(View.FRONT), 4000, 8000)).isEmpty();
    Marks alone = Marks.none(View.FRONT).with(Landmark.EYE_L_INNER, Mark.placed(10, 10));
    assertThat(PartFrame.of(Part.EYES, alone, 4000, 8000)).isEmpty();
  }

  @Test
  void aReadingIsShownWithThePointsItIsReadFrom() {
    PartFrame tall = PartFrame.of(ProportionMeasures.STATURE, MARKS, 4000, 8000).orElseThrow();
    PartFrame gap = PartFrame.of(FaceMeasures.EYE_SPACING, MARKS, 4000, 8000).orElseThrow();

    assertThat(ProportionMeasures.STATURE.needs())
        .allSatisfy(l -> assertThat(holds(tall, MARKS.point(l).orElseThrow())).isTrue());
    assertThat(gap.height()).isLessThan(tall.height() / 4);
  }

  @Test
  void whatIsReadFromPixelsIsShownByTheHead() {
    PartFrame line = PartFrame.of(LineMeasures.WIDTH, MARKS, 4000, 8000).orElseThrow();

    for (Landmark landmark : new Landmark[] {Landmark.CROWN, Landmark.CHIN, Landmark.CHEEK_L}) {
      assertThat(holds(line, MARKS.point(landmark).orElseThrow())).isTrue();
    }
    assertThat(PartFrame.of(LineMeasures.WIDTH, Marks.none(View.FRONT), 4000, 8000)).isEmpty();
  }

  @Test
  void aFrameIsNamedInPlainDigitsWhereverTheMachineStands() {
    assertThat(new PartFrame(1.4, 20.6, 300, 4000).viewBox()).isEqualTo("1 21 300 4000");
  }
}
