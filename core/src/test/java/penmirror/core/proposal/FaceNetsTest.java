package penmirror.core.proposal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;
import penmirror.core.OpenArt;
import penmirror.core.figure.Landmark;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;
import tools.jackson.databind.JsonNode;

/** What the nets see: on plain ellipses with true places, and on heads by hands they never saw. */
class FaceNetsTest {
  private static final EyeFrame EYES = new EyeFrame(new Point(240, 260), new Point(360, 260));

  private static Ground ground(BufferedImage image) {
    return new Ground(Picture.from(image));
  }

  private static EyeFrame working(Ground ground, EyeFrame eyes) {
    return new EyeFrame(ground.toWorking(eyes.left()), ground.toWorking(eyes.right()));
  }

  private static BufferedImage turnedOver(BufferedImage image) {
    BufferedImage over =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        over.setRGB(image.getWidth() - 1 - x, y, image.getRGB(x, y));
      }
    }
    return over;
  }

  /** Eyes 64 wide at 240 and 360, mouth from 260 to 340 at 380: in units of 120 from (300, 260). */
  @Test
  void aPlainFaceIsSeenWhereItIs() {
    Ground ground = ground(FaceFinderTest.face(false));
    TaughtFace face = TaughtFace.of(ground, working(ground, EYES));
    assertThat(face.odds()).isPositive();
    assertThat(face.place(Landmark.EYE_L_OUTER).x()).isCloseTo(-0.767, within(0.12));
    assertThat(face.place(Landmark.EYE_L_INNER).x()).isCloseTo(-0.233, within(0.12));
    assertThat(face.place(Landmark.EYE_R_INNER).x()).isCloseTo(0.233, within(0.12));
    assertThat(face.place(Landmark.EYE_R_OUTER).x()).isCloseTo(0.767, within(0.12));
    assertThat(face.place(Landmark.MOUTH_L).distanceTo(new Point(-0.333, 1))).isLessThan(0.15);
    assertThat(face.place(Landmark.MOUTH_R).distanceTo(new Point(0.333, 1))).isLessThan(0.15);
  }

  /** The same net looks at both eyes: a picture turned over gives the same places turned over. */
  @Test
  void anEyeTurnedOverIsTheSameEye() {
    Ground straight = ground(FaceFinderTest.face(true));
    Ground over = ground(turnedOver(FaceFinderTest.face(true)));
    EyeFrame eyes = working(straight, EYES);
    FaceNets.Said left = FaceNets.ask(FaceNets.Kind.EYE, straight, eyes, new Point(-0.5, 0), false);
    FaceNets.Said right = FaceNets.ask(FaceNets.Kind.EYE, over, eyes, new Point(0.5, 0), true);
    for (Landmark landmark : FaceNets.Kind.EYE.landmarks()) {
      Point one = left.place(landmark);
      Point other = right.place(landmark.mirrored());
      assertThat(new Point(-other.x(), other.y()).distanceTo(one)).isLessThan(0.02);
    }
  }

  /** Twice as contrasted, lighter, in a coloured light: the same to a net. */
  @Test
  void neitherLightNorTintIsSeen() {
    float[][] values = {{0.2f, 0.5f, 0.4f, 0.3f}, {0.01f, 0.02f, 0, 0}, {0, 0, 0.03f, 0.01f}};
    float[][] lit = {{0.5f, 1.1f, 0.9f, 0.7f}, {0.06f, 0.07f, 0.05f, 0.05f}, {0, 0, 0.03f, 0.01f}};
    assertThat(FaceNets.evened(lit)).containsExactly(FaceNets.evened(values), within(1e-4f));
  }

  /** A face lies round the eyes, and none a distance of them lower. */
  @Test
  void headsOfOtherHandsAreTakenForFaces() throws IOException {
    int seen = 0;
    int elsewhere = 0;
    int count = 0;
    JsonNode truth = OpenArt.truth();
    for (String head : OpenArt.heads()) {
      JsonNode box = truth.path(head).path("parts").path("eyes").path("box");
      if (box.isMissingNode()) {
        continue;
      }
      count++;
      Ground ground = new Ground(OpenArt.draw("heads", head, 768));
      double wide = box.get(2).asDouble() - box.get(0).asDouble();
      double y = (box.get(1).asDouble() + box.get(3).asDouble()) / 2;
      Point left = new Point(box.get(0).asDouble() + 0.2 * wide, y);
      Point right = new Point(box.get(2).asDouble() - 0.2 * wide, y);
      EyeFrame eyes = working(ground, new EyeFrame(left, right));
      Point down = new Point(0, eyes.distance());
      EyeFrame lower = new EyeFrame(eyes.left().plus(down), eyes.right().plus(down));
      seen += TaughtFace.of(ground, eyes).odds() > 0 ? 1 : 0;
      elsewhere += TaughtFace.of(ground, lower).odds() > 0 ? 1 : 0;
    }
    assertThat(count).isGreaterThanOrEqualTo(20);
    assertThat(seen).isGreaterThanOrEqualTo((int) (0.85 * count));
    assertThat(elsewhere).isLessThanOrEqualTo((int) (0.1 * count));
  }

  @Test
  void aCropShowsTheHeadInTheFrameOfItsEyes() {
    Picture picture = Picture.from(FaceFinderTest.face(false));
    HeadCrop crop = HeadCrop.round(picture, EYES.left(), EYES.right(), 140, 28);
    // Pupil, skin between, the white beside the pupil, the mouth's line.
    assertThat(crop.at(0, -0.5, 0)).isLessThan(0.4f);
    assertThat(crop.at(0, 0, 0.3)).isBetween(0.7f, 0.9f);
    assertThat(crop.at(0, -0.5 - 20 / 120.0, 0)).isGreaterThan(0.9f);
    assertThat(crop.at(0, 0, 1)).isLessThan(0.6f);
    assertThat(crop.at(2, 0, 0.3)).isGreaterThan(0.04f);
  }

  @Test
  void pairsThatAreNoEyesLieElsewhere() {
    Picture picture = Picture.from(FaceFinderTest.face(false));
    List<HeadCrop> others = HeadCrop.roundNoEyes(picture, EYES.left(), EYES.right(), 3, 72, 18);
    assertThat(others).isNotEmpty().hasSizeLessThanOrEqualTo(3);
    HeadCrop face = HeadCrop.round(picture, EYES.left(), EYES.right(), 72, 18);
    assertThat(others).noneMatch(other -> other.equals(face));
  }
}
