package penmirror.web.cards;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import penmirror.core.card.Booklet;
import penmirror.core.card.Question;
import penmirror.core.drawing.PdfWriter;
import penmirror.core.drawing.Scene;
import penmirror.core.drawing.SvgWriter;
import penmirror.web.layout.GivenFile;
import penmirror.web.layout.NotFoundException;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;

/** Cards: what a style does, part by part. */
@Controller
class CardsController {
  private static final MediaType SVG = MediaType.parseMediaType("image/svg+xml;charset=UTF-8");

  private final Carding carding;
  private final Rail rail;

  CardsController(Carding carding, Rail rail) {
    this.carding = carding;
    this.rail = rail;
  }

  /**
   * @param whole waits for what the pictures must be opened for
   */
  @GetMapping("/studies/{studyId}/rules/cards")
  String grid(Study study, @RequestParam(defaultValue = "false") boolean whole, Model model) {
    rail.addTo(model, study, Stage.RULES);
    model.addAttribute("cards", carding.grid(study, whole));
    return "cards/page";
  }

  /** All of them on paper. */
  @GetMapping("/studies/{studyId}/rules/cards.pdf")
  ResponseEntity<byte[]> booklet(Study study) {
    return GivenFile.toOpen("cards-" + study.id() + ".pdf", MediaType.APPLICATION_PDF)
        .body(PdfWriter.write(carding.booklet(study), Booklet.PIXELS_PER_INCH));
  }

  /**
   * @param work the one that the card is to be of alone; of all without
   */
  @GetMapping("/studies/{studyId}/rules/cards/{word}")
  String card(
      Study study,
      @PathVariable String word,
      @RequestParam(required = false) @Nullable Long work,
      Model model) {
    rail.addTo(model, study, Stage.RULES);
    Optional<Carding.Large> card =
        work == null
            ? carding.large(study, question(word))
            : carding.large(study, question(word), work);
    model.addAttribute(
        "card", card.orElseThrow(() -> new NotFoundException("cards.unknown", word)));
    return "cards/card";
  }

  @GetMapping("/studies/{studyId}/rules/cards/{word}/drawing.svg")
  ResponseEntity<byte[]> drawing(
      Study study, @PathVariable String word, @RequestParam(required = false) @Nullable Long work) {
    Optional<Scene> drawing =
        work == null
            ? carding.drawing(study, question(word))
            : carding.drawing(study, question(word), work);
    return drawing
        .map(SvgWriter::write)
        .map(svg -> ResponseEntity.ok().contentType(SVG).body(svg.getBytes(StandardCharsets.UTF_8)))
        .orElseGet(() -> ResponseEntity.notFound().build());
  }

  /** For seeing a picture in the works' values alone; an empty table where there are none yet. */
  @GetMapping("/studies/{studyId}/rules/cards/values.json")
  @ResponseBody
  ValueTable values(Study study) {
    return new ValueTable(carding.valueTable(study));
  }

  /**
   * @param table what each step of grey becomes
   */
  record ValueTable(double[] table) {}

  private static Question question(String word) {
    return Question.ofWord(word).orElseThrow(() -> new NotFoundException("cards.unknown", word));
  }
}
