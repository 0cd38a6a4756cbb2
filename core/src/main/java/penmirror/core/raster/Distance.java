package penmirror.core.raster;

/**
 * Distance to the nearest pixel outside a mask, in pixels.
 *
 * <p>A chamfer distance with steps 5, 7 and 11, at most 2 % off the straight distance: here it only
 * sets how far to look, while widths are read off the picture itself. Source: Borgefors, Distance
 * transformations in digital images, Computer Vision, Graphics, and Image Processing 34 (1986).
 */
public final class Distance {
  private static final int STRAIGHT = 5;
  private static final int DIAGONAL = 7;
  private static final int KNIGHT = 11;
  private static final int FAR = Integer.MAX_VALUE / 2;

  private Distance() {}

  /**
   * 0 outside the mask, about 1 on its rim, growing inward. Places outside the picture do not count
   * as outside the mask. All set: a very large number everywhere.
   */
  public static Plane toOutside(Mask mask) {
    int width = mask.width();
    int height = mask.height();
    boolean[] set = mask.values();
    int[] d = new int[set.length];
    for (int i = 0; i < d.length; i++) {
      d[i] = set[i] ? FAR : 0;
    }
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int i = y * width + x;
        if (x >= 2 && y >= 2 && x < width - 2) {
          d[i] = d[i] == 0 ? 0 : inside(d, i, -width, -1);
        } else {
          relax(d, width, height, x, y, -1);
        }
      }
    }
    for (int y = height - 1; y >= 0; y--) {
      for (int x = width - 1; x >= 0; x--) {
        int i = y * width + x;
        if (x >= 2 && y < height - 2 && x < width - 2) {
          d[i] = d[i] == 0 ? 0 : inside(d, i, width, 1);
        } else {
          relax(d, width, height, x, y, 1);
        }
      }
    }
    float[] pixels = new float[d.length];
    for (int i = 0; i < d.length; i++) {
      pixels[i] = d[i] / (float) STRAIGHT;
    }
    return new Plane(width, height, pixels);
  }

  /** Away from the edge, where every neighbour is there. */
  private static int inside(int[] d, int i, int row, int side) {
    int next = i + row;
    int straight = Math.min(d[i + side], d[next]) + STRAIGHT;
    int diagonal = Math.min(d[next - 1], d[next + 1]) + DIAGONAL;
    int flat = Math.min(d[next - 2], d[next + 2]);
    int steep = Math.min(d[next + row - 1], d[next + row + 1]);
    int knight = Math.min(flat, steep) + KNIGHT;
    return Math.min(Math.min(d[i], straight), Math.min(diagonal, knight));
  }

  private static void relax(int[] d, int width, int height, int x, int y, int side) {
    int i = y * width + x;
    int best = d[i];
    if (best == 0) {
      return;
    }
    best = Math.min(best, at(d, width, height, x + side, y) + STRAIGHT);
    best = Math.min(best, at(d, width, height, x, y + side) + STRAIGHT);
    best = Math.min(best, at(d, width, height, x - 1, y + side) + DIAGONAL);
    best = Math.min(best, at(d, width, height, x + 1, y + side) + DIAGONAL);
    best = Math.min(best, at(d, width, height, x - 2, y + side) + KNIGHT);
    best = Math.min(best, at(d, width, height, x + 2, y + side) + KNIGHT);
    best = Math.min(best, at(d, width, height, x - 1, y + 2 * side) + KNIGHT);
    best = Math.min(best, at(d, width, height, x + 1, y + 2 * side) + KNIGHT);
    d[i] = best;
  }

  private static int at(int[] d, int width, int height, int x, int y) {
    return x < 0 || y < 0 || x >= width || y >= height ? FAR : d[y * width + x];
  }
}
