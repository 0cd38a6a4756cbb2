package penmirror.core.measure.shade;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.OkLabPlanes;

/**
 * The values one local colour is laid in: peaks of its lightness histogram.
 *
 * @param levels darkest first; at least one
 * @param base place in {@code levels} of the value in the light: the heaviest, but where most lies
 *     in shadow; then it has no darker one, and the next lighter is more than a highlight
 * @param smooth share of its pixels that lie on no flat value
 * @param mass pixels that were looked at
 */
record ValueLevels(List<Level> levels, int base, double smooth, int mass) {

  /**
   * @param share of the local colour's pixels near it
   */
  record Level(OkLab colour, double share) {}

  private static final double BIN = 0.004;
  private static final double LEAST_MASS = 0.03;
  private static final int LEAST_BINS_APART = 4;
  private static final double DEEPEST_VALLEY = 0.5;

  /** A flat value stands out of its surroundings; the top of a gradient does not. */
  private static final double PROMINENT = 0.5;

  /** A change of lightness over twice this many pixels that is no grain. */
  private static final double SLOPING = 0.01;

  private static final int REACH = 4;
  private static final double MOSTLY = 0.6;

  /** What lies above the heaviest value and shows less than this is a highlight. */
  private static final double LEAST_LIT = 0.12;

  /** A shadow that shows less is a speck. */
  private static final double LEAST_SHADOW = 0.05;

  private static final double NEAR = 0.007;
  private static final double ON_FLAT = 0.010;

  /** Null when there are no pixels. */
  static @Nullable ValueLevels of(OkLabPlanes colours, int width, int[] pixels) {
    int n = pixels.length;
    if (n == 0) {
      return null;
    }
    double[] bins = new double[(int) (1 / BIN) + 12];
    for (int k = 0; k < n; k++) {
      bins[bin(colours.lightness(pixels[k]))]++;
    }
    double[] runs = new double[bins.length];
    for (int b = 1; b + 1 < bins.length; b++) {
      runs[b] = bins[b - 1] + bins[b] + bins[b + 1];
    }
    List<Integer> peaks = withoutTransitions(colours, width, pixels, runs, peaks(runs, n));
    int[] masses = new int[peaks.size()];
    double[][] sums = new double[peaks.size()][4];
    int off = 0;
    List<Integer> flats = peaks.stream().filter(peak -> isProminent(runs, peak)).toList();
    for (int k = 0; k < n; k++) {
      double lightness = colours.lightness(pixels[k]);
      boolean onFlat = false;
      for (int peak : flats) {
        onFlat |= Math.abs(lightness - middle(peak)) <= ON_FLAT;
      }
      off += onFlat ? 0 : 1;
      for (int p = 0; p < sums.length; p++) {
        if (Math.abs(lightness - middle(peaks.get(p))) <= NEAR) {
          sums[p][0]++;
          sums[p][1] += lightness;
          sums[p][2] += colours.a(pixels[k]);
          sums[p][3] += colours.b(pixels[k]);
        }
      }
      masses[nearest(peaks, lightness)]++;
    }
    record Found(Level level, int mass) {}
    List<Found> found = new ArrayList<>();
    for (int p = 0; p < sums.length; p++) {
      double[] sum = sums[p];
      if (sum[0] > 0) {
        OkLab colour = new OkLab(sum[1] / sum[0], sum[2] / sum[0], sum[3] / sum[0]);
        found.add(new Found(new Level(colour, masses[p] / (double) n), masses[p]));
      }
    }
    found.sort(Comparator.comparingDouble(f -> f.level.colour().lightness()));
    int base = 0;
    for (int f = 0; f < found.size(); f++) {
      base = found.get(f).mass > found.get(base).mass ? f : base;
    }
    List<Level> levels = found.stream().map(f -> f.level).toList();
    return new ValueLevels(levels, inLight(levels, base), off / (double) n, n);
  }

  private static int bin(double lightness) {
    return Math.max(0, Math.min((int) (1 / BIN), (int) Math.round(lightness / BIN))) + 6;
  }

  private static double middle(int bin) {
    return (bin - 6) * BIN;
  }

  private static int nearest(List<Integer> peaks, double lightness) {
    int best = 0;
    for (int p = 1; p < peaks.size(); p++) {
      boolean nearer =
          Math.abs(middle(peaks.get(p)) - lightness)
              < Math.abs(middle(peaks.get(best)) - lightness);
      best = nearer ? p : best;
    }
    return best;
  }

