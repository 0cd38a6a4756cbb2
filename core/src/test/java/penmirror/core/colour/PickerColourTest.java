package penmirror.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.Color;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Against the platform's own conversion. */
class PickerColourTest {
  @Test
  void everyColourIsAsThePlatformCountsIt() {
    Random random = new Random(5);
    for (int i = 0; i < 500; i++) {
      int rgb = random.nextInt(0x1000000);
      float[] hsb = Color.RGBtoHSB(rgb >> 16, (rgb >> 8) & 255, rgb & 255, null);
      PickerColour picked = PickerColour.of(EncodedSrgb.fromRgb(rgb));
      assertThat(Math.IEEEremainder(picked.hueDegrees() - 360 * hsb[0], 360))
          .as("%06X", rgb)
          .isCloseTo(0, offset(0.01));
      assertThat(picked.saturationPercent()).isCloseTo(100 * hsb[1], offset(0.01));
      assertThat(picked.brightnessPercent()).isCloseTo(100 * hsb[2], offset(0.01));
    }
  }

  @Test
  void greysHaveNoHueAndBlackNothing() {
    assertThat(PickerColour.of(EncodedSrgb.fromHex("#808080")).hueDegrees()).isZero();
    assertThat(PickerColour.of(EncodedSrgb.fromHex("#000000")))
        .isEqualTo(new PickerColour(0, 0, 0));
  }

  /** Every picked colour comes back as itself. */
  @Test
  void goesThereAndBack() {
    Random random = new Random(12);
    for (int i = 0; i < 500; i++) {
      EncodedSrgb colour = EncodedSrgb.fromRgb(random.nextInt());
      assertThat(PickerColour.of(colour).toEncodedSrgb().hex()).isEqualTo(colour.hex());
    }
    assertThat(new PickerColour(360, 100, 100).toEncodedSrgb().hex()).isEqualTo("#FF0000");
  }
}
