package penmirror.web.mirror;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.figure.Mood;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.PixelReadings;
import penmirror.core.scoring.AttemptStage;
import penmirror.core.scoring.BaseScore;
import penmirror.core.style.StyleSheet;
import penmirror.web.evidence.PixelReadingStore;
import penmirror.web.gather.Intake;
import penmirror.web.plan.PaletteTaken;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.sight.FirstLooking;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** A study's redraws: taken in, said something of, and how far they are read. */
@Component
public class Redraws {
  private final WorkStore works;
  private final Intake intake;
  private final PixelReadingStore readings;
  private final SheetMaker sheets;
  private final ScopeStore scopes;
  private final FirstLooking firstLooking;
  private final PaletteTaken palette;
  private final MessageSource messages;

  Redraws(
      WorkStore works,
      Intake intake,
      PixelReadingStore readings,
      SheetMaker sheets,
      ScopeStore scopes,
      FirstLooking firstLooking,
      PaletteTaken palette,
      MessageSource messages) {
    this.palette = palette;
    this.firstLooking = firstLooking;
    this.works = works;
    this.intake = intake;
    this.readings = readings;
    this.sheets = sheets;
    this.scopes = scopes;
    this.messages = messages;
  }

  /** In the order they were numbered. */
  List<Work> of(Study study) {
    return works.inRole(study.id(), Work.Role.REDRAW);
  }

  PixelReadingStore.Progress progress(Work redraw) {
    return readings.progress(redraw.id());
  }

  /** What is traced, and says nothing of the hand. */
  List<MeasureGroup> traced(Study study) {
    return scopes.tracedGroups(study.id());
  }

  /** Its colours held against theirs; none where the palette stays the character's. */
  List<BaseRow> bases(Study study, StyleSheet sheet, Evidence redraw) {
    return palette.by(study)
        ? BaseScore.of(sheet, redraw.pixels().map(PixelReadings::roles).orElse(List.of())).stream()
            .map(BaseRow::of)
            .toList()
        : List.of();
  }

  String kind(Study study) {
    return scopes.kind(study.id());
  }

  /**
   * @param title numbered as an attempt where it is empty
   */
  Intake.Outcome take(Study study, byte[] file, String title) {
    String named = title.isBlank() ? text("mirror.attempt", of(study).size() + 1) : title.strip();
    Intake.Outcome outcome =
        intake.take(
            study.id(),
            file,
            Work.Role.REDRAW,
            Work.cutTitle(named),
            text("mirror.own"),
            sheets.sheetOf(study).view());
    if (outcome instanceof Intake.Taken taken) {
      // Somebody waits for the verdict: it is looked at before all else.
      firstLooking.now(works.require(study.id(), taken.workId()));
    }
    return outcome;
  }

  /** What mood it shows and how far it has come; left to be seen in it where nothing is said. */
  @Transactional
  public void say(Work redraw, Optional<Mood> mood, Optional<AttemptStage> stage) {
    works.tag(redraw.id(), redraw.tags().drawn(mood, stage));
  }

  private String text(String key, Object... arguments) {
    return messages.getMessage(key, arguments, Locale.ENGLISH);
  }
}
