package penmirror.web.mirror;

import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** A redraw held against the one work it was drawn after. */
@Controller
class CopyController {
  private final Copying copying;
  private final Rail rail;

  CopyController(Copying copying, Rail rail) {
    this.copying = copying;
    this.rail = rail;
  }

  @GetMapping("/studies/{studyId}/mirror/{workId}/copy")
  String page(
      Study study,
      Work redraw,
      @RequestParam Optional<Long> of,
      @RequestParam(defaultValue = "false") boolean turned,
      Model model) {
    rail.addTo(model, study, Stage.MIRROR);
    model.addAttribute("redraw", redraw);
    model.addAttribute("page", copying.page(study, redraw, of, turned));
    return "mirror/copy";
  }

  /** Both over each other. */
  @GetMapping("/studies/{studyId}/mirror/{workId}/copy.png")
  ResponseEntity<byte[]> difference(
      Study study,
      Work redraw,
      @RequestParam Optional<Long> of,
      @RequestParam(defaultValue = "false") boolean turned) {
    return copying
        .difference(study, redraw, of, turned)
        .map(png -> ResponseEntity.ok().contentType(MediaType.IMAGE_PNG).body(png))
        .orElseGet(() -> ResponseEntity.notFound().build());
  }
}
