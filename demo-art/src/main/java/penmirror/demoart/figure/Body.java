package penmirror.demoart.figure;

import static penmirror.demoart.manner.Parameter.FOOT;
import static penmirror.demoart.manner.Parameter.HAND;
import static penmirror.demoart.manner.Parameter.HIPS;
import static penmirror.demoart.manner.Parameter.LIMB;
import static penmirror.demoart.manner.Parameter.SHOULDERS;
import static penmirror.demoart.manner.Parameter.WAIST;

import java.util.ArrayList;
import java.util.List;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Placement;
import penmirror.demoart.ink.Swell;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Parameters;
import penmirror.demoart.manner.Role;
import penmirror.demoart.page.LineClass;
import penmirror.demoart.page.Page.Draft;
import penmirror.demoart.page.Part;
import penmirror.demoart.pose.HandShape;
import penmirror.demoart.pose.Pose;
import penmirror.demoart.pose.Skeleton;

/** Trunk, arms, hands, legs and feet with the clothes on them, in heads of the page. */
final class Body {
  private static final Swell FOLD = new Swell(0.7, 0.05, 0.2);
  private static final Swell SEAM = new Swell(0.7, 0.5, 0.4);

  private final Parameters p;
  private final Skeleton s;
  private final Pose pose;
  private final View view;
  private final Subject subject;
  private final int folds;
  private final Draft draft;
  private final Landmarks landmarks;
  private final double limb;
  private final double cos;
  private final double sin;
  private final double trunk;
  private final Point right;
  private final Curve garment;

  Body(
      Parameters p,
      Skeleton s,
      Pose pose,
      View view,
      Subject subject,
      int folds,
      Draft draft,
      Landmarks landmarks) {
    this.p = p;
    this.s = s;
    this.pose = pose;
    this.view = view;
    this.subject = subject;
    this.folds = folds;
    this.draft = draft;
    this.landmarks = landmarks;
    limb = p.get(LIMB);
    cos = Math.cos(Math.toRadians(s.turn()));
    sin = Math.sin(Math.toRadians(s.turn()));
    trunk = s.chest().distanceTo(s.pelvis());
    right = new Point(-s.up().y(), s.up().x());
    garment = trunkOutline();
  }

  /** How wide a trunk of that half width looks in this view; trunks are deep as well as wide. */
  private double seen(double half) {
    return Math.hypot(half * cos, 0.66 * half * sin);
  }

  /** A place on the trunk: up from the pelvis, as a share of the trunk, and sideways. */
  private Point onTrunk(double up, double sideways) {
    return s.pelvis().plus(s.up().times(up * trunk)).plus(right.times(sideways));
  }

  private boolean isSkirted() {
    return subject.garment() != Subject.Garment.JUMPER
        && subject.garment() != Subject.Garment.APRON;
  }

  /** How far below the hips the garment hangs, in heads. */
  private double hang() {
    double thigh = Math.max(s.left().knee().y(), s.right().knee().y()) - s.pelvis().y();
    double shin =
        Math.max(s.left().ankle().y(), s.right().ankle().y())
            - Math.max(s.left().knee().y(), s.right().knee().y());
    if (pose.seated()) {
      return 0.12;
    }
    return switch (subject.garment()) {
      case COAT -> thigh * 0.98;
      case LONG_COAT -> thigh + shin * 0.32;
      case DRESS -> thigh + shin * 0.72;
      case JUMPER, APRON -> 0.16;
    };
  }

  private Curve trunkOutline() {
    double shoulderTop = limb * 0.75;
    double neck = 0.16 + 0.05 * p.get(SHOULDERS);
    double chest = seen(p.get(SHOULDERS) * 0.42);
    double waist = seen(p.get(WAIST) / 2 + 0.02);
    double hip = seen(p.get(HIPS) / 2 + 0.03);
    Point leftShoulder = leftmostShoulder();
    Point rightShoulder = rightmostShoulder();
    double half = Math.max(rightShoulder.minus(leftShoulder).length() / 2, chest * 0.8);
    double belly = view == View.SIDE ? 0.035 : 0;
    Point tiltRight = s.right().shoulder().minus(s.left().shoulder());
    double lift = view == View.SIDE ? 0 : tiltRight.dot(s.up()) / 2;
    double shoulderUp = 1 + shoulderTop / trunk * 0.55;
    Curve.Knots k = Curve.knots();
    k.at(onTrunk(1 + 0.11 / trunk, seen(neck)));
    k.at(onTrunk(shoulderUp + 0.01 / trunk + lift / trunk, half * 0.72));
    k.at(onTrunk(1 - 0.04 / trunk + lift / trunk, half + limb * 0.2));
    k.at(onTrunk(0.72, chest + belly));
    k.at(onTrunk(0.4, waist + belly));
    k.at(onTrunk(0.06, hip));
    hem(k, hip);
    k.at(onTrunk(0.06, -hip));
    k.at(onTrunk(0.4, -waist + belly * 0.5));
    k.at(onTrunk(0.72, -chest));
    k.at(onTrunk(1 - 0.04 / trunk - lift / trunk, -half - limb * 0.2));
    k.at(onTrunk(shoulderUp + 0.01 / trunk - lift / trunk, -half * 0.72));
    k.at(onTrunk(1 + 0.11 / trunk, -seen(neck)));
    return k.outline();
  }

