package penmirror.core.planning;

import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Warp;
import penmirror.core.raster.Picture;

/**
 * A drawing warped so that its landmarks lie on their targets, as a mesh of triangles: to draw
 * over. It flows there in small steps, so that nothing is turned over. A point that would have to
 * pass its neighbour is not followed; where that does not suffice, all go only a share of the way.
 */
public final class Ghost {
  /** Cells along the longer side of the picture. */
  private static final int CELLS = 300;

  private static final int STEPS = 14;

  /** More steps, to bring every landmark quite there. */
  private static final int MOST_STEPS = 34;

  /** A landmark is there, in cells. */
  private static final double THERE = 0.005;

  /** Within so many cells a landmark pulls evenly. */
  private static final double SOFT = 1;

  private static final double NEARLY = 1e-9;

  /** Twice a triangle's area in squares of two cells. */
  private static final double SLIVER = 0.03;

  /** Landmarks nearer than so many cells must not pass one another. */
  private static final double NEIGHBOURS = 18;

  /** So much of the distance between neighbours must be left, on the same side. */
  private static final double LEAST_LEFT = 0.2;

  private static final Set<Landmark> DETAILS =
      EnumSet.of(
          Landmark.LASH_L_TOP,
          Landmark.IRIS_L_CENTRE,
          Landmark.IRIS_L_EDGE,
          Landmark.IRIS_L_TOP,
          Landmark.PUPIL_L);

  /** Shares of the way to the targets that are tried until nothing folds. */
  private static final double[] SHARES = {0.85, 0.7, 0.5, 0.3};

  /** Before less of the way is gone, so many points are no longer followed. */
  private static final int MOST_LEFT = 8;

  private final int columns;
  private final int rows;
  private final Point[] from;
  private final Point[] to;
  private final double share;
  private final List<Landmark> followed;

  private Ghost(
      int columns, int rows, Point[] from, Point[] to, double share, List<Landmark> followed) {
    this.followed = List.copyOf(followed);
    this.columns = columns;
    this.rows = rows;
    this.from = from;
    this.to = to;
    this.share = share;
  }

  /**
   * @param widthPixels of the picture the marks are in
   */
  public static Ghost of(CarriedFigure figure, int widthPixels, int heightPixels) {
    double cell = Math.max(1, Math.max(widthPixels, heightPixels) / (double) CELLS);
    List<Landmark> followed = new ArrayList<>();
    List<Point> own = new ArrayList<>();
    List<Point> targets = new ArrayList<>();
    for (Landmark landmark : inOrder(figure.own())) {
      Point is = figure.own().require(landmark);
      Point goes = figure.targets().require(landmark);
      if (passesNone(is, goes, own, targets, NEIGHBOURS * cell)) {
        followed.add(landmark);
        own.add(is);
        targets.add(goes);
      }
    }
    int columns = (int) Math.ceil(widthPixels / cell);
    int rows = (int) Math.ceil(heightPixels / cell);
    Point[] mesh = mesh(columns, rows, cell, own);
    for (int left = 0; left < MOST_LEFT; left++) {
      Ghost whole =
          new Ghost(
              columns, rows, mesh, flowed(mesh, own, targets, 1, cell), 1, List.copyOf(followed));
      Optional<Point> fold = whole.fold();
      if (fold.isEmpty()) {
        return whole;
      }
      int nearest = nearest(fold.get(), own);
      followed.remove(nearest);
      own.remove(nearest);
      targets.remove(nearest);
    }
    for (double share : SHARES) {
      Ghost ghost =
          new Ghost(columns, rows, mesh, flowed(mesh, own, targets, share, cell), share, followed);
      if (ghost.fold().isEmpty()) {
        return ghost;
      }
    }
    return new Ghost(columns, rows, mesh, mesh, 0, List.of());
  }

  /** What carries the figure first, what is inside an eye last. */
  private static List<Landmark> inOrder(Marks own) {
    return own.landmarks().keySet().stream()
        .filter(landmark -> own.point(landmark).isPresent())
        .sorted(Comparator.comparing((Landmark landmark) -> isDetail(landmark)))
        .toList();
  }

