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
    Tiles tiles = new Tiles(120, 60);
    for (int i = 0; i < 120 * 60; i++) {
      assertThat(tiles.at(i)).isEqualTo(tiles.at(i % 120, i / 120));
      counts[tiles.at(i)]++;
    }
    assertThat(Arrays.stream(counts).distinct()).containsExactly(50);
  }

  @ParameterizedTest
  @CsvSource({"1, 1", "5, 7", "16384, 40", "40, 16384", "30000, 30000"})
  void theCornersLieInTheFirstAndTheLastTile(int width, int height) {
    Tiles tiles = new Tiles(width, height);
    assertThat(tiles.at(0, 0)).isZero();
    int last = tiles.at(width - 1, height - 1);
    assertThat(last).isLessThan(Tiles.COUNT);
    assertThat(last)
        .isEqualTo(12 * (12 - (12 + height - 1) / height) + 12 - (12 + width - 1) / width);
  }
}
