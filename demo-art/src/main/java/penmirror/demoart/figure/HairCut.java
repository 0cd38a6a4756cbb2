package penmirror.demoart.figure;

import static penmirror.demoart.manner.Parameter.EAR_BASE;
import static penmirror.demoart.manner.Parameter.EAR_TOP;
import static penmirror.demoart.manner.Parameter.EYE_LINE;
import static penmirror.demoart.manner.Parameter.HAIRLINE;
import static penmirror.demoart.manner.Parameter.HAIR_LIFT;
import static penmirror.demoart.manner.Parameter.HAIR_SIDE;

import java.util.ArrayList;
import java.util.List;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Swell;
import penmirror.demoart.manner.Parameters;
import penmirror.demoart.manner.Role;
import penmirror.demoart.page.LineClass;
import penmirror.demoart.page.Page.Draft;
import penmirror.demoart.page.Part;

/** Hair that sits on the skull: a mass behind the head, and a front of clumps over it. */
final class HairCut {
  private static final Swell STRAND = new Swell(0.7, 0.05, 0.2);

  private final Parameters p;
  private final HeadForm form;
  private final Subject.Hair cut;
  private final View view;
  private final double lift;
  private final double side;
  private final double rx;
  private final double cx;

  HairCut(Parameters p, HeadForm form, Subject.Hair cut) {
    this.p = p;
    this.form = form;
    this.cut = cut;
    this.view = form.view();
    lift = p.get(HAIR_LIFT);
    side = p.get(HAIR_SIDE);
    rx = form.seenHalf() + side;
    cx = form.seenMiddle();
  }

  /** Whether ears show over the hair of a turned head. */
  boolean leavesEarsBare() {
    return cut == Subject.Hair.SHORT || cut == Subject.Hair.FRINGE || cut == Subject.Hair.UP;
  }

  private boolean coversEars() {
    return cut == Subject.Hair.BOB || cut == Subject.Hair.LONG;
  }

  /** Where the mass behind the head ends, down from the crown. */
  private double fall() {
    return switch (cut) {
      case SHORT -> 0.63;
      case BOB -> 1.0;
      case LONG -> 2.0;
      case UP -> 0.66;
      case CURLS -> 0.9;
      case FRINGE -> p.get(EAR_BASE) + 0.04;
    };
  }

  /** On the outer edge of the hair, an angle from straight up, clockwise. */
  private Point rim(double degrees, double out) {
    double a = Math.toRadians(degrees);
    double ry = 0.42 + lift + out;
    double y = 0.42 - ry * Math.cos(a);
    if (y > 0.42) {
      y = 0.42 - (0.4 + out) * Math.cos(a);
    }
    return new Point(cx + (rx + out) * Math.sin(a), y);
  }

  /** The mass behind the head and neck. */
  void back(Draft draft) {
    if (cut == Subject.Hair.FRINGE) {
      Curve crescent = frontOutline();
      draft.part("hair behind", Role.HAIR, crescent);
      if (view == View.FRONT) {
        draft.part("hair behind", Role.HAIR, crescent.mapped(q -> new Point(-q.x(), q.y())));
      }
      return;
    }
    if (cut == Subject.Hair.UP) {
      bun(draft);
      return;
    }
    double end = fall();
    double w = rx * (cut == Subject.Hair.LONG ? 1.08 : cut == Subject.Hair.SHORT ? 0.92 : 1.05);
    double shift = view == View.SIDE ? -0.14 : view == View.THREE_QUARTER ? -0.06 : 0;
    double right = view == View.SIDE ? w * 0.35 : view == View.THREE_QUARTER ? w * 0.86 : w;
    Curve.Knots k = Curve.knots();
    k.at(cx, -lift * 0.8).at(cx + right * 0.75, 0.1).at(cx + shift + right, 0.45);
    if (cut == Subject.Hair.CURLS) {
      scallops(k, cx + shift, w, right, end);
    } else {
      clumpedHem(k, cx + shift, w, right, end);
    }
    k.at(cx + shift - w, 0.45).at(cx - w * 0.75, 0.1);
    Part mass = draft.part("hair behind", Role.HAIR, k.outline()).reach(1.5);
    if (cut == Subject.Hair.LONG || cut == Subject.Hair.BOB) {
      for (double u : new double[] {-0.72, -0.4, 0.5, 0.78}) {
        draft.lineOn(
            mass,
            Curve.knots()
                .at(cx + shift + u * w * 0.95, 0.55)
                .at(cx + shift + u * w * 1.05, 0.55 + (end - 0.55) * 0.5)
                .at(cx + shift + u * w, end - 0.03)
                .line(),
            LineClass.DETAIL,
            1,
            new Swell(0.05, 0.6, 0.7));
      }
    }
  }

