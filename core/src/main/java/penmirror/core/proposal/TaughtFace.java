package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Side;
import penmirror.core.figure.Turn;
import penmirror.core.geometry.Point;

/**
 * What the nets see of a face round a pair of eyes; and which pairs they see a face round.
 *
 * @param odds log odds that it is a face
 * @param turns the chance of each way it may be turned
 * @param places in the frame of the pair
 */
record TaughtFace(double odds, Map<Turn, Double> turns, Map<Landmark, Point> places) {
  /** Pairs that are looked at, the likeliest by their weights. */
  private static final int ASKED = 30;

  /** Of these, those from which the eyes are sought once more. */
  private static final int FOLLOWED = 6;

  private static final int STEPS = 2;

  /** Eyes so near each other, in their distance, are the same pair again. */
  private static final double SAME = 0.1;

  /** Eyes that lie farther off than this are taken for others than the spots. */
  private static final double MOVED = 0.15;

  /** What the odds weigh against a pair's score, and the most of them that count. */
  private static final double WEIGHT = 0.5;

  private static final double MOST_ODDS = 8;

  /** Working pixels between two eyes that can still be read. */
  private static final double LEAST_DISTANCE = 4;

  /** An eye's height where only its corners are known, of its width. */
  private static final double FLAT = 0.6;

  /** Half a face and the way down to a chin are at least so long. */
  private static final double LEAST_HALF = 0.3;

  private static final double LEAST_CHIN = 0.4;

  /** How far an outline may lie off what the nets see, as a share and in eye distances. */
  private static final double PRIOR_SPREAD = 0.08;

  private static final double PRIOR_SHIFT = 0.12;

  TaughtFace {
    turns = new EnumMap<>(turns);
    places = new EnumMap<>(places);
  }

  Point place(Landmark landmark) {
    return places.getOrDefault(landmark, new Point(0, 0));
  }

  /** Everything they see once the eyes are known. */
  static TaughtFace of(Ground ground, EyeFrame frame) {
    FaceNets.Said head = FaceNets.ask(FaceNets.Kind.HEAD, ground, frame);
    FaceNets.Said face = whole(ground, frame);
    Map<Landmark, Point> places = new EnumMap<>(Landmark.class);
    places.putAll(head.places());
    places.putAll(face.places());
    for (Side side : Side.values()) {
      places.putAll(ofSide(FaceNets.Kind.EYE, ground, frame, face, side));
      places.putAll(ofSide(FaceNets.Kind.BROW, ground, frame, head, side));
    }
    Landmark left = Landmark.MOUTH_L;
    Landmark right = Landmark.MOUTH_R;
    places.putAll(part(FaceNets.Kind.MOUTH, ground, frame, face, left, right));
    Landmark nose = Landmark.NOSE_BASE;
    places.putAll(part(FaceNets.Kind.NOSE, ground, frame, face, nose, nose));
    Map<Turn, Double> turns = new EnumMap<>(Turn.class);
    for (Turn turn : Turn.values()) {
      turns.put(turn, head.chances().get(turn.ordinal()));
    }
    return new TaughtFace(face.odds(), turns, places);
  }

  /**
   * What the outline of the lower face is like before it is looked at closely; anything, where the
   * face is none like those that the nets were taught on.
   */
  Outline.Prior prior() {
    if (odds < FaceReader.LIKE_TAUGHT) {
      return Outline.Prior.ANY;
    }
    Point chin = place(Landmark.CHIN);
    double wide = place(Landmark.CHEEK_R).x() - place(Landmark.CHEEK_L).x();
    return new Outline.Prior(
        Math.max(LEAST_HALF, wide / 2),
        PRIOR_SPREAD,
        Math.max(LEAST_CHIN, chin.y()),
        PRIOR_SPREAD,
        chin.x(),
        PRIOR_SHIFT);
  }

  /** The chance that it looks this way. */
  double turned(Turn turn) {
    return turns.getOrDefault(turn, 0.0);
  }

  /** The chance of each mood that it may wear. */
  static Map<Mood, Double> moods(Ground ground, EyeFrame frame) {
    List<Double> chances = FaceNets.ask(FaceNets.Kind.MOOD, ground, frame).chances();
    Map<Mood, Double> moods = new EnumMap<>(Mood.class);
    for (Mood mood : Mood.values()) {
      moods.put(mood, chances.get(mood.ordinal()));
    }
    return moods;
  }

  private static FaceNets.Said whole(Ground ground, EyeFrame frame) {
    return FaceNets.ask(FaceNets.Kind.FACE, ground, frame);
  }

