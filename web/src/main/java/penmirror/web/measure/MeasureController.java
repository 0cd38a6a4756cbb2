package penmirror.web.measure;

import jakarta.servlet.http.HttpServletResponse;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.springframework.context.MessageSource;
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
import penmirror.core.figure.Marks;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.FormatException;
import penmirror.core.format.MarksFile;
import penmirror.core.format.ProposalJson;
import penmirror.web.layout.Fault;
import penmirror.web.layout.GivenFile;
import penmirror.web.sight.Proposing;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** The bench: a picture, its landmarks, and the readings that follow them. */
@Controller
class MeasureController {
  private static final String VERSION_HEADER = "X-Marks-Version";

  /** Who marks, percent-encoded: headers carry no other letters. */
  private static final String BY_HEADER = "X-Marks-By";

  private final BenchPage page;
  private final Bench bench;
  private final Marking marking;
  private final Proposing proposing;
  private final MessageSource messages;

  MeasureController(
      BenchPage page, Bench bench, Marking marking, Proposing proposing, MessageSource messages) {
    this.page = page;
    this.bench = bench;
    this.marking = marking;
    this.proposing = proposing;
    this.messages = messages;
  }

  /** The first source that nothing is marked on, or the first of all. */
  @GetMapping("/studies/{studyId}/measure")
  String first(Study study) {
    return "redirect:/studies/"
        + study.id()
        + marking.begin(study).map(work -> "/works/" + work.id() + "/measure").orElse("/gather");
  }

  @GetMapping("/studies/{studyId}/works/{workId}/measure")
  String page(Study study, Work work, Model model) {
    page.addTo(model, study, work);
    return "measure/page";
  }

  /** Where the points that are not marked probably lie. */
  @PostMapping("/studies/{studyId}/works/{workId}/proposal")
  ResponseEntity<String> propose(Study study, Work work, @RequestBody String landmarks)
      throws UnusablePictureException, FormatException {
    return json(ProposalJson.write(proposing.propose(work, marking.read(work, landmarks))));
  }

  /** One version of the marking, to lay over another. */
  @GetMapping("/studies/{studyId}/works/{workId}/marks/{version}.json")
  ResponseEntity<String> version(Study study, Work work, @PathVariable int version) {
    return json(MarksFile.landmarksJson(marking.version(work, version)));
  }

  /** Takes over the marks of the same picture at another size, or of which this is a part. */
  @PostMapping("/studies/{studyId}/works/{workId}/marks/copy")
  String copyMarks(Study study, Work work, @RequestParam long from)
      throws UnusablePictureException {
    marking.copy(work, from);
    return "redirect:/studies/" + study.id() + "/works/" + work.id() + "/measure";
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
      marks = marking.read(work, landmarks);
    } catch (FormatException e) {
      return Fault.on(model, response, e);
    }
    Marking.Outcome outcome = marking.save(work, madeFrom, marks, decoded(by));
    if (outcome instanceof Marking.Outdated outdated) {
      response.setHeader(VERSION_HEADER, Integer.toString(outdated.newest()));
      String text = messages.getMessage("measure.conflict", new Object[0], Locale.ENGLISH);
      return Fault.on(model, response, HttpStatus.CONFLICT, text);
    }
    int version = ((Marking.Saved) outcome).version();
    response.setHeader(VERSION_HEADER, Integer.toString(version));
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
      bench.addReadings(model, study, work, marking.read(work, landmarks));
    } catch (FormatException e) {
      return Fault.on(model, response, e);
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

    return bench.moving(study, work, marking.read(work, landmarks));
  }

  @GetMapping("/studies/{studyId}/works/{workId}/marks.json")
  ResponseEntity<String> marksFile(Study study, Work work) {
    return GivenFile.toKeep("work-" + work.id() + ".marks.json", MediaType.APPLICATION_JSON)
        .body(marking.file(work));
  }

  private static ResponseEntity<String> json(String body) {
    return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(body);
  }

  private static String decoded(String name) {
    try {
      return URLDecoder.decode(name, StandardCharsets.UTF_8);
    } catch (IllegalArgumentException e) {
      return "";
    }
  }
}
