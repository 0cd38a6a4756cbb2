package penmirror.core.planning;

import java.util.Optional;
import penmirror.core.measure.region.LimbMeasures;
import penmirror.core.style.Rule;
import penmirror.core.style.Strength;
import penmirror.core.style.StyleSheet;

/**
 * How thick limbs are drawn, in heads; empty where that is not ruled.
 *
 * @param forearmHeads across its middle, above 0
 * @param calfHeads across its middle, above 0
 */
public record Limbs(Optional<Double> forearmHeads, Optional<Double> calfHeads) {
  public static final Limbs UNKNOWN = new Limbs(Optional.empty(), Optional.empty());

  public static Limbs of(StyleSheet sheet) {
    return new Limbs(
        sheet.rule(LimbMeasures.FOREARM).filter(Limbs::holds).map(Rule::centre),
        sheet.rule(LimbMeasures.CALF).filter(Limbs::holds).map(Rule::centre));
  }

  private static boolean holds(Rule rule) {
    return rule.strength() != Strength.FREE;
  }
}
