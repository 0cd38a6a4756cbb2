package penmirror.core.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against the straight distance to every pixel outside, one by one. */
class DistanceTest {

  private static Mask sparse(int width, int height, double holes, long seed) {
    Random random = new Random(seed);
    boolean[] set = new boolean[width * height];
    for (int i = 0; i < set.length; i++) {
      set[i] = random.nextDouble() >= holes;
    }
    set[random.nextInt(set.length)] = false;
    return new Mask(width, height, set);
  }

  private static double straight(Mask mask, int x, int y) {
    double nearest = Double.MAX_VALUE;
    for (int i = 0; i < mask.values().length; i++) {
      if (!mask.values()[i]) {
        nearest = Math.min(nearest, Math.hypot(i % mask.width() - x, i / mask.width() - y));
      }
    }
    return nearest;
  }

  @ParameterizedTest
  @CsvSource({
    "60, 40, 0.02, 1",
    "40, 60, 0.005, 2",
    "50, 50, 0.3, 3",
    "3, 90, 0.05, 4",
    "90, 3, 0.05, 5",
    "1, 30, 0.1, 6",
    "30, 2, 0.1, 7"
  })
  void isTheStraightDistanceWithinTwoPerCent(int width, int height, double holes, long seed) {
    Mask mask = sparse(width, height, holes, seed);
    float[] distance = Distance.toOutside(mask).values();
    for (int i = 0; i < distance.length; i++) {
      double straight = straight(mask, i % width, i / width);
      // Steps of a fifth: a single diagonal step is 1.4 for the root of 2.
      assertThat((double) distance[i])
          .as("at %d, %d", i % width, i / width)
          .isCloseTo(straight, offset(0.02 * straight + 0.021));
    }
  }

  @Test
  void whatLiesBeyondThePictureIsNotOutside() {
    boolean[] set = new boolean[20 * 10];
    Arrays.fill(set, true);
    set[5 * 20] = false;
    Plane distance = Distance.toOutside(new Mask(20, 10, set));
    assertThat(distance.values()[5 * 20 + 19]).isCloseTo(19, offset(0.01f));
  }

  @Test
  void withoutAnOutsideItIsFarEverywhere() {
    Plane distance = Distance.toOutside(new Mask(2, 2, new boolean[] {true, true, true, true}));
    assertThat(distance.values()).hasSize(4);
    for (float value : distance.values()) {
      assertThat(value).isGreaterThan(1e6f);
    }
  }
}
