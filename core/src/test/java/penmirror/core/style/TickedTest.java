package penmirror.core.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.offset;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.style.Ticked.Holds;

class TickedTest {

  @ParameterizedTest
  @CsvSource({
    "9, 0, ALWAYS", "3, 0, ALWAYS", "2, 0, FREE", "1, 0, FREE", "9, 1, USUALLY",
    "5, 5, FREE", "1, 9, SELDOM", "0, 9, NEVER", "0, 3, NEVER", "0, 1, FREE"
  })
  void theShareOfYesMakesTheRule(int yes, int no, Holds holds) {
    assertThat(new Ticked("nails", "Nails are drawn", DrawingStage.LINE, yes, no).holds())
        .isEqualTo(holds);
  }

  /**
   * Wilson's interval written out: (p + z²/2n ± z √(p(1−p)/n + z²/4n²)) / (1 + z²/n), z = 1.6449.
   */
  @ParameterizedTest
  @CsvSource({"8, 2", "1, 0", "0, 12", "30, 11"})
  void theIntervalIsWilsons(int yes, int no) {
    double z = 1.6448536269514722;
    double n = yes + no;
    double p = yes / n;
    double middle = p + z * z / (2 * n);
    double half = z * Math.sqrt(p * (1 - p) / n + z * z / (4 * n * n));
    Ticked ticked = new Ticked("nails", "Nails are drawn", DrawingStage.LINE, yes, no);
    assertThat(ticked.low()).isCloseTo((middle - half) / (1 + z * z / n), offset(1e-9));
    assertThat(ticked.high()).isCloseTo((middle + half) / (1 + z * z / n), offset(1e-9));
    assertThat(ticked.share()).isBetween(ticked.low() - 1e-9, ticked.high() + 1e-9);
  }

  @Test
  void whatNobodyAnsweredIsNoStatement() {
    assertThatThrownBy(() -> new Ticked("nails", "Nails are drawn", DrawingStage.LINE, 0, 0))
        .hasMessageContaining("nails");
  }
}
