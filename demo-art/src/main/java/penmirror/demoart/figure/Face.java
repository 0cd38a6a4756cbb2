package penmirror.demoart.figure;

import static penmirror.demoart.manner.Parameter.BROW_GAP;
import static penmirror.demoart.manner.Parameter.BROW_SLOPE;
import static penmirror.demoart.manner.Parameter.BROW_WEIGHT;
import static penmirror.demoart.manner.Parameter.EAR_BASE;
import static penmirror.demoart.manner.Parameter.EAR_TOP;
import static penmirror.demoart.manner.Parameter.EYE_ASPECT;
import static penmirror.demoart.manner.Parameter.EYE_LIGHTS;
import static penmirror.demoart.manner.Parameter.EYE_LIGHT_SIZE;
import static penmirror.demoart.manner.Parameter.EYE_LINE;
import static penmirror.demoart.manner.Parameter.EYE_SPACING;
import static penmirror.demoart.manner.Parameter.EYE_TILT;
import static penmirror.demoart.manner.Parameter.EYE_WIDTH;
import static penmirror.demoart.manner.Parameter.FAR_EYE;
import static penmirror.demoart.manner.Parameter.HAIRLINE;
import static penmirror.demoart.manner.Parameter.IRIS;
import static penmirror.demoart.manner.Parameter.IRIS_GLOW;
import static penmirror.demoart.manner.Parameter.IRIS_RING;
import static penmirror.demoart.manner.Parameter.LINE_WIDTH;
import static penmirror.demoart.manner.Parameter.MOUTH_LINE;
import static penmirror.demoart.manner.Parameter.MOUTH_WIDTH;
import static penmirror.demoart.manner.Parameter.NOSE_BASE;
import static penmirror.demoart.manner.Parameter.NOSE_LENGTH;
import static penmirror.demoart.manner.Parameter.PUPIL;

import penmirror.core.figure.Landmark;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Swell;
import penmirror.demoart.manner.Habits;
import penmirror.demoart.manner.Parameters;
import penmirror.demoart.manner.Role;
import penmirror.demoart.page.LineClass;
import penmirror.demoart.page.Page.Draft;
import penmirror.demoart.page.Part;

/** Eyes, brows, nose, mouth and ears of a head, drawn in the head's frame. */
final class Face {
  private static final Swell BOTH_ENDS = new Swell(0.15, 0.15, 0.5);
  private static final Swell OUT = new Swell(0.7, 0.08, 0.25);
  private static final Swell IN = new Swell(0.1, 0.6, 0.8);

  /** Where lights lie in an iris, in its radii, and how large each is over the first. */
  private static final Point[] LIGHTS = {
    new Point(0.34, -0.36), new Point(-0.38, 0.34), new Point(0.46, 0.3)
  };

  private static final double[] LIGHT_SIZES = {1, 0.55, 0.4};

  /** Opened wider, the teeth are told apart. */
  private static final double TEETH_SHOW = 0.55;

  private final Parameters p;
  private final HeadForm form;
  private final Habits habits;
  private final Mood mood;
  private final Subject.Eyewear eyewear;
  private final Draft draft;
  private final Landmarks landmarks;
  private final boolean side;
  private final double eyeWidth;
  private final double eyeAway;

  Face(
      Parameters p,
      HeadForm form,
      Habits habits,
      Mood mood,
      Subject.Eyewear eyewear,
      Draft draft,
      Landmarks landmarks) {
    this.p = p;
    this.form = form;
    this.habits = habits;
    this.mood = mood;
    this.eyewear = eyewear;
    this.draft = draft;
    this.landmarks = landmarks;
    side = form.view() == View.SIDE;
    eyeWidth = p.get(EYE_WIDTH) * 2 * form.half();
    eyeAway = eyeWidth * (p.get(EYE_SPACING) + 1) / 2;
  }

