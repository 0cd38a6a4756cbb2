package penmirror.core.mixing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import penmirror.core.colour.EncodedSrgb;

class BlendModeTest {

  /**
   * Worked by hand from the formulas of W3C Compositing and Blending Level 1, section 9.1: B(Cb,
   * Cs) with Cb the base and Cs the layer, each branch once and its ends.
   */
  @ParameterizedTest
  @CsvSource({
    "MULTIPLY, 0.5, 0.4, 0.2",
    "SCREEN, 0.5, 0.4, 0.7",
    "OVERLAY, 0.25, 0.4, 0.2",
    "OVERLAY, 0.75, 0.4, 0.7",
    "SOFT_LIGHT, 0.5, 0.25, 0.375",
    "SOFT_LIGHT, 0.25, 0.75, 0.375",
    "SOFT_LIGHT, 0.16, 0.75, 0.279168",
    "SOFT_LIGHT, 0.64, 0.75, 0.72",
    "HARD_LIGHT, 0.5, 0.25, 0.25",
    "HARD_LIGHT, 0.5, 0.75, 0.75",
    "DARKEN, 0.3, 0.6, 0.3",
    "LIGHTEN, 0.3, 0.6, 0.6",
    "COLOR_DODGE, 0, 1, 0",
    "COLOR_DODGE, 0.3, 1, 1",
    "COLOR_DODGE, 0.3, 0.4, 0.5",
    "COLOR_DODGE, 0.8, 0.4, 1",
    "COLOR_BURN, 1, 0, 1",
    "COLOR_BURN, 0.7, 0, 0",
    "COLOR_BURN, 0.7, 0.6, 0.5",
    "COLOR_BURN, 0.2, 0.6, 0"
  })
  void isAsTheRecommendationSays(BlendMode mode, double base, double layer, double seen) {
    assertThat(mode.of(base, layer)).isCloseTo(seen, offset(1e-9));
  }

  /** What the answers stand on: all 256 layers of every base, in order. */
  @ParameterizedTest
  @EnumSource
  void neverFallsAsTheLayerGetsLighterAndStaysInside(BlendMode mode) {
    for (int base = 0; base <= 255; base++) {
      double before = -1;
      for (int layer = 0; layer <= 255; layer++) {
        double seen = mode.of(base / 255.0, layer / 255.0);
        assertThat(seen).isBetween(Math.max(0, before - 1e-12), 1.0);
        before = seen;
      }
    }
  }

  /** Black at 21 % leaves 0.79 of every channel; common practice. */
  @ParameterizedTest
  @EnumSource(names = {"MULTIPLY", "DARKEN", "HARD_LIGHT"})
  void blackAtAFifthDarkensEveryChannelAlike(BlendMode mode) {
    EncodedSrgb seen =
        mode.over(EncodedSrgb.fromHex("#F0CBA6"), EncodedSrgb.fromHex("#000000"), 0.21);
    EncodedSrgb base = EncodedSrgb.fromHex("#F0CBA6");
    assertThat(seen.red()).isCloseTo(0.79 * base.red(), offset(1e-9));
    assertThat(seen.green()).isCloseTo(0.79 * base.green(), offset(1e-9));
    assertThat(seen.blue()).isCloseTo(0.79 * base.blue(), offset(1e-9));
  }

  /** Middle grey at half strength, as a texture is laid over, changes nothing; common practice. */
  @Test
  void middleGreyOverlayLeavesAllAsItIs() {
    EncodedSrgb base = EncodedSrgb.fromHex("#7C8450");
    EncodedSrgb seen = BlendMode.OVERLAY.over(base, new EncodedSrgb(0.5, 0.5, 0.5), 0.5);
    assertThat(seen.hex()).isEqualTo(base.hex());
  }

  @Test
  void noOpacityIsNoLayer() {
    EncodedSrgb base = EncodedSrgb.fromHex("#123456");
    for (BlendMode mode : BlendMode.values()) {
      assertThat(mode.over(base, EncodedSrgb.fromHex("#FF0080"), 0)).isEqualTo(base);
      assertThat(BlendMode.ofWord(mode.word())).contains(mode);
    }
    assertThat(BlendMode.ofWord("sideways")).isEmpty();
  }
}
