package penmirror.core.proposal;

import java.util.Arrays;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.OkLabPlanes;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Picture;
import penmirror.core.raster.PixelGrid;
import penmirror.core.raster.Plane;
import penmirror.core.reading.FigureMask;

/**
 * A picture made ready for looking for a figure in it: at working size, with its lightness, colours
 * and where the figure stands out from the background.
 */
final class Ground {
  /** Longer side at which features are sought; large ones are brought down to it. */
  private static final int LONGEST_PIXELS = 800;

  private static final int SHORTEST_PIXELS = 420;

  /** OKLab distance to the background that still counts as background. */
  private static final double NEAR = 0.06;

  /** Half the widest outline gap that is closed, of the longer side. */
  private static final double GAP_SHARE = 0.012;

  private static final double RIDGE = 1e-3;

  final Picture picture;
  final int width;
  final int height;

  /** Working pixels per picture pixel. */
  final double scale;

  /** Luma of the encoded values, 0 to 1. */
  final Plane luma;

  final Plane lightness;
  final Plane a;
  final Plane b;

  /** The figure, its outline closed. */
  final Mask figure;

  /** The figure where every gap shows the background: between legs, under arms. */
  final Mask open;

  /** Places with figure to the left, to the right and above: also inside a broken outline. */
  final Mask span;

  /** The figure's box: left, top, right, bottom; right and bottom exclusive. */
  final int left;

  final int top;
  final int right;
  final int bottom;

  private final int[] columnTop;

  Ground(Picture picture) {
    int longest = Math.max(picture.widthPixels(), picture.heightPixels());
    scale =
        longest > LONGEST_PIXELS
            ? LONGEST_PIXELS / (double) longest
            : longest < SHORTEST_PIXELS ? Math.min(2, SHORTEST_PIXELS / (double) longest) : 1;
    width = Math.max(1, (int) Math.round(picture.widthPixels() * scale));
    height = Math.max(1, (int) Math.round(picture.heightPixels() * scale));
    this.picture = picture;
    int[] rgb =
        Resized.rgb(picture, 0, 0, picture.widthPixels(), picture.heightPixels(), width, height);
    OkLabPlanes colours = OkLabPlanes.of(rgb.length, i -> rgb[i]);
    luma = plane(i -> luma(rgb[i]));
    lightness = plane(colours::lightness);
    a = plane(colours::a);
    b = plane(colours::b);
    boolean[] near = nearBackground(colours);
    figure =
        largeParts(
            opened(
                FigureMask.around(
                    near, width, height, Math.max(1, GAP_SHARE * Math.max(width, height)))));
    open = largeParts(FigureMask.around(near, width, height, 0));
    int[] box = box(figure);
    left = box[0];
    top = box[1];
    right = box[2];
    bottom = box[3];
    columnTop = columnTops();
    span = span();
  }

  int boxWidth() {
    return right - left;
  }

  int boxHeight() {
    return bottom - top;
  }

  /** To pixels of the picture, from the middle of working pixels. */
  Point toPicture(double x, double y) {
    return PixelGrid.point(x, y).times(1 / scale);
  }

  Point toWorking(Point picture) {
    return new Point(PixelGrid.place(picture.x() * scale), PixelGrid.place(picture.y() * scale));
  }

  /** Highest row of the figure over some columns; the figure's own top where none has any. */
  int topOver(double from, double to) {
    int best = Integer.MAX_VALUE;
    for (int x = (int) Math.max(0, from); x <= Math.min(width - 1, to); x++) {
      best = Math.min(best, columnTop[x]);
    }
    return best == Integer.MAX_VALUE ? top : best;
  }

  /** Length of the run of a mask through a place along its row; 0 outside. */
  static int run(Mask mask, int x, int y) {
    if (!mask.at(x, y)) {
      return 0;
    }
    int from = x;
    int to = x;
    while (mask.at(from - 1, y)) {
      from--;
    }
    while (mask.at(to + 1, y)) {
      to++;
    }
    return to - from + 1;
  }

  @FunctionalInterface
  private interface Value {
    float at(int index);
  }

  private Plane plane(Value value) {
    float[] values = new float[width * height];
    for (int i = 0; i < values.length; i++) {
      values[i] = value.at(i);
    }
    return new Plane(width, height, values);
  }

  private static float luma(int rgb) {
    return (0.299f * ((rgb >> 16) & 255) + 0.587f * ((rgb >> 8) & 255) + 0.114f * (rgb & 255))
        / 255f;
  }

