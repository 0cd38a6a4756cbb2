package penmirror.core.scoring;

import java.util.Optional;
import penmirror.core.style.Ticked;

/**
 * A statement that the works hold to, answered of a redraw.
 *
 * @param yes whether it holds of the redraw
 */
public record TickScore(Ticked rule, boolean yes) implements Judged {
  public TickScore {
    if (!rule.isScored()) {
      throw new IllegalArgumentException("Works do " + rule.key() + " as often as not.");
    }
  }

  /** Whether the redraw does as the works do. */
  public boolean isKept() {
    return switch (rule.holds()) {
      case ALWAYS, USUALLY -> yes;
      case SELDOM, NEVER -> !yes;
      case FREE -> true;
    };
  }

  @Override
  public boolean misses() {
    return !isKept();
  }

  /** 1 where it is kept, else 0. */
  @Override
  public Optional<Double> credit() {
    return Optional.of(isKept() ? 1.0 : 0.0);
  }

  /** As the works do it. */
  TickScore mended() {
    return isKept() ? this : new TickScore(rule, !yes);
  }
}
