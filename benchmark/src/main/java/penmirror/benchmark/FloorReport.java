package penmirror.benchmark;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import penmirror.core.act.Acts;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.reading.PixelReader;
import penmirror.core.scoring.AttemptScorer;
import penmirror.core.scoring.RuleScore;
import penmirror.core.scoring.Score;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Portrayal;
import penmirror.core.style.StyleSheet;
import penmirror.demoart.figure.Mood;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.pose.Pose;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.Cut;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.DrawnWork;

/**
 * How far one hand strays from its own rules when it draws somebody anew in another pose: hands
 * made up from those of the demo, each with a study of its own and eight further figures without a
 * slip. A tolerance under what comes out here calls the hand's own drawing a miss. One line per
 * measure that is ruled, those that stray farthest beyond their tolerance first; docs/measures.md
 * says what was set by it.
 */
public final class FloorReport {
  private static final double SCALE = 0.35;
  private static final double CHANGED_BY = 0.12;
  private static final int FIGURES = 8;
  private static final int HANDS_OF_EACH = 2;
  private static final List<Pose> POSES =
      List.of(Pose.STANDING, Pose.HANDS_ON_HIPS, Pose.HOLDING_UP, Pose.ARMS_UP);
  private static final List<Mood> MOODS = List.of(Mood.CALM, Mood.GLAD, Mood.SAD, Mood.KEEN);

  private static final List<Parameter> CHANGED =
      List.of(
          Parameter.EYE_LINE,
          Parameter.EYE_WIDTH,
          Parameter.EYE_ASPECT,
          Parameter.EYE_SPACING,
          Parameter.BROW_GAP,
          Parameter.NOSE_BASE,
          Parameter.HEAD_ASPECT,
          Parameter.IRIS,
          Parameter.STATURE,
          Parameter.LEGS,
          Parameter.SHOULDERS,
          Parameter.WAIST,
          Parameter.HAND,
          Parameter.FOOT,
          Parameter.NECK,
          Parameter.LINE_WIDTH,
          Parameter.OUTLINE,
          Parameter.HAIR_SIDE);

  private FloorReport() {}

  /**
   * @param off from the middle of the rule, in the measure's scale
   */
  private record Strayed(Measure measure, double off, double tolerance) {}

  public static void main(String[] arguments) {
    Random random = new Random(4711);
    List<List<Commission>> studies = new ArrayList<>();
    for (int i = 0; i < HANDS_OF_EACH; i++) {
      for (List<Commission> of :
          List.of(
              DemoStudio.odileMarrow().sources(),
              DemoStudio.casimirThole().sources(),
              DemoStudio.inesVantour().sources(),
              DemoStudio.ownHand())) {
        studies.add(madeUp(of, studies.size(), random));
      }
    }
    Map<Measure, List<Strayed>> all = new LinkedHashMap<>();
    IntStream.range(0, studies.size())
        .parallel()
        .mapToObj(hand -> strayed(studies.get(hand), hand))
        .toList()
        .forEach(
            of ->
                of.forEach(
                    one -> all.computeIfAbsent(one.measure(), m -> new ArrayList<>()).add(one)));
    System.out.println("| measure | readings | strays | tolerance | of it | floor |");
    System.out.println("|---|---|---|---|---|---|");
    all.entrySet().stream()
        .sorted((a, b) -> Double.compare(ratio(b.getValue()), ratio(a.getValue())))
        .forEach(FloorReport::tell);
  }

  private static void tell(Map.Entry<Measure, List<Strayed>> of) {
    System.out.printf(
        Locale.ROOT,
        "| %s | %d | %.4f | %.4f | %.2f | %.4f |%n",
        of.getKey().key(),
        of.getValue().size(),
        root(of.getValue(), Strayed::off),
        root(of.getValue(), Strayed::tolerance),
        ratio(of.getValue()),
        of.getKey().floorTolerance());
  }

  private static double ratio(List<Strayed> of) {
    return root(of, one -> one.off() / one.tolerance());
  }

  private static double root(List<Strayed> of, ToDoubleFunction<Strayed> what) {
    return Math.sqrt(
        of.stream().mapToDouble(one -> Math.pow(what.applyAsDouble(one), 2)).average().orElse(0));
  }

  /** A study as the model's, by a hand that differs from it in most of what it draws by. */
  private static List<Commission> madeUp(List<Commission> model, int number, Random random) {
    Manner first = model.get(0).manner();
    Map<Parameter, Double> changes = new HashMap<>();
    for (Parameter parameter : CHANGED) {
      double factor = 1 + CHANGED_BY * (2 * random.nextDouble() - 1);
      changes.put(
          parameter,
          Math.max(
              parameter.least(),
              Math.min(parameter.most(), first.centre().get(parameter) * factor)));
    }
    return model.stream()
        .map(
            of ->
                drawn(
                    of,
                    of.manner().with(of.manner().name() + number, changes),
                    of.pose(),
                    of.view(),
                    of.cut(),
                    of.mood(),
                    of.seed() + 100 * (number + 1)))
        .toList();
  }

  private static Commission drawn(
      Commission of, Manner manner, Pose pose, View view, Cut cut, Mood mood, long seed) {
    return new Commission(
        of.fileName(),
        of.title(),
        manner,
        of.subject(),
        of.palette(),
        pose,
        view,
        cut,
        mood,
        of.mirrored(),
        seed,
        List.of());
  }

  private static List<Strayed> strayed(List<Commission> study, int hand) {
    StyleSheet sheet =
        StyleSheet.of("hand " + hand, View.FRONT, study.stream().map(FloorReport::work).toList());
    AttemptScorer scorer = new AttemptScorer(sheet);
    List<Strayed> strayed = new ArrayList<>();
    for (int i = 0; i < FIGURES; i++) {
      Commission model = study.get((i * 3 + 1) % study.size());
      Mood mood = MOODS.get((i + i / 4) % MOODS.size());
      Evidence seen =
          read(
              drawn(
                  model,
                  study.get(0).manner(),
                  POSES.get(i % POSES.size()),
                  View.FRONT,
                  Cut.FULL,
                  mood,
                  70_000 + 50L * hand + i));
      Portrayal inMood = Portrayal.ANY.inMood(told(mood));
      Score score =
          scorer.judged(seen, scorer.asked(seen, inMood, Optional.empty()), Map.of(), act -> false);
      for (RuleScore of : score.rules()) {
        Measure measure = of.rule().measure();
        if (of.rule().isScored() && Acts.of(measure).isPresent()) {
          of.reading()
              .ifPresent(
                  reading ->
                      strayed.add(
                          new Strayed(
                              measure,
                              measure.scale().difference(reading.value(), of.rule().centre()),
                              of.rule().tolerance())));
        }
      }
    }
    return strayed;
  }

  private static Optional<penmirror.core.figure.Mood> told(Mood mood) {
    return penmirror.core.figure.Mood.ofWord(mood.word());
  }

  private static MeasuredWork work(Commission of) {
    MeasuredWork work = MeasuredWork.of(of.fileName() + of.title(), of.title(), "", read(of));
    return work.showing(
        new Portrayal(
            work.shows().framing(), Optional.empty(), told(of.mood()), of.manner().name()));
  }

  private static Evidence read(Commission commission) {
    DrawnWork drawn = DrawnWork.of(commission, SCALE);
    try {
      var picture = new PictureReader().open(drawn.png()).picture();
      return new Evidence(
          drawn.truth(), Optional.of(new PixelReader().read(picture, drawn.truth(), step -> {})));
    } catch (UnusablePictureException e) {
      throw new IllegalStateException(commission.fileName(), e);
    }
  }
}