  private static boolean isDetail(Landmark landmark) {
    return DETAILS.contains(landmark) || DETAILS.contains(landmark.mirrored());
  }

  /**
   * No drawing that lies flat can bring a point past its neighbour, or onto it: such a point is not
   * followed, and goes where its surroundings go.
   */
  private static boolean passesNone(
      Point is, Point goes, List<Point> own, List<Point> targets, double near) {
    for (int i = 0; i < own.size(); i++) {
      Point was = is.minus(own.get(i));
      Point will = goes.minus(targets.get(i));
      double squared = was.x() * was.x() + was.y() * was.y();
      double along = was.x() * will.x() + was.y() * will.y();
      if (was.length() < near && along <= LEAST_LEFT * squared) {
        return false;
      }
    }
    return true;
  }

  /** A grid of which the node nearest to each landmark lies on it, wherever that folds nothing. */
  private static Point[] mesh(int columns, int rows, double cell, List<Point> landmarks) {
    int across = columns + 1;
    Point[] nodes = new Point[across * (rows + 1)];
    for (int i = 0; i < nodes.length; i++) {
      nodes[i] = new Point(i % across * cell, i / across * cell);
    }
    boolean[] taken = new boolean[nodes.length];
    for (Point landmark : landmarks) {
      int column = (int) Math.floor(landmark.x() / cell);
      int row = (int) Math.floor(landmark.y() / cell);
      if (column <= 0 || column >= columns - 1 || row <= 0 || row >= rows - 1) {
        continue;
      }
      int corner = row * across + column;
      IntStream.of(corner, corner + 1, corner + across, corner + across + 1)
          .filter(node -> !taken[node])
          .boxed()
          .sorted(Comparator.comparingDouble(node -> nodes[node].distanceTo(landmark)))
          .filter(node -> liesFlat(nodes, across, node, landmark))
          .findFirst()
          .ifPresent(
              node -> {
                nodes[node] = landmark;
                taken[node] = true;
              });
    }
    return nodes;
  }

  /** Around a node once it is moved; with room to spare, as a sliver soon turns over. */
  private static boolean liesFlat(Point[] nodes, int across, int node, Point moved) {
    int[] ring = {
      node + 1, node + across, node + across - 1, node - 1, node - across, node - across + 1
    };
    double whole = nodes[node + across].distanceTo(nodes[node - across]);
    for (int i = 0; i < ring.length; i++) {
      Point b = nodes[ring[i]].minus(moved);
      Point c = nodes[ring[(i + 1) % ring.length]].minus(moved);
      if (b.x() * c.y() - c.x() * b.y() < SLIVER * whole * whole) {
        return false;
      }
    }
    return true;
  }

  private static Point[] flowed(
      Point[] mesh, List<Point> own, List<Point> targets, double share, double cell) {
    Point[] nodes = mesh.clone();
    Point[] now = own.toArray(Point[]::new);
    for (int step = 0; step < MOST_STEPS; step++) {
      List<Warp.Pair> pairs = new ArrayList<>();
      double farthest = 0;
      for (int i = 0; i < now.length; i++) {
        Point start = own.get(i);
        Point end = start.plus(targets.get(i).minus(start).times(share));
        Point left = end.minus(now[i]);
        farthest = Math.max(farthest, left.length());
        double part = step < STEPS ? 1.0 / (STEPS - step) : 1;
        pairs.add(new Warp.Pair(now[i], now[i].plus(left.times(part))));
      }
      if (farthest < THERE * cell) {
        break;
      }
      Warp warp = Warp.soft(pairs, SOFT * cell);
      IntStream.range(0, nodes.length)
          .parallel()
          .forEach(i -> nodes[i] = warp.at(nodes[i].x(), nodes[i].y()));
      for (int i = 0; i < now.length; i++) {
        now[i] = warp.at(now[i].x(), now[i].y());
      }
    }
    return nodes;
  }

  /** How much of the way to the targets it goes, (0, 1]; less than all where all would fold. */
  public double share() {
    return share;
  }

  /** The landmarks that lie on their targets, or on the way to them by the share. */
  public List<Landmark> followed() {
    return followed;
  }

