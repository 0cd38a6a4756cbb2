package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import penmirror.core.figure.Landmark;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Similarity;

/**
 * Joins what was seen of a face with what marked faces share, and states how sure each point is.
 */
final class FaceProposal {
  /** Seen on its own account: a point that fits the marked ones stays where it was seen. */
  private static final Set<Landmark> EYES =
      both(
          Landmark.EYE_L_OUTER,
          Landmark.EYE_L_INNER,
          Landmark.EYE_L_TOP,
          Landmark.EYE_L_BOTTOM,
          Landmark.LASH_L_TOP,
          Landmark.IRIS_L_CENTRE,
          Landmark.IRIS_L_EDGE,
          Landmark.IRIS_L_TOP);

  private static final Set<Landmark> BROWS = both(Landmark.BROW_L_OUTER, Landmark.BROW_L_INNER);
  private static final Set<Landmark> MOUTH =
      EnumSet.of(Landmark.MOUTH_L, Landmark.MOUTH_R, Landmark.MOUTH_TOP, Landmark.MOUTH_BOTTOM);

  /** The mean shape of marked faces is laid on these. */
  private static final List<Landmark> ANCHORS =
      List.of(
          Landmark.EYE_L_OUTER,
          Landmark.EYE_L_INNER,
          Landmark.EYE_R_INNER,
          Landmark.EYE_R_OUTER,
          Landmark.NOSE_BASE,
          Landmark.MOUTH_L,
          Landmark.MOUTH_R);

  private final Face face;
  private final double score;
  private final double margin;
  private final double headUnits;
  private final boolean turned;

  private FaceProposal(Face face, double score, double margin, boolean turned) {
    this.face = face;
    this.turned = turned;
    this.score = score;
    this.margin = margin;
    Point crown = face.place(Landmark.CROWN).orElse(new Point(0, -1.2));
    headUnits = crown.distanceTo(face.place(Landmark.CHIN).orElse(new Point(0, 1.4)));
  }

  /**
   * In working pixels.
   *
   * @param turned whether the head is in three-quarter view
   */
  static Map<Landmark, Proposal.Proposed> of(
      Face face,
      double score,
      double margin,
      boolean turned,
      Optional<Learned> learned,
      double likeness) {
    FaceProposal proposal = new FaceProposal(face, score, margin, turned);
    Map<Landmark, Proposal.Proposed> framed =
        learned.map(l -> proposal.joined(l, likeness)).orElseGet(proposal::seen);
    double right = learned.isPresent() ? Confidence.ofPair(score, likeness) : 1;
    Map<Landmark, Proposal.Proposed> working = new EnumMap<>(Landmark.class);
    framed.forEach(
        (landmark, proposed) ->
            working.put(
                landmark,
                new Proposal.Proposed(
                    face.eyes().at(proposed.place().x(), proposed.place().y()),
                    // The hair's top is seen whether or not these are the eyes.
                    landmark == Landmark.HAIR_TOP
                        ? proposed.confidence()
                        : right * proposed.confidence())));
    return working;
  }

  private Map<Landmark, Proposal.Proposed> seen() {
    Map<Landmark, Proposal.Proposed> points = new EnumMap<>(Landmark.class);
    face.found()
        .forEach(
            (landmark, found) ->
                points.put(
                    landmark, new Proposal.Proposed(found.place(), confidence(landmark, found))));
    return points;
  }

  private double confidence(Landmark landmark, Face.Found found) {
    return Confidence.of(landmark, face.eyes(), score, margin, found, turned);
  }

  /** Seen points that fit stay; the others, and what cannot be seen, come from the mean shape. */
  private Map<Landmark, Proposal.Proposed> joined(Learned learned, double likeness) {
    Map<Landmark, Proposal.Proposed> points = new EnumMap<>(Landmark.class);
    Similarity onto = onto(learned.shape());
    learned
        .shape()
        .places()
        .forEach(
            (landmark, place) -> {
              Face.Found found = face.found().get(landmark);
              Point expected = landmark == Landmark.CROWN ? place.mean() : onto.apply(place.mean());
              boolean isOfTheHead =
                  landmark.set() == Landmark.Set.HEAD || landmark.set() == Landmark.Set.QUICK;
              if (isOfTheHead && !isOfTheBody(landmark)) {
                points.put(landmark, joined(landmark, found, expected, place, likeness));
              }
            });
    face.found()
        .forEach(
            (landmark, found) ->
                points.putIfAbsent(
                    landmark, new Proposal.Proposed(found.place(), confidence(landmark, found))));
    return points;
  }

