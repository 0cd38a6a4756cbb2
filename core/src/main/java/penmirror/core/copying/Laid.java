package penmirror.core.copying;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import penmirror.core.colour.OkLab;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Similarity;
import penmirror.core.statistics.Sample;

/**
 * Two figures laid over each other in cells of the first. What lies outside the page of either is
 * not compared: a crop is held against what it shows.
 */
final class Laid {
  private static final int LEVELS = 40;
  private static final double WIDEST_HUE = 0.4;

  /** In cells of a side of the figure; the first search is as wide as marks are usually off. */
  private static final double FIRST_STEP = 3;

  private static final double LAST_STEP = 0.1;

  /** Side of a piece that is held against the same piece, cells: about an eye and its brow. */
  private static final int PIECE_CELLS = 12;

  /** Of all pieces so many may be covered, such as by a name written over them. */
  private static final double PIECES_LEFT_OUT = 0.1;

  /** A piece with less drawn on it says nothing; mean of the edges in it. */
  private static final double DRAWN_ON = 0.08;

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

  /**
   * How alike the two are edge by edge, correlation in [−1, 1] of the least alike piece but for a
   * tenth of them, once the second is moved to where they are most alike: the marks of two pictures
   * differ by some pixels even where the drawing is one, and a head that is a little too broad
   * moves few edges of a whole figure.
   */
  double edgesAlike() {
    double[] edges = edges(lightness(source, null));
    double cells = Math.hypot(width, height);
    double centreX = left + width * source.cellPixels() / 2;
    double centreY = top + height * source.cellPixels() / 2;
    Similarity best = copyToSource;
    double most = alike(edges, best);
    for (double step = FIRST_STEP; step >= LAST_STEP; step /= 2) {
      boolean isBetter = true;
      while (isBetter) {
        isBetter = false;
        double shift = step * source.cellPixels();
        double grow = 2 * step / cells;
        double[][] tries = {
          {1, 0, shift, 0}, {1, 0, -shift, 0}, {1, 0, 0, shift}, {1, 0, 0, -shift},
          {1 + grow, 0, 0, 0}, {1 - grow, 0, 0, 0}, {1, grow, 0, 0}, {1, -grow, 0, 0}
        };
        for (double[] change : tries) {
          Similarity tried =
              best.then(
                  about(
                      new Similarity(change[0], change[1], change[2], change[3]),
                      centreX,
                      centreY));
          double is = alike(edges, tried);
          if (is > most + 1e-4) {
            most = is;
            best = tried;
            isBetter = true;
          }
        }
      }
    }
    return inPieces(edges, edges(lightness(copy, best)));
  }

  /** The least alike piece after a tenth of them is left out; 0 where nothing is drawn. */
  private double inPieces(double[] sourceEdges, double[] copyEdges) {
    List<Double> pieces = new ArrayList<>();
    for (int y = 0; y < height; y += PIECE_CELLS) {
      for (int x = 0; x < width; x += PIECE_CELLS) {
        Alike piece = new Alike();
        for (int row = y; row < Math.min(height, y + PIECE_CELLS); row++) {
          for (int column = x; column < Math.min(width, x + PIECE_CELLS); column++) {
            int i = row * width + column;
            piece.add(sourceEdges[i], copyEdges[i]);
          }
        }
        if (piece.mean() >= DRAWN_ON) {
          pieces.add(piece.correlation());
        }
      }
    }
    return pieces.isEmpty()
        ? 0
        : Sample.of(pieces.stream().mapToDouble(d -> d).toArray()).quantile(PIECES_LEFT_OUT);
  }

  /** Pearson's correlation of pairs as they come; pairs that are no numbers are left out. */
  private static final class Alike {
    private int n;
    private double sx;
    private double sy;
    private double sxx;
    private double syy;
    private double sxy;

    void add(double x, double y) {
      if (!Double.isNaN(x) && !Double.isNaN(y)) {
        n++;
        sx += x;
        sy += y;
        sxx += x * x;
        syy += y * y;
        sxy += x * y;
      }
    }

    /** Of the first of both; 0 without any. */
    double mean() {
      return n == 0 ? 0 : sx / n;
    }

    /** 0 where one of the two is the same throughout. */
    double correlation() {
      double spread = (n * sxx - sx * sx) * (n * syy - sy * sy);
      return spread <= 0 ? 0 : (n * sxy - sx * sy) / Math.sqrt(spread);
    }
  }

  /** A small change about a place, in place of about the corner. */
  private static Similarity about(Similarity change, double x, double y) {
    return new Similarity(
        change.a(),
        change.b(),
        change.shiftX() + x - (change.a() * x - change.b() * y),
        change.shiftY() + y - (change.b() * x + change.a() * y));
  }

  private double alike(double[] sourceEdges, Similarity laid) {
    double[] copyEdges = edges(lightness(copy, laid));
    Alike alike = new Alike();
    for (int i = 0; i < sourceEdges.length; i++) {
      alike.add(sourceEdges[i], copyEdges[i]);
    }
    return alike.correlation();
  }

  /** Row by row; not a number where the copy's page has ended. */
  private double[] lightness(SmallFigure of, @Nullable Similarity laid) {
    double[] values = new double[width * height];
    Arrays.fill(values, Double.NaN);
    if (laid == null) {
      double size = source.cellPixels();
      for (int i = 0; i < values.length; i++) {
        values[i] =
            of.lightnessOnPaper(left + (i % width + 0.5) * size, top + (i / width + 0.5) * size);
      }
    } else {
      overCells(laid, (index, x, y, on) -> values[index] = of.lightnessOnPaper(on.x(), on.y()));
    }
    return values;
  }

  /** Square root of the step to the neighbours: a pale edge counts beside a black one. */
  private double[] edges(double[] lightness) {
    double[] edges = new double[lightness.length];
    Arrays.fill(edges, Double.NaN);
    for (int y = 1; y < height - 1; y++) {
      for (int x = 1; x < width - 1; x++) {
        int i = y * width + x;
        edges[i] =
            Math.sqrt(
                Math.hypot(
                    lightness[i + 1] - lightness[i - 1],
                    lightness[i + width] - lightness[i - width]));
      }
    }
    return edges;
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
