package penmirror.web.mirror;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import penmirror.web.gather.Intake;
import penmirror.web.gather.Uploads;
import penmirror.web.layout.GivenFile;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** A folder or a zip of drawings checked against the sheet. */
@Controller
class CastController {
  private final CastTable cast;
  private final Uploads uploads;
  private final SheetMaker sheets;
  private final Rail rail;

  CastController(CastTable cast, Uploads uploads, SheetMaker sheets, Rail rail) {
    this.cast = cast;
    this.uploads = uploads;
    this.sheets = sheets;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/mirror/cast")
  String page(Study study, Model model) {
    return page(study, model, List.of());
  }

  @PostMapping("/studies/{studyId}/mirror/cast")
  String take(
      Study study,
      @RequestParam("files") List<MultipartFile> files,
      Model model,
      HttpServletResponse response)
      throws IOException {
    Uploads.Taken taken =
        uploads.take(
            files, new Intake.Into(study.id(), Work.Role.CAST, "", sheets.sheetOf(study).view()));
    if (taken.faults().isEmpty()) {
      return "redirect:/studies/" + study.id() + "/mirror/cast";
    }
    if (taken.newest().isEmpty()) {
      response.setStatus(HttpStatus.BAD_REQUEST.value());
    }
    return page(study, model, taken.faults());
  }

  @PostMapping("/studies/{studyId}/mirror/cast/{workId}/out")
  String out(Study study, Work work, @RequestParam boolean out) {
    cast.out(work, out);
    return "redirect:/studies/" + study.id() + "/mirror/cast";
  }

  @GetMapping("/studies/{studyId}/mirror/cast.csv")
  ResponseEntity<String> csv(Study study) {
    return GivenFile.toKeep(
            "cast-" + study.id() + ".csv", new MediaType("text", "csv", StandardCharsets.UTF_8))
        .body(cast.csv(study));
  }

  private String page(Study study, Model model, List<String> faults) {
    rail.addTo(model, study, Stage.MIRROR);
    model.addAttribute("page", cast.page(study));
    model.addAttribute("faults", faults);
    return "mirror/cast";
  }
}
