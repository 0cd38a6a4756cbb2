package penmirror.core.reading;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.OkLabPlanes;
import penmirror.core.raster.Distance;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Picture;

/**
 * Tells the figure from a plain or nearly plain background by flooding from the border.
 *
 * <p>The background is the most frequent colour of the border. Pixels near it are free; the flood
 * keeps {@link #GAP_SHARE} of the picture's longer side away from anything else, so that it does
 * not leak through a broken outline, and is grown back by as much. A stretch of border starts the
 * flood only if it holds a corner of the picture or is longer than 60 % of a side: a white shirt
 * cut by the lower edge is not background.
 *
 * <p>Places of the background that the figure encloses, such as between arm and body, count as
 * figure. A busy background becomes figure as a whole.
 */
public final class FigureMask {
  /** OKLab distance to the background that still counts as background. */
  private static final double NEAR = 0.06;

  /** Bin width when the border's most frequent colour is sought, OKLab. */
  private static final double BORDER_BIN = 0.03;

  /**
   * Half the widest outline gap that is closed, of the longer side. Raising it fills narrow gaps.
   */
  private static final double GAP_SHARE = 0.01;

  private static final double LONG_RUN_SHARE = 0.6;
  private static final int[][] STEPS = {{1, 0}, {-1, 0}, {0, 1}, {0, -1}};

  private final int width;
  private final int height;

  private FigureMask(int width, int height) {
    this.width = width;
    this.height = height;
  }

  /** Least share that must be see-through for transparency to tell the figure. */
  private static final double LEAST_CLEAR = 0.01;

  /** What is covered by more than half, where enough of the picture is see-through. */
  static Optional<Mask> covered(Picture picture) {
    boolean[] set = new boolean[picture.pixelCount()];
    int clear = 0;
    for (int i = 0; i < set.length; i++) {
      set[i] = picture.coverage(i) >= 0.5;
      clear += set[i] ? 0 : 1;
    }
    return clear < LEAST_CLEAR * set.length
        ? Optional.empty()
        : Optional.of(new Mask(picture.widthPixels(), picture.heightPixels(), set));
  }

  static Mask of(OkLabPlanes colours, int width, int height) {
    OkLab background = new FigureMask(width, height).borderColour(colours);
    boolean[] near = new boolean[colours.size()];
    for (int i = 0; i < near.length; i++) {
      near[i] = colours.distance(i, background) < NEAR;
    }
    return around(near, width, height, Math.max(1, GAP_SHARE * Math.max(width, height)));
  }

  /**
   * All that the flood does not reach.
   *
   * @param near pixels of the background's colour, row-major
   * @param gapPixels half the widest gap in an outline that the flood does not pass; 0 passes all
   */
  public static Mask around(boolean[] near, int width, int height, double gapPixels) {
    return new FigureMask(width, height).around(near, gapPixels);
  }

  /** The most frequent colour along the border. */
  public static OkLab borderColour(OkLabPlanes colours, int width, int height) {
    return new FigureMask(width, height).borderColour(colours);
  }

  private Mask around(boolean[] near, double gap) {
    float[] room = Distance.toOutside(new Mask(width, height, near)).values();
    boolean[] flooded = flood(near, room, gap);
    growBack(flooded, near, (int) Math.ceil(gap));
    boolean[] figure = new boolean[flooded.length];
    for (int i = 0; i < figure.length; i++) {
      figure[i] = !flooded[i];
    }
    return new Mask(width, height, figure);
  }

  private OkLab borderColour(OkLabPlanes colours) {
    Map<Long, double[]> bins = new HashMap<>();
    for (int i : border()) {
      long bin =
          Math.round(colours.lightness(i) / BORDER_BIN) * 1_000_000
              + Math.round(colours.a(i) / BORDER_BIN) * 1000
              + Math.round(colours.b(i) / BORDER_BIN);
      double[] sum = bins.computeIfAbsent(bin, key -> new double[4]);
      sum[0]++;
      sum[1] += colours.lightness(i);
      sum[2] += colours.a(i);
      sum[3] += colours.b(i);
    }
    double[] best = new double[] {0, 0, 0, 0};
    for (double[] sum : bins.values()) {
      if (sum[0] > best[0]) {
        best = sum;
      }
    }
    return new OkLab(best[1] / best[0], best[2] / best[0], best[3] / best[0]);
  }

