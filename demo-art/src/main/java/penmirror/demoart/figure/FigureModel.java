package penmirror.demoart.figure;

import static penmirror.demoart.manner.Parameter.EYE_LINE;
import static penmirror.demoart.manner.Parameter.HAIR_SIDE;
import static penmirror.demoart.manner.Parameter.JAW;
import static penmirror.demoart.manner.Parameter.JAW_LINE;
import static penmirror.demoart.manner.Parameter.MOUTH_LINE;
import static penmirror.demoart.manner.Parameter.NECK;
import static penmirror.demoart.manner.Parameter.STATURE;

import java.util.Map;
import java.util.Objects;
import java.util.Set;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Placement;
import penmirror.demoart.ink.Swell;
import penmirror.demoart.manner.Habits;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Parameters;
import penmirror.demoart.manner.Role;
import penmirror.demoart.page.LineClass;
import penmirror.demoart.page.Page;
import penmirror.demoart.page.Page.Draft;
import penmirror.demoart.page.Part;
import penmirror.demoart.pose.Pose;
import penmirror.demoart.pose.Skeleton;

/**
 * Puts a person together from parameters, a pose, a view and a mood.
 *
 * @param page everything drawn, in heads; the ground lies at y = stature
 * @param landmarks every landmark's true place, seen or not
 * @param turnedAway landmarks on the far side of a turned head, which no one can see
 * @param bentUnder fingertips of a hand that is closed
 * @param headTilt clockwise as seen, degrees
 */
