package penmirror.demoart.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Mood;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading;
import penmirror.core.measure.Reading;
import penmirror.core.scoring.AttemptScorer;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.RuleScore;
import penmirror.core.scoring.Score;
import penmirror.core.style.Portrayal;
import penmirror.core.style.Rule;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.reading.DemoRead;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Illustration;
import penmirror.demoart.studio.Slip;

/**
 * Whoever does what the fixes say gets what they promise: an attempt with slips is drawn and
 * scored, each thing said is done to the drawing itself, not to its points, and it is drawn and
 * scored again, three times at most. All twenty chains with {@code -Dchains=20}; docs/scoring.md
 * has the table.
 */
class LoopTest {
  private static final int CHAINS = Integer.getInteger("chains", 4);
  private static final int ROUNDS = 3;
  private static final long SEED = 40_417;

  /** A round does what is said first. */
  private static final int AT_ONCE = 3;

  private static final double FORETOLD_WITHIN = 3;
  private static final int SECANT_STEPS = 6;

  /**
   * What of a drawing is changed for an act, and by which reading.
   *
   * @param measure its key
   */
  private record Turning(Parameter parameter, String measure) {}

  private static final Map<String, Turning> TURNED_FOR =
      Map.ofEntries(
          Map.entry("eye-size", new Turning(Parameter.EYE_WIDTH, "eye.width")),
          Map.entry("eye-height", new Turning(Parameter.EYE_LINE, "eye.line")),
          Map.entry("eye-gap", new Turning(Parameter.EYE_SPACING, "eye.spacing")),
          Map.entry("eye-shape", new Turning(Parameter.EYE_ASPECT, "eye.aspect")),
          Map.entry("line-weight", new Turning(Parameter.LINE_WIDTH, "line.width")),
          Map.entry("outline", new Turning(Parameter.OUTLINE, "line.outline.inner")),
          Map.entry("waist", new Turning(Parameter.WAIST, "shoulders.waist")),
          Map.entry("shoulders", new Turning(Parameter.SHOULDERS, "shoulders.heads")),
          Map.entry("hands", new Turning(Parameter.HAND, "hand.head")),
          Map.entry("feet", new Turning(Parameter.FOOT, "foot.head")),
          Map.entry("heads-tall", new Turning(Parameter.STATURE, "stature.heads")),
          Map.entry("legs", new Turning(Parameter.LEGS, "legs.share")),
          Map.entry("neck", new Turning(Parameter.NECK, "neck.width")),
          Map.entry("face-shape", new Turning(Parameter.HEAD_ASPECT, "head.aspect")),
          Map.entry("nose", new Turning(Parameter.NOSE_BASE, "nose.base")),
          Map.entry("thirds", new Turning(Parameter.NOSE_BASE, "face.lower")),
          Map.entry("mouth", new Turning(Parameter.MOUTH_LINE, "mouth.line")),
          Map.entry("ears", new Turning(Parameter.EAR_TOP, "ear.top")),
          Map.entry("iris", new Turning(Parameter.IRIS, "iris.eye")),
          Map.entry("hair-mass", new Turning(Parameter.HAIR_SIDE, "hair.width")),
          Map.entry("brows", new Turning(Parameter.BROW_GAP, "brow.gap")));

  /**
   * What became of one chain.
   *
   * @param points by the rules before, and after each round
   * @param foretold what each round was to reach
   */
  private record Chain(
      String name, List<Double> points, List<Double> foretold, boolean isInside, String left) {
    double farthestOff() {
      double most = 0;
      for (int i = 0; i < foretold.size(); i++) {
        most = Math.max(most, Math.abs(points.get(i + 1) - foretold.get(i)));
      }
      return most;
    }

    boolean closes() {
      return isInside && farthestOff() <= FORETOLD_WITHIN;
    }
  }

  @Test
  void doingWhatIsSaidReachesWhatIsForetold() {
    List<Chain> chains =
        RandomSlips.attempts(CHAINS, SEED).parallelStream().map(LoopTest::chain).toList();
    for (Chain chain : chains) {
      System.out.printf(
          "%s | %s | foretold %s | off by %.1f | %s%s%n",
          chain.name(),
          rounded(chain.points()),
          rounded(chain.foretold()),
          chain.farthestOff(),
          chain.isInside() ? "inside" : "outside",
          chain.left());
    }
    long inside = chains.stream().filter(Chain::isInside).count();
    long closing = chains.stream().filter(Chain::closes).count();
    System.out.printf("loops: %d of %d inside, %d as foretold%n", inside, chains.size(), closing);
    long asked = (long) Math.floor(0.9 * chains.size());
    assertThat(inside).isGreaterThanOrEqualTo(asked);
    assertThat(closing).isGreaterThanOrEqualTo(asked);
  }

