package penmirror.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static penmirror.web.storage.generated.Tables.MARKING;
import static penmirror.web.storage.generated.Tables.PICTURE;
import static penmirror.web.storage.generated.Tables.STUDY;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.MarkingStore;
import penmirror.web.gather.Intake;
import penmirror.web.layout.NotFoundException;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.PictureStore;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** The stores on a real PostgreSQL. */
class StoresDatabaseTest extends DatabaseTest {
  @Autowired WorkStore works;
  @Autowired PictureStore pictures;
  @Autowired MarkingStore markings;
  @Autowired Intake intake;
  @Autowired EvidenceFinder evidence;
  @Autowired SheetMaker sheets;
  @Autowired ScopeStore scopes;

  private long study;

  @BeforeEach
  void beginAStudy() {
    study = studies.begin("The Lantern Barge", "Odile Marrow", "to learn", "by hand");
  }

  @Test
  void aStudyThatIsGoneIsToldAsGone() {
    database.deleteFrom(STUDY).execute();
    for (ThrowingCallable asked :
        List.<ThrowingCallable>of(
            () -> scopes.scope(study),
            () -> scopes.version(study),
            () -> scopes.holdVersion(study),
            () -> scopes.convention(study))) {
      assertThatThrownBy(asked).isInstanceOf(NotFoundException.class);
    }
  }

  @Test
  void aStudyIsKeptWithAllItWasBegunWith() {
    Study kept = studies.require(study);
    assertThat(kept.name()).isEqualTo("The Lantern Barge");
    assertThat(kept.illustrator()).isEqualTo("Odile Marrow");
    assertThat(kept.reason()).isEqualTo("to learn");
    assertThat(kept.credit()).isEqualTo("by hand");
    assertThat(kept.canvas()).isEqualTo(new Canvas(2400, 3200));
    studies.setCanvas(study, new Canvas(1240, 1760));
    assertThat(studies.require(study).canvas()).isEqualTo(new Canvas(1240, 1760));
  }

  @Test
  void worksAreNumberedWithinTheirRole() {
    take(1, Work.Role.SOURCE);
    take(2, Work.Role.SOURCE);
    take(1, Work.Role.REDRAW);
    assertThat(works.inRole(study, Work.Role.SOURCE))
        .extracting(Work::number)
        .containsExactly(1, 2);
    assertThat(works.inRole(study, Work.Role.REDRAW)).extracting(Work::number).containsExactly(1);
  }

  /** The same picture in two studies or two roles is one file. */
  @Test
  void aPictureIsKeptOnceHoweverOftenItIsUsed() {
    take(1, Work.Role.SOURCE);
    take(1, Work.Role.REDRAW);
    long other = studies.begin("Other", "Someone", "", "");
    intake.take(other, source(1).png(), Work.Role.SOURCE, "t", "", View.FRONT);
    assertThat(database.fetchCount(PICTURE)).isEqualTo(1);
    assertThat(intake.take(study, source(1).png(), Work.Role.SOURCE, "t", "", View.FRONT))
        .isInstanceOf(Intake.AlreadyHere.class);
  }

  @Test
  void aWorkBelongsToItsStudyAlone() {
    long work = take(1, Work.Role.SOURCE);
    long other = studies.begin("Other", "Someone", "", "");
    assertThatThrownBy(() -> works.require(other, work)).isInstanceOf(NotFoundException.class);
    assertThat(works.require(study, work).widthPixels()).isEqualTo(980);
  }

  @Test
  void describingAWorkChangesOnlyItsWords() {
    long work = take(1, Work.Role.SOURCE);
    works.describe(work, "New title", "New credit", View.SIDE);
    Work changed = works.require(study, work);
    assertThat(changed.title()).isEqualTo("New title");
    assertThat(changed.credit()).isEqualTo("New credit");
    assertThat(changed.view()).isEqualTo(View.SIDE);
    assertThat(pictures.file(changed.pictureSha256()).bytes()).isEqualTo(source(1).png());
  }

