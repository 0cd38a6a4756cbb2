package penmirror.core.geometry;

import java.util.List;

/**
 * A similarity transform without reflection: scale, turn and shift, p ↦ (a·x − b·y + shiftX, b·x +
 * a·y + shiftY).
 *
 * <p>Source: least squares fit of two point sets, the two-dimensional case of the orthogonal
 * Procrustes problem with scaling (Umeyama 1991, eq. 40 to 43, written with complex numbers).
 */
public record Similarity(double a, double b, double shiftX, double shiftY) {

  /**
   * The transform that brings {@code from} nearest to {@code to}, by least squares over the pairs.
   *
   * @param from at least two points, not all the same
   * @param to as many points, in the same order
   * @throws IllegalArgumentException on fewer than two pairs, unequal counts, or one single place
   */
  public static Similarity fit(List<Point> from, List<Point> to) {
    if (from.size() != to.size() || from.size() < 2) {
      throw new IllegalArgumentException(
          "Alignment needs at least two pairs of points, got "
              + from.size()
              + " and "
              + to.size()
              + ".");
    }
    Point fromMean = mean(from);
    Point toMean = mean(to);
    double real = 0;
    double imaginary = 0;
    double spread = 0;
    for (int i = 0; i < from.size(); i++) {
      Point p = from.get(i).minus(fromMean);
      Point q = to.get(i).minus(toMean);
      real += p.x() * q.x() + p.y() * q.y();
      imaginary += p.x() * q.y() - p.y() * q.x();
      spread += p.dot(p);
    }
    if (spread == 0) {
      throw new IllegalArgumentException("Alignment needs points in more than one place.");
    }
    double a = real / spread;
    double b = imaginary / spread;
    return new Similarity(
        a,
        b,
        toMean.x() - (a * fromMean.x() - b * fromMean.y()),
        toMean.y() - (b * fromMean.x() + a * fromMean.y()));
  }

  public Point apply(Point p) {
    return new Point(a * p.x() - b * p.y() + shiftX, b * p.x() + a * p.y() + shiftY);
  }

  /** This one, and another after it. */
  public Similarity then(Similarity next) {
    Point shift = next.apply(new Point(shiftX, shiftY));
    return new Similarity(next.a * a - next.b * b, next.b * a + next.a * b, shift.x(), shift.y());
  }

  /**
   * Back again.
   *
   * @throws ArithmeticException where everything falls on one place
   */
  public Similarity inverse() {
    double square = a * a + b * b;
    if (square == 0) {
      throw new ArithmeticException("A transform that brings all to one place has no way back.");
    }
    double real = a / square;
    double imaginary = -b / square;
    return new Similarity(
        real,
        imaginary,
        -(real * shiftX - imaginary * shiftY),
        -(imaginary * shiftX + real * shiftY));
  }

  /** Factor on lengths, [0, ∞). */
  public double scale() {
    return Math.hypot(a, b);
  }

  /** Clockwise as seen, degrees in (−180, 180]. */
  public double turnDegrees() {
    return Math.toDegrees(Math.atan2(b, a));
  }

  private static Point mean(List<Point> points) {
    double x = 0;
    double y = 0;
    for (Point p : points) {
      x += p.x();
      y += p.y();
    }
    return new Point(x / points.size(), y / points.size());
  }
}
