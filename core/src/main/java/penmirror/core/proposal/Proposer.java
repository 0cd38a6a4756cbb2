package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Side;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;

/**
 * Proposes the landmarks of a figure: from the picture alone, and better with every figure of the
 * study that is marked.
 *
 * <p>From the front and in a three-quarter view the pair of eyes is found first, by rules and by
 * what a net sees round it, then the face in the frame of the eyes, by rules and nets, then the
 * body from the silhouette. From the side and from behind only what the silhouette tells is
 * proposed, and what marked figures of that view share.
 */
public final class Proposer {
  /** Raised when the same picture would be seen otherwise. */
  public static final int ALGORITHM_VERSION = 3;

  /** Pairs whose whole face is read before one is chosen, once faces are marked. */
  private static final int FACES_READ = 2;

  /** A face like a marked one, against all else that speaks for a pair. */
  private static final double LIKENESS_WEIGHT = 6;

  private static final double ORIENTATION_WEIGHT = 4;

  /** A pair that leads by so much needs no second look. */
  private static final double CLEAR_LEAD = 3;

  private static final double KNOWN = 1;

  /** A point this far off the picture, of its longer side, still lies on its edge. */
  private static final double BEYOND = 0.01;

  /** With a pair that scores less, the upper figure is looked at closer. */
  private static final double UNSURE_SCORE = 10;

  /** Working pixels of a figure whose upper part is worth a look of its own. */
  private static final int LEAST_TO_CUT = 200;

  /** A pair that is marked is the eyes beyond doubt. */
  private static final double KNOWN_SCORE = 20;

  private final List<MarkedFigure> marked;

  /**
   * @param marked figures of the study; those of another view than the picture's are passed over
   */
  public Proposer(List<MarkedFigure> marked) {
    this.marked = List.copyOf(marked);
  }

  /** What is proposed for a picture of this view before anything is marked on it. */
  public Proposal propose(Picture picture, View view) {
    return propose(picture, Marks.none(view));
  }

  /**
   * What is proposed for the rest, once some points are marked. Eyes that are marked decide where
   * the face is; marked points are not proposed again.
   */
  public Proposal propose(Picture picture, Marks known) {
    Ground ground = new Ground(picture);
    return propose(ground, known, Optional.empty());
  }

  /**
   * What a picture shows before anybody said anything of it: from which side, how much of a figure,
   * and where its landmarks probably lie.
   */
  public FirstSight look(Picture picture) {
    Ground ground = new Ground(picture);
    Sought sought = seek(ground);
    ViewReader.Told told = ViewReader.read(sought);
    View view = told.view().map(FirstSight.Seen::what).orElse(View.FRONT);
    Proposal proposal = propose(ground, Marks.none(view), Optional.of(sought));
    return new FirstSight(
        told.view(),
        FramingReader.read(ground, told, proposal),
        told.turn(),
        moods(sought, proposal),
        proposal,
        SeveralFigures.of(ground));
  }

  /** Of the face round the eyes that are proposed, where the likeliest pair looks like a face. */
  private static Map<Mood, Double> moods(Sought sought, Proposal proposal) {
    Optional<EyePair> likeliest = sought.pairs().stream().findFirst();
    Optional<Point> left = eye(sought.whole(), proposal, Side.LEFT);
    Optional<Point> right = eye(sought.whole(), proposal, Side.RIGHT);
    if (likeliest.filter(eyes -> eyes.face() > 0).isEmpty() || left.isEmpty() || right.isEmpty()) {
      return Map.of();
    }
    return TaughtFace.moods(sought.whole(), new EyeFrame(left.get(), right.get()));
  }

  /** Its middle, in working pixels. */
  private static Optional<Point> eye(Ground ground, Proposal proposal, Side side) {
    Proposal.Proposed outer = proposal.points().get(side.of(Landmark.EYE_L_OUTER));
    Proposal.Proposed inner = proposal.points().get(side.of(Landmark.EYE_L_INNER));
    return outer == null || inner == null
        ? Optional.empty()
        : Optional.of(ground.toWorking(outer.place().midpointTo(inner.place())));
  }

