package penmirror.core.raster;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MaskTest {
  /** Against looking at every square pixel by pixel. */
  @ParameterizedTest
  @ValueSource(ints = {0, 1, 2, 5, 40})
  void shrunkKeepsWhereTheWholeSquareIsSet(int radius) {
    int width = 37;
    int height = 23;
    Random random = new Random(5);
    boolean[] set = new boolean[width * height];
    for (int i = 0; i < set.length; i++) {
      set[i] = random.nextInt(60) > 0;
    }
    Mask shrunk = new Mask(width, height, set).shrunk(radius);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        boolean all = true;
        for (int sy = Math.max(0, y - radius); sy <= Math.min(height - 1, y + radius); sy++) {
          for (int sx = Math.max(0, x - radius); sx <= Math.min(width - 1, x + radius); sx++) {
            all &= set[sy * width + sx];
          }
        }
        assertThat(shrunk.at(x, y)).as("%d %d", x, y).isEqualTo(all);
      }
    }
  }

  @Test
  void specksFallAwayAndTheMaskStays() {
    boolean[] set = {true, false, false, true, false, false, false, false, true};
    Mask mask = new Mask(3, 3, set);
    assertThat(mask.withoutSpecks(2).count()).isEqualTo(2);
    assertThat(mask.count()).isEqualTo(3);
  }
}
