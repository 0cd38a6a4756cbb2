package penmirror.core.style;

import java.util.Optional;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.Measure;
import penmirror.core.measure.shade.ShadeMeasures;

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

  /** Without hue there is none to turn. */
  private static final double HAS_HUE = 0.02;

  /** Where the works shade; what they have no rule of stays as it is. */
  public static Optional<ShadeLaw> of(StyleSheet sheet) {
    Optional<Double> step = centre(sheet, ShadeMeasures.LIGHTNESS_STEP);
    boolean shades =
        sheet.rule(ShadeMeasures.COVER).filter(rule -> rule.centre() > SOME_SHADOW).isPresent();
    if (step.isEmpty() || !shades) {
      return Optional.empty();
    }
    return Optional.of(
        new ShadeLaw(
            step.get(),
            centre(sheet, ShadeMeasures.CHROMA_RATIO).orElse(1.0),
            centre(sheet, ShadeMeasures.HUE_TURN).orElse(0.0)));
  }

  private static Optional<Double> centre(StyleSheet sheet, Measure measure) {
    return sheet.rule(measure).map(Rule::centre);
  }

  /** The shadow of a colour; no darker than black. What sRGB cannot show is nearest on writing. */
  public OkLab shadowOf(OkLab light) {
    double lightness = Math.max(0, Math.min(1, light.lightness() + lightnessStep));
    double chroma = light.chroma() * chromaRatio;
    double hue = light.hueDegrees();
    if (light.chroma() > HAS_HUE) {
      double toCool = Math.IEEEremainder(ShadeMeasures.COOL_HUE_DEGREES - hue, 360);
      hue += toCool >= 0 ? towardCoolDegrees : -towardCoolDegrees;
    }
    double angle = Math.toRadians(hue);
    return new OkLab(lightness, chroma * Math.cos(angle), chroma * Math.sin(angle));
  }
}
