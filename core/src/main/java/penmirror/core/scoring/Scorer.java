package penmirror.core.scoring;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import penmirror.core.act.Act;
import penmirror.core.colour.Swatch;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureResult;
import penmirror.core.measure.NoReading;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.Reading;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.scoring.Score.Interval;
import penmirror.core.scoring.Score.OwnRange;
import penmirror.core.statistics.Sample;
import penmirror.core.style.HouseColours;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;

/**
 * Holds a redraw against a sheet.
 *
 * <p>Two answers. By the rules: the acts of the style, C = 100 · Σ w·credit / Σ w over those that
 * could be measured, the few that make or break it sharing half. A reading inside its band has
 * credit 1, one further tolerance halves it. A rule that cannot be measured (a hidden hand, another
 * view) is left out and lowers the coverage; a thing that is measured and not there at all (no line
 * in a style of lines) has credit 0.
 *
 * <p>At a glance: the nearness N to the two nearest works over all readings, whether a hand can
 * obey them or not, and the house colours H. The overall score is their mean, 0.45 · C + 0.45 · N +
 * 0.1 · H. What cannot be told (one work alone, no colours) is left out.
 */
public final class Scorer {
  /** Resampled scores behind the interval. More makes it steadier, not narrower. */
  private static final int DRAWS = 200;

  /** Found by simulation on sets of 6, 12 and 30 works, docs/scoring.md. */
  private static final double NARROWER = 0.85;

  private static final long SEED = 20;

  /** Share of the house colours; more makes colour outweigh drawing. */
  private static final double HOUSE_SHARE = 0.1;

  private final StyleSheet sheet;

  /** What depends on the sheet alone is made when first needed, and serves all redraws after. */
  private @Nullable Own own;

  private @Nullable List<StyleSheet> drawnSheets;

  public Scorer(StyleSheet sheet) {
    this.sheet = sheet;
  }

  StyleSheet sheet() {
    return sheet;
  }

  /** 1 up to one tolerance, then 2^−(z−1)²; {@code z} of either sign. */
  public static double credit(double z) {
    double beyond = Math.abs(z) - 1;
    return beyond <= 0 ? 1 : Math.pow(2, -beyond * beyond);
  }

  /** The whole score, with interval, own range and fixes. */
  public Score score(Evidence redraw) {
    return score(redraw, Map.of());
  }

  /**
   * The same with what was answered of the redraw.
   *
   * @param answers whether a statement holds of it, by the statement's key; what was not asked or
   *     is unclear is absent and takes no part
   */
  public Score score(Evidence redraw, Map<String, Boolean> answers) {
    return score(redraw, answers, act -> false);
  }

  /**
   * The same where nothing is to be changed about some acts.
   *
   * @param onPurpose acts that are off as the user wants them: they count, and no fix names them
   */
  public Score score(Evidence redraw, Map<String, Boolean> answers, Predicate<Act> onPurpose) {
    Score judged = judged(redraw, answers, onPurpose);
    return judged
        .overall()
        .map(points -> judged.within(interval(redraw, answers, judged, points)))
        .orElse(judged);
  }

  /**
   * The same but for the interval, which takes two hundred sheets: for pages that say what to
   * change, and for rows of many redraws.
   */
  public Score judged(Evidence redraw, Map<String, Boolean> answers, Predicate<Act> onPurpose) {
    List<TickScore> ticks = ticks(answers);
    Map<Measure, MeasureResult> results = MeasureCatalogue.readAll(redraw, ruled());
    View view = redraw.marks().view();
    List<RuleScore> rules = ruleScores(sheet, view, results);
    ByActs byActs = ByActs.of(sheet, rules, ticks);
    List<Swatch> flats = redraw.pixels().map(PixelReadings::flats).orElse(List.of());
    Optional<Double> house = houseColours(sheet, flats);
    List<Nearness> nearest = nearest(sheet, results);
    Optional<Double> byRules = byActs.points();
    Optional<Double> glance = glance(nearest, house);
    Optional<Double> overall = overall(byRules, nearest, house);
    FixFinder finder = new FixFinder(this, redraw, results, byActs, ticks);
    List<Fix> fixes =
        overall.isPresent()
            ? finder.fixes().stream().filter(fix -> !onPurpose.test(fix.act())).toList()
            : List.of();
    return new Score(
        overall,
        Optional.empty(),
        byActs.coverage(),
        own().overall(),
        byRules,
        own().byRules(),
        byRules.flatMap(points -> glance),
        nearest.stream().limit(Nearness.NEAREST).toList(),
        house,
        byActs.groups(),
        byActs.acts(),
        byActs.shares(),
        rules,
        RoleScore.of(sheet, redraw.pixels().map(PixelReadings::roles).orElse(List.of())),
        holdsFigure(redraw),
        fixes,
        fixes.isEmpty() ? Optional.empty() : Optional.of(finder.mended(fixes)));
  }

