package penmirror.core.measure;

import penmirror.core.colour.OkLab;
import penmirror.core.colour.OkLabPlanes;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Picture;
import penmirror.core.raster.PixelGrid;

/**
 * A picture with its figure told from the background, on a copy small enough to work with.
 *
 * @param picture upright, full size
 * @param factor how many times smaller the copy is
 * @param coarse the copy
 * @param colours of the copy
 * @param figure of the copy
 * @param background most frequent colour of the border
 * @param figureCount pixels of the copy that are figure
 */
public record FigurePixels(
    Picture picture,
    int factor,
    Picture coarse,
    OkLabPlanes colours,
    Mask figure,
    OkLab background,
    int figureCount) {

  public FigurePixels(
      Picture picture,
      int factor,
      Picture coarse,
      OkLabPlanes colours,
      Mask figure,
      OkLab background) {
    this(picture, factor, coarse, colours, figure, background, figure.count());
  }

  /** Whether a column and row of the picture lie in the figure; false outside the picture. */
  public boolean isFigure(double column, double row) {
    return figure.at(PixelGrid.cell(column, factor), PixelGrid.cell(row, factor));
  }

  /** Index in the copy of a column and row of the picture, held at the edges. */
  public int coarseIndex(double column, double row) {
    int cx = PixelGrid.cell(column, factor);
    int cy = PixelGrid.cell(row, factor);
    cx = Math.max(0, Math.min(figure.width() - 1, cx));
    cy = Math.max(0, Math.min(figure.height() - 1, cy));
    return cy * figure.width() + cx;
  }

  /** Area of the figure, pixels of the picture. */
  public long areaPixels() {
    return Math.min(picture.pixelCount(), (long) figureCount * factor * factor);
  }

  /** Root of the figure's area: the unit of length that needs no marks. Pixels of the picture. */
  public double unitPixels() {
    return Math.sqrt(areaPixels());
  }
}
