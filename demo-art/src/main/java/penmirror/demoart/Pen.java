package penmirror.demoart;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import penmirror.core.geometry.Point;

/**
 * Draws smooth outlines, tapered strokes and parts with one hard shadow. Strokes are filled shapes
 * of varying width, never a fixed stroke.
 *
 * <p>Points are written as "x,y x,y …"; a c behind a point makes it a corner.
 */
final class Pen {
  /** Where the shadow side of an outline lies: lower left, for light from the upper right. */
  private static final Point SHADOW_SIDE = new Point(-0.75, 0.66);

  private static final int SAMPLES = 8;

  private final Graphics2D graphics;
  private final int ink;
  private final double weight;
  private Warp warp = Warp.NONE;

  /**
   * @param weight factor on every line width
   */
  Pen(BufferedImage image, double scale, int ink, double weight) {
    graphics = image.createGraphics();
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    graphics.scale(scale, scale);
    this.ink = ink;
    this.weight = weight;
  }

  void bendBy(Warp newWarp) {
    warp = newWarp;
  }

  Warp warp() {
    return warp;
  }

  void flat(String points, int colour) {
    fill(outline(knots(points), true), colour);
  }

  void ellipse(double x, double y, double rx, double ry, int colour) {
    fill(oval(x, y, rx, ry), colour);
  }

  /** As {@link #ellipse}, seen through; {@code opacity} in [0, 1]. */
  void veil(double x, double y, double rx, double ry, int colour, double opacity) {
    graphics.setColor(
        new Color((colour >> 16) & 255, (colour >> 8) & 255, colour & 255, (int) (255 * opacity)));
    graphics.fill(oval(x, y, rx, ry));
  }

  Stroke stroke(String points, double width) {
    return new Stroke(points, width);
  }

  Part part(String points, int colour) {
    return new Part(points, colour);
  }

  /** An open stroke that swells to its width and tapers to its ends. */
  final class Stroke {
    private final String points;
    private final double width;
    private double from = 0.12;
    private double to = 0.12;
    private double peak = 0.5;
    private int colour = ink;

    private Stroke(String points, double width) {
      this.points = points;
      this.width = width;
    }

    /** Widths at the two ends, as shares of the full width. */
    Stroke ends(double newFrom, double newTo) {
      from = newFrom;
      to = newTo;
      return this;
    }

    /** Where along the stroke it is widest, 0 to 1. */
    Stroke peak(double newPeak) {
      peak = newPeak;
      return this;
    }

    Stroke colour(int newColour) {
      colour = newColour;
      return this;
    }

    void draw() {
      List<Point> line = sampled(knots(points), false);
      List<Point> normals = normals(line, false);
      List<Point> left = new ArrayList<>();
      List<Point> right = new ArrayList<>();
      int last = line.size() - 1;
      for (int i = 0; i <= last; i++) {
        double u = i / (double) last;
        double share =
            u < peak
                ? from + (1 - from) * Math.sin(u / peak * Math.PI / 2)
                : to + (1 - to) * Math.sin((1 - u) / (1 - peak) * Math.PI / 2);
        Point half = normals.get(i).times(width * weight * share / 2);
        left.add(line.get(i).plus(half));
        right.add(0, line.get(i).minus(half));
      }
      left.addAll(right);
      fill(polygon(left), colour);
    }
  }

  /** A closed shape: flat fill, one hard shadow, what lies on it, and an outline. */
  final class Part {
    private final String points;
    private final int colour;
    private int shade = -1;
    private double shadeX;
    private double shadeY;
    private double width = 3;
    private double swell = 4;
    private Runnable inside = () -> {};

    private Part(String points, int colour) {
      this.points = points;
      this.colour = colour;
    }

    /** Lays a shadow over the part and shifts its light away by a step. */
    Part shade(int shadeColour, double dx, double dy) {
      shade = shadeColour;
      shadeX = dx;
      shadeY = dy;
      return this;
    }

    /** Outline: its width in the light, and how much it swells on the shadow side. */
    Part line(double newWidth, double newSwell) {
      width = newWidth;
      swell = newSwell;
      return this;
    }

    Part inside(Runnable drawing) {
      inside = drawing;
      return this;
    }

    void draw() {
      Path2D shape = outline(knots(points), true);
      Shape before = graphics.getClip();
      Area clip = new Area(shape);
      fill(shape, shade >= 0 ? shade : colour);
      graphics.clip(clip);
      if (shade >= 0) {
        graphics.translate(shadeX, shadeY);
        fill(shape, colour);
        graphics.translate(-shadeX, -shadeY);
      }
      inside.run();
      graphics.setClip(before);
      contour(points, width, swell);
    }
  }

