package penmirror.core.proposal;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;

/**
 * What the bodies of marked figures share: sideways counted from the hair's top in heads, heights
 * as shares of the way from the hair's top, or from the chin, down to the sole. Points that lie
 * elsewhere in every figure, such as hands, are not offered.
 */
final class LearnedBody {
  /** Less sure than this is no help. */
  private static final double LEAST_CONFIDENCE = 0.05;

  /** What one marked figure tells of where a trunk's points lie, and of limbs, in heads. */
  private static final double TRUNK_SPREAD = 0.09;

  private static final double LIMB_SPREAD = 0.3;

  private final LearnedShape headFrame;
  private final LearnedShape wholeFrame;
  private final double headsOfHeight;

  private LearnedBody(List<MarkedFigure> figures) {
    headFrame = LearnedShape.of(figures, LearnedBody::chinFrame, LearnedBody::leastSpread);
    headsOfHeight =
        figures.stream()
            .flatMap(figure -> headsOfHeight(figure.marks()).stream())
            .mapToDouble(heads -> heads)
            .average()
            .orElse(4);
    wholeFrame =
        LearnedShape.of(
            figures, LearnedBody::hairFrame, landmark -> leastSpread(landmark) / headsOfHeight);
  }

  /** Poses move limbs, hardly the trunk. */
  private static double leastSpread(Landmark landmark) {
    return switch (landmark) {
      case ELBOW_L, ELBOW_R, WRIST_L, WRIST_R, FINGERTIP_L, FINGERTIP_R -> LIMB_SPREAD;
      case KNEE_L, KNEE_R, ANKLE_L, ANKLE_R, HEEL_L, HEEL_R, TOE_L, TOE_R -> LIMB_SPREAD;
      default -> TRUNK_SPREAD;
    };
  }

  static Optional<LearnedBody> of(List<MarkedFigure> figures) {
    return figures.isEmpty() ? Optional.empty() : Optional.of(new LearnedBody(figures));
  }

  private static Optional<Double> headsOfHeight(Marks marks) {
    Optional<Point> hair = marks.point(Landmark.HAIR_TOP);
    Optional<Point> sole = marks.point(Landmark.SOLE);
    return marks
        .headFrame()
        .filter(frame -> hair.isPresent() && sole.isPresent())
        .map(frame -> (sole.get().y() - hair.get().y()) / frame.headPixels());
  }

  /** Origin at the chin, both ways in heads: for busts and for figures whose head is known. */
  private static Optional<LearnedShape.Frame> chinFrame(Marks marks) {
    return marks
        .headFrame()
        .map(head -> place -> place.minus(head.chin()).times(1 / head.headPixels()));
  }

  /** Origin at the hair's top, its distance to the sole the unit. */
  private static Optional<LearnedShape.Frame> hairFrame(Marks marks) {
    Optional<Point> hair = marks.point(Landmark.HAIR_TOP);
    Optional<Point> sole = marks.point(Landmark.SOLE);
    if (hair.isEmpty() || sole.isEmpty() || sole.get().y() - hair.get().y() < 10) {
      return Optional.empty();
    }
    double unit = sole.get().y() - hair.get().y();
    return Optional.of(place -> place.minus(hair.get()).times(1 / unit));
  }

  void addTo(Map<Landmark, Proposal.Proposed> working, boolean whole) {
    Proposal.Proposed crown = working.get(Landmark.CROWN);
    Proposal.Proposed chin = working.get(Landmark.CHIN);
    Proposal.Proposed hair = working.get(Landmark.HAIR_TOP);
    Proposal.Proposed sole = working.get(Landmark.SOLE);
    if (crown != null && chin != null) {
      double head = crown.place().distanceTo(chin.place());
      headFrame
          .places()
          .forEach(
              (landmark, place) -> {
                if (FaceProposal.isOfTheBody(landmark) && landmark != Landmark.SOLE) {
                  Point at = chin.place().plus(place.mean().times(head));
                  offer(working, landmark, at, place.spread());
                }
              });
    } else if (whole && hair != null && sole != null) {
      double unit = sole.place().y() - hair.place().y();
      wholeFrame
          .places()
          .forEach(
              (landmark, place) -> {
                if (landmark != Landmark.SOLE && landmark != Landmark.HAIR_TOP) {
                  Point at = hair.place().plus(place.mean().times(unit));
                  offer(working, landmark, at, place.spread() * headsOfHeight);
                }
              });
    }
  }

  /** Replaces a point from the silhouette only when surer. */
  private static void offer(
      Map<Landmark, Proposal.Proposed> working, Landmark landmark, Point at, double spreadHeads) {
    double confidence = Confidence.ofLearnedSpread(spreadHeads);
    Proposal.Proposed before = working.get(landmark);
    boolean surer = before == null || before.confidence() < confidence;
    if (confidence >= LEAST_CONFIDENCE && surer) {
      working.put(landmark, new Proposal.Proposed(at, confidence));
    }
  }
}