  /** Border pixels in one walk, clockwise from the upper left corner. */
  private int[] border() {
    if (width == 1 || height == 1) {
      int[] all = new int[width * height];
      Arrays.setAll(all, i -> i);
      return all;
    }
    int[] walk = new int[2 * (width + height) - 4];
    int n = 0;
    for (int x = 0; x < width; x++) {
      walk[n++] = x;
    }
    for (int y = 1; y < height; y++) {
      walk[n++] = y * width + width - 1;
    }
    for (int x = width - 2; x >= 0; x--) {
      walk[n++] = (height - 1) * width + x;
    }
    for (int y = height - 2; y > 0; y--) {
      walk[n++] = y * width;
    }
    return walk;
  }

  private boolean[] flood(boolean[] near, float[] room, double gap) {
    boolean[] flooded = new boolean[near.length];
    int[] queue = new int[near.length];
    int size = 0;
    int[] walk = border();
    int start = 0;
    while (start < walk.length && near[walk[start]]) {
      start++;
    }
    if (start == walk.length) {
      start = 0; // The whole border is background: one run.
    }
    int n = walk.length;
    for (int at = 0; at < n; ) {
      if (!near[walk[(start + at) % n]]) {
        at++;
        continue;
      }
      int end = at;
      boolean corner = false;
      while (end < n && near[walk[(start + end) % n]]) {
        corner |= isCorner(walk[(start + end) % n]);
        end++;
      }
      if (corner || end - at > LONG_RUN_SHARE * Math.min(width, height)) {
        for (int k = at; k < end; k++) {
          int pixel = walk[(start + k) % n];
          if (!flooded[pixel] && room[pixel] > gap) {
            flooded[pixel] = true;
            queue[size++] = pixel;
          }
        }
      }
      at = end;
    }
    for (int next = 0; next < size; next++) {
      int x = queue[next] % width;
      int y = queue[next] / width;
      for (int[] step : STEPS) {
        int nx = x + step[0];
        int ny = y + step[1];
        if (nx < 0 || ny < 0 || nx >= width || ny >= height) {
          continue;
        }
        int neighbour = ny * width + nx;
        if (!flooded[neighbour] && room[neighbour] > gap) {
          flooded[neighbour] = true;
          queue[size++] = neighbour;
        }
      }
    }
    return flooded;
  }

  private boolean isCorner(int pixel) {
    int x = pixel % width;
    int y = pixel / width;
    return (x == 0 || x == width - 1) && (y == 0 || y == height - 1);
  }

  /** Whether a pixel that was not flooded lies beside, or the picture's edge. */
  private boolean touchesDry(boolean[] flooded, int i) {
    int x = i % width;
    if (x == 0 || x == width - 1 || i < width || i >= flooded.length - width) {
      return true;
    }
    for (int row = i - width; row <= i + width; row += width) {
      if (!flooded[row - 1] || !flooded[row] || !flooded[row + 1]) {
        return true;
      }
    }
    return false;
  }

  private void growBack(boolean[] flooded, boolean[] near, int steps) {
    int[] front = new int[flooded.length];
    int size = 0;
    for (int i = 0; i < flooded.length; i++) {
      if (flooded[i] && touchesDry(flooded, i)) {
        front[size++] = i;
      }
    }
    int from = 0;
    for (int step = 0; step < steps; step++) {
      int to = size;
      for (; from < to; from++) {
        int x = front[from] % width;
        int y = front[from] / width;
        for (int ny = Math.max(0, y - 1); ny <= Math.min(height - 1, y + 1); ny++) {
          for (int nx = Math.max(0, x - 1); nx <= Math.min(width - 1, x + 1); nx++) {
            int neighbour = ny * width + nx;
            if (near[neighbour] && !flooded[neighbour]) {
              flooded[neighbour] = true;
              front[size++] = neighbour;
            }
          }
        }
      }
    }
  }
}
