package penmirror.core.proposal;

import java.util.Map;
import java.util.Optional;
import penmirror.core.figure.Canon;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;

/**
 * Where the points of a realistic adult would lie on this figure: a place to begin from for what
 * neither pixels nor marked figures tell. Seldom right, and said to be so.
 */
final class CanonFigure {
  /** Of drawn figures about one point in twelve lies within a twentieth, docs/proposals.md. */
  private static final double CONFIDENCE = 0.08;

  private CanonFigure() {}

  /** Adds what is missing, as far as crown and chin are known; the body only of a whole figure. */
  static void addTo(Map<Landmark, Proposal.Proposed> working, boolean whole) {
    Proposal.Proposed crown = working.get(Landmark.CROWN);
    Proposal.Proposed chin = working.get(Landmark.CHIN);
    if (crown == null || chin == null || crown.place().distanceTo(chin.place()) < 1) {
      return;
    }
    HeadFrame head = new HeadFrame(crown.place(), chin.place());
    Marks canon = Canon.realistic();
    HeadFrame canonHead = canon.headFrame().orElseThrow();
    Optional<Point> sole =
        whole
            ? Optional.ofNullable(working.get(Landmark.SOLE)).map(Proposal.Proposed::place)
            : Optional.empty();
    for (Landmark landmark : canon.landmarks().keySet()) {
      Point there = canon.require(landmark);
      double sideways = canonHead.sideways(there);
      double height = canonHead.height(there);
      Optional<Point> place = Optional.empty();
      if (!FaceProposal.isOfTheBody(landmark) || isOfTheNeck(landmark)) {
        place = Optional.of(head.at(sideways, height));
      } else if (sole.isPresent()) {
        // Heights as shares of chin to sole: drawn figures have shorter bodies.
        double canonBody = canonHead.height(canon.require(Landmark.SOLE)) - 1;
        double y =
            chin.place().y() + (height - 1) / canonBody * (sole.get().y() - chin.place().y());
        place = Optional.of(new Point(chin.place().x() + sideways * head.headPixels(), y));
      }
      place.ifPresent(p -> working.putIfAbsent(landmark, new Proposal.Proposed(p, CONFIDENCE)));
    }
  }

  private static boolean isOfTheNeck(Landmark landmark) {
    return switch (landmark) {
      case NECK_L, NECK_R, NECK_BASE, SHOULDER_L, SHOULDER_R -> true;
      default -> false;
    };
  }
}
