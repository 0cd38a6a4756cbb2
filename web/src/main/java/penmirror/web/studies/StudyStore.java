package penmirror.web.studies;

import static penmirror.web.storage.generated.Tables.STUDY;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.springframework.stereotype.Repository;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.web.layout.NotFoundException;

/** Keeps studies. */
@Repository
public class StudyStore {
  /** The canvas a plan starts with, an upright page at print size. */
  private static final Canvas FIRST_CANVAS = new Canvas(2400, 3200);

  private final DSLContext database;
  private final Clock clock;

  StudyStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** Begins a study and returns its id. */
  public long begin(String name, String illustrator, String reason, String credit) {
    return database
        .insertInto(STUDY)
        .set(STUDY.NAME, name)
        .set(STUDY.ILLUSTRATOR, illustrator)
        .set(STUDY.REASON, reason)
        .set(STUDY.CREDIT, credit)
        .set(STUDY.CANVAS_WIDTH_PIXELS, FIRST_CANVAS.widthPixels())
        .set(STUDY.CANVAS_HEIGHT_PIXELS, FIRST_CANVAS.heightPixels())
        .set(STUDY.BEGUN_AT, OffsetDateTime.now(clock))
        .returning(STUDY.ID)
        .fetchSingle(STUDY.ID);
  }

  /** Oldest first. */
  public List<Study> all() {
    return database.selectFrom(STUDY).orderBy(STUDY.ID).fetch(StudyStore::study);
  }

  /**
   * @throws NotFoundException when there is no such study
   */
  public Study require(long id) {
    Optional<Study> study =
        database.selectFrom(STUDY).where(STUDY.ID.eq(id)).fetchOptional(StudyStore::study);
    return study.orElseThrow(() -> new NotFoundException("fault.study.unknown", id));
  }

  public void setCanvas(long id, Canvas canvas) {
    database
        .update(STUDY)
        .set(STUDY.CANVAS_WIDTH_PIXELS, canvas.widthPixels())
        .set(STUDY.CANVAS_HEIGHT_PIXELS, canvas.heightPixels())
        .where(STUDY.ID.eq(id))
        .execute();
  }

  private static Study study(Record row) {
    return new Study(
        row.get(STUDY.ID),
        row.get(STUDY.NAME),
        row.get(STUDY.ILLUSTRATOR),
        row.get(STUDY.REASON),
        row.get(STUDY.CREDIT),
        new Canvas(row.get(STUDY.CANVAS_WIDTH_PIXELS), row.get(STUDY.CANVAS_HEIGHT_PIXELS)),
        row.get(STUDY.BEGUN_AT).toInstant());
  }
}
