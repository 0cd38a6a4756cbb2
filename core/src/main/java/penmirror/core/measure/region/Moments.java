package penmirror.core.measure.region;

/** Area, centre and axes of a heap of pixels. */
final class Moments {
  private double n;
  private double x;
  private double y;
  private double xx;
  private double yy;
  private double xy;

  void add(double px, double py) {
    n++;
    x += px;
    y += py;
    xx += px * px;
    yy += py * py;
    xy += px * py;
  }

  double area() {
    return n;
  }

  double centreX() {
    return x / n;
  }

  double centreY() {
    return y / n;
  }

  /**
   * Shorter over longer axis of the ellipse with the same second moments, [0, 1]; 1 for a point.
   */
  double axisRatio() {
    // A pixel is a square and no point: its own moment keeps a single row from being a line.
    double vx = xx / n - centreX() * centreX() + 1 / 12.0;
    double vy = yy / n - centreY() * centreY() + 1 / 12.0;
    double c = xy / n - centreX() * centreY();
    double mean = (vx + vy) / 2;
    double half = Math.sqrt((vx - vy) * (vx - vy) / 4 + c * c);
    return Math.sqrt(Math.max(0, mean - half) / (mean + half));
  }
}