  private Point leftmostShoulder() {
    return s.left().shoulder().x() < s.right().shoulder().x()
        ? s.left().shoulder()
        : s.right().shoulder();
  }

  private Point rightmostShoulder() {
    return s.left().shoulder().x() < s.right().shoulder().x()
        ? s.right().shoulder()
        : s.left().shoulder();
  }

  /** The lower edge, from right to left, wide enough to hang over both legs. */
  private void hem(Curve.Knots k, double hip) {
    double down = hang();
    double y = s.pelvis().y() + down;
    double flare =
        switch (subject.garment()) {
          case COAT -> 1.32;
          case DRESS -> 1.5;
          case LONG_COAT -> 1.14;
          default -> 1.02;
        };
    double middle = (legX(s.left(), y) + legX(s.right(), y)) / 2;
    if (!isSkirted() || pose.seated()) {
      middle = s.pelvis().x();
      flare = 1.02;
    }
    double reach = isSkirted() && !pose.seated() ? limb * 1.5 : 0;
    double rightX =
        Math.max(
            middle + hip * flare,
            isSkirted() && !pose.seated()
                ? Math.max(legX(s.left(), y), legX(s.right(), y)) + reach
                : middle);
    double leftX =
        Math.min(
            middle - hip * flare,
            isSkirted() && !pose.seated()
                ? Math.min(legX(s.left(), y), legX(s.right(), y)) - reach
                : middle);
    double kneeY = Math.max(s.left().knee().y(), s.right().knee().y());
    boolean overKnees = isSkirted() && !pose.seated() && y > kneeY + 0.2;
    if (overKnees) {
      double share = (kneeY - s.pelvis().y()) / down;
      double slope = s.pelvis().x() + hip + (rightX - s.pelvis().x() - hip) * share;
      k.at(
          Math.max(slope, Math.max(s.left().knee().x(), s.right().knee().x()) + limb * 1.5), kneeY);
    }
    k.corner(rightX, y - 0.03);
    if (isSkirted() && !pose.seated()) {
      k.at(middle + (rightX - middle) * 0.45, y + 0.045);
      k.at(middle - (middle - leftX) * 0.05, y + 0.015);
      k.at(middle - (middle - leftX) * 0.55, y + 0.045);
    } else {
      k.at(middle, y + 0.04);
    }
    k.corner(leftX, y - 0.03);
    if (overKnees) {
      double share = (kneeY - s.pelvis().y()) / down;
      double slope = s.pelvis().x() - hip + (leftX - s.pelvis().x() + hip) * share;
      k.at(
          Math.min(slope, Math.min(s.left().knee().x(), s.right().knee().x()) - limb * 1.5), kneeY);
    }
  }

  private static double legX(Skeleton.Limb leg, double y) {
    Point from = y < leg.knee().y() ? leg.hip() : leg.knee();
    Point to = y < leg.knee().y() ? leg.knee() : leg.ankle();
    double share = to.y() == from.y() ? 1 : (y - from.y()) / (to.y() - from.y());
    return from.x() + (to.x() - from.x()) * Math.max(0, Math.min(1, share));
  }

  void seat() {
    if (pose.seated()) {
      double top = Math.max(s.left().hip().y(), s.right().hip().y()) + limb * 1.1;
      double ground = p.get(Parameter.STATURE);
      double x = s.pelvis().x() - 0.2 * sin;
      Props.seat(
          draft.placed(Placement.HERE.moved(x, top)),
          seen(p.get(HIPS) * 0.5) + 0.28,
          ground - top - 0.02);
    }
  }

