package penmirror.web.compare;

import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;

/** What two sheets share, and what differs most. */
@Controller
class CompareController {
  private final Comparison comparison;
  private final Rail rail;

  CompareController(Comparison comparison, Rail rail) {
    this.comparison = comparison;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/compare")
  String page(
      Study study,
      @RequestParam(defaultValue = "all") String one,
      @RequestParam Optional<String> other,
      Model model) {
    rail.addTo(model, study, Stage.RULES);
    model.addAttribute("page", comparison.page(study, one, other));
    return "compare/page";
  }
}
