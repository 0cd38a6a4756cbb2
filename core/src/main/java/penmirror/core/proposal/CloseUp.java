package penmirror.core.proposal;

import penmirror.core.colour.OkLabPlanes;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;
import penmirror.core.raster.PixelGrid;
import penmirror.core.raster.Plane;

/**
 * The colours round a face. A small head in a large picture has few working pixels: there the
 * picture is looked at again, as finely as the face is sampled.
 *
 * @param scale pixels of these planes per pixel of the picture
 * @param left where they begin, in pixels of the picture
 */
record CloseUp(Plane lightness, Plane a, Plane b, double scale, int left, int top) {

  /**
   * @param sides of the face in the frame of its eyes: left, top, right, bottom
   * @param perUnit samples of the face per eye distance
   */
  static CloseUp of(Ground ground, EyeFrame eyes, double[] sides, double perUnit) {
    double distancePixels = eyes.distance() / ground.scale;
    if (ground.scale >= 1 || eyes.distance() >= perUnit) {
      return new CloseUp(ground.lightness, ground.a, ground.b, ground.scale, 0, 0);
    }
    Picture picture = ground.picture;
    double left = picture.widthPixels();
    double top = picture.heightPixels();
    double right = 0;
    double bottom = 0;
    for (double u : new double[] {sides[0], sides[2]}) {
      for (double v : new double[] {sides[1], sides[3]}) {
        Point working = eyes.at(u, v);
        Point corner = ground.toPicture(working.x(), working.y());
        left = Math.min(left, corner.x());
        right = Math.max(right, corner.x());
        top = Math.min(top, corner.y());
        bottom = Math.max(bottom, corner.y());
      }
    }
    int x = (int) Math.max(0, left);
    int y = (int) Math.max(0, top);
    int partWidth = (int) Math.min(picture.widthPixels(), Math.ceil(right)) - x;
    int partHeight = (int) Math.min(picture.heightPixels(), Math.ceil(bottom)) - y;
    double scale = Math.min(1, perUnit / distancePixels);
    int width = Math.max(1, (int) Math.round(partWidth * scale));
    int height = Math.max(1, (int) Math.round(partHeight * scale));
    int[] rgb = Resized.rgb(picture, x, y, partWidth, partHeight, width, height);
    OkLabPlanes colours = OkLabPlanes.of(rgb.length, i -> rgb[i]);
    return new CloseUp(
        new Plane(width, height, values(rgb.length, colours::lightness)),
        new Plane(width, height, values(rgb.length, colours::a)),
        new Plane(width, height, values(rgb.length, colours::b)),
        width / (double) partWidth,
        x,
        y);
  }

  @FunctionalInterface
  private interface Value {
    float at(int index);
  }

  private static float[] values(int count, Value value) {
    float[] values = new float[count];
    for (int i = 0; i < count; i++) {
      values[i] = value.at(i);
    }
    return values;
  }

  /**
   * Adds lightness, a and b between pixel centres, as {@link Plane#at} has each of them; where it
   * lies is worked out once for the three.
   */
  void addTo(double[] sums, double x, double y) {
    int width = lightness.width();
    int height = lightness.height();
    double cx = Math.max(0, Math.min(width - 1, x));
    double cy = Math.max(0, Math.min(height - 1, y));
    int x0 = (int) cx;
    int y0 = (int) cy;
    int upper = y0 * width + x0;
    int lower = Math.min(y0 + 1, height - 1) * width + x0;
    int right = x0 + 1 < width ? 1 : 0;
    float fx = (float) (cx - x0);
    float fy = (float) (cy - y0);
    sums[0] += between(lightness.values(), upper, lower, right, fx, fy);
    sums[1] += between(a.values(), upper, lower, right, fx, fy);
    sums[2] += between(b.values(), upper, lower, right, fx, fy);
  }

  private static float between(
      float[] values, int upper, int lower, int right, float fx, float fy) {
    float top = values[upper] * (1 - fx) + values[upper + right] * fx;
    float bottom = values[lower] * (1 - fx) + values[lower + right] * fx;
    return top * (1 - fy) + bottom * fy;
  }

  /** From working pixels of the ground it was taken of. */
  Point fromWorking(Ground ground, Point working) {
    return toPlane(ground.toPicture(working.x(), working.y()));
  }

  /** From pixels of the picture to places of these planes. */
  Point toPlane(Point picture) {
    return new Point(
        PixelGrid.place((picture.x() - left) * scale),
        PixelGrid.place((picture.y() - top) * scale));
  }
}
