package penmirror.web.desk;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.web.studies.Study;

/** The desk view: one to three works, or parts of them, at full size on neutral grey. */
@Controller
class DeskController {
  private final Desk desk;

  DeskController(Desk desk) {
    this.desk = desk;
  }

  /**
   * @param ids of the works, in order
   * @param box left, top, width and height of the part of the first work that is seen
   */
  @GetMapping("/studies/{studyId}/desk")
  String page(
      Study study,
      @RequestParam(name = "works", defaultValue = "") List<Long> ids,
      @RequestParam(defaultValue = "") List<Double> box,
      @RequestParam(defaultValue = "false") boolean flipped,
      Model model) {
    model.addAttribute("study", study);
    model.addAttribute("sheets", desk.sheets(study, ids, box));
    model.addAttribute("flipped", flipped);
    return "desk/page";
  }
}
