package penmirror.web.look;

import static penmirror.web.storage.generated.Tables.DRAWN_NOTE;
import static penmirror.web.storage.generated.Tables.PICK;
import static penmirror.web.storage.generated.Tables.WORK;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.OptionalInt;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Keeps picks and drawn notes. */
@Repository
class LookStore {
  private final DSLContext database;
  private final Clock clock;

  LookStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** A part of a picture, in its pixels. */
  record Box(double x, double y, double width, double height) {}

  /**
   * A box to look at while drawing a part.
   *
   * @param mirrored whether it is looked at in a mirror
   */
  record Pick(long id, long workId, String part, Box box, boolean mirrored) {}

  List<Pick> picks(long studyId) {
    return database
        .select(PICK.fields())
        .from(PICK)
        .join(WORK)
        .on(WORK.ID.eq(PICK.WORK_ID))
        .where(WORK.STUDY_ID.eq(studyId))
        .orderBy(PICK.ID)
        .fetchInto(PICK)
        .map(
            row ->
                new Pick(
                    row.getId(),
                    row.getWorkId(),
                    row.getPart(),
                    new Box(row.getX(), row.getY(), row.getWidth(), row.getHeight()),
                    row.getMirrored()));
  }

  /** The same box for the same part is one pick, however often it is sent. */
  @Transactional
  public void pick(long workId, String part, Box box, boolean mirrored) {
    hold(workId);
    boolean isThere =
        database.fetchExists(
            PICK,
            PICK.WORK_ID
                .eq(workId)
                .and(PICK.PART.eq(part))
                .and(PICK.X.eq(box.x()))
                .and(PICK.Y.eq(box.y()))
                .and(PICK.WIDTH.eq(box.width()))
                .and(PICK.HEIGHT.eq(box.height())));
    if (isThere) {
      return;
    }
    database
        .insertInto(PICK)
        .set(PICK.WORK_ID, workId)
        .set(PICK.PART, part)
        .set(PICK.X, box.x())
        .set(PICK.Y, box.y())
        .set(PICK.WIDTH, box.width())
        .set(PICK.HEIGHT, box.height())
        .set(PICK.MIRRORED, mirrored)
        .execute();
  }

  void unpick(long studyId, long pickId) {
    database
        .deleteFrom(PICK)
        .where(
            PICK.ID.eq(pickId),
            PICK.WORK_ID.in(database.select(WORK.ID).from(WORK).where(WORK.STUDY_ID.eq(studyId))))
        .execute();
  }

  /**
   * Notes drawn over a work.
   *
   * @param version 0 before any were drawn
   * @param shapes as JSON
   */
  record Notes(int version, String shapes) {
    static final Notes NONE = new Notes(0, "[]");
  }

  /** The newest notes. */
  Notes notes(long workId) {
    return database
        .select(DRAWN_NOTE.VERSION, DRAWN_NOTE.SHAPES)
        .from(DRAWN_NOTE)
        .where(DRAWN_NOTE.WORK_ID.eq(workId))
        .orderBy(DRAWN_NOTE.VERSION.desc())
        .limit(1)
        .fetchOptional(row -> new Notes(row.value1(), row.value2().data()))
        .orElse(Notes.NONE);
  }

  /**
   * Every save is a row of its own: nothing drawn is ever lost.
   *
   * @return the newest version; empty when another save came in between: nothing is saved then
   */
  @Transactional
  public OptionalInt keepNotes(long workId, int madeFromVersion, String shapes) {
    hold(workId);
    Notes newest = notes(workId);
    if (newest.version() != madeFromVersion) {
      return DrawnNotes.areSame(newest.shapes(), shapes)
          ? OptionalInt.of(newest.version())
          : OptionalInt.empty();
    }
    database
        .insertInto(DRAWN_NOTE)
        .set(DRAWN_NOTE.WORK_ID, workId)
        .set(DRAWN_NOTE.VERSION, newest.version() + 1)
        .set(DRAWN_NOTE.SHAPES, JSONB.valueOf(shapes))
        .set(DRAWN_NOTE.SAVED_AT, OffsetDateTime.now(clock))
        .execute();
    return OptionalInt.of(newest.version() + 1);
  }

  /** Two saves on one work go one after the other. */
  private void hold(long workId) {
    database.select(WORK.ID).from(WORK).where(WORK.ID.eq(workId)).forUpdate().fetch();
  }

  void noteFraming(long workId, long framedFrom) {
    database.update(WORK).set(WORK.FRAMED_FROM, framedFrom).where(WORK.ID.eq(workId)).execute();
  }
}
