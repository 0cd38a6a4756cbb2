package penmirror.core.scoring;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.measure.MeasureGroup;

/**
 * How close a redraw comes to a style. All scores in points, 0 to 100, higher is closer.
 *
 * @param overall of rules, nearness and house colours; empty when nothing was measured
 * @param interval middle 90 % over resampled works and marks; empty when nothing was measured
 * @param coverage weight of what could be measured over the weight of all rules in scope, [0, 1]
 * @param own what the illustrator's own works reach against each other; empty under two works
 * @param byRules weighted mean of the credits of all rules; empty when nothing was measured
 * @param nearest the works it lies nearest to, nearest first
 * @param houseColours how far its colours are those that recur across the works; empty where
 *     colours were not read
 * @param groups weighted mean of the credits in each group that has a measured rule
 * @param rules every rule in scope with its reading, in the catalogue's order
 * @param fixes what to change, best gain first
 */
public record Score(
    Optional<Double> overall,
    Optional<Interval> interval,
    double coverage,
    Optional<OwnRange> own,
    Optional<Double> byRules,
    List<Nearness> nearest,
    Optional<Double> houseColours,
    Map<MeasureGroup, Double> groups,
    List<RuleScore> rules,
    List<Fix> fixes) {

  /**
   * Points from low to high.
   *
   * @param unshaken readings whose own error is not known and that were taken as they are
   */
  public record Interval(double low, double high, int unshaken) {}

  /**
   * The illustrator's own works, each scored by rules made from the others.
   *
   * @param deviation standard deviation of those scores
   */
  public record OwnRange(double low, double median, double high, double deviation) {

    /** From here on a redraw belongs with the works: two deviations under their median. */
    public double belongsFrom() {
      return median - 2 * Math.max(4, deviation);
    }
  }

  public Score {
    nearest = List.copyOf(nearest);
    groups = Map.copyOf(groups);
    rules = List.copyOf(rules);
    fixes = List.copyOf(fixes);
  }

  /**
   * Points once every fix is done, as far as their gains add up: the overall score plus each gain,
   * at most 100. Fixes that touch the same rule count twice, so this is an upper hope and not a
   * score. Empty without a score.
   */
  public Optional<Double> pointsIfAllFixed() {
    double gained = fixes.stream().mapToDouble(Fix::pointsGained).sum();
    return overall.map(points -> Math.min(100, points + gained));
  }

  /** Whether the redraw reaches what the illustrator's own works reach; empty when unknown. */
  public Optional<Boolean> belongs() {
    return overall.flatMap(points -> own.map(range -> points >= range.belongsFrom()));
  }
}
