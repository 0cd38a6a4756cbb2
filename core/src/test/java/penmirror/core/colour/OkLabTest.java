package penmirror.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class OkLabTest {

  /**
   * The table of XYZ and OKLab pairs in Ottosson, A perceptual color space for image processing
   * (2020), printed to three decimals; XYZ is brought to linear sRGB by the inverse matrix of IEC
   * 61966-2-1.
   */
  @ParameterizedTest
  @CsvSource({
    "0.950, 1.000, 1.089, 1.000, 0.000, 0.000",
    "1.000, 0.000, 0.000, 0.450, 1.236, -0.019",
    "0.000, 1.000, 0.000, 0.922, -0.671, 0.263",
    "0.000, 0.000, 1.000, 0.153, -1.415, -0.449"
  })
  void agreesWithTheAuthorsPairs(
      double x, double y, double z, double lightness, double a, double b) {
    double red = 3.2406255 * x - 1.5372080 * y - 0.4986286 * z;
    double green = -0.9689307 * x + 1.8757561 * y + 0.0415175 * z;
    double blue = 0.0557101 * x - 0.2040211 * y + 1.0569959 * z;
    OkLab lab = OkLab.fromLinear(red, green, blue);
    assertThat(lab.lightness()).isCloseTo(lightness, offset(0.002));
    assertThat(lab.a()).isCloseTo(a, offset(0.002));
    assertThat(lab.b()).isCloseTo(b, offset(0.002));
  }

  /** IEC 61966-2-1: the curve meets its straight part at 0.04045, and 0.5 encodes 0.2140. */
  @Test
  void srgbCurveIsTheStandards() {
    assertThat(EncodedSrgb.toLinear(0.5)).isCloseTo(0.21404, offset(0.00001));
    assertThat(EncodedSrgb.toLinear(0.04045)).isCloseTo(0.04045 / 12.92, offset(1e-12));
    assertThat(EncodedSrgb.toLinear(0.040450001))
        .isCloseTo(EncodedSrgb.toLinear(0.04045), offset(1e-7));
    assertThat(EncodedSrgb.toLinear(1)).isEqualTo(1);
    assertThat(EncodedSrgb.fromLinear(0.21404)).isCloseTo(0.5, offset(0.00001));
  }

  @ParameterizedTest
  @ValueSource(strings = {"#000000", "#FFFFFF", "#F0CBA6", "#4D4566", "#7C8450", "#0000FF"})
  void goesThereAndBack(String hex) {
    assertThat(OkLab.from(EncodedSrgb.fromHex(hex)).toEncodedSrgb().hex()).isEqualTo(hex);
  }

  @Test
  void planesAgreeWithSingleColours() {
    int[] pixels = {0xF0CBA6, 0xF0CBA6, 0x123456};
    OkLabPlanes planes = OkLabPlanes.of(pixels.length, i -> pixels[i]);
    for (int i = 0; i < pixels.length; i++) {
      assertThat(planes.at(i).distanceTo(OkLab.from(EncodedSrgb.fromRgb(pixels[i]))))
          .isLessThan(1e-6);
    }
    assertThat(planes.distance(0, 1)).isZero();
  }

  @Test
  void aColourThatIsNoneSaysWhatIsExpected() {
    assertThatThrownBy(() -> EncodedSrgb.fromHex("#12345"))
        .hasMessageContaining("six digits")
        .hasMessageContaining("#12345");
    assertThatThrownBy(() -> new EncodedSrgb(1.1, 0, 0)).hasMessageContaining("1.1");
  }

  /**
   * What sRGB cannot show goes grey until it can, at its lightness and hue: within two 8-bit steps
   * of clampChroma in OKLCh by the colour library culori 4.
   */
  @ParameterizedTest
  @CsvSource({
    "0.70, 0.30, 30, false, #FF6551",
    "0.50, 0.30, 140, false, #217700",
    "0.35, 0.30, 265, false, #0700B4",
    "0.95, 0.20, 110, true, #F8F929",
    "0.20, 0.20, 60, false, #251000",
    "0.85, 0.25, 330, false, #FFADF7",
    "0.60, 0.05, 200, true, #5C8A8C",
    "0.98, 0.10, 30, false, #FFF6F5"
  })
  void whatCannotBeShownGetsDuller(
      double lightness, double chroma, double hue, boolean isShown, String hex) {
    double angle = Math.toRadians(hue);
    OkLab wanted = new OkLab(lightness, chroma * Math.cos(angle), chroma * Math.sin(angle));
    assertThat(wanted.isShown()).isEqualTo(isShown);
    OkLab shown = wanted.shown();
    EncodedSrgb library = EncodedSrgb.fromHex(hex);
    assertThat(shown.toEncodedSrgb().red()).isCloseTo(library.red(), offset(2 / 255.0));
    assertThat(shown.toEncodedSrgb().green()).isCloseTo(library.green(), offset(2 / 255.0));
    assertThat(shown.toEncodedSrgb().blue()).isCloseTo(library.blue(), offset(2 / 255.0));
    assertThat(shown.isShown()).isTrue();
    assertThat(shown.lightness()).isCloseTo(lightness, offset(1e-12));
    assertThat(shown.hueDegrees()).isCloseTo(hue, offset(0.01));
  }

  @Test
  void lighterThanWhiteIsWhite() {
    assertThat(new OkLab(1.2, 0.1, 0.1).shown().toEncodedSrgb().hex()).isEqualTo("#FFFFFF");
    assertThat(new OkLab(-0.1, 0.1, 0.1).shown().toEncodedSrgb().hex()).isEqualTo("#000000");
    assertThat(OkLab.from(EncodedSrgb.fromHex("#FFFFFF")).isShown()).isTrue();
  }
}
