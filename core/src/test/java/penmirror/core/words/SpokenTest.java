package penmirror.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.shade.ShadeMeasures;

class SpokenTest {

  @ParameterizedTest
  @CsvSource({
    "0.0, none",
    "0.5, half",
    "0.6, six tenths",
    "0.33, a third",
    "0.25, a quarter",
    "0.17, a sixth",
    "1.0, all",
    "0.74, three quarters"
  })
  void partsAreSaidAsOneWouldShowThem(double share, String words) {
    assertThat(Spoken.part(share)).isEqualTo(words);
  }

  @ParameterizedTest
  @CsvSource({
    "4.2, four and a fifth",
    "7.5, seven and a half",
    "8.0, eight",
    "2.95, three",
    "6.24, six and a quarter",
    "1.34, one and a third"
  })
  void headsAreCountedAndTheRestIsAPart(double heads, String words) {
    assertThat(Spoken.mixed(heads)).isEqualTo(words);
  }

  @ParameterizedTest
  @CsvSource({
    "2.5, twice and a half",
    "1.5, once and a half",
    "1, once",
    "3, three times",
    "0.5, half"
  })
  void howManyTimes(double factor, String words) {
    assertThat(Spoken.times(factor)).isEqualTo(words);
  }

  /** Wherever it lies a word is found, and it never stands farther off than its neighbours do. */
  @Test
  void everyAmountHasItsWords() {
    for (double value = 0; value < 12; value += 0.01) {
      assertThat(Spoken.mixed(value)).isNotBlank().doesNotContain("  ");
      assertThat(Spoken.times(value)).isNotBlank();
      assertThat(Spoken.part(Math.min(1, value))).isNotBlank();
    }
  }

  @Test
  void eachUnitIsSpokenOfInItsOwnWay() {
    assertThat(Spoken.value(ProportionMeasures.STATURE, 4.2)).isEqualTo("four and a fifth");
    assertThat(Spoken.value(FaceMeasures.EYE_LINE, 0.61)).isEqualTo("six tenths");
    assertThat(Spoken.value(LineMeasures.WIDTH, 20)).isEqualTo("a 50th");
    assertThat(Spoken.value(LineMeasures.WIDTH, 125)).isEqualTo("an 8th");
    assertThat(Spoken.value(ShadeMeasures.LIGHTNESS_STEP, -0.13)).matches("1[0-9]");
  }

  /**
   * OKLab puts the mid of its lightness where sRGB has about 0x63, and both ends where they are.
   */
  @Test
  void brightnessIsWhatAPickerSays() {
    assertThat(Spoken.brightness(0)).isZero();
    assertThat(Math.round(Spoken.brightness(1))).isEqualTo(100);
    assertThat(Spoken.brightness(0.5)).isBetween(38.0, 40.0);
    assertThat(Spoken.pickerStep(-0.1)).isEqualTo(Spoken.pickerStep(0.1)).isPositive();
  }

  @Test
  void coloursAreCalledByTheirStrength() {
    assertThat(Spoken.strength(0)).isEqualTo("grey");
    assertThat(Spoken.strength(0.06)).isEqualTo("muted");
    assertThat(Spoken.strength(0.25)).isEqualTo("glowing");
  }
}
