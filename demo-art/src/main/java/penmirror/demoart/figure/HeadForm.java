package penmirror.demoart.figure;

import static penmirror.demoart.manner.Parameter.ANGULAR;
import static penmirror.demoart.manner.Parameter.CHIN;
import static penmirror.demoart.manner.Parameter.EYE_LINE;
import static penmirror.demoart.manner.Parameter.HEAD_ASPECT;
import static penmirror.demoart.manner.Parameter.JAW;
import static penmirror.demoart.manner.Parameter.JAW_LINE;
import static penmirror.demoart.manner.Parameter.MOUTH_LINE;
import static penmirror.demoart.manner.Parameter.NOSE_BASE;
import static penmirror.demoart.manner.Parameter.TURN;

import java.util.List;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.manner.Parameters;

/**
 * The bare head in one view, in its own frame: x from the head's axis, y down from crown 0 to chin
 * 1. A turned head faces right.
 */
final class HeadForm {
  private final Parameters p;
  private final View view;
  private final double half;
  private final double depth;
  private final double sin;
  private final double cos;
  private final Curve outline;

  HeadForm(Parameters p, View view) {
    this.p = p;
    this.view = view;
    half = p.get(HEAD_ASPECT) / 2;
    depth = 0.2 + 0.42 * half;
    double turn = Math.toRadians(turn(p, view));
    sin = Math.sin(turn);
    cos = Math.cos(turn);
    outline = upright(drawn());
  }

  static double turn(Parameters p, View view) {
    return switch (view) {
      case FRONT -> 0;
      case THREE_QUARTER -> p.get(TURN);
      case SIDE -> 90;
      default ->
          throw new IllegalArgumentException(
              "The figure model draws front, three-quarter and side, not " + view);
    };
  }

  Curve outline() {
    return outline;
  }

  View view() {
    return view;
  }

  /** Half the cheek width of the head as seen from the front. */
  double half() {
    return half;
  }

  /** Where a place on the face, counted sideways from its middle line, is seen. */
  double faceX(double sideways) {
    return sideways * cos + front(sideways) * sin;
  }

  /** How much narrower a small width on the face looks there, (0, 1]. */
  double foreshortening(double sideways) {
    double step = 0.01;
    return Math.max(0.25, (faceX(sideways + step) - faceX(sideways - step)) / (2 * step));
  }

  private double front(double sideways) {
    double share = Math.min(1, Math.abs(sideways) / (1.16 * half));
    return depth * Math.sqrt(1 - share * share);
  }

  /** Half the width of the whole head as seen, and the middle of it. */
  double seenHalf() {
    return switch (view) {
      case SIDE -> (depth + back()) / 2;
      case THREE_QUARTER -> Math.hypot(half * cos, (depth + 0.06) * sin) + 0.02;
      default -> half;
    };
  }

  double seenMiddle() {
    return switch (view) {
      case SIDE -> (depth - back()) / 2;
      case THREE_QUARTER -> -0.01;
      default -> 0;
    };
  }

  private double back() {
    return depth + 0.1;
  }

  /** The nearer ear's middle. */
  double earX() {
    return switch (view) {
      case SIDE -> -0.11;
      case THREE_QUARTER -> -0.8 * seenHalf();
      default -> -half - 0.015;
    };
  }

