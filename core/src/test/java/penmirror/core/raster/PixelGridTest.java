package penmirror.core.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.geometry.Point;

class PixelGridTest {

  @Test
  void theMiddleOfTheFirstPixelIsHalfAPixelIn() {
    assertThat(PixelGrid.point(0, 0)).isEqualTo(new Point(0.5, 0.5));
    assertThat(PixelGrid.place(0.5)).isZero();
  }

  /** Four pixels make one of a copy that is four times smaller; its middle is theirs. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 7})
  void aPixelOfTheCopyLiesOverItsPixels(int factor) {
    for (int column = 0; column < 30; column++) {
      assertThat(PixelGrid.cell(column, factor)).isEqualTo(column / factor);
    }
    for (int cell = 0; cell < 5; cell++) {
      double middle = (cell * factor + (cell + 1) * factor - 1) / 2.0;
      assertThat(PixelGrid.toLarge(cell, factor)).isCloseTo(middle, offset(1e-12));
      assertThat(PixelGrid.toCopy(middle, factor)).isCloseTo(cell, offset(1e-12));
    }
    assertThat(PixelGrid.cell(-0.6, factor)).isNegative();
  }
}