  private void clumpedHem(Curve.Knots k, double middle, double w, double right, double end) {
    int clumps = cut == Subject.Hair.LONG ? 5 : 4;
    double flare = cut == Subject.Hair.LONG ? 1.06 : cut == Subject.Hair.SHORT ? 0.96 : 1.12;
    k.at(middle + right * flare, end * 0.78);
    for (int i = 0; i <= clumps; i++) {
      double u = 1 - 2.0 * i / clumps;
      double x = middle + (u > 0 ? right : w) * u * flare;
      double tip = end + 0.05 * Math.cos(i * 2.1);
      k.corner(x + (i == 0 ? 0.02 : 0), tip);
      if (i < clumps) {
        double next = 1 - 2.0 * (i + 0.55) / clumps;
        k.at(middle + (next > 0 ? right : w) * next * flare, end - 0.05);
      }
    }
    k.at(middle - w * flare, end * 0.78);
  }

  private void scallops(Curve.Knots k, double middle, double w, double right, double end) {
    for (int i = 0; i <= 6; i++) {
      double a = Math.toRadians(90 + 30 * i);
      double x = middle + (Math.sin(a) > 0 ? right : w) * Math.sin(a) * 1.12;
      double y = 0.5 - (end - 0.5) * Math.cos(a);
      k.at(x, y);
      if (i < 6) {
        double b = Math.toRadians(105 + 30 * i);
        k.corner(
            middle + (Math.sin(b) > 0 ? right : w) * Math.sin(b) * 0.98,
            0.5 - (end - 0.5) * 0.88 * Math.cos(b));
      }
    }
  }

  private void bun(Draft draft) {
    Point middle = bunMiddle();
    double x = middle.x();
    double y = middle.y();
    Part bun = draft.part("bun", Role.HAIR, Curve.oval(x, y, 0.2 + side, bunHalfHeight()));
    draft.lineOn(
        bun,
        Curve.knots().at(x - 0.14, y + 0.08).at(x - 0.02, y - 0.08).at(x + 0.13, y - 0.03).line(),
        LineClass.DETAIL,
        1,
        STRAND);
    draft.lineOn(
        bun,
        Curve.knots().at(x - 0.08, y + 0.14).at(x + 0.05, y).at(x + 0.16, y + 0.04).line(),
        LineClass.DETAIL,
        1,
        STRAND);
  }

  private Point bunMiddle() {
    double x = view == View.SIDE ? cx - rx * 0.82 : view == View.THREE_QUARTER ? -rx * 0.5 : 0.03;
    return new Point(x, view == View.SIDE ? 0.02 : -lift - 0.05);
  }

  private double bunHalfHeight() {
    return 0.17 + side * 0.6;
  }

