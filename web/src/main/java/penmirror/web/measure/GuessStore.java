package penmirror.web.measure;

import static penmirror.web.storage.generated.Tables.GUESS;
import static penmirror.web.storage.generated.Tables.WORK;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** Keeps guesses with what was read, so that their errors can be trained on later. */
@Repository
class GuessStore {
  private final DSLContext database;
  private final Clock clock;

  GuessStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /**
   * @param guessed in the measure's unit
   */
  record Guess(String measure, double guessed, double read) {
    double error() {
      return guessed - read;
    }
  }

  void keep(long workId, Guess guess) {
    database
        .insertInto(GUESS)
        .set(GUESS.WORK_ID, workId)
        .set(GUESS.MEASURE, guess.measure())
        .set(GUESS.GUESSED, guess.guessed())
        .set(GUESS.READ_VALUE, guess.read())
        .set(GUESS.GUESSED_AT, OffsetDateTime.now(clock))
        .execute();
  }

  /** Of all pictures of a study, oldest first. */
  List<Guess> ofStudy(long studyId) {
    return database
        .select(GUESS.MEASURE, GUESS.GUESSED, GUESS.READ_VALUE)
        .from(GUESS)
        .join(WORK)
        .on(WORK.ID.eq(GUESS.WORK_ID))
        .where(WORK.STUDY_ID.eq(studyId))
        .orderBy(GUESS.ID)
        .fetch(row -> new Guess(row.value1(), row.value2(), row.value3()));
  }
}
