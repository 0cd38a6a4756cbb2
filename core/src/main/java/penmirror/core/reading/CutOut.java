package penmirror.core.reading;

import java.awt.image.BufferedImage;
import java.util.List;
import penmirror.core.measure.FigureEdit;
import penmirror.core.measure.FigurePixels;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Picture;

/**
 * A figure cut out of its paper, as it is told from it for readings: opaque where it is figure,
 * transparent elsewhere, with a smooth edge.
 *
 * @param image on a copy of about a million pixels at most, not premultiplied
 * @param factor how many times smaller than the picture the copy is
 */
public record CutOut(BufferedImage image, int factor) {
  private static final int NEIGHBOURS = 9;

  /**
   * @param edits corrections of the figure by hand, in pixels of the picture
   */
  public static CutOut of(Picture picture, List<FigureEdit> edits) {
    FigurePixels seen = PixelReader.figure(picture, edits);
    Mask figure = seen.figure();
    Picture copy = seen.coarse();
    BufferedImage image =
        new BufferedImage(figure.width(), figure.height(), BufferedImage.TYPE_INT_ARGB);
    for (int y = 0; y < figure.height(); y++) {
      for (int x = 0; x < figure.width(); x++) {
        int opacity = Math.round(255f * around(figure, x, y) / NEIGHBOURS);
        image.setRGB(x, y, opacity << 24 | copy.rgb(y * figure.width() + x) & 0xFFFFFF);
      }
    }
    return new CutOut(image, seen.factor());
  }

  /** How many of a pixel and those beside it are figure; beyond the edge none are. */
  private static int around(Mask figure, int x, int y) {
    int count = 0;
    for (int dy = -1; dy <= 1; dy++) {
      for (int dx = -1; dx <= 1; dx++) {
        count += figure.at(x + dx, y + dy) ? 1 : 0;
      }
    }
    return count;
  }
}
