package penmirror.core.measure.line;

import java.util.List;
import java.util.Objects;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import penmirror.core.raster.Distance;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Plane;
import penmirror.core.raster.Thinning;

/** Follows the middle of an ink mask and reads the width of the line square to it. */
final class StrokeTracer {
  /** A side must be this much lighter than the core, on encoded luma. */
  private static final double LEAST_SIDE_CONTRAST = 0.04;

  private static final double SAMPLE_STEP = 0.25;
  private static final double PLACE_SIGMA = 2;
  private static final double TANGENT_SIGMA = 3;

  /** Wider than this many median widths is a shape and not a line. */
  private static final double SHAPE_FACTOR = 2.5;

  private final Plane luma;
  private final Plane depth;
  private final int radius;

  private StrokeTracer(Plane luma, Plane depth, int radius) {
    this.luma = luma;
    this.depth = depth;
    this.radius = radius;
  }

  /**
   * @param luma encoded luma; not modified
   * @param ink where lines may be; not modified
   * @param radius half the widest line, pixels
   */
  static List<Stroke> trace(Plane luma, Mask ink, int radius) {
    // Depth and skeleton do not need each other: on two cores they take the time of one.
    CompletableFuture<Plane> deep = CompletableFuture.supplyAsync(() -> Distance.toOutside(ink));
    Mask thinned = Thinning.thin(ink);
    Plane depth = deep.join();
    List<Skeleton.Path> paths = Skeleton.of(thinned, depth).paths();
    StrokeTracer tracer = new StrokeTracer(luma, depth, radius);
    List<Stroke> strokes =
        IntStream.range(0, paths.size())
            .parallel()
            .mapToObj(i -> tracer.stroke(paths.get(i)))
            .filter(Objects::nonNull)
            .toList();
    return withoutShapes(strokes);
  }

  /** What is far wider than most of the line is a shape: whole strokes first, then stretches. */
  private static List<Stroke> withoutShapes(List<Stroke> strokes) {
    if (strokes.stream().noneMatch(stroke -> stroke.clearLength() > 0)) {
      return List.of();
    }
    double widest = SHAPE_FACTOR * LineFacts.clearWidths(strokes).quantile(0.5);
    return strokes.stream()
        .filter(stroke -> stroke.medianWidth() <= widest)
        .map(stroke -> stroke.withoutWider(widest))
        .toList();
  }

  /** Null when the path is not a line: too few widths could be read, or it is too short. */
  private @Nullable Stroke stroke(Skeleton.Path path) {
    int n = path.length();
    double[] x = smoothed(path.xs(), PLACE_SIGMA, path.closed());
    double[] y = smoothed(path.ys(), PLACE_SIGMA, path.closed());
    double[] tx = smoothed(path.xs(), TANGENT_SIGMA, path.closed());
    double[] ty = smoothed(path.ys(), TANGENT_SIGMA, path.closed());
    double[] widths = new double[n];
    double[] normalXs = new double[n];
    double[] normalYs = new double[n];
    double[] steps = new double[n];
    double[] shifts = new double[n];
    Section section = new Section();
    int valid = 0;
    for (int i = 0; i < n; i++) {
      int before = path.closed() ? Math.floorMod(i - 1, n) : Math.max(0, i - 1);
      int after = path.closed() ? (i + 1) % n : Math.min(n - 1, i + 1);
      double dx = tx[after] - tx[before];
      double dy = ty[after] - ty[before];
      double length = Math.hypot(dx, dy);
      double local = depth.values()[(int) path.ys()[i] * depth.width() + (int) path.xs()[i]];
      widths[i] = Double.NaN;
      steps[i] = length > 0 ? Math.hypot(x[after] - x[before], y[after] - y[before]) / 2 : 1;
      if (length > 0) {
        normalXs[i] = -dy / length;
        normalYs[i] = dx / length;
        if (section.read(x[i], y[i], normalXs[i], normalYs[i], local)) {
          widths[i] = section.width;
          shifts[i] = section.shift;
          valid++;
        }
      }
    }
    if (valid == 0 || valid < n / 2.0) {
      return null;
    }
    for (int i = 0; i < n; i++) {
      x[i] += normalXs[i] * shifts[i];
      y[i] += normalYs[i] * shifts[i];
    }
    Stroke stroke =
        new Stroke(
            x,
            y,
            widths,
            normalXs,
            normalYs,
            steps,
            path.junctionDistances(),
            path.startsFree(),
            path.endsFree(),
            path.closed());
    double leastLength = (path.touchesJunction() ? 0.5 : 2) * stroke.medianWidth();
    return n >= leastLength ? stroke : null;
  }

