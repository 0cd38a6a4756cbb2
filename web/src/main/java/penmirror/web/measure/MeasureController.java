package penmirror.web.measure;

import jakarta.servlet.http.HttpServletResponse;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.context.MessageSource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.file.Resolution;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.FormatException;
import penmirror.core.format.MarksFile;
import penmirror.core.format.ProposalJson;
import penmirror.core.measure.Reading;
import penmirror.core.measure.Unit;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.reading.TechnicalError;
import penmirror.core.words.Wording;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.Keeping;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.PixelReading;
import penmirror.web.evidence.RepeatStore;
import penmirror.web.layout.NotFoundException;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Scan;
import penmirror.web.studies.ScanStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The bench: a picture, its landmarks, and the readings that follow them. */
@Controller
class MeasureController {
  private static final String VERSION_HEADER = "X-Marks-Version";

  /** Who marks, percent-encoded: headers carry no other letters. */
  private static final String BY_HEADER = "X-Marks-By";

  private static final int LONGEST_NAME = 100;
  private static final int VERSIONS_SHOWN = 20;

  private final StudyStore studies;
  private final WorkStore works;
  private final MarkingStore markings;
  private final PixelReading pixelReading;
  private final Keeping keeping;
  private final EvidenceFinder evidence;
  private final Bench bench;
  private final Questions questions;
  private final Proposing proposing;
  private final Twins twins;
  private final RepeatStore repeats;
  private final GuessStore guesses;
  private final TickStore ticks;
  private final ScanStore scans;
  private final Rail rail;
  private final MessageSource messages;

  MeasureController(
      StudyStore studies,
      WorkStore works,
      MarkingStore markings,
      PixelReading pixelReading,
      Keeping keeping,
      EvidenceFinder evidence,
      Bench bench,
      Questions questions,
      Proposing proposing,
      Twins twins,
      RepeatStore repeats,
      GuessStore guesses,
      TickStore ticks,
      ScanStore scans,
      Rail rail,
      MessageSource messages) {
    this.studies = studies;
    this.works = works;
    this.markings = markings;
    this.pixelReading = pixelReading;
    this.keeping = keeping;
    this.evidence = evidence;
    this.bench = bench;
    this.questions = questions;
    this.proposing = proposing;
    this.twins = twins;
    this.repeats = repeats;
    this.guesses = guesses;
    this.ticks = ticks;
    this.scans = scans;
    this.rail = rail;
    this.messages = messages;
  }

  /** The first source that nothing is marked on, or the first of all. */
  @GetMapping("/studies/{studyId}/measure")
  String first(Study study) {
    List<Work> sources = works.inRole(study.id(), Work.Role.SOURCE);
    if (sources.isEmpty()) {
      return "redirect:/studies/" + study.id() + "/gather";
    }
    Work work =
        sources.stream()
            .filter(source -> evidence.of(source).marks().confirmed().isEmpty())
            .findFirst()
            .orElse(sources.get(0));
    return "redirect:/studies/" + study.id() + "/works/" + work.id() + "/measure";
  }

  @GetMapping("/studies/{studyId}/works/{workId}/measure")
  String page(Study study, Work work, Model model) {

    MarkingStore.Marking marking = markings.newest(work.id(), work.view());
    Stage stage = work.role() == Work.Role.SOURCE ? Stage.MEASURE : Stage.MIRROR;
    rail.addTo(model, study, stage);
    bench.addReadings(model, study, work, marking.marks());
    model.addAttribute("version", marking.version());
    model.addAttribute("leftOut", marking.leftOut());
    model.addAttribute("landmarks", MarksFile.landmarksJson(marking.marks()));
    model.addAttribute("neighbours", neighbours(work));
    questions.addTo(model, study, work);
    model.addAttribute("learnsFrom", proposing.learnsFrom(work));
    model.addAttribute("twins", twins.of(work));
    model.addAttribute("history", markings.history(work.id(), VERSIONS_SHOWN));
    model.addAttribute("repeats", repeats.technicalError(study.id()).figures());
    model.addAttribute(
        "pixelsPerInch",
        scans.of(work.id()).flatMap(Scan::resolution).map(Resolution::pixelsPerInch).orElse(null));
    return "measure/page";
  }

  /** Where the points that are not marked probably lie. */
  @PostMapping("/studies/{studyId}/works/{workId}/proposal")
  ResponseEntity<String> propose(Study study, Work work, @RequestBody String landmarks)
      throws UnusablePictureException, FormatException {

    Marks known = marks(work, landmarks);
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .body(ProposalJson.write(proposing.propose(work, known)));
  }

  /** One version of the marking, to lay over another. */
  @GetMapping("/studies/{studyId}/works/{workId}/marks/{version}.json")
  ResponseEntity<String> version(Study study, Work work, @PathVariable int version) {

    Marks marks =
        markings
            .at(work.id(), work.view(), version)
            .orElseThrow(() -> new NotFoundException("fault.marking.unknown", version));
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .body(MarksFile.landmarksJson(marks));
  }

