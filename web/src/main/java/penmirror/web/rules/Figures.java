package penmirror.web.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.words.Wording;
import penmirror.web.layout.StripPlot;
import penmirror.web.studies.Study;

/** Every rule in figures, as a strip with a dot for every work. */
final class Figures {
  private Figures() {}

  /** One rule as the page tells it. */
  record RuleRow(
      String key,
      String name,
      String low,
      String high,
      String centre,
      String spread,
      String unit,
      String strength,
      int works,
      boolean fewWorks,
      StripPlot strip) {}

  record RuleGroup(String group, List<RuleRow> rows) {}

  static List<RuleGroup> groups(Study study, StyleSheet sheet) {
    List<RuleGroup> groups = new ArrayList<>();
    for (MeasureGroup group : MeasureGroup.values()) {
      List<RuleRow> rows =
          sheet.rules().stream()
              .filter(rule -> rule.measure().group() == group)
              .map(rule -> row(study, sheet, rule))
              .toList();
      if (!rows.isEmpty()) {
        groups.add(new RuleGroup(group.word(), rows));
      }
    }
    return groups;
  }

  private static RuleRow row(Study study, StyleSheet sheet, Rule rule) {
    Measure measure = rule.measure();
    List<StripPlot.Entry> entries =
        sheet.worksRuledOn(measure).stream()
            .map(
                work ->
                    new StripPlot.Entry(
                        work.value(measure), work.title(), WorkLink.of(study.id(), work, measure)))
            .toList();
    double up = measure.scale().fromScale(measure.scale().toScale(rule.centre()) + rule.spread());
    return new RuleRow(
        measure.key(),
        Wording.name(measure),
        Wording.number(measure.unit(), rule.low()),
        Wording.number(measure.unit(), rule.high()),
        Wording.number(measure.unit(), rule.centre()),
        Wording.number(up - rule.centre(), measure.unit().decimals() + 1),
        Wording.unit(measure.unit()),
        rule.strength().name().toLowerCase(Locale.ROOT),
        rule.readingCount(),
        rule.readingCount() < Rule.FEW_WORKS,
        StripPlot.of(rule, entries));
  }
}
