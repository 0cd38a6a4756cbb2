package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.View;

/**
 * What somebody who looks a picture over has to be asked: little, and only what the picture can
 * show. The rest is taken as it was seen.
 *
 * @param taken points that are likely right and count once somebody says that it looks right
 * @param doubts points that decide much and are not sure, the least likely first
 * @param isViewDoubtful whether the side it is seen from has to be asked
 * @param isFramingDoubtful whether it has to be asked how much of the figure it shows
 */
public record ToAsk(
    Set<Landmark> taken, List<Landmark> doubts, boolean isViewDoubtful, boolean isFramingDoubtful) {

  /** Points by which a head is read. */
  private static final Set<Landmark> OF_A_HEAD =
      EnumSet.of(
          Landmark.CROWN,
          Landmark.CHIN,
          Landmark.EYE_L_OUTER,
          Landmark.EYE_L_INNER,
          Landmark.EYE_R_INNER,
          Landmark.EYE_R_OUTER,
          Landmark.NOSE_BASE,
          Landmark.MOUTH_L,
          Landmark.MOUTH_R);

  /** Of a head from the side only these are on its outline. */
  private static final Set<Landmark> OF_A_PROFILE = EnumSet.of(Landmark.CROWN, Landmark.CHIN);

  /** Points by which a body is read, beside the head's; a bust's shoulders are mostly cut. */
  private static final Set<Landmark> OF_A_BODY =
      EnumSet.of(Landmark.SHOULDER_L, Landmark.SHOULDER_R, Landmark.CROTCH, Landmark.SOLE);

  /** Points that nobody is asked about are taken from this chance on. */
  private static final double LIKELY = 0.6;

  public ToAsk {
    taken = Set.copyOf(taken);
    doubts = List.copyOf(doubts);
  }

  /**
   * @param framing how much of the figure it shows; empty where there is none
   */
  public static ToAsk of(FirstSight sight, View view, Optional<Framing> framing) {
    Set<Landmark> needed = needed(view, framing);
    Map<Landmark, Proposal.Proposed> points = sight.proposal().points();
    List<Landmark> doubts = new ArrayList<>();
    Set<Landmark> taken = EnumSet.noneOf(Landmark.class);
    for (Landmark landmark : Landmark.values()) {
      boolean hasPlace = framing.filter(f -> f.canShow(landmark)).isPresent();
      double chance = chance(points, landmark);
      if (needed.contains(landmark)
          && chance < FirstSight.SURE_POINT
          && points.containsKey(landmark)) {
        doubts.add(landmark);
      } else if (hasPlace && chance >= LIKELY && FirstSight.isLookedFor(landmark)) {
        taken.add(landmark);
      }
    }
    doubts.sort(Comparator.comparingDouble(landmark -> chance(points, landmark)));
    return new ToAsk(
        taken,
        doubts,
        !needed.isEmpty() && isDoubtful(sight.view(), Optional.of(view)),
        isDoubtful(sight.framing(), framing));
  }

  private static double chance(Map<Landmark, Proposal.Proposed> points, Landmark landmark) {
    Proposal.Proposed proposed = points.get(landmark);
    return proposed == null ? 0 : proposed.confidence();
  }

  /** What somebody said otherwise than it was seen is beyond doubt. */
  private static <T> boolean isDoubtful(Optional<FirstSight.Seen<T>> seen, Optional<T> said) {
    return said.isEmpty()
        || seen.isEmpty()
        || seen.get().what().equals(said.get()) && !seen.get().isSure();
  }

  private static Set<Landmark> needed(View view, Optional<Framing> framing) {
    Set<Landmark> needed = EnumSet.noneOf(Landmark.class);
    if (framing.isEmpty() || framing.get() == Framing.DETAIL || view == View.BACK) {
      return needed;
    }
    needed.addAll(view == View.SIDE ? OF_A_PROFILE : OF_A_HEAD);
    if (framing.get() == Framing.FULL) {
      needed.addAll(OF_A_BODY);
    }
    return needed;
  }

  /** Whether nothing has to be asked. */
  public boolean isSure() {
    return count() == 0;
  }

  /** How many questions there are. */
  public int count() {
    return doubts.size() + (isViewDoubtful ? 1 : 0) + (isFramingDoubtful ? 1 : 0);
  }
}