  private static List<Long> rounded(List<Double> points) {
    return points.stream().map(Math::round).toList();
  }

  private static Chain chain(RandomSlips.Attempt attempt) {
    AttemptScorer scorer = RandomSlips.scorer(attempt.hand());
    Commission drawn = attempt.commission();
    List<Double> points = new ArrayList<>();
    List<Double> foretold = new ArrayList<>();
    Score score;
    while (true) {
      Evidence evidence = DemoRead.read(drawn).evidence();
      AttemptScorer.Asked asked =
          scorer.asked(
              evidence, Portrayal.ANY.inMood(Mood.ofWord(drawn.mood().word())), Optional.empty());
      score = scorer.judged(evidence, asked, Map.of(), act -> false);
      points.add(score.byRules().orElseThrow());
      List<Fix> done = new ArrayList<>();
      List<Slip> slips = new ArrayList<>(drawn.slips());
      for (Fix fix : score.fixes()) {
        Optional<Slip> change = change(drawn, slips, fix);
        if (change.isPresent() && done.size() < AT_ONCE) {
          slips.add(change.get());
          done.add(fix);
        }
      }
      if (done.isEmpty() || foretold.size() == ROUNDS) {
        break;
      }
      foretold.add(scorer.afterwards(evidence, asked, Map.of(), done).orElseThrow());
      drawn = RandomSlips.drawnWith(drawn, slips);
    }
    return new Chain(
        attempt.hand().name()
            + " "
            + attempt.planted().stream().map(p -> p.slip().words()).toList(),
        points,
        foretold,
        score.belongs().orElse(false),
        score.fixes().stream().limit(4).map(fix -> " " + fix.key()).reduce("", String::concat));
  }

  /** How the drawing is changed so that the fix's reading comes to its middle. */
  private static Optional<Slip> change(Commission drawn, List<Slip> slips, Fix fix) {
    Turning turning = TURNED_FOR.get(fix.act().key());
    if (turning == null) {
      return Optional.empty();
    }
    return fix.measured().stream()
        .map(Fix.Change.Measured::score)
        .filter(score -> score.rule().measure().key().equals(turning.measure()))
        .findFirst()
        .flatMap(score -> change(RandomSlips.drawnWith(drawn, slips), score, turning.parameter()))
        .map(step -> new Slip.Stepped(fix.key(), turning.parameter(), step));
  }

  /** By how much; empty where nothing is to be done, or nothing is known. */
  private static Optional<Double> change(Commission now, RuleScore score, Parameter parameter) {
    double is = Illustration.of(now).parameters().get(parameter);
    Rule rule = score.rule();
    // A line too thin to be read is known by what it lies under.
    Optional<Double> reading =
        score
            .reading()
            .map(Reading::value)
            .or(
                () ->
                    score.result().absence().flatMap(NoReading::limit).map(NoReading.Limit::value));
    if (reading.isEmpty()) {
      return Optional.empty();
    }
    double wanted =
        rule.measure().isFromPixels()
            ? is * rule.centre() / reading.get()
            : solved(now, rule.measure(), rule.centre(), parameter);
    double held = Math.max(parameter.least(), Math.min(parameter.most(), wanted));
    return Math.abs(held - is) < 1e-6 ? Optional.empty() : Optional.of(held - is);
  }

  /** Where the true reading is as wanted; where it is now, if turning the parameter moves none. */
  private static double solved(
      Commission drawn, Measure measure, double wanted, Parameter parameter) {
    double is = Illustration.of(drawn).parameters().get(parameter);
    double before = is;
    OptionalDouble atBefore = truth(drawn, measure, parameter, 0);
    double at = is + 0.02 * (parameter.most() - parameter.least());
    for (int i = 0; i < SECANT_STEPS; i++) {
      at = Math.max(parameter.least(), Math.min(parameter.most(), at));
      OptionalDouble atNow = truth(drawn, measure, parameter, at - is);
      if (atBefore.isEmpty() || atNow.isEmpty()) {
        return is;
      }
      double slope = (atNow.getAsDouble() - atBefore.getAsDouble()) / (at - before);
      if (Math.abs(slope) < 1e-9 || Double.isNaN(slope)) {
        return i == 0 ? is : at;
      }
      before = at;
      atBefore = atNow;
      at += (wanted - atNow.getAsDouble()) / slope;
    }
    return at;
  }

  private static OptionalDouble truth(
      Commission drawn, Measure measure, Parameter parameter, double step) {
    List<Slip> slips = new ArrayList<>(drawn.slips());
    slips.add(new Slip.Stepped("try", parameter, step));
    return measure.valueOf(Illustration.of(RandomSlips.drawnWith(drawn, slips)).marks());
  }
}
