package penmirror.core.scoring;

import java.util.Optional;
import penmirror.core.style.StyleRule;

/** A rule held against a redraw. */
public sealed interface Judged permits RuleScore, TickScore {
  StyleRule rule();

  /** [0, 1]; empty when it could not be measured. */
  Optional<Double> credit();

  /** Whether the redraw lies outside what the works do. */
  boolean misses();
}
