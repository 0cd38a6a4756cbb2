package penmirror.core.measure.line;

import penmirror.core.raster.PixelGrid;

/** Paints traced lines, as wide as they were read, onto a copy of any size. */
public final class InkPainter {
  private InkPainter() {}

  /**
   * @param factor how many times smaller than the picture the copy is
   * @return row-major; every pixel that a line touches is set
   */
  public static boolean[] paint(DrawnLines lines, int factor, int width, int height) {
    boolean[] ink = new boolean[width * height];
    for (Stroke stroke : lines.strokes()) {
      for (int i = 0; i < stroke.size(); i++) {
        if (stroke.isRead(i)) {
          double x = PixelGrid.toCopy(lines.toPicture(stroke.xs()[i]), factor);
          double y = PixelGrid.toCopy(lines.toPicture(stroke.ys()[i]), factor);
          double radius = stroke.widths()[i] * lines.factor() / factor / 2 + 0.5;
          disc(ink, width, height, x, y, radius);
        }
      }
    }
    return ink;
  }

  private static void disc(
      boolean[] ink, int width, int height, double x, double y, double radius) {
    int fromY = Math.max(0, (int) Math.ceil(y - radius));
    int toY = Math.min(height - 1, (int) Math.floor(y + radius));
    for (int py = fromY; py <= toY; py++) {
      double half = Math.sqrt(Math.max(0, radius * radius - (py - y) * (py - y)));
      int fromX = Math.max(0, (int) Math.ceil(x - half));
      int toX = Math.min(width - 1, (int) Math.floor(x + half));
      for (int px = fromX; px <= toX; px++) {
        ink[py * width + px] = true;
      }
    }
  }
}