  void leg(boolean left) {
    Skeleton.Limb leg = left ? s.left() : s.right();
    boolean bare = subject.garment() == Subject.Garment.DRESS;
    double ease = bare ? 0.9 : 1.08;
    double thigh = limb * 1.55 * ease;
    double knee = limb * 1.16 * ease;
    double ankle = limb * (bare ? 0.72 : 1.0);
    Curve lower = Curve.capsule(leg.knee(), knee, leg.ankle(), ankle);
    Curve upper = Curve.capsule(leg.hip(), thigh, leg.knee(), knee);
    if (pose.seated()) {
      draft.part("leg", Role.LEGS, lower);
      foot(leg, left);
      Role cloth = isSkirted() ? Role.COAT : Role.LEGS;
      double room = isSkirted() ? 1.12 : 1;
      Part lap =
          draft.part(
              "lap", cloth, Curve.capsule(leg.hip(), thigh * room, leg.knee(), knee * 1.1 * room));
      fold(lap, leg.hip(), leg.knee(), thigh, 0.35, 0.75);
    } else {
      Part part = draft.part("leg", Role.LEGS, Curve.union(List.of(upper, lower)));
      part.castShadow(garment.shifted(-0.03, 0.12));
      if (!bare && folds > 0) {
        fold(part, leg.knee().plus(new Point(-knee, -0.02)), leg.knee(), knee, 0.2, 0.9);
        fold(part, leg.ankle().plus(new Point(-ankle, -0.12)), leg.ankle(), ankle, 0.1, 0.8);
      }
      foot(leg, left);
    }
    boolean asSeen = left;
    landmarks.put(asSeen ? Landmark.KNEE_L : Landmark.KNEE_R, leg.knee());
    landmarks.put(asSeen ? Landmark.ANKLE_L : Landmark.ANKLE_R, leg.ankle());
  }

  private void foot(Skeleton.Limb leg, boolean left) {
    double length = p.get(FOOT);
    double height = Skeleton.ankleHeight(p);
    double seen =
        switch (view) {
          case FRONT -> 0.74;
          case THREE_QUARTER -> left ? 0.95 : 0.8;
          default -> 1;
        };
    boolean mirrored = view == View.FRONT && left;
    Placement at = Placement.HERE.moved(leg.ankle()).turned(leg.footPitch());
    if (mirrored) {
      at = at.mirrored();
    }
    Draft foot = draft.placed(at);
    double heel = -0.28 * length * (0.6 + 0.4 * seen);
    double toe = 0.7 * length * seen;
    double shaft = subject.boots() ? Math.max(0.3, 0.9 * limb * 2) : 0.1;
    double calf = limb * (subject.boots() ? 1.2 : 0.95);
    Part boot =
        foot.part(
            subject.boots() ? "boot" : "shoe",
            Role.SHOES,
            Curve.knots()
                .corner(-calf, -shaft)
                .at(0, -shaft + 0.03)
                .corner(calf, -shaft)
                .at(calf * 0.95, -height * 0.2)
                .at(toe * 0.5, height * 0.22)
                .at(toe * 0.88, height * 0.36)
                .at(toe, height * 0.76)
                .corner(toe * (0.68 / 0.7), height)
                .corner(heel, height)
                .at(heel * 1.04, height * 0.6)
                .at(-calf * 0.98, 0)
                .outline());
    foot.lineOn(
        boot,
        Curve.knots()
            .at(heel, height * 0.82)
            .at(toe * 0.3, height * 0.85)
            .at(toe * 0.98, height * 0.82)
            .line(),
        LineClass.DETAIL,
        1,
        SEAM);
    if (folds > 0) {
      foot.lineOn(
          boot,
          Curve.knots()
              .at(calf * 0.8, -height * 0.06)
              .at(calf * 0.2, height * 0.1)
              .at(-calf * 0.2, height * 0.06)
              .line(),
          LineClass.DETAIL,
          0.9,
          FOLD);
    }
    if (subject.boots()) {
      foot.part(
          "boot cuff",
          Role.SHOES,
          Curve.knots()
              .corner(-calf * 1.1, -shaft - 0.03)
              .at(0, -shaft - 0.01)
              .corner(calf * 1.1, -shaft - 0.03)
              .corner(calf * 1.08, -shaft + 0.09)
              .at(0, -shaft + 0.12)
              .corner(-calf * 1.08, -shaft + 0.09)
              .outline());
    }
    landmarks.put(left ? Landmark.HEEL_L : Landmark.HEEL_R, at, heel, height);
    landmarks.put(left ? Landmark.TOE_L : Landmark.TOE_R, at, toe, height);
  }

  private void fold(Part on, Point from, Point to, double width, double start, double end) {
    if (folds == 0) {
      return;
    }
    Point along = to.minus(from);
    Point across = new Point(-along.y(), along.x()).times(1 / Math.max(0.01, along.length()));
    draft.lineOn(
        on,
        Curve.knots()
            .at(from.plus(along.times(start)))
            .at(from.plus(along.times((start + end) / 2)).plus(across.times(width * 0.12)))
            .at(from.plus(along.times(end)))
            .line(),
        LineClass.DETAIL,
        0.9,
        FOLD);
  }

