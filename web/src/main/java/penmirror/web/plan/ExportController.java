package penmirror.web.plan;

import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.web.layout.GivenFile;
import penmirror.web.studies.Study;

/** A plan taken away: as files, and on one page to print. */
@Controller
class ExportController {
  private final Exporting exporting;

  ExportController(Exporting exporting) {
    this.exporting = exporting;
  }

  /** From which side, and in whose pose. */
  @ModelAttribute
  GuideAsked asked(
      @RequestParam(defaultValue = "") String view,
      @RequestParam(defaultValue = "") String facing,
      @RequestParam Optional<Long> pose) {
    return GuideAsked.of(view, facing, pose);
  }

  /** To be looked at, or taken away where a download is asked for. */
  @GetMapping("/studies/{studyId}/plan/guide.svg")
  ResponseEntity<byte[]> guide(
      Study study, GuideAsked asked, @RequestParam Optional<String> download) {
    MediaType type = MediaType.parseMediaType("image/svg+xml;charset=UTF-8");
    ResponseEntity.BodyBuilder answer =
        download.isPresent()
            ? file(study, asked.fileWord(), "svg", type)
            : ResponseEntity.ok().contentType(type);
    return answer.body(exporting.svg(study, asked));
  }

  /** With transparency, to be laid over a drawing. */
  @GetMapping("/studies/{studyId}/plan/guide.png")
  ResponseEntity<byte[]> guideAsPicture(Study study, GuideAsked asked) {
    return file(study, asked.fileWord(), "png", MediaType.IMAGE_PNG)
        .body(exporting.png(study, asked));
  }

  /** To be printed at full size and laid under the paper. */
  @GetMapping("/studies/{studyId}/plan/guide.pdf")
  ResponseEntity<byte[]> guideOnPaper(
      Study study, GuideAsked asked, @RequestParam Optional<String> perInch) {
    return file(study, asked.fileWord(), "pdf", MediaType.APPLICATION_PDF)
        .body(exporting.pdf(study, asked, perInch.map(BrushesController::resolution)));
  }

  /** As layers of the canvas's size, for painting programs. */
  @GetMapping("/studies/{studyId}/plan/guide.ora")
  ResponseEntity<byte[]> guideInLayers(Study study, GuideAsked asked) {
    return file(study, asked.fileWord(), "ora", MediaType.parseMediaType("image/openraster"))
        .body(exporting.layers(study, asked));
  }

  @GetMapping("/studies/{studyId}/plan/everything.zip")
  ResponseEntity<byte[]> everything(Study study) {
    return file(study, "plan", "zip", MediaType.parseMediaType("application/zip"))
        .body(exporting.everything(study));
  }

  private static ResponseEntity.BodyBuilder file(
      Study study, String name, String ending, MediaType type) {
    return GivenFile.toKeep(name + "-" + study.id() + "." + ending, type);
  }

  @GetMapping("/studies/{studyId}/plan/checklist")
  String checklist(Study study, Model model) {
    model.addAttribute("study", study);
    model.addAttribute("list", exporting.printPage(study));
    return "plan/checklist";
  }
}
