package penmirror.core.raster;

/** One number per pixel, row-major. The array is shared with whoever made the plane. */
public final class Plane {
  private final int width;
  private final int height;
  private final float[] values;

  public Plane(int width, int height, float[] values) {
    if (values.length != width * height) {
      throw new IllegalArgumentException(
          "A plane of " + width + " x " + height + " got " + values.length + " values");
    }
    this.width = width;
    this.height = height;
    this.values = values;
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  public float[] values() {
    return values;
  }

  /**
   * Value between pixel centres by bilinear interpolation; held at the edge outside.
   *
   * @param x pixels, the centre of the first pixel is 0
   * @param y pixels, the centre of the first pixel is 0
   */
  public float at(double x, double y) {
    double cx = Math.max(0, Math.min(width - 1, x));
    double cy = Math.max(0, Math.min(height - 1, y));
    int x0 = (int) cx;
    int y0 = (int) cy;
    int x1 = Math.min(x0 + 1, width - 1);
    int y1 = Math.min(y0 + 1, height - 1);
    float fx = (float) (cx - x0);
    float fy = (float) (cy - y0);
    float top = values[y0 * width + x0] * (1 - fx) + values[y0 * width + x1] * fx;
    float bottom = values[y1 * width + x0] * (1 - fx) + values[y1 * width + x1] * fx;
    return top * (1 - fy) + bottom * fy;
  }
}
