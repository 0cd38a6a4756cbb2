package penmirror.core.geometry;

/**
 * A point, or the step between two points, in pixels of the upright picture; y points down.
 *
 * @param x finite, pixels to the right
 * @param y finite, pixels down
 */
public record Point(double x, double y) {
  public Point {
    if (!Double.isFinite(x) || !Double.isFinite(y)) {
      throw new IllegalArgumentException("A point needs two finite numbers, got " + x + ", " + y);
    }
  }

  public Point plus(Point step) {
    return new Point(x + step.x, y + step.y);
  }

  public Point minus(Point other) {
    return new Point(x - other.x, y - other.y);
  }

  public Point times(double factor) {
    return new Point(x * factor, y * factor);
  }

  public double dot(Point other) {
    return x * other.x + y * other.y;
  }

  /** Distance to the origin, in pixels, [0, ∞). */
  public double length() {
    // Ten times as fast as Math.hypot, which guards against overflow that pixels never reach.
    return Math.sqrt(x * x + y * y);
  }

  public double distanceTo(Point other) {
    return minus(other).length();
  }

  public Point midpointTo(Point other) {
    return new Point((x + other.x) / 2, (y + other.y) / 2);
  }

  /** Turned about a centre by an angle; positive turns clockwise as seen, since y points down. */
  public Point turnedAbout(Point centre, double angleDegrees) {
    double angle = Math.toRadians(angleDegrees);
    Point arm = minus(centre);
    return centre.plus(
        new Point(
            arm.x * Math.cos(angle) - arm.y * Math.sin(angle),
            arm.x * Math.sin(angle) + arm.y * Math.cos(angle)));
  }
}
