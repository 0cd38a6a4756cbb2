package penmirror.core.statistics;

import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;

/**
 * Standard error by drawing the pieces of a picture again with replacement (Efron and Tibshirani,
 * An Introduction to the Bootstrap, 1993). Seeded, so that the same picture reads the same.
 */
public final class Bootstrap {
  /** More makes the error steadier, not smaller. */
  private static final int DRAWS = 60;

  private static final long SEED = 17;

  private Bootstrap() {}

  /**
   * @param pieces how many there are to draw from
   * @param statistic of one drawn set of piece numbers; NaN where that set has none
   * @return 0 for fewer than two pieces, and where fewer than two draws have a value
   */
  public static double error(int pieces, ToDoubleFunction<int[]> statistic) {
    if (pieces < 2) {
      return 0;
    }
    SplittableRandom random = new SplittableRandom(SEED);
    int[] drawn = new int[pieces];
    double sum = 0;
    double squares = 0;
    int n = 0;
    double first = Double.NaN;
    for (int draw = 0; draw < DRAWS; draw++) {
      for (int i = 0; i < pieces; i++) {
        drawn[i] = random.nextInt(pieces);
      }
      double value = statistic.applyAsDouble(drawn);
      if (Double.isFinite(value)) {
        first = n == 0 ? value : first;
        // Around the first value, so that large values with small spread lose no digits.
        sum += value - first;
        squares += (value - first) * (value - first);
        n++;
      }
    }
    return n < 2 ? 0 : Math.sqrt(Math.max(0, (squares - sum * sum / n) / (n - 1)));
  }

  /** Error of a ratio of sums over tiles. */
  public static double errorOfRatio(double[] parts, double[] wholes) {
    return error(
        parts.length,
        drawn -> {
          double part = 0;
          double whole = 0;
          for (int i : drawn) {
            part += parts[i];
            whole += wholes[i];
          }
          return whole > 0 ? part / whole : Double.NaN;
        });
  }
}
