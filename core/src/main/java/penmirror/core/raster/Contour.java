package penmirror.core.raster;

import java.util.Arrays;

/**
 * The outer edge of a shape as one closed curve with a point about every pixel, fine enough to read
 * how it turns.
 *
 * <p>The mask is blurred a little, its half-way line is followed, resampled to even steps and
 * smoothed, so that the steps of the pixels do not count as corners.
 */
public final class Contour {
  private static final double BLUR = 0.8;

  private final double[] xs;
  private final double[] ys;
  private final boolean[] cut;

  private Contour(double[] xs, double[] ys, boolean[] cut) {
    this.xs = xs;
    this.ys = ys;
    this.cut = cut;
  }

  /**
   * The longest closed edge of a mask; without points when the mask is too small to have one.
   *
   * @param sigma smoothing along the edge, pixels
   */
  public static Contour of(Mask mask, double sigma) {
    int pad = 3;
    int width = mask.width() + 2 * pad;
    int height = mask.height() + 2 * pad;
    float[] values = new float[width * height];
    for (int y = 0; y < mask.height(); y++) {
      for (int x = 0; x < mask.width(); x++) {
        values[(y + pad) * width + x + pad] = mask.values()[y * mask.width() + x] ? 1 : 0;
      }
    }
    Plane blurred = Blur.gaussian(new Plane(width, height, values), BLUR);
    double[][] longest = longestEdge(blurred);
    if (longest[0].length < 12) {
      return new Contour(new double[0], new double[0], new boolean[0]);
    }
    double[][] even = resampled(longest[0], longest[1]);
    int n = even[0].length;
    double smooth = Math.min(sigma, n / 8.0);
    double[] xs = smoothed(even[0], smooth);
    double[] ys = smoothed(even[1], smooth);
    boolean[] cut = new boolean[n];
    for (int i = 0; i < n; i++) {
      xs[i] -= pad;
      ys[i] -= pad;
      cut[i] =
          xs[i] < 2.5 || ys[i] < 2.5 || xs[i] > mask.width() - 3.5 || ys[i] > mask.height() - 3.5;
    }
    return new Contour(xs, ys, cut);
  }

  public int size() {
    return xs.length;
  }

  public double x(int i) {
    return xs[i];
  }

  public double y(int i) {
    return ys[i];
  }

  /** Whether the picture's edge cuts the shape off here. */
  public boolean isCut(int i) {
    return cut[i];
  }

  /** Whether the point and all within so many points of it lie inside the picture. */
  public boolean isFree(int i, int window) {
    int n = xs.length;
    for (int k = -window; k <= window; k += Math.max(1, window / 2)) {
      if (cut[Math.floorMod(i + k, n)]) {
        return false;
      }
    }
    return !cut[i];
  }

  public double length() {
    double sum = 0;
    for (int i = 0; i < xs.length; i++) {
      int j = (i + 1) % xs.length;
      sum += Math.hypot(xs[j] - xs[i], ys[j] - ys[i]);
    }
    return sum;
  }

  /** Enclosed area by the surveyor's formula, above 0. */
  public double area() {
    double sum = 0;
    for (int i = 0; i < xs.length; i++) {
      int j = (i + 1) % xs.length;
      sum += xs[i] * ys[j] - xs[j] * ys[i];
    }
    return Math.abs(sum) / 2;
  }

  /** This curve smoothed further. */
  public Contour smoothed(double sigma) {
    double smooth = Math.min(sigma, xs.length / 8.0);
    return new Contour(smoothed(xs, smooth), smoothed(ys, smooth), cut);
  }

