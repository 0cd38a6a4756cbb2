package penmirror.web.origin;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.context.MessageSource;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.act.Acts;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.FigureEditsJson;
import penmirror.core.format.FormatException;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.FigureEdit;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.MeasureResult;
import penmirror.core.measure.Reading;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.reading.PixelEvidence;
import penmirror.core.reading.RoleColours;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.core.words.Wording;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.FigureEditStore;
import penmirror.web.evidence.Keeping;
import penmirror.web.evidence.Layer;
import penmirror.web.evidence.OriginFinder;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.layout.ReadingStrip;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/**
 * Where the readings from the pixels come from: layers over the picture, and the figure's edges.
 */
@Controller
class OriginController {
  /** Groups read from pixels, in the order of the tabs. */
  private static final List<MeasureGroup> GROUPS =
      List.of(
          MeasureGroup.LINE,
          MeasureGroup.SHADE,
          MeasureGroup.COLOUR,
          MeasureGroup.EDGE,
          MeasureGroup.SHAPE,
          MeasureGroup.PART,
          MeasureGroup.LAYOUT);

  private static final String VERSION_HEADER = "X-Version";
  private static final int LONGEST_ROLE = 40;
  private static final double LARGEST_DISC = 200;

  private final StudyStore studies;
  private final WorkStore works;
  private final EvidenceFinder evidence;
  private final OriginFinder origins;
  private final PixelReadingStore readings;
  private final Keeping keeping;
  private final FigureEditStore figureEdits;
  private final RoleStore roles;
  private final Naming naming;
  private final SheetMaker sheets;
  private final Rail rail;
  private final MessageSource messages;