  void ear(int sign) {
    double top = p.get(EAR_TOP);
    double base = p.get(EAR_BASE);
    double height = base - top;
    double wide = (side ? 0.3 : 0.24) * height;
    double x = sign < 0 ? form.earX() : -form.earX();
    double out = sign * wide;
    Part ear =
        draft.part(
            "ear",
            Role.SKIN,
            Curve.knots()
                .at(x - out * 0.5, top + height * 0.16)
                .at(x + out * 0.4, top)
                .at(x + out * 1.15, top + height * 0.22)
                .at(x + out * 0.95, top + height * 0.62)
                .at(x + out * 0.35, base)
                .at(x - out * 0.4, base - height * 0.1)
                .outline());
    draft.lineOn(
        ear,
        Curve.knots()
            .at(x - out * 0.1, top + height * 0.24)
            .at(x + out * 0.7, top + height * 0.24)
            .at(x + out * 0.55, top + height * 0.55)
            .at(x + out * 0.05, top + height * 0.72)
            .line(),
        LineClass.DETAIL,
        0.8,
        OUT);
    boolean left = sign < 0;
    landmark(left ? Landmark.EAR_L_TOP : Landmark.EAR_R_TOP, x + out * 0.4, top);
    landmark(left ? Landmark.EAR_L_BASE : Landmark.EAR_R_BASE, x + out * 0.35, base);
  }

  void features(Part head) {
    if (habits.blush()) {
      for (int s = -1; s <= (side ? -1 : 1); s += 2) {
        double x = side ? eyeX(-1) - 0.02 : form.faceX(s * eyeAway * 1.25);
        head.spot(
            Role.BLUSH,
            draft.on(
                Curve.oval(
                    x,
                    p.get(EYE_LINE) + (p.get(NOSE_BASE) - p.get(EYE_LINE)) * 0.95,
                    eyeWidth * 0.42 * (side ? 0.7 : form.foreshortening(s * eyeAway)),
                    eyeWidth * 0.25)),
            0.5);
      }
    }
    nose(head);
    mouth(head);
    if (!side) {
      eye(1);
    } else {
      awayFromSight();
    }
    eye(-1);
    if (!side) {
      brow(1);
    }
    brow(-1);
    new Eyewear(draft, eyewear).over(eyePlace(-1), side ? null : eyePlace(1));
  }

  private Eyewear.Eye eyePlace(int sign) {
    return new Eyewear.Eye(eyeX(sign), p.get(EYE_LINE), seenHalfEye(sign), eyeHeight() / 2);
  }

  private void landmark(Landmark landmark, double x, double y) {
    landmarks.put(landmark, draft.placement(), x, y);
  }

  private double eyeX(int sign) {
    if (side) {
      return form.edgeAt(p.get(EYE_LINE), true) - 0.07 - seenHalfEye(sign);
    }
    return form.faceX(sign * eyeAway);
  }

  private double seenHalfEye(int sign) {
    double turned = Math.max(0.55, form.foreshortening(sign * eyeAway));
    boolean isFar = sign > 0 && form.view() == View.THREE_QUARTER;
    return eyeWidth / 2 * (side ? 0.62 : isFar ? turned * p.get(FAR_EYE) : turned);
  }

  private double eyeHeight() {
    return eyeWidth * p.get(EYE_ASPECT);
  }

  private void eye(int sign) {
    boolean shut = mood.winks() && sign > 0;
    if (shut || habits.eyes() == Habits.Eyes.ARC) {
      arcEye(sign, shut ? 0.5 : 1);
    } else if (habits.eyes() == Habits.Eyes.DOT) {
      dotEye(sign);
    } else {
      openEye(sign);
    }
  }

  private void arcEye(int sign, double bend) {
    double x = eyeX(sign);
    double y = p.get(EYE_LINE);
    double half = seenHalfEye(sign);
    double rise = bend * half * 0.7;
    draft.line(
        Curve.knots()
            .at(x - half, y + rise / 2)
            .at(x - half * 0.5, y - rise * 0.3)
            .at(x, y - rise / 2)
            .at(x + half * 0.5, y - rise * 0.3)
            .at(x + half, y + rise / 2)
            .line(),
        LineClass.LASH,
        1,
        BOTH_ENDS);
    corners(sign, x, y + rise / 2, half, y - rise / 2, y + rise / 2);
  }

