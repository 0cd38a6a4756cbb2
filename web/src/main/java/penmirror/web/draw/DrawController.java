package penmirror.web.draw;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import penmirror.core.coverage.Part;
import penmirror.core.style.DrawingStage;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;

/** The page beside the drawing board. */
@Controller
class DrawController {
  private final Drawing drawing;
  private final Hours hours;
  private final Rail rail;

  DrawController(Drawing drawing, Hours hours, Rail rail) {
    this.hours = hours;
    this.drawing = drawing;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/draw")
  String page(
      Study study,
      @RequestParam(defaultValue = "") String stage,
      @RequestParam(defaultValue = "") String part,
      Model model) {
    model.addAttribute("draw", drawing.page(study, DrawingStage.ofWord(stage), Part.ofWord(part)));
    rail.addTo(model, study, Stage.DRAW);
    return "draw/page";
  }

  /** What stands ticked, for a window that looks again. */
  @GetMapping("/studies/{studyId}/draw/done")
  @ResponseBody
  Drawing.Standing standing(Study study) {
    return drawing.standing(study);
  }

  @PostMapping("/studies/{studyId}/draw/done")
  @ResponseBody
  Drawing.Standing take(Study study, @RequestBody List<Drawing.Done> done) {
    return drawing.take(study, done);
  }

  @PostMapping("/studies/{studyId}/draw/anew")
  String beginAnew(Study study) {
    drawing.beginAnew(study);
    return "redirect:/studies/" + study.id() + "/draw";
  }

  /** Earlier, later, left out, taken up again. */
  @PostMapping("/studies/{studyId}/draw/order")
  String order(Study study, @RequestParam String stage, @RequestParam String how) {
    hours.change(study, stage(stage), how);
    return "redirect:/studies/" + study.id() + "/draw";
  }

  @PostMapping("/studies/{studyId}/draw/time")
  String took(Study study, @RequestParam String stage, @RequestParam String minutes) {
    hours.took(study, stage(stage), minutes);
    return "redirect:/studies/" + study.id() + "/draw";
  }

  private static DrawingStage stage(String word) {
    return DrawingStage.ofWord(word)
        .orElseThrow(() -> new RefusedException("fault.form.word", Texts.cut(word, 40)));
  }

  /** Put off on another page; says when it comes back. */
  @PostMapping("/studies/{studyId}/draw/later")
  String later(Study study, @RequestParam String stage, @RequestParam String text, Model model) {
    DrawingStage when = stage(stage);
    drawing.later(study, when, text);
    model.addAttribute("study", study);
    model.addAttribute("stage", when.word());
    return "draw/later :: later";
  }
}
