package penmirror.core.scoring;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.act.Act;
import penmirror.core.act.ActGroup;

/**
 * How close a redraw comes to a style. All scores in points, 0 to 100, higher is closer.
 *
 * @param overall mean of both answers; empty when nothing was measured
 * @param interval middle 90 % of it over resampled works and marks; empty when nothing was measured
 *     or when it was not asked for
 * @param coverage weight of the acts that could be measured over the weight of all in scope, [0, 1]
 * @param own what the illustrator's own works reach overall against each other; empty under two
 *     works
 * @param byRules the answer that says what to do: how far the acts of the style are kept; empty
 *     when nothing was measured
 * @param ownByRules what the illustrator's own works reach by the rules
 * @param glance the answer that says whose it looks like: nearness to single works and house
 *     colours; empty where neither can be told
 * @param nearest the works it lies nearest to, nearest first
 * @param houseColours how far its colours are those that recur across the works; empty where
 *     colours were not read
 * @param groups what each group of acts reached of what it holds of the hundred by the rules
 * @param acts every act in scope, in the order of the sheet; after those that are measured the
 *     statements that were answered
 * @param shares what each measured act reached of what it holds of the hundred by the rules
 * @param rules every rule in scope with its reading, in the catalogue's order
 * @param roles its colours by what they paint, each with the shadow the works would lay
 * @param holdsFigure whether its pixels show anything at all that could be drawn; empty where they
 *     were not read though rules ask for them
 * @param fixes what to change, best gain first
 * @param mended points by the rules once the first three fixes are done, and once all are
 */
public record Score(
    Optional<Double> overall,
    Optional<Interval> interval,
    double coverage,
    Optional<OwnRange> own,
    Optional<Double> byRules,
    Optional<OwnRange> ownByRules,
    Optional<Double> glance,
    List<Nearness> nearest,
    Optional<Double> houseColours,
    Map<ActGroup, Share> groups,
    List<ActScore> acts,
    Map<Act, Share> shares,
    List<RuleScore> rules,
    List<RoleScore> roles,
    Optional<Boolean> holdsFigure,
    List<Fix> fixes,
    Optional<Mended> mended) {

  /** The same with how sure it is. */
  Score within(Interval sure) {
    return new Score(
        overall,
        Optional.of(sure),
        coverage,
        own,
        byRules,
        ownByRules,
        glance,
        nearest,
        houseColours,
        groups,
        acts,
        shares,
        rules,
        roles,
        holdsFigure,
        fixes,
        mended);
  }

  /** Points reached of points that could be. */
  public record Share(double points, double of) {
    Share plus(Share other) {
      return new Share(points + other.points, of + other.of);
    }
  }

  /**
   * Points by the rules, found by doing the fixes together and scoring again.
   *
   * @param firstThree after the first three, or after all where there are fewer
   */
  public record Mended(double firstThree, double all) {}

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
    private static final double ROUNDING = 1e-9;

    /**
     * From here on a redraw belongs with the works: two and a half deviations under their median,
     * though never under the last of them. Half a deviation more than for values that spread
     * evenly, as such points lean: most works lie near the top, and a few that are turned or cut
     * far below (docs/scoring.md has the counts).
     */
    public double belongsFrom() {
      return Math.max(low, median - 2.5 * Math.max(4, deviation));
    }

    /** Whether so many points stand among theirs; what sums round away does not count. */
    public boolean holds(double points) {
      return points >= belongsFrom() - ROUNDING;
    }
  }

  /** The acts that are read off the redraw. */
  public List<ActScore> measured() {
    return acts.stream().filter(act -> act.act().group() != ActGroup.TICKS).toList();
  }

  /** The statements that were answered of it, in the order of the sheet. */
  public List<ActScore> answered() {
    return acts.stream().filter(act -> act.tick().isPresent()).toList();
  }

  public Score {
    nearest = List.copyOf(nearest);
    groups = groups.isEmpty() ? Map.of() : new EnumMap<>(groups);
    acts = List.copyOf(acts);
    shares = new LinkedHashMap<>(shares);
    rules = List.copyOf(rules);
    roles = List.copyOf(roles);
    fixes = List.copyOf(fixes);
  }

  /** Whether the redraw keeps the rules as the illustrator's own works do; empty when unknown. */
  public Optional<Boolean> keepsRules() {
    return byRules.flatMap(points -> ownByRules.map(range -> range.holds(points)));
  }

  /**
   * Whether the redraw keeps the rules as the illustrator's own works do, and lies with them in
   * both answers together. Right points alone make no drawing: empty until its pixels are read, and
   * not so where they show nothing. Empty when unknown.
   */
  public Optional<Boolean> belongs() {
    Optional<Boolean> kept = keepsRules();
    boolean apart = overall.flatMap(points -> own.map(range -> !range.holds(points))).orElse(false);
    return kept.flatMap(inside -> inside && !apart ? holdsFigure : Optional.of(false));
  }
}
