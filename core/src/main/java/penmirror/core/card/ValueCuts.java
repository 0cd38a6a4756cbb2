package penmirror.core.card;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;

/**
 * The few values a style is laid in: where light is cut from dark so that what lies within each
 * value is as much alike as it can be, and no more of them than are needed.
 *
 * <p>Source: Fisher, On grouping for maximum homogeneity (1958): the best division of ordered
 * numbers into so many groups, by dynamic programming.
 *
 * @param levels from dark to light, 2 to 5
 * @param left share of the spread of lightness that stays within the values, [0, 1)
 */
public record ValueCuts(List<Level> levels, double left) {
  /** Bins in which lightness is counted. */
  public static final int BINS = 64;

  private static final int FEWEST = 2;
  private static final int MOST = 5;

  /** So much of the spread may stay within the values. */
  private static final double LEFT_OVER = 0.1;

  public ValueCuts {
    levels = List.copyOf(levels);
  }

  /**
   * One value.
   *
   * @param from lowest lightness of it, OKLab, [0, 1)
   * @param to highest
   * @param lightness its mean
   * @param share of the figures' area
   */
  public record Level(double from, double to, double lightness, double share) {}

  /**
   * Over all works, each counting as much as any other.
   *
   * @param histograms of lightness from 0 to 1, in {@link #BINS} bins each; those without area are
   *     passed over
   * @return empty where there is no area, or one lightness alone
   */
  public static Optional<ValueCuts> of(List<double[]> histograms) {
    double[] weights = pooled(histograms);
    int used = (int) Arrays.stream(weights).filter(w -> w > 0).count();
    if (used < FEWEST) {
      return Optional.empty();
    }
    double whole = spread(weights, 0, BINS);
    ValueCuts best = null;
    for (int count = FEWEST; count <= Math.min(MOST, used); count++) {
      best = cut(weights, count, whole);
      if (best.left() < LEFT_OVER) {
        break;
      }
    }
    return Optional.ofNullable(best);
  }

  private static double[] pooled(List<double[]> histograms) {
    double[] weights = new double[BINS];
    for (double[] one : histograms) {
      if (one.length != BINS) {
        throw new IllegalArgumentException("A histogram has " + BINS + " bins, got " + one.length);
      }
      double area = Arrays.stream(one).sum();
      for (int i = 0; i < BINS && area > 0; i++) {
        weights[i] += one[i] / area;
      }
    }
    return weights;
  }

  private static ValueCuts cut(double[] weights, int count, double whole) {
    double[][] least = new double[count + 1][BINS + 1];
    int[][] begins = new int[count + 1][BINS + 1];
    for (double[] row : least) {
      Arrays.fill(row, Double.POSITIVE_INFINITY);
    }
    least[0][0] = 0;
    for (int k = 1; k <= count; k++) {
      for (int end = 1; end <= BINS; end++) {
        for (int begin = k - 1; begin < end; begin++) {
          // A value that nothing has is none.
          if (least[k - 1][begin] < Double.POSITIVE_INFINITY && weight(weights, begin, end) > 0) {
            double spread = least[k - 1][begin] + spread(weights, begin, end);
            if (spread < least[k][end]) {
              least[k][end] = spread;
              begins[k][end] = begin;
            }
          }
        }
      }
    }
    List<Level> levels = new ArrayList<>();
    double all = weight(weights, 0, BINS);
    int end = BINS;
    for (int k = count; k > 0; k--) {
      int begin = begins[k][end];
      levels.add(
          0,
          new Level(
              border(weights, begin),
              border(weights, end),
              mean(weights, begin, end),
              weight(weights, begin, end) / all));
      end = begin;
    }
    return new ValueCuts(levels, whole > 0 ? least[count][BINS] / whole : 0);
  }

  /** In the middle of what nothing has about it. */
  private static double border(double[] weights, int cut) {
    int from = cut;
    int to = cut;
    while (from > 0 && weights[from - 1] == 0) {
      from--;
    }
    while (to < BINS && weights[to] == 0) {
      to++;
    }
    return from == 0 ? 0 : to == BINS ? 1 : (from + to) / 2.0 / BINS;
  }

  private static double weight(double[] weights, int begin, int end) {
    double sum = 0;
    for (int i = begin; i < end; i++) {
      sum += weights[i];
    }
    return sum;
  }

  private static double mean(double[] weights, int begin, int end) {
    double sum = 0;
    double weight = 0;
    for (int i = begin; i < end; i++) {
      sum += weights[i] * (i + 0.5) / BINS;
      weight += weights[i];
    }
    return sum / weight;
  }

  /** Sum of squares about the mean. */
  private static double spread(double[] weights, int begin, int end) {
    double weight = 0;
    double sum = 0;
    double squares = 0;
    for (int i = begin; i < end; i++) {
      double value = (i + 0.5) / BINS;
      weight += weights[i];
      sum += weights[i] * value;
      squares += weights[i] * value * value;
    }
    return weight > 0 ? Math.max(0, squares - sum * sum / weight) : 0;
  }

  /**
   * What each grey becomes when a picture is seen in these values alone.
   *
   * @param entries how many steps of encoded grey, the first from 0
   * @return encoded greys, [0, 1]
   */
  public double[] table(int entries) {
    double[] table = new double[entries];
    for (int i = 0; i < entries; i++) {
      double grey = (i + 0.5) / entries;
      Level level = of(OkLab.from(new EncodedSrgb(grey, grey, grey)).lightness());
      table[i] = new OkLab(level.lightness(), 0, 0).toEncodedSrgb().green();
    }
    return table;
  }

  /** The value that a lightness belongs to. */
  public Level of(double lightness) {
    return levels.stream()
        .filter(level -> lightness < level.to())
        .findFirst()
        .orElse(levels.get(levels.size() - 1));
  }
}
