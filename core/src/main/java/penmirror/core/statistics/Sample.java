package penmirror.core.statistics;

import java.util.Arrays;
import java.util.Comparator;
import org.apache.commons.statistics.descriptive.Mean;
import org.apache.commons.statistics.descriptive.Median;
import org.apache.commons.statistics.descriptive.Quantile;
import org.apache.commons.statistics.descriptive.StandardDeviation;

/**
 * A small sample of finite values with its centre and its spreads. At least one value.
 *
 * <p>Every spread is 0 for a single value: one picture says nothing about spread, and the rule that
 * uses it falls back on the shipped spread of its measure.
 */
public final class Sample {

  /**
   * What the standard deviation of a normal sample shrinks to, on average, once its largest
   * deviation from the median is dropped: pairs of sample size and factor. Source: simulation on
   * normal samples, noted in docs/scoring.md; checked again in {@code SampleTest}.
   */
  private static final double[][] SHRINK_FACTORS = {
    {6, .677}, {7, .715}, {8, .746}, {9, .766}, {10, .783}, {12, .815}, {16, .852}
  };

  /** Scales the median absolute deviation to the standard deviation of a normal sample. */
  private static final double MAD_TO_SD = 1.4826;

  private final double[] sorted;

  private Sample(double[] sorted) {
    this.sorted = sorted;
  }

  public static Sample of(double... values) {
    if (values.length == 0) {
      throw new IllegalArgumentException("A sample needs at least one value.");
    }
    double[] copy = values.clone();
    for (double value : copy) {
      if (!Double.isFinite(value)) {
        throw new IllegalArgumentException("A sample needs finite values, got " + value);
      }
    }
    Arrays.sort(copy);
    return new Sample(copy);
  }

  public int size() {
    return sorted.length;
  }

  /**
   * The value at a place when all are put in order.
   *
   * @param place [0, size − 1], 0 for the smallest
   */
  public double ascending(int place) {
    return sorted[place];
  }

  public double mean() {
    return Mean.of(sorted).getAsDouble();
  }

  /** The middle value; the mean of the two middle values when their number is even. */
  public double median() {
    return Median.withDefaults().evaluate(sorted);
  }

  /**
   * The value with half of the weight on either side; the mean of two where the halves meet between
   * them. With equal weights it is the median.
   *
   * @param weights one above 0 for each value
   */
  public static double weightedMedian(double[] values, double[] weights) {
    if (values.length == 0 || values.length != weights.length) {
      throw new IllegalArgumentException(
          "A weighted median needs as many weights as values, got "
              + values.length
              + " values and "
              + weights.length
              + " weights.");
    }
    Integer[] order = new Integer[values.length];
    Arrays.setAll(order, i -> i);
    Arrays.sort(order, Comparator.comparingDouble(i -> values[i]));
    double half = Arrays.stream(weights).sum() / 2;
    double before = 0;
    for (int i = 0; i < order.length; i++) {
      before += weights[order[i]];
      if (Math.abs(before - half) < 1e-12 * half && i + 1 < order.length) {
        return (values[order[i]] + values[order[i + 1]]) / 2;
      }
      if (before > half) {
        return values[order[i]];
      }
    }
    return values[order[order.length - 1]];
  }

  /** Sample standard deviation with n − 1 below; 0 for one value. */
  public double standardDeviation() {
    return StandardDeviation.of(sorted).getAsDouble();
  }

  /** Value below which the given share of the sample lies, by Hyndman and Fan's method 8. */
  public double quantile(double probability) {
    return Quantile.withDefaults().evaluate(sorted, probability);
  }

  /**
   * Spread around the median that one odd picture cannot blow up: 1.4826 times the median absolute
   * deviation from four values on, half the range below that.
   */
  public double spread() {
    if (sorted.length < 4) {
      return (sorted[sorted.length - 1] - sorted[0]) / 2;
    }
    double median = median();
    double[] deviations = Arrays.stream(sorted).map(value -> Math.abs(value - median)).toArray();
    return MAD_TO_SD * Sample.of(deviations).median();
  }

  /**
   * Standard deviation after dropping the one value farthest from the median, divided by the factor
   * that dropping costs a normal sample. The plain standard deviation below six values.
   */
  public double trimmedStandardDeviation() {
    int n = sorted.length;
    if (n < 6) {
      return standardDeviation();
    }
    double median = median();
    boolean dropFirst = median - sorted[0] > sorted[n - 1] - median;
    double[] kept = dropFirst ? Arrays.copyOfRange(sorted, 1, n) : Arrays.copyOf(sorted, n - 1);
    return Sample.of(kept).standardDeviation() / shrinkFactor(n);
  }

  /** Straight line between the tabled sizes; held at the last factor above them. */
  static double shrinkFactor(int size) {
    for (int i = 1; i < SHRINK_FACTORS.length; i++) {
      double[] low = SHRINK_FACTORS[i - 1];
      double[] high = SHRINK_FACTORS[i];
      if (size <= high[0]) {
        double share = (size - low[0]) / (high[0] - low[0]);
        return low[1] + share * (high[1] - low[1]);
      }
    }
    return SHRINK_FACTORS[SHRINK_FACTORS.length - 1][1];
  }
}
