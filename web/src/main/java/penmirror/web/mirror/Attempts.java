package penmirror.web.mirror;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import penmirror.core.act.Act;
import penmirror.core.scoring.ActScore;
import penmirror.core.scoring.RuleScore;
import penmirror.core.scoring.Score;
import penmirror.core.telling.ActWords;
import penmirror.core.words.Wording;
import penmirror.web.layout.SvgNumber;
import penmirror.web.studies.Work;

/**
 * All attempts at once, act by act: what was off in each, and what came right.
 *
 * @param rows acts that were off in one of them, what costs most over all of them first
 * @param kept names of acts that were near enough wherever they could be read
 */
record Attempts(List<Column> columns, List<Row> rows, String kept, Optional<Chart> chart) {
  private static final double CHART_WIDTH = 560;
  private static final double CHART_HEIGHT = 92;
  private static final double MARGIN = 24;

  /** The chart begins so many points under the lowest thing on it. */
  private static final double BELOW = 6;

  /**
   * @param points by the rules; empty where none could be measured
   */
  record Column(long workId, int number, String title, String points) {}

  record Row(String act, boolean makesOrBreaks, List<Cell> cells) {}

  /**
   * @param state near, off or unread
   * @param miss in words, such as "too high"; empty where it is not off
   */
  record Cell(String state, String miss) {}

  /**
   * The points as a line from attempt to attempt.
   *
   * @param bandY where the illustrator's own range lies; empty where it is not known
   * @param told all points in words
   */
  record Chart(
      String line, List<Dot> dots, String bandY, String bandHeight, String range, String told) {}

  record Dot(String x, String y, String points, int number) {}

  /**
   * @param attempts oldest first
   * @param scores as many
   */
  static Attempts of(List<Work> attempts, List<Score> scores) {
    List<Column> columns = new ArrayList<>();
    for (int i = 0; i < attempts.size(); i++) {
      Work attempt = attempts.get(i);
      columns.add(
          new Column(
              attempt.id(), attempt.number(), attempt.title(), points(scores.get(i).byRules())));
    }
    Map<Act, List<Optional<ActScore>>> byAct = byAct(scores);
    List<Row> rows =
        byAct.entrySet().stream()
            .filter(entry -> entry.getValue().stream().anyMatch(Attempts::isOff))
            .sorted(Comparator.comparingDouble(entry -> -lost(scores, entry.getKey())))
            .map(entry -> row(entry.getKey(), entry.getValue()))
            .toList();
    String kept =
        byAct.entrySet().stream()
            .filter(entry -> entry.getValue().stream().noneMatch(Attempts::isOff))
            .filter(entry -> entry.getValue().stream().anyMatch(Attempts::isRead))
            .map(entry -> ActWords.name(entry.getKey()).toLowerCase(Locale.ENGLISH))
            .collect(Collectors.joining(", "));
    return new Attempts(columns, rows, kept, chart(columns, scores));
  }

  private static Map<Act, List<Optional<ActScore>>> byAct(List<Score> scores) {
    Map<Act, List<Optional<ActScore>>> byAct = new LinkedHashMap<>();
    for (int i = 0; i < scores.size(); i++) {
      for (ActScore act : scores.get(i).measured()) {
        List<Optional<ActScore>> of = byAct.computeIfAbsent(act.act(), key -> new ArrayList<>());
        while (of.size() < i) {
          of.add(Optional.empty());
        }
        of.add(Optional.of(act));
      }
    }
    byAct
        .values()
        .forEach(
            of -> {
              while (of.size() < scores.size()) {
                of.add(Optional.empty());
              }
            });
    return byAct;
  }

  private static boolean isRead(Optional<ActScore> act) {
    return act.flatMap(ActScore::credit).isPresent();
  }

  private static boolean isOff(Optional<ActScore> act) {
    return isRead(act) && act.filter(ActScore::misses).isPresent();
  }

  /** Points that an act kept back over all attempts. */
  private static double lost(List<Score> scores, Act act) {
    return scores.stream()
        .flatMap(score -> Optional.ofNullable(score.shares().get(act)).stream())
        .mapToDouble(share -> share.of() - share.points())
        .sum();
  }

  private static Row row(Act act, List<Optional<ActScore>> scores) {
    return new Row(
        ActWords.name(act),
        scores.stream().flatMap(Optional::stream).anyMatch(ActScore::makesOrBreaks),
        scores.stream().map(Attempts::cell).toList());
  }

  private static Cell cell(Optional<ActScore> act) {
    if (!isRead(act)) {
      return new Cell("unread", "");
    }
    Optional<RuleScore> worst = act.flatMap(ActScore::worst);
    return worst
        .map(rule -> new Cell("off", Wording.miss(rule.rule().measure(), rule.z().orElse(-9.0))))
        .orElse(new Cell("near", ""));
  }

  private static String points(Optional<Double> points) {
    return points.map(p -> Wording.number(p, 0)).orElse("");
  }

  /** Empty under two attempts that have points. */
  private static Optional<Chart> chart(List<Column> columns, List<Score> scores) {
    Optional<Score.OwnRange> own = scores.get(scores.size() - 1).ownByRules();
    double floor =
        Math.min(
                own.map(Score.OwnRange::low).orElse(100.0),
                scores.stream()
                    .flatMap(score -> score.byRules().stream())
                    .mapToDouble(p -> p)
                    .min()
                    .orElse(0))
            - BELOW;
    List<Dot> dots = new ArrayList<>();
    double step = (CHART_WIDTH - 2 * MARGIN) / Math.max(1, columns.size() - 1);
    for (int i = 0; i < columns.size(); i++) {
      Optional<Double> points = scores.get(i).byRules();
      if (points.isPresent()) {
        dots.add(
            new Dot(
                SvgNumber.of(MARGIN + i * step),
                SvgNumber.of(y(points.get(), floor)),
                columns.get(i).points(),
                columns.get(i).number()));
      }
    }
    if (dots.size() < 2) {
      return Optional.empty();
    }
    return Optional.of(
        new Chart(
            dots.stream()
                .map(dot -> dot.x() + " " + dot.y())
                .collect(Collectors.joining("L", "M", "")),
            dots,
            own.map(range -> SvgNumber.of(y(range.high(), floor))).orElse(""),
            own.map(range -> SvgNumber.of(y(range.low(), floor) - y(range.high(), floor)))
                .orElse(""),
            own.map(
                    range ->
                        points(Optional.of(range.low())) + "–" + points(Optional.of(range.high())))
                .orElse(""),
            dots.stream().map(Dot::points).collect(Collectors.joining(", "))));
  }

  private static double y(double points, double floor) {
    return 8 + (100 - points) / (100 - floor) * (CHART_HEIGHT - 26);
  }
}