  /** Change of direction at each point, radians, positive the way the curve runs round. */
  public double[] turns() {
    int n = xs.length;
    double[] directions = new double[n];
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      directions[i] = Math.atan2(ys[j] - ys[i], xs[j] - xs[i]);
    }
    double[] turns = new double[n];
    double total = 0;
    for (int i = 0; i < n; i++) {
      turns[i] = wrapped(directions[i] - directions[Math.floorMod(i - 1, n)]);
      total += turns[i];
    }
    if (total < 0) {
      for (int i = 0; i < n; i++) {
        turns[i] = -turns[i];
      }
    }
    return turns;
  }

  /** Direction of each step against level, radians, (−π, π]. */
  public double[] directions() {
    int n = xs.length;
    double[] directions = new double[n];
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      directions[i] = Math.atan2(ys[j] - ys[i], xs[j] - xs[i]);
    }
    return directions;
  }

  private static double wrapped(double radians) {
    return Math.IEEEremainder(radians, 2 * Math.PI);
  }

  /** Follows the half-way line through the cells of the plane; the longest closed run of it. */
  private static double[][] longestEdge(Plane plane) {
    int width = plane.width();
    int height = plane.height();
    boolean[] done = new boolean[width * height * 2];
    double[][] best = {new double[0], new double[0]};
    float[] v = plane.values();
    for (int y = 1; y < height - 1; y++) {
      for (int x = 0; x < width - 1; x++) {
        int i = y * width + x;
        // Starts where the line crosses a level cell side upward, which every closed curve does.
        if (v[i] < 0.5f && v[i + 1] >= 0.5f && !done[2 * i]) {
          double[][] walked = walk(v, width, height, x, y, done);
          if (walked[0].length > best[0].length) {
            best = walked;
          }
        }
      }
    }
    return best;
  }

  /**
   * One closed curve, inside on the right. An edge of a cell is told by its upper or left pixel and
   * whether it is level.
   */
  private static double[][] walk(
      float[] v, int width, int height, int startX, int startY, boolean[] done) {
    double[] xs = new double[256];
    double[] ys = new double[256];
    int n = 0;
    int x = startX;
    int y = startY;
    boolean level = true;
    // The cell that is entered next, by its upper left pixel.
    int cx = startX;
    int cy = startY - 1;
    int limit = 4 * width * height;
    while (n < limit) {
      int i = y * width + x;
      done[2 * i + (level ? 0 : 1)] = true;
      float a = v[i];
      float b = v[level ? i + 1 : i + width];
      double share = (0.5 - a) / (b - a);
      if (n == xs.length) {
        xs = Arrays.copyOf(xs, 2 * n);
        ys = Arrays.copyOf(ys, 2 * n);
      }
      xs[n] = level ? x + share : x;
      ys[n++] = level ? y : y + share;
      if (cx < 0 || cy < 0 || cx >= width - 1 || cy >= height - 1) {
        break;
      }
      int[] leaving = leave(v, width, cx, cy, x, y, level);
      x = leaving[0];
      y = leaving[1];
      level = leaving[2] == 1;
      if (level) {
        cy = y == cy ? cy - 1 : cy + 1;
      } else {
        cx = x == cx ? cx - 1 : cx + 1;
      }
      if (x == startX && y == startY && level) {
        break;
      }
    }
    return new double[][] {Arrays.copyOf(xs, n), Arrays.copyOf(ys, n)};
  }

  /** The side by which the half-way line leaves a cell that it entered by the given side. */
  private static int[] leave(float[] v, int width, int cx, int cy, int x, int y, boolean level) {
    int i = cy * width + cx;
    boolean topLeft = v[i] >= 0.5f;
    boolean topRight = v[i + 1] >= 0.5f;
    boolean bottomLeft = v[i + width] >= 0.5f;
    boolean bottomRight = v[i + width + 1] >= 0.5f;
    int[][] sides = {
      {cx, cy, 1, topLeft != topRight ? 1 : 0},
      {cx + 1, cy, 0, topRight != bottomRight ? 1 : 0},
      {cx, cy + 1, 1, bottomLeft != bottomRight ? 1 : 0},
      {cx, cy, 0, topLeft != bottomLeft ? 1 : 0}
    };
    int entered = 0;
    for (int s = 0; s < 4; s++) {
      if (sides[s][0] == x && sides[s][1] == y && (sides[s][2] == 1) == level) {
        entered = s;
      }
    }
    int crossed = 0;
    for (int[] side : sides) {
      crossed += side[3];
    }
    if (crossed == 4) {
      // A saddle: keep what is inside joined, as its middle says.
      boolean joined = (v[i] + v[i + 1] + v[i + width] + v[i + width + 1]) / 4 >= 0.5f;
      int[] partner = joined == topLeft ? new int[] {1, 0, 3, 2} : new int[] {3, 2, 1, 0};
      return sides[partner[entered]];
    }
    for (int s = 0; s < 4; s++) {
      if (s != entered && sides[s][3] == 1) {
        return sides[s];
      }
    }
    return sides[entered];
  }

  private static double[][] resampled(double[] xs, double[] ys) {
    int n = xs.length;
    double[] along = new double[n + 1];
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      along[i + 1] = along[i] + Math.hypot(xs[j] - xs[i], ys[j] - ys[i]);
    }
    int count = Math.max(8, (int) Math.round(along[n]));
    double[] x = new double[count];
    double[] y = new double[count];
    int at = 0;
    for (int k = 0; k < count; k++) {
      double place = along[n] * k / count;
      while (at < n - 1 && along[at + 1] < place) {
        at++;
      }
      double step = along[at + 1] - along[at];
      double share = step > 0 ? (place - along[at]) / step : 0;
      int next = (at + 1) % n;
      x[k] = xs[at] + share * (xs[next] - xs[at]);
      y[k] = ys[at] + share * (ys[next] - ys[at]);
    }
    return new double[][] {x, y};
  }

  private static double[] smoothed(double[] values, double sigma) {
    if (!(sigma > 0)) {
      return values.clone();
    }
    int n = values.length;
    int reach = Math.min(n / 2, (int) Math.ceil(3 * sigma));
    double[] kernel = new double[reach + 1];
    double total = 0;
    for (int k = 0; k <= reach; k++) {
      kernel[k] = Math.exp(-k * k / (2 * sigma * sigma));
      total += k == 0 ? kernel[k] : 2 * kernel[k];
    }
    double[] result = new double[n];
    for (int i = 0; i < n; i++) {
      double sum = kernel[0] * values[i];
      for (int k = 1; k <= reach; k++) {
        int before = i - k < 0 ? i - k + n : i - k;
        int after = i + k >= n ? i + k - n : i + k;
        sum += kernel[k] * (values[before] + values[after]);
      }
      result[i] = sum / total;
    }
    return result;
  }
}
