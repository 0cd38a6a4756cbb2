package penmirror.web.rules;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.act.Act;
import penmirror.core.card.Question;
import penmirror.core.measure.Measure;
import penmirror.core.measure.proportion.FreePair;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.core.telling.DeskUnit;
import penmirror.core.words.Wording;
import penmirror.web.layout.ActStrip;
import penmirror.web.sheets.Sayings;

/**
 * An act opened: its readings, what the user may say over each, and what was said.
 *
 * @param words the user's own sentence, else the sheet's
 */
record ActPage(String key, String words, boolean ownWords, List<ReadingRow> readings) {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH).withZone(ZoneId.systemDefault());

  /**
   * @param unit what both ends are counted in; empty where they cannot be typed
   * @param byHand the day on which the user set it; empty where the works decide
   * @param grounds what it stands on where that is not all works: same, wider or brought
   */
  record ReadingRow(
      String key,
      String name,
      String band,
      String low,
      String high,
      String unit,
      boolean typed,
      String byHand,
      String grounds,
      List<OutRow> leftOut,
      ActStrip strip) {}

  /** A work that takes no part in the rule. */
  record OutRow(long workId, String title, String reason, String day) {}

  /** The card it is told on. */
  public Optional<String> card() {
    return Question.ofAct(key).map(Question::word);
  }

  /** Whether it is a ratio that the user added. */
  public boolean isOwn() {
    return FreePair.ofKey(key).isPresent();
  }

  /**
   * @param titles by the works' ids
   */
  static ActPage of(
      Act act, StyleSheet sheet, Strips strips, Sayings sayings, Map<Long, String> titles) {
    return new ActPage(
        act.key(),
        sayings.words(act).or(() -> ActWords.sentence(sheet, act)).orElse(""),
        sayings.words(act).isPresent(),
        sheet.rules(act).stream().map(rule -> row(rule, sheet, strips, sayings, titles)).toList());
  }

  /** As a field of numbers takes it: with the keyboard's minus. */
  private static String typed(String number) {
    return number.replace('\u2212', '-');
  }

  private static ReadingRow row(
      Rule rule, StyleSheet sheet, Strips strips, Sayings sayings, Map<Long, String> titles) {
    Measure measure = rule.measure();
    DeskUnit unit = DeskUnit.of(measure, OptionalDouble.empty());
    return new ReadingRow(
        measure.key(),
        Wording.name(measure),
        Strips.band(rule),
        typed(unit.number(rule.low())),
        typed(unit.number(rule.high())),
        unit.word(),
        unit.isTyped(),
        sayings.setByHand(measure).map(DAY::format).orElse(""),
        switch (rule.grounds()) {
          case SAME, WIDER, BROUGHT -> rule.grounds().name().toLowerCase(Locale.ROOT);
          case ALL, BY_HAND -> "";
        },
        sayings.leftOut(measure).stream()
            .map(
                out ->
                    new OutRow(
                        out.workId(),
                        titles.getOrDefault(out.workId(), ""),
                        out.reason(),
                        DAY.format(out.saidAt())))
            .toList(),
        strips.of(sheet, rule));
  }
}
