package penmirror.web.rules;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import penmirror.core.format.StyleFile;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.words.Wording;
import penmirror.web.layout.StripPlot;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;

/** The style sheet: every rule as a strip, with a dot for every work. */
@Controller
class RulesController {
  private static final int TOP_RULES = 4;

  private final StudyStore studies;
  private final SheetMaker sheets;
  private final Rail rail;

  RulesController(StudyStore studies, SheetMaker sheets, Rail rail) {
    this.studies = studies;
    this.sheets = sheets;
    this.rail = rail;
  }

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

  @GetMapping("/studies/{studyId}/rules")
  String page(@PathVariable long studyId, Model model) {
    Study study = studies.require(studyId);
    StyleSheet sheet = sheets.sheetOf(study);
    rail.addTo(model, study, Stage.RULES);
    model.addAttribute("sheet", sheet);
    model.addAttribute("groups", groups(study, sheet));
    model.addAttribute("firmest", firmest(study, sheet));
    return "rules/page";
  }

  @GetMapping("/studies/{studyId}/rules/style.json")
  ResponseEntity<String> styleFile(@PathVariable long studyId) {
    // The one redraws are scored by: whoever scores with the file gets the page's figures.
    StyleSheet sheet = sheets.scoredSheetOf(studies.require(studyId));
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            "attachment; filename=\"study-" + studyId + ".style.json\"")
        .body(StyleFile.of(sheet).toJson());
  }

  private static List<RuleGroup> groups(Study study, StyleSheet sheet) {
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

  /** The rules that are tightest against how far illustrators differ. */
  private static List<RuleRow> firmest(Study study, StyleSheet sheet) {
    return sheet.rules().stream()
        .filter(Rule::isScored)
        .filter(
            rule ->
                !rule.measure().isFromPixels()
                    || MeasureCatalogue.toldFirst().contains(rule.measure()))
        .sorted(
            Comparator.comparingDouble(
                rule -> rule.tolerance() / rule.measure().spreadAmongStyles()))
        .limit(TOP_RULES)
        .map(rule -> row(study, sheet, rule))
        .collect(Collectors.toList());
  }

  private static RuleRow row(Study study, StyleSheet sheet, Rule rule) {
    Measure measure = rule.measure();
    List<StripPlot.Entry> entries =
        sheet.worksRuledOn(measure).stream()
            .map(
                work ->
                    new StripPlot.Entry(
                        work.values().get(measure),
                        work.title(),
                        "/studies/"
                            + study.id()
                            + "/works/"
                            + work.id()
                            + "/"
                            + (measure.isFromPixels()
                                ? "origin?show=" + measure.key()
                                : "measure")))
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