  private void dotEye(int sign) {
    double x = eyeX(sign);
    double y = p.get(EYE_LINE);
    double half = seenHalfEye(sign) * 0.34;
    double high = Math.max(half, eyeHeight() * 0.3);
    draft.part("eye", Role.INK, Curve.oval(x, y, half, high)).contour(0).tone(Part.Tone.FLAT);
    corners(sign, x, y, half, y - high, y + high);
  }

  private void corners(int sign, double x, double y, double half, double top, double bottom) {
    boolean left = sign < 0;
    landmark(left ? Landmark.EYE_L_OUTER : Landmark.EYE_R_OUTER, x + sign * half, y);
    landmark(left ? Landmark.EYE_L_INNER : Landmark.EYE_R_INNER, x - sign * half, y);
    landmark(left ? Landmark.EYE_L_TOP : Landmark.EYE_R_TOP, x, top);
    landmark(left ? Landmark.EYE_L_BOTTOM : Landmark.EYE_R_BOTTOM, x, bottom);
  }

  private void openEye(int sign) {
    double x = eyeX(sign);
    double y = p.get(EYE_LINE);
    double half = seenHalfEye(sign);
    double open = eyeHeight() * mood.lids();
    double rise = Math.tan(Math.toRadians(p.get(EYE_TILT))) * half;
    double outerX = x + sign * half;
    double innerX = x - sign * half;
    double outerY = y - rise;
    double innerY = y + rise;
    // Heights of the lids over the line between the corners; the upper peaks toward the inside.
    double up = open * 0.56;
    double down = open * 0.44;
    Curve opening =
        Curve.knots()
            .corner(outerX, outerY)
            .at(x + sign * half * 0.62, y - rise * 0.62 - up * 0.74)
            .at(x - sign * half * 0.04, y - up)
            .at(x - sign * half * 0.66, y + rise * 0.66 - up * 0.7)
            .corner(innerX, innerY)
            .at(x - sign * half * 0.55, y + rise * 0.55 + down * 0.66)
            .at(x + sign * half * 0.06, y + down)
            .at(x + sign * half * 0.62, y - rise * 0.62 + down * 0.78)
            .outline();
    Part eye = draft.part("eye", Role.EYE, opening).contour(0.45).tone(Part.Tone.FLAT);
    double irisHalf = eyeHeight() * p.get(IRIS) / 2;
    double seen = Math.min(irisHalf, irisHalf * (side ? 0.6 : half / (eyeWidth / 2)));
    double irisX = x + mood.gaze() * 2 * half + (side ? half * 0.35 : 0);
    double irisY = y - open * 0.05;
    if (habits.eyes() == Habits.Eyes.RINGED) {
      eye.spot(Role.INK, draft.on(Curve.oval(irisX, irisY, seen, irisHalf)), 1);
      eye.spot(
          Role.IRIS,
          draft.on(
              Curve.oval(
                  irisX,
                  irisY + irisHalf * p.get(IRIS_RING) / 2,
                  seen * (1 - p.get(IRIS_RING)),
                  irisHalf * (1.02 - p.get(IRIS_RING)))),
          1);
      double pupil = p.get(PUPIL);
      eye.spot(Role.INK, draft.on(Curve.oval(irisX, irisY, seen * pupil, irisHalf * pupil)), 1);
      if (p.get(IRIS_GLOW) > 0) {
        eye.spot(
            Role.GLOW,
            draft.on(Curve.oval(irisX, irisY + irisHalf * 0.62, seen * 0.5, irisHalf * 0.2)),
            p.get(IRIS_GLOW));
      }
    } else {
      eye.spot(Role.INK, draft.on(Curve.oval(irisX, irisY, seen, irisHalf)), 1);
    }
    eye.shadedSpot(
        Role.EYE, draft.on(opening.mapped(q -> new Point(q.x(), q.y() - open * 0.78))), 0.6);
    for (int i = 0; i < Math.round(p.get(EYE_LIGHTS)); i++) {
      double size = p.get(EYE_LIGHT_SIZE) * LIGHT_SIZES[i];
      eye.spot(
          Role.EYE,
          draft.on(
              Curve.oval(
                  irisX + seen * LIGHTS[i].x(),
                  irisY + irisHalf * LIGHTS[i].y(),
                  seen * size,
                  irisHalf * size)),
          0.999);
    }

    // The upper lid reaches a little beyond the corners.
    draft.line(
        Curve.knots()
            .at(outerX + sign * half * 0.16, outerY - open * 0.02)
            .at(x + sign * half * 0.64, y - rise * 0.64 - up * 0.78)
            .at(x - sign * half * 0.04, y - up * 1.03)
            .at(x - sign * half * 0.68, y + rise * 0.68 - up * 0.7)
            .at(innerX - sign * half * 0.04, innerY)
            .line(),
        LineClass.LASH,
        1,
        new Swell(0.2, 0.12, 0.38));
    draft.line(
        Curve.knots()
            .at(x + sign * half * 0.8, y - rise * 0.8 + down * 0.62)
            .at(x + sign * half * 0.06, y + down * 1.04)
            .at(x - sign * half * 0.5, y + rise * 0.5 + down * 0.72)
            .line(),
        LineClass.DETAIL,
        0.8,
        BOTH_ENDS);
    if (mood.lids() < 0.9) {
      draft.line(
          Curve.knots()
              .at(x + sign * half * 0.9, y - rise * 0.9 - up * 0.62 - 0.02)
              .at(x, y - up - 0.035)
              .at(x - sign * half * 0.7, y + rise * 0.7 - up * 0.8 - 0.016)
              .line(),
          LineClass.DETAIL,
          0.7,
          BOTH_ENDS);
    }

    boolean left = sign < 0;
    landmark(left ? Landmark.EYE_L_OUTER : Landmark.EYE_R_OUTER, outerX, outerY);
    landmark(left ? Landmark.EYE_L_INNER : Landmark.EYE_R_INNER, innerX, innerY);
    landmark(left ? Landmark.EYE_L_TOP : Landmark.EYE_R_TOP, x - sign * half * 0.04, y - up);
    landmark(
        left ? Landmark.EYE_L_BOTTOM : Landmark.EYE_R_BOTTOM, x + sign * half * 0.06, y + down);
    landmark(left ? Landmark.IRIS_L_CENTRE : Landmark.IRIS_R_CENTRE, irisX, irisY);
    landmark(left ? Landmark.IRIS_L_EDGE : Landmark.IRIS_R_EDGE, irisX + seen, irisY);
    double pupil = habits.eyes() == Habits.Eyes.RINGED ? p.get(PUPIL) : 1;
    landmark(left ? Landmark.PUPIL_L : Landmark.PUPIL_R, irisX + seen * pupil, irisY);
  }

