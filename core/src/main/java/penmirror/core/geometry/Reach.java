package penmirror.core.geometry;

/**
 * How far from a picture anything drawn or marked on it may lie. What lies farther off is a fault
 * of whoever sent it; sums with it would overflow, and loops over its pixels would not end.
 */
public final class Reach {
  /** Four times the longest side a picture may have. */
  public static final double PIXELS = 4 * 16_384;

  private Reach() {}

  /** Whether a coordinate or a length, in pixels, can belong to a picture; false for NaN. */
  public static boolean holds(double pixels) {
    return Math.abs(pixels) <= PIXELS;
  }

  /** Whether a point lies on a picture, or beside it by no more than its longer side. */
  public static boolean holds(Point point, int widthPixels, int heightPixels) {
    double beside = Math.max(widthPixels, heightPixels);
    return point.x() >= -beside
        && point.y() >= -beside
        && point.x() <= widthPixels + beside
        && point.y() <= heightPixels + beside;
  }
}
