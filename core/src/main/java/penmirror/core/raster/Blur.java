package penmirror.core.raster;

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
    pass(plane.values(), level, width, height, kernel, 1);
    float[] both = new float[width * height];
    pass(level, both, width, height, kernel, width);
    return new Plane(width, height, both);
  }

  /** Along rows (step 1) or columns (step {@code width}). */
  private static void pass(
      float[] from, float[] to, int width, int height, float[] kernel, int step) {
    int reach = kernel.length - 1;
    boolean rows = step == 1;
    int length = rows ? width : height;
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int i = y * width + x;
        int at = rows ? x : y;
        float sum = kernel[0] * from[i];
        if (at >= reach && at < length - reach) {
          for (int k = 1; k <= reach; k++) {
            sum += kernel[k] * (from[i - k * step] + from[i + k * step]);
          }
        } else {
          for (int k = 1; k <= reach; k++) {
            int before = i - Math.min(k, at) * step;
            int after = i + Math.min(k, length - 1 - at) * step;
            sum += kernel[k] * (from[before] + from[after]);
          }
        }
        to[i] = sum;
      }
    }
  }
}
