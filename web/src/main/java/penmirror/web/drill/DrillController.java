package penmirror.web.drill;

import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;

/** Five minutes for the eye: colours and proportions of the works. */
@Controller
class DrillController {
  private final Drilling drilling;
  private final Guessing guessing;
  private final Rail rail;

  DrillController(Drilling drilling, Guessing guessing, Rail rail) {
    this.guessing = guessing;
    this.drilling = drilling;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/drill")
  String page(Study study, @RequestParam Optional<String> answered, Model model) {
    rail.addTo(model, study, Stage.DRAW);
    model.addAttribute("drill", drilling.page(study, answered.isPresent()));
    return "drill/page";
  }

  /** A proportion of a work, to be judged before it is shown. */
  @GetMapping("/studies/{studyId}/drill/proportion")
  String proportion(Study study, @RequestParam Optional<String> answered, Model model) {
    rail.addTo(model, study, Stage.DRAW);
    model.addAttribute("drill", guessing.page(study, answered.isPresent()));
    return "drill/proportion";
  }

  @PostMapping("/studies/{studyId}/drill/proportion")
  String guess(
      Study study,
      @RequestParam("of") long work,
      @RequestParam String measure,
      @RequestParam double said) {
    guessing.answer(study, work, measure, said);
    return "redirect:/studies/" + study.id() + "/drill/proportion?answered=1";
  }

  @PostMapping("/studies/{studyId}/drill")
  String answer(
      Study study,
      @RequestParam String asked,
      @RequestParam double hue,
      @RequestParam double saturation,
      @RequestParam double brightness) {
    drilling.answer(study, asked, hue, saturation, brightness);
    return "redirect:/studies/" + study.id() + "/drill?answered=1";
  }
}
