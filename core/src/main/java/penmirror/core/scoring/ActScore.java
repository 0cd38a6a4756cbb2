package penmirror.core.scoring;

import java.util.List;
import java.util.Optional;
import penmirror.core.act.Act;

/**
 * One act held against the redraw.
 *
 * @param rules those of its rules that count, the leading one first
 * @param weight the largest of the weights of what could be measured; 0 where nothing could be
 * @param credit [0, 1], mean of its rules' credits by their weights; empty where nothing could be
 *     measured
 * @param makesOrBreaks whether it is one of the few that share half of a score
 */
public record ActScore(
    Act act, List<RuleScore> rules, double weight, Optional<Double> credit, boolean makesOrBreaks) {
  public ActScore {
    rules = List.copyOf(rules);
  }

  static ActScore of(Act act, List<RuleScore> rules, boolean makesOrBreaks) {
    double heaviest = 0;
    double weights = 0;
    double sum = 0;
    for (RuleScore score : rules) {
      if (score.credit().isPresent()) {
        double weight = score.rule().weight();
        heaviest = Math.max(heaviest, weight);
        weights += weight;
        sum += weight * score.credit().get();
      }
    }
    return new ActScore(
        act,
        rules,
        heaviest,
        weights > 0 ? Optional.of(sum / weights) : Optional.empty(),
        makesOrBreaks);
  }

  /** The heaviest of its rules, measured or not. */
  double fullWeight() {
    return rules.stream().mapToDouble(score -> score.rule().weight()).max().orElse(0);
  }

  /** Whether one of its readings lies outside its band. */
  public boolean misses() {
    return rules.stream().anyMatch(RuleScore::misses);
  }

  /** The reading that lies farthest off; empty where none is outside. */
  public Optional<RuleScore> worst() {
    return rules.stream()
        .filter(RuleScore::misses)
        .max((a, b) -> Double.compare(distance(a), distance(b)));
  }

  private static double distance(RuleScore score) {
    // What is not there at all is farther off than anything that is.
    return score.z().map(Math::abs).orElse(Double.MAX_VALUE);
  }
}
