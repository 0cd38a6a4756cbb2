package penmirror.web.evidence;

import static penmirror.web.storage.generated.Tables.MARKING;
import static penmirror.web.storage.generated.Tables.WORK;

import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Repository;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.format.MarksFile;

/** Keeps markings. Each save is a new version; none is overwritten. */
@Repository
public class MarkingStore {
  private final DSLContext database;
  private final Clock clock;

  MarkingStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /**
   * The newest marking of a work.
   *
   * @param version 0 when nothing was marked yet
   * @param leftOut keys of landmarks that were kept and cannot be used
   */
  public record Marking(
      int version, Marks marks, Optional<Instant> savedAt, List<String> leftOut) {}

  /** A saved version, as history lists it. */
  public record Saved(int version, Instant at, String by, int points) {}

  public Marking newest(long workId, View view) {
    return database
        .selectFrom(MARKING)
        .where(MARKING.WORK_ID.eq(workId))
        .orderBy(MARKING.VERSION.desc())
        .limit(1)
        .fetchOptional(
            row -> {
              MarksFile.Kept kept = kept(view, row.get(MARKING.LANDMARKS));
              return new Marking(
                  row.get(MARKING.VERSION),
                  kept.marks(),
                  Optional.of(row.get(MARKING.SAVED_AT).toInstant()),
                  kept.leftOut());
            })
        .orElse(new Marking(0, Marks.none(view), Optional.empty(), List.of()));
  }

  /** The newest landmarks of every work in a study that has any, by work. */
  public Map<Long, Marks> newestOf(long studyId) {
    return database
        .select(MARKING.WORK_ID, MARKING.LANDMARKS, WORK.VIEW)
        .distinctOn(MARKING.WORK_ID)
        .from(MARKING)
        .join(WORK)
        .on(WORK.ID.eq(MARKING.WORK_ID))
        .where(WORK.STUDY_ID.eq(studyId))
        .orderBy(MARKING.WORK_ID, MARKING.VERSION.desc())
        .fetchMap(
            MARKING.WORK_ID,
            row -> kept(View.ofWord(row.get(WORK.VIEW)), row.get(MARKING.LANDMARKS)).marks());
  }

  /**
   * Saves a marking that was made from a given version. The newest marking sent again is no
   * conflict: a page that never heard the answer may ask twice.
   *
   * @return the newest version, or empty when another save came in between: nothing is saved then
   */
  public Optional<Integer> save(long workId, int madeFromVersion, Marks marks) {
    return save(workId, madeFromVersion, marks, "");
  }

  /**
   * The same, with the name of who marked.
   *
   * @param by at most 100 characters; empty where nobody said
   */
  public Optional<Integer> save(long workId, int madeFromVersion, Marks marks, String by) {
    Marking newest = newest(workId, marks.view());
    if (newest.version() != madeFromVersion) {
      return newest.marks().equals(marks) ? Optional.of(newest.version()) : Optional.empty();
    }
    try {
      database
          .insertInto(MARKING)
          .set(MARKING.WORK_ID, workId)
          .set(MARKING.VERSION, newest.version() + 1)
          .set(MARKING.LANDMARKS, JSONB.valueOf(MarksFile.landmarksJson(marks)))
          .set(MARKING.SAVED_AT, OffsetDateTime.now(clock))
          .set(MARKING.MADE_BY, by)
          .execute();
      if (!marks.confirmed().isEmpty()) {
        lookedAt(workId);
      }
      return Optional.of(newest.version() + 1);
    } catch (DuplicateKeyException e) {
      return Optional.empty();
    }
  }

  /** Who places or confirms a point has looked at the work. */
  private void lookedAt(long workId) {
    database
        .update(WORK)
        .set(WORK.LOOKED_AT, OffsetDateTime.now(clock))
        .where(WORK.ID.eq(workId), WORK.LOOKED_AT.isNull())
        .execute();
  }

  /** The newest versions of a work's marking, newest first. */
  public List<Saved> history(long workId, int most) {
    return database
        .selectFrom(MARKING)
        .where(MARKING.WORK_ID.eq(workId))
        .orderBy(MARKING.VERSION.desc())
        .limit(most)
        .fetch(
            row ->
                new Saved(
                    row.getVersion(),
                    row.getSavedAt().toInstant(),
                    row.getMadeBy(),
                    kept(View.FRONT, row.getLandmarks()).marks().landmarks().size()));
  }

  /** One version; empty when there is none of that number. */
  public Optional<Marks> at(long workId, View view, int version) {
    return database
        .selectFrom(MARKING)
        .where(MARKING.WORK_ID.eq(workId), MARKING.VERSION.eq(version))
        .fetchOptional(row -> kept(view, row.getLandmarks()).marks());
  }

  static MarksFile.Kept kept(View view, JSONB landmarks) {
    return MarksFile.keptLandmarks(view, landmarks.data());
  }
}
