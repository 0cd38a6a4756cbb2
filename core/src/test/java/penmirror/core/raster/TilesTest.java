package penmirror.core.raster;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TilesTest {
  @Test
  void everyTileHasItsShare() {
    int[] counts = new int[Tiles.COUNT];
    for (int i = 0; i < 120 * 60; i++) {
      counts[Tiles.at(i % 120, i / 120, 120, 60)]++;
    }
    assertThat(Arrays.stream(counts).distinct()).containsExactly(50);
  }

  @ParameterizedTest
  @CsvSource({"1, 1", "5, 7", "16384, 40", "40, 16384", "30000, 30000"})
  void theCornersLieInTheFirstAndTheLastTile(int width, int height) {
    assertThat(Tiles.at(0, 0, width, height)).isZero();
    int last = Tiles.at(width - 1, height - 1, width, height);
    assertThat(last).isLessThan(Tiles.COUNT);
    assertThat(last)
        .isEqualTo(12 * (12 - (12 + height - 1) / height) + 12 - (12 + width - 1) / width);
  }
}