  /**
   * Points by the rules once some fixes are done together; empty when nothing counts.
   *
   * @param fixes of a score of the same redraw with the same answers
   */
  public Optional<Double> afterwards(
      Evidence redraw, Map<String, Boolean> answers, List<Fix> fixes) {
    List<TickScore> ticks = ticks(answers);
    Map<Measure, MeasureResult> results = MeasureCatalogue.readAll(redraw, ruled());
    ByActs byActs = ByActs.of(sheet, ruleScores(sheet, redraw.marks().view(), results), ticks);
    return byActs
        .points()
        .map(points -> new FixFinder(this, redraw, results, byActs, ticks).together(fixes));
  }

  /**
   * Overall points, [0, 100], times the share of the rules that could be measured, without interval
   * or fixes: quick enough to try many pictures. Empty when nothing counts.
   */
  public Optional<Double> coveredPoints(Evidence evidence) {
    Map<Measure, MeasureResult> results = MeasureCatalogue.readAll(evidence, ruled());
    View view = evidence.marks().view();
    List<RuleScore> rules = ruleScores(sheet, view, results);
    List<Swatch> flats = evidence.pixels().map(PixelReadings::flats).orElse(List.of());
    ByActs byActs = ByActs.of(sheet, rules, List.of());
    return overall(byActs.points(), nearest(sheet, results), houseColours(sheet, flats))
        .map(points -> points * byActs.coverage());
  }

  /** Points by the rules, for readings that were changed by hand; empty when nothing counts. */
  Optional<Double> byRules(View view, Map<Measure, MeasureResult> results, List<TickScore> ticks) {
    return byRules(sheet, view, results, ticks);
  }

  private static Optional<Double> byRules(
      StyleSheet sheet, View view, Map<Measure, MeasureResult> results, List<TickScore> ticks) {
    return ByActs.of(sheet, ruleScores(sheet, view, results), ticks).points();
  }

  /** A page that is blank or grain all over has no surface of a colour. */
  private Optional<Boolean> holdsFigure(Evidence redraw) {
    return ruled().stream().anyMatch(Measure::isFromPixels)
        ? redraw.pixels().map(pixels -> !pixels.swatches().isEmpty())
        : Optional.of(true);
  }

  private List<Measure> ruled() {
    return sheet.rules().stream().map(Rule::measure).toList();
  }

  /** The answers to what the works hold to. */
  private List<TickScore> ticks(Map<String, Boolean> answers) {
    List<TickScore> ticks = new ArrayList<>();
    for (Ticked ticked : sheet.statements()) {
      Boolean yes = answers.get(ticked.key());
      if (yes != null && ticked.isScored()) {
        ticks.add(new TickScore(ticked, yes));
      }
    }
    return ticks;
  }

  private static List<Nearness> nearest(StyleSheet sheet, Map<Measure, MeasureResult> results) {
    Map<Measure, Double> values = new LinkedHashMap<>();
    Set<Measure> notThere = new HashSet<>();
    results.forEach(
        (measure, result) ->
            result.fold(
                reading -> values.put(measure, reading.value()),
                none -> none.reason().isTrulyAbsent() && notThere.add(measure)));
    return Nearness.toWorks(sheet, values, notThere);
  }

  /** Empty when no rule could be measured. */
  private static Optional<Double> overall(
      Optional<Double> byRules, List<Nearness> nearest, Optional<Double> house) {
    OptionalDouble near = Nearness.ofNearest(nearest);
    return byRules.map(
        c -> {
          double points = near.isPresent() ? (c + 100 * near.getAsDouble()) / 2 : c;
          return (1 - HOUSE_SHARE) * points + HOUSE_SHARE * house.orElse(points);
        });
  }

  /** The same without the rules; empty where there is neither a work beside nor a house colour. */
  private static Optional<Double> glance(List<Nearness> nearest, Optional<Double> house) {
    OptionalDouble near = Nearness.ofNearest(nearest);
    if (near.isEmpty()) {
      return house;
    }
    double points = 100 * near.getAsDouble();
    double weight = (1 - HOUSE_SHARE) / 2;
    return Optional.of(
        house
            .map(h -> (weight * points + HOUSE_SHARE * h) / (weight + HOUSE_SHARE))
            .orElse(points));
  }

