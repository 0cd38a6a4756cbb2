package penmirror.web.origin;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import penmirror.core.act.Acts;
import penmirror.core.colour.Role;
import penmirror.core.format.FigureEditsJson;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.MeasureResult;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.Reading;
import penmirror.core.measure.RoleTones;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.core.words.Wording;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.FigureEditStore;
import penmirror.web.evidence.Layer;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.evidence.RoleStore;
import penmirror.web.layout.ReadingStrip;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** What stands beside the picture: its readings by acts, each with its layer, and its roles. */
@Component
class OriginPage {
  /** Groups read from pixels, in the order of the tabs. */
  private static final List<MeasureGroup> GROUPS =
      List.of(
          MeasureGroup.LINE,
          MeasureGroup.SHADE,
          MeasureGroup.COLOUR,
          MeasureGroup.EDGE,
          MeasureGroup.SHAPE,
          MeasureGroup.PART,
          MeasureGroup.ROLE,
          MeasureGroup.LAYOUT);

  private final WorkStore works;
  private final EvidenceFinder evidence;
  private final PixelReadingStore readings;
  private final FigureEditStore figureEdits;
  private final RoleStore roles;
  private final SheetMaker sheets;
  private final Rail rail;
  private final MessageSource messages;

  OriginPage(
      WorkStore works,
      EvidenceFinder evidence,
      PixelReadingStore readings,
      FigureEditStore figureEdits,
      RoleStore roles,
      SheetMaker sheets,
      Rail rail,
      MessageSource messages) {
    this.works = works;
    this.evidence = evidence;
    this.readings = readings;
    this.figureEdits = figureEdits;
    this.roles = roles;
    this.sheets = sheets;
    this.rail = rail;
    this.messages = messages;
  }

  /**
   * One reading.
   *
   * @param act the name of what a hand does there; empty for what is no manner of drawing
   * @param heads whether it is the first of its act in its group
   * @param waitsFor why it has no value; empty with one
   * @param error one standard error with the unit's decimals; empty where it is not estimated
   */
  record Row(
      String key,
      String act,
      boolean heads,
      MeasureGroup group,
      String layer,
      String name,
      String value,
      String unit,
      String error,
      String rule,
      String formula,
      String waitsFor,
      Optional<ReadingStrip> strip) {}

  /**
   * @param show key of the measure whose layer is shown first
   * @param beside another work to lay beside it
   */
  void addTo(Model model, Study study, Work work, String show, Optional<Long> beside) {
    rail.addTo(model, study, work.role() == Work.Role.REDRAW ? Stage.MIRROR : Stage.MEASURE);
    model.addAttribute("layers", Layer.values());
    model.addAttribute("shown", show);
    model.addAttribute("beside", beside.map(id -> works.require(study.id(), id)).orElse(null));
    model.addAttribute(
        "others",
        works.inRole(study.id(), Work.Role.SOURCE).stream()
            .filter(other -> other.id() != work.id())
            .toList());
    FigureEditStore.Strokes strokes = figureEdits.newest(work.id());
    model.addAttribute("edits", FigureEditsJson.write(strokes.edits()));
    model.addAttribute("editsVersion", strokes.version());
    model.addAttribute("strokesLeftOut", strokes.leftOut());
    model.addAttribute("head", evidence.headPixels(work).orElse(null));
    beside
        .map(id -> works.require(study.id(), id))
        .ifPresent(
            other -> model.addAttribute("headBeside", evidence.headPixels(other).orElse(null)));
    addRows(model, study, work);
    addRoles(model, study, work);
  }

  void addRows(Model model, Study study, Work work) {
    PixelReadingStore.Progress progress = readings.progress(work.id());
    StyleSheet sheet = sheets.sheetOf(study, work.id());
    Evidence known = evidence.of(work);
    model.addAttribute("study", study);
    model.addAttribute("work", work);
    model.addAttribute("groups", GROUPS);
    List<Row> rows = new ArrayList<>();
    String before = "";
    for (Measure measure : byActs()) {
      boolean standsIn = measure.standsInFor().isPresent() && known.marks().headFrame().isPresent();
      if (measure.isFromPixels() && !standsIn) {
        String act = Acts.of(measure).map(ActWords::name).orElse("");
        String place = measure.group() + act;
        rows.add(
            row(
                measure,
                act,
                !place.equals(before),
                measure.read(known),
                sheet.ruleFor(measure, known.marks().view())));
        before = place;
      }
    }
    model.addAttribute("rows", rows);
    model.addAttribute("pixels", progress);
  }

  /** What a hand does in the order of the sheet; what only helps to recognise it comes last. */
  private static List<Measure> byActs() {
    List<Measure> ordered = new ArrayList<>();
    Acts.all().forEach(act -> ordered.addAll(act.readings()));
    MeasureCatalogue.all().stream()
        .filter(measure -> Acts.of(measure).isEmpty())
        .forEach(ordered::add);
    ordered.sort(Comparator.comparing(Measure::group));
    return ordered;
  }

  private Row row(
      Measure measure, String act, boolean heads, MeasureResult result, Optional<Rule> rule) {
    Optional<Reading> reading = result.reading();
    String unit = Wording.unit(measure.unit());
    return new Row(
        measure.key(),
        act,
        heads,
        measure.group(),
        Layer.of(measure).word(),
        Wording.name(measure),
        reading.map(r -> Wording.number(measure.unit(), r.value())).orElse(""),
        unit,
        reading.map(Wording::error).orElse(""),
        rule.map(
                r ->
                    Wording.number(measure.unit(), r.low())
                        + " – "
                        + Wording.number(measure.unit(), r.high()))
            .orElse(""),
        measure.formula(),
        result.fold(r -> "", none -> text("reason." + none.reason().name(), "")),
        reading.flatMap(r -> rule.map(band -> ReadingStrip.of(band, r.value()))));
  }

  /**
   * Every tone of a role, those that are not known included, so that they can be picked.
   *
   * @param isNamed whether somebody named it, rather than found by itself
   */
  record RoleRow(String role, boolean isNamed, List<ToneCell> tones) {}

  /**
   * @param hex empty where it is not known
   */
  record ToneCell(String tone, String hex, boolean byHand) {}

  void addRoles(Model model, Study study, Work work) {
    model.addAttribute("study", study);
    model.addAttribute("work", work);
    List<RoleRow> rows = new ArrayList<>();
    Map<String, List<RoleStore.Colour>> named = roles.of(work.id());
    List<RoleTones> found = evidence.of(work).pixels().map(PixelReadings::roles).orElse(List.of());
    named.forEach((name, colours) -> rows.add(new RoleRow(name, true, cells(colours))));
    for (RoleTones role : found) {
      if (named.keySet().stream()
          .flatMap(n -> Role.ofName(n).stream())
          .noneMatch(role.role()::equals)) {
        String name = text("origin.role." + role.role().word());
        rows.add(new RoleRow(name, false, cells(RoleStore.found(role.tones()))));
      }
    }
    model.addAttribute("roles", rows);
  }

  private static List<ToneCell> cells(List<RoleStore.Colour> colours) {
    List<ToneCell> cells = new ArrayList<>();
    for (RoleStore.Tone tone : RoleStore.Tone.values()) {
      cells.add(
          colours.stream()
              .filter(colour -> colour.tone() == tone)
              .findFirst()
              .map(colour -> new ToneCell(tone.name(), colour.hex(), colour.byHand()))
              .orElse(new ToneCell(tone.name(), "", false)));
    }
    return cells;
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
