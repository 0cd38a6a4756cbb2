package penmirror.core.drawing;

import java.awt.Shape;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;
import penmirror.core.geometry.Point;

/**
 * Straight and bent pieces, one after the other.
 *
 * @param isClosed whether it runs back to where it began
 */
public record Outline(Point start, List<Piece> pieces, boolean isClosed) {

  /** A piece that begins where the one before ended. */
  public sealed interface Piece {
    Point to();
  }

  public record Straight(Point to) implements Piece {}

  /** A cubic curve with its two handles. */
  public record Bend(Point first, Point second, Point to) implements Piece {}

  public Outline {
    pieces = List.copyOf(pieces);
  }

  public static Outline line(double x1, double y1, double x2, double y2) {
    return new Outline(new Point(x1, y1), List.of(new Straight(new Point(x2, y2))), false);
  }

  /**
   * Straight pieces from corner to corner and back to the first.
   *
   * @param corners two at least
   */
  public static Outline closed(List<Point> corners) {
    List<Piece> pieces = new ArrayList<>();
    corners.subList(1, corners.size()).forEach(corner -> pieces.add(new Straight(corner)));
    return new Outline(corners.get(0), pieces, true);
  }

  /**
   * All outlines of a shape, made of straight pieces.
   *
   * @param flatness how far a straight piece may lie off a bend, pixels
   */
  public static List<Outline> of(Shape shape, double flatness) {
    List<Outline> outlines = new ArrayList<>();
    double[] at = new double[6];
    Point start = new Point(0, 0);
    List<Piece> pieces = new ArrayList<>();
    boolean isClosed = false;
    for (PathIterator it = shape.getPathIterator(null, flatness); !it.isDone(); it.next()) {
      switch (it.currentSegment(at)) {
        case PathIterator.SEG_MOVETO -> {
          if (!pieces.isEmpty()) {
            outlines.add(new Outline(start, pieces, isClosed));
          }
          start = new Point(at[0], at[1]);
          pieces = new ArrayList<>();
          isClosed = false;
        }
        case PathIterator.SEG_LINETO -> pieces.add(new Straight(new Point(at[0], at[1])));
        default -> isClosed = true;
      }
    }
    if (!pieces.isEmpty()) {
      outlines.add(new Outline(start, pieces, isClosed));
    }
    return outlines;
  }

  /** Handles of a quarter ellipse, of its half axis. */
  public static final double ROUND = 0.5523;

  /**
   * An ellipse.
   *
   * @param wide half its width, and high half its height, both above 0
   */
  public static Outline oval(Point middle, double wide, double high) {
    double w = ROUND * wide;
    double h = ROUND * high;
    double x = middle.x();
    double y = middle.y();
    return bends(
        new Point(x + wide, y),
        new Point(x + wide, y + h),
        new Point(x + w, y + high),
        new Point(x, y + high),
        new Point(x - w, y + high),
        new Point(x - wide, y + h),
        new Point(x - wide, y),
        new Point(x - wide, y - h),
        new Point(x - w, y - high),
        new Point(x, y - high),
        new Point(x + w, y - high),
        new Point(x + wide, y - h),
        new Point(x + wide, y));
  }

  /**
   * A smooth line through all points (Catmull and Rom's), which ends where they end.
   *
   * @param points two at least
   */
  public static Outline through(List<Point> points) {
    List<Piece> pieces = new ArrayList<>();
    int last = points.size() - 1;
    for (int i = 0; i < last; i++) {
      pieces.add(
          smooth(
              points.get(Math.max(0, i - 1)),
              points.get(i),
              points.get(i + 1),
              points.get(Math.min(last, i + 2))));
    }
    return new Outline(points.get(0), pieces, false);
  }

  /**
   * The same, round and back to the first.
   *
   * @param points three at least
   */
  public static Outline round(List<Point> points) {
    List<Piece> pieces = new ArrayList<>();
    int all = points.size();
    for (int i = 0; i < all; i++) {
      pieces.add(
          smooth(
              points.get((i + all - 1) % all),
              points.get(i),
              points.get((i + 1) % all),
              points.get((i + 2) % all)));
    }
    return new Outline(points.get(0), pieces, true);
  }

  private static Bend smooth(Point before, Point from, Point to, Point after) {
    return new Bend(
        from.plus(to.minus(before).times(1 / 6.0)), to.minus(after.minus(from).times(1 / 6.0)), to);
  }

  /** This outline and on along another, which begins where this ends, and back to the start. */
  public Outline closedBy(Outline other) {
    List<Piece> both = new ArrayList<>(pieces);
    both.addAll(other.pieces);
    return new Outline(start, both, true);
  }

  /** The same line, the other way round. */
  public Outline reversed() {
    List<Piece> back = new ArrayList<>();
    for (int i = pieces.size() - 1; i >= 0; i--) {
      Point from = i == 0 ? start : pieces.get(i - 1).to();
      back.add(
          pieces.get(i) instanceof Bend bend
              ? new Bend(bend.second(), bend.first(), from)
              : new Straight(from));
    }
    Point end = pieces.isEmpty() ? start : pieces.get(pieces.size() - 1).to();
    return new Outline(end, back, isClosed);
  }

  /**
   * A closed outline of bends.
   *
   * @param points handle, handle, end in turn; the last end is the start again
   */
  public static Outline bends(Point start, Point... points) {
    if (points.length == 0 || points.length % 3 != 0) {
      throw new IllegalArgumentException("Bends take three points each, got " + points.length);
    }
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < points.length; i += 3) {
      pieces.add(new Bend(points[i], points[i + 1], points[i + 2]));
    }
    return new Outline(start, pieces, true);
  }
}
