package penmirror.core.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.awt.image.BufferedImage;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

class PlanesTest {

  @Test
  void betweenPixelsValuesRunStraight() {
    Plane plane = new Plane(2, 2, new float[] {0, 1, 2, 3});
    assertThat(plane.at(0, 0)).isZero();
    assertThat(plane.at(0.5, 0)).isCloseTo(0.5f, offset(1e-6f));
    assertThat(plane.at(0.5, 0.5)).isCloseTo(1.5f, offset(1e-6f));
  }

  @Test
  void outsideThePlaneItsEdgeIsHeld() {
    Plane plane = new Plane(2, 2, new float[] {0, 1, 2, 3});
    assertThat(plane.at(-5, -5)).isZero();
    assertThat(plane.at(9, 9)).isEqualTo(3);
  }

  @Test
  void sizesThatDoNotFitAreRefusedWithBoth() {
    assertThatThrownBy(() -> new Plane(2, 2, new float[3]))
        .hasMessageContaining("2 x 2")
        .hasMessageContaining("3");
    assertThatThrownBy(() -> new Mask(2, 2, new boolean[5])).hasMessageContaining("5");
    assertThatThrownBy(() -> new Picture(2, 0, new int[0])).hasMessageContaining("2 x 0");
  }

  @Test
  void specksGoAndPiecesStay() {
    boolean[] set = new boolean[100];
    set[11] = true;
    for (int i = 50; i < 60; i++) {
      set[i] = true;
    }
    set[44] = true; // touches the row below by a corner
    Mask kept = new Mask(10, 10, set).withoutSpecks(5);
    assertThat(kept.at(1, 1)).isFalse();
    assertThat(kept.at(4, 4)).isTrue();
    assertThat(kept.count()).isEqualTo(11);
    assertThat(set[11]).as("the mask itself is not modified").isTrue();
  }

  @Test
  void aMaskIsFalseOutside() {
    Mask mask = new Mask(1, 1, new boolean[] {true});
    assertThat(mask.at(0, 0)).isTrue();
    assertThat(mask.at(-1, 0)).isFalse();
    assertThat(mask.at(0, 1)).isFalse();
  }

  @Test
  void shrinkingTakesTheMeanOfEachBlock() {
    Picture picture =
        picture(
            4, 2, 0x000000, 0xFFFFFF, 0x102030, 0x102030, 0xFFFFFF, 0x000000, 0x102030, 0x102030);
    Picture small = picture.shrunk(2);
    assertThat(small.widthPixels()).isEqualTo(2);
    assertThat(small.heightPixels()).isEqualTo(1);
    assertThat(small.rgb(0)).isEqualTo(0x808080);
    assertThat(small.rgb(1)).isEqualTo(0x102030);
  }

  @Test
  void blocksCutByTheEdgeAreMeansOfWhatIsThere() {
    Picture small = picture(3, 1, 0x000000, 0x000000, 0xFFFFFF).shrunk(2);
    assertThat(small.widthPixels()).isEqualTo(2);
    assertThat(small.rgb(1)).isEqualTo(0xFFFFFF);
  }

  @Test
  void shrinkingByOneIsThePictureItself() {
    Picture picture = picture(1, 1, 0x123456);
    assertThat(picture.shrunk(1)).isSameAs(picture);
    assertThat(picture.toImage().getRGB(0, 0) & 0xFFFFFF).isEqualTo(0x123456);
  }

  /** A cross keeps its four arms, and its middle stays one piece. */
  @Test
  void thinningKeepsACrossConnected() {
    boolean[] set = new boolean[60 * 60];
    for (int i = 10; i < 50; i++) {
      for (int t = -2; t <= 2; t++) {
        set[(30 + t) * 60 + i] = true;
        set[i * 60 + 30 + t] = true;
      }
    }
    Mask thin = Thinning.thin(new Mask(60, 60, set));
    assertThat(thin.withoutSpecks(thin.count()).count()).as("one piece").isEqualTo(thin.count());
    assertThat(thin.count()).isBetween(60, 85);
  }

  @Test
  void thinningNothingLeavesNothing() {
    assertThat(Thinning.thin(new Mask(5, 5, new boolean[25])).count()).isZero();
  }

  @Test
  void distanceInsideAFullMaskHasNoEnd() {
    boolean[] set = new boolean[9];
    Arrays.fill(set, true);
    assertThat(Distance.toOutside(new Mask(3, 3, set)).values()[4]).isGreaterThan(1e6f);
  }

  private static Picture picture(int width, int height, int... rgb) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    image.setRGB(0, 0, width, height, rgb, 0, width);
    return Picture.from(image);
  }
}
