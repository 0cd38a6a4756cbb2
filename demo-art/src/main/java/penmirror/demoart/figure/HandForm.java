package penmirror.demoart.figure;

import java.util.ArrayList;
import java.util.List;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Placement;
import penmirror.demoart.ink.Swell;
import penmirror.demoart.manner.Role;
import penmirror.demoart.page.LineClass;
import penmirror.demoart.page.Page.Draft;
import penmirror.demoart.page.Part;
import penmirror.demoart.pose.HandShape;

/**
 * A hand in its own frame: the wrist at the origin, the middle finger reaching to y = 1, the thumb
 * toward positive x.
 */
final class HandForm {
  private static final Swell FINGER = new Swell(0.15, 0.5, 0.7);

  private final double thick;

  /**
   * @param thick half width of a finger, in hand lengths
   */
  HandForm(double thick) {
    this.thick = thick;
  }

  /** What lies behind a held thing: the palm. */
  void drawBehind(Draft hand, HandShape shape) {
    if (shape == HandShape.GRIP) {
      hand.part(
              "palm",
              Role.SKIN,
              Curve.union(
                  List.of(
                      Curve.capsule(new Point(0, -0.02), 0.17, new Point(0, 0.32), 0.23),
                      Curve.oval(0.02, 0.36, 0.27, 0.22))))
          .contour(0.9);
    }
  }

  /** Draws the hand, or what of it lies before a held thing; returns the fingertip. */
  Point draw(Draft hand, HandShape shape) {
    return switch (shape) {
      case RELAXED -> relaxed(hand);
      case OPEN -> open(hand);
      case GRIP -> grip(hand);
      case FIST -> fist(hand);
      case POINTING -> pointing(hand);
    };
  }

  private Point relaxed(Draft hand) {
    double t = thick;
    double[] x = {-0.19, -0.065, 0.06, 0.18};
    double[] tip = {0.83, 0.96, 1 - t * 0.85, 0.9};
    List<Curve> shapes = new ArrayList<>();
    shapes.add(Curve.capsule(new Point(0, -0.04), 0.15, new Point(-0.01, 0.42), 0.21));
    for (int i = 0; i < 4; i++) {
      Point knuckle = new Point(x[i], 0.46);
      Point bend = new Point(x[i] * 1.05 + 0.01, 0.46 + (tip[i] - 0.46) * 0.5);
      Point end = new Point(x[i] * 0.9 + 0.05, tip[i]);
      shapes.add(Curve.capsule(knuckle, t * 1.12, bend, t * 1.04));
      shapes.add(Curve.capsule(bend, t * 1.04, end, t * 0.85));
    }
    shapes.add(Curve.capsule(new Point(0.1, 0.14), t * 1.5, new Point(0.29, 0.36), t * 1.1));
    shapes.add(Curve.capsule(new Point(0.29, 0.36), t * 1.1, new Point(0.31, 0.58), t * 0.85));
    Part palm = hand.part("hand", Role.SKIN, Curve.union(shapes)).contour(0.9);
    for (int i = 0; i < 3; i++) {
      double between = (x[i] + x[i + 1]) / 2;
      hand.lineOn(
          palm,
          Curve.knots()
              .at(between, 0.52)
              .at(between + 0.012, 0.68)
              .at(between * 0.95 + 0.045, Math.min(tip[i], tip[i + 1]) + t * 0.4)
              .line(),
          LineClass.DETAIL,
          0.9,
          FINGER);
    }
    hand.lineOn(
        palm,
        Curve.knots().at(0.2, 0.5).at(0.2, 0.42).at(0.14, 0.34).line(),
        LineClass.DETAIL,
        0.9,
        new Swell(0.7, 0.1, 0.2));
    return new Point(0.06 * 0.9 + 0.05, 1);
  }

