package penmirror.web.plan;

import java.nio.charset.StandardCharsets;
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

/** The character's colours in the style, and how to mix them. */
@Controller
class ColoursController {
  private final Colouring colouring;
  private final Rail rail;

  ColoursController(Colouring colouring, Rail rail) {
    this.colouring = colouring;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/plan/colours")
  String page(Study study, @RequestParam(defaultValue = "") String layer, Model model) {
    fill(model, study, layer);
    return "plan/colours";
  }

  /** A slider moved: kept, and what follows from it answered. */
  @PostMapping("/studies/{studyId}/plan/colours")
  String set(
      Study study,
      @RequestParam(defaultValue = "100") int keep,
      @RequestParam(defaultValue = "100") int opacity,
      @RequestParam(defaultValue = "") String layer,
      Model model) {
    colouring.set(study, keep, opacity);
    fill(model, study, layer);
    return "plan/colours :: mixing";
  }

  @PostMapping("/studies/{studyId}/plan/colours/kept")
  String keep(Study study, @RequestParam String name, @RequestParam boolean kept) {
    colouring.keep(study, name, kept);
    return back(study);
  }

  @PostMapping("/studies/{studyId}/plan/colours/typed")
  String type(Study study, @RequestParam String name, @RequestParam String hex) {
    colouring.type(study, name, hex);
    return back(study);
  }

  @PostMapping("/studies/{studyId}/plan/colours/forgotten")
  String forget(Study study, @RequestParam String name) {
    colouring.forget(study, name);
    return back(study);
  }

  /** For the palette of a painting program. */
  @GetMapping("/studies/{studyId}/plan/colours.gpl")
  ResponseEntity<String> palette(Study study) {
    return GivenFile.toKeep(
            "colours-" + study.id() + ".gpl",
            new MediaType(MediaType.TEXT_PLAIN, StandardCharsets.UTF_8))
        .body(colouring.palette(study));
  }

  private void fill(Model model, Study study, String layer) {
    rail.addTo(model, study, Stage.PLAN);
    Colouring.Coloured coloured = colouring.of(study);
    model.addAttribute("section", "colours");
    model.addAttribute("settings", coloured.settings());
    model.addAttribute("character", coloured.character().orElse(null));
    model.addAttribute("colours", ColoursPage.of(coloured, ColoursPage.Layer.ofWord(layer)));
  }

  private static String back(Study study) {
    return "redirect:/studies/" + study.id() + "/plan/colours";
  }
}
