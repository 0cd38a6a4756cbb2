package penmirror.core.measure.line;

import penmirror.core.measure.FigurePixels;
import penmirror.core.raster.Mask;
import penmirror.core.raster.PixelGrid;
import penmirror.core.raster.Tiles;
import penmirror.core.statistics.Ratio;

/** How much of the figure's contour carries a line. */
final class OutlineCover {
  private OutlineCover() {}

  /** Contour pixels with a line's middle about a line width away, of all, by tiles. */
  static Ratio share(DrawnLines lines, FigurePixels pixels) {
    Mask figure = pixels.figure();
    int width = figure.width();
    int height = figure.height();
    double reach = 0.9 * lines.medianWidthPixels() / pixels.factor() + 2;
    boolean[] near = new boolean[width * height];
    int span = (int) Math.ceil(reach);
    for (Stroke stroke : lines.strokes()) {
      for (int i = 0; i < stroke.size(); i++) {
        if (stroke.isRead(i)) {
          double x = PixelGrid.toCopy(lines.toPicture(stroke.xs()[i]), pixels.factor());
          double y = PixelGrid.toCopy(lines.toPicture(stroke.ys()[i]), pixels.factor());
          stamp(near, width, height, (int) Math.round(x), (int) Math.round(y), span, reach);
        }
      }
    }
    double[] contour = new double[Tiles.COUNT];
    double[] covered = new double[Tiles.COUNT];
    Tiles tiles = new Tiles(width, height);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        boolean atEdge = x == 0 || y == 0 || x == width - 1 || y == height - 1;
        if (!atEdge && figure.at(x, y) && touchesBackground(figure, x, y)) {
          int tile = tiles.at(x, y);
          contour[tile]++;
          covered[tile] += near[y * width + x] ? 1 : 0;
        }
      }
    }
    return Ratio.of(covered, contour);
  }

  private static boolean touchesBackground(Mask figure, int x, int y) {
    return !figure.at(x - 1, y)
        || !figure.at(x + 1, y)
        || !figure.at(x, y - 1)
        || !figure.at(x, y + 1);
  }

  private static void stamp(
      boolean[] near, int width, int height, int x, int y, int span, double reach) {
    for (int dy = -span; dy <= span; dy++) {
      for (int dx = -span; dx <= span; dx++) {
        int px = x + dx;
        int py = y + dy;
        if (px >= 0 && py >= 0 && px < width && py < height && dx * dx + dy * dy <= reach * reach) {
          near[py * width + px] = true;
        }
      }
    }
  }
}
