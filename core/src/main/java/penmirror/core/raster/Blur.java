package penmirror.core.raster;

import java.util.Arrays;

/** Gaussian smoothing of planes; beyond the edge the nearest pixel goes on. */
public final class Blur {
  private Blur() {}

  /**
   * @param sigma pixels, above 0; the plane is not modified
   */
  public static Plane gaussian(Plane plane, double sigma) {
    int reach = (int) Math.ceil(3 * sigma);
    float[] kernel = new float[reach + 1];
    double total = 0;
    for (int k = 0; k <= reach; k++) {
      double value = Math.exp(-k * k / (2 * sigma * sigma));
      kernel[k] = (float) value;
      total += k == 0 ? value : 2 * value;
    }
    for (int k = 0; k <= reach; k++) {
      kernel[k] /= (float) total;
    }
    int width = plane.width();
    int height = plane.height();
    float[] level = new float[width * height];
    alongRows(plane.values(), level, width, height, kernel);
    float[] both = new float[width * height];
    alongColumns(level, both, width, height, kernel);
    return new Plane(width, height, both);
  }

  // Both passes add up whole rows at a time. Rows are copied first: the compiler adds several
  // pixels
  // at once only where all of them stand at the same index.

  private static void alongRows(float[] from, float[] to, int width, int height, float[] kernel) {
    int reach = kernel.length - 1;
    float[] padded = new float[width + 2 * reach];
    Sum sum = new Sum(width);
    for (int y = 0; y < height; y++) {
      Arrays.fill(padded, 0, reach, from[y * width]);
      System.arraycopy(from, y * width, padded, reach, width);
      Arrays.fill(padded, reach + width, padded.length, from[y * width + width - 1]);
      sum.begin(padded, reach, kernel[0]);
      for (int k = 1; k <= reach; k++) {
        sum.add(padded, reach - k, reach + k, kernel[k]);
      }
      sum.store(to, y * width);
    }
  }

  private static void alongColumns(
      float[] from, float[] to, int width, int height, float[] kernel) {
    Sum sum = new Sum(width);
    for (int y = 0; y < height; y++) {
      sum.begin(from, y * width, kernel[0]);
      for (int k = 1; k < kernel.length; k++) {
        sum.add(from, Math.max(0, y - k) * width, Math.min(height - 1, y + k) * width, kernel[k]);
      }
      sum.store(to, y * width);
    }
  }

  /** A weighted sum of rows. */
  private static final class Sum {
    private final float[] sums;
    private final float[] one;
    private final float[] other;

    Sum(int width) {
      sums = new float[width];
      one = new float[width];
      other = new float[width];
    }

    void begin(float[] from, int at, float weight) {
      System.arraycopy(from, at, one, 0, one.length);
      for (int x = 0; x < sums.length; x++) {
        sums[x] = weight * one[x];
      }
    }

    /** The rows at two places, of one weight. */
    void add(float[] from, int at, int otherAt, float weight) {
      System.arraycopy(from, at, one, 0, one.length);
      System.arraycopy(from, otherAt, other, 0, other.length);
      for (int x = 0; x < sums.length; x++) {
        sums[x] += weight * (one[x] + other[x]);
      }
    }

    void store(float[] to, int at) {
      System.arraycopy(sums, 0, to, at, sums.length);
    }
  }
}