  /** The front outline: over the skull from the near side to the far one, back along the face. */
  Curve frontOutline() {
    Curve.Knots k = Curve.knots();
    if (cut == Subject.Hair.FRINGE) {
      tuft(k);
      return k.outline();
    }
    double lock = lockEnd();
    boolean turnedFar = view != View.FRONT;
    double far = view == View.SIDE ? 38 : view == View.THREE_QUARTER ? 78 : 96;
    // Outer edge, clockwise from the near side.
    if (view == View.SIDE && coversEars()) {
      // One mass from the temple over the ear to the hem.
      double back = cx - rx;
      double end = Math.min(fall(), 1.0);
      double ear = form.earX();
      k.corner(ear + 0.13, end - 0.05)
          .at(ear + 0.04, end - 0.1)
          .corner(ear - 0.04, end + 0.01)
          .at(ear - 0.13, end - 0.06)
          .corner((ear + back) / 2 - 0.04, end + 0.02)
          .at((ear + back) / 2 - 0.1, end - 0.05)
          .corner(back - 0.03, end)
          .at(back - 0.02, end * 0.72);
    } else if (view == View.SIDE) {
      double nape = Math.min(fall(), 0.78);
      double back = cx - rx;
      k.at(back + 0.02, 0.6);
      k.corner(back + 0.12, nape + 0.02);
      k.at(back + 0.2, nape - 0.06);
      k.corner(back + 0.26, nape + 0.01);
    }
    List<Point> outer = new ArrayList<>();
    double start = -96;
    int steps = cut == Subject.Hair.CURLS ? 9 : 7;
    for (int i = 0; i <= steps; i++) {
      outer.add(rim(start + (far - start) * i / steps, 0));
    }
    if (view != View.SIDE) {
      k.corner(cx - rx * 0.98, lock);
      k.at(cx - rx * 1.0, lock - (lock - 0.42) * 0.45);
    }
    for (int i = 0; i < outer.size(); i++) {
      k.at(outer.get(i));
      if (cut == Subject.Hair.CURLS && i + 1 < outer.size()) {
        Point middle = outer.get(i).midpointTo(outer.get(i + 1));
        k.corner(middle.plus(new Point(cx, 0.42).minus(middle).times(0.06)));
        Point next = outer.get(i + 1);
        k.at(middle.midpointTo(next).plus(middle.minus(new Point(cx, 0.42)).times(0.06)));
      }
    }
    if (!turnedFar) {
      k.at(cx + rx * 1.0, lock - (lock - 0.42) * 0.45);
      k.corner(cx + rx * 0.98, lock);
    }
    face(k, lock, turnedFar);
    return k.outline();
  }

  private double lockEnd() {
    double eye = p.get(EYE_LINE);
    return switch (cut) {
      case BOB -> eye + 0.2;
      case LONG -> eye + 0.3;
      case CURLS -> eye + 0.1;
      case UP -> eye - 0.06;
      default -> eye - 0.02;
    };
  }

