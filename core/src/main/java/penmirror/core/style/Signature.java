package penmirror.core.style;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.figure.Feature;

/**
 * The few acts that make or break a style: where it stands away from a base line, and firmly. They
 * are a proposal; the user's word stands over them.
 *
 * <p>Each act is ranked by its best reading, d · log2(1 + spread among styles / tolerance), with d
 * its distance from the base line in spreads among styles. One act a feature; nothing with d under
 * 1, as any hand draws black lines; nothing that is free.
 *
 * @param traits the strongest first
 */
public record Signature(BaseLine.From base, List<Trait> traits) {
  /** As many as one keeps in mind. */
  public static final int USUAL = 4;

  public static final int MOST = 6;

  /** Nearer to the base line than this it is nothing of one's own. */
  private static final double LEAST_DISTANCE = 1;

  /**
   * @param lead the reading that sets it apart most
   * @param distance of that reading from the base line, in spreads among styles, signed
   * @param rank by which traits are ordered, above 0
   */
  public record Trait(Act act, Rule lead, double distance, double rank) {}

  public Signature {
    traits = List.copyOf(traits);
  }

  /** The acts in their order, for a sheet. */
  public List<Act> acts() {
    return traits.stream().map(Trait::act).toList();
  }

  /**
   * @param most 1 to {@link #MOST}
   */
  public static Signature of(StyleSheet sheet, BaseLine base, int most) {
    List<Trait> all = new ArrayList<>();
    for (Act act : Acts.all()) {
      sheet.rules(act).stream()
          .filter(Rule::isScored)
          .flatMap(rule -> trait(act, rule, base).stream())
          .max(Comparator.comparingDouble(Trait::rank))
          .ifPresent(all::add);
    }
    // Ranks that lie within a tenth of each other are alike; then the sheet's order decides.
    all.sort(Comparator.comparingLong(trait -> -Math.round(10 * trait.rank())));
    List<Trait> chosen = new ArrayList<>();
    Set<Feature> taken = new HashSet<>();
    for (Trait trait : all) {
      boolean free = trait.act().grip().map(Signature::part).map(taken::add).orElse(true);
      if (free && chosen.size() < most) {
        chosen.add(trait);
      }
    }
    return new Signature(base.from(), chosen);
  }

  /** How tall a body is and how long its legs are is one thing to whoever looks at it. */
  private static Feature part(Feature grip) {
    return grip == Feature.LEGS ? Feature.BODY : grip;
  }

  private static Optional<Trait> trait(Act act, Rule rule, BaseLine base) {
    return base.distance(rule)
        .filter(distance -> Math.abs(distance) >= LEAST_DISTANCE)
        .map(
            distance ->
                new Trait(
                    act,
                    rule,
                    distance,
                    Math.abs(distance)
                        * Math.log1p(rule.measure().spreadAmongStyles() / rule.tolerance())
                        / Math.log(2)));
  }
}
