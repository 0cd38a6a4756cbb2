package penmirror.web.sheets;

import static penmirror.web.storage.generated.Tables.SAYING;

import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import org.jooq.DSLContext;
import org.jooq.InsertSetMoreStep;
import org.springframework.stereotype.Repository;
import penmirror.core.act.Act;
import penmirror.core.measure.Measure;
import penmirror.core.measure.proportion.FreePair;
import penmirror.core.style.Said.Band;
import penmirror.web.storage.generated.tables.records.SayingRecord;

/** Keeps what the user said over the rules, in the order in which it was said. */
@Repository
public class SayingStore {
  private final DSLContext database;
  private final Clock clock;

  SayingStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** What was said. */
  public enum Kind {
    /** Where a rule lies. */
    BAND,
    /** The works decide again. */
    AS_WORKS,
    LEAVE_OUT,
    TAKE_BACK,
    /** An act in the user's own sentence; the sheet's again where it is empty. */
    WORDS,
    /** A ratio of the user's own. */
    PAIR,
    NO_PAIR;

    String word() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /**
   * @param about a measure's key, or an act's for words
   * @param low of a band, in the measure's unit; 0 for the others
   * @param work that is left out or taken back; empty for the others
   * @param text the reason why a work is left out, or an act's words
   */
  public record Entry(
      long id,
      Kind kind,
      String about,
      double low,
      double high,
      OptionalLong work,
      String text,
      Instant saidAt) {}

  /** The oldest first. */
  List<Entry> of(long studyId) {
    return database
        .selectFrom(SAYING)
        .where(SAYING.STUDY_ID.eq(studyId))
        .orderBy(SAYING.ID)
        .fetch(
            row ->
                new Entry(
                    row.getId(),
                    Kind.valueOf(row.getKind().toUpperCase(Locale.ROOT).replace('-', '_')),
                    row.getAbout(),
                    row.getLow() == null ? 0 : row.getLow(),
                    row.getHigh() == null ? 0 : row.getHigh(),
                    row.getWorkId() == null
                        ? OptionalLong.empty()
                        : OptionalLong.of(row.getWorkId()),
                    row.getText(),
                    row.getSaidAt().toInstant()));
  }

  public void band(long studyId, Band band) {
    say(studyId, Kind.BAND, band.measure().key())
        .set(SAYING.LOW, band.low())
        .set(SAYING.HIGH, band.high())
        .execute();
  }

  public void asWorks(long studyId, Measure measure) {
    say(studyId, Kind.AS_WORKS, measure.key()).execute();
  }

  public void leaveOut(long studyId, Measure measure, long workId, String reason) {
    say(studyId, Kind.LEAVE_OUT, measure.key())
        .set(SAYING.WORK_ID, workId)
        .set(SAYING.TEXT, reason)
        .execute();
  }

  public void takeBack(long studyId, Measure measure, long workId) {
    say(studyId, Kind.TAKE_BACK, measure.key()).set(SAYING.WORK_ID, workId).execute();
  }

  public void pair(long studyId, FreePair pair, boolean on) {
    say(studyId, on ? Kind.PAIR : Kind.NO_PAIR, pair.key()).execute();
  }

  public void words(long studyId, Act act, String words) {
    say(studyId, Kind.WORDS, act.key()).set(SAYING.TEXT, words).execute();
  }

  /** Lets go of the last thing said; empty where nothing was. */
  public Optional<String> undo(long studyId) {
    Optional<SayingRecord> last =
        database
            .selectFrom(SAYING)
            .where(SAYING.STUDY_ID.eq(studyId))
            .orderBy(SAYING.ID.desc())
            .limit(1)
            .forUpdate()
            .fetchOptional();
    last.ifPresent(SayingRecord::delete);
    return last.map(SayingRecord::getAbout);
  }

  private InsertSetMoreStep<SayingRecord> say(long studyId, Kind kind, String about) {
    return database
        .insertInto(SAYING)
        .set(SAYING.STUDY_ID, studyId)
        .set(SAYING.KIND, kind.word())
        .set(SAYING.ABOUT, about)
        .set(SAYING.SAID_AT, OffsetDateTime.ofInstant(clock.instant(), clock.getZone()));
  }
}
