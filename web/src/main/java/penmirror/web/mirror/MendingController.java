package penmirror.web.mirror;

import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import penmirror.web.layout.GivenFile;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** What is said of fixes; a redraw with them carried out, as an underlay. */
@Controller
class MendingController {
  private final Mending mending;
  private final Fixing fixing;

  MendingController(Mending mending, Fixing fixing) {
    this.fixing = fixing;
    this.mending = mending;
  }

  /** What a redraw with its fixes carried out would reach. */
  @GetMapping("/studies/{studyId}/mirror/{workId}/mended.json")
  @ResponseBody
  Mending.Told mendedTold(
      Study study, Work redraw, @RequestParam(defaultValue = "first") String reach) {
    return mending.told(study, redraw, Mending.Reach.of(reach));
  }

  /**
   * @param height in pixels; as large as the redraw, to be taken away, without one
   */
  @GetMapping("/studies/{studyId}/mirror/{workId}/mended.png")
  ResponseEntity<byte[]> mended(
      Study study,
      Work redraw,
      @RequestParam(defaultValue = "first") String reach,
      @RequestParam Optional<Integer> height) {
    int pixels = Math.max(1, Math.min(redraw.heightPixels(), height.orElse(redraw.heightPixels())));
    byte[] png = mending.picture(study, redraw, Mending.Reach.of(reach), pixels);
    ResponseEntity.BodyBuilder answer =
        height.isPresent()
            ? ResponseEntity.ok().contentType(MediaType.IMAGE_PNG)
            : file(redraw, "png", MediaType.IMAGE_PNG);
    return answer.cacheControl(CacheControl.noCache()).body(png);
  }

  /** The redraw and it as two layers. */
  @GetMapping("/studies/{studyId}/mirror/{workId}/mended.ora")
  ResponseEntity<byte[]> underlay(
      Study study, Work redraw, @RequestParam(defaultValue = "first") String reach) {
    return file(redraw, "ora", MediaType.parseMediaType("image/openraster"))
        .body(mending.underlay(study, redraw, Mending.Reach.of(reach)));
  }

  /** One fix is done, or not yet. */
  @PostMapping("/studies/{studyId}/mirror/{workId}/done")
  String done(Study study, Work redraw, @RequestParam String fix, @RequestParam boolean is) {
    fixing.done(redraw, fix, is);
    return "redirect:/studies/" + study.id() + "/mirror/" + redraw.id();
  }

  /** Something is off as the user wants it, in this study; or is no more. */
  @PostMapping("/studies/{studyId}/mirror/{workId}/on-purpose")
  String onPurpose(Study study, Work redraw, @RequestParam String act, @RequestParam boolean is) {
    fixing.onPurpose(study, act, is);
    return "redirect:/studies/" + study.id() + "/mirror/" + redraw.id();
  }

  /** An act is not aimed at in this study, and no redraw is held against it; or is again. */
  @PostMapping("/studies/{studyId}/mirror/{workId}/aim")
  String aim(Study study, Work redraw, @RequestParam String act, @RequestParam boolean is) {
    fixing.aim(study, act, is);
    return "redirect:/studies/" + study.id() + "/mirror/" + redraw.id();
  }

  private static ResponseEntity.BodyBuilder file(Work redraw, String ending, MediaType type) {
    return GivenFile.toKeep("mended-" + redraw.id() + "." + ending, type);
  }
}
