package penmirror.core.raster;

import penmirror.core.geometry.Point;

/**
 * Where the two ways of telling a place meet: points, as marks and pages tell them, with the middle
 * of the first pixel at (0.5, 0.5), and columns and rows, as loops over pixels count them, with
 * that middle at (0, 0). And how a column of a smaller copy lies in the large one. Nowhere else is
 * half a pixel added or taken away for this.
 */
public final class PixelGrid {
  private PixelGrid() {}

  /** The point at a column and a row. */
  public static Point point(double column, double row) {
    return new Point(column + 0.5, row + 0.5);
  }

  /** The column of a point's x, or the row of its y. */
  public static double place(double coordinate) {
    return coordinate - 0.5;
  }

  /**
   * A column or row of the large picture, from one of a copy.
   *
   * @param factor how many times smaller the copy is
   */
  public static double toLarge(double place, double factor) {
    return (place + 0.5) * factor - 0.5;
  }

  /** A column or row of the copy, from one of the large picture. */
  public static double toCopy(double place, double factor) {
    return (place + 0.5) / factor - 0.5;
  }

  /** The whole column or row of the copy that one of the large picture lies in. */
  public static int cell(double place, double factor) {
    return (int) Math.floor((place + 0.5) / factor);
  }
}
