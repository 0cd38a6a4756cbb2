package penmirror.web.mirror;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.drawing.Scene;
import penmirror.core.drawing.SceneImage;
import penmirror.core.drawing.SvgWriter;
import penmirror.core.file.PngWriter;
import penmirror.core.planning.Companion.Stand;
import penmirror.web.layout.GivenFile;
import penmirror.web.layout.RefusedException;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** A redraw set into the picture of a work. */
@Controller
class CompanionController {
  private final Accompanying accompanying;
  private final Rail rail;

  CompanionController(Accompanying accompanying, Rail rail) {
    this.accompanying = accompanying;
    this.rail = rail;
  }

  /** What every address of it carries. */
  record Question(@Nullable Long scene, @Nullable Long with) {
    Accompanying.Asked asked() {
      return new Accompanying.Asked(Optional.ofNullable(scene), Optional.ofNullable(with));
    }
  }

  /**
   * Where a figure is put, in pixels of the picture.
   *
   * @param mirrored not sent by a box that is not ticked, as is {@code behind}
   */
  record Put(
      long scene,
      long with,
      long figure,
      double x,
      double ground,
      double scale,
      @Nullable Boolean mirrored,
      @Nullable Boolean behind) {

    Stand stand() {
      if (!Double.isFinite(x) || !Double.isFinite(ground) || !(scale > 0 && scale < 1e6)) {
        throw new RefusedException("companion.nowhere");
      }
      return new Stand(
          x, ground, scale, Boolean.TRUE.equals(mirrored), Boolean.TRUE.equals(behind));
    }
  }

  @GetMapping("/studies/{studyId}/mirror/{workId}/companion")
  String page(Study study, Work redraw, Question question, Model model) {
    rail.addTo(model, study, Stage.MIRROR);
    model.addAttribute("redraw", redraw);
    model.addAttribute("page", accompanying.page(study, redraw, question.asked()).orElse(null));
    return "mirror/companion";
  }

  /** What is told of a figure where it stands now. */
  @PostMapping("/studies/{studyId}/mirror/{workId}/companion/stand")
  String stand(
      Study study,
      Work redraw,
      Put put,
      @RequestHeader(name = "HX-Request", defaultValue = "false") boolean partial,
      Model model) {
    Accompanying.Figure figure =
        accompanying.stand(
            study,
            redraw,
            new Question(put.scene(), put.with()).asked(),
            put.figure(),
            put.stand());
    if (!partial) {
      return "redirect:" + address(study, redraw, put.scene(), put.with());
    }
    model.addAttribute("figure", figure);
    return "mirror/companion :: told(figure=${figure})";
  }

  @PostMapping("/studies/{studyId}/mirror/{workId}/companion/anew")
  String standAnew(
      Study study,
      Work redraw,
      @RequestParam long scene,
      @RequestParam long with,
      @RequestParam long figure) {
    accompanying.standAnew(redraw, scene, figure);
    return "redirect:" + address(study, redraw, scene, with);
  }

  @GetMapping("/studies/{studyId}/mirror/{workId}/companion.svg")
  ResponseEntity<String> svg(Study study, Work redraw, Question question) {
    return file(redraw, "svg", GivenFile.SVG)
        .body(SvgWriter.write(accompanying.scene(study, redraw, question.asked())));
  }

  @GetMapping("/studies/{studyId}/mirror/{workId}/companion.png")
  ResponseEntity<byte[]> png(Study study, Work redraw, Question question) {
    Scene scene = accompanying.scene(study, redraw, question.asked());
    return file(redraw, "png", MediaType.IMAGE_PNG)
        .body(PngWriter.write(SceneImage.of(scene), Optional.empty()));
  }

  private static String address(Study study, Work redraw, long scene, long with) {
    return "/studies/"
        + study.id()
        + "/mirror/"
        + redraw.id()
        + "/companion?scene="
        + scene
        + "&with="
        + with;
  }

  private static ResponseEntity.BodyBuilder file(Work redraw, String ending, MediaType type) {
    return GivenFile.toKeep("companion-" + redraw.id() + "." + ending, type);
  }
}
