package penmirror.web.plan;

import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import penmirror.core.drawing.OpenRasterWriter;
import penmirror.web.studies.Study;

/** A plan taken away: as files, and on one page to print. */
@Controller
class ExportController {
  private final Exporting exporting;

  ExportController(Exporting exporting) {
    this.exporting = exporting;
  }

  @GetMapping("/studies/{studyId}/plan/everything.zip")
  ResponseEntity<byte[]> everything(Study study) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("application/zip"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"plan-" + study.id() + ".zip\"")
        .body(exporting.everything(study));
  }

  /** As layers of the canvas's size, for painting programs. */
  @GetMapping("/studies/{studyId}/plan/guide.ora")
  ResponseEntity<byte[]> layers(Study study) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("image/openraster"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            "attachment; filename=\"guide-" + study.id() + ".ora\"")
        .body(OpenRasterWriter.write(exporting.layered(study)));
  }

  @GetMapping("/studies/{studyId}/plan/checklist")
  String checklist(Study study, Model model) {
    model.addAttribute("study", study);
    model.addAttribute("list", exporting.printPage(study));
    return "plan/checklist";
  }
}
