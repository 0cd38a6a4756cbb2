package penmirror.core.scoring;

import penmirror.core.style.Ticked;

/**
 * A statement that the works hold to, answered of a redraw.
 *
 * @param yes whether it holds of the redraw
 */
public record TickScore(Ticked ticked, boolean yes) {
  /** What only most of them do weighs half. */
  private static final double USUAL_WEIGHT = 0.5;

  public TickScore {
    if (!isRule(ticked)) {
      throw new IllegalArgumentException("Works do " + ticked.key() + " as often as not.");
    }
  }

  /** Whether the works hold to it, one way or the other. */
  public static boolean isRule(Ticked ticked) {
    return ticked.holds() != Ticked.Holds.FREE;
  }

  /** Whether the redraw does as the works do. */
  public boolean isKept() {
    return switch (ticked.holds()) {
      case ALWAYS, USUALLY -> yes;
      case SELDOM, NEVER -> !yes;
      case FREE -> true;
    };
  }

  /** 1 where it is kept, else 0. */
  public double credit() {
    return isKept() ? 1 : 0;
  }

  /** As acts weigh: 1 for what is always or never so. */
  public double weight() {
    return switch (ticked.holds()) {
      case ALWAYS, NEVER -> 1;
      case USUALLY, SELDOM, FREE -> USUAL_WEIGHT;
    };
  }
}
