package penmirror.web.look;

import java.util.Locale;
import java.util.Optional;
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
import penmirror.core.coverage.Part;
import penmirror.core.file.UnusablePictureException;
import penmirror.web.gather.Intake;
import penmirror.web.layout.RefusedException;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** One work with everything laid over it, and which works to look at for a part. */
@Controller
class LookController {
  private static final String VERSION_HEADER = "X-Version";

  private final LookPage page;
  private final Picking picking;
  private final CuttingOut cuttingOut;
  private final NoteKeeping noteKeeping;
  private final MessageSource messages;

  LookController(
      LookPage page,
      Picking picking,
      CuttingOut cuttingOut,
      NoteKeeping noteKeeping,
      MessageSource messages) {
    this.page = page;
    this.picking = picking;
    this.cuttingOut = cuttingOut;
    this.noteKeeping = noteKeeping;
    this.messages = messages;
  }

  @GetMapping("/studies/{studyId}/works/{workId}/look")
  String page(Study study, Work work, @RequestParam(defaultValue = "EYES") Part part, Model model) {
    page.addTo(model, study, work, part);
    return "look/page";
  }

  @PostMapping("/studies/{studyId}/works/{workId}/picks")
  String pick(
      Study study,
      Work work,
      @RequestParam Part part,
      Dragged box,
      @RequestParam(defaultValue = "false") boolean mirrored) {
    picking.pick(work, part, box, mirrored);
    return "redirect:" + here(study.id(), work.id(), part);
  }

  @PostMapping("/studies/{studyId}/works/{workId}/picks/{pickId}/remove")
  String unpick(Study study, Work work, @PathVariable long pickId, @RequestParam Part part) {
    picking.unpick(study, pickId);
    return "redirect:" + here(study.id(), work.id(), part);
  }

  /** Frames one figure of several as a work of its own; the picture itself then stays out. */
  @PostMapping("/studies/{studyId}/works/{workId}/figures")
  String frame(Study study, Work work, Dragged box, @RequestParam(defaultValue = "") String title)
      throws UnusablePictureException {

    Optional<LookStore.Box> meant = box.on(work);
    if (meant.isEmpty()) {
      return "redirect:" + here(study.id(), work.id(), Part.EYES);
    }
    String named = title.isBlank() ? text("look.figure.of", work.title()) : title;
    Intake.Outcome outcome = cuttingOut.cutOut(study, work, meant.get(), named);
    if (outcome instanceof Intake.Taken taken) {
      return "redirect:/studies/" + study.id() + "/gather?work=" + taken.workId();
    }
    if (outcome instanceof Intake.Refused refused) {
      throw new RefusedException("look.figure.refused", refused.reason());
    }
    return outcome instanceof Intake.AlreadyHere here
        ? "redirect:/studies/" + study.id() + "/gather?work=" + here.work().id()
        : "redirect:" + here(study.id(), work.id(), Part.EYES);
  }

  /** Frames every figure that stands free as a work of its own; the picture itself stays out. */
  @PostMapping("/studies/{studyId}/works/{workId}/figures/each")
  String frameEach(Study study, Work work) throws UnusablePictureException {
    cuttingOut.cutOutEach(study, work);
    return "redirect:/studies/" + study.id() + "/through";
  }

  /** Keeps notes drawn from a version; where another save came in between, answers with those. */
  @PostMapping("/studies/{studyId}/works/{workId}/notes")
  ResponseEntity<String> keepNotes(
      Study study,
      Work work,
      @RequestHeader(VERSION_HEADER) int madeFrom,
      @RequestBody String shapes) {
    NoteKeeping.Outcome outcome = noteKeeping.keep(work, madeFrom, shapes);
    if (outcome instanceof NoteKeeping.Unreadable unreadable) {
      return ResponseEntity.status(HttpStatus.BAD_REQUEST).body(unreadable.reason());
    }
    if (outcome instanceof NoteKeeping.Outdated outdated) {
      return ResponseEntity.status(HttpStatus.CONFLICT)
          .header(VERSION_HEADER, Integer.toString(outdated.newest().version()))
          .contentType(MediaType.APPLICATION_JSON)
          .body(outdated.newest().shapes());
    }
    int version = ((NoteKeeping.Kept) outcome).version();
    return ResponseEntity.noContent().header(VERSION_HEADER, Integer.toString(version)).build();
  }

  private static String here(long studyId, long workId, Part part) {
    return "/studies/" + studyId + "/works/" + workId + "/look?part=" + part.name();
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
