package penmirror.core.copying;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Similarity;
import penmirror.core.statistics.Sample;

/** Whether two figures that lie over each other are one drawing, edge by edge. */
final class EdgeMatch {
  /** In cells of a side of the figure; the first search is as wide as marks are usually off. */
  private static final double FIRST_STEP = 3;

  private static final double LAST_STEP = 0.1;

  /** Side of a piece that is held against the same piece, cells: about an eye and its brow. */
  private static final int PIECE_CELLS = 12;

  /** Of all pieces so many may be covered, such as by a name written over them. */
  private static final double PIECES_LEFT_OUT = 0.1;

  /** A piece with less drawn on it says nothing; mean of the edges in it. */
  private static final double DRAWN_ON = 0.08;

  private final Laid laid;
  private final int width;
  private final int height;

  private EdgeMatch(Laid laid) {
    this.laid = laid;
    this.width = laid.width();
    this.height = laid.height();
  }

  /**
   * How alike the two are edge by edge, correlation in [−1, 1] of the least alike piece but for a
   * tenth of them, once the second is moved to where they are most alike: the marks of two pictures
   * differ by some pixels even where the drawing is one, and a head that is a little too broad
   * moves few edges of a whole figure.
   */
  static double of(Laid laid) {
    return new EdgeMatch(laid).best();
  }

  private double best() {
    double[] edges = edges(laid.sourceLightness());
    double cells = Math.hypot(width, height);
    Point middle = laid.middle();
    Similarity best = laid.copyToSource();
    double most = alike(edges, best);
    for (double step = FIRST_STEP; step >= LAST_STEP; step /= 2) {
      boolean isBetter = true;
      while (isBetter) {
        isBetter = false;
        double shift = step * laid.cellPixels();
        double grow = 2 * step / cells;
        double[][] tries = {
          {1, 0, shift, 0}, {1, 0, -shift, 0}, {1, 0, 0, shift}, {1, 0, 0, -shift},
          {1 + grow, 0, 0, 0}, {1 - grow, 0, 0, 0}, {1, grow, 0, 0}, {1, -grow, 0, 0}
        };
        for (double[] change : tries) {
          Similarity tried =
              best.then(about(new Similarity(change[0], change[1], change[2], change[3]), middle));
          double is = alike(edges, tried);
          if (is > most + 1e-4) {
            most = is;
            best = tried;
            isBetter = true;
          }
        }
      }
    }
    return inPieces(edges, edges(laid.copyLightness(best)));
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
  private static Similarity about(Similarity change, Point place) {
    Similarity there = new Similarity(1, 0, -place.x(), -place.y());
    return there.then(change).then(there.inverse());
  }

  private double alike(double[] sourceEdges, Similarity how) {
    double[] copyEdges = edges(laid.copyLightness(how));
    Alike alike = new Alike();
    for (int i = 0; i < sourceEdges.length; i++) {
      alike.add(sourceEdges[i], copyEdges[i]);
    }
    return alike.correlation();
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
}
