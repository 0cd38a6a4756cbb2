package penmirror.core.raster;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Running maxima and minima, and the closings made of them, on planes with values in [0, 1].
 *
 * <p>A window is doubled until it is long enough, so that a pass costs one round more for a window
 * twice as long. Values are worked on as whole numbers of 1/255000, which is exact for the luma of
 * 8-bit pixels.
 */
public final class Morphology {
  private static final int WHOLE = 255_000;

  /** Columns filtered together, so that memory is read in runs. */
  private static final int BAND = 64;

  private Morphology() {}

  /** Largest value in a square of 2·{@code radius} + 1 pixels a side. The plane is not modified. */
  public static Plane squareMaximum(Plane plane, int radius) {
    int width = plane.width();
    int height = plane.height();
    int[] values = padded(plane, 0, width, height);
    levelPass(values, width, height, radius, 1);
    slantedPass(values, width, height, 0, radius, 1);
    return cut(values, width, plane, 0);
  }

  /**
   * Greyscale closing with an octagon: dark places narrower than 2·{@code radius} are filled to the
   * lightness around them. The plane is not modified.
   *
   * @param radius pixels, 1 or more
   */
  public static Plane octagonClosing(Plane plane, int radius) {
    // An octagon is the sum of four segments. Its straight sides are 0.83 radius long.
    int straight = Math.max(1, (int) Math.round(0.414 * radius));
    int slanted = Math.max(0, (int) Math.round((radius - straight) / 2.0));
    int pad = straight + 2 * slanted + 1;
    int width = plane.width() + 2 * pad;
    int height = plane.height() + 2 * pad;
    int[] values = padded(plane, pad, width, height);
    for (int sign : new int[] {1, -1}) {
      levelPass(values, width, height, straight, sign);
      slantedPass(values, width, height, 0, straight, sign);
      slantedPass(values, width, height, 1, slanted, sign);
      slantedPass(values, width, height, -1, slanted, sign);
    }
    return cut(values, width, plane, pad);
  }

  private static int[] padded(Plane plane, int pad, int width, int height) {
    int[] values = new int[width * height];
    float[] source = plane.values();
    IntStream.range(0, height)
        .parallel()
        .forEach(
            y -> {
              int from = Math.max(0, Math.min(plane.height() - 1, y - pad)) * plane.width();
              int row = y * width;
              for (int x = 0; x < plane.width(); x++) {
                values[row + pad + x] = (int) (source[from + x] * WHOLE + 0.5f);
              }
              Arrays.fill(values, row, row + pad, values[row + pad]);
              int last = row + pad + plane.width() - 1;
              Arrays.fill(values, last + 1, row + width, values[last]);
            });
    return values;
  }

  private static Plane cut(int[] values, int width, Plane like, int pad) {
    float[] cut = new float[like.width() * like.height()];
    IntStream.range(0, like.height())
        .parallel()
        .forEach(
            y -> {
              int from = (y + pad) * width + pad;
              int to = y * like.width();
              for (int x = 0; x < like.width(); x++) {
                cut[to + x] = values[from + x] / (float) WHOLE;
              }
            });
    return new Plane(like.width(), like.height(), cut);
  }

  /** Along rows, in place; {@code sign} 1 takes maxima, −1 minima. */
  private static void levelPass(int[] values, int width, int height, int half, int sign) {
    if (half == 0) {
      return;
    }
    inChunks(
        height,
        width + 2 * half,
        (row, window) -> {
          window.empty(sign, width + 2 * half);
          System.arraycopy(values, row * width, window.line, half, width);
          window.run(width + 2 * half, 2 * half + 1, 1, sign);
          System.arraycopy(window.line, 0, values, row * width, width);
        });
  }

  /**
   * Along columns ({@code slant} 0) or diagonals falling to the right (1) or left (−1), in place,
   * by bands of neighbouring lines.
   */
  private static void slantedPass(
      int[] values, int width, int height, int slant, int half, int sign) {
    if (half == 0) {
      return;
    }
    int first = slant == 1 ? -(height - 1) : 0;
    int lines = slant == 0 ? width : width + height - 1;
    inChunks(
        (lines + BAND - 1) / BAND,
        (height + 2 * half) * BAND,
        (band, window) ->
            slantedBand(values, width, height, slant, first + band * BAND, half, sign, window));
  }

  private static void slantedBand(
      int[] values, int width, int height, int slant, int start, int half, int sign, Window w) {
    // Column c of the band runs through x = start + c + slant · y.
    int from = 0;
    int to = height;
    if (slant == 1) {
      from = Math.max(0, 1 - BAND - start);
      to = Math.min(height, width - start);
    } else if (slant == -1) {
      from = Math.max(0, start - width + 1);
      to = Math.min(height, start + BAND);
    }
    int length = to - from;
    if (length <= 0) {
      return;
    }
    w.empty(sign, (length + 2 * half) * BAND);
    for (int i = 0; i < length; i++) {
      int left = start + slant * (from + i);
      int first = Math.max(0, -left);
      int count = Math.min(BAND, width - left) - first;
      int at = (from + i) * width + left + first;
      System.arraycopy(values, at, w.line, (half + i) * BAND + first, count);
    }
    w.run((length + 2 * half) * BAND, 2 * half + 1, BAND, sign);
    for (int i = 0; i < length; i++) {
      int left = start + slant * (from + i);
      int first = Math.max(0, -left);
      int count = Math.min(BAND, width - left) - first;
      int at = (from + i) * width + left + first;
      System.arraycopy(w.line, i * BAND + first, values, at, count);
    }
  }

  @FunctionalInterface
  private interface LineFilter {
    void filter(int line, Window window);
  }

  private static void inChunks(int lines, int longest, LineFilter filter) {
    int chunks = Math.min(lines, 4 * Runtime.getRuntime().availableProcessors());
    IntStream.range(0, chunks)
        .parallel()
        .forEach(
            chunk -> {
              Window window = new Window(longest);
              for (int i = chunk * lines / chunks; i < (chunk + 1) * lines / chunks; i++) {
                filter.filter(i, window);
              }
            });
  }

  /** Scratch space for one line, or for a band of lines whose values alternate. */
  private static final class Window {
    private final int[] line;
    private final int[] ahead;

    Window(int longest) {
      line = new int[longest];
      ahead = new int[longest];
    }

    /** Fills up with what no maximum or minimum heeds. */
    void empty(int sign, int length) {
      Arrays.fill(line, 0, length, sign > 0 ? -1 : WHOLE + 1);
    }

    /**
     * Makes each value the largest or smallest of itself and those that follow, {@code size} in all
     * and {@code lanes} apart. The last ones, which have too few after them, are of no use.
     */
    void run(int length, int size, int lanes, int sign) {
      for (int covered = 1; covered < size; ) {
        int step = Math.min(covered, size - covered);
        int count = length - step * lanes;
        System.arraycopy(line, step * lanes, ahead, 0, count);
        if (sign > 0) {
          larger(line, ahead, count);
        } else {
          smaller(line, ahead, count);
        }
        covered += step;
      }
    }

    // Without a branch and at one index in both, several values are compared at once.

    private static void larger(int[] values, int[] others, int count) {
      for (int i = 0; i < count; i++) {
        int more = values[i] - others[i];
        values[i] = others[i] + (more & ~(more >> 31));
      }
    }

    private static void smaller(int[] values, int[] others, int count) {
      for (int i = 0; i < count; i++) {
        int more = values[i] - others[i];
        values[i] = others[i] + (more & more >> 31);
      }
    }
  }
}
