package penmirror.web.mirror;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.RuleScore;
import penmirror.core.scoring.Score;
import penmirror.core.words.Wording;
import penmirror.web.evidence.Layer;
import penmirror.web.layout.ReadingStrip;

/**
 * A score as the page tells it: three changes in words first, figures behind.
 *
 * @param headline the three changes that matter, one sentence
 * @param overall one decimal; empty when nothing was measured
 */
record Verdict(
    String headline,
    String belongs,
    String overall,
    String interval,
    String coverage,
    String ownRange,
    String nearest,
    String houseColours,
    List<GroupBar> groups,
    List<FixRow> fixes,
    String allFixed,
    List<RuleRow> rules) {

  private static final int CHANGES_IN_WORDS = 3;

  /**
   * One group's bar on a drawing of 110 by 20.
   *
   * @param length of the bar, drawing units
   */
  record GroupBar(String group, String length, String points, boolean measured) {}

  record FixRow(int number, String instruction, String why, String points) {}

  /**
   * Every rule with its reading against its band.
   *
   * @param layer what shows on the pictures where it comes from; empty for marked measures
   */
  record RuleRow(
      String key,
      String name,
      String value,
      String unit,
      String band,
      String credit,
      String layer,
      boolean misses,
      Optional<ReadingStrip> strip) {}

  static Verdict of(Score score, List<MeasureGroup> traced, MessageSource messages) {
    Texts texts = (key, arguments) -> messages.getMessage(key, arguments, Locale.ENGLISH);
    return new Verdict(
        headline(score, texts),
        score.belongs().map(b -> texts.of(b ? "mirror.belongs" : "mirror.apart")).orElse(""),
        score.overall().map(points -> Wording.number(points, 1)).orElse(""),
        score
            .interval()
            .map(
                i ->
                    texts.of(
                        "mirror.interval", Wording.number(i.low(), 0), Wording.number(i.high(), 0)))
            .orElse(""),
        texts.of("mirror.coverage", Wording.number(100 * score.coverage(), 0)),
        score
            .own()
            .map(
                own ->
                    texts.of(
                        "mirror.own.range",
                        Wording.number(own.low(), 0),
                        Wording.number(own.high(), 0)))
            .orElse(""),
        nearest(score, texts),
        score
            .houseColours()
            .map(points -> texts.of("mirror.house", Wording.number(points, 0)))
            .orElse(""),
        groups(score, traced, texts),
        fixes(score),
        allFixed(score, texts),
        score.rules().stream().map(Verdict::rule).toList());
  }

  private static String nearest(Score score, Texts texts) {
    List<String> titles = score.nearest().stream().map(near -> near.work().title()).toList();
    return switch (titles.size()) {
      case 0 -> "";
      case 1 -> texts.of("mirror.nearest.one", titles.get(0));
      default -> texts.of("mirror.nearest", titles.get(0), titles.get(1));
    };
  }

  @FunctionalInterface
  private interface Texts {
    String of(String key, Object... arguments);
  }

  private static String headline(Score score, Texts texts) {
    if (score.overall().isEmpty()) {
      return texts.of("mirror.unmarked");
    }
    if (score.fixes().isEmpty()) {
      return texts.of("mirror.nothing");
    }
    List<String> misses = score.fixes().stream().limit(CHANGES_IN_WORDS).map(Fix::miss).toList();
    String joined = String.join(", ", misses);
    return Character.toUpperCase(joined.charAt(0)) + joined.substring(1) + ".";
  }

  private static List<GroupBar> groups(Score score, List<MeasureGroup> traced, Texts texts) {
    List<GroupBar> bars = new ArrayList<>();
    for (MeasureGroup group : MeasureGroup.values()) {
      boolean ruled =
          score.rules().stream()
              .anyMatch(r -> r.rule().measure().group() == group && r.rule().isScored());
      // A traced group keeps its row, grey and without points: it was left out on purpose.
      if (!ruled && !traced.contains(group)) {
        continue;
      }
      Double points = score.groups().get(group);
      bars.add(
          new GroupBar(
              texts.of("group." + group.word()),
              points == null ? "0" : Wording.number(points * 1.1, 1),
              points == null ? "" : Wording.number(points, 0),
              points != null));
    }
    return bars;
  }

  private static List<FixRow> fixes(Score score) {
    List<FixRow> rows = new ArrayList<>();
    for (Fix fix : score.fixes()) {
      rows.add(
          new FixRow(
              rows.size() + 1,
              fix.instruction(),
              fix.why(),
              "+" + Wording.number(fix.pointsGained(), 1)));
    }
    return rows;
  }

  private static String allFixed(Score score, Texts texts) {
    if (score.fixes().isEmpty() || score.overall().isEmpty()) {
      return "";
    }
    return texts.of(
        "mirror.all",
        Wording.number(score.overall().get(), 1),
        Wording.number(score.pointsIfAllFixed().orElseThrow(), 1));
  }

  private static RuleRow rule(RuleScore score) {
    Measure measure = score.rule().measure();
    return new RuleRow(
        measure.key(),
        Wording.name(measure),
        score.reading().map(r -> Wording.number(measure.unit(), r.value())).orElse(""),
        Wording.unit(measure.unit()),
        Wording.number(measure.unit(), score.rule().low())
            + "\u2013"
            + Wording.number(measure.unit(), score.rule().high()),
        score.credit().map(c -> Wording.number(100 * c, 0)).orElse(""),
        measure.isFromPixels() ? Layer.of(measure).word() : "",
        score.misses(),
        score.reading().map(r -> ReadingStrip.of(score.rule(), r.value())));
  }
}
