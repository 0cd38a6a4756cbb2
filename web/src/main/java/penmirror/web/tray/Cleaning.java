package penmirror.web.tray;

import org.jspecify.annotations.Nullable;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Reach;
import penmirror.core.scan.ScanCleaner.AsItLies;
import penmirror.core.scan.ScanCleaner.ByALevelLine;
import penmirror.core.scan.ScanCleaner.ByThePaper;
import penmirror.core.scan.ScanCleaner.Straighten;
import penmirror.core.scan.ScanCleaner.Wishes;
import penmirror.web.layout.RefusedException;

/**
 * How the user wants a page cleaned, as the form sends it. Coordinates are pixels of the scan.
 *
 * @param line the drawn level line; all zero before one is drawn
 */
record Cleaning(Way straighten, boolean flatten, boolean white, Line line) {
  /** Shorter lines tell no direction. */
  private static final double SHORTEST_LINE = 20;

  /** What brings the page upright. */
  enum Way {
    PAPER,
    LINE,
    LIES
  }

  record Line(double x1, double y1, double x2, double y2) {
    Point from() {
      return new Point(x1, y1);
    }

    Point to() {
      return new Point(x2, y2);
    }

    boolean isDrawn() {
      return from().distanceTo(to()) >= SHORTEST_LINE;
    }
  }

  /**
   * The same as the form's fields.
   *
   * @param set whether the form was sent; a box that is not ticked is not sent
   */
  record Fields(
      @Nullable Way straighten,
      @Nullable Boolean flatten,
      @Nullable Boolean white,
      @Nullable Boolean set,
      @Nullable Double x1,
      @Nullable Double y1,
      @Nullable Double x2,
      @Nullable Double y2) {

    /** Before anything was chosen: by the paper, light and white set right. */
    Cleaning cleaning() {
      boolean unset = !Boolean.TRUE.equals(set);
      return new Cleaning(
          straighten == null ? Way.PAPER : straighten,
          flatten == null ? unset : flatten,
          white == null ? unset : white,
          new Line(orZero(x1), orZero(y1), orZero(x2), orZero(y2)));
    }

    private static double orZero(@Nullable Double value) {
      if (value != null && !Reach.holds(value)) {
        throw new RefusedException("fault.form.unreadable");
      }
      return value == null ? 0 : value;
    }
  }

  boolean waitsForLine() {
    return straighten == Way.LINE && !line.isDrawn();
  }

  /**
   * @param factor how many pixels of the scan are one of the picture that is cleaned
   */
  Wishes wishes(int factor) {
    Straighten way =
        switch (straighten) {
          case PAPER -> new ByThePaper();
          case LIES -> new AsItLies();
          case LINE -> waitsForLine() ? new AsItLies() : level(factor);
        };
    return new Wishes(way, flatten, white);
  }

  /** On a reduced copy the ends lie closer; drawn out, the line keeps its direction. */
  private ByALevelLine level(int factor) {
    Point step = line.to().minus(line.from());
    double length = Math.max(step.length() / factor, SHORTEST_LINE);
    double scale = length / step.length();
    Point start = new Point(line.x1() / factor, line.y1() / factor);
    return new ByALevelLine(start, start.plus(new Point(step.x() * scale, step.y() * scale)));
  }
}
