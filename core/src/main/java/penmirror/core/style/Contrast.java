package penmirror.core.style;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.measure.Measure;
import penmirror.core.statistics.Permutation;

/**
 * Two sheets held against each other, act by act.
 *
 * @param differ what both do and do otherwise by more than chance, the farthest first
 * @param shared what both do alike, in the order of the sheet
 * @param unsure what lies apart, but may do so by chance
 */
public record Contrast(List<Difference> differ, List<Act> shared, List<Act> unsure) {
  /** Middles nearer than this are alike, in spreads among styles. */
  private static final double ALIKE = 0.5;

  /** A difference that comes about by chance more often than this is not told as one. */
  private static final double CHANCE = 0.05;

  /**
   * An act by the reading that sets both apart most.
   *
   * @param distance of the other's middle from the one's, in spreads among styles, signed
   * @param chance that works dealt at random lie as far apart, (0, 1]
   */
  public record Difference(Act act, Rule one, Rule other, double distance, double chance) {}

  public Contrast {
    differ = List.copyOf(differ);
    shared = List.copyOf(shared);
    unsure = List.copyOf(unsure);
  }

  public static Contrast of(StyleSheet one, StyleSheet other) {
    List<Difference> differ = new ArrayList<>();
    List<Act> shared = new ArrayList<>();
    List<Act> unsure = new ArrayList<>();
    for (Act act : Acts.all()) {
      Optional<Difference> farthest =
          one.rules(act).stream()
              .flatMap(rule -> difference(act, one, rule, other).stream())
              .max(Comparator.comparingDouble(d -> Math.abs(d.distance())));
      if (farthest.isEmpty()) {
        continue;
      }
      Difference difference = farthest.get();
      if (Math.abs(difference.distance()) < ALIKE) {
        shared.add(act);
      } else if (difference.chance() <= CHANCE) {
        differ.add(difference);
      } else {
        unsure.add(act);
      }
    }
    differ.sort(Comparator.comparingDouble(d -> -Math.abs(d.distance())));
    return new Contrast(differ, shared, unsure);
  }

  /** Empty where the other has no such rule, or neither holds to it. */
  private static Optional<Difference> difference(
      Act act, StyleSheet one, Rule rule, StyleSheet other) {
    Measure measure = rule.measure();
    return other
        .rule(measure)
        .filter(theirs -> other.isAsked(act, measure))
        .filter(theirs -> rule.strength() != Strength.FREE || theirs.strength() != Strength.FREE)
        .map(
            theirs ->
                new Difference(
                    act,
                    rule,
                    theirs,
                    measure.scale().difference(theirs.centre(), rule.centre())
                        / measure.spreadAmongStyles(),
                    Permutation.chance(scaled(one, rule), scaled(other, rule))));
  }

  /** The works' readings, each as it lies from the one sheet's middle. */
  private static double[] scaled(StyleSheet sheet, Rule from) {
    Measure measure = from.measure();
    return sheet.worksRuledOn(measure).stream()
        .mapToDouble(work -> measure.scale().difference(work.value(measure), from.centre()))
        .toArray();
  }
}
