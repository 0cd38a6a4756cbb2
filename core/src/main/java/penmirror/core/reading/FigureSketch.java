package penmirror.core.reading;

import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.OkLabPlanes;
import penmirror.core.geometry.Point;
import penmirror.core.measure.FigureEdit;
import penmirror.core.raster.Blur;
import penmirror.core.raster.Distance;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Plane;
import penmirror.core.raster.Regions;

/**
 * Applies corrections by hand to a figure that was found by itself.
 *
 * <p>Inside a loop on a busy background, every pixel is asked whether its colour is more usual well
 * inside the loop or outside of it; the answers are evened out over neighbours, and crumbs and
 * small holes go. A stroke takes along what is joined to it in the same colour.
 */
final class FigureSketch {
  /** A figure of more than this share was not told from its background. */
  private static final double BUSY = 0.9;

  /** Bin width of the colour counts, OKLab. */
  private static final double BIN = 0.05;

  private static final int BINS = 24;

  /** A stroke takes along what is within this OKLab distance of the colour under it. */
  private static final double SAME = 0.05;

  /** A crumb or a hole is smaller than this share of the loop. */
  private static final double CRUMB = 0.01;

  private final OkLabPlanes colours;
  private final int width;
  private final int height;
  private final double scale;

  /**
   * @param factor how many times smaller than the picture the copy is
   */
  FigureSketch(OkLabPlanes colours, int width, int height, int factor) {
    this.colours = colours;
    this.width = width;
    this.height = height;
    scale = 1.0 / factor;
  }

  /**
   * The corrected figure; the given one is not modified.
   *
   * @param beforeEach run before each stroke; what it throws ends the work
   */
  Mask applied(Mask figure, List<FigureEdit> edits, Runnable beforeEach) {
    boolean[] set = figure.values().clone();
    boolean[] inLoop = new boolean[set.length];
    boolean looped = false;
    for (FigureEdit edit : edits) {
      if (edit.kind() == FigureEdit.Kind.LOOP) {
        fillLoop(inLoop, edit);
        looped = true;
      }
    }
    if (looped) {
      set = figure.count() > BUSY * set.length ? soughtIn(inLoop) : both(set, inLoop);
    }
    for (FigureEdit edit : edits) {
      beforeEach.run();
      if (edit.kind() == FigureEdit.Kind.KEEP || edit.kind() == FigureEdit.Kind.DROP) {
        brush(set, edit);
      }
    }
    return new Mask(width, height, set);
  }

  private static boolean[] both(boolean[] one, boolean[] other) {
    boolean[] both = new boolean[one.length];
    for (int i = 0; i < both.length; i++) {
      both[i] = one[i] && other[i];
    }
    return both;
  }

  private void fillLoop(boolean[] inside, FigureEdit edit) {
    Path2D path = new Path2D.Double();
    Point first = edit.points().get(0);
    path.moveTo(first.x() * scale, first.y() * scale);
    for (Point point : edit.points()) {
      path.lineTo(point.x() * scale, point.y() * scale);
    }
    path.closePath();
    Rectangle2D box = path.getBounds2D();
    int top = (int) Math.max(0, Math.floor(box.getMinY()));
    int bottom = (int) Math.min(height, Math.ceil(box.getMaxY()));
    for (int y = top; y < bottom; y++) {
      for (int x = 0; x < width; x++) {
        if (path.contains(x + 0.5, y + 0.5)) {
          inside[y * width + x] = true;
        }
      }
    }
  }

  /** By colours: what is more usual deep inside the loop than outside of it. */
  private boolean[] soughtIn(boolean[] inLoop) {
    float[] depth = Distance.toOutside(new Mask(width, height, inLoop)).values();
    float deepest = 0;
    int loopArea = 0;
    for (int i = 0; i < depth.length; i++) {
      if (inLoop[i]) {
        deepest = Math.max(deepest, depth[i]);
        loopArea++;
      }
    }
    double[] within = new double[BINS * BINS * BINS];
    double[] without = new double[BINS * BINS * BINS];
    double insideCount = 0;
    double outsideCount = 0;
    for (int i = 0; i < depth.length; i++) {
      if (!inLoop[i]) {
        without[bin(i)]++;
        outsideCount++;
      } else if (depth[i] > 0.3 * deepest) {
        within[bin(i)]++;
        insideCount++;
      }
    }
    float[] votes = new float[depth.length];
    for (int i = 0; i < votes.length; i++) {
      double in = (within[bin(i)] + 0.5) / (insideCount + 1);
      double out = (without[bin(i)] + 0.5) / (outsideCount + 1);
      votes[i] = inLoop[i] ? (float) Math.max(-3, Math.min(3, Math.log(in / out))) : -3;
    }
    double sigma = Math.max(1.5, 0.012 * Math.sqrt(loopArea));
    float[] even = Blur.gaussian(new Plane(width, height, votes), sigma).values();
    boolean[] set = new boolean[even.length];
    for (int i = 0; i < set.length; i++) {
      set[i] = inLoop[i] && even[i] > 0;
    }
    int crumb = (int) (CRUMB * loopArea);
    dropSmall(set, crumb, true);
    dropSmall(set, crumb, false);
    return set;
  }

