package penmirror.core.proposal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.OkLabPlanes;

/** Which tones of a face belong together, on plain strips of colour. */
class SkinTonesTest {
  private static final int WIDTH = 120;
  private static final int HEIGHT = 60;
  private static final int SKIN = 0xE8B98F;
  private static final int SHADE = 0xC0946E;
  private static final int INK = 0x2A2320;
  private static final int SHIRT = 0x6E8AC0;

  private final int[] rgb = new int[WIDTH * HEIGHT];

  SkinTonesTest() {
    Arrays.fill(rgb, SKIN);
  }

  private void columns(int from, int to, int colour) {
    for (int y = 0; y < HEIGHT; y++) {
      Arrays.fill(rgb, y * WIDTH + from, y * WIDTH + to, colour);
    }
  }

  /** Grown from what is of the skin's very colour, in the left half. */
  private boolean[] grown() {
    OkLabPlanes planes = OkLabPlanes.of(rgb.length, i -> rgb[i]);
    float[][] lab = new float[3][rgb.length];
    boolean[] seed = new boolean[rgb.length];
    boolean[] middle = new boolean[rgb.length];
    for (int i = 0; i < rgb.length; i++) {
      lab[0][i] = planes.lightness(i);
      lab[1][i] = planes.a(i);
      lab[2][i] = planes.b(i);
      seed[i] = rgb[i] == SKIN;
      middle[i] = i % WIDTH < WIDTH / 2;
    }
    OkLabPlanes skin = OkLabPlanes.of(1, i -> SKIN);
    double[] colour = {skin.lightness(0), skin.a(0), skin.b(0)};
    return new SkinTones(WIDTH, HEIGHT, lab[0], lab[1], lab[2], colour).grownFrom(seed, middle);
  }

  private static boolean at(boolean[] set, int x) {
    return set[HEIGHT / 2 * WIDTH + x];
  }

  @Test
  void aShadowWithoutALineIsSkin() {
    columns(70, WIDTH, SHADE);
    assertThat(at(grown(), 100)).isTrue();
  }

  @Test
  void theSameToneBehindALineIsNot() {
    columns(70, 74, INK);
    columns(74, WIDTH, SHADE);
    boolean[] skin = grown();
    assertThat(at(skin, 40)).isTrue();
    assertThat(at(skin, 72)).isFalse();
    assertThat(at(skin, 100)).isFalse();
  }

  /** A neck of the very colour of the face, parted from it by the line of the chin. */
  @Test
  void whatALinePartsFromTheFaceIsLeftOut() {
    columns(70, 74, INK);
    assertThat(at(grown(), 100)).isFalse();
  }

  @Test
  void anotherHueIsNoTone() {
    columns(70, WIDTH, SHIRT);
    assertThat(at(grown(), 100)).isFalse();
  }

  @Test
  void aSoftGradientIsOnePiece() {
    for (int x = 0; x < WIDTH; x++) {
      double share = Math.max(0, Math.min(1, (x - 30) / 60.0));
      int colour = 0;
      for (int shift : new int[] {16, 8, 0}) {
        double value = ((SKIN >> shift) & 255) * (1 - share) + ((SHADE >> shift) & 255) * share;
        colour |= (int) Math.round(value) << shift;
      }
      columns(x, x + 1, colour);
    }
    assertThat(at(grown(), 110)).isTrue();
  }

  /** Lines drawn on skin stay: the mouth of a line drawing is made of them. */
  @Test
  void linesOnSkinAreNotSkin() {
    for (int x = 70; x + 5 < WIDTH; x += 5) {
      columns(x, x + 2, INK);
    }
    boolean[] skin = grown();
    assertThat(at(skin, 71)).isFalse();
    assertThat(at(skin, 76)).isFalse();
  }

  /** Noise has no even pieces: then there is only the colour to go by. */
  @Test
  void noiseStaysTheSeed() {
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] = (i * 31 + i / WIDTH * 17) % 3 == 0 ? SKIN : INK;
    }
    boolean[] skin = grown();
    for (int i = 0; i < rgb.length; i++) {
      assertThat(skin[i]).isEqualTo(rgb[i] == SKIN);
    }
  }
}
