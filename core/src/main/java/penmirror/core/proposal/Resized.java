package penmirror.core.proposal;

import java.util.Arrays;
import java.util.stream.IntStream;
import penmirror.core.raster.Picture;

/** Part of a picture at another size. */
final class Resized {
  private Resized() {}

  /**
   * 0xRRGGBB, row-major: the mean over the area each new pixel covers; when enlarging, pixels are
   * repeated.
   *
   * @param left of the part, in pixels of the picture, as are top, partWidth and partHeight
   * @param width of the result
   * @param height of the result
   */
  static int[] rgb(
      Picture picture, int left, int top, int partWidth, int partHeight, int width, int height) {
    int sourceWidth = picture.widthPixels();
    int[] result = new int[width * height];
    if (width == partWidth && height == partHeight) {
      Arrays.setAll(result, i -> picture.rgb((top + i / width) * sourceWidth + left + i % width));
      return result;
    }
    double stepX = partWidth / (double) width;
    double stepY = partHeight / (double) height;
    IntStream.range(0, height)
        .parallel()
        .forEach(
            y -> {
              double y0 = y * stepY;
              double y1 = Math.min(partHeight, Math.max(y0 + stepY, y0 + 1));
              double[] sums = new double[3 * width];
              double[] weights = new double[width];
              for (int sy = (int) y0; sy < y1; sy++) {
                double wy = Math.min(y1, sy + 1) - Math.max(y0, sy);
                int row = (top + sy) * sourceWidth + left;
                for (int x = 0; x < width; x++) {
                  double x0 = x * stepX;
                  double x1 = Math.min(partWidth, Math.max(x0 + stepX, x0 + 1));
                  for (int sx = (int) x0; sx < x1; sx++) {
                    double weight = wy * (Math.min(x1, sx + 1) - Math.max(x0, sx));
                    int colour = picture.rgb(row + sx);
                    sums[3 * x] += weight * ((colour >> 16) & 255);
                    sums[3 * x + 1] += weight * ((colour >> 8) & 255);
                    sums[3 * x + 2] += weight * (colour & 255);
                    weights[x] += weight;
                  }
                }
              }
              for (int x = 0; x < width; x++) {
                int red = (int) Math.round(sums[3 * x] / weights[x]);
                int green = (int) Math.round(sums[3 * x + 1] / weights[x]);
                int blue = (int) Math.round(sums[3 * x + 2] / weights[x]);
                result[y * width + x] = red << 16 | green << 8 | blue;
              }
            });
    return result;
  }
}
