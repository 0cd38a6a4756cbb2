package penmirror.core.measure.shade;

import penmirror.core.colour.OkLab;
import penmirror.core.measure.Findings;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.statistics.WeightedSample;

/** The steps from light to shadow of some local colours, each weighed by how much it shows. */
public final class ShadowSteps {
  /** Less lightness between two values is no shadow. */
  public static final double LEAST = 0.04;

  private final WeightedSample.Builder lightness = WeightedSample.builder();
  private final WeightedSample.Builder chroma = WeightedSample.builder();
  private final WeightedSample.Builder hue = WeightedSample.builder();
  private final double hasHue;
  private final double nearestToPole;
  private int count;

  /**
   * @param hasHue chroma from which on a colour has a hue to turn
   * @param nearestToPole degrees to the cool pole under which it has nowhere to turn
   */
  ShadowSteps(double hasHue, double nearestToPole) {
    this.hasHue = hasHue;
    this.nearestToPole = nearestToPole;
  }

  /** Of what skin, hair and clothes are laid in, of which each is a few colours alone. */
  public static ShadowSteps ofRoles() {
    return new ShadowSteps(ShadeFacts.HAS_CLEAR_HUE, ShadeFacts.NEAREST_TO_POLE);
  }

  /**
   * @param weight how much it shows, above 0
   */
  public void add(OkLab light, OkLab dark, double weight) {
    count++;
    lightness.add(dark.lightness() - light.lightness(), weight);
    if (Math.min(dark.chroma(), light.chroma()) > hasHue) {
      chroma.add(dark.chroma() / light.chroma(), weight);
      if (canTurn(light)) {
        hue.add(turnToCool(light, dark), weight);
      }
    }
  }

  public boolean isEmpty() {
    return count == 0;
  }

  /**
   * Their medians as the readings of three measures.
   *
   * @param noStep why there is none where no colour has a shadow
   * @param noHue why there is no ratio and no turn where none has a hue
   */
  public void put(
      Findings findings,
      Measure lightnessStep,
      Measure chromaRatio,
      Measure hueTurn,
      Reason noStep,
      Reason noHue) {
    findings.put(lightnessStep, lightness.build(), noStep);
    findings.put(chromaRatio, chroma.build(), isEmpty() ? noStep : noHue);
    findings.put(hueTurn, hue.build(), isEmpty() ? noStep : noHue);
  }

  /** Whether a colour is far enough from the pole to say which way its shadow turns. */
  private boolean canTurn(OkLab light) {
    return toCool(light) >= nearestToPole;
  }

  /** Degrees from a colour's hue to the pole that shadows turn toward, [0, 180]. */
  public static double toCool(OkLab light) {
    return Math.abs(Math.IEEEremainder(ShadeMeasures.COOL_HUE_DEGREES - light.hueDegrees(), 360));
  }

  /** Hue turn from light to shadow, positive when it goes the shorter way toward the cool pole. */
  public static double turnToCool(OkLab light, OkLab dark) {
    double turn = Math.IEEEremainder(dark.hueDegrees() - light.hueDegrees(), 360);
    double toCool = Math.IEEEremainder(ShadeMeasures.COOL_HUE_DEGREES - light.hueDegrees(), 360);
    return toCool >= 0 ? turn : -turn;
  }
}
