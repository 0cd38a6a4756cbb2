package penmirror.core.copying;

import java.awt.image.BufferedImage;
import java.util.function.Predicate;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Plane;
import penmirror.core.reading.CutOut;

/**
 * A figure cut out of its paper, averaged into square cells: small enough that two can be compared
 * while somebody waits, fine enough that an eye still has some cells.
 */
public final class SmallFigure {
  /** Along the longer side. */
  private static final int MOST_CELLS = 176;

  /** Opacity from which a cell is figure. */
  static final double FIGURE = 0.5;

  /** Empty cells all round, so that what lies outside reads as paper. */
  private static final int RIM = 1;

  private final double cellPixels;
  private final double leftPixels;
  private final double topPixels;
  private final Extent page;
  private final Plane opacity;
  private final Plane lightness;
  private final Plane a;
  private final Plane b;

  private SmallFigure(
      double cellPixels,
      double leftPixels,
      double topPixels,
      Extent page,
      Plane opacity,
      Plane lightness,
      Plane a,
      Plane b) {
    this.cellPixels = cellPixels;
    this.leftPixels = leftPixels;
    this.topPixels = topPixels;
    this.page = page;
    this.opacity = opacity;
    this.lightness = lightness;
    this.a = a;
    this.b = b;
  }

  /** A whole picture, in pixels. */
  public record Extent(int widthPixels, int heightPixels) {
    boolean holds(double x, double y) {
      return x >= 0 && y >= 0 && x <= widthPixels && y <= heightPixels;
    }
  }

  /**
   * @param page the picture it was cut out of
   */
  public static SmallFigure of(CutOut cut, Extent page) {
    BufferedImage image = cut.image();
    CutOut.Place place = cut.place();
    double cellPixels = Math.max(place.width(), place.height()) / (double) MOST_CELLS;
    int width = (int) Math.ceil(place.width() / cellPixels) + 2 * RIM;
    int height = (int) Math.ceil(place.height() / cellPixels) + 2 * RIM;
    Sums sums = new Sums(width, height);
    double across = place.width() / (double) image.getWidth() / cellPixels;
    double down = place.height() / (double) image.getHeight() / cellPixels;
    for (int y = 0; y < image.getHeight(); y++) {
      int row = RIM + (int) ((y + 0.5) * down);
      for (int x = 0; x < image.getWidth(); x++) {
        sums.add(row * width + RIM + (int) ((x + 0.5) * across), image.getRGB(x, y));
      }
    }
    sums.divide();
    return new SmallFigure(
        cellPixels,
        place.left(),
        place.top(),
        page,
        new Plane(width, height, sums.opacity),
        new Plane(width, height, sums.lightness),
        new Plane(width, height, sums.a),
        new Plane(width, height, sums.b));
  }

  /** As in a mirror, about the middle of its page. */
  public SmallFigure mirrored() {
    return new SmallFigure(
        cellPixels,
        page.widthPixels() - right(),
        topPixels,
        page,
        mirrored(opacity),
        mirrored(lightness),
        mirrored(a),
        mirrored(b));
  }

  private static Plane mirrored(Plane plane) {
    float[] values = new float[plane.values().length];
    for (int i = 0; i < values.length; i++) {
      int row = i / plane.width() * plane.width();
      values[i] = plane.values()[row + plane.width() - 1 - (i - row)];
    }
    return new Plane(plane.width(), plane.height(), values);
  }

  /** Length of a cell's side in pixels of the picture. */
  double cellPixels() {
    return cellPixels;
  }

  double left() {
    return leftPixels;
  }

  double top() {
    return topPixels;
  }

  double right() {
    return leftPixels + (opacity.width() - 2 * RIM) * cellPixels;
  }

  double bottom() {
    return topPixels + (opacity.height() - 2 * RIM) * cellPixels;
  }

  Extent page() {
    return page;
  }

  /** Share of a place that is figure, [0, 1]; 0 outside. Pixels of the picture. */
  double opacity(double x, double y) {
    return opacity.at(cellX(x), cellY(y));
  }

  /** As it looks on white paper, OKLab. */
  OkLab onPaper(double x, double y) {
    double cx = cellX(x);
    double cy = cellY(y);
    double paper = 1 - opacity.at(cx, cy);
    return new OkLab(lightness.at(cx, cy) + paper, a.at(cx, cy), b.at(cx, cy));
  }

  /**
   * How much of the figure has which lightness, OKLab from 0 to 1, in cells.
   *
   * @param where of the figure, in pixels of the picture
   */
  public double[] lightness(int bins, Predicate<Point> where) {
    double[] counts = new double[bins];
    for (int i = 0; i < opacity.values().length; i++) {
      float covered = opacity.values()[i];
      Point middle =
          new Point(
              leftPixels + (i % opacity.width() - RIM + 0.5) * cellPixels,
              topPixels + (i / opacity.width() - RIM + 0.5) * cellPixels);
      if (covered >= FIGURE && where.test(middle)) {
        int bin = (int) (bins * lightness.values()[i] / covered);
        counts[Math.max(0, Math.min(bins - 1, bin))]++;
      }
    }
    return counts;
  }

  /** Lightness on white paper, [0, 1]. */
  double lightnessOnPaper(double x, double y) {
    double cx = cellX(x);
    double cy = cellY(y);
    return lightness.at(cx, cy) + 1 - opacity.at(cx, cy);
  }

  private double cellX(double x) {
    return (x - leftPixels) / cellPixels + RIM - 0.5;
  }

  private double cellY(double y) {
    return (y - topPixels) / cellPixels + RIM - 0.5;
  }

  /** Means over cells; colours weighed by opacity. */
  private static final class Sums {
    final float[] opacity;
    final float[] lightness;
    final float[] a;
    final float[] b;
    final int[] counts;

    Sums(int width, int height) {
      opacity = new float[width * height];
      lightness = new float[width * height];
      a = new float[width * height];
      b = new float[width * height];
      counts = new int[width * height];
    }

    void add(int cell, int argb) {
      counts[cell]++;
      float covered = (argb >>> 24) / 255f;
      if (covered > 0) {
        OkLab colour =
            OkLab.from(
                new EncodedSrgb(
                    ((argb >> 16) & 255) / 255.0,
                    ((argb >> 8) & 255) / 255.0,
                    (argb & 255) / 255.0));
        opacity[cell] += covered;
        lightness[cell] += covered * (float) colour.lightness();
        a[cell] += covered * (float) colour.a();
        b[cell] += covered * (float) colour.b();
      }
    }

    void divide() {
      for (int i = 0; i < counts.length; i++) {
        if (counts[i] > 0) {
          opacity[i] /= counts[i];
          lightness[i] /= counts[i];
          a[i] /= counts[i];
          b[i] /= counts[i];
        }
      }
    }
  }
}