  /** Near a smooth surface of colour through the border, so that a shaded ground is ground too. */
  private boolean[] nearBackground(OkLabPlanes colours) {
    OkLab border = FigureMask.borderColour(colours, width, height);
    double[][] surface = {
      {border.lightness(), 0, 0, 0, 0, 0}, {border.a(), 0, 0, 0, 0, 0}, {border.b(), 0, 0, 0, 0, 0}
    };
    int[] walk = borderPixels();
    for (double reach : new double[] {0.10, 0.05, 0.05}) {
      double[][] normal = new double[6][6];
      double[][] sides = new double[3][6];
      int count = 0;
      for (int pixel : walk) {
        double[] terms = terms(pixel);
        if (distance(colours, pixel, surface, terms) < reach) {
          count++;
          double[] colour = {colours.lightness(pixel), colours.a(pixel), colours.b(pixel)};
          for (int i = 0; i < 6; i++) {
            for (int j = 0; j < 6; j++) {
              normal[i][j] += terms[i] * terms[j];
            }
            for (int c = 0; c < 3; c++) {
              sides[c][i] += terms[i] * colour[c];
            }
          }
        }
      }
      if (count < walk.length / 4) {
        break;
      }
      for (int i = 1; i < 6; i++) {
        normal[i][i] += RIDGE * count;
      }
      for (int c = 0; c < 3; c++) {
        surface[c] = solved(normal, sides[c]);
      }
    }
    boolean[] near = new boolean[width * height];
    for (int y = 0; y < height; y++) {
      double v = terms(y * width)[2];
      double[][] row = new double[3][];
      for (int c = 0; c < 3; c++) {
        double[] f = surface[c];
        row[c] = new double[] {f[0] + f[2] * v + f[5] * v * v, f[1] + f[4] * v, f[3]};
      }
      for (int x = 0; x < width; x++) {
        double u = 2.0 * x / width - 1;
        int i = y * width + x;
        double dl = colours.lightness(i) - row[0][0] - u * (row[0][1] + u * row[0][2]);
        double da = colours.a(i) - row[1][0] - u * (row[1][1] + u * row[1][2]);
        double db = colours.b(i) - row[2][0] - u * (row[2][1] + u * row[2][2]);
        near[i] = dl * dl + da * da + db * db < NEAR * NEAR;
      }
    }
    return near;
  }

  private int[] borderPixels() {
    int[] pixels = new int[2 * width + 2 * height];
    int n = 0;
    for (int x = 0; x < width; x++) {
      pixels[n++] = x;
      pixels[n++] = (height - 1) * width + x;
    }
    for (int y = 0; y < height; y++) {
      pixels[n++] = y * width;
      pixels[n++] = y * width + width - 1;
    }
    return pixels;
  }

  private double[] terms(int pixel) {
    double x = 2.0 * (pixel % width) / width - 1;
    double y = 2.0 * (pixel / width) / height - 1;
    return new double[] {1, x, y, x * x, x * y, y * y};
  }

  private static double distance(
      OkLabPlanes colours, int pixel, double[][] surface, double[] terms) {
    double[] colour = {colours.lightness(pixel), colours.a(pixel), colours.b(pixel)};
    double sum = 0;
    for (int c = 0; c < 3; c++) {
      double off = colour[c];
      for (int i = 0; i < 6; i++) {
        off -= surface[c][i] * terms[i];
      }
      sum += off * off;
    }
    return Math.sqrt(sum);
  }

  /** Gauss with row exchange; the ridge keeps the system from being singular. */
  private static double[] solved(double[][] matrix, double[] side) {
    int n = side.length;
    double[][] m = new double[n][];
    for (int i = 0; i < n; i++) {
      m[i] = Arrays.copyOf(matrix[i], n + 1);
      m[i][n] = side[i];
    }
    for (int column = 0; column < n; column++) {
      int best = column;
      for (int row = column + 1; row < n; row++) {
        if (Math.abs(m[row][column]) > Math.abs(m[best][column])) {
          best = row;
        }
      }
      double[] swap = m[column];
      m[column] = m[best];
      m[best] = swap;
      for (int row = 0; row < n; row++) {
        if (row != column && m[column][column] != 0) {
          double factor = m[row][column] / m[column][column];
          for (int k = column; k <= n; k++) {
            m[row][k] -= factor * m[column][k];
          }
        }
      }
    }
    double[] solution = new double[n];
    for (int i = 0; i < n; i++) {
      solution[i] = m[i][i] == 0 ? 0 : m[i][n] / m[i][i];
    }
    return solution;
  }

  /** Opening by a square of three: single pixels and hairs fall away. */
  private Mask opened(Mask mask) {
    return grown(mask.shrunk(1));
  }

  private Mask grown(Mask mask) {
    boolean[] result = new boolean[width * height];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        boolean any = false;
        for (int dy = -1; dy <= 1 && !any; dy++) {
          for (int dx = -1; dx <= 1 && !any; dx++) {
            any = mask.at(x + dx, y + dy);
          }
        }
        result[y * width + x] = any;
      }
    }
    return new Mask(width, height, result);
  }

  /** Without parts under a fiftieth of the largest. */
  private Mask largeParts(Mask mask) {
    int largest = Parts.of(mask).stream().mapToInt(Parts.Part::area).max().orElse(0);
    return mask.withoutSpecks(Math.max(1, largest / 50));
  }

  private static int[] box(Mask mask) {
    int[] box = {mask.width(), mask.height(), 0, 0};
    for (int y = 0; y < mask.height(); y++) {
      for (int x = 0; x < mask.width(); x++) {
        if (mask.at(x, y)) {
          box[0] = Math.min(box[0], x);
          box[1] = Math.min(box[1], y);
          box[2] = Math.max(box[2], x + 1);
          box[3] = Math.max(box[3], y + 1);
        }
      }
    }
    return box[2] == 0 ? new int[] {0, 0, mask.width(), mask.height()} : box;
  }

  private int[] columnTops() {
    int[] tops = new int[width];
    for (int x = 0; x < width; x++) {
      tops[x] = Integer.MAX_VALUE;
      for (int y = top; y < bottom; y++) {
        if (figure.at(x, y)) {
          tops[x] = y;
          break;
        }
      }
    }
    return tops;
  }

  private Mask span() {
    boolean[] result = new boolean[width * height];
    for (int y = top; y < bottom; y++) {
      int from = left;
      int to = right - 1;
      while (from < right && !figure.at(from, y)) {
        from++;
      }
      while (to >= from && !figure.at(to, y)) {
        to--;
      }
      for (int x = from; x <= to; x++) {
        result[y * width + x] = columnTop[x] <= y;
      }
    }
    return new Mask(width, height, result);
  }
}
