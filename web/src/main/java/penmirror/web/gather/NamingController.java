package penmirror.web.gather;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.web.studies.Study;

/** What is asked of a study that began with its pictures; each may be left open. */
@Controller
class NamingController {
  private final StudyNaming naming;

  NamingController(StudyNaming naming) {
    this.naming = naming;
  }

  @PostMapping("/studies/{studyId}/named")
  String name(
      Study study,
      @RequestParam(defaultValue = "") String illustrator,
      @RequestParam(defaultValue = "") String credit,
      @RequestParam(defaultValue = "") String reason) {
    naming.name(study, illustrator, credit, reason);
    return "redirect:/studies/" + study.id() + "/gather";
  }
}