  private void awayFromSight() {
    for (Landmark landmark :
        new Landmark[] {
          Landmark.EYE_R_OUTER, Landmark.EYE_R_INNER, Landmark.EYE_R_TOP, Landmark.EYE_R_BOTTOM,
          Landmark.IRIS_R_CENTRE, Landmark.IRIS_R_EDGE, Landmark.PUPIL_R, Landmark.BROW_R_INNER,
          Landmark.BROW_R_OUTER, Landmark.EAR_R_TOP, Landmark.EAR_R_BASE, Landmark.MOUTH_R,
          Landmark.CHEEK_R, Landmark.JAW_R, Landmark.HAIR_R
        }) {
      landmarks.away(landmark);
    }
  }

  private void brow(int sign) {
    double x = eyeX(sign);
    double half = seenHalfEye(sign) * 1.12;
    double y = p.get(EYE_LINE) - eyeHeight() * 0.56 - p.get(BROW_GAP) - mood.browLift();
    double slope = Math.tan(Math.toRadians(p.get(BROW_SLOPE) + mood.browSlope())) * half * 0.8;
    double outerX = x + sign * half * 1.05;
    double innerX = x - sign * half * 0.85;
    draft.line(
        Curve.knots()
            .at(innerX, y + slope)
            .at(x - sign * half * 0.1, y + slope * 0.1 - half * 0.14)
            .at(x + sign * half * 0.5, y - slope * 0.5 - half * 0.16)
            .at(outerX, y - slope * 0.8 + half * 0.12)
            .line(),
        LineClass.BROW,
        p.get(BROW_WEIGHT) * 1000 / p.get(LINE_WIDTH),
        new Swell(0.45, 0.12, 0.3));
    boolean left = sign < 0;
    landmark(left ? Landmark.BROW_L_INNER : Landmark.BROW_R_INNER, innerX, y + slope);
    landmark(
        left ? Landmark.BROW_L_OUTER : Landmark.BROW_R_OUTER,
        outerX,
        y - slope * 0.8 + half * 0.12);
  }