  /** The edge along the face, from the far temple back to the near lock. */
  private void face(Curve.Knots k, double lock, boolean turnedFar) {
    double h = p.get(HAIRLINE);
    double half = form.half();
    double deep = fringeDepth();
    // Sideways place and depth below the hairline; true marks the tip of a clump.
    double[][] edge =
        switch (cut) {
          case UP, SHORT ->
              new double[][] {
                {0.94, 0.2, 0}, {0.72, 0.05, 0}, {0.34, -0.02, 0}, {0.3, deep, 1},
                {0.05, 0.0, 0}, {-0.3, 0.02, 0}, {-0.66, deep * 0.9, 1}, {-0.74, 0.1, 0},
                {-0.94, 0.2, 0}
              };
          case LONG ->
              new double[][] {
                {0.96, 0.3, 0},
                {0.8, 0.1, 0},
                {0.42, -0.06, 0},
                {0.18, -0.1, 1},
                {-0.2, -0.02, 0},
                {-0.62, 0.08, 0},
                {-0.95, 0.3, 0}
              };
          case CURLS ->
              new double[][] {
                {0.94, 0.2, 0}, {0.7, 0.08, 1}, {0.55, 0.02, 0}, {0.32, 0.07, 1},
                {0.1, 0.0, 0}, {-0.16, 0.07, 1}, {-0.4, 0.01, 0}, {-0.62, 0.1, 1},
                {-0.95, 0.24, 0}
              };
          default ->
              new double[][] {
                {0.92, 0.22, 0},
                {0.78, 0.1, 1},
                {0.62, 0.2 * deep / 0.1 * 0.5, 0},
                {0.5, deep, 1},
                {0.34, 0.0, 0},
                {0.12, -0.06, 1},
                {-0.1, 0.05, 0},
                {-0.28, deep * 1.1, 1},
                {-0.36, 0.02, 0},
                {-0.66, deep * 1.25, 1},
                {-0.8, 0.12, 0},
                {-0.93, 0.24, 0}
              };
        };
    boolean begun = !turnedFar;
    if (!turnedFar) {
      k.at(cx + half * 0.93, lock - 0.06);
    }
    for (double[] at : edge) {
      double sideways = at[0] * half;
      if (turnedFar && sideways > farLimit()) {
        continue;
      }
      double x = Math.min(form.faceX(sideways) * 1.02, form.edgeAt(Math.max(0.06, h), true));
      if (!begun) {
        k.at(Math.max(x, form.edgeAt(h + 0.05, true) - 0.005), h + 0.06 + Math.max(0, at[1]) * 0.4);
        begun = true;
      }
      k.add(new Point(x, h + at[1]), at[2] == 1);
    }
    if (view == View.SIDE && coversEars()) {
      double ear = form.earX();
      double eye = p.get(EYE_LINE);
      k.at(ear + 0.17, eye - 0.05).at(ear + 0.14, eye + 0.12);
    } else if (view == View.SIDE) {
      double ear = form.earX();
      double top = p.get(EAR_TOP);
      k.at(ear + 0.13, top + 0.02)
          .corner(ear + 0.1, Math.max(lock, top + 0.1))
          .at(ear + 0.055, top + 0.02)
          .at(ear - 0.01, top + 0.015)
          .at(ear - 0.085, top + 0.1)
          .at(ear - 0.1, p.get(EAR_BASE));
    } else {
      double inner = view == View.FRONT ? -half * 0.93 : -form.seenHalf() * 0.72;
      k.at(inner, lock - 0.06);
    }
  }

  private double fringeDepth() {
    return Math.min(0.13, Math.max(0.05, (p.get(EYE_LINE) - p.get(HAIRLINE)) * 0.34));
  }

  private double farLimit() {
    return view == View.SIDE ? 0.02 : form.half() * 0.66;
  }

  /** Hair left round the ears of a bald head. */
  private void tuft(Curve.Knots k) {
    double top = p.get(EAR_TOP) - 0.1;
    double base = p.get(EAR_BASE);
    if (view != View.FRONT) {
      double back = form.edgeAt(0.5, false);
      double ear = form.earX();
      k.at(back + 0.06, top)
          .at(back - side * 0.8, top + 0.12)
          .at(back - side * 0.4, base - 0.05)
          .corner(back + 0.16, base + 0.03)
          .at(ear - 0.04, base - 0.02)
          .at(ear + 0.05, base - 0.14)
          .corner(ear + 0.09, top + 0.12)
          .at(ear, top + 0.04);
      return;
    }
    double edge = form.edgeAt(p.get(EYE_LINE), false);
    double out = 0.045 + side * 0.9;
    k.at(edge + 0.05, top - 0.02)
        .at(edge - out * 0.7, top + 0.03)
        .corner(edge - out * 1.25, top + 0.1)
        .at(edge - out, top + 0.16)
        .corner(edge - out * 1.35, top + 0.24)
        .at(edge - out * 0.8, base - 0.06)
        .corner(edge - out * 0.8, base + 0.03)
        .at(edge + 0.06, base);
  }

