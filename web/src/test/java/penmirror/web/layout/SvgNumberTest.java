package penmirror.web.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SvgNumberTest {
  /** Held against the formatter of the language, but for its zero below zero. */
  @Test
  void itWritesWhatTheFormatterWould() {
    Random random = new Random(5);
    for (int i = 0; i < 1000; i++) {
      double value = (random.nextDouble() - 0.5) * Math.pow(10, random.nextInt(7));
      String formatted = String.format(Locale.ROOT, "%.1f", value);
      assertThat(SvgNumber.of(value))
          .as("%s", value)
          .isEqualTo(formatted.equals("-0.0") ? "0.0" : formatted);
    }
  }

  @Test
  void wholeNumbersKeepTheirTenth() {
    assertThat(SvgNumber.of(-0.04)).isEqualTo("0.0");
    assertThat(SvgNumber.of(9_999_999)).isEqualTo("9999999.0");
    assertThat(SvgNumber.of(12)).isEqualTo("12.0");
  }
}
