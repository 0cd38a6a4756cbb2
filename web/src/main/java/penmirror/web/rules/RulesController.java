package penmirror.web.rules;

import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.act.Act;
import penmirror.core.drawing.PdfWriter;
import penmirror.core.drawing.Scene;
import penmirror.core.format.StyleFile;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.SheetDrawing;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.sheets.BaseLines;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;

/** The style sheet: in sentences, or every figure of it. */
@Controller
class RulesController {
  private final SheetMaker sheets;
  private final BaseLines baseLines;
  private final Signing signing;
  private final Ticks ticks;
  private final Rail rail;

  RulesController(SheetMaker sheets, BaseLines baseLines, Signing signing, Ticks ticks, Rail rail) {
    this.sheets = sheets;
    this.baseLines = baseLines;
    this.signing = signing;
    this.ticks = ticks;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/rules")
  String page(Study study, Model model) {
    Loaded loaded = sheets.load(study);
    StyleSheet sheet = loaded.sheet();
    rail.addTo(model, study, Stage.RULES);
    model.addAttribute("sheet", sheet);
    model.addAttribute(
        "page",
        RulesPage.of(study.id(), sheet, baseLines.of(study), loaded.signature(), ticks.of(study)));
    return "rules/page";
  }

  @GetMapping("/studies/{studyId}/rules/figures")
  String figures(Study study, Model model) {
    StyleSheet sheet = sheets.sheetOf(study);
    rail.addTo(model, study, Stage.RULES);
    model.addAttribute("sheet", sheet);
    model.addAttribute("groups", Figures.groups(study, sheet));
    return "rules/figures";
  }

  @GetMapping("/studies/{studyId}/rules/style.json")
  ResponseEntity<String> styleFile(Study study) {
    // The one redraws are scored by: whoever scores with the file gets the page's figures.
    StyleSheet sheet = sheets.scoredSheetOf(study);
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            "attachment; filename=\"study-" + study.id() + ".style.json\"")
        .body(StyleFile.of(sheet).toJson());
  }

  /** To be printed and pinned beside the board. */
  @GetMapping("/studies/{studyId}/rules/sheet.pdf")
  ResponseEntity<byte[]> onPaper(Study study) {
    Loaded loaded = sheets.load(study);
    Map<Act, String> words = new LinkedHashMap<>();
    loaded.signature().traits().forEach(trait -> words.put(trait.act(), trait.words()));
    Scene scene = SheetDrawing.of(loaded.sheet(), loaded.signature().headline(), words);
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(
            HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"sheet-" + study.id() + ".pdf\"")
        .body(PdfWriter.write(scene, SheetDrawing.PIXELS_PER_INCH));
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
