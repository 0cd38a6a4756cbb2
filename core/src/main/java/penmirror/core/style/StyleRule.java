package penmirror.core.style;

import java.util.Optional;
import penmirror.core.act.Act;

/**
 * What works hold to: the band of a measure, be it of the catalogue, the step of one colour by its
 * role, or a ratio of the user's own; or a statement that no ruler gives.
 */
public sealed interface StyleRule permits Rule, Ticked {

  /** What a hand does for it; empty for what is no manner of drawing. */
  Optional<Act> act();

  /** How much it counts, 0 or more; 0 is shown and not scored. */
  double weight();

  /** Works it stands on, 1 or more. */
  int readingCount();

  default boolean isScored() {
    return weight() > 0;
  }
}
