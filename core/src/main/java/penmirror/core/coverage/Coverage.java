package penmirror.core.coverage;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import penmirror.core.figure.View;

/** How often each part was seen from each side, and what is missing. */
public final class Coverage {
  /** From so many pictures on a rule has a spread of its own (docs/scoring.md). */
  public static final int ENOUGH = 3;

  private final Map<Part, Map<View, Integer>> counts = new EnumMap<>(Part.class);

  /** Parts that could be missed: some picture shows enough of a figure for them. */
  private final Set<Part> asked = EnumSet.noneOf(Part.class);

  private Coverage() {}

  public static Coverage of(Collection<Sight> sights) {
    Coverage coverage = new Coverage();
    for (Part part : Part.values()) {
      if (sights.stream().anyMatch(sight -> sight.couldShow(part))) {
        coverage.asked.add(part);
      }
    }
    for (Part part : Part.values()) {
      Map<View, Integer> byView = new EnumMap<>(View.class);
      for (View view : View.values()) {
        byView.put(
            view,
            (int)
                sights.stream()
                    .filter(sight -> sight.view() == view && sight.parts().contains(part))
                    .count());
      }
      coverage.counts.put(part, byView);
    }
    return coverage;
  }

  /** How well a part is seen. */
  public enum State {
    /** Often enough for a rule with its own spread. */
    ENOUGH,
    /** Seen, but a rule from it has no spread of its own. */
    THIN,
    /** Not seen. */
    GAP,
    /** Cannot be seen from there, or nobody needs it: few studies draw anyone from behind. */
    NOT_NEEDED,
    /** No picture shows so much of a figure: a study of faces says nothing of feet. */
    NOT_ASKED
  }

  public int count(Part part, View view) {
    return counts.getOrDefault(part, Map.of()).getOrDefault(view, 0);
  }

  public State state(Part part, View view) {
    if (!part.canBeSeenFrom(view)) {
      return State.NOT_NEEDED;
    }
    if (!asked.contains(part)) {
      return State.NOT_ASKED;
    }
    int count = count(part, view);
    boolean isNotMissed =
        part.isTheSameFromEverySide() ? count(part) > 0 : view == View.BACK && isUnseen(view);
    if (count == 0 && isNotMissed) {
      return State.NOT_NEEDED;
    }
    return count >= ENOUGH ? State.ENOUGH : count > 0 ? State.THIN : State.GAP;
  }

  /** How many pictures show the part from any side. */
  public int count(Part part) {
    return counts.getOrDefault(part, Map.of()).values().stream().mapToInt(i -> i).sum();
  }

  private boolean isUnseen(View view) {
    return counts.values().stream().allMatch(byView -> byView.getOrDefault(view, 0) == 0);
  }

  /** What missing something costs. */
  public sealed interface Cost permits NoView, Unseen, SeenFewTimes {}

  /** No picture from that side: rules of that side will be missing. */
  public record NoView(View view) implements Cost {}

  /** Never seen, from no side: it has to be improvised. */
  public record Unseen(Part part) implements Cost {}

  /**
   * Seen, but not often enough for a spread.
   *
   * @param missing so many more pictures are needed
   */
  public record SeenFewTimes(Part part, int count, int missing) implements Cost {}

  /** Whether nothing was seen at all: then there is nothing to miss. */
  public boolean isEmpty() {
    return asked.isEmpty();
  }

  /** Heaviest first: whole sides, then parts never seen, then parts seen too seldom. */
  public List<Cost> costs() {
    List<Cost> costs = new ArrayList<>();
    for (View view : List.of(View.FRONT, View.THREE_QUARTER, View.SIDE)) {
      if (!isEmpty() && isUnseen(view)) {
        costs.add(new NoView(view));
      }
    }
    for (Part part : Part.values()) {
      if (count(part) == 0 && asked.contains(part)) {
        costs.add(new Unseen(part));
      }
    }
    for (Part part : Part.values()) {
      int count = count(part);
      if (count > 0 && count < ENOUGH) {
        costs.add(new SeenFewTimes(part, count, ENOUGH - count));
      }
    }
    return List.copyOf(costs);
  }
}
