package penmirror.core.copying;

import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.colour.OkLab;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Similarity;

/**
 * Two figures laid over each other in cells of the first. What lies outside the page of either is
 * not compared: a crop is held against what it shows.
 */
final class Laid {
  private static final int LEVELS = 40;
  private static final double WIDEST_HUE = 0.4;

  private final SmallFigure source;
  private final SmallFigure copy;
  private final Similarity copyToSource;
  private final int width;
  private final int height;
  private final double left;
  private final double top;

  Laid(SmallFigure source, SmallFigure copy, Similarity copyToSource) {
    this.source = source;
    this.copy = copy;
    this.copyToSource = copyToSource;
    double minX = source.left();
    double maxX = source.right();
    double minY = source.top();
    double maxY = source.bottom();
    for (double x : new double[] {copy.left(), copy.right()}) {
      for (double y : new double[] {copy.top(), copy.bottom()}) {
        Point corner = copyToSource.apply(new Point(x, y));
        minX = Math.min(minX, corner.x());
        maxX = Math.max(maxX, corner.x());
        minY = Math.min(minY, corner.y());
        maxY = Math.max(maxY, corner.y());
      }
    }
    // No farther than the work's own page: a copy laid far off has nothing to compare there.
    this.left = Math.max(minX, 0);
    this.top = Math.max(minY, 0);
    double cell = source.cellPixels();
    this.width =
        Math.max(1, (int) Math.ceil((Math.min(maxX, source.page().widthPixels()) - left) / cell));
    this.height =
        Math.max(1, (int) Math.ceil((Math.min(maxY, source.page().heightPixels()) - top) / cell));
  }

  /** What two cells that both pages show are compared by. */
  private interface Cell {
    void at(int index, double sourceX, double sourceY, Point onCopy);
  }

