package penmirror.core.scoring;

import java.util.Optional;
import penmirror.core.measure.MeasureResult;
import penmirror.core.measure.Reading;
import penmirror.core.style.Rule;

/**
 * One rule held against the redraw.
 *
 * @param z signed distance from the rule's centre in tolerances; at least that much where only a
 *     limit is known; empty without either
 * @param credit [0, 1]; empty when it could not be measured, 0 when it is measured and not there
 */
public record RuleScore(
    Rule rule, MeasureResult result, Optional<Double> z, Optional<Double> credit)
    implements Judged {

  public Optional<Reading> reading() {
    return result.reading();
  }

  /** Whether the reading lies outside the band. */
  @Override
  public boolean misses() {
    return z.map(value -> Math.abs(value) > 1).orElse(credit.isPresent());
  }
}