  private void nose(Part head) {
    double base = p.get(NOSE_BASE);
    double length = p.get(NOSE_LENGTH);
    double top = base - length;
    double size = Math.max(0.035, 0.1 * form.half() * 2);
    landmark(Landmark.NOSE_BASE, side ? form.edgeAt(base, true) : noseX(), base);
    landmark(Landmark.NOSE_TOP, side ? form.edgeAt(top, true) : form.faceX(0) * 0.92, top);
    if (side) {
      sideNose(base, length, size);
      return;
    }
    // A front face looks a little to the right, so that its nose has a side to show.
    double x = noseX();
    switch (habits.nose()) {
      case WEDGE -> {
        draft
            .part(
                "nose",
                Role.SKIN,
                Curve.knots()
                    .at(x - size * 0.05, base - length * 0.62)
                    .at(x + size * 0.35, base - length * 0.5)
                    .at(x + size * 1.15, base - length * 0.16)
                    .at(x + size * 1.25, base + size * 0.02)
                    .at(x + size * 0.8, base + size * 0.22)
                    .at(x, base + size * 0.16)
                    .at(x - size * 0.55, base)
                    .at(x - size * 0.4, base - length * 0.3)
                    .outline())
            .contour(0)
            .reach(0.7);
        draft.line(
            Curve.knots()
                .at(x + size * 0.1, base - length * 0.66)
                .at(x + size * 0.5, base - length * 0.4)
                .at(x + size * 1.2, base - length * 0.12)
                .at(x + size * 1.22, base + size * 0.06)
                .at(x + size * 0.75, base + size * 0.22)
                .line(),
            LineClass.DETAIL,
            1.5,
            new Swell(0.1, 0.3, 0.72));
        draft.line(
            Curve.knots()
                .at(x - size * 0.5, base - size * 0.1)
                .at(x - size * 0.42, base + size * 0.14)
                .at(x - size * 0.1, base + size * 0.14)
                .line(),
            LineClass.DETAIL,
            1,
            OUT);
      }
      case BLADE -> {
        head.castShadow(
            draft.on(
                Curve.knots()
                    .corner(x + size * 0.1, top + length * 0.15)
                    .corner(x + size * 0.42, base - size * 0.25)
                    .corner(x + size * 0.62, base)
                    .corner(x - size * 0.25, base + size * 0.16)
                    .corner(x - size * 0.1, base - size * 0.25)
                    .outline()));
        draft.line(
            Curve.knots()
                .at(x - size * 0.15, top - size * 0.1)
                .at(x + size * 0.05, base - length * 0.45)
                .at(x + size * 0.35, base - size * 0.3)
                .corner(x + size * 0.6, base - size * 0.05)
                .at(x + size * 0.1, base + size * 0.12)
                .line(),
            LineClass.DETAIL,
            1,
            IN);
        draft.line(
            Curve.knots()
                .at(x - size * 0.6, base - size * 0.26)
                .at(x - size * 0.62, base)
                .at(x - size * 0.2, base + size * 0.12)
                .line(),
            LineClass.DETAIL,
            0.8,
            OUT);
      }
      case HINT -> {
        draft.line(
            Curve.knots()
                .at(x - size * 0.3, base)
                .at(x, base + size * 0.14)
                .at(x + size * 0.36, base - size * 0.02)
                .line(),
            LineClass.DETAIL,
            1.2,
            BOTH_ENDS);
        draft.line(
            Curve.knots()
                .at(x + size * 0.28, base - length * 0.55)
                .at(x + size * 0.34, base - length * 0.3)
                .line(),
            LineClass.DETAIL,
            0.8,
            BOTH_ENDS);
      }
      default -> {
        draft.line(
            Curve.knots()
                .at(x - size * 0.5, base - size * 0.4)
                .at(x - size * 0.62, base - size * 0.05)
                .at(x - size * 0.1, base + size * 0.2)
                .at(x + size * 0.5, base + size * 0.02)
                .at(x + size * 0.56, base - size * 0.36)
                .line(),
            LineClass.DETAIL,
            1.1,
            BOTH_ENDS);
        head.spot(
            Role.BLUSH, draft.on(Curve.oval(x, base - size * 0.2, size * 0.5, size * 0.36)), 0.3);
      }
    }
  }

