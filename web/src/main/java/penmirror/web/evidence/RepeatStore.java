package penmirror.web.evidence;

import static penmirror.web.storage.generated.Tables.REPEAT_MARKING;
import static penmirror.web.storage.generated.Tables.WORK;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.springframework.stereotype.Repository;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.format.MarksFile;
import penmirror.core.measure.TechnicalError;

/** Keeps figures that were marked twice. */
@Repository
public class RepeatStore {
  private final DSLContext database;
  private final Clock clock;

  RepeatStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  public void keep(long workId, TechnicalError.Pair pair) {
    database
        .insertInto(REPEAT_MARKING)
        .set(REPEAT_MARKING.WORK_ID, workId)
        .set(REPEAT_MARKING.FIRST_LANDMARKS, json(pair.first()))
        .set(REPEAT_MARKING.SECOND_LANDMARKS, json(pair.second()))
        .set(REPEAT_MARKING.SAVED_AT, OffsetDateTime.now(clock))
        .execute();
  }

  /** What is known of the hand that marks a study; nothing until it marked some works twice. */
  public TechnicalError technicalError(long studyId) {
    List<TechnicalError.Pair> pairs =
        database
            .select(REPEAT_MARKING.FIRST_LANDMARKS, REPEAT_MARKING.SECOND_LANDMARKS, WORK.VIEW)
            .from(REPEAT_MARKING)
            .join(WORK)
            .on(WORK.ID.eq(REPEAT_MARKING.WORK_ID))
            .where(WORK.STUDY_ID.eq(studyId))
            .orderBy(REPEAT_MARKING.ID)
            .fetch(
                row -> {
                  View view = View.ofWord(row.value3());
                  return new TechnicalError.Pair(
                      MarkingStore.marks(view, row.value1()),
                      MarkingStore.marks(view, row.value2()));
                });
    return TechnicalError.of(pairs);
  }

  private static JSONB json(Marks marks) {
    return JSONB.valueOf(MarksFile.landmarksJson(marks));
  }
}
