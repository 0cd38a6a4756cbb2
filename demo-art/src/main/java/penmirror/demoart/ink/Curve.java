package penmirror.demoart.ink;

import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.function.UnaryOperator;
import penmirror.core.geometry.Point;

/**
 * A smooth line or outline, kept as the points sampled along it. Immutable.
 *
 * <p>Written as knots "x,y x,y …" that a cubic Hermite curve runs through; a c behind a knot makes
 * it a corner.
 */
public final class Curve {
  private static final int SAMPLES = 10;

  private final List<Point> points;
  private final boolean closed;
  private final double left;
  private final double top;
  private final double right;
  private final double bottom;

  private Curve(List<Point> points, boolean closed) {
    if (points.size() < 2) {
      throw new IllegalArgumentException("A curve needs two points, got " + points.size());
    }
    this.points = List.copyOf(points);
    this.closed = closed;
    left = points.stream().mapToDouble(Point::x).min().orElseThrow();
    right = points.stream().mapToDouble(Point::x).max().orElseThrow();
    top = points.stream().mapToDouble(Point::y).min().orElseThrow();
    bottom = points.stream().mapToDouble(Point::y).max().orElseThrow();
  }

  /** A line through the written knots. */
  public static Curve line(String knots) {
    return written(knots).line();
  }

  /** An outline through the written knots, closed from the last to the first. */
  public static Curve outline(String knots) {
    return written(knots).outline();
  }

  /** The straight-edged outline with these corners. */
  public static Curve polygon(List<Point> corners) {
    return new Curve(corners, true);
  }

  /** The line of straight pieces through these points. */
  public static Curve open(List<Point> points) {
    return new Curve(points, false);
  }