  /** A cut square to the line. Reused from point to point to spare memory. */
  private final class Section {
    private float[] samples = new float[0];
    private double width;
    private double shift;

    /**
     * Sets width and shift of the middle, pixels. False when a side does not stand out, the width
     * is beyond the search or the middle lies off the path.
     */
    boolean read(double x, double y, double nx, double ny, double local) {
      double reach = 1.15 * local + 3;
      int steps = (int) Math.ceil(reach / SAMPLE_STEP);
      if (samples.length < 2 * steps + 1) {
        samples = new float[2 * steps + 1];
      }
      for (int s = -steps; s <= steps; s++) {
        samples[s + steps] = luma.at(x + nx * s * SAMPLE_STEP, y + ny * s * SAMPLE_STEP);
      }
      int coreSteps = (int) Math.floor(Math.max(0.75, 0.35 * local) / SAMPLE_STEP);
      int core = steps;
      for (int s = steps - coreSteps; s <= steps + coreSteps; s++) {
        if (samples[s] < samples[core]) {
          core = s;
        }
      }
      int plateauFrom = (int) Math.floor(0.8 * local / SAMPLE_STEP);
      double right = halfway(samples, 2 * steps + 1, core, steps, plateauFrom, steps, 1);
      double left = halfway(samples, 2 * steps + 1, core, steps, plateauFrom, steps, -1);
      width = (right + left) * SAMPLE_STEP;
      shift = (core - steps + (right - left) / 2) * SAMPLE_STEP;
      return !Double.isNaN(width) && width <= 2 * radius && Math.abs(shift) <= 0.6 * local + 1;
    }
  }

  /** Samples from the core to half way up to the plateau of one side; NaN without a plateau. */
  private static double halfway(
      float[] samples, int count, int core, int middle, int plateauFrom, int plateauTo, int side) {
    float plateau = 0;
    for (int s = plateauFrom; s <= plateauTo; s++) {
      plateau = Math.max(plateau, samples[middle + side * s]);
    }
    if (plateau - samples[core] < LEAST_SIDE_CONTRAST) {
      return Double.NaN;
    }
    float half = (plateau + samples[core]) / 2;
    for (int at = core; at + side >= 0 && at + side < count; at += side) {
      float here = samples[at];
      float next = samples[at + side];
      if (next >= half) {
        return Math.abs(at - core) + (half - here) / (next - here);
      }
    }
    return Double.NaN;
  }

  private static double[] smoothed(double[] values, double sigma, boolean closed) {
    int reach = (int) Math.ceil(3 * sigma);
    double[] kernel = new double[reach + 1];
    for (int k = 0; k <= reach; k++) {
      kernel[k] = Math.exp(-k * k / (2 * sigma * sigma));
    }
    int n = values.length;
    double[] result = new double[n];
    for (int i = 0; i < n; i++) {
      // On an open path the window shrinks evenly toward the ends, so that ends do not curl in.
      int span = closed ? reach : Math.min(reach, Math.min(i, n - 1 - i));
      double sum = kernel[0] * values[i];
      double weight = kernel[0];
      for (int k = 1; k <= span; k++) {
        sum += kernel[k] * (values[Math.floorMod(i - k, n)] + values[(i + k) % n]);
        weight += 2 * kernel[k];
      }
      result[i] = sum / weight;
    }
    return result;
  }
}