  private Point open(Draft hand) {
    double t = thick;
    double[] angle = {-25, -8, 8, 24};
    double[] reach = {0.36, 0.48, 0.52 - t * 0.85, 0.46};
    List<Curve> shapes = new ArrayList<>();
    shapes.add(Curve.capsule(new Point(0, -0.04), 0.15, new Point(0, 0.36), 0.23));
    for (int i = 0; i < 4; i++) {
      double a = Math.toRadians(angle[i]);
      Point knuckle = new Point(-0.19 + 0.128 * i, 0.46 - 0.03 * Math.abs(i - 1.7));
      Point step = new Point(Math.sin(a), Math.cos(a));
      Point end = knuckle.plus(step.times(reach[i]));
      shapes.add(Curve.capsule(knuckle, t * 1.15, end, t * 0.85));
    }
    shapes.add(Curve.capsule(new Point(0.08, 0.18), t * 1.6, new Point(0.33, 0.3), t * 1.15));
    shapes.add(Curve.capsule(new Point(0.33, 0.3), t * 1.1, new Point(0.5, 0.44), t * 0.85));
    Part palm = hand.part("hand", Role.SKIN, Curve.union(shapes)).contour(0.9);
    hand.lineOn(
        palm,
        Curve.knots().at(0.18, 0.4).at(0.07, 0.3).at(0.03, 0.14).line(),
        LineClass.DETAIL,
        0.8,
        new Swell(0.6, 0.1, 0.3));
    hand.lineOn(
        palm,
        Curve.knots().at(-0.17, 0.36).at(-0.02, 0.4).at(0.1, 0.37).line(),
        LineClass.DETAIL,
        0.7,
        new Swell(0.1, 0.1, 0.5));
    double a = Math.toRadians(8);
    Point knuckle = new Point(-0.19 + 0.256, 0.46 - 0.03 * 0.3);
    return knuckle.plus(new Point(Math.sin(a), Math.cos(a)).times(0.52));
  }

  /** Fingers wrapped over what is held; the palm is drawn behind it. */
  private Point grip(Draft hand) {
    double t = Math.min(thick * 1.15, 0.085);
    for (int i = 3; i >= 0; i--) {
      double y = 0.2 + i * t * 1.72;
      hand.part(
              "finger",
              Role.SKIN,
              Curve.capsule(
                  new Point(-0.21, y + 0.02), t * 1.02, new Point(0.13 - 0.02 * i, y), t * 0.98))
          .contour(0.75);
    }
    hand.part(
            "thumb",
            Role.SKIN,
            Curve.union(
                List.of(
                    Curve.capsule(new Point(0.16, 0.1), t * 1.5, new Point(0.24, 0.22), t * 1.15),
                    Curve.capsule(
                        new Point(0.24, 0.22), t * 1.15, new Point(0.12, 0.32), t * 0.95))))
        .contour(0.8);
    return new Point(-0.02, 0.2 + 3.6 * t * 1.72);
  }

  private Point fist(Draft hand) {
    double t = Math.min(thick * 1.15, 0.085);
    Part palm =
        hand.part(
                "hand",
                Role.SKIN,
                Curve.union(
                    List.of(
                        Curve.capsule(new Point(0, -0.04), 0.16, new Point(0, 0.28), 0.22),
                        Curve.oval(0, 0.34, 0.25, 0.22))))
            .contour(0.9);
    for (int i = 0; i < 3; i++) {
      double x = -0.11 + 0.1 * i;
      hand.lineOn(
          palm,
          Curve.knots().at(x, 0.56).at(x + 0.012, 0.44).at(x, 0.34).line(),
          LineClass.DETAIL,
          0.9,
          new Swell(0.6, 0.1, 0.2));
    }
    hand.part(
            "thumb",
            Role.SKIN,
            Curve.union(
                List.of(
                    Curve.capsule(new Point(0.14, 0.1), t * 1.4, new Point(0.22, 0.26), t * 1.15),
                    Curve.capsule(
                        new Point(0.22, 0.26), t * 1.15, new Point(0.1, 0.38), t * 0.95))))
        .contour(0.8);
    return new Point(0, 0.56);
  }

  private Point pointing(Draft hand) {
    double t = thick;
    hand.part(
            "finger",
            Role.SKIN,
            Curve.capsule(new Point(0.14, 0.36), t * 1.15, new Point(0.15, 1 - t * 0.85), t * 0.85))
        .contour(0.9);
    fist(hand);
    return new Point(0.15, 1);
  }

  /** The place in a gripping hand that a held thing hangs from. */
  static Point held(Placement hand) {
    return hand.apply(new Point(0, 0.36));
  }
}
