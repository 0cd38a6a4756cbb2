package penmirror.core.style;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.measure.RoleTones;
import penmirror.core.statistics.Sample;

/**
 * How a style would shade a colour that none of its works shows: the step in lightness as a robust
 * line over the lightness of what was shaded, strength and turn as their medians.
 *
 * @param stepAtBlack step in OKLab lightness where the line meets lightness 0
 * @param stepPerLightness its slope
 * @param chromaRatio chroma of the shadow over that of the light
 * @param towardCoolDegrees how far the hue turns toward blue and violet
 * @param giveLightness half of the works' pairs lie nearer to the line than this
 * @param pairs of light and shadow that it was made from
 */
public record ColourLaw(
    double stepAtBlack,
    double stepPerLightness,
    double chromaRatio,
    double towardCoolDegrees,
    double giveLightness,
    int pairs) {
  private static final int FEWEST_PAIRS = 6;
  private static final int FEWEST_ROLES = 2;

  /** Nearer in lightness, two colours say nothing of the slope. */
  private static final double APART = 0.02;

  /**
   * Over all colours of all works that are laid in light and shadow.
   *
   * @return empty under six of them, and where all paint the same
   */
  public static Optional<ColourLaw> of(StyleSheet sheet) {
    List<Tones> laid = new ArrayList<>();
    Set<Role> roles = EnumSet.noneOf(Role.class);
    for (MeasuredWork work : sheet.works()) {
      for (RoleTones role : work.roles()) {
        if (role.tones().shadow().isPresent()) {
          laid.add(role.tones());
          roles.add(role.role() == Role.CLOTH_TWO ? Role.CLOTH : role.role());
        }
      }
    }
    return laid.size() < FEWEST_PAIRS || roles.size() < FEWEST_ROLES
        ? Optional.empty()
        : Optional.of(of(laid));
  }

  private static ColourLaw of(List<Tones> laid) {
    int n = laid.size();
    double[] base = new double[n];
    double[] step = new double[n];
    List<Double> ratios = new ArrayList<>();
    List<Double> turns = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      OkLab light = laid.get(i).base();
      OkLab shadow = laid.get(i).shadow().orElseThrow();
      ShadeLaw between = ShadeLaw.between(light, shadow);
      base[i] = light.lightness();
      step[i] = between.lightnessStep();
      if (ShadeLaw.hasHue(light) && ShadeLaw.hasHue(shadow)) {
        ratios.add(between.chromaRatio());
        if (ShadeLaw.canTurn(light)) {
          turns.add(between.towardCoolDegrees());
        }
      }
    }
    double slope = slope(base, step);
    double[] rests = new double[n];
    for (int i = 0; i < n; i++) {
      rests[i] = step[i] - slope * base[i];
    }
    double atBlack = Sample.of(rests).median();
    double[] offs = new double[n];
    for (int i = 0; i < n; i++) {
      offs[i] = Math.abs(rests[i] - atBlack);
    }
    return new ColourLaw(
        atBlack, slope, median(ratios, 1), median(turns, 0), Sample.of(offs).median(), n);
  }

  /**
   * Median of the slopes between all pairs, 0 where all are equally light.
   *
   * <p>Source: Sen, Estimates of the regression coefficient based on Kendall's tau, Journal of the
   * American Statistical Association 63 (1968).
   */
  private static double slope(double[] x, double[] y) {
    List<Double> slopes = new ArrayList<>();
    for (int i = 0; i < x.length; i++) {
      for (int j = 0; j < i; j++) {
        if (Math.abs(x[i] - x[j]) > APART) {
          slopes.add((y[i] - y[j]) / (x[i] - x[j]));
        }
      }
    }
    return median(slopes, 0);
  }

  private static double median(List<Double> values, double none) {
    return values.isEmpty()
        ? none
        : Sample.of(values.stream().mapToDouble(v -> v).toArray()).median();
  }

  /**
   * The steps it asks for below one colour; never upward, a shadow is no lighter than its light.
   */
  public ShadeLaw at(OkLab light) {
    double step = stepAtBlack + stepPerLightness * light.lightness();
    return new ShadeLaw(Math.min(0, step), chromaRatio, towardCoolDegrees);
  }
}
