package penmirror.core.statistics;

import java.util.Random;

/**
 * The permutation test for two samples: how often a difference of means at least as large comes
 * about when it is by chance who belongs to which (Fisher 1935, Pitman 1937).
 */
public final class Permutation {
  /** Up to so many ways to deal the values all of them are tried. */
  private static final int ALL_UP_TO = 20_000;

  private static final int DRAWS = 5_000;
  private static final long SEED = 11;

  private Permutation() {}

  /**
   * The chance, two-sided, (0, 1]. Exact where the ways to deal are few, else from seeded draws,
   * with the case at hand counted among them; 1 where a sample is empty.
   */
  public static double chance(double[] one, double[] other) {
    int n = one.length;
    int all = n + other.length;
    if (n == 0 || other.length == 0) {
      return 1;
    }
    double[] values = new double[all];
    System.arraycopy(one, 0, values, 0, n);
    System.arraycopy(other, 0, values, n, other.length);
    double sum = 0;
    double scale = 0;
    for (double value : values) {
      sum += value;
      scale = Math.max(scale, Math.abs(value));
    }
    double sumOfOne = 0;
    for (double value : one) {
      sumOfOne += value;
    }
    Deal deal = new Deal(values, n, sum, 1e-12 * Math.max(1, scale));
    double seen = deal.apart(sumOfOne);
    return ways(all, n) <= ALL_UP_TO ? deal.exact(seen) : deal.drawn(seen);
  }

  /** How many ways there are to choose {@code k} of {@code n}; as a double, as it grows fast. */
  private static double ways(int n, int k) {
    double ways = 1;
    for (int i = 1; i <= k; i++) {
      ways = ways * (n - k + i) / i;
    }
    return ways;
  }

  /** The values of both samples in one heap, and how many go to the first. */
  private record Deal(double[] values, int n, double sum, double rounding) {

    double apart(double sumOfOne) {
      return Math.abs(sumOfOne / n - (sum - sumOfOne) / (values.length - n));
    }

    double exact(double seen) {
      long[] counts = new long[2];
      choose(0, n, 0, seen, counts);
      return counts[0] / (double) counts[1];
    }

    private void choose(int from, int left, double chosen, double seen, long[] counts) {
      if (left == 0) {
        counts[1]++;
        if (apart(chosen) >= seen - rounding) {
          counts[0]++;
        }
        return;
      }
      for (int i = from; i <= values.length - left; i++) {
        choose(i + 1, left - 1, chosen + values[i], seen, counts);
      }
    }

    double drawn(double seen) {
      Random random = new Random(SEED);
      double[] shuffled = values.clone();
      int asFar = 1;
      for (int draw = 0; draw < DRAWS; draw++) {
        double chosen = 0;
        for (int i = 0; i < n; i++) {
          int other = i + random.nextInt(shuffled.length - i);
          double value = shuffled[other];
          shuffled[other] = shuffled[i];
          shuffled[i] = value;
          chosen += value;
        }
        if (apart(chosen) >= seen - rounding) {
          asFar++;
        }
      }
      return asFar / (double) (DRAWS + 1);
    }
  }
}