  private Proposal propose(Ground ground, Marks known, Optional<Sought> sought) {
    View view = known.view();
    Picture picture = ground.picture;
    List<MarkedFigure> alike =
        marked.stream().filter(figure -> figure.marks().view() == view).toList();
    Map<Landmark, Proposal.Proposed> working = new EnumMap<>(Landmark.class);
    if (view == View.FRONT || view == View.THREE_QUARTER) {
      working.putAll(face(ground, alike, known, sought));
    }
    known
        .landmarks()
        .forEach(
            (landmark, mark) ->
                mark.point()
                    .ifPresent(
                        place ->
                            working.put(
                                landmark, new Proposal.Proposed(ground.toWorking(place), KNOWN))));
    silhouette(ground, alike, view, working);
    working.keySet().removeAll(known.landmarks().keySet());
    Map<Landmark, Proposal.Proposed> points = new EnumMap<>(Landmark.class);
    working.forEach(
        (landmark, proposed) -> {
          Point place = ground.toPicture(proposed.place().x(), proposed.place().y());
          double x = Math.max(0, Math.min(picture.widthPixels(), place.x()));
          double y = Math.max(0, Math.min(picture.heightPixels(), place.y()));
          double beyond = Math.hypot(place.x() - x, place.y() - y);
          if (beyond > BEYOND * Math.max(picture.widthPixels(), picture.heightPixels())) {
            return; // Cut off by the picture's edge.
          }
          double chance =
              alike.isEmpty()
                  ? proposed.confidence()
                  : Confidence.withMarked(landmark, proposed.confidence());
          points.put(landmark, new Proposal.Proposed(new Point(x, y), chance));
        });
    return new Proposal(
        view,
        points,
        new Proposal.Box(
            ground.left / ground.scale,
            ground.top / ground.scale,
            ground.right / ground.scale,
            ground.bottom / ground.scale));
  }

  // ---- the face
  // ----------------------------------------------------------------------------------

  private record Candidate(Face face, double score, Optional<Learned> learned, double likeness) {}

  /**
   * Pairs that may be eyes, the best first.
   *
   * @param whole the picture
   * @param upper set where the pairs were found on a closer look at the upper figure
   */
  record Sought(Ground whole, Optional<UpperFigure> upper, List<EyePair> pairs) {

    /** On which the pairs were found. */
    Ground ground() {
      return upper.map(UpperFigure::ground).orElse(whole);
    }
  }

  static Sought seek(Ground ground) {
    return seek(ground, TaughtFace::ordered);
  }

  /**
   * @param order what is made of the pairs that were found on a ground
   */
  static Sought seek(Ground ground, BiFunction<Ground, List<EyePair>, List<EyePair>> order) {
    List<EyePair> pairs = pairs(ground, order);
    Sought plain = new Sought(ground, Optional.empty(), pairs);
    if (score(pairs) >= UNSURE_SCORE || ground.boxHeight() < LEAST_TO_CUT) {
      return plain;
    }
    UpperFigure upper = UpperFigure.of(ground);
    List<EyePair> closer = pairs(upper.ground(), order);
    return score(closer) <= score(pairs) ? plain : new Sought(ground, Optional.of(upper), closer);
  }

  private Map<Landmark, Proposal.Proposed> face(
      Ground ground, List<MarkedFigure> alike, Marks known, Optional<Sought> before) {
    Optional<EyePair> eyes = knownEyes(ground, known);
    if (eyes.isPresent()) {
      return face(ground, List.of(eyes.get()), alike, known);
    }
    Sought sought = before.orElseGet(() -> seek(ground));
    Map<Landmark, Proposal.Proposed> found = face(sought.ground(), sought.pairs(), alike, known);
    if (sought.upper().isEmpty()) {
      return found;
    }
    UpperFigure upper = sought.upper().get();
    Map<Landmark, Proposal.Proposed> points = new EnumMap<>(Landmark.class);
    found.forEach(
        (landmark, proposed) ->
            points.put(
                landmark,
                new Proposal.Proposed(
                    upper.toWorkingOf(ground, proposed.place()), proposed.confidence())));
    return points;
  }

