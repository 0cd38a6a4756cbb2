package penmirror.web.evidence;

import static penmirror.web.storage.generated.Tables.REPEAT_MARKING;
import static penmirror.web.storage.generated.Tables.WORK;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.format.MarksFile;
import penmirror.core.reading.TechnicalError;

/** Keeps figures that were marked twice. */
@Repository
public class RepeatStore {
  private final DSLContext database;
  private final Clock clock;

  RepeatStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** The same two markings sent again are one pair: no hand places a figure twice so exactly. */
  @Transactional
  public void keep(long workId, TechnicalError.Pair pair) {
    database.select(WORK.ID).from(WORK).where(WORK.ID.eq(workId)).forUpdate().fetch();
    boolean isThere =
        database.fetchExists(
            REPEAT_MARKING,
            REPEAT_MARKING
                .WORK_ID
                .eq(workId)
                .and(REPEAT_MARKING.FIRST_LANDMARKS.eq(json(pair.first())))
                .and(REPEAT_MARKING.SECOND_LANDMARKS.eq(json(pair.second()))));
    if (isThere) {
      return;
    }
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
                      MarkingStore.kept(view, row.value1()).marks(),
                      MarkingStore.kept(view, row.value2()).marks());
                });
    return TechnicalError.of(pairs);
  }

  private static JSONB json(Marks marks) {
    return JSONB.valueOf(MarksFile.landmarksJson(marks));
  }
}
