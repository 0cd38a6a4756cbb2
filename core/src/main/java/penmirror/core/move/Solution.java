package penmirror.core.move;

/** What a search for an amount came to. */
public sealed interface Solution {

  /** The amount that brings the measure to its target. */
  record Reached(double amount) implements Solution {}

  /** However far the move goes, the measure does not come there. */
  record OutOfReach() implements Solution {}

  /** The measure cannot be read on these marks. */
  record Unreadable() implements Solution {}
}
