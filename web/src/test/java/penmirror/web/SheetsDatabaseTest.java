package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import penmirror.core.coverage.Trait;
import penmirror.core.figure.View;
import penmirror.core.reading.TechnicalError;
import penmirror.web.evidence.FigureEditStore;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.evidence.PixelReading;
import penmirror.web.evidence.RepeatStore;
import penmirror.web.evidence.SightStore;
import penmirror.web.gather.Intake;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.WallStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** A study is loaded once, and anew after whatever is written to it. */
class SheetsDatabaseTest extends DatabaseTest {
  @Autowired SheetMaker sheets;
  @Autowired Intake intake;
  @Autowired WorkStore works;
  @Autowired MarkingStore markings;
  @Autowired WallStore places;
  @Autowired ScopeStore scopes;
  @Autowired RepeatStore repeats;
  @Autowired FigureEditStore strokes;
  @Autowired PixelReading pixelReading;
  @Autowired SightStore sights;

  private Study study;
  private long pell;

  @BeforeEach
  void hangAWork() {
    study = studies.require(studies.begin("The Lantern Barge", "Odile Marrow", "", ""));
    pell =
        ((Intake.Taken)
                intake.take(study.id(), source(1).png(), Work.Role.SOURCE, "Pell", "", View.FRONT))
            .workId();
    await().until(() -> sights.of(pell).isPresent());
    awaitReadings();
  }

  @Test
  void asLongAsNothingChangesItIsTheSameWithItsSheetsAndScores() {
    Loaded loaded = sheets.load(study);
    assertThat(sheets.load(study)).isSameAs(loaded);
    assertThat(loaded.sheet()).isSameAs(sheets.sheetOf(study));
    Work work = works.require(study.id(), pell);
    assertThat(loaded.score(work)).isSameAs(sheets.load(study).score(work));
    // What happens in another study is none of its business.
    studies.begin("Another", "Somebody", "", "");
    assertThat(sheets.load(study)).isSameAs(loaded);
  }

  @Test
  void whateverIsWrittenToItLoadsItAnew() {
    Map<String, Runnable> writes = new LinkedHashMap<>();
    writes.put("marks", () -> markings.save(pell, 0, source(1).truth()));
    writes.put("left out", () -> works.leaveOut(pell, true));
    writes.put("back in", () -> works.leaveOut(pell, false));
    writes.put("parts", () -> works.sayParts(pell, Map.of("prop", true)));
    writes.put("traits", () -> scopes.setTraits(pell, Map.of(Trait.BUILD, "broad")));
    writes.put(
        "improvised", () -> places.improvise(study.id(), new WallStore.Improvised("feet", "", "")));
    writes.put("reopened", () -> places.reopen(study.id(), "feet", ""));
    writes.put("anchor", () -> places.setAnchor(study.id(), Optional.of(pell)));
    writes.put("note", () -> scopes.note(study.id(), OptionalInt.empty(), "", "line last"));
    writes.put(
        "repeat",
        () -> repeats.keep(pell, new TechnicalError.Pair(source(1).truth(), source(1).truth())));
    writes.put("strokes", () -> strokes.save(pell, 0, List.of()));
    writes.put(
        "a redraw",
        () -> intake.take(study.id(), redraw(1).png(), Work.Role.REDRAW, "Try", "", View.FRONT));
    writes.put(
        "a new reading",
        () -> {
          pixelReading.want(works.require(study.id(), pell));
          awaitReadings();
        });
    writes.forEach(
        (name, write) -> {
          Loaded before = sheets.load(study);
          write.run();
          assertThat(sheets.load(study)).as(name).isNotSameAs(before);
        });
    assertThat(sheets.sheetOf(study).works()).hasSize(1);
  }
}