  Part trunk(Curve headShadow) {
    Part part = draft.part("trunk", Role.COAT, garment).castShadow(headShadow);
    dress(part);
    landmarks.put(Landmark.SHOULDER_L, s.left().shoulder().plus(outerShoulder(-1)));
    landmarks.put(Landmark.SHOULDER_R, s.right().shoulder().plus(outerShoulder(1)));
    landmarks.put(Landmark.CROTCH, s.crotch());
    landmarks.put(Landmark.NECK_BASE, s.neckBase());
    double waist = seen(p.get(WAIST) / 2 + 0.02);
    landmarks.put(Landmark.WAIST_L, onTrunk(0.4, -waist));
    landmarks.put(Landmark.WAIST_R, onTrunk(0.4, waist));
    double hip = seen(p.get(HIPS) / 2 + 0.03);
    landmarks.put(Landmark.HIP_L, onTrunk(0.06, -hip));
    landmarks.put(Landmark.HIP_R, onTrunk(0.06, hip));
    return part;
  }

  /** From the shoulder joint out to the shoulder's own edge, as the style's width counts it. */
  private Point outerShoulder(int sign) {
    return right.times(sign * 0.04 * cos);
  }

  private double front(double sideways) {
    return view == View.SIDE
        ? seen(p.get(WAIST) / 2) * 0.86 + sideways * 0.2
        : sideways * cos + seen(p.get(WAIST) / 2) * 0.62 * sin;
  }

  private void dress(Part part) {
    double bottom = -hang() / trunk;
    switch (subject.garment()) {
      case COAT -> {
        opening(part, 0.95, bottom, 0.06);
        buttons(part, 0.82, Math.max(bottom * 0.4, -0.5), 4, 0.14);
        pocket(part, 1);
        pocket(part, -1);
      }
      case LONG_COAT -> lapels(part, bottom);
      case DRESS -> {
        waistband(part);
        pleats(part, bottom);
      }
      case JUMPER -> ribs(part, bottom);
      case APRON -> {
        opening(part, 0.95, 0.2, 0);
        apron();
      }
    }
    if (folds > 1) {
      double w = seen(p.get(WAIST) / 2);
      draft.lineOn(
          part,
          Curve.knots()
              .at(onTrunk(0.44, -w * 0.95))
              .at(onTrunk(0.4, -w * 0.6))
              .at(onTrunk(0.42, -w * 0.34))
              .line(),
          LineClass.DETAIL,
          1,
          FOLD);
      draft.lineOn(
          part,
          Curve.knots()
              .at(onTrunk(0.36, w * 0.98))
              .at(onTrunk(0.34, w * 0.66))
              .at(onTrunk(0.37, w * 0.42))
              .line(),
          LineClass.DETAIL,
          1,
          FOLD);
      draft.lineOn(
          part,
          Curve.knots()
              .at(onTrunk(0.8, seen(p.get(SHOULDERS) * 0.4)))
              .at(onTrunk(0.72, seen(p.get(SHOULDERS) * 0.3)))
              .at(onTrunk(0.68, seen(p.get(SHOULDERS) * 0.24)))
              .line(),
          LineClass.DETAIL,
          1,
          FOLD);
    }
    if (folds > 0 && isSkirted() && !pose.seated() && subject.garment() != Subject.Garment.DRESS) {
      double hip = seen(p.get(HIPS) / 2);
      for (double u : new double[] {-0.62, 0.55}) {
        draft.lineOn(
            part,
            Curve.knots()
                .at(onTrunk(bottom * 0.98, hip * u * 1.3))
                .at(onTrunk(bottom * 0.6, hip * u * 1.16))
                .at(onTrunk(bottom * 0.3, hip * u * 1.1))
                .line(),
            LineClass.DETAIL,
            1.1,
            FOLD);
      }
    }
  }

  private void opening(Part part, double top, double bottom, double drift) {
    draft.lineOn(
        part,
        Curve.knots()
            .at(onTrunk(top, front(0)))
            .at(onTrunk((top + bottom) / 2, front(0.02)))
            .at(onTrunk(bottom - 0.05, front(drift)))
            .line(),
        LineClass.DETAIL,
        1.1,
        SEAM);
  }

  private void buttons(Part part, double from, double to, int count, double sideways) {
    for (int i = 0; i < count; i++) {
      Point at = onTrunk(from + (to - from) * i / (count - 1), front(sideways));
      part.spot(Role.INK, Curve.oval(at.x(), at.y(), 0.046, 0.046), 1);
      part.spot(Role.METAL, Curve.oval(at.x(), at.y(), 0.034, 0.034), 1);
    }
  }