  /** Takes over the marks of the same picture at another size, or of which this is a part. */
  @PostMapping("/studies/{studyId}/works/{workId}/marks/copy")
  String copyMarks(Study study, Work work, @RequestParam long from)
      throws UnusablePictureException {

    Twins.Twin twin =
        twins.of(work).stream()
            .filter(t -> t.work().id() == from)
            .findFirst()
            .orElseThrow(() -> new NotFoundException("fault.work.unknown", from));
    int version = markings.newest(work.id(), work.view()).version();
    if (keeping.marks(work, version, twins.marksFor(work, twin), "").isEmpty()) {
      throw new RefusedException("measure.copy.conflict");
    }
    return "redirect:/studies/" + study.id() + "/works/" + work.id() + "/measure";
  }

  /** Keeps a second marking made without sight of the first, and tells how far they lie apart. */
  @PostMapping("/studies/{studyId}/works/{workId}/repeat")
  String repeat(
      Study study,
      Work work,
      @RequestBody String landmarks,
      Model model,
      HttpServletResponse response) {

    Marks first = markings.newest(work.id(), work.view()).marks();
    Marks second;
    try {
      second = marks(work, landmarks);
    } catch (FormatException e) {
      return fault(model, response, HttpStatus.BAD_REQUEST, String.valueOf(e.getMessage()));
    }
    repeats.keep(work.id(), new TechnicalError.Pair(first, second));
    TechnicalError here = TechnicalError.of(List.of(new TechnicalError.Pair(first, second)));
    model.addAttribute("repeat", RepeatRow.of(here, first));
    model.addAttribute("figures", repeats.technicalError(study.id()).figures());
    model.addAttribute("enough", TechnicalError.ENOUGH_FIGURES);
    return "measure/repeat :: outcome";
  }

  /** Keeps a guess and tells by how much it was off. */
  @PostMapping("/studies/{studyId}/works/{workId}/guesses")
  String guess(
      Study study,
      Work work,
      @RequestParam("measure") String key,
      @RequestParam String guessed,
      Model model,
      HttpServletResponse response) {

    Optional<Reading> reading =
        MeasureCatalogue.byKey(key).flatMap(measure -> measure.read(evidence.of(work)).reading());
    OptionalDouble value = number(guessed);
    if (reading.isEmpty() || value.isEmpty()) {
      return fault(
          model,
          response,
          HttpStatus.BAD_REQUEST,
          messages.getMessage("measure.guess.fault", new Object[] {guessed}, Locale.ENGLISH));
    }
    GuessStore.Guess guess = new GuessStore.Guess(key, value.getAsDouble(), reading.get().value());
    guesses.keep(work.id(), guess);
    Unit unit = reading.get().measure().unit();
    String off = Wording.number(Math.abs(guess.error()), unit.decimals());
    String way = guess.error() < 0 ? "measure.guess.low" : "measure.guess.high";
    model.addAttribute(
        "text",
        messages.getMessage(
            Wording.number(unit, 0).equals(off) ? "measure.guess.right" : way,
            new Object[] {off, Wording.unit(unit)},
            Locale.ENGLISH));
    return "measure/repeat :: guess";
  }

  private static OptionalDouble number(String text) {
    try {
      double value = Double.parseDouble(text.strip().replace(',', '.').replace('\u2212', '-'));
      return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
    } catch (NumberFormatException e) {
      return OptionalDouble.empty();
    }
  }

  /** How far apart two markings of one point lie. */
  record RepeatRow(String key, String pixels) {
    static List<RepeatRow> of(TechnicalError error, Marks first) {
      double head = first.headFrame().map(HeadFrame::headPixels).orElse(0.0);
      // Of one pair the error is the distance by the root of two.
      return error.heads().entrySet().stream()
          .sorted(java.util.Map.Entry.comparingByValue(java.util.Comparator.reverseOrder()))
          .map(
              entry ->
                  new RepeatRow(
                      entry.getKey().key(),
                      Wording.number(entry.getValue() * Math.sqrt(2) * head, 1)))
          .toList();
    }
  }

