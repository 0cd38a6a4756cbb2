package penmirror.web.plan;

import java.util.Arrays;
import java.util.Optional;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;

/**
 * How a guide shows the figure.
 *
 * @param facing which way a turned head looks; empty for the way most works look
 * @param pose number of the work whose pose it takes; then view and facing are that picture's
 */
public record GuideAsked(View view, Optional<Turn> facing, Optional<Long> pose) {
  static final GuideAsked FRONT = new GuideAsked(View.FRONT, Optional.empty(), Optional.empty());

  /** As an address says it; what it does not know is as if it were not said. */
  static GuideAsked of(String view, String facing, Optional<Long> pose) {
    return new GuideAsked(
        Arrays.stream(View.values())
            .filter(v -> v != View.BACK && v.word().equals(view))
            .findFirst()
            .orElse(View.FRONT),
        Arrays.stream(Turn.values())
            .filter(t -> t != Turn.AHEAD && t.word().equals(facing))
            .findFirst(),
        pose);
  }

  static GuideAsked turned(View view) {
    return new GuideAsked(view, Optional.empty(), Optional.empty());
  }

  /** As an address says it, empty for the front. */
  public String query() {
    if (pose.isPresent()) {
      return "?pose=" + pose.get();
    }
    return view == View.FRONT
        ? ""
        : "?view=" + view.word() + facing.map(turn -> "&facing=" + turn.word()).orElse("");
  }

  /** Whether a head is shown that looks aside. */
  public boolean isTurned() {
    return pose.isEmpty() && view != View.FRONT;
  }

  /** Whether it is this side that is shown, by its word. */
  public boolean shows(String side) {
    return pose.isEmpty() && view.word().equals(side);
  }

  /** A word for the name of a file. */
  String fileWord() {
    return pose.isPresent() ? "pose" : view == View.FRONT ? "guide" : "guide-" + view.word();
  }
}
