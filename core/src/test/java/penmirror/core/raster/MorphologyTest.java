package penmirror.core.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MorphologyTest {

  @Test
  void squareMaximumAgreesWithLookingAtEveryPixel() {
    Plane plane = noise(37, 53);
    Plane maximum = Morphology.squareMaximum(plane, 3);
    for (int y = 0; y < plane.height(); y++) {
      for (int x = 0; x < plane.width(); x++) {
        float expected = 0;
        for (int dy = -3; dy <= 3; dy++) {
          for (int dx = -3; dx <= 3; dx++) {
            int nx = Math.max(0, Math.min(plane.width() - 1, x + dx));
            int ny = Math.max(0, Math.min(plane.height() - 1, y + dy));
            expected = Math.max(expected, plane.values()[ny * plane.width() + nx]);
          }
        }
        assertThat(maximum.values()[y * plane.width() + x]).isCloseTo(expected, offset(1e-5f));
      }
    }
  }

  @Test
  void closingNeverDarkensAndDoingItTwiceChangesNothing() {
    Plane plane = noise(64, 48);
    Plane once = Morphology.octagonClosing(plane, 5);
    Plane twice = Morphology.octagonClosing(once, 5);
    for (int i = 0; i < plane.values().length; i++) {
      assertThat(once.values()[i]).isGreaterThanOrEqualTo(plane.values()[i] - 1e-5f);
      int x = i % 64;
      int y = i / 64;
      // Nearer to the border the padding of the second run is made from the closed plane.
      if (x >= 12 && y >= 12 && x < 52 && y < 36) {
        assertThat(twice.values()[i]).isCloseTo(once.values()[i], offset(1e-5f));
      }
    }
  }

  @Test
  void closingFillsALineInEveryDirectionAndKeepsABlock() {
    for (int slope = -1; slope <= 2; slope++) {
      float[] values = new float[80 * 80];
      Arrays.fill(values, 1f);
      for (int i = 10; i < 70; i++) {
        for (int t = 0; t < 4; t++) {
          int x = slope == 2 ? 38 + t : i;
          int y = slope == 2 ? i : 40 + slope * (i - 40) + t;
          values[y * 80 + x] = 0;
        }
      }
      Plane closed = Morphology.octagonClosing(new Plane(80, 80, values), 5);
      assertThat(closed.values()).as("slope %d", slope).containsOnly(1f);
    }
    float[] block = new float[80 * 80];
    Arrays.fill(block, 1f);
    for (int y = 20; y < 60; y++) {
      Arrays.fill(block, y * 80 + 20, y * 80 + 60, 0f);
    }
    assertThat(Morphology.octagonClosing(new Plane(80, 80, block), 5).values()[40 * 80 + 40])
        .isZero();
  }

  @Test
  void thinningKeepsPiecesAndLeavesLinesOfOnePixel() {
    boolean[] set = new boolean[50 * 50];
    for (int y = 10; y < 17; y++) {
      Arrays.fill(set, y * 50 + 5, y * 50 + 45, true);
    }
    Mask thin = Thinning.thin(new Mask(50, 50, set));
    assertThat(thin.count()).isBetween(30, 40);
    for (int x = 10; x < 40; x++) {
      int inColumn = 0;
      for (int y = 0; y < 50; y++) {
        inColumn += thin.at(x, y) ? 1 : 0;
      }
      assertThat(inColumn).isEqualTo(1);
    }
  }

  private static Plane noise(int width, int height) {
    Random random = new Random(2);
    float[] values = new float[width * height];
    for (int i = 0; i < values.length; i++) {
      values[i] = random.nextInt(256) / 255f;
    }
    return new Plane(width, height, values);
  }

  /** An octagon put together from its four sides, looked through place by place. */
  @ParameterizedTest
  @ValueSource(ints = {1, 3, 6, 9})
  void closingIsTheSmallestOfTheLargestOverAnOctagon(int radius) {
    int straight = Math.max(1, (int) Math.round(0.414 * radius));
    int slanted = Math.max(0, (int) Math.round((radius - straight) / 2.0));
    Set<List<Integer>> octagon = new HashSet<>();
    for (int across = -straight; across <= straight; across++) {
      for (int down = -straight; down <= straight; down++) {
        for (int falling = -slanted; falling <= slanted; falling++) {
          for (int rising = -slanted; rising <= slanted; rising++) {
            octagon.add(List.of(across + falling + rising, down + falling - rising));
          }
        }
      }
    }
    int size = 70;
    Random random = new Random(radius);
    float[] values = new float[size * size];
    for (int i = 0; i < values.length; i++) {
      values[i] = random.nextInt(256) / 255f;
    }
    float[] largest = new float[values.length];
    float[] smallest = new float[values.length];
    int reach = straight + 2 * slanted;
    extreme(values, largest, size, reach, octagon, 1);
    extreme(largest, smallest, size, 2 * reach, octagon, -1);
    float[] closed = Morphology.octagonClosing(new Plane(size, size, values), radius).values();
    for (int y = 2 * reach; y < size - 2 * reach; y++) {
      for (int x = 2 * reach; x < size - 2 * reach; x++) {
        assertThat(closed[y * size + x]).isEqualTo(smallest[y * size + x]);
      }
    }
  }

  private static void extreme(
      float[] from, float[] to, int size, int margin, Set<List<Integer>> places, int sign) {
    for (int y = margin; y < size - margin; y++) {
      for (int x = margin; x < size - margin; x++) {
        float best = Float.NEGATIVE_INFINITY;
        for (List<Integer> place : places) {
          best = Math.max(best, sign * from[(y + place.get(1)) * size + x + place.get(0)]);
        }
        to[y * size + x] = sign * best;
      }
    }
  }
}
