package penmirror.core.proposal;

import java.util.Optional;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;

/** Tells how much of a figure a picture shows, by how much of it lies below the head. */
final class FramingReader {
  /** Heads below the chin up to which a picture is of the face alone. */
  private static final double FACE_ENDS = 0.55;

  /** Heads below the chin up to which a figure that the lower edge cuts is a bust. */
  private static final double BUST_ENDS = 2.3;

  /** Heads below the chin that the smallest whole figure has. */
  private static final double WHOLE_BEGINS = 0.9;

  /** How sharply a chance turns from one to the other at these, in heads. */
  private static final double STEP = 0.09;

  /** A chin is believed from this chance on; else the silhouette's neck stands for it. */
  private static final double CHIN_BELIEVED = 0.3;

  /** So many edges of the picture cut a figure of which only a part is shown. */
  private static final int EDGES_OF_A_DETAIL = 3;

  private static final double DETAIL_CHANCE = 0.5;

  private FramingReader() {}

  /** Empty where no figure stands out. */
  static Optional<FirstSight.Seen<Framing>> read(
      Ground ground, ViewReader.Told told, Proposal proposal) {
    if (told.view().isEmpty()) {
      return edges(ground) >= EDGES_OF_A_DETAIL
          ? Optional.of(new FirstSight.Seen<>(Framing.DETAIL, DETAIL_CHANCE))
          : Optional.empty();
    }
    double head = told.head().height();
    double chin = told.head().bottom();
    Optional<Proposal.Proposed> seenChin = proposal.point(Landmark.CHIN);
    Optional<Proposal.Proposed> seenCrown = proposal.point(Landmark.CROWN);
    boolean isSeen =
        seenChin.isPresent()
            && seenCrown.isPresent()
            && seenChin.get().confidence() >= CHIN_BELIEVED
            && told.view().get().what() != View.SIDE;
    if (isSeen) {
      Point place = ground.toWorking(seenChin.get().place());
      head = place.distanceTo(ground.toWorking(seenCrown.get().place()));
      chin = place.y();
    }
    double below = (ground.bottom - chin) / Math.max(1, head);
    double known = isSeen ? 1 : 0.9;
    if (BodyReader.isWhole(ground)) {
      double whole = rises(below, WHOLE_BEGINS);
      return Optional.of(
          whole >= 0.5
              ? new FirstSight.Seen<>(Framing.FULL, known * whole)
              : new FirstSight.Seen<>(
                  below < FACE_ENDS ? Framing.FACE : Framing.BUST, known * (1 - whole)));
    }
    double face = 1 - rises(below, FACE_ENDS);
    double full = rises(below, BUST_ENDS);
    double bust = Math.max(0, 1 - face - full);
    Framing framing =
        face >= bust && face >= full ? Framing.FACE : bust >= full ? Framing.BUST : Framing.FULL;
    return Optional.of(
        new FirstSight.Seen<>(framing, known * Math.max(face, Math.max(bust, full))));
  }

  private static double rises(double value, double at) {
    return 1 / (1 + Math.exp((at - value) / STEP));
  }

  private static int edges(Ground ground) {
    return (ground.left <= 1 ? 1 : 0)
        + (ground.top <= 1 ? 1 : 0)
        + (ground.right >= ground.width - 1 ? 1 : 0)
        + (ground.bottom >= ground.height - 1 ? 1 : 0);
  }
}
