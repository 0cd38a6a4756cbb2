package penmirror.web.mirror;

import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.concurrent.ThreadLocalRandom;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.drawing.Scene;
import penmirror.core.drawing.SceneImage;
import penmirror.core.drawing.SvgWriter;
import penmirror.core.file.PngWriter;
import penmirror.core.planning.LineUp;
import penmirror.web.layout.Choice;
import penmirror.web.layout.GivenFile;
import penmirror.web.rail.Rail;
import penmirror.web.rail.Stage;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** A redraw among the works on one ground line. */
@Controller
class LineUpController {
  private static final Duration KEPT = Duration.ofMinutes(10);

  private final Lining lining;
  private final Rail rail;

  LineUpController(Lining lining, Rail rail) {
    this.lining = lining;
    this.rail = rail;
  }

  /** What every address of a line-up carries. */
  record Question(@Nullable String alike, @Nullable List<Long> beside, @Nullable Long shuffled) {
    Lining.Asked asked() {
      return new Lining.Asked(
          Choice.maybe(LineUp.Alike.class, alike == null ? "" : alike.toUpperCase(Locale.ROOT))
              .orElse(LineUp.Alike.HEAD),
          beside == null ? Set.of() : Set.copyOf(beside),
          shuffled == null ? OptionalLong.empty() : OptionalLong.of(shuffled));
    }
  }

  @GetMapping("/studies/{studyId}/mirror/{workId}/line-up")
  String page(
      Study study,
      Work redraw,
      Question question,
      @RequestParam Optional<Long> picked,
      Model model) {
    Lining.Asked asked = question.asked();
    rail.addTo(model, study, Stage.MIRROR);
    model.addAttribute("redraw", redraw);
    model.addAttribute("asked", asked);
    model.addAttribute("page", lining.page(study, redraw, asked));
    model.addAttribute("next", ThreadLocalRandom.current().nextInt(1, Integer.MAX_VALUE));
    model.addAttribute("picked", picked.orElse(null));
    model.addAttribute("answer", picked.map(id -> lining.answer(study, redraw, id)).orElse(null));
    return "mirror/line-up";
  }

  /** Which of the shuffled figures was taken for the redraw. */
  @PostMapping("/studies/{studyId}/mirror/{workId}/line-up/pick")
  String pick(Study study, Work redraw, Question question, @RequestParam long picked) {
    Lining.Asked asked = question.asked();
    lining.pick(study, redraw, picked, asked);
    return "redirect:/studies/"
        + study.id()
        + "/mirror/"
        + redraw.id()
        + "/line-up?alike="
        + asked.alike().word()
        + "&picked="
        + picked;
  }

  @GetMapping("/studies/{studyId}/mirror/{workId}/line-up.svg")
  ResponseEntity<String> svg(Study study, Work redraw, Question question) {
    return file(redraw, "svg", GivenFile.SVG)
        .body(SvgWriter.write(lining.scene(study, redraw, question.asked())));
  }

  @GetMapping("/studies/{studyId}/mirror/{workId}/line-up.png")
  ResponseEntity<byte[]> png(Study study, Work redraw, Question question) {
    Scene scene = lining.scene(study, redraw, question.asked());
    return file(redraw, "png", MediaType.IMAGE_PNG)
        .body(PngWriter.write(SceneImage.of(scene), Optional.empty()));
  }

  @GetMapping("/studies/{studyId}/mirror/{workId}/cut-out.png")
  ResponseEntity<byte[]> cutOut(Study study, Work work) {
    return lining
        .cutOut(work)
        .map(
            png ->
                ResponseEntity.ok()
                    .contentType(MediaType.IMAGE_PNG)
                    .cacheControl(CacheControl.maxAge(KEPT).cachePrivate())
                    .body(png))
        .orElseGet(() -> ResponseEntity.notFound().build());
  }

  private static ResponseEntity.BodyBuilder file(Work redraw, String ending, MediaType type) {
    return GivenFile.toKeep("line-up-" + redraw.id() + "." + ending, type);
  }
}
