package penmirror.web.traits;

import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** One statement, and every work to say it of. */
@Controller
class TraitWallController {
  private final TraitWall wall;
  private final Rail rail;

  TraitWallController(TraitWall wall, Rail rail) {
    this.wall = wall;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/traits")
  String page(Study study, @RequestParam Optional<String> of, Model model) {
    rail.addTo(model, study, Stage.RULES);
    model.addAttribute("wall", wall.page(study, of));
    return "traits/page";
  }

  /** Answers with the tally as it stands then. */
  @PostMapping("/studies/{studyId}/traits/{key}/works/{workId}")
  String answer(
      Study study,
      Work work,
      @PathVariable String key,
      @RequestParam(defaultValue = "") String answer,
      Model model) {
    model.addAttribute("tally", wall.answer(study, work, key, answer));
    return "traits/tally :: tally";
  }
}
