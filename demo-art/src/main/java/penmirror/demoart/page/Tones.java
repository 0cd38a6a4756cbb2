package penmirror.demoart.page;

import static penmirror.demoart.manner.Parameter.BLACK;
import static penmirror.demoart.manner.Parameter.LINE_LIGHTNESS;
import static penmirror.demoart.manner.Parameter.LINE_TINT;
import static penmirror.demoart.manner.Parameter.SHADE_CHROMA;
import static penmirror.demoart.manner.Parameter.SHADE_RIM;
import static penmirror.demoart.manner.Parameter.SHADE_STEP;
import static penmirror.demoart.manner.Parameter.SHADE_TURN;

import penmirror.core.colour.OkLab;
import penmirror.demoart.manner.Palette;
import penmirror.demoart.manner.Parameters;
import penmirror.demoart.manner.Role;
import penmirror.demoart.manner.Shading;

/** Every colour a picture is painted with, worked out from its palette and parameters. */
final class Tones {
  /** Hue that shadows turn toward, OKLCh degrees: between blue and violet. */
  private static final double COOL = 296;

  private final Palette palette;
  private final Parameters parameters;
  private final Shading shading;

  Tones(Palette palette, Parameters parameters, Shading shading) {
    this.palette = palette;
    this.parameters = parameters;
    this.shading = shading;
  }

  OkLab lit(Role role) {
    return isBlack(role) ? ink() : palette.of(role);
  }

  /** Whether the manner lays this role in solid black. */
  boolean isBlack(Role role) {
    return switch (role) {
      case PAPER, INK, EYE, IRIS, GLOW, SKIN, MOUTH, BLUSH -> false;
      default -> palette.of(role).lightness() < parameters.get(BLACK);
    };
  }

  OkLab shaded(Role role) {
    if (isBlack(role)) {
      return ink();
    }
    if (shading == Shading.INK && role != Role.EYE) {
      return ink();
    }
    if (role == Role.GLOW || role == Role.INK) {
      return palette.of(role);
    }
    OkLab base = palette.of(role);
    double hue = hue(base);
    double toward = Math.IEEEremainder(COOL - hue, 360);
    double turned =
        hue + Math.signum(toward) * Math.min(Math.abs(toward), parameters.get(SHADE_TURN));
    return lch(
        Math.max(0.12, base.lightness() + parameters.get(SHADE_STEP)),
        base.chroma() * parameters.get(SHADE_CHROMA),
        turned);
  }

  /** The strip along a soft shadow's border. */
  OkLab rim(Role role) {
    OkLab lit = lit(role);
    OkLab dark = shaded(role);
    OkLab middle =
        new OkLab(
            (lit.lightness() + dark.lightness()) / 2,
            (lit.a() + dark.a()) / 2,
            (lit.b() + dark.b()) / 2);
    double grow = parameters.get(SHADE_RIM);
    return new OkLab(middle.lightness(), middle.a() * grow, middle.b() * grow);
  }

  OkLab light(Role role) {
    OkLab base = lit(role);
    return new OkLab(Math.min(1, base.lightness() + 0.12), base.a() * 0.9, base.b() * 0.9 + 0.01);
  }

  OkLab ink() {
    OkLab ink = palette.of(Role.INK);
    return new OkLab(parameters.get(LINE_LIGHTNESS), ink.a(), ink.b());
  }

  /** A line that borders or lies on a role: ink, or as far tinted as the manner does. */
  OkLab line(Role role) {
    double tint = parameters.get(LINE_TINT);
    OkLab ink = ink();
    if (isBlack(role)) {
      return lightOnBlack();
    }
    if (tint == 0) {
      return ink;
    }
    OkLab base = palette.of(role);
    OkLab dark =
        lch(
            Math.min(ink.lightness(), 0.55 * base.lightness()),
            Math.max(0.05, base.chroma() * 1.05),
            hue(base) - 12);
    return mix(ink, dark, tint);
  }

  /** What is drawn on solid black shows as the paper's light. */
  OkLab lightOnBlack() {
    return mix(ink(), palette.of(Role.PAPER), 0.86);
  }

  static OkLab mix(OkLab from, OkLab to, double share) {
    return new OkLab(
        from.lightness() + share * (to.lightness() - from.lightness()),
        from.a() + share * (to.a() - from.a()),
        from.b() + share * (to.b() - from.b()));
  }

  private static double hue(OkLab colour) {
    return Math.toDegrees(Math.atan2(colour.b(), colour.a()));
  }

  private static OkLab lch(double lightness, double chroma, double hueDegrees) {
    return new OkLab(
        lightness,
        chroma * Math.cos(Math.toRadians(hueDegrees)),
        chroma * Math.sin(Math.toRadians(hueDegrees)));
  }

  static int rgb(OkLab colour) {
    return Integer.parseInt(colour.toEncodedSrgb().hex().substring(1), 16);
  }
}