  /** Saves a marking made from a version; tells when another save came in between. */
  @PostMapping("/studies/{studyId}/works/{workId}/marks")
  String save(
      Study study,
      Work work,
      @RequestHeader(VERSION_HEADER) int madeFrom,
      @RequestHeader(name = BY_HEADER, defaultValue = "") String by,
      @RequestBody String landmarks,
      Model model,
      HttpServletResponse response) {

    Marks marks;
    try {
      marks = marks(work, landmarks);
    } catch (FormatException e) {
      return fault(model, response, HttpStatus.BAD_REQUEST, String.valueOf(e.getMessage()));
    }
    Optional<Integer> saved = keeping.marks(work, madeFrom, marks, name(by));
    if (saved.isEmpty()) {
      int newest = markings.newest(work.id(), work.view()).version();
      response.setHeader(VERSION_HEADER, Integer.toString(newest));
      return fault(
          model,
          response,
          HttpStatus.CONFLICT,
          messages.getMessage("measure.conflict", new Object[0], Locale.ENGLISH));
    }
    response.setHeader(VERSION_HEADER, saved.get().toString());
    bench.addReadings(model, study, work, marks);
    return "measure/readings :: readings";
  }

  /** Readings for a marking that is still moving; nothing is saved. */
  @PostMapping(
      path = "/studies/{studyId}/works/{workId}/readings",
      headers = "Accept!=application/json")
  String preview(
      Study study,
      Work work,
      @RequestBody String landmarks,
      Model model,
      HttpServletResponse response) {
    try {
      bench.addReadings(model, study, work, marks(work, landmarks));
    } catch (FormatException e) {
      return fault(model, response, HttpStatus.BAD_REQUEST, String.valueOf(e.getMessage()));
    }
    return "measure/readings :: readings";
  }

  /** The same as little as can be, while a point is dragged over rows that stand already. */
  @PostMapping(
      path = "/studies/{studyId}/works/{workId}/readings",
      produces = MediaType.APPLICATION_JSON_VALUE,
      headers = "Accept=application/json")
  @ResponseBody
  Bench.MovingReadings moving(Study study, Work work, @RequestBody String landmarks)
      throws FormatException {

    Marks marks = marks(work, landmarks);
    return bench.moving(study, work, marks);
  }

  /** The pixel block alone, asked for again while the reading is under way. */
  @GetMapping("/studies/{studyId}/works/{workId}/pixels")
  String pixels(@PathVariable long studyId, @PathVariable long workId, Model model) {
    return pixelBlock(studyId, workId, model);
  }

  @PostMapping("/studies/{studyId}/works/{workId}/pixels/stop")
  String stopPixels(Study study, Work work, Model model) {
    pixelReading.stop(work);
    return pixelBlock(study.id(), work.id(), model);
  }

  @PostMapping("/studies/{studyId}/works/{workId}/pixels/again")
  String readPixelsAgain(Study study, Work work, Model model) {
    pixelReading.wantAgain(work);
    return pixelBlock(study.id(), work.id(), model);
  }

  @GetMapping("/studies/{studyId}/works/{workId}/marks.json")
  ResponseEntity<String> marksFile(Study study, Work work) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            "attachment; filename=\"work-" + work.id() + ".marks.json\"")
        .body(
            MarksFile.of(markings.newest(work.id(), work.view()).marks())
                .about(
                    new MarksFile.MarkedImage(
                        work.title(),
                        work.pictureSha256(),
                        work.widthPixels(),
                        work.heightPixels()))
                .ticked(ticks.answers(work.id()))
                .toJson());
  }

  private String pixelBlock(long studyId, long workId, Model model) {
    Study study = studies.require(studyId);
    Work work = works.require(studyId, workId);
    bench.addReadings(model, study, work, markings.newest(workId, work.view()).marks());
    return "measure/readings :: pixels";
  }

  private static String fault(
      Model model, HttpServletResponse response, HttpStatus status, String text) {
    response.setStatus(status.value());
    model.addAttribute("fault", text);
    return "layout/fault :: fault";
  }

  /** Landmarks as the page sends them, on the work's picture or close beside it. */
  private Marks marks(Work work, String landmarks) throws FormatException {
    Marks marks = MarksFile.ofLandmarksJson(work.view(), landmarks);
    Optional<Landmark> strayed = marks.strayed(work.widthPixels(), work.heightPixels());
    if (strayed.isPresent()) {
      String name = text("landmark." + strayed.get().key());
      throw new FormatException(text("measure.strayed", name));
    }
    return marks;
  }

  private String text(String key, Object... about) {
    return messages.getMessage(key, about, Locale.ENGLISH);
  }

  private static String name(String encoded) {
    try {
      return Texts.cut(URLDecoder.decode(encoded, StandardCharsets.UTF_8), LONGEST_NAME);
    } catch (IllegalArgumentException e) {
      return "";
    }
  }

  /** The works before and after this one in its role. */
  record Neighbours(Optional<Work> before, Optional<Work> after) {}

  private Neighbours neighbours(Work work) {
    List<Work> all = works.inRole(work.studyId(), work.role());
    int at = 0;
    while (all.get(at).id() != work.id()) {
      at++;
    }
    return new Neighbours(
        at > 0 ? Optional.of(all.get(at - 1)) : Optional.empty(),
        at < all.size() - 1 ? Optional.of(all.get(at + 1)) : Optional.empty());
  }
}