  private static List<RuleScore> ruleScores(
      StyleSheet sheet, View view, Map<Measure, MeasureResult> results) {
    List<RuleScore> scores = new ArrayList<>();
    for (Rule rule : sheet.rules()) {
      Measure measure = rule.measure();
      if (measure.compares(sheet.view(), view)) {
        scores.add(
            ruleScore(
                rule, results.getOrDefault(measure, NoReading.because(Reason.LANDMARKS_MISSING))));
      }
    }
    return scores;
  }

  private static RuleScore ruleScore(Rule rule, MeasureResult result) {
    return result.fold(
        reading -> {
          double z = rule.z(reading.value());
          return new RuleScore(rule, result, Optional.of(z), Optional.of(credit(z)));
        },
        none ->
            none.limit()
                .flatMap(limit -> beyond(rule, limit))
                .map(z -> new RuleScore(rule, result, Optional.of(z), Optional.of(credit(z))))
                .orElse(
                    new RuleScore(
                        rule,
                        result,
                        Optional.empty(),
                        none.reason().isTrulyAbsent() ? Optional.of(0.0) : Optional.empty())));
  }

  /**
   * How far a value beyond a limit lies off at least; empty where it may be right: a line under two
   * pixels says nothing to a rule of one and a half.
   */
  private static Optional<Double> beyond(Rule rule, NoReading.Limit limit) {
    double z = rule.z(limit.value());
    boolean off = limit.side() == NoReading.Limit.Side.BELOW ? z < -1 : z > 1;
    return off ? Optional.of(z) : Optional.empty();
  }

  /** What the illustrator's own works reach, each scored by rules made from the others. */
  private record Own(Optional<OwnRange> overall, Optional<OwnRange> byRules) {}

  private synchronized Own own() {
    if (own == null) {
      own = ownOf(sheet);
    }
    return own;
  }

  private static Own ownOf(StyleSheet sheet) {
    List<Double> overall = new ArrayList<>();
    List<Double> byRules = new ArrayList<>();
    for (MeasuredWork work : sheet.works()) {
      List<MeasuredWork> others = sheet.works().stream().filter(other -> other != work).toList();
      StyleSheet without = inItsMood(sheet.rulesOver(others), work);
      ownPoints(without, work).ifPresent(overall::add);
      byRules(without, work.view(), results(work), List.of()).ifPresent(byRules::add);
    }
    return new Own(range(overall), range(byRules));
  }

  /** A work is held against the rules of its own mood where the redraw is held against its. */
  private static StyleSheet inItsMood(StyleSheet sheet, MeasuredWork work) {
    return sheet.wanted().mood().isEmpty() || work.shows().mood().isEmpty()
        ? sheet
        : sheet.wantedFor(sheet.wanted().inMood(work.shows().mood()));
  }

  private static Optional<OwnRange> range(List<Double> points) {
    if (points.size() < 2) {
      return Optional.empty();
    }
    Sample sample = Sample.of(points.stream().mapToDouble(p -> p).toArray());
    return Optional.of(
        new OwnRange(
            sample.quantile(0), sample.median(), sample.quantile(1), sample.standardDeviation()));
  }

  /** Overall points of a work that is known by its readings alone. */
  public static Optional<Double> ownPoints(StyleSheet sheet, MeasuredWork work) {
    Map<Measure, MeasureResult> results = results(work);
    return overall(
        byRules(sheet, work.view(), results, List.of()),
        nearest(sheet, results),
        houseColours(sheet, work.flats()));
  }

  /** Both answers for a work that is known by its readings alone. */
  public static Both bothOf(StyleSheet sheet, MeasuredWork work) {
    Map<Measure, MeasureResult> results = results(work);
    return new Both(
        byRules(sheet, work.view(), results, List.of()),
        glance(nearest(sheet, results), houseColours(sheet, work.flats())));
  }

  /**
   * The middle of what other drawings reach by the rules, such as those of one's own hand; empty
   * where none can be measured.
   */
  public static Optional<Double> middleByRules(StyleSheet sheet, List<MeasuredWork> drawings) {
    double[] points =
        drawings.stream()
            .flatMap(work -> byRules(sheet, work.view(), results(work), List.of()).stream())
            .mapToDouble(p -> p)
            .toArray();
    return points.length == 0 ? Optional.empty() : Optional.of(Sample.of(points).median());
  }

  /** By the rules and at a glance, each empty where it cannot be told. */
  public record Both(Optional<Double> byRules, Optional<Double> glance) {}

