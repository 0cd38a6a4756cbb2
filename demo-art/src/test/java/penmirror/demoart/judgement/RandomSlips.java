package penmirror.demoart.judgement;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import penmirror.core.figure.Mood;
import penmirror.core.scoring.AttemptScorer;
import penmirror.core.scoring.Fix.Direction;
import penmirror.core.scoring.Score;
import penmirror.core.style.Portrayal;
import penmirror.demoart.figure.Subject;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.pose.Pose;
import penmirror.demoart.reading.DemoRead;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Cut;
import penmirror.demoart.studio.Slip;

/** Attempts with three slips each, drawn at random over twenty kinds. */
final class RandomSlips {
  private static final int SLIPS = 3;

  private static final Map<String, AttemptScorer> SCORERS = new ConcurrentHashMap<>();

  private RandomSlips() {}

  /**
   * @param acts what may be said of it: the act itself, or another that tells the same
   * @param direction what the fix must ask for when the parameter was raised
   */
  record Kind(
      Parameter parameter, double up, double down, boolean step, Direction raised, String... acts) {
    static Kind times(Parameter parameter, double factor, Direction raised, String... acts) {
      return new Kind(parameter, factor, 1 / factor, false, raised, acts);
    }

    static Kind plus(Parameter parameter, double step, Direction raised, String... acts) {
      return new Kind(parameter, step, -step, true, raised, acts);
    }
  }

  static final List<Kind> KINDS =
      List.of(
          Kind.times(Parameter.EYE_WIDTH, 1.18, Direction.LESS, "eye-size", "iris"),
          Kind.plus(Parameter.EYE_LINE, 0.05, Direction.LESS, "eye-height", "thirds", "nose"),
          Kind.times(Parameter.EYE_SPACING, 1.3, Direction.LESS, "eye-gap"),
          Kind.times(Parameter.EYE_ASPECT, 1.3, Direction.LESS, "eye-shape", "iris"),
          Kind.times(Parameter.LINE_WIDTH, 1.6, Direction.LESS, "line-weight"),
          Kind.times(Parameter.WAIST, 1.25, Direction.MORE, "waist"),
          Kind.times(Parameter.HAND, 1.25, Direction.LESS, "hands"),
          Kind.times(Parameter.FOOT, 1.25, Direction.LESS, "feet"),
          Kind.times(Parameter.STATURE, 1.16, Direction.LESS, "heads-tall"),
          Kind.plus(Parameter.LEGS, 0.045, Direction.LESS, "legs"),
          Kind.times(Parameter.SHOULDERS, 1.2, Direction.LESS, "shoulders", "waist"),
          Kind.times(Parameter.NECK, 1.35, Direction.LESS, "neck"),
          Kind.times(Parameter.HEAD_ASPECT, 1.13, Direction.LESS, "face-shape"),
          Kind.plus(Parameter.NOSE_BASE, 0.045, Direction.LESS, "nose", "thirds"),
          Kind.plus(Parameter.MOUTH_LINE, 0.035, Direction.LESS, "mouth", "thirds"),
          Kind.plus(Parameter.EAR_TOP, 0.07, Direction.LESS, "ears"),
          Kind.times(Parameter.IRIS, 1.25, Direction.LESS, "iris"),
          Kind.plus(Parameter.HAIR_SIDE, 0.09, Direction.LESS, "hair-mass"),
          Kind.times(Parameter.OUTLINE, 1.5, Direction.LESS, "outline", "line-weight"),
          Kind.plus(Parameter.BROW_GAP, 0.035, Direction.LESS, "brows"));

  /** A slip as it was planted. */
  record Planted(Kind kind, boolean raised) {
    Slip slip() {
      double by = raised ? kind.up() : kind.down();
      String words = kind.parameter().name().toLowerCase(Locale.ROOT) + (raised ? " up" : " down");
      return kind.step()
          ? new Slip.Stepped(words, kind.parameter(), by)
          : new Slip.Scaled(words, kind.parameter(), by);
    }
  }

