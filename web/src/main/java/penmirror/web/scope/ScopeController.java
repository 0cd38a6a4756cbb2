package penmirror.web.scope;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.coverage.CharacterGaps;
import penmirror.core.coverage.Trait;
import penmirror.web.layout.Conflict;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyKind;

/** What the study is about. */
@Controller
class ScopeController {
  private final Scoping scoping;
  private final Settings settings;
  private final Rail rail;

  ScopeController(Scoping scoping, Settings settings, Rail rail) {
    this.scoping = scoping;
    this.settings = settings;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/scope")
  String page(Study study, @RequestParam Optional<Long> work, Model model) {
    rail.addTo(model, study, Stage.GATHER);
    scoping.addTo(model, study, work);
    return "scope/page";
  }

  @PostMapping("/studies/{studyId}/scope")
  String setScope(
      Study study,
      @RequestParam String name,
      @RequestParam String illustrator,
      @RequestParam(defaultValue = "") String reason,
      @RequestParam(defaultValue = "") String credit,
      @RequestParam StudyKind kind,
      @RequestParam(defaultValue = "") String part,
      @RequestParam Optional<Long> follows,
      @RequestParam Optional<String> counted,
      @RequestParam Map<String, String> all,
      @RequestParam(required = false) @Nullable Integer version,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    Settings.Form form =
        new Settings.Form(
            name, illustrator, reason, credit, kind, part, follows, counted, all, version);
    return answer(
        settings.describe(study.id(), form), study, Optional.empty(), model, request, response);
  }

  @PostMapping("/studies/{studyId}/scope/traits")
  String setTraits(
      Study study,
      @RequestParam long work,
      @RequestParam Map<String, String> all,
      @RequestParam(required = false) @Nullable Integer version,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    return answer(
        settings.describeFigure(study.id(), work, all, version),
        study,
        Optional.of(work),
        model,
        request,
        response);
  }

  /** Back to the page; or the page with what another window has kept meanwhile beside mine. */
  private String answer(
      Settings.Outcome outcome,
      Study study,
      Optional<Long> work,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    if (outcome instanceof Settings.Outdated outdated) {
      response.setStatus(HttpStatus.CONFLICT.value());
      model.addAttribute(
          "conflict",
          Conflict.between(
              outdated.theirs(),
              outdated.mine(),
              request.getRequestURI(),
              request.getParameterMap(),
              outdated.version()));
      return page(study, work, model);
    }
    return "redirect:/studies/" + study.id() + "/scope" + work.map(id -> "?work=" + id).orElse("");
  }

  @PostMapping("/studies/{studyId}/scope/ways")
  String choose(
      Study study,
      @RequestParam Trait trait,
      @RequestParam CharacterGaps.Way way,
      @RequestParam(defaultValue = "") String note) {
    scoping.choose(study, trait, way, note);
    return "redirect:/studies/" + study.id() + "/scope";
  }

  @PostMapping("/studies/{studyId}/scope/process")
  String note(
      Study study,
      @RequestParam Optional<Integer> minute,
      @RequestParam(defaultValue = "") String stage,
      @RequestParam String text) {
    scoping.note(study, minute, stage, text);
    return "redirect:/studies/" + study.id() + "/scope";
  }

  @PostMapping("/studies/{studyId}/scope/process/{noteId}/remove")
  String removeNote(Study study, @PathVariable long noteId) {
    scoping.removeNote(study, noteId);
    return "redirect:/studies/" + study.id() + "/scope";
  }
}
