package penmirror.core.statistics;

import java.util.Arrays;

/**
 * A ratio of two sums over the pieces of a picture, such as level line over all line, stroke by
 * stroke, with the error of drawing the pieces again.
 */
public final class Ratio {
  private double[] parts = new double[64];
  private double[] wholes = new double[64];
  private int size;

  /** Of sums that are there piece by piece already, such as counts by tile. */
  public static Ratio of(double[] parts, double[] wholes) {
    Ratio ratio = new Ratio();
    for (int i = 0; i < parts.length; i++) {
      ratio.add(parts[i], wholes[i]);
    }
    return ratio;
  }

  /** What one piece adds to both sums; a piece that adds nothing to the lower one is left out. */
  public Ratio add(double part, double whole) {
    if (whole != 0) {
      if (size == parts.length) {
        parts = Arrays.copyOf(parts, 2 * size);
        wholes = Arrays.copyOf(wholes, 2 * size);
      }
      parts[size] = part;
      wholes[size++] = whole;
    }
    return this;
  }

  /** The lower sum. */
  public double whole() {
    return Arrays.stream(wholes, 0, size).sum();
  }

  /** NaN while the lower sum is 0. */
  public double value() {
    return Arrays.stream(parts, 0, size).sum() / whole();
  }

  /** Standard error in the ratio's own unit; 0 for fewer than two pieces. */
  public double error() {
    return Bootstrap.errorOfRatio(Arrays.copyOf(parts, size), Arrays.copyOf(wholes, size));
  }
}