  private void overCells(Similarity laid, Cell cell) {
    Similarity back = laid.inverse();
    double size = source.cellPixels();
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        double sourceX = left + (x + 0.5) * size;
        double sourceY = top + (y + 0.5) * size;
        Point onCopy = back.apply(new Point(sourceX, sourceY));
        if (copy.page().holds(onCopy.x(), onCopy.y())) {
          cell.at(y * width + x, sourceX, sourceY, onCopy);
        }
      }
    }
  }

  /**
   * Shared area of both figures over their joint area, [0, 1]; empty where neither is seen.
   *
   * <p>Source: Jaccard 1912, the coefficient of community.
   */
  OptionalDouble sharedOutline() {
    int[] counts = new int[2];
    overCells(
        copyToSource,
        (index, x, y, on) -> {
          boolean inSource = source.opacity(x, y) >= SmallFigure.FIGURE;
          boolean inCopy = copy.opacity(on.x(), on.y()) >= SmallFigure.FIGURE;
          counts[0] += inSource && inCopy ? 1 : 0;
          counts[1] += inSource || inCopy ? 1 : 0;
        });
    return counts[1] == 0
        ? OptionalDouble.empty()
        : OptionalDouble.of(counts[0] / (double) counts[1]);
  }

  /** How far apart two spreads of a value lie, and two of the colour. */
  record Tones(double values, double colours) {}

  /**
   * Earth mover's distance between the lightness of both figures, and between their OKLab a and b,
   * wherever each of them lies on a place that both pages show; empty where one shows nothing.
   */
  Optional<Tones> tones() {
    Spread[] ofSource = {new Spread(0, 1), hues(), hues()};
    Spread[] ofCopy = {new Spread(0, 1), hues(), hues()};
    overCells(
        copyToSource,
        (index, x, y, on) -> {
          add(ofSource, source.opacity(x, y), source.onPaper(x, y));
          add(ofCopy, copy.opacity(on.x(), on.y()), copy.onPaper(on.x(), on.y()));
        });
    return ofSource[0].count == 0 || ofCopy[0].count == 0
        ? Optional.empty()
        : Optional.of(
            new Tones(
                ofSource[0].distanceTo(ofCopy[0]),
                ofSource[1].distanceTo(ofCopy[1]) + ofSource[2].distanceTo(ofCopy[2])));
  }

  private static Spread hues() {
    return new Spread(-WIDEST_HUE, WIDEST_HUE);
  }

  private static void add(Spread[] spreads, double opacity, OkLab colour) {
    if (opacity >= SmallFigure.FIGURE) {
      spreads[0].add(colour.lightness());
      spreads[1].add(colour.a());
      spreads[2].add(colour.b());
    }
  }

  /** How it was laid. */
  Similarity copyToSource() {
    return copyToSource;
  }

  int width() {
    return width;
  }

  int height() {
    return height;
  }

  double cellPixels() {
    return source.cellPixels();
  }

  /** Middle of all cells, pixels of the work. */
  Point middle() {
    double size = source.cellPixels();
    return new Point(left + width * size / 2, top + height * size / 2);
  }

  /** The work's lightness on paper, row by row. */
  double[] sourceLightness() {
    double[] values = new double[width * height];
    double size = source.cellPixels();
    for (int i = 0; i < values.length; i++) {
      values[i] =
          source.lightnessOnPaper(left + (i % width + 0.5) * size, top + (i / width + 0.5) * size);
    }
    return values;
  }

  /** The copy's, laid otherwise; not a number where its page has ended. */
  double[] copyLightness(Similarity laid) {
    double[] values = new double[width * height];
    Arrays.fill(values, Double.NaN);
    overCells(laid, (index, x, y, on) -> values[index] = copy.lightnessOnPaper(on.x(), on.y()));
    return values;
  }

  /**
   * The two over each other on the work's page: what only the work has in one colour, what only the
   * copy has in another, the copy's own drawing faint where both are.
   */
  BufferedImage difference(int onlySource, int onlyCopy, int pixelsPerCell) {
    double size = source.cellPixels() / pixelsPerCell;
    BufferedImage image =
        new BufferedImage(
            (int) Math.ceil(source.page().widthPixels() / size),
            (int) Math.ceil(source.page().heightPixels() / size),
            BufferedImage.TYPE_INT_ARGB);
    Similarity back = copyToSource.inverse();
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        double sourceX = (x + 0.5) * size;
        double sourceY = (y + 0.5) * size;
        Point on = back.apply(new Point(sourceX, sourceY));
        double inSource = source.opacity(sourceX, sourceY);
        double inCopy = copy.opacity(on.x(), on.y());
        image.setRGB(x, y, told(inSource, inCopy, on, onlySource, onlyCopy));
      }
    }
    return image;
  }

  private int told(double inSource, double inCopy, Point on, int onlySource, int onlyCopy) {
    double both = Math.min(inSource, inCopy);
    double alone = Math.max(inSource, inCopy) - both;
    if (alone > SmallFigure.FIGURE) {
      return 0xFF000000 | (inSource > inCopy ? onlySource : onlyCopy);
    }
    int grey = (int) Math.round(255 * (0.55 + 0.45 * copy.lightnessOnPaper(on.x(), on.y())));
    return (int) Math.round(255 * both) << 24 | grey << 16 | grey << 8 | grey;
  }

  /** Numbers between two ends, counted by level. */
  private static final class Spread {
    private final double from;
    private final double to;
    private final int[] counts = new int[LEVELS];
    private int count;

    Spread(double from, double to) {
      this.from = from;
      this.to = to;
    }

    void add(double value) {
      int level = (int) ((value - from) / (to - from) * LEVELS);
      counts[Math.max(0, Math.min(LEVELS - 1, level))]++;
      count++;
    }

    /** Area between the two running sums, in the unit of the values. */
    double distanceTo(Spread other) {
      double apart = 0;
      double own = 0;
      double others = 0;
      for (int level = 0; level < LEVELS; level++) {
        own += counts[level] / (double) count;
        others += other.counts[level] / (double) other.count;
        apart += Math.abs(own - others);
      }
      return apart * (to - from) / LEVELS;
    }
  }
}
