package penmirror.demoart.figure;

import penmirror.core.figure.View;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Swell;
import penmirror.demoart.manner.Role;
import penmirror.demoart.page.LineClass;
import penmirror.demoart.page.Page.Draft;
import penmirror.demoart.page.Part;

/** What is worn on the head, in the head's frame. */
final class Hats {
  private static final Swell FOLD = new Swell(0.6, 0.05, 0.2);

  private Hats() {}

  static void draw(Draft head, Subject.Hat hat, HeadForm form, double side) {
    double w = form.seenHalf() + side * 0.6;
    double m = form.seenMiddle();
    switch (hat) {
      case BAKER -> {
        Part crown =
            head.part(
                "baker's hat",
                Role.HAT,
                Curve.knots()
                    .at(m - w * 0.92, 0.08)
                    .at(m - w * 1.2, -0.12)
                    .at(m - w * 1.02, -0.32)
                    .at(m - w * 0.5, -0.37)
                    .at(m, -0.4)
                    .at(m + w * 0.55, -0.37)
                    .at(m + w * 1.05, -0.32)
                    .at(m + w * 1.2, -0.1)
                    .at(m + w * 0.92, 0.08)
                    .outline());
        for (double u : new double[] {-0.5, -0.05, 0.42}) {
          head.lineOn(
              crown,
              Curve.knots()
                  .at(m + w * u, 0.06)
                  .at(m + w * u * 1.15, -0.1)
                  .at(m + w * u * 1.3 + 0.02, -0.24)
                  .line(),
              LineClass.DETAIL,
              1,
              FOLD);
        }
        band(head, m, w, 0.0, 0.2);
      }
      case CAP -> {
        head.part(
            "cap",
            Role.HAT,
            Curve.knots()
                .at(m - w * 1.04, 0.2)
                .at(m - w * 1.0, -0.02)
                .at(m - w * 0.55, -0.17)
                .at(m + w * 0.1, -0.2)
                .at(m + w * 0.72, -0.13)
                .at(m + w * 1.04, 0.03)
                .at(m + w * 1.04, 0.2)
                .at(m, 0.14)
                .outline());
        double reach = form.view() == View.FRONT ? 0.78 : 1.32;
        head.part(
            "cap peak",
            Role.SHOES,
            Curve.knots()
                .at(m - w * (reach > 1 ? 0.1 : 0.78), 0.18)
                .at(m + w * 0.3, 0.13)
                .at(m + w * reach, 0.19)
                .at(m + w * reach * 0.96, 0.25)
                .at(m + w * 0.3, 0.235)
                .at(m - w * (reach > 1 ? 0.06 : 0.7), 0.26)
                .outline());
      }
      default -> {
        // Bareheaded.
      }
    }
  }

  private static void band(Draft head, double m, double w, double top, double bottom) {
    head.part(
        "hat band",
        Role.HAT,
        Curve.knots()
            .corner(m - w * 0.99, top + 0.04)
            .at(m, top + 0.01)
            .corner(m + w * 0.99, top + 0.04)
            .corner(m + w * 1.0, bottom)
            .at(m, bottom - 0.035)
            .corner(m - w * 1.0, bottom)
            .outline());
  }
}
