package penmirror.web.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.figure.HeadFrame;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.layout.SvgNumber;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Lays works on the desk: the first of them may be seen in part. */
@Component
class Desk {
  private static final int MOST_WORKS = 3;
  private static final int MOST_LINES = 40;

  private final WorkStore works;
  private final EvidenceFinder evidence;

  Desk(WorkStore works, EvidenceFinder evidence) {
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
   * @param ids of the works, in order; the first source where there are none
   * @param box left, top, width and height of the part of the first work that is seen
   */
  List<Sheet> sheets(Study study, List<Long> ids, List<Double> box) {
    List<Work> chosen =
        ids.stream().distinct().limit(MOST_WORKS).map(id -> works.require(study.id(), id)).toList();
    if (chosen.isEmpty()) {
      chosen = works.inRole(study.id(), Work.Role.SOURCE).stream().limit(1).toList();
    }
    List<Sheet> sheets = new ArrayList<>();
    for (Work work : chosen) {
      sheets.add(sheet(work, sheets.isEmpty() ? box : List.of()));
    }
    return sheets;
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
            lines.add(SvgNumber.of(y));
          }
        });
    return new Sheet(work, seen, lines);
  }
}
