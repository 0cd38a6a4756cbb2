package penmirror.core.statistics;

import java.util.Arrays;

/**
 * Weighted directions in degrees. Their mean is the direction of the sum of unit steps, so that 350
 * and 10 average to 0 and not to 180.
 *
 * <p>Source: Mardia and Jupp, Directional Statistics (2000), ch. 2: mean direction, mean resultant
 * length R, circular standard deviation √(−2 ln R).
 */
public final class CircularSample {
  private final double east;
  private final double north;
  private final double weight;

  private CircularSample(double east, double north, double weight) {
    this.east = east;
    this.north = north;
    this.weight = weight;
  }

  public static CircularSample of(double... degrees) {
    double[] weights = new double[degrees.length];
    Arrays.fill(weights, 1);
    return weighted(degrees, weights);
  }

  /**
   * @param weights 0 or more, one for each direction, together above 0
   */
  public static CircularSample weighted(double[] degrees, double[] weights) {
    double east = 0;
    double north = 0;
    double weight = 0;
    for (int i = 0; i < degrees.length; i++) {
      east += weights[i] * Math.cos(Math.toRadians(degrees[i]));
      north += weights[i] * Math.sin(Math.toRadians(degrees[i]));
      weight += weights[i];
    }
    return ofSums(east, north, weight);
  }

  /** From sums of weight · cosine, weight · sine, and weight. */
  public static CircularSample ofSums(double east, double north, double weight) {
    if (!(weight > 0)) {
      throw new IllegalArgumentException("Directions need a weight above 0, got " + weight);
    }
    return new CircularSample(east, north, weight);
  }

  /** Degrees in [0, 360); arbitrary where the directions cancel out. */
  public double meanDegrees() {
    double degrees = Math.toDegrees(Math.atan2(north, east));
    return degrees < 0 ? degrees + 360 : degrees;
  }

  /** 1 where all point the same way, 0 where they cancel out. */
  public double resultantLength() {
    return Math.min(1, Math.hypot(east, north) / weight);
  }

  /** Degrees, [0, ∞): 0 where all point the same way. At most 360 is told. */
  public double deviationDegrees() {
    double r = resultantLength();
    return r <= 0 ? 360 : Math.min(360, Math.toDegrees(Math.sqrt(Math.max(0, -2 * Math.log(r)))));
  }
}
