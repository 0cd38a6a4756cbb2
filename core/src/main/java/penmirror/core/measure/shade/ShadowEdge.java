package penmirror.core.measure.shade;

import org.jspecify.annotations.Nullable;
import penmirror.core.colour.OkLabPlanes;

/** Reads how one value goes over into the next, square to the border between them. */
final class ShadowEdge {
  private static final double STEP = 0.25;

  private final OkLabPlanes colours;
  private final int width;
  private final int height;

  ShadowEdge(OkLabPlanes colours, int width, int height) {
    this.colours = colours;
    this.width = width;
    this.height = height;
  }

  /**
   * @param widthPixels from a tenth to nine tenths of the step
   * @param chroma half way
   */
  record Profile(double widthPixels, double chroma) {}

  /**
   * Step of lightness toward the light, from the mean of 3 × 3 gradients; not of unit length. Zero
   * within three pixels of the picture's edge.
   */
  double[] towardLight(int pixel) {
    int x = pixel % width;
    int y = pixel / width;
    if (x < 3 || y < 3 || x >= width - 3 || y >= height - 3) {
      return new double[] {0, 0};
    }
    double gx = 0;
    double gy = 0;
    for (int dy = -2; dy <= 2; dy++) {
      for (int dx = 1; dx <= 2; dx++) {
        gx += dx * (at(x + dx, y + dy) - at(x - dx, y + dy));
        gy += dx * (at(x + dy, y + dx) - at(x + dy, y - dx));
      }
    }
    return new double[] {gx, gy};
  }

  private double at(int x, int y) {
    return colours.lightness(y * width + x);
  }

  /**
   * Null when one of the ends is not reached within the given way.
   *
   * @param nx unit step toward the light
   */
  @Nullable Profile across(
      int pixel, double nx, double ny, double dark, double light, double reach) {
    double x = pixel % width;
    double y = pixel / width;
    double low = dark + 0.1 * (light - dark);
    double high = dark + 0.9 * (light - dark);
    double middle = (dark + light) / 2;
    double down = walk(x, y, -nx, -ny, low, true, reach);
    double up = walk(x, y, nx, ny, high, false, reach);
    if (Double.isNaN(down) || Double.isNaN(up)) {
      return null;
    }
    double half = walk(x, y, nx, ny, middle, false, reach);
    double place = Double.isNaN(half) ? 0 : half;
    return new Profile(Math.max(0, up + down), chroma(x + place * nx, y + place * ny));
  }

  /**
   * Way until lightness falls below (or rises above) a value, interpolated; NaN when it does not.
   */
  private double walk(
      double x, double y, double nx, double ny, double value, boolean below, double reach) {
    double before = lightness(x, y);
    if (below ? before <= value : before >= value) {
      // Already past it: the crossing lies behind, so the way is negative.
      return behind(x, y, nx, ny, value, below, reach);
    }
    for (double t = STEP; t <= reach; t += STEP) {
      double here = lightness(x + t * nx, y + t * ny);
      if (below ? here <= value : here >= value) {
        return t - STEP * (1 - (value - before) / (here - before));
      }
      before = here;
    }
    return Double.NaN;
  }

  private double behind(
      double x, double y, double nx, double ny, double value, boolean below, double reach) {
    double before = lightness(x, y);
    for (double t = STEP; t <= reach; t += STEP) {
      double here = lightness(x - t * nx, y - t * ny);
      if (below ? here > value : here < value) {
        return -(t - STEP * (1 - (value - before) / (here - before)));
      }
      before = here;
    }
    return Double.NaN;
  }

  private double lightness(double x, double y) {
    double cx = Math.max(0, Math.min(width - 1.001, x));
    double cy = Math.max(0, Math.min(height - 1.001, y));
    int x0 = (int) cx;
    int y0 = (int) cy;
    double fx = cx - x0;
    double fy = cy - y0;
    int i = y0 * width + x0;
    int right = width > 1 ? 1 : 0;
    int below = height > 1 ? width : 0;
    double top = colours.lightness(i) * (1 - fx) + colours.lightness(i + right) * fx;
    double bottom =
        colours.lightness(i + below) * (1 - fx) + colours.lightness(i + below + right) * fx;
    return top * (1 - fy) + bottom * fy;
  }

  private double chroma(double x, double y) {
    int px = (int) Math.max(0, Math.min(width - 1, Math.round(x)));
    int py = (int) Math.max(0, Math.min(height - 1, Math.round(y)));
    return colours.at(py * width + px).chroma();
  }
}