  void front(Draft draft, Landmarks landmarks) {
    Curve drawn = frontOutline();
    if (cut != Subject.Hair.FRINGE || view != View.FRONT) {
      Part front = draft.part("hair", Role.HAIR, drawn).reach(1.1);
      strands(draft, front);
    }
    Point top = drawn.points().get(0);
    Point left = top;
    Point right = top;
    for (Point q : drawn.points()) {
      top = q.y() < top.y() ? q : top;
      left = q.x() < left.x() ? q : left;
      right = q.x() > right.x() ? q : right;
    }
    if (cut == Subject.Hair.FRINGE) {
      Point crown = form.extreme(false);
      landmarks.put(Landmark.HAIR_TOP, draft.placement().apply(crown));
      landmarks.put(Landmark.HAIR_L, draft.placement().apply(left));
      landmarks.put(Landmark.HAIR_R, draft.placement().apply(new Point(-left.x(), left.y())));
      return;
    }
    Point bunTop = bunMiddle().minus(new Point(0, bunHalfHeight()));
    Point highest = cut == Subject.Hair.UP && bunTop.y() < top.y() ? bunTop : top;
    landmarks.put(Landmark.HAIR_TOP, draft.placement().apply(highest));
    landmarks.put(Landmark.HAIR_L, draft.placement().apply(left));
    landmarks.put(Landmark.HAIR_R, draft.placement().apply(right));
  }

  private void strands(Draft draft, Part front) {
    if (cut == Subject.Hair.FRINGE) {
      return;
    }
    if (view == View.SIDE) {
      sideStrands(draft, front);
      return;
    }
    double h = p.get(HAIRLINE);
    double half = form.half();
    for (double u : new double[] {-0.62, -0.28, 0.1, 0.46}) {
      if (view != View.FRONT && u * half > farLimit()) {
        continue;
      }
      double x = form.faceX(u * half);
      Point root = rim(u * 34 - 8, -0.06 - lift * 0.3);
      draft.lineOn(
          front,
          Curve.knots()
              .at(x, h + 0.03)
              .at((x + root.x()) / 2 - 0.03, (h + root.y()) / 2)
              .at(root)
              .line(),
          LineClass.DETAIL,
          1.1,
          STRAND);
    }
    for (double angle : new double[] {-78, -54}) {
      Point a = rim(angle, -0.07);
      Point b = rim(angle + 24, -0.1);
      draft.lineOn(
          front,
          Curve.knots().at(a.x() + 0.02, a.y() + 0.16).at(a).at(b).line(),
          LineClass.DETAIL,
          1,
          STRAND);
    }
    Point from = rim(8, -0.09 - lift * 0.25);
    Point middle = rim(26, -0.075 - lift * 0.25);
    Point to = rim(44, -0.1 - lift * 0.25);
    front.spot(
        Role.PAPER,
        draft.on(
            Curve.knots()
                .corner(from)
                .at(middle)
                .corner(to)
                .at(middle.plus(new Point(-0.01, 0.035)))
                .outline()),
        0.22);
  }

  private void sideStrands(Draft draft, Part front) {
    double ear = form.earX();
    double eye = p.get(EYE_LINE);
    double[][] lines = {{-62, -0.09, 0.14}, {-38, -0.12, 0.1}, {-14, -0.12, 0.06}, {10, -0.1, 0.1}};
    for (double[] line : lines) {
      Point outer = rim(line[0], line[1]);
      Point inner =
          coversEars()
              ? new Point(ear + 0.02 + (line[0] + 40) * 0.004, eye + 0.2 - line[2])
              : new Point(ear - 0.02 + (line[0] + 40) * 0.0045, eye - 0.12 - line[2]);
      Point middle = outer.midpointTo(inner);
      draft.lineOn(
          front,
          Curve.knots().at(inner).at(middle.plus(new Point(-0.03, -0.02))).at(outer).line(),
          LineClass.DETAIL,
          1,
          STRAND);
    }
  }
}