  private void pocket(Part part, int sign) {
    double hip = seen(p.get(HIPS) / 2);
    double x = sign * hip * 0.68;
    if (view == View.SIDE && sign > 0) {
      return;
    }
    draft.lineOn(
        part,
        Curve.knots()
            .at(onTrunk(0.08, x - 0.13))
            .at(onTrunk(0.06, x))
            .at(onTrunk(0.08, x + 0.13))
            .line(),
        LineClass.DETAIL,
        1.2,
        SEAM);
    draft.lineOn(
        part,
        Curve.knots()
            .corner(onTrunk(0.08, x - 0.13))
            .corner(onTrunk(0.08 - 0.09 / trunk, x - 0.12))
            .at(onTrunk(0.06 - 0.11 / trunk, x))
            .corner(onTrunk(0.08 - 0.09 / trunk, x + 0.12))
            .corner(onTrunk(0.08, x + 0.13))
            .line(),
        LineClass.DETAIL,
        0.9,
        SEAM);
  }

  private void lapels(Part part, double bottom) {
    double deep = 0.5;
    double wide = 0.2 + 0.06 * p.get(SHOULDERS);
    if (view != View.SIDE) {
      part.spot(
          Role.SHIRT,
          Curve.knots()
              .corner(onTrunk(1.06, front(-wide * 0.8)))
              .corner(onTrunk(deep, front(0)))
              .corner(onTrunk(1.06, front(wide * 0.8)))
              .outline(),
          1);
      part.spot(
          Role.SCARF,
          Curve.knots()
              .corner(onTrunk(1.02, front(-0.04)))
              .corner(onTrunk(1.02, front(0.04)))
              .corner(onTrunk(0.74, front(0.06)))
              .corner(onTrunk(deep + 0.04, front(0)))
              .corner(onTrunk(0.74, front(-0.06)))
              .outline(),
          1);
      for (int sign = -1; sign <= 1; sign += 2) {
        draft.lineOn(
            part,
            Curve.knots()
                .corner(onTrunk(1.06, front(sign * wide * 1.1)))
                .corner(onTrunk(0.86, front(sign * wide * 1.25)))
                .corner(onTrunk(0.82, front(sign * wide * 0.9)))
                .corner(onTrunk(deep, front(0)))
                .line(),
            LineClass.DETAIL,
            1.2,
            SEAM);
      }
    }
    opening(part, view == View.SIDE ? 0.9 : deep, bottom, 0.05);
    buttons(part, deep - 0.08, deep - 0.36, 3, 0.07);
    draft.lineOn(
        part,
        Curve.knots()
            .at(onTrunk(0.16, -seen(p.get(HIPS) / 2) * 0.9))
            .at(onTrunk(bottom * 0.5, -seen(p.get(HIPS) / 2) * 0.62))
            .at(onTrunk(bottom * 0.94, -seen(p.get(HIPS) / 2) * 0.7))
            .line(),
        LineClass.DETAIL,
        1.1,
        FOLD);
  }

  private void waistband(Part part) {
    double w = seen(p.get(WAIST) / 2 + 0.05);
    part.spot(
        Role.SCARF,
        Curve.knots()
            .corner(onTrunk(0.46, -w))
            .at(onTrunk(0.43, 0))
            .corner(onTrunk(0.46, w))
            .corner(onTrunk(0.36, w))
            .at(onTrunk(0.33, 0))
            .corner(onTrunk(0.36, -w))
            .outline(),
        1);
    draft.lineOn(
        part,
        Curve.knots().at(onTrunk(0.36, -w)).at(onTrunk(0.33, 0)).at(onTrunk(0.36, w)).line(),
        LineClass.DETAIL,
        0.9,
        SEAM);
  }

  private void pleats(Part part, double bottom) {
    double w = seen(p.get(HIPS) / 2);
    double[] places = {-0.66, -0.24, 0.2, 0.62};
    for (int i = 0; i < Math.min(places.length, folds + 1); i++) {
      double u = places[i];
      draft.lineOn(
          part,
          Curve.knots()
              .at(onTrunk(0.3, w * u * 0.62))
              .at(onTrunk(bottom * 0.4, w * u * 1.0))
              .at(onTrunk(bottom * 0.97, w * u * 1.42))
              .line(),
          LineClass.DETAIL,
          1,
          new Swell(0.08, 0.6, 0.75));
    }
    // The neckline.
    if (view != View.SIDE) {
      part.spot(
          Role.SKIN,
          Curve.knots()
              .corner(onTrunk(1.12, front(-0.2)))
              .at(onTrunk(0.9, front(0)))
              .corner(onTrunk(1.12, front(0.2)))
              .outline(),
          1);
    }
  }