  private double noseX() {
    return form.faceX(0) * 1.04;
  }

  private void sideNose(double base, double length, double size) {
    double x = form.edgeAt(base - length * 0.8, true) - 0.012;
    double out =
        switch (habits.nose()) {
          case WEDGE -> 1.5;
          case BLADE -> 1.6;
          case HINT -> 0.85;
          default -> 1.05;
        };
    double tip = form.edgeAt(base, true) + size * out;
    boolean blade = habits.nose() == Habits.Nose.BLADE;
    boolean fleshy = habits.nose() == Habits.Nose.WEDGE;
    double ridge = fleshy ? 0.62 : blade ? 0.75 : 0.5;
    double ridgeY = base - length * (fleshy ? 0.5 : 0.4);
    Curve.Knots bridge =
        Curve.knots()
            .at(x + 0.006, base - length * 0.95)
            .at(x + size * out * ridge, ridgeY)
            .add(new Point(tip, base - size * (fleshy ? 0.5 : 0.42)), blade)
            .at(tip - size * 0.1, base + size * (fleshy ? 0.08 : -0.08))
            .at(x + size * 0.3, base + size * (fleshy ? 0.2 : 0.06));
    Part nose =
        draft
            .part(
                "nose",
                Role.SKIN,
                Curve.knots()
                    .corner(x - 0.05, base - length * 0.86)
                    .at(x + 0.012, base - length * 0.82)
                    .at(x + size * out * ridge, ridgeY)
                    .add(new Point(tip, base - size * (fleshy ? 0.5 : 0.42)), blade)
                    .at(tip - size * 0.1, base + size * (fleshy ? 0.08 : -0.08))
                    .at(x + size * 0.3, base + size * (fleshy ? 0.2 : 0.06))
                    .corner(x - 0.06, base + 0.01)
                    .outline())
            .contour(0)
            .tone(Part.Tone.FLAT);
    draft.line(bridge.line(), LineClass.FORM, 1.3, new Swell(0.5, 0.5, 0.6));
    draft.lineOn(
        nose,
        Curve.knots()
            .at(x + size * 0.16, base - size * 0.34)
            .at(x + size * 0.02, base - size * 0.06)
            .at(x + size * 0.3, base)
            .line(),
        LineClass.DETAIL,
        0.9,
        OUT);
  }