  private static double score(List<EyePair> pairs) {
    return pairs.isEmpty() ? Double.NEGATIVE_INFINITY : TaughtFace.rank(pairs.get(0));
  }

  private static List<EyePair> pairs(
      Ground ground, BiFunction<Ground, List<EyePair>, List<EyePair>> order) {
    return order.apply(ground, EyePairFinder.find(ground, SpotFinder.find(ground)));
  }

  private Map<Landmark, Proposal.Proposed> face(
      Ground ground, List<EyePair> pairs, List<MarkedFigure> alike, Marks known) {
    if (pairs.isEmpty()) {
      return Map.of();
    }
    List<Learned> orientations = Learned.bothWays(alike);
    List<EyePair> best = apart(likened(ground, pairs, orientations));
    List<Candidate> candidates = new ArrayList<>();
    // A good face does not make its pair the right one: tried, docs/proposals.md.
    boolean clear =
        orientations.isEmpty()
            || best.size() < 2
            || TaughtFace.rank(best.get(0)) - TaughtFace.rank(best.get(1)) > CLEAR_LEAD;
    for (EyePair pair : clear ? best.subList(0, 1) : best) {
      FaceGrid grid = new FaceGrid(ground, pair, known.view());
      TaughtFace taught = TaughtFace.of(ground, pair.frame());
      if (orientations.isEmpty()) {
        Face face =
            FaceReader.read(ground, pair, grid, taught, taught.prior(), FaceReader.Expected.ANY);
        candidates.add(new Candidate(face, TaughtFace.rank(pair), Optional.empty(), 0));
      }
      for (Learned learned : orientations) {
        Face face =
            FaceReader.read(ground, pair, grid, taught, learned.prior(), learned.expected());
        double likeness = learned.likeness(ground, pair);
        candidates.add(
            new Candidate(
                face,
                TaughtFace.rank(pair) + face.joint() + ORIENTATION_WEIGHT * likeness,
                Optional.of(learned),
                likeness));
      }
    }
    candidates.sort(Comparator.comparingDouble(candidate -> -candidate.score()));
    Candidate chosen = candidates.get(0);
    double margin =
        best.stream()
            .filter(other -> isElsewhere(chosen.face().eyes(), other))
            .mapToDouble(other -> TaughtFace.rank(chosen.face().eyes()) - TaughtFace.rank(other))
            .findFirst()
            .orElse(4);
    return FaceProposal.of(
        chosen.face(),
        plainScore(pairs, chosen.face().eyes()),
        Math.max(0, Math.min(4, margin)),
        known.view() == View.THREE_QUARTER,
        chosen.learned(),
        chosen.likeness());
  }

  /** The pair that is marked: then there is nothing to find. */
  private static Optional<EyePair> knownEyes(Ground ground, Marks known) {
    return eye(ground, known, Side.LEFT)
        .flatMap(
            left ->
                eye(ground, known, Side.RIGHT)
                    .filter(right -> right.x() > left.x())
                    .map(right -> new EyePair(left, right, KNOWN_SCORE)));
  }

  private static Optional<Spot> eye(Ground ground, Marks known, Side side) {
    Optional<Point> outer = known.point(side.of(Landmark.EYE_L_OUTER)).map(ground::toWorking);
    Optional<Point> inner = known.point(side.of(Landmark.EYE_L_INNER)).map(ground::toWorking);
    if (outer.isEmpty() || inner.isEmpty()) {
      return Optional.empty();
    }
    double left = Math.min(outer.get().x(), inner.get().x());
    double right = Math.max(outer.get().x(), inner.get().x());
    double middle = (outer.get().y() + inner.get().y()) / 2;
    double half = 0.3 * (right - left);
    return Optional.of(Spot.at(ground, left, middle - half, right, middle + half));
  }