  /** Small pieces of the figure (or small holes in it) become what is around them. */
  private void dropSmall(boolean[] set, int least, boolean figure) {
    boolean[] of = new boolean[set.length];
    for (int i = 0; i < set.length; i++) {
      of[i] = set[i] == figure;
    }
    Regions pieces = Regions.of(of, width, height);
    for (int i = 0; i < set.length; i++) {
      if (pieces.at(i) >= 0 && pieces.area(pieces.at(i)) < least) {
        set[i] = !figure;
      }
    }
  }

  private int bin(int pixel) {
    int l = clamp((int) (colours.lightness(pixel) / BIN));
    int a = clamp((int) (colours.a(pixel) / BIN + BINS / 2.0));
    int b = clamp((int) (colours.b(pixel) / BIN + BINS / 2.0));
    return (l * BINS + a) * BINS + b;
  }

  private static int clamp(int bin) {
    return Math.max(0, Math.min(BINS - 1, bin));
  }

  /** Paints the stroke and floods on from it while the colour stays and the figure differs. */
  private void brush(boolean[] set, FigureEdit edit) {
    boolean value = edit.kind() == FigureEdit.Kind.KEEP;
    int[] queue = new int[set.length];
    boolean[] reached = new boolean[set.length];
    int size = 0;
    double radius = Math.max(0.7, edit.radiusPixels() * scale);
    List<Point> points = edit.points();
    Set<OkLab> under = new LinkedHashSet<>();
    for (int p = 0; p < points.size(); p++) {
      Point from = points.get(Math.max(0, p - 1)).times(scale);
      Point to = points.get(p).times(scale);
      size = stretch(from, to, radius, reached, queue, size);
      int px = (int) Math.max(0, Math.min(width - 1, Math.floor(to.x())));
      int py = (int) Math.max(0, Math.min(height - 1, Math.floor(to.y())));
      under.add(colours.at(py * width + px));
    }
    for (int k = 0; k < size; k++) {
      set[queue[k]] = value;
    }
    for (int next = 0; next < size; next++) {
      int x = queue[next] % width;
      int y = queue[next] / width;
      for (int[] step : new int[][] {{1, 0}, {-1, 0}, {0, 1}, {0, -1}}) {
        int nx = x + step[0];
        int ny = y + step[1];
        if (nx < 0 || ny < 0 || nx >= width || ny >= height) {
          continue;
        }
        int neighbour = ny * width + nx;
        if (!reached[neighbour] && set[neighbour] != value && isUnder(neighbour, under)) {
          reached[neighbour] = true;
          set[neighbour] = value;
          queue[size++] = neighbour;
        }
      }
    }
  }

  private boolean isUnder(int pixel, Set<OkLab> under) {
    for (OkLab colour : under) {
      if (colours.distance(pixel, colour) < SAME) {
        return true;
      }
    }
    return false;
  }

  /** Adds the pixels whose middle lies within a radius of a straight stretch, row by row. */
  private int stretch(
      Point from, Point to, double radius, boolean[] reached, int[] queue, int before) {
    int size = before;
    int top = (int) Math.max(0, Math.floor(Math.min(from.y(), to.y()) - radius));
    int bottom = (int) Math.min(height - 1, Math.ceil(Math.max(from.y(), to.y()) + radius));
    for (int y = top; y <= bottom; y++) {
      double[] run = run(y + 0.5, from, to, radius);
      int left = (int) Math.max(0, Math.ceil(run[0] - 0.5));
      int right = (int) Math.min(width - 1, Math.floor(run[1] - 0.5));
      for (int x = left; x <= right; x++) {
        int pixel = y * width + x;
        if (!reached[pixel]) {
          reached[pixel] = true;
          queue[size++] = pixel;
        }
      }
    }
    return size;
  }

  /** Where a row enters and leaves what a disc covers that is moved along a stretch. */
  private static double[] run(double y, Point from, Point to, double radius) {
    double[] run = {Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY};
    for (Point end : List.of(from, to)) {
      double half = Math.sqrt(radius * radius - (y - end.y()) * (y - end.y()));
      if (half >= 0) { // Not a number where the row passes by.
        run[0] = Math.min(run[0], end.x() - half);
        run[1] = Math.max(run[1], end.x() + half);
      }
    }
    double length = from.distanceTo(to);
    if (length == 0) {
      return run;
    }
    // Between the ends: beside the line by no more than the radius, and along it within its length.
    double ux = (to.x() - from.x()) / length;
    double uy = (to.y() - from.y()) / length;
    double dy = y - from.y();
    double[] beside = between(uy, -dy * ux, -radius, radius);
    double[] along = between(ux, dy * uy, 0, length);
    double low = from.x() + Math.max(beside[0], along[0]);
    double high = from.x() + Math.min(beside[1], along[1]);
    if (low <= high) {
      run[0] = Math.min(run[0], low);
      run[1] = Math.max(run[1], high);
    }
    return run;
  }

  /** The x for which slope × x + offset lies between two bounds; none is an empty interval. */
  private static double[] between(double slope, double offset, double low, double high) {
    if (slope == 0) {
      boolean always = offset >= low && offset <= high;
      double end = always ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
      return new double[] {-end, end};
    }
    double one = (low - offset) / slope;
    double other = (high - offset) / slope;
    return new double[] {Math.min(one, other), Math.max(one, other)};
  }
}
