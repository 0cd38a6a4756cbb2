package penmirror.web.origin;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Locale;
import java.util.Optional;
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
import penmirror.core.file.UnusablePictureException;
import penmirror.core.format.FigureEditsJson;
import penmirror.web.evidence.RoleStore;
import penmirror.web.layout.Fault;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/**
 * Where the readings from the pixels come from: layers over the picture, and the figure's edges.
 */
@Controller
class OriginController {
  private static final String VERSION_HEADER = "X-Version";

  private final OriginPage page;
  private final Correcting correcting;
  private final MessageSource messages;

  OriginController(OriginPage page, Correcting correcting, MessageSource messages) {
    this.page = page;
    this.correcting = correcting;
    this.messages = messages;
  }

  @GetMapping("/studies/{studyId}/works/{workId}/origin")
  String page(
      Study study,
      Work work,
      @RequestParam(defaultValue = "line.width") String show,
      @RequestParam(required = false) Optional<Long> beside,
      Model model) {
    page.addTo(model, study, work, show, beside);
    return "origin/page";
  }

  /** The rows alone, after the figure was corrected and the picture read anew. */
  @GetMapping("/studies/{studyId}/works/{workId}/origin/readings")
  String rows(Study study, Work work, Model model) {
    page.addRows(model, study, work);
    return "origin/page :: rows";
  }

  /** What to draw over the picture. */
  @GetMapping(
      path = "/studies/{studyId}/works/{workId}/origin.json",
      produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<String> layers(Study study, Work work) throws UnusablePictureException {
    return ResponseEntity.ok(correcting.layers(work));
  }

  /**
   * Takes the corrections of the figure. Where another save came in between, answers with the
   * strokes of that.
   */
  @PostMapping("/studies/{studyId}/works/{workId}/figure")
  ResponseEntity<String> figure(
      Study study,
      Work work,
      @RequestHeader(VERSION_HEADER) int madeFrom,
      @RequestBody String edits) {
    Correcting.Outcome outcome = correcting.figure(work, madeFrom, edits);
    if (outcome instanceof Correcting.Refused refused) {
      return ResponseEntity.badRequest().body(refused.reason());
    }
    if (outcome instanceof Correcting.Outdated outdated) {
      return ResponseEntity.status(HttpStatus.CONFLICT)
          .header(VERSION_HEADER, Integer.toString(outdated.newest().version()))
          .contentType(MediaType.APPLICATION_JSON)
          .body(FigureEditsJson.write(outdated.newest().edits()));
    }
    int version = ((Correcting.Kept) outcome).version();
    return ResponseEntity.noContent().header(VERSION_HEADER, Integer.toString(version)).build();
  }

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
    if (!correcting.pick(work, new Correcting.Picked(role, tone, x, y, radius))) {
      String text = messages.getMessage("origin.role.fault", null, Locale.ENGLISH);
      return Fault.on(model, response, HttpStatus.BAD_REQUEST, text);
    }
    page.addRoles(model, study, work);
    return "origin/page :: roles";
  }

  @PostMapping("/studies/{studyId}/works/{workId}/roles/forget")
  String forget(Study study, Work work, @RequestParam String role, Model model) {
    correcting.forget(work, role);
    page.addRoles(model, study, work);
    return "origin/page :: roles";
  }
}