  /** A closed outline whose weight swells away from the light. */
  void contour(String points, double width, double swell) {
    List<Point> line = sampled(knots(points), true);
    List<Point> normals = normals(line, true);
    double area = 0;
    for (int i = 0; i < line.size(); i++) {
      Point p = line.get(i);
      Point q = line.get((i + 1) % line.size());
      area += p.x() * q.y() - q.x() * p.y();
    }
    double outward = Math.signum(area);
    double[] widths = new double[line.size()];
    for (int i = 0; i < widths.length; i++) {
      double turned = normals.get(i).dot(SHADOW_SIDE) * outward;
      widths[i] = (width * 0.62 + swell * Math.max(0, turned)) * weight;
    }
    for (int pass = 0; pass < 5; pass++) {
      widths = smoothed(widths);
    }
    List<Point> outer = new ArrayList<>();
    List<Point> inner = new ArrayList<>();
    for (int i = 0; i < widths.length; i++) {
      Point normal = normals.get(i).times(outward * widths[i]);
      outer.add(line.get(i).plus(normal.times(0.62)));
      inner.add(line.get(i).minus(normal.times(0.38)));
    }
    Path2D ring = polygon(outer);
    ring.append(polygon(inner), false);
    ring.setWindingRule(Path2D.WIND_EVEN_ODD);
    fill(ring, ink);
  }

  private Shape oval(double x, double y, double rx, double ry) {
    Point centre = warp.apply(new Point(x, y));
    double grown = warp.scaleAt(new Point(x, y));
    return new Ellipse2D.Double(
        centre.x() - rx * grown, centre.y() - ry * grown, 2 * rx * grown, 2 * ry * grown);
  }

  private void fill(Shape shape, int colour) {
    graphics.setColor(new Color(colour));
    graphics.fill(shape);
  }

  private record Knot(Point place, boolean corner) {}

  private List<Knot> knots(String points) {
    List<Knot> knots = new ArrayList<>();
    for (String word : points.split(" ")) {
      boolean corner = word.endsWith("c");
      String[] numbers = (corner ? word.substring(0, word.length() - 1) : word).split(",");
      Point p = new Point(Double.parseDouble(numbers[0]), Double.parseDouble(numbers[1]));
      knots.add(new Knot(warp.apply(p), corner));
    }
    return knots;
  }

  private static List<Point> tangents(List<Knot> knots, boolean closed) {
    int n = knots.size();
    List<Point> tangents = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      Point before = knots.get(closed ? (i - 1 + n) % n : Math.max(0, i - 1)).place();
      Point after = knots.get(closed ? (i + 1) % n : Math.min(n - 1, i + 1)).place();
      tangents.add(knots.get(i).corner() ? new Point(0, 0) : after.minus(before).times(0.5));
    }
    return tangents;
  }

  private static Path2D outline(List<Knot> knots, boolean closed) {
    List<Point> tangents = tangents(knots, closed);
    Path2D path = new Path2D.Double();
    path.moveTo(knots.get(0).place().x(), knots.get(0).place().y());
    int pieces = closed ? knots.size() : knots.size() - 1;
    for (int i = 0; i < pieces; i++) {
      int j = (i + 1) % knots.size();
      Point a = knots.get(i).place();
      Point b = knots.get(j).place();
      Point first = a.plus(tangents.get(i).times(1 / 3.0));
      Point second = b.minus(tangents.get(j).times(1 / 3.0));
      path.curveTo(first.x(), first.y(), second.x(), second.y(), b.x(), b.y());
    }
    if (closed) {
      path.closePath();
    }
    return path;
  }

  /** Points along the Hermite curve through the knots. */
  private static List<Point> sampled(List<Knot> knots, boolean closed) {
    List<Point> tangents = tangents(knots, closed);
    List<Point> line = new ArrayList<>();
    int pieces = closed ? knots.size() : knots.size() - 1;
    for (int i = 0; i < pieces; i++) {
      int j = (i + 1) % knots.size();
      for (int s = 0; s < SAMPLES; s++) {
        double u = s / (double) SAMPLES;
        double u2 = u * u;
        double u3 = u2 * u;
        line.add(
            knots
                .get(i)
                .place()
                .times(2 * u3 - 3 * u2 + 1)
                .plus(tangents.get(i).times(u3 - 2 * u2 + u))
                .plus(knots.get(j).place().times(-2 * u3 + 3 * u2))
                .plus(tangents.get(j).times(u3 - u2)));
      }
    }
    if (!closed) {
      line.add(knots.get(knots.size() - 1).place());
    }
    return line;
  }

  private static List<Point> normals(List<Point> line, boolean closed) {
    int n = line.size();
    List<Point> normals = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      Point before = line.get(closed ? (i - 1 + n) % n : Math.max(0, i - 1));
      Point after = line.get(closed ? (i + 1) % n : Math.min(n - 1, i + 1));
      Point along = after.minus(before);
      double length = along.length() == 0 ? 1 : along.length();
      normals.add(new Point(along.y() / length, -along.x() / length));
    }
    return normals;
  }

  private static double[] smoothed(double[] values) {
    int n = values.length;
    double[] result = new double[n];
    for (int i = 0; i < n; i++) {
      result[i] = (values[(i - 1 + n) % n] + 2 * values[i] + values[(i + 1) % n]) / 4;
    }
    return result;
  }

  private static Path2D polygon(List<Point> points) {
    Path2D path = new Path2D.Double();
    path.moveTo(points.get(0).x(), points.get(0).y());
    for (Point p : points.subList(1, points.size())) {
      path.lineTo(p.x(), p.y());
    }
    path.closePath();
    return path;
  }
}
