package penmirror.web.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import penmirror.core.figure.HeadFrame;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The desk view: one to three works, or parts of them, at full size on neutral grey. */
@Controller
class DeskController {
  private static final int MOST_WORKS = 3;
  private static final int MOST_LINES = 40;

  private final StudyStore studies;
  private final WorkStore works;
  private final EvidenceFinder evidence;

  DeskController(StudyStore studies, WorkStore works, EvidenceFinder evidence) {
    this.studies = studies;
    this.works = works;
    this.evidence = evidence;
  }

  /**
   * A work on the desk.
   *
   * @param box what of it is seen, as an SVG viewBox
   * @param headLines heights of the grid in heads; empty before the head is marked
   */
  record Sheet(Work work, String box, List<String> headLines) {}

  /**
   * @param ids of the works, in order
   * @param box left, top, width and height of the part of the first work that is seen
   */
  @GetMapping("/studies/{studyId}/desk")
  String page(
      Study study,
      @RequestParam(name = "works", defaultValue = "") List<Long> ids,
      @RequestParam(defaultValue = "") List<Double> box,
      @RequestParam(defaultValue = "false") boolean flipped,
      Model model) {
    List<Work> chosen =
        ids.stream().distinct().limit(MOST_WORKS).map(id -> works.require(study.id(), id)).toList();
    if (chosen.isEmpty()) {
      chosen = works.inRole(study.id(), Work.Role.SOURCE).stream().limit(1).toList();
    }
    List<Sheet> sheets = new ArrayList<>();
    for (Work work : chosen) {
      sheets.add(sheet(work, sheets.isEmpty() ? box : List.of()));
    }
    model.addAttribute("study", study);
    model.addAttribute("sheets", sheets);
    model.addAttribute("flipped", flipped);
    return "desk/page";
  }

  private Sheet sheet(Work work, List<Double> box) {
    String seen =
        box.size() == 4 && box.get(2) > 0 && box.get(3) > 0
            ? String.format(
                Locale.ROOT, "%.1f %.1f %.1f %.1f", box.get(0), box.get(1), box.get(2), box.get(3))
            : "0 0 " + work.widthPixels() + " " + work.heightPixels();
    Optional<HeadFrame> head = evidence.of(work).marks().headFrame();
    List<String> lines = new ArrayList<>();
    head.ifPresent(
        frame -> {
          double step = frame.headPixels();
          double y = frame.crown().y();
          for (int i = 0; i < MOST_LINES && y <= work.heightPixels(); i++, y += step) {
            lines.add(String.format(Locale.ROOT, "%.1f", y));
          }
        });
    return new Sheet(work, seen, lines);
  }
}
