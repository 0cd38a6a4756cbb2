package penmirror.core.geometry;

import java.util.List;

/**
 * Takes every point of a plane along with a few points that go somewhere, the more the nearer it
 * lies to them: each neighbourhood is moved, turned and scaled, and never sheared.
 *
 * <p>Source: Schaefer, McPhail and Warren, Image deformation using moving least squares, ACM
 * Transactions on Graphics 25 (2006), the deformation by similarity transformations.
 */
public final class Warp {
  private final double[] fromX;
  private final double[] fromY;
  private final double[] toX;
  private final double[] toY;
  private final double softSquared;

  private Warp(List<Pair> pairs, double softness) {
    softSquared = softness * softness;
    int n = pairs.size();
    fromX = new double[n];
    fromY = new double[n];
    toX = new double[n];
    toY = new double[n];
    for (int i = 0; i < n; i++) {
      fromX[i] = pairs.get(i).from().x();
      fromY[i] = pairs.get(i).from().y();
      toX[i] = pairs.get(i).to().x();
      toY[i] = pairs.get(i).to().y();
    }
  }

  /** A point and where it goes. */
  public record Pair(Point from, Point to) {}

  /** Each of the pairs goes exactly where it shall; see {@link #soft}. */
  public static Warp of(List<Pair> pairs) {
    return soft(pairs, 0);
  }

  /**
   * @param pairs none leave everything where it is, one moves everything; of two points that are
   *     one, it goes where the first of them goes
   * @param softness within about this distance of a point its pull is even: the plane bends round
   *     it without a spike, and the point itself goes only nearly where it shall
   */
  public static Warp soft(List<Pair> pairs, double softness) {
    return new Warp(pairs, softness);
  }

  /** Where a point goes. */
  public Point at(double x, double y) {
    int n = fromX.length;
    if (n == 0) {
      return new Point(x, y);
    }
    if (n == 1) {
      return new Point(x + toX[0] - fromX[0], y + toY[0] - fromY[0]);
    }
    double sum = 0;
    double px = 0;
    double py = 0;
    double qx = 0;
    double qy = 0;
    double[] weights = new double[n];
    for (int i = 0; i < n; i++) {
      double dx = fromX[i] - x;
      double dy = fromY[i] - y;
      double squared = dx * dx + dy * dy + softSquared;
      if (squared == 0) {
        return new Point(toX[i], toY[i]);
      }
      double weight = 1 / squared;
      weights[i] = weight;
      sum += weight;
      px += weight * fromX[i];
      py += weight * fromY[i];
      qx += weight * toX[i];
      qy += weight * toY[i];
    }
    px /= sum;
    py /= sum;
    qx /= sum;
    qy /= sum;
    // The weighted points about their middles: what turns and scales the one into the other.
    double spread = 0;
    double along = 0;
    double across = 0;
    for (int i = 0; i < n; i++) {
      double ax = fromX[i] - px;
      double ay = fromY[i] - py;
      double bx = toX[i] - qx;
      double by = toY[i] - qy;
      spread += weights[i] * (ax * ax + ay * ay);
      along += weights[i] * (ax * bx + ay * by);
      across += weights[i] * (ax * by - ay * bx);
    }
    double vx = x - px;
    double vy = y - py;
    if (spread == 0) {
      // All pull from one place.
      return new Point(qx + vx, qy + vy);
    }
    double cosine = along / spread;
    double sine = across / spread;
    return new Point(qx + cosine * vx - sine * vy, qy + sine * vx + cosine * vy);
  }
}