  private void ribs(Part part, double bottom) {
    double hip = seen(p.get(HIPS) / 2 + 0.03);
    draft.lineOn(
        part,
        Curve.knots()
            .at(onTrunk(bottom + 0.12, -hip))
            .at(onTrunk(bottom + 0.09, 0))
            .at(onTrunk(bottom + 0.12, hip))
            .line(),
        LineClass.DETAIL,
        1.1,
        SEAM);
    for (double u = -0.8; u <= 0.8; u += 0.4) {
      draft.lineOn(
          part,
          Curve.knots().at(onTrunk(bottom + 0.08, hip * u)).at(onTrunk(bottom, hip * u)).line(),
          LineClass.DETAIL,
          0.7,
          SEAM);
    }
    double chest = seen(p.get(SHOULDERS) * 0.42);
    for (double up : new double[] {0.66, 0.56}) {
      part.spot(
          Role.SHIRT,
          Curve.knots()
              .corner(onTrunk(up, -chest * 1.1))
              .at(onTrunk(up - 0.02, 0))
              .corner(onTrunk(up, chest * 1.1))
              .corner(onTrunk(up - 0.05, chest * 1.1))
              .at(onTrunk(up - 0.07, 0))
              .corner(onTrunk(up - 0.05, -chest * 1.1))
              .outline(),
          1);
    }
  }

  private void apron() {
    double hip = seen(p.get(HIPS) / 2);
    double waist = seen(p.get(WAIST) / 2 + 0.02);
    double middle = view == View.SIDE ? waist * 0.5 : view == View.THREE_QUARTER ? waist * 0.2 : 0;
    double thigh = Math.max(s.left().knee().y(), s.right().knee().y()) - s.pelvis().y();
    double bottom = pose.seated() ? -0.1 : -thigh * 0.9 / trunk;
    double w = view == View.SIDE ? 0.62 : 0.86;
    Part apron =
        draft.part(
            "apron",
            Role.SHIRT,
            Curve.knots()
                .corner(onTrunk(0.9, middle + waist * 0.44 * w))
                .at(onTrunk(0.62, middle + waist * 0.6 * w))
                .at(onTrunk(0.4, middle + waist * 0.98 * w))
                .at(onTrunk(0.05, middle + hip * w))
                .corner(onTrunk(bottom, middle + hip * 1.06 * w))
                .at(onTrunk(bottom - 0.03, middle))
                .corner(onTrunk(bottom, middle - hip * 1.06 * w))
                .at(onTrunk(0.05, middle - hip * w))
                .at(onTrunk(0.4, middle - waist * 0.98 * w))
                .at(onTrunk(0.62, middle - waist * 0.6 * w))
                .corner(onTrunk(0.9, middle - waist * 0.44 * w))
                .at(onTrunk(0.87, middle))
                .outline());
    draft.lineOn(
        apron,
        Curve.knots()
            .at(onTrunk(0.4, middle - waist))
            .at(onTrunk(0.37, middle))
            .at(onTrunk(0.4, middle + waist))
            .line(),
        LineClass.DETAIL,
        1.1,
        SEAM);
    if (view != View.SIDE && !pose.seated()) {
      double x = middle + hip * 0.02;
      draft.lineOn(
          apron,
          Curve.knots()
              .corner(onTrunk(0.1, x - 0.16))
              .corner(onTrunk(0.1 - 0.26 / trunk, x - 0.15))
              .at(onTrunk(0.1 - 0.29 / trunk, x))
              .corner(onTrunk(0.1 - 0.26 / trunk, x + 0.15))
              .corner(onTrunk(0.1, x + 0.16))
              .line(),
          LineClass.DETAIL,
          0.9,
          SEAM);
    }
    for (double u : new double[] {-0.5, 0.46}) {
      draft.lineOn(
          apron,
          Curve.knots()
              .at(onTrunk(bottom * 0.98, middle + hip * u * w * 1.1))
              .at(onTrunk(bottom * 0.55, middle + hip * u * w))
              .at(onTrunk(bottom * 0.2, middle + hip * u * 0.9 * w))
              .line(),
          LineClass.DETAIL,
          0.9,
          FOLD);
    }
  }

