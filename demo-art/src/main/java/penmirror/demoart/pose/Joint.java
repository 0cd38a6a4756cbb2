package penmirror.demoart.pose;

import penmirror.core.geometry.Point;

/** A place in space, in heads: x to the right as seen from the front, y down, z to the viewer. */
record Joint(double x, double y, double z) {
  Joint plus(Joint step) {
    return new Joint(x + step.x, y + step.y, z + step.z);
  }

  Joint times(double factor) {
    return new Joint(x * factor, y * factor, z * factor);
  }

  /** The body turned about the vertical so that it faces the right edge of the picture. */
  Joint turned(double degrees) {
    double c = Math.cos(Math.toRadians(degrees));
    double s = Math.sin(Math.toRadians(degrees));
    return new Joint(x * c + z * s, y, z * c - x * s);
  }

  Point onPage() {
    return new Point(x, y);
  }

  /** Unit step that hangs down, swung out to its side and forward by two angles in degrees. */
  static Joint direction(int side, double out, double fore) {
    double o = Math.toRadians(out);
    double f = Math.toRadians(fore);
    return new Joint(side * Math.sin(o) * Math.cos(f), Math.cos(o) * Math.cos(f), Math.sin(f));
  }
}
