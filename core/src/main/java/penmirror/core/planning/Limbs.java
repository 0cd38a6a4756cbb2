package penmirror.core.planning;

import java.util.Optional;
import penmirror.core.measure.Measure;
import penmirror.core.measure.region.LimbMeasures;
import penmirror.core.style.Rule;
import penmirror.core.style.Strength;
import penmirror.core.style.StyleSheet;

/**
 * How thick limbs are drawn, in heads, as they are mostly shown: in cloth, else bare; empty where
 * neither is ruled.
 *
 * @param forearmHeads across its middle, above 0
 * @param calfHeads across its middle, above 0
 */
public record Limbs(Optional<Double> forearmHeads, Optional<Double> calfHeads) {
  public static final Limbs UNKNOWN = new Limbs(Optional.empty(), Optional.empty());

  public static Limbs of(StyleSheet sheet) {
    return new Limbs(
        thickness(sheet, LimbMeasures.FOREARM, LimbMeasures.BARE_FOREARM),
        thickness(sheet, LimbMeasures.CALF, LimbMeasures.BARE_CALF));
  }

  private static Optional<Double> thickness(StyleSheet sheet, Measure covered, Measure bare) {
    return sheet
        .rule(covered)
        .filter(Limbs::holds)
        .or(() -> sheet.rule(bare).filter(Limbs::holds))
        .map(Rule::centre);
  }

  private static boolean holds(Rule rule) {
    return rule.strength() != Strength.FREE;
  }
}
