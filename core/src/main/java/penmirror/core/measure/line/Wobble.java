package penmirror.core.measure.line;

/**
 * How much a line trembles about its own smooth course.
 *
 * <p>The middle is held against itself smoothed by a Gaussian; the same smoothing of what is left
 * is taken off again, so that a curve does not count as trembling. Waves longer than about twice
 * the smoothing are form and not trembling.
 */
final class Wobble {
  private static final double NOISE_SIGMA = 1.5;

  private Wobble() {}

  /**
   * Root mean square of the residual along the normal, pixels; NaN when the stroke is too short.
   *
   * @param sigma of the smoothing, pixels
   * @param clearance left out at ends and junctions, pixels
   */
  static double of(Stroke stroke, double sigma, double clearance) {
    int cut = (int) Math.ceil(clearance);
    int n = stroke.size();
    if (n < 6 * sigma + 2 * cut) {
      return Double.NaN;
    }
    double[] x = smoothed(stroke.xs(), NOISE_SIGMA);
    double[] y = smoothed(stroke.ys(), NOISE_SIGMA);
    double[] sx = smoothed(x, sigma);
    double[] sy = smoothed(y, sigma);
    double[] residual = new double[n];
    for (int i = 0; i < n; i++) {
      residual[i] = (x[i] - sx[i]) * stroke.normalXs()[i] + (y[i] - sy[i]) * stroke.normalYs()[i];
    }
    double[] curvature = smoothed(residual, sigma);
    double sum = 0;
    int count = 0;
    for (int i = cut; i < n - cut; i++) {
      if (stroke.isRead(i) && stroke.junctionDistances()[i] > clearance) {
        double tremble = residual[i] - curvature[i];
        sum += tremble * tremble;
        count++;
      }
    }
    return count < 3 * sigma ? Double.NaN : Math.sqrt(sum / count);
  }

  /** Gaussian smoothing; beyond the ends the line is reflected through its end point. */
  private static double[] smoothed(double[] values, double sigma) {
    int reach = (int) Math.ceil(3 * sigma);
    double[] kernel = new double[reach + 1];
    double total = 0;
    for (int k = 0; k <= reach; k++) {
      kernel[k] = Math.exp(-k * k / (2 * sigma * sigma));
      total += k == 0 ? kernel[k] : 2 * kernel[k];
    }
    double[] result = new double[values.length];
    for (int i = 0; i < values.length; i++) {
      double sum = kernel[0] * values[i];
      for (int k = 1; k <= reach; k++) {
        sum += kernel[k] * (at(values, i - k) + at(values, i + k));
      }
      result[i] = sum / total;
    }
    return result;
  }

  private static double at(double[] values, int i) {
    int last = values.length - 1;
    if (i < 0) {
      return 2 * values[0] - values[Math.min(last, -i)];
    }
    return i > last ? 2 * values[last] - values[Math.max(0, 2 * last - i)] : values[i];
  }
}
