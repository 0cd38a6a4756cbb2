package penmirror.core.style;

import java.util.Optional;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.measure.Measure;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.measure.shade.ShadeFacts;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.measure.shade.ShadowSteps;

/**
 * How a style goes from light to shadow: the same steps from whatever colour, which is the style;
 * the colour itself is the character's.
 *
 * @param lightnessStep in OKLab, under 0 for a shadow that is darker
 * @param chromaRatio chroma of the shadow over that of the light, 0 or more
 * @param towardCoolDegrees how far the hue turns toward blue and violet; under 0 away from them
 */
public record ShadeLaw(double lightnessStep, double chromaRatio, double towardCoolDegrees) {

  /** Under this share of the figure nobody would say that there is shadow. */
  private static final double SOME_SHADOW = 0.02;

  /** Nearly grey: its hue and the ratio of its chroma would be chance. */
  private static final double HAS_HUE = 0.05;

  /** Without hue there is none to turn. */
  private static final double TURNS = 0.02;

  /** Where the works shade; what they have no rule of stays as it is. */
  public static Optional<ShadeLaw> of(StyleSheet sheet) {
    return of(
        sheet,
        sheet.rule(ShadeMeasures.LIGHTNESS_STEP),
        sheet.rule(ShadeMeasures.CHROMA_RATIO),
        sheet.rule(ShadeMeasures.HUE_TURN));
  }

  /** How one role is shaded; as the whole figure is where the works have no rule for it alone. */
  public static Optional<ShadeLaw> of(StyleSheet sheet, Role role) {
    RoleMeasures.Steps steps = RoleMeasures.of(role);
    return of(
        sheet,
        rule(sheet, steps.lightness(), ShadeMeasures.LIGHTNESS_STEP),
        rule(sheet, steps.chroma(), ShadeMeasures.CHROMA_RATIO),
        rule(sheet, steps.hue(), ShadeMeasures.HUE_TURN));
  }

  /** The rule of a role that the works hold to, else that of the whole figure. */
  public static Optional<Rule> rule(StyleSheet sheet, Measure ofRole, Measure ofAll) {
    return sheet.rule(ofRole).filter(Rule::isScored).or(() -> sheet.rule(ofAll));
  }

  private static Optional<ShadeLaw> of(
      StyleSheet sheet, Optional<Rule> lightness, Optional<Rule> chroma, Optional<Rule> hue) {
    boolean shades =
        sheet.rule(ShadeMeasures.COVER).filter(rule -> rule.centre() > SOME_SHADOW).isPresent();
    return lightness
        .filter(rule -> shades)
        .map(
            rule ->
                new ShadeLaw(
                    rule.centre(),
                    chroma.map(Rule::centre).orElse(1.0),
                    hue.map(Rule::centre).orElse(0.0)));
  }

  /** The steps by which a shadow was laid; as {@link #shadowOf} would lay it again. */
  public static ShadeLaw between(OkLab light, OkLab shadow) {
    return new ShadeLaw(
        shadow.lightness() - light.lightness(),
        light.chroma() == 0 ? 1 : shadow.chroma() / light.chroma(),
        light.chroma() > TURNS ? ShadowSteps.turnToCool(light, shadow) : 0);
  }

  /** Whether a colour is far enough from the cool pole to ask how its shadow turns. */
  public static boolean canTurn(OkLab light) {
    return ShadowSteps.toCool(light) >= ShadeFacts.NEAREST_TO_POLE;
  }

  /** Whether a colour is strong enough to ask after its hue. */
  public static boolean hasHue(OkLab colour) {
    return colour.chroma() >= HAS_HUE;
  }

  /** 1 where the shorter way to the cool pole is toward larger hues, else −1. */
  private static int cool(OkLab light) {
    return Math.IEEEremainder(ShadeMeasures.COOL_HUE_DEGREES - light.hueDegrees(), 360) >= 0
        ? 1
        : -1;
  }

  /**
   * The shadow as one would lay it: what is nearly grey gets darker and no more, since which hue it
   * would turn to is chance.
   */
  public OkLab laidOn(OkLab light) {
    return hasHue(light) ? shadowOf(light) : new ShadeLaw(lightnessStep, 1, 0).shadowOf(light);
  }

  /** The shadow of a colour; no darker than black. What sRGB cannot show is nearest on writing. */
  public OkLab shadowOf(OkLab light) {
    double lightness = Math.max(0, Math.min(1, light.lightness() + lightnessStep));
    double chroma = light.chroma() * chromaRatio;
    double hue = light.hueDegrees();
    if (light.chroma() > TURNS) {
      // Not past the pole: what is violet already stays so.
      hue += cool(light) * Math.min(towardCoolDegrees, ShadowSteps.toCool(light));
    }
    double angle = Math.toRadians(hue);
    return new OkLab(lightness, chroma * Math.cos(angle), chroma * Math.sin(angle));
  }
}
