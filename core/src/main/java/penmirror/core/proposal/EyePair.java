package penmirror.core.proposal;

import penmirror.core.geometry.Point;

/**
 * Two parts that may be the eyes, and the frame they give: origin between them, x along the pair to
 * the right, y square to it downward, the distance between them as the unit.
 *
 * @param score how much they look like a pair of eyes; only compares pairs of one picture
 */
record EyePair(Spot leftEye, Spot rightEye, double score) {

  /** Whether light falls on one half of the face only: there one eye is dark, the other bright. */
  boolean isHalfLit() {
    return leftEye.bright() != rightEye.bright();
  }

  Point leftMiddle() {
    return new Point(leftEye.x(), leftEye.y());
  }

  Point rightMiddle() {
    return new Point(rightEye.x(), rightEye.y());
  }

  double distance() {
    return leftMiddle().distanceTo(rightMiddle());
  }

  Point origin() {
    return leftMiddle().midpointTo(rightMiddle());
  }

  private Point across() {
    return rightMiddle().minus(leftMiddle()).times(1 / distance());
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

  EyePair scored(double newScore) {
    return new EyePair(leftEye, rightEye, newScore);
  }
}