  private Curve drawn() {
    double jaw = p.get(JAW) * half;
    double jawY = p.get(JAW_LINE);
    double chin = p.get(CHIN) * half;
    double eye = p.get(EYE_LINE);
    boolean angular = p.get(ANGULAR) > 0.5;
    double cheekY = Math.min(jawY - 0.1, eye + 0.1);
    return switch (view) {
      case FRONT -> {
        Curve.Knots k = Curve.knots();
        front(k, 1, jaw, jawY, chin, cheekY, angular);
        k.at(0, 1);
        // The other side, from the chin up.
        k.add(new Point(-chin, 0.975), angular);
        k.add(new Point(-jaw, jawY), angular);
        k.at(-half, cheekY)
            .at(-half * 0.985, 0.38)
            .at(-half * 0.9, 0.19)
            .at(-half * 0.52, 0.035)
            .at(0, 0);
        yield k.outline();
      }
      case THREE_QUARTER -> {
        double w = seenHalf();
        double chinX = faceX(0) * 0.86;
        Curve.Knots k = Curve.knots();
        k.at(-0.04, 0)
            .at(w * 0.5, 0.05)
            .at(w * 0.86, 0.2)
            .at(w * 0.97, Math.max(0.26, eye - 0.17))
            .at(w * 0.93, eye - 0.01)
            .at(w * 0.985, cheekY + 0.02)
            .add(new Point(chinX + (jaw * 0.72) * 0.72, jawY + 0.015), angular)
            .at(chinX + chin * 0.62, 0.972)
            .at(chinX - chin * 0.2, 1)
            .add(new Point(chinX - chin * 1.05, 0.978), angular)
            .add(new Point(-jaw * 0.6, jawY + 0.01), angular)
            .at(-half * 0.84, Math.min(jawY - 0.1, 0.68))
            .at(-w * 0.93, 0.55)
            .at(-w * 1.0, 0.38)
            .at(-w * 0.9, 0.19)
            .at(-w * 0.52, 0.035);
        yield k.outline();
      }
      default -> {
        double nose = p.get(NOSE_BASE);
        double mouth = p.get(MOUTH_LINE);
        double z = depth;
        double b = back();
        Curve.Knots k = Curve.knots();
        k.at(-0.06, 0)
            .at(z * 0.62, 0.07)
            .at(z * 0.95, 0.22)
            .at(z * 1.0, Math.max(0.28, eye - 0.15))
            .at(z * 0.93, eye - 0.02)
            .at(z * 0.98, (eye + nose) / 2)
            .at(z * 1.0, nose)
            .at(z * 1.0, nose + 0.02)
            .at(z * 0.985, mouth - 0.03)
            .corner(z * 0.93, mouth)
            .at(z * 0.97, mouth + 0.035)
            .at(z * 0.87, mouth + 0.075)
            .at(z * 0.9, 0.95)
            .at(z * 0.74, 1)
            .at(z * 0.45, 0.985)
            .add(new Point(-0.1 - 0.05 * p.get(JAW), jawY - 0.03), angular)
            .at(-0.14, 0.66)
            .at(-b * 0.72, 0.68)
            .at(-b * 0.96, 0.5)
            .at(-b, 0.34)
            .at(-b * 0.84, 0.14)
            .at(-b * 0.5, 0.035);
        yield k.outline();
      }
    };
  }

  private void front(
      Curve.Knots k,
      int side,
      double jaw,
      double jawY,
      double chin,
      double cheekY,
      boolean angular) {
    k.at(side * half * 0.52, 0.035)
        .at(side * half * 0.9, 0.19)
        .at(side * half * 0.985, 0.38)
        .at(side * half, cheekY);
    k.add(new Point(side * jaw, jawY), angular);
    k.add(new Point(side * chin, 0.975), angular);
  }

  /** Stretched so that the outline reaches from 0 to 1 exactly. */
  private static Curve upright(Curve curve) {
    double top = curve.top();
    double height = curve.bottom() - top;
    return curve.mapped(q -> new Point(q.x(), (q.y() - top) / height));
  }

  /** Where the outline crosses a height, leftmost and rightmost. */
  double edgeAt(double y, boolean rightmost) {
    double found = rightmost ? Double.NEGATIVE_INFINITY : Double.POSITIVE_INFINITY;
    List<Point> points = outline.points();
    for (int i = 0; i < points.size(); i++) {
      Point a = points.get(i);
      Point b = points.get((i + 1) % points.size());
      if ((a.y() <= y) != (b.y() <= y)) {
        double x = a.x() + (b.x() - a.x()) * (y - a.y()) / (b.y() - a.y());
        found = rightmost ? Math.max(found, x) : Math.min(found, x);
      }
    }
    return found;
  }

  /** The outline's own highest or lowest point. */
  Point extreme(boolean lowest) {
    Point best = outline.points().get(0);
    for (Point q : outline.points()) {
      if (lowest ? q.y() > best.y() : q.y() < best.y()) {
        best = q;
      }
    }
    return best;
  }
}