  OriginController(
      StudyStore studies,
      WorkStore works,
      EvidenceFinder evidence,
      OriginFinder origins,
      PixelReadingStore readings,
      Keeping keeping,
      FigureEditStore figureEdits,
      RoleStore roles,
      Naming naming,
      SheetMaker sheets,
      Rail rail,
      MessageSource messages) {
    this.studies = studies;
    this.works = works;
    this.evidence = evidence;
    this.origins = origins;
    this.readings = readings;
    this.keeping = keeping;
    this.figureEdits = figureEdits;
    this.roles = roles;
    this.naming = naming;
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

  @GetMapping("/studies/{studyId}/works/{workId}/origin")
  String page(
      Study study,
      Work work,
      @RequestParam(defaultValue = "line.width") String show,
      @RequestParam(required = false) Optional<Long> beside,
      Model model) {
    rail.addTo(model, study, work.role() == Work.Role.REDRAW ? Stage.MIRROR : Stage.MEASURE);
    model.addAttribute("study", study);
    model.addAttribute("work", work);
    model.addAttribute("groups", GROUPS);
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
    addRoles(model, work);
    return "origin/page";
  }

  /** The rows alone, after the figure was corrected and the picture read anew. */
  @GetMapping("/studies/{studyId}/works/{workId}/origin/readings")
  String rows(Study study, Work work, Model model) {
    model.addAttribute("study", study);
    model.addAttribute("work", work);
    model.addAttribute("groups", GROUPS);
    addRows(model, study, work);
    return "origin/page :: rows";
  }

  private void addRows(Model model, Study study, Work work) {
    PixelReadingStore.Progress progress = readings.progress(work.id());
    StyleSheet sheet = sheets.sheetOf(study, work.id());
    Evidence of = evidence.of(work);
    List<Row> rows = new ArrayList<>();
    String before = "";
    for (Measure measure : byActs()) {
      boolean standsIn = measure.standsInFor().isPresent() && of.marks().headFrame().isPresent();
      if (measure.isFromPixels() && !standsIn) {
        String act = Acts.of(measure).map(ActWords::name).orElse("");
        String place = measure.group() + act;
        rows.add(row(measure, act, !place.equals(before), measure.read(of), sheet.rule(measure)));
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

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }

  /** What to draw over the picture. */
  @GetMapping(
      path = "/studies/{studyId}/works/{workId}/origin.json",
      produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<String> layers(Study study, Work work) throws UnusablePictureException {
    return ResponseEntity.ok(origins.json(work).orElseThrow());
  }

  /**
   * Takes the corrections of the figure as they stand now, and has the picture read anew. Where
   * another save came in between, answers with the strokes of that.
   */
  @PostMapping("/studies/{studyId}/works/{workId}/figure")
  ResponseEntity<String> figure(
      Study study,
      Work work,
      @RequestHeader(VERSION_HEADER) int madeFrom,
      @RequestBody String edits) {

    List<FigureEdit> strokes;
    try {
      strokes = FigureEditsJson.read(edits);
    } catch (FormatException e) {
      return ResponseEntity.badRequest().body(e.getMessage());
    }
    if (!strokes.stream().allMatch(s -> s.isOn(work.widthPixels(), work.heightPixels()))) {
      return ResponseEntity.badRequest().body(text("origin.figure.off"));
    }
    OptionalInt saved = keeping.strokes(work, madeFrom, strokes);
    if (saved.isEmpty()) {
      FigureEditStore.Strokes newest = figureEdits.newest(work.id());
      return ResponseEntity.status(HttpStatus.CONFLICT)
          .header(VERSION_HEADER, Integer.toString(newest.version()))
          .contentType(MediaType.APPLICATION_JSON)
          .body(FigureEditsJson.write(newest.edits()));
    }
    return ResponseEntity.noContent()
        .header(VERSION_HEADER, Integer.toString(saved.getAsInt()))
        .build();
  }

  /**
   * Picks a colour for a role. With the base its shadow, strip and highlight are found along; those
   * that were picked by hand stay.
   */
  @PostMapping("/studies/{studyId}/works/{workId}/roles")
  String pick(
      Study study,
      Work work,
      @RequestParam String role,
      @RequestParam RoleStore.Tone tone,
      @RequestParam double x,
      @RequestParam double y,
      @RequestParam(defaultValue = "3") double radius,
      Model model,
      HttpServletResponse response)
      throws UnusablePictureException {

    String name = role.strip();
    boolean inside = x >= 0 && y >= 0 && x < work.widthPixels() && y < work.heightPixels();
    if (name.isEmpty() || name.length() > LONGEST_ROLE || !inside || !(radius <= LARGEST_DISC)) {
      response.setStatus(HttpStatus.BAD_REQUEST.value());
      model.addAttribute("fault", text("origin.role.fault"));
      return "layout/fault :: fault";
    }
    PixelEvidence of = origins.of(work).orElseThrow();
    RoleColours found = RoleColours.at(of, new Point(x, y), Math.max(0, radius));
    naming.name(work.id(), name, tone, found, new Point(x, y));
    model.addAttribute("study", study);
    model.addAttribute("work", work);
    addRoles(model, work);
    return "origin/page :: roles";
  }

  @PostMapping("/studies/{studyId}/works/{workId}/roles/forget")
  String forget(Study study, Work work, @RequestParam String role, Model model) {
    roles.forget(work.id(), role);
    model.addAttribute("study", study);
    model.addAttribute("work", work);
    addRoles(model, work);
    return "origin/page :: roles";
  }

  /** Every tone of every role, those that are not known included, so that they can be picked. */
  record RoleRow(String role, List<ToneCell> tones) {}

  /**
   * @param hex empty where it is not known
   */
  record ToneCell(String tone, String hex, boolean byHand) {}

  private void addRoles(Model model, Work work) {
    List<RoleRow> rows = new ArrayList<>();
    for (Map.Entry<String, List<RoleStore.Colour>> role : roles.of(work.id()).entrySet()) {
      List<ToneCell> cells = new ArrayList<>();
      for (RoleStore.Tone tone : RoleStore.Tone.values()) {
        cells.add(
            role.getValue().stream()
                .filter(colour -> colour.tone() == tone)
                .findFirst()
                .map(colour -> new ToneCell(tone.name(), colour.hex(), colour.byHand()))
                .orElse(new ToneCell(tone.name(), "", false)));
      }
      rows.add(new RoleRow(role.getKey(), cells));
    }
    model.addAttribute("roles", rows);
  }
}