  /** Heaviest first; the heaviest is always one. */
  private static List<Integer> peaks(double[] runs, int n) {
    List<Integer> order = new ArrayList<>();
    for (int b = 1; b + 1 < runs.length; b++) {
      if (runs[b] > 0 && runs[b] >= runs[b - 1] && runs[b] >= runs[b + 1]) {
        order.add(b);
      }
    }
    order.sort(Comparator.comparingDouble(b -> -runs[b]));
    List<Integer> peaks = new ArrayList<>();
    for (int b : order) {
      boolean heavy = runs[b] >= LEAST_MASS * n;
      if (peaks.isEmpty() || heavy && peaks.stream().allMatch(peak -> isApart(runs, peak, b))) {
        peaks.add(b);
      }
    }
    return peaks;
  }

  /**
   * A strip along a soft border makes a bump half way between its two values. What lies between two
   * others is a value of its own only where it stands out and lies flat.
   */
  private static List<Integer> withoutTransitions(
      OkLabPlanes colours, int width, int[] pixels, double[] runs, List<Integer> peaks) {
    if (peaks.size() < 3) {
      return peaks;
    }
    int[] all = new int[peaks.size()];
    int[] sloping = new int[peaks.size()];
    for (int pixel : pixels) {
      int peak = nearest(peaks, colours.lightness(pixel));
      all[peak]++;
      sloping[peak] += slope(colours, width, pixel) > SLOPING ? 1 : 0;
    }
    List<Integer> kept = new ArrayList<>();
    for (int p = 0; p < peaks.size(); p++) {
      int peak = peaks.get(p);
      boolean between =
          peaks.stream().anyMatch(other -> other < peak)
              && peaks.stream().anyMatch(other -> other > peak);
      boolean slopes = sloping[p] > MOSTLY * all[p];
      if (!between || isProminent(runs, peak) && !slopes) {
        kept.add(peak);
      }
    }
    return kept;
  }

  /** Change of lightness across a few pixels, level and upright together. */
  private static double slope(OkLabPlanes colours, int width, int pixel) {
    int left = Math.max(0, pixel - REACH);
    int right = Math.min(colours.size() - 1, pixel + REACH);
    int above = Math.max(pixel % width, pixel - REACH * width);
    int below = Math.min(colours.size() - width + pixel % width, pixel + REACH * width);
    return Math.abs(colours.lightness(right) - colours.lightness(left))
        + Math.abs(colours.lightness(below) - colours.lightness(above));
  }

  private static boolean isApart(double[] runs, int peak, int other) {
    if (Math.abs(peak - other) < LEAST_BINS_APART) {
      return false;
    }
    double valley = Double.MAX_VALUE;
    for (int b = Math.min(peak, other); b <= Math.max(peak, other); b++) {
      valley = Math.min(valley, runs[b]);
    }
    return valley <= DEEPEST_VALLEY * Math.min(runs[peak], runs[other]);
  }

  private static boolean isProminent(double[] runs, int peak) {
    double before = 0;
    double after = 0;
    for (int k = 4; k <= 6; k++) {
      before += peak - k >= 0 ? runs[peak - k] / 3 : 0;
      after += peak + k < runs.length ? runs[peak + k] / 3 : 0;
    }
    return Math.max(before, after) < PROMINENT * runs[peak];
  }

  private static int inLight(List<Level> levels, int heaviest) {
    boolean hasShadow =
        levels.subList(0, heaviest).stream().anyMatch(level -> level.share() >= LEAST_SHADOW);
    double dark = levels.get(heaviest).colour().lightness();
    for (int k = heaviest + 1; k < levels.size() && !hasShadow; k++) {
      boolean isDeep = levels.get(k).colour().lightness() - dark >= ShadowSteps.LEAST;
      if (isDeep && levels.get(k).share() >= LEAST_LIT) {
        return k;
      }
    }
    return heaviest;
  }

  /**
   * The value in shadow: of those that are darker than the light the one that does most, by how
   * much it shows and how deep it is. What lies between the two along their border shows much and
   * is neither.
   */
  Optional<Level> shadow() {
    double light = levels.get(base).colour().lightness();
    return levels.subList(0, base).stream()
        .filter(level -> level.share() >= LEAST_SHADOW)
        .max(
            Comparator.comparingDouble(
                level -> level.share() * (light - level.colour().lightness())));
  }

  /** The next lighter value than the light. */
  Optional<Level> highlight() {
    return base + 1 < levels.size() ? Optional.of(levels.get(base + 1)) : Optional.empty();
  }

  /** Lightness below which the colour lies in shadow; below 0 without one. */
  double shadowBelow() {
    return base == 0
        ? -1
        : (levels.get(base).colour().lightness() + levels.get(base - 1).colour().lightness()) / 2;
  }

  /** Lightness above which the colour is highlight; above 1 without one. */
  double highlightAbove() {
    return base + 1 >= levels.size()
        ? 2
        : (levels.get(base).colour().lightness() + levels.get(base + 1).colour().lightness()) / 2;
  }
}