public record FigureModel(
    Page page,
    Map<Landmark, Point> landmarks,
    Set<Landmark> turnedAway,
    Set<Landmark> bentUnder,
    double headTilt) {

  /** Draws a person facing the viewer or the right edge of the picture. */
  public static FigureModel of(
      Subject subject, Parameters p, Habits habits, Pose pose, View view, Mood mood) {
    Page page = new Page();
    Draft draft = page.draft();
    Landmarks landmarks = new Landmarks();
    Skeleton s = Skeleton.of(p, pose, HeadForm.turn(p, view));
    HeadForm form = new HeadForm(p, view);
    double attach =
        switch (view) {
          case SIDE -> -0.1;
          case THREE_QUARTER -> -0.045;
          default -> 0;
        };
    Placement head = Placement.HERE.moved(s.chin()).turned(s.headTilt()).moved(-attach, -1);
    Draft headDraft = draft.placed(head);
    HairCut hair = new HairCut(p, form, subject.hair());
    Face face = new Face(p, form, habits, mood, subject.eyewear(), headDraft, landmarks);
    Body body = new Body(p, s, pose, view, subject, habits.folds(), draft, landmarks);

    hair.back(headDraft);
    Curve headOnPage = headDraft.on(form.outline());
    if (view != View.FRONT) {
      body.arm(false);
    }
    neck(draft, s, form, headDraft, headOnPage, p);
    body.seat();
    body.leg(false);
    body.leg(true);
    body.trunk(headOnPage.shifted(-0.03, 0.16));
    if (view == View.FRONT) {
      body.arm(false);
    }
    body.arm(true);
    body.collar();
    if (subject.scarf()) {
      body.scarf();
    }
    if (subject.hair() == Subject.Hair.LONG && view != View.SIDE) {
      locks(headDraft, form, p);
    }
    head(headDraft, form, face, hair, habits, subject, p, view, landmarks);
    Hats.draw(headDraft, subject.hat(), form, p.get(HAIR_SIDE));
    skull(headDraft, form, p, landmarks);
    landmarks.put(Landmark.SOLE, new Point(lowerFoot(landmarks).x(), p.get(STATURE)));
    return new FigureModel(
        page,
        Map.copyOf(landmarks.places()),
        Set.copyOf(landmarks.turnedAway()),
        Set.copyOf(landmarks.bentUnder()),
        s.headTilt());
  }

  /**
   * Whether clothes, hair, a hat or a closed hand lie over a landmark that can still be told from
   * the form.
   */
  public boolean isCovered(Landmark landmark) {
    if (bentUnder.contains(landmark)) {
      return true;
    }
    Set<String> covers =
        switch (landmark) {
          case HAIR_TOP -> Set.of("baker's hat", "cap");
          // The skull's top under hair is where a practised hand puts it; a hat hides it.
          case CROWN -> Set.of("baker's hat", "cap");
          case HAIRLINE -> Set.of("hair", "hat band", "cap");
          case EAR_L_TOP, EAR_L_BASE, EAR_R_TOP, EAR_R_BASE -> Set.of("hair", "lock", "head");
          case NECK_L, NECK_R, NECK_BASE -> Set.of("scarf", "collar", "trunk", "hair", "lock");
          case CROTCH, KNEE_L, KNEE_R -> Set.of("trunk", "apron", "lap");
          case HIP_L, HIP_R, WAIST_L, WAIST_R -> Set.of("sleeve", "hand", "apron");
          case EYE_L_OUTER,
              EYE_L_INNER,
              EYE_L_TOP,
              EYE_L_BOTTOM,
              IRIS_L_CENTRE,
              IRIS_L_EDGE,
              PUPIL_L ->
              Set.of("eye patch", "dark glass");
          case EYE_R_OUTER,
              EYE_R_INNER,
              EYE_R_TOP,
              EYE_R_BOTTOM,
              IRIS_R_CENTRE,
              IRIS_R_EDGE,
              PUPIL_R ->
              Set.of("eye patch", "dark glass");
          default -> Set.of();
        };
    Point place = landmarks.get(landmark);
    return place != null
        && page.parts().stream()
            .anyMatch(part -> covers.contains(part.name()) && part.outline().contains(place));
  }

  private static Point lowerFoot(Landmarks landmarks) {
    Point left = Objects.requireNonNull(landmarks.places().get(Landmark.HEEL_L));
    Point right = Objects.requireNonNull(landmarks.places().get(Landmark.HEEL_R));
    return left.y() >= right.y() ? left : right;
  }

  private static void neck(
      Draft draft, Skeleton s, HeadForm form, Draft head, Curve headOnPage, Parameters p) {
    double half = p.get(NECK) * form.half();
    Point top =
        head.placement()
            .apply(
                new Point(
                    form.view() == View.FRONT ? 0 : -0.1, form.view() == View.FRONT ? 0.8 : 0.64));
    Point base = s.neckBase();
    draft
        .part(
            "neck",
            Role.SKIN,
            Curve.knots()
                .corner(top.x() - half, top.y())
                .corner(top.x() + half, top.y())
                .at(base.x() + half * 1.02, base.y() - 0.06)
                .corner(base.x() + half * 1.6, base.y() + 0.12)
                .corner(base.x() - half * 1.6, base.y() + 0.12)
                .at(base.x() - half * 1.02, base.y() - 0.06)
                .outline())
        .castShadow(headOnPage.shifted(-0.04, 0.13));
  }

  private static void locks(Draft head, HeadForm form, Parameters p) {
    double w = form.seenHalf() + p.get(HAIR_SIDE);
    for (int sign = -1; sign <= 1; sign += 2) {
      if (form.view() == View.THREE_QUARTER && sign > 0) {
        continue;
      }
      double x = form.seenMiddle() + sign * w * 0.86;
      head.part(
              "lock",
              Role.HAIR,
              Curve.knots()
                  .at(x - sign * 0.08, 0.4)
                  .at(x + sign * 0.1, 0.5)
                  .at(x + sign * 0.13, 1.0)
                  .at(x + sign * 0.06, 1.45)
                  .corner(x - sign * 0.04, 1.8)
                  .at(x - sign * 0.11, 1.4)
                  .at(x - sign * 0.04, 1.0)
                  .at(x - sign * 0.1, 0.7)
                  .outline())
          .reach(1.2);
      head.line(
          Curve.knots().at(x + sign * 0.03, 0.7).at(x + sign * 0.05, 1.05).at(x, 1.5).line(),
          LineClass.DETAIL,
          0.9,
          new Swell(0.05, 0.4, 0.7));
    }
  }

  private static void head(
      Draft draft,
      HeadForm form,
      Face face,
      HairCut hair,
      Habits habits,
      Subject subject,
      Parameters p,
      View view,
      Landmarks landmarks) {
    boolean side = view == View.SIDE;
    if (view == View.FRONT) {
      face.ear(-1);
      face.ear(1);
    } else {
      landmarks.away(Landmark.EAR_R_TOP);
      landmarks.away(Landmark.EAR_R_BASE);
    }
    Part skull = draft.part("head", Role.SKIN, form.outline()).reach(0.55);
    if (subject.hair() != Subject.Hair.FRINGE) {
      double drop = habits.halfFace() ? 0.03 : 0.06;
      skull.castShadow(draft.on(hair.frontOutline().shifted(-0.012, drop)));
    }
    if (subject.hat() != Subject.Hat.NONE) {
      double w = form.seenHalf();
      skull.castShadow(draft.on(Curve.oval(form.seenMiddle(), 0.1, w * 1.1, 0.16)));
    }
    if (habits.halfFace() && !side) {
      skull.castShadow(draft.on(halfFace(form, p)));
    }
    face.features(skull);
    if (subject.moustache()) {
      moustache(draft, form, p, side);
    }
    if (view != View.FRONT && !hair.leavesEarsBare()) {
      face.ear(-1);
    }
    hair.front(draft, landmarks);
    if (view != View.FRONT && hair.leavesEarsBare()) {
      face.ear(-1);
    }
  }

  /** The dark side of a face under a hard light: from the middle line out, round the cheek. */
  private static Curve halfFace(HeadForm form, Parameters p) {
    double x = form.faceX(0);
    double eye = p.get(EYE_LINE);
    double mouth = p.get(MOUTH_LINE);
    double h = form.half();
    double sign = p.get(Parameter.LIGHT_ANGLE) > 0 ? -1 : 1;
    return Curve.knots()
        .corner(x + sign * h * 0.5, -0.1)
        .at(x + sign * h * 0.36, eye - 0.16)
        .corner(x + sign * h * 0.06, eye - 0.06)
        .at(x + sign * h * 0.16, (eye + mouth) / 2)
        .corner(x + sign * h * 0.3, mouth - 0.12)
        .at(x + sign * h * 0.62, mouth - 0.05)
        .at(x + sign * h * 0.34, mouth + 0.06)
        .corner(x + sign * h * 0.12, 1.1)
        .corner(x + sign * h * 3, 1.1)
        .corner(x + sign * h * 3, -0.1)
        .outline();
  }

  private static void moustache(Draft draft, HeadForm form, Parameters p, boolean side) {
    double nose = p.get(Parameter.NOSE_BASE);
    double y = nose + (p.get(MOUTH_LINE) - nose) * 0.55;
    double x = side ? form.edgeAt(y, true) - 0.02 : form.faceX(0) * 1.0;
    double w = form.half() * (side ? 0.62 : 0.72);
    Curve.Knots k = Curve.knots();
    if (side) {
      k.corner(x + 0.03, y - 0.04)
          .at(x - w * 0.4, y - 0.02)
          .corner(x - w, y - 0.06)
          .at(x - w * 0.6, y + 0.06)
          .at(x - w * 0.1, y + 0.06)
          .at(x + 0.04, y + 0.02);
    } else {
      k.at(x, y - 0.03)
          .at(x + w * 0.45, y - 0.035)
          .corner(x + w * 1.06, y - 0.075)
          .at(x + w * 0.75, y + 0.035)
          .at(x + w * 0.3, y + 0.055)
          .corner(x, y + 0.02)
          .at(x - w * 0.3, y + 0.055)
          .at(x - w * 0.75, y + 0.035)
          .corner(x - w * 1.06, y - 0.075)
          .at(x - w * 0.45, y - 0.035);
    }
    Part part = draft.part("moustache", Role.HAIR, k.outline()).contour(0.8);
    if (!side) {
      draft.lineOn(
          part,
          Curve.knots().at(x, y + 0.03).at(x - 0.004, y).at(x, y - 0.03).line(),
          LineClass.DETAIL,
          0.8,
          new Swell(0.8, 0.1, 0.2));
    }
  }

  private static void skull(Draft head, HeadForm form, Parameters p, Landmarks landmarks) {
    Placement at = head.placement();
    landmarks.put(Landmark.CROWN, at.apply(form.extreme(false)));
    landmarks.put(Landmark.CHIN, at.apply(form.extreme(true)));
    double cheek = widest(form);
    landmarks.put(Landmark.CHEEK_L, at, form.edgeAt(cheek, false), cheek);
    double jaw = p.get(JAW_LINE);
    double jawLeft =
        form.view() == View.FRONT ? -p.get(JAW) * form.half() : form.edgeAt(jaw, false);
    landmarks.put(Landmark.JAW_L, at, jawLeft, jaw);
    if (form.view() != View.SIDE) {
      landmarks.put(Landmark.CHEEK_R, at, form.edgeAt(cheek, true), cheek);
      double jawRight =
          form.view() == View.FRONT ? p.get(JAW) * form.half() : form.edgeAt(jaw, true);
      landmarks.put(Landmark.JAW_R, at, jawRight, jaw);
    }
    double neck = p.get(NECK) * form.half();
    Point under = new Point(form.view() == View.FRONT ? 0 : -0.12, 1.02);
    landmarks.put(Landmark.NECK_L, at, under.x() - neck, under.y());
    landmarks.put(Landmark.NECK_R, at, under.x() + neck, under.y());
  }

  /** Height at which the face is widest. */
  private static double widest(HeadForm form) {
    double best = 0.5;
    for (double y = 0.3; y < 0.9; y += 0.005) {
      if (form.edgeAt(y, true) - form.edgeAt(y, false)
          > form.edgeAt(best, true) - form.edgeAt(best, false)) {
        best = y;
      }
    }
    return best;
  }
}