  public static Curve oval(double x, double y, double rx, double ry) {
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < 40; i++) {
      double angle = i * Math.PI / 20;
      points.add(new Point(x + rx * Math.cos(angle), y + ry * Math.sin(angle)));
    }
    return new Curve(points, true);
  }

  /** A tapered bar with round ends, such as one half of a limb. */
  public static Curve capsule(Point from, double fromRadius, Point to, double toRadius) {
    List<Point> points = new ArrayList<>();
    double along = Math.atan2(to.y() - from.y(), to.x() - from.x());
    for (int i = 0; i <= 14; i++) {
      double angle = along + Math.PI / 2 + i * Math.PI / 14;
      points.add(from.plus(new Point(Math.cos(angle), Math.sin(angle)).times(fromRadius)));
    }
    for (int i = 0; i <= 14; i++) {
      double angle = along - Math.PI / 2 + i * Math.PI / 14;
      points.add(to.plus(new Point(Math.cos(angle), Math.sin(angle)).times(toRadius)));
    }
    return new Curve(points, true);
  }

  public static Knots knots() {
    return new Knots();
  }

  private static Knots written(String text) {
    Knots knots = new Knots();
    for (String word : text.trim().split("\\s+")) {
      boolean corner = word.endsWith("c");
      String[] numbers = (corner ? word.substring(0, word.length() - 1) : word).split(",");
      double x = Double.parseDouble(numbers[0]);
      double y = Double.parseDouble(numbers[1]);
      if (corner) {
        knots.corner(x, y);
      } else {
        knots.at(x, y);
      }
    }
    return knots;
  }

  public List<Point> points() {
    return points;
  }

  public boolean isClosed() {
    return closed;
  }

  public Curve mapped(UnaryOperator<Point> map) {
    return new Curve(points.stream().map(map).toList(), closed);
  }

  public Curve shifted(double dx, double dy) {
    Point step = new Point(dx, dy);
    return mapped(p -> p.plus(step));
  }

  public Curve backwards() {
    List<Point> turned = new ArrayList<>(points);
    Collections.reverse(turned);
    return new Curve(turned, closed);
  }

  /** Along the curve, closing piece included. */
  public double length() {
    double length = closed ? points.get(points.size() - 1).distanceTo(points.get(0)) : 0;
    for (int i = 1; i < points.size(); i++) {
      length += points.get(i - 1).distanceTo(points.get(i));
    }
    return length;
  }

  /** Enclosed area, positive when the points run clockwise as seen. */
  public double area() {
    double twice = 0;
    for (int i = 0; i < points.size(); i++) {
      Point p = points.get(i);
      Point q = points.get((i + 1) % points.size());
      twice += p.x() * q.y() - q.x() * p.y();
    }
    return twice / 2;
  }

  public double left() {
    return left;
  }

  public double top() {
    return top;
  }

  public double right() {
    return right;
  }

  public double bottom() {
    return bottom;
  }

  public Point centre() {
    return new Point((left + right) / 2, (top + bottom) / 2);
  }

  /** Whether a place lies inside the closed outline, by the even-odd rule. */
  public boolean contains(Point p) {
    if (p.x() < left || p.x() > right || p.y() < top || p.y() > bottom) {
      return false;
    }
    boolean inside = false;
    for (int i = 0, j = points.size() - 1; i < points.size(); j = i++) {
      Point a = points.get(i);
      Point b = points.get(j);
      if ((a.y() > p.y()) != (b.y() > p.y())
          && p.x() < (b.x() - a.x()) * (p.y() - a.y()) / (b.y() - a.y()) + a.x()) {
        inside = !inside;
      }
    }
    return inside;
  }

  /**
   * Where an endless line crosses the closed outline, in steps of {@code along} from {@code start},
   * ascending.
   */
  public double[] crossings(Point start, Point along) {
    Point across = new Point(-along.y(), along.x());
    double[] found = new double[points.size()];
    int count = 0;
    Point a = points.get(points.size() - 1).minus(start);
    double before = a.dot(across);
    for (Point q : points) {
      Point b = q.minus(start);
      double after = b.dot(across);
      if ((before > 0) != (after > 0)) {
        double share = before / (before - after);
        found[count++] = (a.dot(along) + share * (b.dot(along) - a.dot(along))) / along.dot(along);
      }
      a = b;
      before = after;
    }
    double[] sorted = Arrays.copyOf(found, count);
    Arrays.sort(sorted);
    return sorted;
  }

  /** Points at about equal steps along the curve, at most {@code step} apart. */
  public Curve resampled(double step) {
    List<Point> ring = new ArrayList<>(points);
    if (closed) {
      ring.add(points.get(0));
    }
    double length = length();
    int pieces = Math.max(2, (int) Math.ceil(length / step));
    List<Point> even = new ArrayList<>();
    double travelled = 0;
    int i = 1;
    for (int k = 0; k < (closed ? pieces : pieces + 1); k++) {
      double goal = length * k / pieces;
      while (i < ring.size() - 1 && travelled + ring.get(i - 1).distanceTo(ring.get(i)) < goal) {
        travelled += ring.get(i - 1).distanceTo(ring.get(i));
        i++;
      }
      Point a = ring.get(i - 1);
      Point b = ring.get(i);
      double piece = a.distanceTo(b);
      double share = piece == 0 ? 0 : Math.max(0, Math.min(1, (goal - travelled) / piece));
      even.add(a.plus(b.minus(a).times(share)));
    }
    return new Curve(even, closed);
  }

  /** Directions square to the curve; for a clockwise outline they point outward. */
  public List<Point> normals() {
    int n = points.size();
    List<Point> normals = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      Point before = points.get(closed ? (i - 1 + n) % n : Math.max(0, i - 1));
      Point after = points.get(closed ? (i + 1) % n : Math.min(n - 1, i + 1));
      Point along = after.minus(before);
      double length = along.length() == 0 ? 1 : along.length();
      normals.add(new Point(along.y() / length, -along.x() / length));
    }
    return normals;
  }

  public Path2D path() {
    Path2D path = new Path2D.Double();
    path.moveTo(points.get(0).x(), points.get(0).y());
    for (Point p : points.subList(1, points.size())) {
      path.lineTo(p.x(), p.y());
    }
    if (closed) {
      path.closePath();
    }
    return path;
  }

  /** The outline of all the shapes laid together; holes and crumbs are dropped. */
  public static Curve union(List<Curve> shapes) {
    Area area = new Area();
    shapes.forEach(shape -> area.add(new Area(shape.path())));
    return largest(area);
  }

  private static Curve largest(Area area) {
    List<List<Point>> loops = new ArrayList<>();
    double[] at = new double[6];
    for (PathIterator it = area.getPathIterator(null); !it.isDone(); it.next()) {
      int kind = it.currentSegment(at);
      if (kind == PathIterator.SEG_MOVETO) {
        loops.add(new ArrayList<>());
      }
      if (kind != PathIterator.SEG_CLOSE) {
        addApart(loops.get(loops.size() - 1), new Point(at[0], at[1]));
      }
    }
    Curve best = null;
    for (List<Point> loop : loops) {
      Curve curve = loop.size() < 3 ? null : new Curve(loop, true);
      if (curve != null && (best == null || Math.abs(curve.area()) > Math.abs(best.area()))) {
        best = curve;
      }
    }
    if (best == null) {
      throw new IllegalArgumentException("The shapes enclose no area.");
    }
    return best.area() < 0 ? best.backwards() : best;
  }

  private static void addApart(List<Point> loop, Point p) {
    if (loop.isEmpty() || loop.get(loop.size() - 1).distanceTo(p) > 1e-9) {
      loop.add(p);
    }
  }

  /** Collects knots. */
  public static final class Knots {
    private final List<Point> places = new ArrayList<>();
    private final List<Boolean> corners = new ArrayList<>();

    public Knots at(double x, double y) {
      return add(new Point(x, y), false);
    }

    public Knots at(Point p) {
      return add(p, false);
    }

    public Knots corner(double x, double y) {
      return add(new Point(x, y), true);
    }

    public Knots corner(Point p) {
      return add(p, true);
    }

    public Knots add(Point p, boolean corner) {
      places.add(p);
      corners.add(corner);
      return this;
    }

    public Curve line() {
      return new Curve(sampled(false), false);
    }

    public Curve outline() {
      Curve curve = new Curve(sampled(true), true);
      return curve.area() < 0 ? curve.backwards() : curve;
    }

    private List<Point> sampled(boolean round) {
      int n = places.size();
      List<Point> tangents = new ArrayList<>();
      for (int i = 0; i < n; i++) {
        Point before = places.get(round ? (i - 1 + n) % n : Math.max(0, i - 1));
        Point after = places.get(round ? (i + 1) % n : Math.min(n - 1, i + 1));
        tangents.add(corners.get(i) ? new Point(0, 0) : after.minus(before).times(0.5));
      }
      List<Point> line = new ArrayList<>();
      for (int i = 0; i < (round ? n : n - 1); i++) {
        int j = (i + 1) % n;
        for (int s = 0; s < SAMPLES; s++) {
          double u = s / (double) SAMPLES;
          double u2 = u * u;
          double u3 = u2 * u;
          line.add(
              places
                  .get(i)
                  .times(2 * u3 - 3 * u2 + 1)
                  .plus(tangents.get(i).times(u3 - 2 * u2 + u))
                  .plus(places.get(j).times(-2 * u3 + 3 * u2))
                  .plus(tangents.get(j).times(u3 - u2)));
        }
      }
      if (!round) {
        line.add(places.get(n - 1));
      }
      return line;
    }
  }
}
