package penmirror.core.measure.line;

import java.util.ArrayList;
import java.util.Arrays;
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

  /** Points nearer to a junction than this many widths are left out: the lines bulge there. */
  private static final double JUNCTION_CLEARANCE = 0.75;

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
    List<Profile> profiles =
        IntStream.range(0, paths.size())
            .parallel()
            .mapToObj(i -> tracer.profile(paths.get(i)))
            .filter(Objects::nonNull)
            .toList();
    return lines(profiles);
  }

  /** Widths along one path; NaN where no width could be read. Never leaves this class. */
  private record Profile(double[] widths, int[] centres, double[] junctionDistances) {
    double medianWidth() {
      double[] valid = Arrays.stream(widths).filter(w -> !Double.isNaN(w)).sorted().toArray();
      return valid[valid.length / 2];
    }

    @Nullable Stroke stroke(double widest) {
      int[] kept =
          IntStream.range(0, widths.length)
              .filter(
                  i -> widths[i] <= widest && junctionDistances[i] > JUNCTION_CLEARANCE * widths[i])
              .toArray();
      if (kept.length == 0) {
        return null;
      }
      return new Stroke(
          Arrays.stream(kept).mapToDouble(i -> widths[i]).toArray(),
          Arrays.stream(kept).map(i -> centres[i]).toArray());
    }
  }

  private static List<Stroke> lines(List<Profile> profiles) {
    List<Stroke> first = strokes(profiles, Double.MAX_VALUE);
    if (first.isEmpty()) {
      return List.of();
    }
    double[] widths =
        first.stream().flatMapToDouble(s -> Arrays.stream(s.widthsPixels())).sorted().toArray();
    double widest = SHAPE_FACTOR * widths[widths.length / 2];
    return strokes(profiles.stream().filter(p -> p.medianWidth() <= widest).toList(), widest);
  }

  private static List<Stroke> strokes(List<Profile> profiles, double widest) {
    List<Stroke> strokes = new ArrayList<>();
    for (Profile profile : profiles) {
      Stroke stroke = profile.stroke(widest);
      if (stroke != null) {
        strokes.add(stroke);
      }
    }
    return strokes;
  }

  /** Null when the path is not a line: too few widths could be read, or it is too short. */
  private @Nullable Profile profile(Skeleton.Path path) {
    int n = path.length();
    double[] x = smoothed(path.xs(), PLACE_SIGMA, path.closed());
    double[] y = smoothed(path.ys(), PLACE_SIGMA, path.closed());
    double[] tx = smoothed(path.xs(), TANGENT_SIGMA, path.closed());
    double[] ty = smoothed(path.ys(), TANGENT_SIGMA, path.closed());
    double[] widths = new double[n];
    int[] centres = new int[n];
    int valid = 0;
    for (int i = 0; i < n; i++) {
      int before = path.closed() ? Math.floorMod(i - 1, n) : Math.max(0, i - 1);
      int after = path.closed() ? (i + 1) % n : Math.min(n - 1, i + 1);
      double dx = tx[after] - tx[before];
      double dy = ty[after] - ty[before];
      double length = Math.hypot(dx, dy);
      double local = depth.values()[(int) path.ys()[i] * depth.width() + (int) path.xs()[i]];
      widths[i] = Double.NaN;
      if (length > 0) {
        widths[i] = readWidth(x[i], y[i], -dy / length, dx / length, local, centres, i);
      }
      if (!Double.isNaN(widths[i])) {
        valid++;
      }
    }
    if (valid == 0 || valid < n / 2.0) {
      return null;
    }
    Profile profile = new Profile(widths, centres, path.junctionDistances());
    double leastLength = (path.touchesJunction() ? 0.5 : 2) * profile.medianWidth();
    return n >= leastLength ? profile : null;
  }

  /**
   * Width of the line along its normal, pixels; NaN when a side does not stand out, the width is
   * beyond the search or the middle lies off the path. Sets the pixel under the line's middle.
   */
  private double readWidth(
      double x, double y, double nx, double ny, double local, int[] centres, int index) {
    double reach = 1.15 * local + 3;
    int steps = (int) Math.ceil(reach / SAMPLE_STEP);
    float[] samples = new float[2 * steps + 1];
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
    double right = halfway(samples, core, steps, plateauFrom, steps, 1);
    double left = halfway(samples, core, steps, plateauFrom, steps, -1);
    double width = (right + left) * SAMPLE_STEP;
    double shift = (core - steps + (right - left) / 2) * SAMPLE_STEP;
    if (Double.isNaN(width) || width > 2 * radius || Math.abs(shift) > 0.6 * local + 1) {
      return Double.NaN;
    }
    int cx = (int) Math.round(x + nx * shift);
    int cy = (int) Math.round(y + ny * shift);
    centres[index] =
        Math.max(0, Math.min(luma.height() - 1, cy)) * luma.width()
            + Math.max(0, Math.min(luma.width() - 1, cx));
    return width;
  }

  /** Samples from the core to half way up to the plateau of one side; NaN without a plateau. */
  private static double halfway(
      float[] samples, int core, int middle, int plateauFrom, int plateauTo, int side) {
    float plateau = 0;
    for (int s = plateauFrom; s <= plateauTo; s++) {
      plateau = Math.max(plateau, samples[middle + side * s]);
    }
    if (plateau - samples[core] < LEAST_SIDE_CONTRAST) {
      return Double.NaN;
    }
    float half = (plateau + samples[core]) / 2;
    for (int at = core; at + side >= 0 && at + side < samples.length; at += side) {
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
