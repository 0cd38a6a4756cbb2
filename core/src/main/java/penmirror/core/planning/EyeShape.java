package penmirror.core.planning;

import java.util.List;
import penmirror.core.drawing.Outline;
import penmirror.core.geometry.Point;

/** The outlines of an eye, from corner to corner. */
final class EyeShape {
  /** Where a lid's handles lie at the corner, of the way along to its peak and of the way up. */
  private static final double ALONG = 0.15;

  private static final double UP = 0.6;

  /** How long they are at the peak, of the way back along. */
  private static final double LEVEL = 0.5;

  private EyeShape() {}

  /** One lid: level, as the corners lie, where it is farthest from them. */
  static Outline lid(Point from, Point peak, Point to) {
    Point whole = to.minus(from);
    double squared = whole.dot(whole);
    Point there = squared > 0 ? whole.times(peak.minus(from).dot(whole) / squared) : whole;
    Point back = whole.minus(there);
    Point rise = peak.minus(from).minus(there);
    return new Outline(
        from,
        List.of(
            new Outline.Bend(
                from.plus(there.times(ALONG)).plus(rise.times(UP)),
                peak.minus(there.times(LEVEL)),
                peak),
            new Outline.Bend(
                peak.plus(back.times(LEVEL)),
                to.minus(back.times(ALONG)).plus(rise.times(UP)),
                to)),
        false);
  }

  /** What lies between both lids. */
  static Outline opening(Point outer, Point top, Point inner, Point bottom) {
    return lid(outer, top, inner).closedBy(lid(inner, bottom, outer));
  }

  /** The dark block over the opening, between its upper edge and the lid. */
  static Outline lash(Point outer, Point upper, Point top, Point inner) {
    return lid(outer, upper, inner).closedBy(lid(outer, top, inner).reversed());
  }
}
