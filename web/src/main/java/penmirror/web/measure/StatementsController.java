package penmirror.web.measure;

import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import penmirror.core.coverage.Part;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** What is ticked on a picture, not measured: statements by part, answered yes, no or unclear. */
@Controller
class StatementsController {
  private final Statements statements;
  private final Rail rail;

  StatementsController(Statements statements, Rail rail) {
    this.statements = statements;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/works/{workId}/statements")
  String page(Study study, Work work, Model model) {
    rail.addTo(model, study, Stage.MEASURE);
    Statements.Page page = statements.of(study, work);
    model.addAttribute("study", study);
    model.addAttribute("work", work);
    model.addAttribute("groups", page.groups());
    model.addAttribute("answers", page.answers());
    model.addAttribute("parts", Part.values());
    model.addAttribute("stages", Statements.STAGES);
    model.addAttribute("others", page.others());
    return "measure/statements";
  }

  /** An empty answer takes the tick away. */
  @PostMapping("/studies/{studyId}/works/{workId}/statements/{key}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void answer(Study study, Work work, @PathVariable String key, @RequestParam String answer) {
    statements.answer(work, key, answer);
  }

  @PostMapping("/studies/{studyId}/works/{workId}/statements/copy")
  String copy(Study study, Work work, @RequestParam long from) {
    statements.copy(study, from, work);
    return "redirect:/studies/" + study.id() + "/works/" + work.id() + "/statements";
  }

  @PostMapping("/studies/{studyId}/works/{workId}/statements")
  String add(
      Study study,
      Work work,
      @RequestParam String text,
      @RequestParam Part part,
      @RequestParam String stage) {
    statements.add(text, part, stage);
    return "redirect:/studies/" + study.id() + "/works/" + work.id() + "/statements";
  }
}
