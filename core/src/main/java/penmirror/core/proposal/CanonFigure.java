package penmirror.core.proposal;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;
import penmirror.core.figure.Canon;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;

/**
 * Where the points of a realistic adult would lie on this figure: a place to begin from for what
 * neither pixels nor marked figures tell. Seldom right, and said to be so.
 */
final class CanonFigure {
  /** Of drawn faces seen from the front about one such point in three lies within a twentieth. */
  private static final double IN_A_FACE = 0.3;

  /** Of turned faces and of bodies one in twenty, docs/proposals.md. */
  private static final double ELSEWHERE = 0.05;

  /** What gives the canon its heights, from above. */
  private static final List<List<Landmark>> LEVELS =
      List.of(
          List.of(
              Landmark.EYE_L_OUTER,
              Landmark.EYE_L_INNER,
              Landmark.EYE_R_INNER,
              Landmark.EYE_R_OUTER),
          List.of(Landmark.NOSE_BASE),
          List.of(Landmark.MOUTH_L, Landmark.MOUTH_R));

  private CanonFigure() {}

  /** Adds what is missing, as far as crown and chin are known; the body only of a whole figure. */
  static void addTo(Map<Landmark, Proposal.Proposed> working, boolean whole, View view) {
    Proposal.Proposed crown = working.get(Landmark.CROWN);
    Proposal.Proposed chin = working.get(Landmark.CHIN);
    if (crown == null || chin == null || crown.place().distanceTo(chin.place()) < 1) {
      return;
    }
    HeadFrame head = new HeadFrame(crown.place(), chin.place());
    Marks canon = Canon.realistic();
    HeadFrame canonHead = canon.headFrame().orElseThrow();
    TreeMap<Double, Double> heights = heights(canon, canonHead, working, head);
    double[] cheeks = cheeks(canonHead, canon::point);
    double[] found = cheeks(head, landmark -> place(working, landmark));
    pupils(canon, working);
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
        boolean isWide = cheeks.length == 2 && found.length == 2 && found[1] > found[0];
        double across =
            isWide
                ? found[0]
                    + (sideways - cheeks[0]) * (found[1] - found[0]) / (cheeks[1] - cheeks[0])
                : sideways;
        place = Optional.of(head.at(across, stretched(heights, height)));
      } else if (sole.isPresent()) {
        // Heights as shares of chin to sole: drawn figures have shorter bodies.
        double canonBody = canonHead.height(canon.require(Landmark.SOLE)) - 1;
        double y =
            chin.place().y() + (height - 1) / canonBody * (sole.get().y() - chin.place().y());
        place = Optional.of(new Point(chin.place().x() + sideways * head.headPixels(), y));
      }
      boolean inAFace = view == View.FRONT && !FaceProposal.isOfTheBody(landmark);
      double chance = inAFace ? IN_A_FACE : ELSEWHERE;
      place.ifPresent(p -> working.putIfAbsent(landmark, new Proposal.Proposed(p, chance)));
    }
  }

  private static Optional<Point> place(
      Map<Landmark, Proposal.Proposed> working, Landmark landmark) {
    return Optional.ofNullable(working.get(landmark)).map(Proposal.Proposed::place);
  }

  /** Heights of what was found, by the heights the canon has it at; crown 0 and chin 1. */
  private static TreeMap<Double, Double> heights(
      Marks canon, HeadFrame canonHead, Map<Landmark, Proposal.Proposed> working, HeadFrame head) {
    TreeMap<Double, Double> heights = new TreeMap<>(Map.of(0.0, 0.0, 1.0, 1.0));
    for (List<Landmark> level : LEVELS) {
      double canonHeight =
          level.stream().mapToDouble(l -> canonHead.height(canon.require(l))).average().orElse(0);
      level.stream()
          .flatMap(landmark -> place(working, landmark).stream())
          .mapToDouble(head::height)
          .average()
          .ifPresent(
              height -> {
                boolean inOrder =
                    height > heights.lowerEntry(canonHeight).getValue()
                        && height < heights.higherEntry(canonHeight).getValue();
                if (inOrder) {
                  heights.put(canonHeight, height);
                }
              });
    }
    return heights;
  }

  /** A height of the canon, drawn out between what was found above and below it. */
  private static double stretched(TreeMap<Double, Double> heights, double height) {
    Map.Entry<Double, Double> above = heights.floorEntry(height);
    Map.Entry<Double, Double> below = heights.ceilingEntry(height);
    if (above == null || below == null) {
      return height;
    }
    double span = below.getKey() - above.getKey();
    double share = span > 0 ? (height - above.getKey()) / span : 0;
    return above.getValue() + share * (below.getValue() - above.getValue());
  }

  /** Sideways places of both cheeks, in heads; empty when one is not known. */
  private static double[] cheeks(HeadFrame head, Function<Landmark, Optional<Point>> places) {
    return Stream.of(Landmark.CHEEK_L, Landmark.CHEEK_R)
        .flatMap(landmark -> places.apply(landmark).stream())
        .mapToDouble(head::sideways)
        .toArray();
  }

  /** A pupil is sought from its iris, which is seen far better than the middle of the head. */
  private static void pupils(Marks canon, Map<Landmark, Proposal.Proposed> working) {
    for (Side side : Side.values()) {
      Landmark centre = side.of(Landmark.IRIS_L_CENTRE);
      Landmark edge = side.of(Landmark.IRIS_L_EDGE);
      Landmark pupil = side.of(Landmark.PUPIL_L);
      Optional<Point> middle = place(working, centre);
      Optional<Point> rim = place(working, edge);
      if (middle.isPresent() && rim.isPresent()) {
        Point canonCentre = canon.require(centre);
        double share =
            canonCentre.distanceTo(canon.require(pupil))
                / canonCentre.distanceTo(canon.require(edge));
        Point place = middle.get().plus(rim.get().minus(middle.get()).times(share));
        // They lie within a twentieth about as often as their irises.
        Proposal.Proposed iris = Objects.requireNonNull(working.get(centre));
        working.putIfAbsent(pupil, new Proposal.Proposed(place, iris.confidence()));
      }
    }
  }

  private static boolean isOfTheNeck(Landmark landmark) {
    return switch (landmark) {
      case NECK_L, NECK_R, NECK_BASE, SHOULDER_L, SHOULDER_R -> true;
      default -> false;
    };
  }
}
