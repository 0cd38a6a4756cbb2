package penmirror.core.statistics;

import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;

/** Finite values, each with a weight above 0, such as widths with the length they hold for. */
public final class WeightedSample {
  /** More makes an error steadier, not smaller. */
  private static final int DRAWS = 60;

  private static final long SEED = 17;

  private final double[] values;
  private final double[] weights;
  private final double total;

  private WeightedSample(double[] values, double[] weights) {
    this.values = values;
    this.weights = weights;
    total = Arrays.stream(weights).sum();
  }

  /** Collects values; what has no weight or is not a number is left out. */
  public static final class Builder {
    private double[] values = new double[64];
    private double[] weights = new double[64];
    private int size;

    public Builder add(double value, double weight) {
      if (Double.isFinite(value) && weight > 0) {
        if (size == values.length) {
          values = Arrays.copyOf(values, 2 * size);
          weights = Arrays.copyOf(weights, 2 * size);
        }
        values[size] = value;
        weights[size++] = weight;
      }
      return this;
    }

    public WeightedSample build() {
      // Sorted by value as whole numbers with the place beside them: no objects, no second array.
      // What a float cannot tell apart may keep its order; it is next to equal.
      long[] order = new long[size];
      for (int i = 0; i < size; i++) {
        int bits = Float.floatToIntBits((float) values[i]);
        int sortable = bits < 0 ? ~bits : bits | Integer.MIN_VALUE;
        order[i] = (sortable & 0xFFFFFFFFL) << 31 | i;
      }
      Arrays.sort(order);
      double[] sorted = new double[size];
      double[] carried = new double[size];
      for (int i = 0; i < size; i++) {
        int place = (int) (order[i] & Integer.MAX_VALUE);
        sorted[i] = values[place];
        carried[i] = weights[place];
      }
      return new WeightedSample(sorted, carried);
    }
  }

  public static Builder builder() {
    return new Builder();
  }

  public int size() {
    return values.length;
  }

  public double weight() {
    return total;
  }

  /** The same weights on other values; those that are no number then are left out. */
  public WeightedSample mapped(DoubleUnaryOperator of) {
    Builder builder = builder();
    for (int i = 0; i < values.length; i++) {
      builder.add(of.applyAsDouble(values[i]), weights[i]);
    }
    return builder.build();
  }

  public double median() {
    return quantile(0.5);
  }

  /** The value that the given share of the weight lies below; NaN for no values. */
  public double quantile(double probability) {
    double place = probability * total;
    double before = 0;
    for (int i = 0; i < values.length; i++) {
      before += weights[i];
      if (before >= place) {
        return values[i];
      }
    }
    return values.length == 0 ? Double.NaN : values[values.length - 1];
  }

  /**
   * Mean of what lies between two shares of the weight, such as 0.1 and 0.9: moved by little
   * wherever the weight moves, and not by what lies far out.
   *
   * @param from in [0, to)
   * @param to in (from, 1]
   * @return NaN for no values
   */
  public double middleMean(double from, double to) {
    double sum = 0;
    double counted = 0;
    double before = 0;
    for (int i = 0; i < values.length; i++) {
      double after = before + weights[i];
      double inside = Math.min(after, to * total) - Math.max(before, from * total);
      if (inside > 0) {
        sum += inside * values[i];
        counted += inside;
      }
      before = after;
    }
    return sum / counted;
  }

  /** Standard error of the weighted mean; 0, for fewer than two, says that it is not known. */
  public double meanError() {
    if (values.length < 2) {
      return 0;
    }
    double mean = middleMean(0, 1);
    double squares = 0;
    for (int i = 0; i < values.length; i++) {
      double off = weights[i] * (values[i] - mean);
      squares += off * off;
    }
    return Math.sqrt(Math.max(Bootstrap.ALIKE, squares / (total * total)));
  }

  public double medianError() {
    return quantileError(0.5);
  }

  /**
   * Error of a quantile by drawing the values again; 0, for fewer than two, says that it is not
   * known.
   */
  public double quantileError(double probability) {
    int n = values.length;
    if (n < 2) {
      return 0;
    }
    SplittableRandom random = new SplittableRandom(SEED);
    int[] times = new int[n];
    double sum = 0;
    double squares = 0;
    for (int draw = 0; draw < DRAWS; draw++) {
      Arrays.fill(times, 0);
      double drawn = 0;
      for (int i = 0; i < n; i++) {
        int which = random.nextInt(n);
        times[which]++;
        drawn += weights[which];
      }
      double place = probability * drawn;
      double before = 0;
      int at = 0;
      while (at < n - 1) {
        before += times[at] * weights[at];
        if (before >= place && times[at] > 0) {
          break;
        }
        at++;
      }
      // Around the first value, so that no digits are lost.
      double off = values[at] - values[0];
      sum += off;
      squares += off * off;
    }
    return Math.sqrt(Math.max(Bootstrap.ALIKE, (squares - sum * sum / DRAWS) / (DRAWS - 1)));
  }
}