  /** As scored without regard to marked faces. */
  private static double plainScore(List<EyePair> pairs, EyePair chosen) {
    return pairs.stream()
        .filter(pair -> pair.leftEye() == chosen.leftEye() && pair.rightEye() == chosen.rightEye())
        .mapToDouble(EyePair::score)
        .findFirst()
        .orElse(chosen.score());
  }

  private static List<EyePair> likened(
      Ground ground, List<EyePair> pairs, List<Learned> orientations) {
    if (orientations.isEmpty()) {
      return pairs;
    }
    return pairs.stream()
        .map(
            pair ->
                pair.scored(
                    pair.score()
                        + LIKENESS_WEIGHT
                            * orientations.stream()
                                .mapToDouble(learned -> learned.likeness(ground, pair))
                                .max()
                                .orElse(0)
                        + Math.max(-8, orientations.get(0).topTerm(ground, pair))))
        .sorted(Comparator.comparingDouble(pair -> -TaughtFace.rank(pair)))
        .toList();
  }

  /** The best few that are not the same place again. */
  private static List<EyePair> apart(List<EyePair> pairs) {
    List<EyePair> kept = new ArrayList<>();
    for (EyePair pair : pairs) {
      if (kept.size() < FACES_READ && kept.stream().allMatch(other -> isElsewhere(pair, other))) {
        kept.add(pair);
      }
    }
    return kept;
  }

  private static boolean isElsewhere(EyePair one, EyePair other) {
    double away =
        Math.max(
            one.leftMiddle().distanceTo(other.leftMiddle()),
            one.rightMiddle().distanceTo(other.rightMiddle()));
    return away > 0.2 * one.distance();
  }

  // ---- the silhouette
  // ----------------------------------------------------------------------------

  private static void silhouette(
      Ground ground,
      List<MarkedFigure> alike,
      View view,
      Map<Landmark, Proposal.Proposed> working) {
    if (!working.containsKey(Landmark.HAIR_TOP)) {
      double x = ground.left;
      for (int column = ground.left; column < ground.right; column++) {
        if (ground.topOver(column, column) == ground.top) {
          x = column;
          break;
        }
      }
      working.put(Landmark.HAIR_TOP, new Proposal.Proposed(new Point(x, ground.top - 0.5), 0.9));
    }
    Proposal.Proposed crown = working.get(Landmark.CROWN);
    Proposal.Proposed chin = working.get(Landmark.CHIN);
    if (crown != null && chin != null) {
      double head = crown.place().distanceTo(chin.place());
      BodyReader.read(ground, head, chin.place(), skinBetween(ground, working))
          .forEach(working::putIfAbsent);
      BodyReader.hair(ground, working.get(Landmark.HAIR_TOP).place(), chin.place())
          .forEach(working::putIfAbsent);
    } else if (BodyReader.isWhole(ground)) {
      working.put(
          Landmark.SOLE,
          new Proposal.Proposed(
              new Point((ground.left + ground.right) / 2.0, ground.bottom - 0.5), 0.85));
    }
    LearnedBody.of(alike).ifPresent(body -> body.addTo(working, BodyReader.isWhole(ground)));
    CanonFigure.addTo(working, BodyReader.isWhole(ground), view);
  }

  /** Colour between eye and mouth, beside the nose. */
  private static double[] skinBetween(Ground ground, Map<Landmark, Proposal.Proposed> working) {
    List<Point> cheeks = new ArrayList<>();
    for (Side side : Side.values()) {
      Proposal.Proposed eye = working.get(side.of(Landmark.EYE_L_BOTTOM));
      Proposal.Proposed mouth = working.get(side.of(Landmark.MOUTH_L));
      if (eye != null && mouth != null) {
        cheeks.add(eye.place().plus(mouth.place().minus(eye.place()).times(0.4)));
      }
    }
    double[] sum = new double[3];
    for (Point cheek : cheeks) {
      sum[0] += ground.lightness.at(cheek.x(), cheek.y()) / cheeks.size();
      sum[1] += ground.a.at(cheek.x(), cheek.y()) / cheeks.size();
      sum[2] += ground.b.at(cheek.x(), cheek.y()) / cheeks.size();
    }
    return sum;
  }
}
