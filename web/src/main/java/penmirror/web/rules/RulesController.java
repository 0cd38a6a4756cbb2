package penmirror.web.rules;

import java.nio.charset.StandardCharsets;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.act.Acts;
import penmirror.core.card.ActDrawing;
import penmirror.core.drawing.PdfWriter;
import penmirror.core.drawing.SvgWriter;
import penmirror.core.figure.Landmark;
import penmirror.core.format.StyleFile;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.SheetDrawing;
import penmirror.web.layout.GivenFile;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;

/** The style sheet: in sentences, or every figure of it. */
@Controller
class RulesController {
  private static final MediaType SVG = MediaType.parseMediaType("image/svg+xml;charset=UTF-8");

  private final Sheets sheets;
  private final Signing signing;
  private final Rail rail;

  RulesController(Sheets sheets, Signing signing, Rail rail) {
    this.sheets = sheets;
    this.signing = signing;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/rules")
  String page(Study study, Asked asked, @RequestParam(defaultValue = "") String open, Model model) {
    rail.addTo(model, study, Stage.RULES);
    model.addAttribute("sheet", sheets.sheet(study));
    model.addAttribute("page", sheets.page(study, asked.wanted()));
    model.addAttribute("recipe", Recipe.of(sheets.sheet(study)));
    model.addAttribute("open", open);
    model.addAttribute("notAimedAt", sheets.notAimedAt(study));
    model.addAttribute("waits", sheets.waits(study));
    model.addAttribute("readOnly", sheets.isReadOnly(study));
    model.addAttribute("landmarks", Landmark.values());
    return "rules/page";
  }

  @GetMapping("/studies/{studyId}/rules/figures")
  String figures(Study study, Model model) {
    StyleSheet sheet = sheets.sheet(study);
    rail.addTo(model, study, Stage.RULES);
    model.addAttribute("sheet", sheet);
    model.addAttribute("groups", Figures.groups(study, sheet));
    return "rules/figures";
  }

  @GetMapping("/studies/{studyId}/rules/acts/{act}/drawing.svg")
  ResponseEntity<byte[]> drawing(Study study, @PathVariable String act) {
    return Acts.byKey(act)
        .flatMap(of -> ActDrawing.of(of, sheets.sheet(study)))
        .map(SvgWriter::write)
        .map(svg -> ResponseEntity.ok().contentType(SVG).body(svg.getBytes(StandardCharsets.UTF_8)))
        .orElseGet(() -> ResponseEntity.notFound().build());
  }

  @GetMapping("/studies/{studyId}/rules/style.json")
  ResponseEntity<String> styleFile(Study study) {
    return GivenFile.toKeep("study-" + study.id() + ".style.json", MediaType.APPLICATION_JSON)
        .body(StyleFile.of(sheets.scored(study)).toJson());
  }

  @GetMapping("/studies/{studyId}/rules/sheet.pdf")
  ResponseEntity<byte[]> onPaper(Study study) {
    return GivenFile.toOpen("sheet-" + study.id() + ".pdf", MediaType.APPLICATION_PDF)
        .body(PdfWriter.write(sheets.onPaper(study), SheetDrawing.PIXELS_PER_INCH));
  }

  @PostMapping("/studies/{studyId}/rules/signature")
  String accept(Study study, @RequestParam(defaultValue = "true") boolean accepted) {
    if (accepted) {
      signing.acceptProposed(study);
    } else {
      signing.drop(study);
    }
    return back(study);
  }

  @PostMapping("/studies/{studyId}/rules/signature/act")
  String turn(Study study, @RequestParam String act) {
    signing.turn(study, act);
    return back(study);
  }

  @PostMapping("/studies/{studyId}/rules/signature/raise")
  String raise(Study study, @RequestParam String act) {
    signing.raise(study, act);
    return back(study);
  }

  @PostMapping("/studies/{studyId}/rules/signature/words")
  String word(Study study, @RequestParam String act, @RequestParam String words) {
    signing.word(study, act, words);
    return back(study);
  }

  @PostMapping("/studies/{studyId}/rules/headline")
  String headline(Study study, @RequestParam String word) {
    signing.headline(study, word);
    return back(study);
  }

  private static String back(Study study) {
    return "redirect:/studies/" + study.id() + "/rules";
  }
}
