package penmirror.web.look;

import static penmirror.web.storage.generated.Tables.DRAWN_NOTE;
import static penmirror.web.storage.generated.Tables.PICK;
import static penmirror.web.storage.generated.Tables.WORK;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.springframework.stereotype.Repository;

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

  void pick(long workId, String part, Box box, boolean mirrored) {
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

  /** The newest notes as JSON; an empty list before any were drawn. */
  String notes(long workId) {
    return Optional.ofNullable(
            database
                .select(DRAWN_NOTE.SHAPES)
                .from(DRAWN_NOTE)
                .where(DRAWN_NOTE.WORK_ID.eq(workId))
                .orderBy(DRAWN_NOTE.VERSION.desc())
                .limit(1)
                .fetchOne(DRAWN_NOTE.SHAPES))
        .map(JSONB::data)
        .orElse("[]");
  }

  /** Every save is a row of its own: nothing drawn is ever lost. */
  void keepNotes(long workId, String shapes) {
    int version = database.fetchCount(DRAWN_NOTE, DRAWN_NOTE.WORK_ID.eq(workId)) + 1;
    database
        .insertInto(DRAWN_NOTE)
        .set(DRAWN_NOTE.WORK_ID, workId)
        .set(DRAWN_NOTE.VERSION, version)
        .set(DRAWN_NOTE.SHAPES, JSONB.valueOf(shapes))
        .set(DRAWN_NOTE.SAVED_AT, OffsetDateTime.now(clock))
        .execute();
  }

  void noteFraming(long workId, long framedFrom) {
    database.update(WORK).set(WORK.FRAMED_FROM, framedFrom).where(WORK.ID.eq(workId)).execute();
  }
}