  void arm(boolean left) {
    Skeleton.Limb arm = left ? s.left() : s.right();
    boolean bare = subject.garment() == Subject.Garment.DRESS;
    double ease = bare ? 0.92 : 1.14;
    double top = limb * 1.12 * ease;
    double elbow = limb * 0.9 * ease;
    double wrist = limb * (bare ? 0.62 : 0.86);
    Placement at = handPlacement(arm, left);
    Draft hand = draft.placed(at);
    HandForm form = new HandForm(0.042 + 0.2 * limb);
    boolean holds = !left && subject.prop() != Subject.Prop.NONE && arm.hand() == HandShape.GRIP;
    if (!holds && arm.hand() != HandShape.GRIP) {
      fingertip(left, arm.hand(), at.apply(form.draw(hand, arm.hand())));
    } else {
      form.drawBehind(hand, HandShape.GRIP);
    }
    Curve sleeve =
        Curve.union(
            List.of(
                Curve.capsule(armTop(arm), top, arm.elbow(), elbow),
                Curve.capsule(arm.elbow(), elbow, arm.wrist(), wrist)));
    List<Point> cuff = cuff(arm, wrist * 1.16);
    if (arm.hand() == HandShape.GRIP) {
      Point held = HandForm.held(at);
      double ground = p.get(Parameter.STATURE) - held.y();
      Props.draw(
          draft.placed(Placement.HERE.moved(held)),
          holds ? subject.prop() : Subject.Prop.NONE,
          ground);
      fingertip(left, HandShape.GRIP, at.apply(form.draw(hand, HandShape.GRIP)));
    }
    Part part = draft.part("sleeve", bare ? Role.SKIN : Role.COAT, sleeve);
    if (bare) {
      puff(arm, top);
    } else {
      draft
          .part(
              "cuff",
              subject.garment() == Subject.Garment.COAT ? Role.COAT : Role.SHIRT,
              Curve.polygon(cuff))
          .contour(0.9);
      bend(part, arm, elbow);
    }
    landmarks.put(left ? Landmark.ELBOW_L : Landmark.ELBOW_R, arm.elbow());
    landmarks.put(left ? Landmark.WRIST_L : Landmark.WRIST_R, arm.wrist());
  }

  /** Where the sleeve begins: below the shoulder's own height, so that the shoulder line flows. */
  private Point armTop(Skeleton.Limb arm) {
    double outward = Math.signum(arm.shoulder().minus(s.chest()).dot(right));
    double raised = Math.max(0, arm.elbow().minus(arm.shoulder()).dot(s.up()));
    Point in = right.times(-outward * limb * 0.42 * cos);
    return arm.shoulder().plus(in).plus(s.up().times(raised > 0 ? -0.1 * limb : -0.62 * limb));
  }

  private void fingertip(boolean left, HandShape shape, Point tip) {
    Landmark landmark = left ? Landmark.FINGERTIP_L : Landmark.FINGERTIP_R;
    landmarks.put(landmark, tip);
    if (shape == HandShape.FIST || shape == HandShape.GRIP) {
      landmarks.bentUnder(landmark);
    }
  }

  private void puff(Skeleton.Limb arm, double top) {
    Point along = arm.elbow().minus(armTop(arm));
    draft.part(
        "short sleeve",
        Role.COAT,
        Curve.capsule(armTop(arm), top * 1.16, armTop(arm).plus(along.times(0.3)), top * 1.2));
  }

  private void bend(Part part, Skeleton.Limb arm, double radius) {
    if (folds == 0) {
      return;
    }
    Point upper = unit(arm.elbow().minus(arm.shoulder()));
    Point lower = unit(arm.wrist().minus(arm.elbow()));
    Point inner = lower.minus(upper);
    double bent = inner.length();
    Point across = bent < 0.25 ? new Point(-upper.y(), upper.x()) : inner.times(1 / bent);
    int lines = Math.min(folds, 2);
    for (int i = 0; i < lines; i++) {
      Point shift = (i == 0 ? upper.times(-0.06) : lower.times(0.08)).plus(upper.times(0));
      draft.lineOn(
          part,
          Curve.knots()
              .at(arm.elbow().plus(across.times(radius * 0.98)).plus(shift))
              .at(arm.elbow().plus(across.times(radius * 0.45)).plus(shift.times(1.5)))
              .at(arm.elbow().plus(across.times(-radius * 0.1)).plus(shift.times(2.4)))
              .line(),
          LineClass.DETAIL,
          1,
          FOLD);
    }
  }

  private static Point unit(Point step) {
    double length = step.length();
    return length == 0 ? new Point(0, 1) : step.times(1 / length);
  }

