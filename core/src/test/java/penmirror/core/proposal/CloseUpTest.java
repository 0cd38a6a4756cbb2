package penmirror.core.proposal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import penmirror.core.raster.Plane;

class CloseUpTest {
  private static final int WIDE = 9;
  private static final int HIGH = 7;

  private static Plane noise(Random random) {
    float[] values = new float[WIDE * HIGH];
    for (int i = 0; i < values.length; i++) {
      values[i] = random.nextFloat();
    }
    return new Plane(WIDE, HIGH, values);
  }

  /** The same numbers as each plane gives by itself, outside and on the edges too. */
  @Test
  void threePlanesAtOnceAreEachByItself() {
    Random random = new Random(5);
    CloseUp closeUp = new CloseUp(noise(random), noise(random), noise(random), 1, 0, 0);
    for (int i = 0; i < 500; i++) {
      double x = i < 20 ? i - 5 : (WIDE + 4) * random.nextDouble() - 2;
      double y = i < 20 ? i / 2 - 2 : (HIGH + 4) * random.nextDouble() - 2;
      double[] sums = {1, 2, 3};
      closeUp.addTo(sums, x, y);
      assertThat(sums)
          .containsExactly(
              1.0 + closeUp.lightness().at(x, y),
              2.0 + closeUp.a().at(x, y),
              3.0 + closeUp.b().at(x, y));
    }
  }
}
