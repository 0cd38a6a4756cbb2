package penmirror.web.gather;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.multipart.MultipartFile;
import penmirror.web.layout.Conflict;
import penmirror.web.layout.RefusedException;
import penmirror.web.sending.Sent;
import penmirror.web.sending.Submissions;
import penmirror.web.sight.FirstLooking;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** The wall of works, and the door through which pictures come in. */
@Controller
class GatherController {
  private final WallPage page;
  private final Uploads uploads;
  private final Describing describing;
  private final Arranging arranging;
  private final Splitting splitting;
  private final FirstLooking firstLooking;
  private final Submissions submissions;

  GatherController(
      WallPage page,
      Uploads uploads,
      Describing describing,
      Arranging arranging,
      Splitting splitting,
      FirstLooking firstLooking,
      Submissions submissions) {
    this.firstLooking = firstLooking;
    this.page = page;
    this.uploads = uploads;
    this.describing = describing;
    this.arranging = arranging;
    this.splitting = splitting;
    this.submissions = submissions;
  }

  @GetMapping("/studies/{studyId}/gather")
  String page(
      Study study,
      @RequestParam Optional<Long> work,
      @RequestParam(defaultValue = "NUMBER") Wall.Order order,
      @RequestParam(defaultValue = "") List<Long> shown,
      Model model) {
    firstLooking.first(shown);
    page.addTo(model, study, work, order, List.of());
    return "gather/page";
  }

  /** Takes any number of files; each that cannot be used is told, the others come in. */
  @PostMapping("/studies/{studyId}/works")
  String take(
      Study study,
      @RequestParam("files") List<MultipartFile> files,
      @RequestParam(defaultValue = "") String credit,
      @RequestHeader(name = "HX-Request", defaultValue = "false") boolean partial,
      Model model)
      throws IOException {
    Uploads.Taken taken = uploads.take(study, files, credit);
    if (partial) {
      model.addAttribute("faults", taken.faults());
      return "gather/outcome";
    }
    page.addTo(model, study, taken.newest(), Wall.Order.NUMBER, taken.faults());
    return "gather/page";
  }

  @PostMapping("/studies/{studyId}/works/{workId}")
  String describe(
      Study study,
      @PathVariable long workId,
      WorkForm form,
      @RequestParam(defaultValue = "NUMBER") Wall.Order order,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    if (describing.describe(study.id(), workId, form) instanceof Describing.Outdated outdated) {
      response.setStatus(HttpStatus.CONFLICT.value());
      page.addTo(model, study, Optional.of(workId), order, List.of());
      model.addAttribute(
          "conflict",
          Conflict.between(
              outdated.theirs(),
              outdated.mine(),
              request.getRequestURI(),
              request.getParameterMap(),
              outdated.now().version()));
      return "gather/page";
    }
    return "redirect:" + wallOf(study.id(), workId, order);
  }

  /** The same for many works; what the form leaves empty stays as it is in each. */
  @PostMapping("/studies/{studyId}/works/many")
  String describeMany(
      Study study,
      @RequestParam("works") List<Long> chosen,
      WorkForm form,
      @RequestParam(defaultValue = "NUMBER") Wall.Order order) {
    if (chosen.isEmpty()) {
      throw new RefusedException("gather.many.none");
    }
    describing.describeMany(study.id(), chosen, form);
    return "redirect:" + wallOf(study.id(), chosen.get(0), order);
  }

  @PostMapping("/studies/{studyId}/works/{workId}/left-out")
  String leaveOut(Study study, Work work, @RequestParam boolean leftOut) {
    arranging.leaveOut(work, leftOut);
    return "redirect:" + wallOf(study.id(), work.id(), Wall.Order.NUMBER);
  }

  @PostMapping("/studies/{studyId}/anchor")
  String anchor(Study study, @RequestParam long work, @RequestParam boolean on) {
    arranging.anchor(study, work, on);
    return "redirect:" + wallOf(study.id(), work, Wall.Order.NUMBER);
  }

  @PostMapping("/studies/{studyId}/alike")
  String decide(
      Study study,
      @RequestParam long first,
      @RequestParam long second,
      @RequestParam Arranging.Alike keep) {
    arranging.decide(study, first, second, keep);
    long shown = keep == Arranging.Alike.SECOND ? second : first;
    return "redirect:" + wallOf(study.id(), shown, Wall.Order.NUMBER);
  }

  @PostMapping("/studies/{studyId}/wall")
  String arrange(Study study, @RequestParam boolean free) {
    arranging.lay(study, free);
    return "redirect:/studies/" + study.id() + "/gather";
  }

  @PostMapping("/studies/{studyId}/places")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void move(Study study, @RequestBody List<Arranging.Moved> moved) {
    arranging.move(study, moved);
  }

  @PostMapping("/studies/{studyId}/improvise")
  String improvise(
      Study study,
      @RequestParam(defaultValue = "") String part,
      @RequestParam(defaultValue = "") String view,
      @RequestParam(defaultValue = "") String note,
      @RequestParam boolean on) {
    if (on) {
      arranging.improvise(study, part, view, note);
    } else {
      arranging.reopen(study, part, view);
    }
    return "redirect:/studies/" + study.id() + "/gather";
  }

  /** A study of its own for one manner or one period; this one keeps all its works. */
  @PostMapping("/studies/{studyId}/split")
  String split(Study study, @RequestParam String word, Sent sent) {
    return submissions.once(
        sent,
        () -> "redirect:/studies/" + splitting.split(study, word).orElse(study.id()) + "/gather");
  }

  private static String wallOf(long studyId, long workId, Wall.Order order) {
    return "/studies/"
        + studyId
        + "/gather?work="
        + workId
        + (order == Wall.Order.NUMBER ? "" : "&order=" + order.name());
  }
}
