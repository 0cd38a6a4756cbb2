package penmirror.core.scoring;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import penmirror.core.act.Act;

/**
 * One act held against the redraw.
 *
 * @param judged those of its rules that count, the leading one first: bands, or one statement
 * @param weight the largest of the weights of what could be measured; 0 where nothing could be
 * @param credit [0, 1], mean of its rules' credits by their weights; empty where nothing could be
 *     measured
 * @param makesOrBreaks whether it is one of the few that share half of a score
 */
public record ActScore(
    Act act, List<Judged> judged, double weight, Optional<Double> credit, boolean makesOrBreaks) {
  public ActScore {
    judged = List.copyOf(judged);
  }

  static ActScore of(Act act, List<? extends Judged> judged, boolean makesOrBreaks) {
    double heaviest = 0;
    double weights = 0;
    double sum = 0;
    for (Judged score : judged) {
      if (score.credit().isPresent()) {
        double weight = score.rule().weight();
        heaviest = Math.max(heaviest, weight);
        weights += weight;
        sum += weight * score.credit().get();
      }
    }
    return new ActScore(
        act,
        List.copyOf(judged),
        heaviest,
        weights > 0 ? Optional.of(sum / weights) : Optional.empty(),
        makesOrBreaks);
  }

  /** What was measured of it; none where it is a statement. */
  public List<RuleScore> rules() {
    return judged.stream()
        .flatMap(one -> one instanceof RuleScore rule ? Stream.of(rule) : Stream.empty())
        .toList();
  }

  /** The statement it is; empty where it is measured. */
  public Optional<TickScore> tick() {
    return judged.stream()
        .flatMap(one -> one instanceof TickScore tick ? Stream.of(tick) : Stream.empty())
        .findFirst();
  }

  /** The heaviest of its rules, measured or not. */
  double fullWeight() {
    return judged.stream().mapToDouble(score -> score.rule().weight()).max().orElse(0);
  }

  /** Whether one of its rules is missed. */
  public boolean misses() {
    return judged.stream().anyMatch(Judged::misses);
  }

  /** The reading that lies farthest off; empty where none is outside. */
  public Optional<RuleScore> worst() {
    return rules().stream()
        .filter(RuleScore::misses)
        .max((a, b) -> Double.compare(distance(a), distance(b)));
  }

  private static double distance(RuleScore score) {
    // What is not there at all is farther off than anything that is.
    return score.z().map(Math::abs).orElse(Double.MAX_VALUE);
  }
}
