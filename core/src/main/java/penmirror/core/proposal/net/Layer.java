package penmirror.core.proposal.net;

import java.util.Arrays;

/**
 * One linear layer: sums of inputs, weighted.
 *
 * <p>A place of a convolution sees the 3 × 3 places round it in every channel, nought beyond the
 * edge; a plain layer is one place that sees everything.
 *
 * <p>Inner loops go through arrays that begin together, which is what the compiler of Java 17 turns
 * into wide instructions.
 *
 * @param side places across and down; 1 for a plain layer
 * @param inputs numbers a place sees: 9 for each channel, or all of them
 * @param weights by output, then input
 * @param bias by output
 */
public record Layer(int side, int inputs, float[][] weights, float[] bias) {
  static final int NEIGHBOURS = 9;

  /** A layer of zeros. */
  static Layer empty(int side, int inputs, int outputs) {
    return new Layer(side, inputs, new float[outputs][inputs], new float[outputs]);
  }

  /** Whether places see their neighbours. */
  public boolean isConvolution() {
    return side > 1;
  }

  public int places() {
    return side * side;
  }

  /** Numbers a place gives. */
  public int outputs() {
    return bias.length;
  }

  /**
   * The weighted sums.
   *
   * @param values by channel, row and column
   * @return by output, row and column
   */
  public float[] sums(float[] values) {
    return isConvolution() ? convolved(values) : plain(values);
  }

  private float[] plain(float[] values) {
    float[] sums = bias.clone();
    for (int o = 0; o < sums.length; o++) {
      float[] row = weights[o];
      for (int k = 0; k < inputs; k++) {
        sums[o] += row[k] * values[k];
      }
    }
    return sums;
  }

  private float[] convolved(float[] values) {
    float[] sums = new float[outputs() * places()];
    float[][] shifted = shifted(values);
    float[] plane = new float[places()];
    for (int o = 0; o < outputs(); o++) {
      Arrays.fill(plane, bias[o]);
      for (int k = 0; k < inputs; k += 3) {
        add(plane, shifted, k, weights[o]);
      }
      System.arraycopy(plane, 0, sums, o * places(), places());
    }
    return sums;
  }

  /** Three inputs at once: fewer trips to memory. */
  private static void add(float[] plane, float[][] shifted, int k, float[] weights) {
    float[] one = shifted[k];
    float[] two = shifted[k + 1];
    float[] three = shifted[k + 2];
    float a = weights[k];
    float b = weights[k + 1];
    float c = weights[k + 2];
    for (int p = 0; p < plane.length; p++) {
      plane[p] += a * one[p] + b * two[p] + c * three[p];
    }
  }

  /** What all places see as their first input, their second, and so on. */
  private float[][] shifted(float[] values) {
    float[][] shifted = new float[inputs][places()];
    for (int k = 0; k < inputs; k++) {
      int right = k % 3 - 1;
      int down = k % NEIGHBOURS / 3 - 1;
      int first = Math.max(0, -right);
      int count = side - Math.abs(right);
      for (int y = Math.max(0, -down); y < side - Math.max(0, down); y++) {
        int from = k / NEIGHBOURS * places() + (y + down) * side + first + right;
        System.arraycopy(values, from, shifted[k], y * side + first, count);
      }
    }
    return shifted;
  }

  /**
   * What every place sees, one after the other; for whoever teaches a net.
   *
   * @param values by channel, row and column
   * @return by place, then input
   */
  public float[][] seen(float[] values) {
    if (!isConvolution()) {
      return new float[][] {values};
    }
    float[][] shifted = shifted(values);
    float[][] seen = new float[places()][inputs];
    for (int k = 0; k < inputs; k++) {
      for (int p = 0; p < places(); p++) {
        seen[p][k] = shifted[k][p];
      }
    }
    return seen;
  }
}
