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

/** A colour of the works, to be matched by eye. */
@Controller
class DrillController {
  private final Drilling drilling;
  private final Rail rail;

  DrillController(Drilling drilling, Rail rail) {
    this.drilling = drilling;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/drill")
  String page(Study study, @RequestParam Optional<String> answered, Model model) {
    rail.addTo(model, study, Stage.DRAW);
    model.addAttribute("drill", drilling.page(study, answered.isPresent()));
    return "drill/page";
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
