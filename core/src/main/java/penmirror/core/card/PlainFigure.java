package penmirror.core.card;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import penmirror.core.drawing.Item;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.planning.FigureOutline;
import penmirror.core.planning.Limbs;

/** Plain heads and figures set into the room that a drawing has for them. */
final class PlainFigure {
  /** Width of a fine line. */
  static final double HAIR = 1.2;

  private PlainFigure() {}

  /** A place on a drawing. */
  record Box(double left, double top, double width, double height) {}

  static List<Item> drawn(Marks marks, Limbs limbs) {
    List<Item> items = new ArrayList<>(FigureOutline.body(marks, HAIR, limbs));
    items.addAll(FigureOutline.head(marks, HAIR));
    return items;
  }

  /** The same line in another colour and width. */
  static Item redrawn(Item item, String colour, double width) {
    if (item instanceof Item.Stroke stroke) {
      return new Item.Stroke(stroke.outline(), colour, width, stroke.dashPixels());
    } else if (item instanceof Item.Fill fill) {
      return new Item.Fill(fill.outlines(), colour, fill.opacity(), fill.evenOdd());
    } else if (item instanceof Item.Within within) {
      return new Item.Within(
          within.outlines(),
          within.softPixels(),
          within.items().stream().map(one -> redrawn(one, colour, width)).toList());
    }
    return item;
  }

  static Marks headOf(Marks marks) {
    return marks.only(
        Arrays.stream(Landmark.values())
            .filter(landmark -> landmark.set() != Landmark.Set.FULL)
            .filter(
                landmark ->
                    landmark != Landmark.SHOULDER_L
                        && landmark != Landmark.SHOULDER_R
                        && landmark != Landmark.CROTCH
                        && landmark != Landmark.SOLE)
            .toList());
  }

  /** All points of a head within a box. */
  static Marks fitted(Marks marks, HeadFrame frame, Box box) {
    double left = least(marks, Point::x);
    double right = most(marks, Point::x);
    double top = Math.min(frame.crown().y(), least(marks, Point::y));
    return laid(marks, new Box(left, top, right - left, most(marks, Point::y) - top), box);
  }

  /** What lies in one place brought into the middle of another, as large as it has room for. */
  static Marks laid(Marks marks, Box from, Box to) {
    double scale = Math.min(to.width() / from.width(), to.height() / from.height());
    double x = to.left() + to.width() / 2 - scale * (from.left() + from.width() / 2);
    double y = to.top() + to.height() / 2 - scale * (from.top() + from.height() / 2);
    return moved(marks, p -> new Point(x + scale * p.x(), y + scale * p.y()));
  }

  static Marks moved(Marks marks, UnaryOperator<Point> move) {
    return marks.moved(marks.landmarks().keySet(), move);
  }

  static double width(Marks marks) {
    return most(marks, Point::x) - least(marks, Point::x);
  }

  /**
   * @param marks at least one of them with a point
   */
  static double least(Marks marks, ToDoubleFunction<Point> of) {
    return points(marks).mapToDouble(of).min().orElseThrow();
  }

  /**
   * @param marks at least one of them with a point
   */
  static double most(Marks marks, ToDoubleFunction<Point> of) {
    return points(marks).mapToDouble(of).max().orElseThrow();
  }

  private static Stream<Point> points(Marks marks) {
    return marks.landmarks().keySet().stream().flatMap(one -> marks.point(one).stream());
  }
}
