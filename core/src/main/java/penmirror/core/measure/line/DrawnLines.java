package penmirror.core.measure.line;

import java.util.List;
import penmirror.core.raster.Picture;
import penmirror.core.raster.PixelGrid;

/**
 * The lines of a picture, on the copy they were traced on.
 *
 * @param working the copy, {@code factor} times smaller than the picture
 * @param strokes in pixels of the copy
 * @param medianWidth over the length of all lines, pixels of the copy
 */
public record DrawnLines(Picture working, int factor, List<Stroke> strokes, double medianWidth) {
  public DrawnLines {
    strokes = List.copyOf(strokes);
  }

  /** From a place on the copy to the same place in the picture. */
  public double toPicture(double place) {
    return PixelGrid.toLarge(place, factor);
  }

  /** Length of all lines, pixels of the picture. */
  public double lengthPixels() {
    return factor * strokes.stream().mapToDouble(Stroke::length).sum();
  }

  public double medianWidthPixels() {
    return factor * medianWidth;
  }
}
