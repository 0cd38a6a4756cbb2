package penmirror.core.mixing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import penmirror.core.colour.EncodedSrgb;

class LayerAnswerTest {
  private static final EncodedSrgb SKIN = EncodedSrgb.fromHex("#F0CBA6");
  private static final EncodedSrgb SHADOW = EncodedSrgb.fromHex("#DCA580");

  /** Multiply can be turned round by hand: layer = target / base. */
  @Test
  void multiplyIsTheQuotient() {
    LayerAnswer answer = LayerAnswer.of(BlendMode.MULTIPLY, SKIN, SHADOW, 1);
    assertThat(answer.colour().orElseThrow().hex()).isEqualTo("#EACFC5");
    assertThat(answer.seen().hex()).isEqualTo("#DCA580");
  }

  @Test
  void whatOnlyLightensCannotDarken() {
    for (BlendMode mode :
        new BlendMode[] {BlendMode.SCREEN, BlendMode.LIGHTEN, BlendMode.COLOR_DODGE}) {
      LayerAnswer answer = LayerAnswer.of(mode, SKIN, SHADOW, 1);
      assertThat(answer.colour()).isEmpty();
      assertThat(answer.leastOpacityPercent()).isEmpty();
    }
  }

  /** Half of grey from white: multiply needs black at half, and can do it from there on. */
  @Test
  void leastOpacityIsWhereBlackIsNeeded() {
    EncodedSrgb white = EncodedSrgb.fromHex("#FFFFFF");
    EncodedSrgb grey = EncodedSrgb.fromHex("#808080");
    LayerAnswer answer = LayerAnswer.of(BlendMode.MULTIPLY, white, grey, 0.4);
    assertThat(answer.reached()).isFalse();
    // 0x80 is 0.502 of white; an 8-bit step short of it counts, so black at 50 % and not at 49.
    assertThat(answer.leastOpacityPercent()).hasValue(50);
  }

  /**
   * Targets that a random layer made are found again by every mode, within one 8-bit step of what
   * was seen, at the opacity they were made at; and are reached from the least opacity on.
   */
  @ParameterizedTest
  @EnumSource
  void findsALayerForWhateverALayerMade(BlendMode mode) {
    Random random = new Random(71);
    for (int i = 0; i < 300; i++) {
      EncodedSrgb base = EncodedSrgb.fromRgb(random.nextInt());
      EncodedSrgb layer = EncodedSrgb.fromRgb(random.nextInt());
      double opacity = (1 + random.nextInt(100)) / 100.0;
      EncodedSrgb made = EncodedSrgb.fromHex(mode.over(base, layer, opacity).hex());
      LayerAnswer answer = LayerAnswer.of(mode, base, made, opacity);
      assertThat(answer.reached()).as("%s over %s", layer.hex(), base.hex()).isTrue();
      assertThat(steps(mode.over(base, answer.nearest(), opacity), made)).isLessThanOrEqualTo(1.01);
      int least = answer.leastOpacityPercent().orElseThrow();
      assertThat(least).isLessThanOrEqualTo((int) Math.round(100 * opacity));
      assertThat(LayerAnswer.of(mode, base, made, least / 100.0).reached()).isTrue();
    }
  }

  /** Where it says that a mode cannot, no layer of a coarse grid over all colours comes nearer. */
  @ParameterizedTest
  @EnumSource
  void wherePossibleNothingIsNearer(BlendMode mode) {
    Random random = new Random(5);
    for (int i = 0; i < 40; i++) {
      EncodedSrgb base = EncodedSrgb.fromRgb(random.nextInt());
      EncodedSrgb target = EncodedSrgb.fromRgb(random.nextInt());
      LayerAnswer answer = LayerAnswer.of(mode, base, target, 0.7);
      double off = steps(answer.seen(), target);
      for (int grid = 0; grid < 17 * 17 * 17; grid++) {
        EncodedSrgb tried =
            new EncodedSrgb(grid % 17 / 16.0, grid / 17 % 17 / 16.0, grid / 289 / 16.0);
        assertThat(steps(mode.over(base, tried, 0.7), target)).isGreaterThan(off - 1.01);
      }
    }
  }

  /** The largest difference in any channel, in 8-bit steps. */
  private static double steps(EncodedSrgb one, EncodedSrgb other) {
    return 255
        * Math.max(
            Math.abs(one.red() - other.red()),
            Math.max(Math.abs(one.green() - other.green()), Math.abs(one.blue() - other.blue())));
  }
}
