package penmirror.demoart.figure;

import org.jspecify.annotations.Nullable;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Swell;
import penmirror.demoart.manner.Role;
import penmirror.demoart.page.LineClass;
import penmirror.demoart.page.Page.Draft;
import penmirror.demoart.page.Part;

/** Glasses and patches before the eyes, drawn in the head's frame. */
final class Eyewear {

  /** Half width and half height of a glass, of the eye's half width. */
  private static final double GLASS = 1.45;

  private final Draft draft;
  private final Subject.Eyewear worn;

  /** Middle, half width and half height of an eye's opening. */
  record Eye(double x, double y, double half, double high) {
    double glass() {
      return Math.max(GLASS * half, 1.2 * high);
    }
  }

  Eyewear(Draft draft, Subject.Eyewear worn) {
    this.draft = draft;
    this.worn = worn;
  }

  /**
   * @param right null where a side view hides it
   */
  void over(Eye left, @Nullable Eye right) {
    switch (worn) {
      case GLASSES, DARK_GLASSES -> {
        glass(left);
        if (right != null) {
          glass(right);
          line(left.x() + left.glass(), left.y(), right.x() - right.glass(), right.y());
        }
      }
      case PATCH -> patch(right == null ? left : right);
      default -> {
        // Bare eyes.
      }
    }
  }

  private void glass(Eye eye) {
    Curve rim = Curve.oval(eye.x(), eye.y(), eye.glass(), eye.glass() * 0.9);
    if (worn == Subject.Eyewear.DARK_GLASSES) {
      Part glass = draft.part("dark glass", Role.INK, rim).tone(Part.Tone.FLAT);
      double glint = eye.glass() * 0.3;
      glass.spot(
          Role.METAL,
          draft.on(Curve.oval(eye.x() - glint, eye.y() - glint, glint * 0.7, glint * 0.4)),
          0.8);
    } else {
      draft.line(rim, LineClass.FORM, 1.3, Swell.EVEN);
    }
  }

  private void patch(Eye eye) {
    double wide = eye.half() * 1.5;
    double high = Math.max(eye.high() * 1.3, wide * 0.7);
    line(eye.x() - wide * 2.4, eye.y() - high * 2.2, eye.x(), eye.y());
    line(eye.x(), eye.y() - high * 0.4, eye.x() + wide * 1.3, eye.y() - high * 0.9);
    draft
        .part(
            "eye patch",
            Role.INK,
            Curve.knots()
                .at(eye.x() - wide, eye.y() - high * 0.5)
                .at(eye.x(), eye.y() - high * 0.9)
                .at(eye.x() + wide, eye.y() - high * 0.5)
                .at(eye.x() + wide * 0.7, eye.y() + high * 0.7)
                .at(eye.x(), eye.y() + high)
                .at(eye.x() - wide * 0.7, eye.y() + high * 0.7)
                .outline())
        .tone(Part.Tone.FLAT);
  }

  private void line(double x, double y, double toX, double toY) {
    draft.line(
        Curve.knots().add(new Point(x, y), false).add(new Point(toX, toY), false).line(),
        LineClass.FORM,
        1.1,
        Swell.EVEN);
  }
}
