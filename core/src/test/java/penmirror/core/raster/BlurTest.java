package penmirror.core.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against the definition, pixel by pixel in both directions at once. */
class BlurTest {

  private static Plane noise(int width, int height) {
    Random random = new Random(width * 31L + height);
    float[] values = new float[width * height];
    for (int i = 0; i < values.length; i++) {
      values[i] = random.nextFloat();
    }
    return new Plane(width, height, values);
  }

  private static double defined(Plane plane, double sigma, int x, int y) {
    int reach = (int) Math.ceil(3 * sigma);
    double sum = 0;
    double total = 0;
    for (int dy = -reach; dy <= reach; dy++) {
      for (int dx = -reach; dx <= reach; dx++) {
        double weight = Math.exp(-(dx * dx + dy * dy) / (2 * sigma * sigma));
        int px = Math.max(0, Math.min(plane.width() - 1, x + dx));
        int py = Math.max(0, Math.min(plane.height() - 1, y + dy));
        sum += weight * plane.values()[py * plane.width() + px];
        total += weight;
      }
    }
    return sum / total;
  }

  @ParameterizedTest
  @CsvSource({"17, 11, 0.4", "31, 23, 2.5", "9, 40, 4", "1, 1, 3", "1, 20, 1.5", "6, 5, 12"})
  void isTheBellAroundEveryPixel(int width, int height, double sigma) {
    Plane plane = noise(width, height);
    float[] before = plane.values().clone();
    float[] blurred = Blur.gaussian(plane, sigma).values();
    for (int i = 0; i < blurred.length; i++) {
      assertThat((double) blurred[i])
          .as("at %d, %d", i % width, i / width)
          .isCloseTo(defined(plane, sigma, i % width, i / width), offset(1e-5));
    }
    assertThat(plane.values()).as("is not modified").isEqualTo(before);
  }

  @Test
  void anEvenPlaneStaysAsItIs() {
    float[] even = new float[400];
    Arrays.fill(even, 0.37f);
    for (float value : Blur.gaussian(new Plane(20, 20, even), 5).values()) {
      assertThat(value).isCloseTo(0.37f, offset(1e-5f));
    }
  }
}