  private void mouth(Part head) {
    double y = p.get(MOUTH_LINE);
    double wide = p.get(MOUTH_WIDTH) * 2 * eyeAway;
    double leftX;
    double rightX;
    if (side) {
      rightX = form.edgeAt(y, true) - 0.004;
      leftX = rightX - wide * 0.42;
    } else {
      double drift = form.faceX(0) * -0.08;
      leftX = form.faceX(-wide / 2) + drift;
      rightX = form.faceX(wide / 2) + drift;
    }
    double seen = rightX - leftX;
    double lift = mood.corners() * wide / 2;
    double leftY = y - lift;
    double rightY = side ? y : y - lift;
    double middleX = side ? leftX + seen * 0.55 : (leftX + rightX) / 2;
    double middleY = y + lift;
    if (mood.open() > 0) {
      double drop = mood.open() * wide * (side ? 0.8 : 1);
      boolean round = mood.corners() < 0;
      double inset = round ? seen * 0.22 : 0;
      Part mouth =
          draft
              .part(
                  "mouth",
                  Role.MOUTH,
                  Curve.knots()
                      .add(new Point(leftX + inset, leftY), !round)
                      .at(middleX, round ? middleY - drop * 0.3 : middleY)
                      .add(new Point(rightX - inset, rightY), !round)
                      .at(middleX + seen * 0.26, middleY + drop * 0.72)
                      .at(middleX, middleY + drop)
                      .at(middleX - seen * 0.26, middleY + drop * 0.72)
                      .outline())
              .contour(0.9)
              .tone(Part.Tone.FLAT);
      if (!round) {
        mouth.spot(
            Role.EYE,
            draft.on(
                Curve.knots()
                    .at(leftX, leftY - 0.02)
                    .at(middleX, middleY - drop * 0.2)
                    .at(rightX, rightY - 0.02)
                    .at(middleX + seen * 0.2, middleY + drop * 0.3)
                    .at(middleX - seen * 0.2, middleY + drop * 0.3)
                    .outline()),
            1);
      }
      mouth.spot(
          Role.BLUSH,
          draft.on(Curve.oval(middleX, middleY + drop, seen * 0.24, drop * 0.3)),
          0.999);
      if (mood.open() > TEETH_SHOW) {
        for (double at : new double[] {-0.18, 0, 0.18}) {
          double x = middleX + at * seen;
          draft.lineOn(
              mouth,
              Curve.knots().at(x, middleY - drop * 0.1).at(x, middleY + drop * 0.26).line(),
              LineClass.DETAIL,
              0.7,
              BOTH_ENDS);
        }
      }
      landmark(Landmark.MOUTH_TOP, middleX, round ? middleY - drop * 0.3 : middleY);
      landmark(Landmark.MOUTH_BOTTOM, middleX, middleY + drop);
    } else {
      if (habits.lips()) {
        double full = wide * 0.17;
        head.spot(
            Role.MOUTH,
            draft.on(
                Curve.knots()
                    .corner(leftX + seen * 0.06, leftY)
                    .at(middleX - seen * 0.2, middleY - full * 0.8)
                    .at(middleX, middleY - full * 0.55)
                    .at(middleX + seen * 0.2, middleY - full * 0.8)
                    .corner(rightX - seen * 0.06, rightY)
                    .at(middleX + seen * 0.18, middleY + full)
                    .at(middleX - seen * 0.18, middleY + full)
                    .outline()),
            0.75);
      }
      landmark(Landmark.MOUTH_TOP, middleX, middleY - wide * 0.06);
      landmark(Landmark.MOUTH_BOTTOM, middleX, middleY + wide * 0.1);
      draft.line(
          Curve.knots()
              .at(middleX - seen * 0.1, middleY + wide * 0.2)
              .at(middleX, middleY + wide * 0.22)
              .at(middleX + seen * 0.1, middleY + wide * 0.2)
              .line(),
          LineClass.DETAIL,
          0.7,
          BOTH_ENDS);
    }
    if (mood.open() == 0 || mood.corners() > 0) {
      draft.line(
          Curve.knots()
              .at(leftX, leftY)
              .at(leftX + (middleX - leftX) * 0.5, leftY + (middleY - leftY) * 0.72)
              .at(middleX, middleY)
              .at(middleX + (rightX - middleX) * 0.5, rightY + (middleY - rightY) * 0.72)
              .at(rightX, rightY)
              .line(),
          LineClass.DETAIL,
          1.4,
          new Swell(0.25, 0.3, 0.6));
    }
    landmark(Landmark.MOUTH_L, leftX, leftY);
    if (!side) {
      landmark(Landmark.MOUTH_R, rightX, rightY);
    }
    landmark(
        Landmark.HAIRLINE,
        side ? form.edgeAt(p.get(HAIRLINE), true) : form.faceX(0),
        p.get(HAIRLINE));
  }
}
