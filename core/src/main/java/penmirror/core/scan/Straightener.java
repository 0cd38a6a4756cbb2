package penmirror.core.scan;

import java.util.stream.IntStream;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;

/** Turns a scan upright and cuts it to the sheet. */
final class Straightener {
  /** Less than this moves no pixel of a page by more than half its width. */
  private static final double LEAST_TURN_DEGREES = 0.01;

  private Straightener() {}

  /**
   * The part of a scan that lies in an upright rectangle once it has been turned back.
   *
   * @param turnDegrees how far the scan lies turned, clockwise
   * @param from where the upper left corner of the result lies on the scan, pixels
   * @param widthPixels size of the result
   */
  static Picture straighten(
      Picture scan, double turnDegrees, Point from, int widthPixels, int heightPixels) {
    double angle = Math.abs(turnDegrees) < LEAST_TURN_DEGREES ? 0 : Math.toRadians(turnDegrees);
    double cos = Math.cos(angle);
    double sin = Math.sin(angle);
    int[] rgb = new int[widthPixels * heightPixels];
    IntStream.range(0, heightPixels)
        .parallel()
        .forEach(
            y -> {
              for (int x = 0; x < widthPixels; x++) {
                double u = from.x() + (x + 0.5) * cos - (y + 0.5) * sin;
                double v = from.y() + (x + 0.5) * sin + (y + 0.5) * cos;
                rgb[y * widthPixels + x] = sample(scan, u - 0.5, v - 0.5);
              }
            });
    return Picture.of(widthPixels, heightPixels, rgb);
  }

  /** Catmull-Rom between the sixteen nearest pixels; beyond the border the border goes on. */
  private static int sample(Picture scan, double x, double y) {
    int left = (int) Math.floor(x);
    int top = (int) Math.floor(y);
    double u = x - left;
    double v = y - top;
    double red = 0;
    double green = 0;
    double blue = 0;
    for (int j = -1; j <= 2; j++) {
      double down = weight(v - j);
      if (down == 0) {
        continue;
      }
      int row = Math.max(0, Math.min(scan.heightPixels() - 1, top + j)) * scan.widthPixels();
      for (int i = -1; i <= 2; i++) {
        double share = down * weight(u - i);
        int rgb = scan.rgb(row + Math.max(0, Math.min(scan.widthPixels() - 1, left + i)));
        red += share * ((rgb >> 16) & 255);
        green += share * ((rgb >> 8) & 255);
        blue += share * (rgb & 255);
      }
    }
    return clip(red) << 16 | clip(green) << 8 | clip(blue);
  }

  private static double weight(double distance) {
    double d = Math.abs(distance);
    if (d < 1) {
      return 1 + d * d * (1.5 * d - 2.5);
    }
    return d < 2 ? 2 + d * (-4 + d * (2.5 - 0.5 * d)) : 0;
  }

  private static int clip(double value) {
    return (int) Math.max(0, Math.min(255, Math.round(value)));
  }
}
