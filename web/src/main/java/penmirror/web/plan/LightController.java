package penmirror.web.plan;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.drawing.Scene;
import penmirror.core.drawing.SvgWriter;
import penmirror.core.planning.EyeCard;
import penmirror.core.planning.LightCard;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.core.words.Wording;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;

/** How a form is lit and an eye is built, step by step. */
@Controller
class LightController {
  private static final MediaType SVG = MediaType.parseMediaType("image/svg+xml;charset=UTF-8");

  private final Planning planning;
  private final SheetMaker sheets;
  private final Rail rail;

  LightController(Planning planning, SheetMaker sheets, Rail rail) {
    this.planning = planning;
    this.sheets = sheets;
    this.rail = rail;
  }

  /**
   * One step of an eye.
   *
   * @param part the word in message keys
   * @param size in pixels of the canvas
   */
  record StepRow(int number, String part, String size) {
    static StepRow of(int number, EyeCard.Step step) {
      String wide = Wording.number(step.widthPixels(), 0);
      return new StepRow(
          number,
          step.part().name().toLowerCase(Locale.ROOT),
          step.heightPixels().map(tall -> wide + " × " + Wording.number(tall, 0)).orElse(wide));
    }
  }

  @GetMapping("/studies/{studyId}/plan/light")
  String page(Study study, Model model) {
    StyleSheet sheet = sheets.plannedOf(study);
    List<EyeCard.Step> steps =
        EyeCard.of(planning.plan(study), sheet).map(EyeCard::steps).orElse(List.of());
    rail.addTo(model, study, Stage.PLAN);
    model.addAttribute("lit", LightCard.of(sheet).isPresent());
    model.addAttribute("works", sheet.works().size());
    model.addAttribute("light", ActWords.ofLight(sheet));
    model.addAttribute("eye", ActWords.sentences(sheet, EYE_ACTS));
    model.addAttribute(
        "steps", steps.stream().map(step -> StepRow.of(steps.indexOf(step) + 1, step)).toList());
    return "plan/light";
  }

  private static final String[] EYE_ACTS = {
    "eye-height", "eye-size", "eye-gap", "eye-shape", "iris", "iris-tones", "eye-lights", "lash"
  };

  @GetMapping("/studies/{studyId}/plan/light.svg")
  ResponseEntity<byte[]> light(Study study) {
    return drawn(LightCard.of(sheets.plannedOf(study)).map(LightCard::drawn));
  }

  /**
   * @param steps how many of them, as far as there are so many
   */
  @GetMapping("/studies/{studyId}/plan/eye.svg")
  ResponseEntity<byte[]> eye(Study study, @RequestParam(defaultValue = "9") int steps) {
    return drawn(
        EyeCard.of(planning.plan(study), sheets.plannedOf(study))
            .map(card -> card.drawn(Math.max(1, Math.min(card.steps().size(), steps)))));
  }

  private static ResponseEntity<byte[]> drawn(Optional<Scene> scene) {
    return scene
        .map(of -> SvgWriter.write(of).getBytes(StandardCharsets.UTF_8))
        .map(svg -> ResponseEntity.ok().contentType(SVG).body(svg))
        .orElseGet(() -> ResponseEntity.notFound().build());
  }
}
