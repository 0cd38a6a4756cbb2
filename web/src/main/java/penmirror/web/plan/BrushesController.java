package penmirror.web.plan;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.file.Resolution;
import penmirror.core.words.Wording;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;

/** Brushes for the user's canvas, and for the paper it is printed on. */
@Controller
class BrushesController {
  private final Planning planning;
  private final Rail rail;

  BrushesController(Planning planning, Rail rail) {
    this.planning = planning;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/plan/brushes")
  String page(Study study, Model model) {
    rail.addTo(model, study, Stage.PLAN);
    model.addAttribute("brushes", planning.brushes(study));
    model.addAttribute("perInch", Wording.number(planning.pixelsPerInch(study), 0));
    return "plan/brushes";
  }

  /** A piece of the page, as the works must be opened for it. */
  @GetMapping("/studies/{studyId}/plan/brushes/places")
  String places(Study study, Model model) {
    model.addAttribute("page", planning.places(study));
    return "plan/places";
  }

  @PostMapping("/studies/{studyId}/plan/brushes")
  String printedAt(Study study, @RequestParam String perInch) {
    planning.printAt(study, resolution(perInch));
    return "redirect:/studies/" + study.id() + "/plan/brushes";
  }

  /**
   * @throws RefusedException for what is no resolution
   */
  static Resolution resolution(String perInch) {
    try {
      return new Resolution(Double.parseDouble(perInch.strip()));
    } catch (IllegalArgumentException e) {
      throw new RefusedException("plan.per-inch.wrong", Texts.cut(perInch, 40));
    }
  }
}