  record Attempt(DemoScores.Hand hand, Commission commission, List<Planted> planted) {}

  /** Always the same for the same seed. */
  static List<Attempt> attempts(int count, long seed) {
    Random random = new Random(seed);
    List<Attempt> attempts = new ArrayList<>();
    List<DemoScores.Hand> hands = List.of(DemoScores.HANDS.get(0), DemoScores.HANDS.get(2));
    for (int i = 0; i < count; i++) {
      DemoScores.Hand hand = hands.get(i % hands.size());
      List<Kind> kinds = new ArrayList<>(KINDS);
      if (i % hands.size() == 1) {
        // Her line is thinner than can be read at the size the tests draw in.
        kinds.removeIf(
            kind ->
                kind.parameter() == Parameter.LINE_WIDTH || kind.parameter() == Parameter.OUTLINE);
      }
      Collections.shuffle(kinds, random);
      List<Planted> planted =
          IntStream.range(0, SLIPS)
              .mapToObj(n -> planted(hand, kinds.get(n), random.nextBoolean()))
              .toList();
      List<Slip> slips = planted.stream().map(Planted::slip).toList();
      attempts.add(new Attempt(hand, drawnWith(base(hand, i), slips), planted));
    }
    return attempts;
  }

  /** The other way where the figure cannot be drawn so: nobody has hair of less than nothing. */
  private static Planted planted(DemoScores.Hand hand, Kind kind, boolean raised) {
    Manner manner = hand.attempts().get(3).commission().manner();
    Parameter parameter = kind.parameter();
    double by = raised ? kind.up() : kind.down();
    double centre = manner.centre().get(parameter);
    double spoilt = kind.step() ? centre + by : centre * by;
    double spread = 2 * manner.spread().getOrDefault(parameter, 0.0);
    boolean fits = spoilt - spread > parameter.least() && spoilt + spread < parameter.most();
    return new Planted(kind, fits == raised);
  }

  /** One of the hand's characters, in another mood and pose each time. */
  private static Commission base(DemoScores.Hand hand, int number) {
    Commission model = hand.attempts().get(3).commission();
    List<DemoRead.Seen> works = hand.works();
    Subject drawn = works.get((number * 5 + 1) % 8).commission().subject();
    Pose[] poses = {Pose.STANDING, Pose.HANDS_ON_HIPS, Pose.HOLDING_UP, Pose.ARMS_UP};
    penmirror.demoart.figure.Mood[] moods = {
      penmirror.demoart.figure.Mood.CALM,
      penmirror.demoart.figure.Mood.GLAD,
      penmirror.demoart.figure.Mood.SAD,
      penmirror.demoart.figure.Mood.KEEN
    };
    return new Commission(
        "random-" + number + ".png",
        "Attempt " + number,
        model.manner(),
        drawn,
        drawn.palette(),
        poses[number / 2 % poses.length],
        model.view(),
        Cut.FULL,
        moods[number / 3 % moods.length],
        false,
        9_000 + number,
        List.of());
  }

  static Commission drawnWith(Commission base, List<Slip> slips) {
    return new Commission(
        base.fileName(),
        base.title(),
        base.manner(),
        base.subject(),
        base.palette(),
        base.pose(),
        base.view(),
        base.cut(),
        base.mood(),
        base.mirrored(),
        base.seed(),
        slips);
  }

  static AttemptScorer scorer(DemoScores.Hand hand) {
    return SCORERS.computeIfAbsent(hand.name(), name -> new AttemptScorer(hand.inMoods()));
  }

  static Score score(DemoScores.Hand hand, Commission commission) {
    AttemptScorer scorer = scorer(hand);
    DemoRead.Seen seen = DemoRead.read(commission);
    Optional<Mood> mood = Mood.ofWord(commission.mood().word());
    return scorer.judged(
        seen.evidence(),
        scorer.asked(seen.evidence(), Portrayal.ANY.inMood(mood), Optional.empty()),
        Map.of(),
        act -> false);
  }
}
