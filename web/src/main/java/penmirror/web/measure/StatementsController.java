package penmirror.web.measure;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import penmirror.core.coverage.Part;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** What is ticked on a picture, not measured: statements by part, answered yes, no or unclear. */
@Controller
class StatementsController {
  private static final List<String> ANSWERS = List.of("yes", "no", "unclear");
  private static final List<String> STAGES = List.of("sketch", "line", "flats", "shade", "effects");
  private static final int LONGEST_TEXT = 200;

  private final StudyStore studies;
  private final WorkStore works;
  private final TickStore ticks;
  private final Rail rail;

  StatementsController(StudyStore studies, WorkStore works, TickStore ticks, Rail rail) {
    this.studies = studies;
    this.works = works;
    this.ticks = ticks;
    this.rail = rail;
  }

  /** Statements of one part, in the order of the parts. */
  record Group(Part part, List<TickStore.Statement> statements) {}

  @GetMapping("/studies/{studyId}/works/{workId}/statements")
  String page(Study study, Work work, Model model) {
    rail.addTo(model, study, Stage.MEASURE);
    Map<Part, List<TickStore.Statement>> byPart = new LinkedHashMap<>();
    for (Part part : Part.values()) {
      List<TickStore.Statement> of =
          ticks.statements().stream().filter(s -> s.part().equals(part.word())).toList();
      if (!of.isEmpty()) {
        byPart.put(part, of);
      }
    }
    model.addAttribute("study", study);
    model.addAttribute("work", work);
    model.addAttribute(
        "groups",
        byPart.entrySet().stream().map(e -> new Group(e.getKey(), e.getValue())).toList());
    model.addAttribute("answers", ticks.answers(work.id()));
    model.addAttribute("parts", Part.values());
    model.addAttribute("stages", STAGES);
    model.addAttribute(
        "others",
        works.inRole(study.id(), Work.Role.SOURCE).stream()
            .filter(other -> other.id() != work.id() && !ticks.answers(other.id()).isEmpty())
            .toList());
    return "measure/statements";
  }

  /** An empty answer takes the tick away. */
  @PostMapping("/studies/{studyId}/works/{workId}/statements/{key}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void answer(Study study, Work work, @PathVariable String key, @RequestParam String answer) {
    if (!ticks.has(key) || !(answer.isEmpty() || ANSWERS.contains(answer))) {
      throw new RefusedException("fault.form.word", Texts.cut(answer, 40));
    }
    if (answer.isEmpty()) {
      ticks.withdraw(work.id(), key);
    } else {
      ticks.answer(work.id(), key, answer);
    }
  }

  @PostMapping("/studies/{studyId}/works/{workId}/statements/copy")
  String copy(Study study, Work work, @RequestParam long from) {
    ticks.copy(works.require(study.id(), from).id(), work.id());
    return "redirect:/studies/" + study.id() + "/works/" + work.id() + "/statements";
  }

  @PostMapping("/studies/{studyId}/works/{workId}/statements")
  String add(
      Study study,
      Work work,
      @RequestParam String text,
      @RequestParam Part part,
      @RequestParam String stage) {
    String cut = Texts.cut(text, LONGEST_TEXT);
    if (!STAGES.contains(stage)) {
      throw new RefusedException("fault.form.word", Texts.cut(stage, 40));
    }
    if (!cut.isEmpty()) {
      ticks.add(TickStore.Statement.ofTheUsers(part, stage, cut));
    }
    return "redirect:/studies/" + study.id() + "/works/" + work.id() + "/statements";
  }
}
