package penmirror.core.proposal;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;

/**
 * What a picture shows at first sight: what the machine thinks before anybody has looked.
 *
 * @param view empty where no figure stands out
 * @param framing empty where no figure stands out
 * @param turn empty where the figure looks ahead or nothing tells
 * @param moods the chance of each that the face may wear, by the face alone; empty where none is
 *     seen from the front or in three-quarter view
 * @param proposal the landmarks, for the view that is most likely
 * @param figures where there are several that stand free of each other, from left to right; else
 *     none
 */
public record FirstSight(
    Optional<Seen<View>> view,
    Optional<Seen<Framing>> framing,
    Optional<Seen<Turn>> turn,
    Map<Mood, Double> moods,
    Proposal proposal,
    List<Proposal.Box> figures) {

  public FirstSight {
    moods = Map.copyOf(moods);
    figures = List.copyOf(figures);
  }

  /** Of one figure, of whose mood nothing is seen. */
  public FirstSight(
      Optional<Seen<View>> view,
      Optional<Seen<Framing>> framing,
      Optional<Seen<Turn>> turn,
      Proposal proposal) {
    this(view, framing, turn, Map.of(), proposal, List.of());
  }

  /**
   * What is most likely.
   *
   * @param chance that it is right, 0 to 1
   */
  public record Seen<T>(T what, double chance) {

    /** Whether nobody need be asked. */
    public boolean isSure() {
      return chance >= SURE;
    }
  }

  /** A pupil stands where it usually does in its iris: how large it is was not seen. */
  private static final Set<Landmark> NOT_SEEN = EnumSet.of(Landmark.PUPIL_L, Landmark.PUPIL_R);

  /** A point is not asked about from this chance on; with less it would tell what is not so. */
  static final double SURE_POINT = 0.7;

  /** Whether a landmark is looked for in the picture, and not only put where it usually is. */
  static boolean isLookedFor(Landmark landmark) {
    return !NOT_SEEN.contains(landmark);
  }

  /**
   * The points that nobody need be asked about.
   *
   * @param state they are given
   */
  public Marks sure(Mark.State state) {
    Marks marks = Marks.none(proposal.view());
    for (Map.Entry<Landmark, Proposal.Proposed> entry : proposal.points().entrySet()) {
      if (entry.getValue().confidence() >= SURE_POINT && isLookedFor(entry.getKey())) {
        marks = marks.with(entry.getKey(), Mark.at(entry.getValue().place(), state));
      }
    }
    return marks;
  }

  /** From here on it is right in nineteen of twenty, docs/first-sight.md. */
  private static final double SURE = 0.85;
}