  private List<Point> cuff(Skeleton.Limb arm, double half) {
    Point along = unit(arm.wrist().minus(arm.elbow()));
    Point across = new Point(-along.y(), along.x());
    Point from = arm.wrist().minus(along.times(0.1));
    Point to = arm.wrist().plus(along.times(0.035));
    List<Point> corners = new ArrayList<>();
    corners.add(from.plus(across.times(half)));
    corners.add(from.minus(across.times(half)));
    corners.add(to.minus(across.times(half * 1.04)));
    corners.add(to.plus(along.times(0.02)));
    corners.add(to.plus(across.times(half * 1.04)));
    return corners;
  }

  private Placement handPlacement(Skeleton.Limb arm, boolean left) {
    Point along = arm.wrist().minus(arm.elbow());
    double angle = Math.toDegrees(Math.atan2(-along.x(), along.y()));
    if (arm.hand() == HandShape.GRIP) {
      // A hand that holds something turns upright with it.
      angle *= 0.55;
    }
    Placement at = Placement.HERE.moved(arm.wrist()).turned(angle).scaled(p.get(HAND));
    boolean thumbRight = view == View.FRONT ? left : true;
    return thumbRight ? at : at.mirrored();
  }

  void scarf() {
    double w = seen(0.2 + 0.12 * p.get(SHOULDERS));
    Point at = s.neckBase();
    double h = 0.16;
    Part wrap =
        draft.part(
            "scarf",
            Role.SCARF,
            Curve.knots()
                .at(at.x() - w * 1.05, at.y() - h * 0.5)
                .at(at.x() - w * 0.5, at.y() - h * 0.95)
                .at(at.x() + w * 0.5, at.y() - h * 0.95)
                .at(at.x() + w * 1.05, at.y() - h * 0.45)
                .at(at.x() + w * 1.1, at.y() + h * 0.3)
                .at(at.x() + w * 0.5, at.y() + h * 0.95)
                .at(at.x() - w * 0.4, at.y() + h * 0.9)
                .at(at.x() - w * 1.15, at.y() + h * 0.3)
                .outline());
    draft.lineOn(
        wrap,
        Curve.knots()
            .at(at.x() - w, at.y() - h * 0.1)
            .at(at.x() - w * 0.2, at.y() + h * 0.35)
            .at(at.x() + w * 0.95, at.y() - h * 0.05)
            .line(),
        LineClass.DETAIL,
        1.1,
        SEAM);
    double x =
        at.x() + front(0) * (view == View.SIDE ? 0.7 : 1) - (view == View.FRONT ? w * 0.5 : 0);
    double end = Math.min(0.85, trunk * 0.62);
    Part tail =
        draft.part(
            "scarf end",
            Role.SCARF,
            Curve.knots()
                .corner(x - 0.11, at.y() + h * 0.3)
                .at(x - 0.12, at.y() + end * 0.5)
                .corner(x - 0.15, at.y() + end)
                .corner(x + 0.13, at.y() + end * 1.02)
                .at(x + 0.1, at.y() + end * 0.5)
                .corner(x + 0.12, at.y() + h * 0.3)
                .outline());
    for (double u : new double[] {-0.07, 0.0, 0.07}) {
      draft.lineOn(
          tail,
          Curve.knots().at(x + u, at.y() + end * 1.03).at(x + u, at.y() + end * 0.86).line(),
          LineClass.DETAIL,
          0.8,
          FOLD);
    }
    draft.part("scarf knot", Role.SCARF, Curve.oval(x, at.y() + h * 0.45, 0.14, 0.12));
  }

  void collar() {
    double w = seen(0.17 + 0.07 * p.get(SHOULDERS));
    Point at = s.neckBase();
    if (subject.garment() == Subject.Garment.LONG_COAT) {
      for (int sign = -1; sign <= 1; sign += 2) {
        draft.part(
            "collar",
            Role.COAT,
            Curve.knots()
                .corner(at.x() + sign * w * 0.75, at.y() - 0.24)
                .corner(at.x() + sign * w * 1.5, at.y() + 0.02)
                .corner(at.x() + sign * w * 0.9, at.y() + 0.22)
                .corner(at.x() + sign * w * 0.42, at.y() + 0.02)
                .outline());
      }
    } else if (subject.garment() != Subject.Garment.DRESS) {
      draft
          .part(
              "collar",
              subject.garment() == Subject.Garment.COAT ? Role.COAT : Role.SHIRT,
              Curve.knots()
                  .at(at.x() - w, at.y() - 0.1)
                  .at(at.x(), at.y() - 0.02)
                  .at(at.x() + w, at.y() - 0.1)
                  .at(at.x() + w * 1.05, at.y() + 0.05)
                  .at(at.x(), at.y() + 0.13)
                  .at(at.x() - w * 1.05, at.y() + 0.05)
                  .outline())
          .contour(0.9);
    }
  }
}
