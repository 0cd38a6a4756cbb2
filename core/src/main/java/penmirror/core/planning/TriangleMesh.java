package penmirror.core.planning;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import penmirror.core.geometry.Point;

/** Draws a picture through triangles that lie elsewhere, each evenly stretched. */
final class TriangleMesh {
  /** Bands are drawn side by side. */
  private static final int BAND_PIXELS = 64;

  /** Pixels on the seam of two triangles belong to both. */
  private static final double SEAM = 1e-6;

  private final int[] source;
  private final int sourceWidth;
  private final int sourceHeight;
  private final int width;
  private final int height;
  private final List<Triangle> triangles = new ArrayList<>();

  TriangleMesh(BufferedImage picture, int width, int height) {
    BufferedImage whole =
        new BufferedImage(picture.getWidth(), picture.getHeight(), BufferedImage.TYPE_INT_ARGB_PRE);
    whole.createGraphics().drawImage(picture, 0, 0, null);
    source = ((DataBufferInt) whole.getRaster().getDataBuffer()).getData();
    sourceWidth = picture.getWidth();
    sourceHeight = picture.getHeight();
    this.width = width;
    this.height = height;
  }

  private record Triangle(Point[] from, Point[] to, double top, double base) {}

  /**
   * @param from three corners in the picture
   * @param to the same where they are drawn
   */
  void add(Point[] from, Point[] to) {
    double top = Math.min(to[0].y(), Math.min(to[1].y(), to[2].y()));
    double base = Math.max(to[0].y(), Math.max(to[1].y(), to[2].y()));
    if (base >= 0 && top < height) {
      triangles.add(new Triangle(from, to, top, base));
    }
  }

  BufferedImage drawn() {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
    int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
    IntStream.range(0, (height + BAND_PIXELS - 1) / BAND_PIXELS)
        .parallel()
        .forEach(
            band -> {
              int top = band * BAND_PIXELS;
              int base = Math.min(height, top + BAND_PIXELS);
              for (Triangle triangle : triangles) {
                if (triangle.base() >= top && triangle.top() < base) {
                  draw(triangle, pixels, top, base);
                }
              }
            });
    return image;
  }

  private void draw(Triangle triangle, int[] pixels, int bandTop, int bandBase) {
    Point[] to = triangle.to();
    Point[] from = triangle.from();
    int top = (int) Math.max(bandTop, Math.floor(triangle.top() - 0.5));
    int base = (int) Math.min(bandBase - 1.0, Math.ceil(triangle.base()));
    int left =
        (int) Math.max(0, Math.floor(Math.min(to[0].x(), Math.min(to[1].x(), to[2].x())) - 0.5));
    int right =
        (int) Math.min(width - 1.0, Math.ceil(Math.max(to[0].x(), Math.max(to[1].x(), to[2].x()))));
    for (int y = top; y <= base; y++) {
      for (int x = left; x <= right; x++) {
        double[] share = shares(to[0], to[1], to[2], new Point(x + 0.5, y + 0.5));
        if (share[0] >= -SEAM && share[1] >= -SEAM && share[2] >= -SEAM) {
          pixels[y * width + x] =
              straight(
                  sampled(
                      share[0] * from[0].x()
                          + share[1] * from[1].x()
                          + share[2] * from[2].x()
                          - 0.5,
                      share[0] * from[0].y()
                          + share[1] * from[1].y()
                          + share[2] * from[2].y()
                          - 0.5));
        }
      }
    }
  }

  /** A colour that was multiplied by its alpha, as files have it. */
  private static int straight(int multiplied) {
    int alpha = multiplied >>> 24;
    if (alpha == 0 || alpha == 255) {
      return multiplied;
    }
    int colour = alpha << 24;
    for (int shift = 0; shift < 24; shift += 8) {
      colour |= Math.min(255, Math.round((multiplied >>> shift & 255) * 255f / alpha)) << shift;
    }
    return colour;
  }

  /** Of each corner, summing to 1; one under 0 for a place outside. */
  static double[] shares(Point a, Point b, Point c, Point at) {
    double whole = (b.x() - a.x()) * (c.y() - a.y()) - (c.x() - a.x()) * (b.y() - a.y());
    double ofB = ((at.x() - a.x()) * (c.y() - a.y()) - (c.x() - a.x()) * (at.y() - a.y())) / whole;
    double ofC = ((b.x() - a.x()) * (at.y() - a.y()) - (at.x() - a.x()) * (b.y() - a.y())) / whole;
    return new double[] {1 - ofB - ofC, ofB, ofC};
  }

  /** Between the four pixels round a place; the edge goes on beyond itself. */
  private int sampled(double x, double y) {
    int left = (int) Math.floor(x);
    int top = (int) Math.floor(y);
    double s = x - left;
    double t = y - top;
    int a = pixel(left, top);
    int b = pixel(left + 1, top);
    int c = pixel(left, top + 1);
    int d = pixel(left + 1, top + 1);
    if (a == b && b == c && c == d) {
      return a;
    }
    int mixed = 0;
    for (int shift = 0; shift < 32; shift += 8) {
      double over = (1 - s) * (a >>> shift & 255) + s * (b >>> shift & 255);
      double under = (1 - s) * (c >>> shift & 255) + s * (d >>> shift & 255);
      mixed |= (int) Math.round((1 - t) * over + t * under) << shift;
    }
    return mixed;
  }

  private int pixel(int x, int y) {
    int column = Math.max(0, Math.min(sourceWidth - 1, x));
    int row = Math.max(0, Math.min(sourceHeight - 1, y));
    return source[row * sourceWidth + column];
  }
}
