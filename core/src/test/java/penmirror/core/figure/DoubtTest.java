package penmirror.core.figure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Doubt.Kind;
import penmirror.core.geometry.Point;

/** What can hardly be meant is said at the point; what can be meant is not. */
class DoubtTest {
  private static final int WIDTH = 600;
  private static final int HEIGHT = 1700;

  @Test
  void aPlainFigureRaisesNoDoubt() {
    assertThat(Doubt.about(Canon.realistic(), WIDTH, HEIGHT)).isEmpty();
  }

  @Test
  void aTiltedFigureRaisesNone() {
    Marks tilted =
        Canon.realistic()
            .moved(
                Canon.realistic().landmarks().keySet(),
                p -> p.turnedAbout(new Point(300, 800), 12));
    assertThat(Doubt.about(tilted, 2000, 2000)).isEmpty();
  }

  @Test
  void pointsOutsideThePictureAreTold() {
    assertThat(about(Landmark.SHOULDER_R, 700, 367)).contains(Kind.OUTSIDE_THE_PICTURE);
    assertThat(about(Landmark.HAIR_TOP, 300, -1)).contains(Kind.OUTSIDE_THE_PICTURE);
  }

  @Test
  void aCrownBelowOrOnTheChinIsTold() {
    assertThat(about(Landmark.CROWN, 300, 420)).contains(Kind.CROWN_BELOW_CHIN);
    assertThat(about(Landmark.CROWN, 300.5, 300)).contains(Kind.CROWN_ON_CHIN);
  }

  @Test
  void leftAndRightExchangedAreTold() {
    Marks exchanged = exchanged(Landmark.CHEEK_L);
    assertThat(at(exchanged, Landmark.CHEEK_L)).contains(Kind.LEFT_AND_RIGHT_EXCHANGED);
    assertThat(at(exchanged, Landmark.CHEEK_R)).isEmpty();
    assertThat(at(exchanged(Landmark.MOUTH_L), Landmark.MOUTH_L))
        .contains(Kind.LEFT_AND_RIGHT_EXCHANGED);
  }

  @Test
  void eyesExchangedAsAWholeAreTold() {
    Marks swapped = Canon.realistic();
    for (Landmark landmark : new Landmark[] {Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER}) {
      swapped = exchanged(swapped, landmark);
    }
    assertThat(at(swapped, Landmark.EYE_L_OUTER)).contains(Kind.LEFT_AND_RIGHT_EXCHANGED);
  }

  @Test
  void cornersOfOneEyeExchangedAreTold() {
    Marks turned =
        Canon.realistic()
            .with(Landmark.EYE_L_OUTER, Mark.placed(285, 200))
            .with(Landmark.EYE_L_INNER, Mark.placed(255, 200));
    assertThat(at(turned, Landmark.EYE_L_INNER)).contains(Kind.CORNERS_EXCHANGED);
    assertThat(at(turned, Landmark.EYE_R_INNER)).isEmpty();
  }

  @Test
  void anEyeWithoutWidthIsTold() {
    assertThat(about(Landmark.EYE_L_INNER, 255, 200)).contains(Kind.EYE_WITHOUT_WIDTH);
  }

  @Test
  void anEyeUpsideDownIsTold() {
    assertThat(about(Landmark.EYE_R_TOP, 332, 220)).contains(Kind.TOP_BELOW_BOTTOM);
  }

  @Test
  void aSoleAboveTheChinIsTold() {
    assertThat(about(Landmark.SOLE, 300, 40)).contains(Kind.SOLE_ABOVE_CHIN);
  }

  @Test
  void crossedLegsAndArmsAreAPose() {
    assertThat(Doubt.about(exchanged(Landmark.ANKLE_L), WIDTH, HEIGHT)).isEmpty();
    assertThat(Doubt.about(exchanged(Landmark.WRIST_L), WIDTH, HEIGHT)).isEmpty();
  }

  private static Optional<Kind> about(Landmark landmark, double x, double y) {
    return at(Canon.realistic().with(landmark, Mark.placed(x, y)), landmark);
  }

  private static Optional<Kind> at(Marks marks, Landmark landmark) {
    return Doubt.about(marks, WIDTH, HEIGHT).stream()
        .filter(doubt -> doubt.at() == landmark)
        .map(Doubt::kind)
        .findFirst();
  }

  private static Marks exchanged(Landmark left) {
    return exchanged(Canon.realistic(), left);
  }

  private static Marks exchanged(Marks marks, Landmark left) {
    Mark one = marks.landmarks().get(left);
    Mark other = marks.landmarks().get(left.mirrored());
    return marks.with(left, other).with(left.mirrored(), one);
  }
}