  /** Points of the house colours; empty where they cannot be told. */
  private static Optional<Double> houseColours(StyleSheet sheet, List<Swatch> flats) {
    return HouseColours.of(sheet.works()).credit(flats, Scorer::credit).map(h -> 100 * h);
  }

  private static Map<Measure, MeasureResult> results(MeasuredWork work) {
    Map<Measure, MeasureResult> results =
        MeasureCatalogue.readAll(new Evidence(Marks.none(work.view()), Optional.empty()));
    work.values()
        .forEach(
            (measure, value) ->
                results.put(
                    measure,
                    new Reading(
                        measure,
                        value,
                        OptionalDouble.empty(),
                        measure.isFromPixels()
                            ? Reading.Method.FROM_PIXELS
                            : Reading.Method.MARKED)));
    // Which of the reasons it was does not matter here: all of them mean that nothing is there.
    work.notThere().forEach(measure -> results.put(measure, NoReading.because(Reason.NO_LINES)));
    return results;
  }

  /** Works drawn anew with replacement, readings shaken by their own error. Seeded. */
  private Interval interval(
      Evidence redraw, Map<String, Boolean> answers, Score judged, double points) {
    View view = redraw.marks().view();
    Map<Measure, MeasureResult> results = MeasureCatalogue.readAll(redraw, ruled());
    Optional<Double> house = judged.houseColours();
    List<TickScore> ticks = ticks(answers);
    Random random = new Random(SEED);
    int unshaken =
        (int)
            sheet.rules().stream()
                .filter(Rule::isScored)
                .flatMap(rule -> Stream.ofNullable(results.get(rule.measure())))
                .flatMap(result -> result.reading().stream())
                .filter(reading -> reading.standardError().isEmpty())
                .count();
    List<StyleSheet> drawnSheets = drawnSheets(results.size());
    List<Double> drawnPoints = new ArrayList<>();
    int n = sheet.works().size();
    for (StyleSheet drawn : drawnSheets) {
      for (int i = 0; i < n; i++) {
        random.nextInt(n); // Which works were drawn is kept; the noise after it is drawn anew.
      }
      Map<Measure, MeasureResult> shaken = new LinkedHashMap<>(results);
      for (Map.Entry<Measure, MeasureResult> entry : shaken.entrySet()) {
        double noise = random.nextGaussian();
        entry.setValue(entry.getValue().fold(reading -> shaken(reading, noise), none -> none));
      }
      // House colours stay: they hang on the works as a whole, and a work drawn twice would know
      // itself.
      overall(byRules(drawn, view, shaken, ticks), nearest(drawn, shaken), house)
          .ifPresent(drawnPoints::add);
    }
    if (drawnPoints.isEmpty()) {
      return new Interval(points, points, unshaken);
    }
    Sample sample = Sample.of(drawnPoints.stream().mapToDouble(p -> p).toArray());
    // Fewer different works are farther away: all draws lie too low by as much, and are moved back;
    // and they differ more from each other than sets of new works do.
    double low = NARROWER * (sample.quantile(0.05) - sample.median());
    double high = NARROWER * (sample.quantile(0.95) - sample.median());
    return new Interval(Math.max(0, points + low), Math.min(100, points + high), unshaken);
  }

  /**
   * The sheets of works drawn anew, by the same row of random numbers that the noise is taken from.
   *
   * @param noises numbers that lie between two draws, one a measure
   */
  private synchronized List<StyleSheet> drawnSheets(int noises) {
    if (drawnSheets == null) {
      Random random = new Random(SEED);
      List<StyleSheet> drawn = new ArrayList<>();
      int n = sheet.works().size();
      for (int draw = 0; draw < DRAWS; draw++) {
        List<MeasuredWork> works = new ArrayList<>();
        for (int i = 0; i < n; i++) {
          works.add(sheet.works().get(random.nextInt(n)));
        }
        drawn.add(n == 0 ? sheet : sheet.rulesOver(works));
        for (int i = 0; i < noises; i++) {
          random.nextGaussian();
        }
      }
      drawnSheets = List.copyOf(drawn);
    }
    return drawnSheets;
  }

  private static MeasureResult shaken(Reading reading, double noise) {
    if (reading.standardError().isEmpty()) {
      return reading;
    }
    double value = reading.value() + noise * reading.standardError().getAsDouble();
    return reading.measure().scale().admits(value)
        ? new Reading(reading.measure(), value, reading.standardError(), reading.method())
        : reading;
  }
}