  /** An eye or a brow, between its two ends. */
  private static Map<Landmark, Point> ofSide(
      FaceNets.Kind kind, Ground ground, EyeFrame frame, FaceNets.Said whole, Side side) {
    Landmark outer = side.of(kind.landmarks().get(0));
    Landmark inner = side.of(kind.landmarks().get(1));
    return part(kind, ground, frame, whole, outer, inner);
  }

  /** Looked at where the whole has it, and once more where it was seen then. */
  private static Map<Landmark, Point> part(
      FaceNets.Kind kind,
      Ground ground,
      EyeFrame frame,
      FaceNets.Said whole,
      Landmark one,
      Landmark other) {
    boolean isTurnedOver = kind.isOfOneSide() && !kind.landmarks().contains(one);
    FaceNets.Said said = whole;
    for (int i = 0; i < STEPS; i++) {
      Point middle = said.place(one).midpointTo(said.place(other));
      said = FaceNets.ask(kind, ground, frame, middle, isTurnedOver);
    }
    return said.places();
  }

  /**
   * Pairs by what speaks for them and by the face round each, the likeliest first. Where the face
   * has its eyes beside the spots, as where one of them is shut or covered, the pair moves there.
   */
  static List<EyePair> ordered(Ground ground, List<EyePair> pairs) {
    List<EyePair> asked =
        apart(pairs).parallelStream().map(pair -> withFace(ground, pair)).toList();
    List<EyePair> followed =
        asked.stream()
            .sorted(BY_BOTH)
            .limit(FOLLOWED)
            .parallel()
            .map(pair -> follow(ground, pair))
            .sorted(BY_BOTH)
            .toList();
    List<EyePair> all = new ArrayList<>(followed);
    pairs.stream()
        .filter(pair -> followed.stream().noneMatch(other -> isSame(other, pair)))
        .forEach(all::add);
    return all;
  }

  private static final Comparator<EyePair> BY_BOTH =
      Comparator.comparingDouble(pair -> -rank(pair));

  /** What speaks for a pair, the face round it among it. */
  static double rank(EyePair pair) {
    return rank(pair.score(), pair.face());
  }

  static double rank(double score, double odds) {
    return score + WEIGHT * Math.max(-MOST_ODDS, Math.min(MOST_ODDS, odds));
  }

  private static List<EyePair> apart(List<EyePair> pairs) {
    List<EyePair> kept = new ArrayList<>();
    for (EyePair pair : pairs) {
      if (kept.size() < ASKED && kept.stream().noneMatch(other -> isSame(other, pair))) {
        kept.add(pair);
      }
    }
    return kept;
  }

  private static boolean isSame(EyePair one, EyePair other) {
    return one.frame().offTo(other.frame()) <= SAME;
  }

  private static EyePair withFace(Ground ground, EyePair pair) {
    double odds = whole(ground, pair.frame()).odds();
    return new EyePair(pair.leftEye(), pair.rightEye(), pair.score(), odds);
  }

  private static EyePair follow(Ground ground, EyePair pair) {
    EyeFrame frame = pair.frame();
    FaceNets.Said said = whole(ground, frame);
    for (int i = 0; i < STEPS; i++) {
      EyeFrame next =
          new EyeFrame(
              eye(frame, said, Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER),
              eye(frame, said, Landmark.EYE_R_OUTER, Landmark.EYE_R_INNER));
      if (next.distance() < LEAST_DISTANCE) {
        return pair;
      }
      frame = next;
      said = whole(ground, frame);
    }
    return frame.offTo(pair.frame()) <= MOVED
        ? new EyePair(pair.leftEye(), pair.rightEye(), pair.score(), said.odds())
        : new EyePair(
            spot(ground, frame, said, Side.LEFT),
            spot(ground, frame, said, Side.RIGHT),
            pair.score(),
            said.odds());
  }

  private static Point eye(EyeFrame frame, FaceNets.Said said, Landmark outer, Landmark inner) {
    Point middle = said.place(outer).midpointTo(said.place(inner));
    return frame.at(middle.x(), middle.y());
  }

  private static Spot spot(Ground ground, EyeFrame frame, FaceNets.Said said, Side side) {
    Point outer = said.place(side.of(Landmark.EYE_L_OUTER));
    Point inner = said.place(side.of(Landmark.EYE_L_INNER));
    Point middle = frame.at((outer.x() + inner.x()) / 2, (outer.y() + inner.y()) / 2);
    double half = frame.distance() * outer.distanceTo(inner) / 2;
    return Spot.at(
        ground,
        middle.x() - half,
        middle.y() - FLAT * half,
        middle.x() + half,
        middle.y() + FLAT * half);
  }
}