  @Test
  void markingsGoThereAndBackWithStatesAndFractions() {
    long work = take(1, Work.Role.SOURCE);
    Marks marks =
        Marks.none(View.FRONT)
            .with(Landmark.CROWN, Mark.placed(12.25, 900.75))
            .with(Landmark.CROTCH, Mark.at(new Point(1, 2), Mark.State.ESTIMATED))
            .with(Landmark.SOLE, Mark.hidden());
    assertThat(markings.newest(work, View.FRONT).version()).isZero();
    assertThat(markings.save(work, 0, marks)).contains(1);
    assertThat(markings.newest(work, View.FRONT).marks()).isEqualTo(marks);
    assertThat(markings.newest(work, View.FRONT).savedAt()).isPresent();
  }

  @Test
  void earlierMarkingsAreNeverOverwritten() {
    long work = take(1, Work.Role.SOURCE);
    Marks first = Marks.none(View.FRONT).with(Landmark.CROWN, Mark.placed(1, 1));
    markings.save(work, 0, first);
    markings.save(work, 1, Marks.none(View.FRONT));
    assertThat(database.fetchCount(MARKING, MARKING.WORK_ID.eq(work))).isEqualTo(2);
    assertThat(database.fetch(MARKING, MARKING.VERSION.eq(1)).get(0).getLandmarks().data())
        .contains("crown");
  }

  /** Eight windows save at once from the same version: exactly one gets through. */
  @Test
  void ofManySavesAtOnceExactlyOneGetsThrough() throws Exception {
    long work = take(1, Work.Role.SOURCE);
    ExecutorService windows = Executors.newFixedThreadPool(8);
    try {
      List<Callable<Boolean>> saves = new ArrayList<>();
      for (int i = 1; i <= 8; i++) {
        Marks marks = Marks.none(View.FRONT).with(Landmark.CROWN, Mark.placed(i, i));
        saves.add(() -> markings.save(work, 0, marks).isPresent());
      }
      int through = 0;
      for (Future<Boolean> one : windows.invokeAll(saves)) {
        through += one.get() ? 1 : 0;
      }
      assertThat(through).isEqualTo(1);
      assertThat(markings.newest(work, View.FRONT).version()).isEqualTo(1);
    } finally {
      windows.shutdownNow();
    }
  }

  @Test
  void theSameMarkingSentTwiceIsNoConflictAndNoSecondRow() {
    long work = take(1, Work.Role.SOURCE);
    assertThat(markings.save(work, 0, source(1).truth())).contains(1);
    assertThat(markings.save(work, 0, source(1).truth())).contains(1);
    assertThat(database.fetchCount(MARKING)).isEqualTo(1);
  }

  @Test
  void changingTheViewChangesWhatTheMarksAreReadAs() {
    long work = take(1, Work.Role.SOURCE);
    markings.save(work, 0, source(1).truth());
    works.describe(work, "t", "", View.BACK);
    assertThat(evidence.of(works.require(study, work)).marks().view()).isEqualTo(View.BACK);
  }

  @Test
  void aWorkIsHeldAgainstTheOthersOnly() {
    long first = take(1, Work.Role.SOURCE);
    long second = take(2, Work.Role.SOURCE);
    markings.save(first, 0, source(1).truth());
    markings.save(second, 0, source(2).truth());
    Study kept = studies.require(study);
    assertThat(sheets.sheetOf(kept).works()).hasSize(2);
    assertThat(sheets.sheetOf(kept, first).works())
        .extracting(work -> work.id())
        .containsExactly(Long.toString(second));
  }

  @Test
  void redrawsAndCharactersMakeNoRules() {
    take(1, Work.Role.REDRAW);
    take(2, Work.Role.CHARACTER);
    assertThat(sheets.sheetOf(studies.require(study)).works()).isEmpty();
  }

  private long take(int number, Work.Role role) {
    Intake.Outcome outcome =
        intake.take(
            study, source(number).png(), role, source(number).title(), "credit", View.FRONT);
    return ((Intake.Taken) outcome).workId();
  }

  @Test
  void everyReferenceHasAnIndexBehindIt() {
    var bare =
        database.fetch(
            """
            select c.conrelid::regclass || ' ' || a.attname as reference
            from pg_constraint c
            join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
            where c.contype = 'f' and not exists (
              select 1 from pg_index i where i.indrelid = c.conrelid and i.indkey[0] = c.conkey[1])
            """);
    assertThat(bare.getValues("reference")).isEmpty();
  }
}
