package penmirror.demoart.figure;

import java.util.List;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Swell;
import penmirror.demoart.manner.Role;
import penmirror.demoart.page.LineClass;
import penmirror.demoart.page.Page.Draft;
import penmirror.demoart.page.Part;

/** Things people hold and sit on. Frames: the hand at the origin, y down, lengths in heads. */
final class Props {
  private static final Swell EVEN = new Swell(0.6, 0.6, 0.5);

  private Props() {}

  /**
   * @param ground distance from the hand down to the ground
   */
  static void draw(Draft at, Subject.Prop prop, double ground) {
    switch (prop) {
      case LANTERN -> lantern(at);
      case BASKET -> basket(at);
      case POLE -> pole(at, ground);
      case BREAD -> bread(at);
      case BOOK -> book(at);
      default -> {
        // Empty hands.
      }
    }
  }

  private static void lantern(Draft at) {
    at.line(Curve.line("0,0.02 -0.12,0.12 -0.15,0.3"), LineClass.DETAIL, 1.3, EVEN);
    at.line(Curve.line("0,0.02 0.12,0.12 0.15,0.3"), LineClass.DETAIL, 1.3, EVEN);
    Part glass =
        at.part(
                "lantern glass",
                Role.GLOW,
                Curve.outline("-0.15,0.36c 0.15,0.36c 0.19,0.7c -0.19,0.7c"))
            .tone(Part.Tone.FLAT);
    glass.spot(
        Role.SCARF,
        at.on(Curve.outline("0.0,0.44 0.07,0.54 0.06,0.64 0,0.68 -0.06,0.64 -0.07,0.55")),
        1);
    glass.spot(
        Role.EYE, at.on(Curve.outline("0.0,0.54 0.035,0.6 0.02,0.66 -0.02,0.66 -0.035,0.6")), 1);
    at.line(Curve.line("-0.07,0.36 -0.09,0.7"), LineClass.DETAIL, 1, Swell.EVEN);
    at.line(Curve.line("0.07,0.36 0.09,0.7"), LineClass.DETAIL, 1, Swell.EVEN);
    at.part(
        "lantern roof",
        Role.METAL,
        Curve.outline("-0.1,0.24 0,0.2 0.1,0.24 0.15,0.31 0.22,0.38c -0.22,0.38c -0.15,0.31"));
    at.part(
        "lantern foot", Role.METAL, Curve.outline("-0.22,0.69c 0.22,0.69c 0.2,0.79c -0.2,0.79c"));
  }

  private static void basket(Draft at) {
    Part loaves = null;
    for (double[] loaf :
        new double[][] {{-0.17, 0.36, 0.15}, {0.05, 0.33, 0.17}, {0.2, 0.38, 0.13}}) {
      loaves = at.part("loaf", Role.GLOW, Curve.oval(loaf[0], loaf[1], loaf[2], loaf[2] * 0.72));
      at.lineOn(
          loaves,
          Curve.knots()
              .at(loaf[0] - 0.06, loaf[1] - 0.03)
              .at(loaf[0], loaf[1] - 0.06)
              .at(loaf[0] + 0.06, loaf[1] - 0.04)
              .line(),
          LineClass.DETAIL,
          0.8,
          EVEN);
    }
    at.line(
        Curve.line("-0.33,0.4 -0.24,0.14 0,0.02 0.24,0.14 0.33,0.4"),
        LineClass.DETAIL,
        3.2,
        Swell.EVEN);
    Part basket =
        at.part(
            "basket",
            Role.WOOD,
            Curve.outline(
                "-0.38,0.4c 0,0.45 0.38,0.4c 0.3,0.62 0.24,0.74 0,0.77 -0.24,0.74 -0.3,0.62"));
    at.lineOn(basket, Curve.line("-0.36,0.52 0,0.57 0.36,0.52"), LineClass.DETAIL, 0.9, EVEN);
    at.lineOn(basket, Curve.line("-0.32,0.64 0,0.69 0.32,0.64"), LineClass.DETAIL, 0.9, EVEN);
    for (double x : new double[] {-0.2, -0.02, 0.16}) {
      at.lineOn(
          basket,
          Curve.knots().at(x, 0.43).at(x * 0.94, 0.6).at(x * 0.86, 0.76).line(),
          LineClass.DETAIL,
          0.8,
          EVEN);
    }
  }

  private static void pole(Draft at, double ground) {
    at.part(
        "pole",
        Role.WOOD,
        Curve.knots()
            .corner(-0.04, -1.5)
            .corner(0.04, -1.5)
            .corner(0.045, ground)
            .corner(-0.045, ground)
            .outline());
    at.part(
        "pole hook",
        Role.METAL,
        Curve.outline(
            "-0.07,-1.42c 0.07,-1.42c 0.06,-1.62 0.16,-1.74 0.1,-1.84c 0.0,-1.74 -0.06,-1.6"));
  }

  private static void bread(Draft at) {
    Part ring = at.part("bread", Role.GLOW, Curve.oval(0, 0.3, 0.27, 0.29));
    ring.spot(Role.PAPER, at.on(Curve.oval(0, 0.3, 0.1, 0.11)), 1);
    for (double angle = 20; angle < 360; angle += 72) {
      double a = Math.toRadians(angle);
      at.lineOn(
          ring,
          Curve.knots()
              .at(0.14 * Math.cos(a), 0.3 + 0.15 * Math.sin(a))
              .at(0.19 * Math.cos(a + 0.2), 0.3 + 0.2 * Math.sin(a + 0.2))
              .at(0.25 * Math.cos(a + 0.1), 0.3 + 0.27 * Math.sin(a + 0.1))
              .line(),
          LineClass.DETAIL,
          0.9,
          EVEN);
    }
  }

  private static void book(Draft at) {
    Part pages =
        at.part(
            "book pages",
            Role.EYE,
            Curve.outline("-0.22,-0.12c 0.26,-0.16c 0.28,0.38c -0.2,0.42c"));
    at.lineOn(pages, Curve.line("0.24,-0.1 0.26,0.36"), LineClass.DETAIL, 0.7, EVEN);
    at.part("book", Role.HAT, Curve.outline("-0.25,-0.14c 0.2,-0.18c 0.22,0.36c -0.23,0.42c"));
  }

  /** A crate to sit on, its top edge at the origin. */
  static void seat(Draft at, double half, double height) {
    Part box =
        at.part(
            "crate",
            Role.WOOD,
            Curve.polygon(
                List.of(
                    new Point(-half, 0),
                    new Point(half, 0),
                    new Point(half, height),
                    new Point(-half, height))));
    for (double share : new double[] {0.34, 0.67}) {
      at.lineOn(
          box,
          Curve.knots().at(-half, height * share).at(half, height * share + 0.01).line(),
          LineClass.DETAIL,
          1,
          Swell.EVEN);
    }
    at.lineOn(
        box,
        Curve.knots().at(-half * 0.7, 0).at(-half * 0.7, height).line(),
        LineClass.DETAIL,
        0.9,
        Swell.EVEN);
  }
}
