package penmirror.core.statistics;

import java.util.SplittableRandom;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * Standard error by drawing the pieces of a picture again with replacement (Efron and Tibshirani,
 * An Introduction to the Bootstrap, 1993). Seeded, so that the same picture reads the same.
 */
public final class Bootstrap {
  /** More makes the error steadier, not smaller. */
  private static final int DRAWS = 60;

  private static final long SEED = 17;

  /** A variance of draws that are all alike: too small to be told, and yet known. */
  static final double ALIKE = 1e-24;

  private Bootstrap() {}

  /**
   * @param pieces how many there are to draw from
   * @param statistic of one drawn set of piece numbers; NaN where that set has none
   * @return above 0; 0, for fewer than two pieces and where fewer than two draws have a value, says
   *     that it is not known
   */
  public static double error(int pieces, ToDoubleFunction<int[]> statistic) {
    return errors(pieces, 1, drawn -> new double[] {statistic.applyAsDouble(drawn)})[0];
  }

  /**
   * Of several statistics of the same draws.
   *
   * @param count how many statistics there are
   */
  public static double[] errors(int pieces, int count, Function<int[], double[]> statistics) {
    double[] errors = new double[count];
    if (pieces < 2) {
      return errors;
    }
    SplittableRandom random = new SplittableRandom(SEED);
    int[] drawn = new int[pieces];
    double[] sums = new double[count];
    double[] squares = new double[count];
    int[] n = new int[count];
    double[] first = new double[count];
    for (int draw = 0; draw < DRAWS; draw++) {
      for (int i = 0; i < pieces; i++) {
        drawn[i] = random.nextInt(pieces);
      }
      double[] values = statistics.apply(drawn);
      for (int k = 0; k < count; k++) {
        if (Double.isFinite(values[k])) {
          first[k] = n[k] == 0 ? values[k] : first[k];
          // Around the first value, so that large values with small spread lose no digits.
          double off = values[k] - first[k];
          sums[k] += off;
          squares[k] += off * off;
          n[k]++;
        }
      }
    }
    for (int k = 0; k < count; k++) {
      errors[k] =
          n[k] < 2
              ? 0
              : Math.sqrt(Math.max(ALIKE, (squares[k] - sums[k] * sums[k] / n[k]) / (n[k] - 1)));
    }
    return errors;
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
