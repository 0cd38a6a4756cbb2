package penmirror.web.drill;

import static penmirror.web.storage.generated.Tables.DRILL_ANSWER;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import penmirror.core.colour.EncodedSrgb;

/** Keeps what was mixed by eye. */
@Repository
class DrillStore {
  private final DSLContext database;
  private final Clock clock;

  DrillStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  record Answer(EncodedSrgb asked, EncodedSrgb given) {}

  int count(long studyId) {
    return database.fetchCount(DRILL_ANSWER, DRILL_ANSWER.STUDY_ID.eq(studyId));
  }

  /** Newest first. */
  List<Answer> newest(long studyId, int most) {
    return database
        .selectFrom(DRILL_ANSWER)
        .where(DRILL_ANSWER.STUDY_ID.eq(studyId))
        .orderBy(DRILL_ANSWER.ID.desc())
        .limit(most)
        .fetch(
            row ->
                new Answer(
                    EncodedSrgb.fromHex(row.getAsked()), EncodedSrgb.fromHex(row.getGiven())));
  }

  void keep(long studyId, Answer answer) {
    database
        .insertInto(DRILL_ANSWER)
        .set(DRILL_ANSWER.STUDY_ID, studyId)
        .set(DRILL_ANSWER.ASKED, answer.asked().hex())
        .set(DRILL_ANSWER.GIVEN, answer.given().hex())
        .set(DRILL_ANSWER.ANSWERED_AT, OffsetDateTime.now(clock))
        .execute();
  }
}
