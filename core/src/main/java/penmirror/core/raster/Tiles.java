package penmirror.core.raster;

/**
 * A picture cut into twelve by twelve tiles: the pieces that are drawn again for the errors of what
 * is counted by pixels.
 */
public final class Tiles {
  private static final int SIDE = 12;
  public static final int COUNT = SIDE * SIDE;

  private Tiles() {}

  /** Number of the tile that a pixel lies in, [0, {@link #COUNT}). */
  public static int at(int x, int y, int width, int height) {
    return (int) ((long) y * SIDE / height) * SIDE + (int) ((long) x * SIDE / width);
  }
}
