package penmirror.web.mirror;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.format.ScoreTable;
import penmirror.core.scoring.Score;
import penmirror.core.telling.FixWords;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.evidence.PixelReadingStore.Progress;
import penmirror.web.layout.NotFoundException;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** A cast of drawings held against one sheet, the farthest from it first. */
@Component
class CastTable {
  private static final int WORST = 3;

  private final SheetMaker sheets;
  private final PixelReadingStore readings;
  private final WorkStore works;

  CastTable(SheetMaker sheets, PixelReadingStore readings, WorkStore works) {
    this.sheets = sheets;
    this.readings = readings;
    this.works = works;
  }

  /**
   * @param rows the farthest off first; what is still read comes last
   * @param waiting how many are still read
   * @param belonging how many lie within what the works reach
   * @param out taken off the table, to be put back
   */
  record Page(List<Row> rows, int waiting, int belonging, List<Work> out) {}

  /**
   * @param state belongs, apart, untold, reading or failed
   * @param fault why its pixels could not be read; empty where they could
   * @param worst what is farthest off, in words, such as "Eyes too high"
   */
  record Row(
      Work work, String state, String byRules, String glance, List<String> worst, String fault) {}

  Page page(Study study) {
    Loaded loaded = sheets.load(study);
    var progress = readings.progressOf(study.id());
    List<Work> all = loaded.inRole(Work.Role.CAST);
    List<Row> rows =
        all.stream()
            .filter(work -> !work.leftOut())
            .map(
                work -> row(work, loaded.score(work), Optional.ofNullable(progress.get(work.id()))))
            .sorted(
                Comparator.comparing((Row row) -> row.state().equals("reading"))
                    .thenComparing(row -> loaded.score(row.work()).byRules().orElse(-1.0)))
            .toList();
    return new Page(
        rows,
        (int) rows.stream().filter(row -> row.state().equals("reading")).count(),
        (int) rows.stream().filter(row -> row.state().equals("belongs")).count(),
        all.stream().filter(Work::leftOut).toList());
  }

  private static Row row(Work work, Score score, Optional<Progress> progress) {
    boolean isRead = progress.flatMap(Progress::readings).isPresent();
    boolean failed =
        progress.filter(of -> of.state() == PixelReadingStore.State.FAILED).isPresent();
    String state =
        failed
            ? "failed"
            : isRead
                ? score.belongs().map(belongs -> belongs ? "belongs" : "apart").orElse("untold")
                : "reading";
    return new Row(
        work,
        state,
        isRead ? points(score.byRules()) : "",
        isRead ? points(score.glance()) : "",
        isRead ? worst(score) : List.of(),
        failed ? progress.map(Progress::message).orElse("") : "");
  }

  private static List<String> worst(Score score) {
    return Verdict.told(score).stream()
        .limit(WORST)
        .map(FixWords::miss)
        .map(Spoken::sentence)
        .toList();
  }

  private static String points(Optional<Double> points) {
    return points.map(p -> Wording.number(p, 0)).orElse("");
  }

  /** The same with the first changes and what each would win, for a spreadsheet. */
  String csv(Study study) {
    Loaded loaded = sheets.load(study);
    StringBuilder table = new StringBuilder(ScoreTable.header());
    for (Row row : page(study).rows()) {
      table.append(ScoreTable.row(row.work().title(), study.hand(), loaded.score(row.work())));
    }
    return table.toString();
  }

  /**
   * Taken off the table, or put back; nothing is lost.
   *
   * @throws NotFoundException for a work that is no drawing of a cast
   */
  @Transactional
  public void out(Work drawing, boolean out) {
    if (drawing.role() != Work.Role.CAST) {
      throw new NotFoundException("fault.work.unknown", drawing.id());
    }
    works.leaveOut(drawing.id(), out);
  }
}
