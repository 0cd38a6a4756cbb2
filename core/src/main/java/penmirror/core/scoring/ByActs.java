package penmirror.core.scoring;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.act.Act;
import penmirror.core.act.ActGroup;
import penmirror.core.act.Acts;
import penmirror.core.measure.Measure;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;

/**
 * The score by the rules: acts instead of readings, so that what a hand does in one go counts once.
 *
 * <p>C = 100 · Σ w·credit / Σ w over the acts that could be measured. Where acts are named that
 * make or break the style, they share one half of it, and all others the other half. A statement
 * that was answered is an act of its own.
 */
final class ByActs {
  private final List<ActScore> acts;

  private ByActs(List<ActScore> acts) {
    this.acts = acts;
  }

  /**
   * @param rules all rules in scope, each held against the redraw
   * @param ticks the statements of the sheet that were answered of it; each counts as an act
   */
  static ByActs of(StyleSheet sheet, List<RuleScore> rules, List<TickScore> ticks) {
    Map<Measure, RuleScore> byMeasure = new HashMap<>();
    for (RuleScore score : rules) {
      byMeasure.put(score.rule().measure(), score);
    }
    List<ActScore> acts = new ArrayList<>();
    for (Act act : sheet.acts()) {
      List<RuleScore> ofAct = new ArrayList<>();
      for (Measure measure : act.readings()) {
        RuleScore score = byMeasure.get(measure);
        if (score != null && score.rule().isScored() && sheet.isAsked(act, measure)) {
          ofAct.add(score);
        }
      }
      if (!ofAct.isEmpty()) {
        acts.add(ActScore.of(act, ofAct, sheet.makeOrBreak().contains(act)));
      }
    }
    for (Ticked ticked : sheet.statements()) {
      Act act = Acts.ofStatement(ticked.key());
      boolean few = sheet.makeOrBreak().contains(act);
      List<TickScore> answered = ticks.stream().filter(tick -> tick.rule().equals(ticked)).toList();
      // What makes or breaks it is told though nobody answered.
      if (!answered.isEmpty() || few && ticked.isScored()) {
        acts.add(ActScore.of(act, answered, few));
      }
    }
    return new ByActs(acts);
  }

  /** Those that are measured, then the statements that were answered. */
  List<ActScore> acts() {
    return acts;
  }

  /** Empty where nothing could be measured. */
  Optional<Double> points() {
    Optional<Double> few = mean(true);
    Optional<Double> others = mean(false);
    if (few.isPresent() && others.isPresent()) {
      return Optional.of((few.get() + others.get()) / 2);
    }
    return few.or(() -> others);
  }

  /** What could be measured over all that is in scope, by weight; [0, 1]. */
  double coverage() {
    List<ActScore> read = acts.stream().filter(act -> act.act().group() != ActGroup.TICKS).toList();
    double all = read.stream().mapToDouble(ActScore::fullWeight).sum();
    double measured =
        read.stream()
            .filter(act -> act.credit().isPresent())
            .mapToDouble(ActScore::fullWeight)
            .sum();
    return all == 0 ? 0 : measured / all;
  }

  /** What each act holds of the hundred, and what it reached of it: both add up to the whole. */
  Map<Act, Score.Share> shares() {
    Map<Act, Score.Share> shares = new LinkedHashMap<>();
    boolean halved = mean(true).isPresent() && mean(false).isPresent();
    for (boolean few : new boolean[] {true, false}) {
      double weights = weights(few);
      double half = halved ? 50 : 100;
      for (ActScore act : acts) {
        if (act.makesOrBreaks() == few && act.credit().isPresent()) {
          double of = half * act.weight() / weights;
          shares.put(act.act(), new Score.Share(of * act.credit().get(), of));
        }
      }
    }
    return shares;
  }

  Map<ActGroup, Score.Share> groups() {
    Map<ActGroup, Score.Share> groups = new EnumMap<>(ActGroup.class);
    shares().forEach((act, share) -> groups.merge(act.group(), share, Score.Share::plus));
    return groups;
  }

  private Optional<Double> mean(boolean few) {
    double weights = weights(few);
    double sum = 0;
    for (ActScore act : acts) {
      if (act.makesOrBreaks() == few && act.credit().isPresent()) {
        sum += act.weight() * act.credit().get();
      }
    }
    // Rounding may carry a sum of full credits over its weights.
    return weights > 0 ? Optional.of(100 * Math.min(1, sum / weights)) : Optional.empty();
  }

  private double weights(boolean few) {
    return acts.stream()
        .filter(act -> act.makesOrBreaks() == few && act.credit().isPresent())
        .mapToDouble(ActScore::weight)
        .sum();
  }
}
