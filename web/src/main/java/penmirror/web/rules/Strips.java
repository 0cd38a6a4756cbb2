package penmirror.web.rules;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.measure.Measure;
import penmirror.core.style.BaseLine;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.DeskUnit;
import penmirror.web.layout.ActStrip;

/**
 * Draws rules with their works beside them.
 *
 * @param base shown on each strip where it is the user's own hand
 * @param realistic what a realistic figure has
 * @param worksHangHere whether a dot can lead to its work; those of a sheet file are elsewhere
 */
record Strips(long studyId, BaseLine base, Map<Measure, Double> realistic, boolean worksHangHere) {

  static Strips of(long studyId, BaseLine base, boolean worksHangHere) {
    return new Strips(studyId, base, BaseLine.realistic().values(), worksHangHere);
  }

  ActStrip of(StyleSheet sheet, Rule rule) {
    Measure measure = rule.measure();
    List<ActStrip.Entry> entries =
        sheet.worksRuledOn(measure).stream()
            .map(
                work ->
                    new ActStrip.Entry(
                        work.value(measure),
                        work.title(),
                        worksHangHere
                            ? WorkLink.of(studyId, work, measure)
                            : "/studies/" + studyId + "/rules",
                        work.id()))
            .toList();
    Optional<Double> own =
        base.from() == BaseLine.From.OWN_HAND
            ? Optional.ofNullable(base.values().get(measure))
            : Optional.empty();
    return ActStrip.of(rule, entries, own, Optional.ofNullable(realistic.get(measure)));
  }

  static String band(Rule rule) {
    DeskUnit unit = DeskUnit.of(rule.measure(), OptionalDouble.empty());
    return unit.band(rule.low(), rule.high()) + " " + unit.word();
  }
}
