package penmirror.demoart.manner;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.util.EnumMap;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.demoart.studio.Hands;

class MannerTest {

  @Test
  void aParameterOutOfRangeNamesItselfItsValueAndItsRange() {
    assertThatThrownBy(() -> Hands.ODILE.centre().with(Parameter.STATURE, 14))
        .isInstanceOf(ParameterOutOfRange.class)
        .hasMessageContaining("stature is 14.0")
        .hasMessageContaining("2.5 to 10.0");
    assertThatThrownBy(() -> Hands.ODILE.centre().times(Parameter.EYE_LINE, -1))
        .hasMessageContaining("eye-line is -0.61");
    assertThatThrownBy(() -> Hands.ODILE.centre().with(Parameter.JAW, Double.NaN))
        .hasMessageContaining("jaw is NaN");
  }

  @Test
  void everyParameterNeedsAValue() {
    Map<Parameter, Double> few = new EnumMap<>(Parameter.class);
    few.put(Parameter.STATURE, 4.0);
    assertThatThrownBy(() -> Parameters.of(few)).hasMessageContaining("legs has no value");
  }

  @Test
  void aPaletteNeedsEveryRole() {
    assertThatThrownBy(() -> Palette.of("skin F0CBA6")).hasMessageContaining("no colour for paper");
  }

  /** Drawn values have the centre and the spread that the manner states. */
  @Test
  void drawsComeFromTheMannersOwnSpread() {
    Random random = new Random(5);
    int n = 4000;
    double sum = 0;
    double squares = 0;
    for (int i = 0; i < n; i++) {
      double value = Hands.CASIMIR.draw(random).get(Parameter.STATURE);
      sum += value;
      squares += value * value;
      assertThat(value).isBetween(8.6 - 0.3201, 8.6 + 0.3201);
    }
    double mean = sum / n;
    assertThat(mean).isCloseTo(8.6, offset(0.01));
    // Cut at two deviations, a normal spread shrinks to 0.96 of itself (values at the cut count).
    assertThat(Math.sqrt(squares / n - mean * mean)).isCloseTo(0.16 * 0.96, offset(0.006));
    assertThat(Hands.CASIMIR.draw(random).get(Parameter.ANGULAR)).isEqualTo(1);
  }

  @Test
  void sameSeedSameParameters() {
    assertThat(Hands.INES.draw(new Random(3)).get(Parameter.EYE_TILT))
        .isEqualTo(Hands.INES.draw(new Random(3)).get(Parameter.EYE_TILT));
  }

  @Test
  void aPaletteIsReadAsWritten() {
    Palette odd =
        Palette.of(
            "paper FFFFFF ink 000000 skin F0CBA6 hair 4D4566 coat 7C8450 shirt F2E7D0 scarf E3A93F"
                + " legs 5D5A63 shoes 4A382F hat F6EEDD wood 8A5E36 metal B98A3C glow F8DC86"
                + " eye FFFDF8 iris 5B7480 mouth 8A3B36 blush E58F6C");
    assertThat(odd.of(Role.SKIN)).isEqualTo(OkLab.from(EncodedSrgb.fromHex("F0CBA6")));
    assertThat(odd.with("skin 112233").of(Role.SKIN).toEncodedSrgb().hex()).isEqualTo("#112233");
  }
}
