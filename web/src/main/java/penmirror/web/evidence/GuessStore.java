package penmirror.web.evidence;

import static penmirror.web.storage.generated.Tables.GUESS;
import static penmirror.web.storage.generated.Tables.WORK;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.scoring.Guess;

/** Keeps what was judged by eye, on the bench or in a drill, with what was read. */
@Repository
public class GuessStore {
  private final DSLContext database;
  private final Clock clock;

  GuessStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** A guess and the work it is about. */
  public record Kept(long workId, Guess guess) {}

  public void keep(long workId, Guess guess) {
    database
        .insertInto(GUESS)
        .set(GUESS.WORK_ID, workId)
        .set(GUESS.MEASURE, guess.measure().key())
        .set(GUESS.GUESSED, guess.said())
        .set(GUESS.READ_VALUE, guess.is())
        .set(GUESS.GUESSED_AT, OffsetDateTime.now(clock))
        .execute();
  }

  /** Of all pictures of a study, newest first; of measures that there are no more, none. */
  public List<Kept> newest(long studyId, int most) {
    return database
        .select(GUESS.WORK_ID, GUESS.MEASURE, GUESS.GUESSED, GUESS.READ_VALUE)
        .from(GUESS)
        .join(WORK)
        .on(WORK.ID.eq(GUESS.WORK_ID))
        .where(WORK.STUDY_ID.eq(studyId))
        .orderBy(GUESS.ID.desc())
        .limit(most)
        .stream()
        .flatMap(
            row ->
                MeasureCatalogue.byKey(row.value2()).stream()
                    .map(
                        measure ->
                            new Kept(row.value1(), new Guess(measure, row.value3(), row.value4()))))
        .toList();
  }

  /** How many there are of all pictures of a study. */
  public int count(long studyId) {
    return database.fetchCount(
        database
            .selectOne()
            .from(GUESS)
            .join(WORK)
            .on(WORK.ID.eq(GUESS.WORK_ID))
            .where(WORK.STUDY_ID.eq(studyId)));
  }
}
