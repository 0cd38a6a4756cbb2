package penmirror.core.reading;

import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Optional;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.FigureEdit;
import penmirror.core.measure.FigurePixels;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Picture;

/**
 * A figure cut out of its paper, as it is told from it for readings: opaque where it is figure,
 * transparent elsewhere, with a smooth edge.
 *
 * @param image not premultiplied; of a picture over some hundred thousand pixels a smaller copy
 * @param place where it lies on the picture, pixels of the picture
 * @param paper most frequent colour of the picture's border
 */
public record CutOut(BufferedImage image, Place place, OkLab paper) {
  private static final int NEIGHBOURS = 9;

  /** Enough for a figure as high as a page. */
  private static final int ABOUT_PIXELS = 400_000;

  /** A rectangle of a picture, in its pixels. */
  public record Place(int left, int top, int width, int height) {}

  /**
   * Empty where nothing stands out from the paper.
   *
   * @param edits corrections of the figure by hand, in pixels of the picture
   */
  public static Optional<CutOut> of(Picture picture, List<FigureEdit> edits) {
    FigurePixels seen = PixelReader.figure(picture, edits, ABOUT_PIXELS);
    Mask figure = seen.figure();
    int left = figure.width();
    int top = figure.height();
    int right = -1;
    int bottom = -1;
    for (int y = 0; y < figure.height(); y++) {
      for (int x = 0; x < figure.width(); x++) {
        if (figure.at(x, y)) {
          left = Math.min(left, x);
          right = Math.max(right, x);
          top = Math.min(top, y);
          bottom = Math.max(bottom, y);
        }
      }
    }
    if (right < 0) {
      return Optional.empty();
    }
    int factor = seen.factor();
    return Optional.of(
        new CutOut(
            drawn(seen, left, top, right + 1, bottom + 1),
            new Place(
                left * factor,
                top * factor,
                (right + 1 - left) * factor,
                (bottom + 1 - top) * factor),
            seen.background()));
  }

  /**
   * A copy of the picture, of any size, without its paper: as opaque as the figure is here,
   * smoothly between.
   *
   * @param drawing the copy, opaque
   * @param pictureWidthPixels of the picture itself
   * @return not premultiplied
   */
  public BufferedImage cut(BufferedImage drawing, double pictureWidthPixels) {
    double onPicture = pictureWidthPixels / drawing.getWidth();
    int width = drawing.getWidth();
    BufferedImage cut = new BufferedImage(width, drawing.getHeight(), BufferedImage.TYPE_INT_ARGB);
    int across = image.getWidth();
    int down = image.getHeight();
    int[] opacity = image.getAlphaRaster().getPixels(0, 0, across, down, (int[]) null);
    double[] columns = new double[width];
    for (int x = 0; x < width; x++) {
      columns[x] = ((x + 0.5) * onPicture - place.left()) * across / place.width() - 0.5;
    }
    int[] row = new int[width];
    double[] above = new double[across];
    for (int y = 0; y < drawing.getHeight(); y++) {
      drawing.getRGB(0, y, width, 1, row, 0, width);
      double v = ((y + 0.5) * onPicture - place.top()) * down / place.height() - 0.5;
      int top = (int) Math.floor(v);
      for (int i = 0; i < across; i++) {
        double upper = top < 0 || top >= down ? 0 : opacity[top * across + i];
        double lower = top < -1 || top >= down - 1 ? 0 : opacity[(top + 1) * across + i];
        above[i] = upper + (v - top) * (lower - upper);
      }
      for (int x = 0; x < width; x++) {
        int left = (int) Math.floor(columns[x]);
        double one = left < 0 || left >= across ? 0 : above[left];
        double other = left < -1 || left >= across - 1 ? 0 : above[left + 1];
        int opaque = (int) (one + (columns[x] - left) * (other - one) + 0.5);
        row[x] = opaque << 24 | row[x] & 0xFFFFFF;
      }
      cut.setRGB(0, y, width, 1, row, 0, width);
    }
    return cut;
  }

  private static BufferedImage drawn(FigurePixels seen, int left, int top, int right, int bottom) {
    Mask figure = seen.figure();
    BufferedImage image =
        new BufferedImage(right - left, bottom - top, BufferedImage.TYPE_INT_ARGB);
    for (int y = top; y < bottom; y++) {
      for (int x = left; x < right; x++) {
        int opacity = Math.round(255f * around(figure, x, y) / NEIGHBOURS);
        int colour = seen.coarse().rgb(y * figure.width() + x) & 0xFFFFFF;
        image.setRGB(x - left, y - top, opacity << 24 | colour);
      }
    }
    return image;
  }

  /** How many of a pixel and those beside it are figure. */
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
