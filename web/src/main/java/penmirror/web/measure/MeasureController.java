package penmirror.web.measure;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.format.FormatException;
import penmirror.core.format.MarksFile;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.PixelReading;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The bench: a picture, its landmarks, and the readings that follow them. */
@Controller
class MeasureController {
  private static final String VERSION_HEADER = "X-Marks-Version";

  private final StudyStore studies;
  private final WorkStore works;
  private final MarkingStore markings;
  private final PixelReading pixelReading;
  private final EvidenceFinder evidence;
  private final Bench bench;
  private final Rail rail;
  private final MessageSource messages;

  MeasureController(
      StudyStore studies,
      WorkStore works,
      MarkingStore markings,
      PixelReading pixelReading,
      EvidenceFinder evidence,
      Bench bench,
      Rail rail,
      MessageSource messages) {
    this.studies = studies;
    this.works = works;
    this.markings = markings;
    this.pixelReading = pixelReading;
    this.evidence = evidence;
    this.bench = bench;
    this.rail = rail;
    this.messages = messages;
  }

  /** The first source that nothing is marked on, or the first of all. */
  @GetMapping("/studies/{studyId}/measure")
  String first(@PathVariable long studyId) {
    Study study = studies.require(studyId);
    List<Work> sources = works.inRole(study.id(), Work.Role.SOURCE);
    if (sources.isEmpty()) {
      return "redirect:/studies/" + studyId + "/gather";
    }
    Work work =
        sources.stream()
            .filter(source -> evidence.of(source).marks().isEmpty())
            .findFirst()
            .orElse(sources.get(0));
    return "redirect:/studies/" + studyId + "/works/" + work.id() + "/measure";
  }

  @GetMapping("/studies/{studyId}/works/{workId}/measure")
  String page(@PathVariable long studyId, @PathVariable long workId, Model model) {
    Study study = studies.require(studyId);
    Work work = works.require(studyId, workId);
    MarkingStore.Marking marking = markings.newest(workId, work.view());
    Stage stage = work.role() == Work.Role.SOURCE ? Stage.MEASURE : Stage.MIRROR;
    rail.addTo(model, study, stage);
    bench.addReadings(model, study, work, marking.marks());
    model.addAttribute("version", marking.version());
    model.addAttribute("landmarks", MarksFile.landmarksJson(marking.marks()));
    model.addAttribute("roll", roll());
    model.addAttribute("neighbours", neighbours(work));
    return "measure/page";
  }

  /** Saves a marking made from a version; tells when another save came in between. */
  @PostMapping("/studies/{studyId}/works/{workId}/marks")
  String save(
      @PathVariable long studyId,
      @PathVariable long workId,
      @RequestHeader(VERSION_HEADER) int madeFrom,
      @RequestBody String landmarks,
      Model model,
      HttpServletResponse response) {
    Study study = studies.require(studyId);
    Work work = works.require(studyId, workId);
    Marks marks;
    try {
      marks = MarksFile.ofLandmarksJson(work.view(), landmarks);
    } catch (FormatException e) {
      return fault(model, response, HttpStatus.BAD_REQUEST, String.valueOf(e.getMessage()));
    }
    Optional<Integer> saved = markings.save(workId, madeFrom, marks);
    if (saved.isEmpty()) {
      int newest = markings.newest(workId, work.view()).version();
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
  @PostMapping("/studies/{studyId}/works/{workId}/readings")
  String preview(
      @PathVariable long studyId,
      @PathVariable long workId,
      @RequestBody String landmarks,
      Model model,
      HttpServletResponse response) {
    Study study = studies.require(studyId);
    Work work = works.require(studyId, workId);
    try {
      bench.addReadings(model, study, work, MarksFile.ofLandmarksJson(work.view(), landmarks));
    } catch (FormatException e) {
      return fault(model, response, HttpStatus.BAD_REQUEST, String.valueOf(e.getMessage()));
    }
    return "measure/readings :: readings";
  }

  /** The pixel block alone, asked for again while the reading is under way. */
  @GetMapping("/studies/{studyId}/works/{workId}/pixels")
  String pixels(@PathVariable long studyId, @PathVariable long workId, Model model) {
    return pixelBlock(studyId, workId, model);
  }

  @PostMapping("/studies/{studyId}/works/{workId}/pixels/stop")
  String stopPixels(@PathVariable long studyId, @PathVariable long workId, Model model) {
    pixelReading.stop(works.require(studyId, workId).pictureSha256());
    return pixelBlock(studyId, workId, model);
  }

  @PostMapping("/studies/{studyId}/works/{workId}/pixels/again")
  String readPixelsAgain(@PathVariable long studyId, @PathVariable long workId, Model model) {
    pixelReading.askAgain(works.require(studyId, workId).pictureSha256());
    return pixelBlock(studyId, workId, model);
  }

  @GetMapping("/studies/{studyId}/works/{workId}/marks.json")
  ResponseEntity<String> marksFile(@PathVariable long studyId, @PathVariable long workId) {
    Work work = works.require(studyId, workId);
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            "attachment; filename=\"work-" + workId + ".marks.json\"")
        .body(
            MarksFile.of(markings.newest(workId, work.view()).marks())
                .about(
                    new MarksFile.MarkedImage(
                        work.title(),
                        work.pictureSha256(),
                        work.widthPixels(),
                        work.heightPixels()))
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

  /** The quick set, and the cheeks that eye width is read against. */
  private static List<Landmark> roll() {
    List<Landmark> roll = new ArrayList<>();
    for (Landmark landmark : Landmark.values()) {
      if (landmark.set() == Landmark.Set.QUICK) {
        roll.add(landmark);
      }
    }
    roll.add(Landmark.CHEEK_L);
    roll.add(Landmark.CHEEK_R);
    return roll;
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