  /**
   * Where the picture lies on another canvas.
   *
   * @param scale over 0
   */
  public record Placed(double scale, double rightPixels, double downPixels) {
    public static final Placed AS_IT_IS = new Placed(1, 0, 0);

    Point of(Point p) {
      return new Point(scale * p.x() + rightPixels, scale * p.y() + downPixels);
    }
  }

  /**
   * The warped drawing, see-through where nothing of it comes to lie.
   *
   * @param drawing as large as it was said to be, or a smaller copy of it
   * @param placed of the picture at its full size
   */
  public BufferedImage drawn(
      BufferedImage drawing, double fullWidthPixels, Placed placed, int width, int height) {
    double copy = drawing.getWidth() / fullWidthPixels;
    TriangleMesh mesh = new TriangleMesh(drawing, width, height);
    int across = columns + 1;
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        int a = row * across + column;
        add(mesh, copy, placed, a, a + 1, a + across);
        add(mesh, copy, placed, a + 1, a + across + 1, a + across);
      }
    }
    return mesh.drawn();
  }

  /**
   * The warped drawing so many pixels high, as it stands.
   *
   * @param picture the drawing at its full size
   */
  public BufferedImage drawn(Picture picture, int fullHeightPixels, int heightPixels) {
    double scale = heightPixels / (double) fullHeightPixels;
    int width = (int) Math.max(1, Math.round(picture.widthPixels() * scale));
    // Whole blocks are averaged first, so that thin lines do not fall between the pixels.
    Picture copy = picture.shrunk((int) Math.max(1, Math.floor(1 / scale)));
    return drawn(
        copy.toImage(), picture.widthPixels(), new Placed(scale, 0, 0), width, heightPixels);
  }

  /** The part of a canvas on which it comes to lie, to whole pixels. */
  public Rectangle bounds(Placed placed) {
    double left = Double.POSITIVE_INFINITY;
    double top = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    double base = Double.NEGATIVE_INFINITY;
    for (Point node : to) {
      Point at = placed.of(node);
      left = Math.min(left, at.x());
      top = Math.min(top, at.y());
      right = Math.max(right, at.x());
      base = Math.max(base, at.y());
    }
    int x = (int) Math.floor(left);
    int y = (int) Math.floor(top);
    return new Rectangle(x, y, (int) Math.ceil(right) - x, (int) Math.ceil(base) - y);
  }

  private void add(TriangleMesh mesh, double copy, Placed placed, int a, int b, int c) {
    mesh.add(
        new Point[] {from[a].times(copy), from[b].times(copy), from[c].times(copy)},
        new Point[] {placed.of(to[a]), placed.of(to[b]), placed.of(to[c])});
  }

  /** Where a place of the drawing lies in the warped one, before it is placed on a canvas. */
  public Point at(Point place) {
    int across = columns + 1;
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        int a = row * across + column;
        int[][] triangles = {{a, a + 1, a + across}, {a + 1, a + across + 1, a + across}};
        for (int[] of : triangles) {
          double[] share = TriangleMesh.shares(from[of[0]], from[of[1]], from[of[2]], place);
          if (share[0] >= -NEARLY && share[1] >= -NEARLY && share[2] >= -NEARLY) {
            return to[of[0]]
                .times(share[0])
                .plus(to[of[1]].times(share[1]))
                .plus(to[of[2]].times(share[2]));
          }
        }
      }
    }
    return place;
  }

  /** Where in the drawing a triangle lies on its back; empty where none does. */
  public Optional<Point> fold() {
    int across = columns + 1;
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        int a = row * across + column;
        if (!isFlat(to[a], to[a + 1], to[a + across])
            || !isFlat(to[a + 1], to[a + across + 1], to[a + across])) {
          return Optional.of(from[a]);
        }
      }
    }
    return Optional.empty();
  }

  private static int nearest(Point place, List<Point> points) {
    return IntStream.range(0, points.size())
        .boxed()
        .min(Comparator.comparingDouble(i -> points.get(i).distanceTo(place)))
        .orElseThrow();
  }

  private static boolean isFlat(Point a, Point b, Point c) {
    return (b.x() - a.x()) * (c.y() - a.y()) - (c.x() - a.x()) * (b.y() - a.y()) > 0;
  }
}
