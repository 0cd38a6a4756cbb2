package penmirror.core.proposal;

import penmirror.core.geometry.Point;

/**
 * The frame that the middles of two eyes give: origin between them, x along them to the right, y
 * square to it downward, their distance as the unit.
 *
 * @param left middle of the eye on the left of the picture
 */
record EyeFrame(Point left, Point right) {

  double distance() {
    return left.distanceTo(right);
  }

  Point origin() {
    return left.midpointTo(right);
  }

  private Point across() {
    return right.minus(left).times(1 / distance());
  }

  /** From the frame to working pixels. */
  Point at(double x, double y) {
    Point across = across();
    Point down = new Point(-across.y(), across.x());
    return origin().plus(across.times(x * distance())).plus(down.times(y * distance()));
  }

  /** From working pixels into the frame. */
  Point inFrame(double x, double y) {
    Point across = across();
    Point off = new Point(x, y).minus(origin());
    return new Point(
        off.dot(across) / distance(), off.dot(new Point(-across.y(), across.x())) / distance());
  }

  double tiltDegrees() {
    Point across = across();
    return Math.toDegrees(Math.atan2(across.y(), across.x()));
  }

  /** How far the eyes of another frame lie from these at most, in this one's unit. */
  double offTo(EyeFrame other) {
    return Math.max(left.distanceTo(other.left), right.distanceTo(other.right)) / distance();
  }
}