  static boolean isOfTheBody(Landmark landmark) {
    return switch (landmark) {
      case SHOULDER_L, SHOULDER_R, CROTCH, SOLE -> true;
      default -> landmark.set() == Landmark.Set.FULL;
    };
  }

  private Proposal.Proposed joined(
      Landmark landmark,
      Face.@Nullable Found found,
      Point expected,
      LearnedShape.Place place,
      double likeness) {
    double known = Confidence.ofLearnedSpread(place.spread() / headUnits);
    // Under a hat a crown is seen too high: the marked ones tell it better.
    if (found == null || landmark == Landmark.CROWN) {
      return new Proposal.Proposed(expected, known);
    }
    double off = found.place().distanceTo(expected) / place.spread();
    double most = MOUTH.contains(landmark) ? 9 : BROWS.contains(landmark) ? 3.5 : 2.6;
    boolean seenItself =
        EYES.contains(landmark)
            || BROWS.contains(landmark)
            || MOUTH.contains(landmark)
            || landmark == Landmark.NOSE_BASE
            || landmark == Landmark.HAIR_TOP;
    if (seenItself) {
      boolean stays = landmark == Landmark.HAIR_TOP || (!found.generic() && off <= most);
      return stays
          ? new Proposal.Proposed(
              found.place(), Confidence.agreeing(confidence(landmark, found), off, likeness))
          : new Proposal.Proposed(expected, known);
    }
    double seenSpread = seenSpread(landmark);
    double seenWeight = 1 / (seenSpread * seenSpread);
    double knownWeight = 1 / (place.spread() * place.spread());
    Point blended =
        found
            .place()
            .times(seenWeight / (seenWeight + knownWeight))
            .plus(expected.times(knownWeight / (seenWeight + knownWeight)));
    double spread = Math.sqrt(1 / (seenWeight + knownWeight));
    return new Proposal.Proposed(blended, Confidence.ofLearnedSpread(spread / headUnits));
  }

  /** How far off the nets see what is no eye, brow, mouth or nose, in eye distances. */
  private static double seenSpread(Landmark landmark) {
    return switch (landmark) {
      case CHIN, CHEEK_L, CHEEK_R -> 0.08;
      case JAW_L, JAW_R -> 0.12;
      case HAIRLINE, EAR_L_TOP, EAR_L_BASE, EAR_R_TOP, EAR_R_BASE -> 0.1;
      case HAIR_L, HAIR_R, NOSE_TOP -> 0.15;
      default -> 0.25;
    };
  }

  /** Robust: points that lie far off count little. */
  private Similarity onto(LearnedShape shape) {
    List<Point> from = new ArrayList<>();
    List<Point> to = new ArrayList<>();
    for (Landmark landmark : ANCHORS) {
      Face.Found found = face.found().get(landmark);
      if (found != null && !found.generic() && shape.place(landmark).isPresent()) {
        from.add(shape.place(landmark).get().mean());
        to.add(found.place());
      }
    }
    Similarity same = new Similarity(1, 0, 0, 0);
    if (from.size() < 3) {
      return same;
    }
    Similarity fit = Similarity.fit(from, to);
    for (int round = 0; round < 3; round++) {
      List<Point> goodFrom = new ArrayList<>();
      List<Point> goodTo = new ArrayList<>();
      for (int i = 0; i < from.size(); i++) {
        if (fit.apply(from.get(i)).distanceTo(to.get(i)) < 0.24) {
          goodFrom.add(from.get(i));
          goodTo.add(to.get(i));
        }
      }
      if (goodFrom.size() >= 3) {
        fit = Similarity.fit(goodFrom, goodTo);
      }
    }
    return fit.scale() < 0.7 || fit.scale() > 1.4 ? same : fit;
  }

  private static Set<Landmark> both(Landmark... left) {
    Set<Landmark> set = EnumSet.noneOf(Landmark.class);
    for (Landmark landmark : left) {
      set.add(landmark);
      set.add(landmark.mirrored());
    }
    return set;
  }
}
