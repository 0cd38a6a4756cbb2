package penmirror.demoart.ink;

import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import penmirror.core.geometry.Point;

/** Where something drawn in its own units stands on the page: moved, turned, scaled, mirrored. */
public final class Placement {
  public static final Placement HERE = new Placement(new AffineTransform());

  private final AffineTransform transform;

  private Placement(AffineTransform transform) {
    this.transform = transform;
  }

  public Placement moved(double x, double y) {
    AffineTransform changed = new AffineTransform(transform);
    changed.translate(x, y);
    return new Placement(changed);
  }

  public Placement moved(Point to) {
    return moved(to.x(), to.y());
  }

  /** Clockwise as seen. */
  public Placement turned(double degrees) {
    AffineTransform changed = new AffineTransform(transform);
    changed.rotate(Math.toRadians(degrees));
    return new Placement(changed);
  }

  public Placement scaled(double sx, double sy) {
    AffineTransform changed = new AffineTransform(transform);
    changed.scale(sx, sy);
    return new Placement(changed);
  }

  public Placement scaled(double factor) {
    return scaled(factor, factor);
  }

  /** Left and right change places. */
  public Placement mirrored() {
    return scaled(-1, 1);
  }

  public Point apply(Point p) {
    Point2D to = transform.transform(new Point2D.Double(p.x(), p.y()), null);
    return new Point(to.getX(), to.getY());
  }

  public Curve apply(Curve curve) {
    Curve placed = curve.mapped(this::apply);
    return placed.isClosed() && placed.area() < 0 ? placed.backwards() : placed;
  }

  /** Factor on lengths, averaged over the two directions. */
  public double scale() {
    return Math.sqrt(Math.abs(transform.getDeterminant()));
  }
}
