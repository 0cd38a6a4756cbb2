package penmirror.web.plan;

import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.web.layout.GivenFile;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;

/** The character as it is and as it will be. */
@Controller
class FigureController {
  private static final int TALLEST_PIXELS = 2000;

  private final Figuring figuring;
  private final Rail rail;

  FigureController(Figuring figuring, Rail rail) {
    this.figuring = figuring;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/plan/figure")
  String page(Study study, Model model) {
    fill(study, model);
    return "plan/figure";
  }

  /** The slider moved: kept, and what follows from it answered. */
  @PostMapping("/studies/{studyId}/plan/figure")
  String keep(Study study, @RequestParam int keep, Model model) {
    figuring.keep(study, keep);
    fill(study, model);
    return "plan/figure :: carried";
  }

  @PostMapping("/studies/{studyId}/plan/figure/moves")
  String change(Study study, @RequestParam String act, @RequestParam boolean on, Model model) {
    figuring.change(study, act, on);
    fill(study, model);
    return "plan/figure :: carried";
  }

  @PostMapping("/studies/{studyId}/plan/figure/toward")
  String toward(Study study, @RequestParam Optional<Long> anchor, Model model) {
    figuring.toward(study, anchor);
    fill(study, model);
    return "plan/figure :: carried";
  }

  @PostMapping("/studies/{studyId}/plan/figure/must-keeps")
  String mustKeep(
      Study study,
      @RequestParam String words,
      @RequestParam(defaultValue = "true") boolean kept,
      Model model) {
    if (kept) {
      figuring.mustKeep(study, words);
    } else {
      figuring.needNotKeep(study, words);
    }
    fill(study, model);
    return "plan/figure :: carried";
  }

  /**
   * @param height in pixels; as large as the canvas, and placed on it as the guide is, without one
   * @param on the canvas, to lie under the guide, where it is said
   */
  @GetMapping("/studies/{studyId}/plan/ghost.png")
  ResponseEntity<byte[]> ghost(
      Study study,
      @RequestParam Optional<Integer> height,
      @RequestParam(defaultValue = "") String on) {
    if (height.isPresent()) {
      int pixels = Math.max(1, Math.min(TALLEST_PIXELS, height.get()));
      return ResponseEntity.ok()
          .contentType(MediaType.IMAGE_PNG)
          .cacheControl(CacheControl.noCache())
          .body(
              on.equals("canvas")
                  ? figuring.ghostOnCanvas(study, pixels)
                  : figuring.ghost(study, pixels));
    }
    return GivenFile.toKeep(Figuring.name(study), MediaType.IMAGE_PNG)
        .cacheControl(CacheControl.noCache())
        .body(figuring.ghostOnCanvas(study));
  }

  private void fill(Study study, Model model) {
    rail.addTo(model, study, Stage.PLAN);
    model.addAttribute("figure", figuring.page(study));
  }
}
