package penmirror.core.proposal;

import penmirror.core.geometry.Point;

/**
 * Two parts that may be the eyes.
 *
 * @param score how much they look like a pair of eyes; only compares pairs of one picture
 * @param face what the net says of the face round them: log odds that it is one, nought where it
 *     was not asked
 */
record EyePair(Spot leftEye, Spot rightEye, double score, double face) {

  EyePair(Spot leftEye, Spot rightEye, double score) {
    this(leftEye, rightEye, score, 0);
  }

  /** Whether light falls on one half of the face only: there one eye is dark, the other bright. */
  boolean isHalfLit() {
    return leftEye.bright() != rightEye.bright();
  }

  EyeFrame frame() {
    return new EyeFrame(leftMiddle(), rightMiddle());
  }

  Point leftMiddle() {
    return new Point(leftEye.x(), leftEye.y());
  }

  Point rightMiddle() {
    return new Point(rightEye.x(), rightEye.y());
  }

  double distance() {
    return frame().distance();
  }

  Point origin() {
    return frame().origin();
  }

  /** From the frame to working pixels. */
  Point at(double x, double y) {
    return frame().at(x, y);
  }

  /** From working pixels into the frame. */
  Point inFrame(double x, double y) {
    return frame().inFrame(x, y);
  }

  double tiltDegrees() {
    return frame().tiltDegrees();
  }

  EyePair scored(double newScore) {
    return new EyePair(leftEye, rightEye, newScore, face);
  }
}
