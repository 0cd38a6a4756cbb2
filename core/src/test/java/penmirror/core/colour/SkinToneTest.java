package penmirror.core.colour;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SkinToneTest {
  /** Lightness, chroma and hue of a tone of a skin of 0.8, 0.08, 60°. */
  @ParameterizedTest
  @CsvSource({
    "0.80, 0.08, 60, true",
    "0.60, 0.08, 45, true",
    "0.92, 0.05, 70, true",
    "0.55, 0.08, 60, false",
    "0.95, 0.08, 60, false",
    "0.70, 0.08, 95, false",
    "0.70, 0.03, 60, false",
    "0.70, 0.18, 60, false"
  })
  void shadowFlushAndLightAreTones(double lightness, double chroma, double hue, boolean is) {
    OkLab skin = colour(0.8, 0.08, 60);
    assertThat(SkinTone.isToneOf(colour(lightness, chroma, hue), skin)).isEqualTo(is);
  }

  /** A grey skin has no hue to tell its tones by. */
  @ParameterizedTest
  @CsvSource({"0.8, 0.01", "0.7, 0.02"})
  void greySkinHasNoTones(double lightness, double chroma) {
    assertThat(SkinTone.isToneOf(colour(lightness, chroma, 60), colour(0.8, 0.02, 60))).isFalse();
  }

  private static OkLab colour(double lightness, double chroma, double hueDegrees) {
    double hue = Math.toRadians(hueDegrees);
    return new OkLab(lightness, chroma * Math.cos(hue), chroma * Math.sin(hue));
  }
}
