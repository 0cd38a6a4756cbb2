package penmirror.core.raster;

/**
 * A picture cut into twelve by twelve tiles: the pieces that are drawn again for the errors of what
 * is counted by pixels.
 */
public final class Tiles {
  private static final int SIDE = 12;
  public static final int COUNT = SIDE * SIDE;

  private final int[] columns;
  private final int[] rows;

  /**
   * @param width pixels, 1 or more
   * @param height pixels, 1 or more
   */
  public Tiles(int width, int height) {
    columns = tiles(width, 1);
    rows = tiles(height, SIDE);
  }

  // Looked up: every pixel asks, and a division takes longer than all else that is done with it.
  private static int[] tiles(int length, int factor) {
    int[] tiles = new int[length];
    for (int i = 0; i < length; i++) {
      tiles[i] = (int) ((long) i * SIDE / length) * factor;
    }
    return tiles;
  }

  /** Number of the tile that a pixel lies in, [0, {@link #COUNT}). */
  public int at(int x, int y) {
    return rows[y] + columns[x];
  }

  /** The same, of a pixel of all, row by row. */
  public int at(int pixel) {
    return at(pixel % columns.length, pixel / columns.length);
  }
}
