package penmirror.demoart;

import java.util.List;
import penmirror.core.geometry.Point;

/** Bends a drawing: where each point of it goes. */
@FunctionalInterface
interface Warp {
  Warp NONE = p -> p;

  Point apply(Point p);

  default Warp then(Warp next) {
    return p -> next.apply(apply(p));
  }

  /** Mean growth of lengths around a point. */
  default double scaleAt(Point p) {
    Point here = apply(p);
    Point right = apply(p.plus(new Point(10, 0)));
    Point down = apply(p.plus(new Point(0, 10)));
    return (here.distanceTo(right) + here.distanceTo(down)) / 20;
  }

  static Warp turn(Point centre, double degrees) {
    return p -> p.turnedAbout(centre, degrees);
  }

  static Warp shift(double dx, double dy) {
    return p -> p.plus(new Point(dx, dy));
  }

  /** Stretches what lies below a level line; what lies above stays. */
  static Warp stretchBelow(double y, double factor) {
    return p -> p.y() <= y ? p : new Point(p.x(), y + (p.y() - y) * factor);
  }

  /** Widens what lies below a level line about an upright axis, easing in over 40 units. */
  static Warp widenBelow(double y, double axisX, double factor) {
    return p -> {
      double ease = Math.max(0, Math.min(1, (p.y() - y) / 40));
      return new Point(axisX + (p.x() - axisX) * (1 + (factor - 1) * ease), p.y());
    };
  }

  static Warp mirror(double axisX) {
    return p -> new Point(2 * axisX - p.x(), p.y());
  }

  /**
   * Lands {@code from} on {@code to} and keeps shapes between them true, by moving least squares of
   * similarities. Source: Schaefer, McPhail and Warren, Image deformation using moving least
   * squares, ACM Transactions on Graphics 25 (2006).
   */
  static Warp landing(List<Point> from, List<Point> to) {
    return at -> {
      double[] weights = new double[from.size()];
      double sum = 0;
      Point p = new Point(0, 0);
      Point q = new Point(0, 0);
      for (int i = 0; i < weights.length; i++) {
        Point d = from.get(i).minus(at);
        weights[i] = 1 / Math.pow(d.dot(d) + 1e-3, 1.25);
        sum += weights[i];
        p = p.plus(from.get(i).times(weights[i]));
        q = q.plus(to.get(i).times(weights[i]));
      }
      p = p.times(1 / sum);
      q = q.times(1 / sum);
      double real = 0;
      double imaginary = 0;
      double mass = 0;
      for (int i = 0; i < weights.length; i++) {
        Point s = from.get(i).minus(p);
        Point t = to.get(i).minus(q);
        real += weights[i] * (s.x() * t.x() + s.y() * t.y());
        imaginary += weights[i] * (s.x() * t.y() - s.y() * t.x());
        mass += weights[i] * s.dot(s);
      }
      Point arm = at.minus(p);
      return q.plus(
          new Point(
              (real * arm.x() - imaginary * arm.y()) / mass,
              (imaginary * arm.x() + real * arm.y()) / mass));
    };
  }
}
