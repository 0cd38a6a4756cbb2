package penmirror.web.mirror;

import java.util.List;
import java.util.Locale;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** The chain of attempts, act by act. */
@Controller
class AttemptsController {
  private final SheetMaker sheets;
  private final Redraws redraws;
  private final Comparing comparing;
  private final Rail rail;
  private final MessageSource messages;

  AttemptsController(
      SheetMaker sheets, Redraws redraws, Comparing comparing, Rail rail, MessageSource messages) {
    this.sheets = sheets;
    this.redraws = redraws;
    this.comparing = comparing;
    this.rail = rail;
    this.messages = messages;
  }

  @GetMapping("/studies/{studyId}/mirror/attempts")
  String page(Study study, Model model) {
    Loaded loaded = sheets.load(study);
    List<Work> attempts = loaded.inRole(Work.Role.REDRAW);
    if (attempts.isEmpty()) {
      return "redirect:/studies/" + study.id() + "/mirror";
    }
    rail.addTo(model, study, Stage.MIRROR);
    model.addAttribute(
        "attempts", Attempts.of(attempts, attempts.stream().map(loaded::score).toList()));
    model.addAttribute(
        "way", comparing.way(loaded, attempts.get(attempts.size() - 1)).orElse(null));
    model.addAttribute(
        "traced",
        redraws.traced(study).stream()
            .map(group -> messages.getMessage("group." + group.word(), null, Locale.ENGLISH))
            .toList());
    return "mirror/attempts";
  }
}
