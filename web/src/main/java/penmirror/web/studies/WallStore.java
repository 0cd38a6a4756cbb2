package penmirror.web.studies;

import static penmirror.web.storage.generated.Tables.IMPROVISED;
import static penmirror.web.storage.generated.Tables.STUDY;
import static penmirror.web.storage.generated.Tables.WORK;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Keeps how a study's wall is arranged, its anchor, and the gaps that will be improvised. */
@Repository
public class WallStore {
  private final DSLContext database;

  WallStore(DSLContext database) {
    this.database = database;
  }

  /**
   * Where a work lies on the free wall.
   *
   * @param x of its left edge, pixels of the wall at full size
   * @param group works with one number move together; empty for one that moves alone
   */
  public record Place(double x, double y, double width, OptionalInt group) {}

  /**
   * A gap that is accepted. An empty view stands for every view, an empty part for a whole side.
   */
  public record Improvised(String part, String view, String note) {}

  public boolean isFree(long studyId) {
    return "free"
        .equals(
            database
                .select(STUDY.WALL)
                .from(STUDY)
                .where(STUDY.ID.eq(studyId))
                .fetchOne(STUDY.WALL));
  }

  public void arrange(long studyId, boolean free) {
    database
        .update(STUDY)
        .set(STUDY.WALL, free ? "free" : "rows")
        .where(STUDY.ID.eq(studyId))
        .execute();
  }

  /** Only works that were placed. */
  public Map<Long, Place> places(long studyId) {
    return database
        .select(WORK.ID, WORK.WALL_X, WORK.WALL_Y, WORK.WALL_WIDTH, WORK.WALL_GROUP)
        .from(WORK)
        .where(WORK.STUDY_ID.eq(studyId), WORK.WALL_X.isNotNull())
        .fetchMap(
            row -> row.value1(),
            row ->
                new Place(
                    row.value2(),
                    row.value3(),
                    row.value4(),
                    row.value5() == null ? OptionalInt.empty() : OptionalInt.of(row.value5())));
  }

  /** Works of other studies are passed over. */
  @Transactional
  public void place(long studyId, Map<Long, Place> places) {
    places.forEach(
        (work, place) ->
            database
                .update(WORK)
                .set(WORK.WALL_X, place.x())
                .set(WORK.WALL_Y, place.y())
                .set(WORK.WALL_WIDTH, place.width())
                .set(WORK.WALL_GROUP, place.group().isPresent() ? place.group().getAsInt() : null)
                .where(WORK.ID.eq(work), WORK.STUDY_ID.eq(studyId))
                .execute());
  }

  public Optional<Long> anchor(long studyId) {
    return database
        .select(STUDY.ANCHOR_WORK_ID)
        .from(STUDY)
        .where(STUDY.ID.eq(studyId))
        .fetchOptional(STUDY.ANCHOR_WORK_ID);
  }

  public void setAnchor(long studyId, Optional<Long> workId) {
    database
        .update(STUDY)
        .set(STUDY.ANCHOR_WORK_ID, workId.orElse(null))
        .where(STUDY.ID.eq(studyId))
        .execute();
  }

  public List<Improvised> improvised(long studyId) {
    return database
        .selectFrom(IMPROVISED)
        .where(IMPROVISED.STUDY_ID.eq(studyId))
        .orderBy(IMPROVISED.PART, IMPROVISED.VIEW)
        .fetch(row -> new Improvised(row.getPart(), row.getView(), row.getNote()));
  }

  public void improvise(long studyId, Improvised gap) {
    database
        .insertInto(IMPROVISED)
        .set(IMPROVISED.STUDY_ID, studyId)
        .set(IMPROVISED.PART, gap.part())
        .set(IMPROVISED.VIEW, gap.view())
        .set(IMPROVISED.NOTE, gap.note())
        .onConflict(IMPROVISED.STUDY_ID, IMPROVISED.PART, IMPROVISED.VIEW)
        .doUpdate()
        .set(IMPROVISED.NOTE, gap.note())
        .execute();
  }

  public void reopen(long studyId, String part, String view) {
    database
        .deleteFrom(IMPROVISED)
        .where(IMPROVISED.STUDY_ID.eq(studyId), IMPROVISED.PART.eq(part), IMPROVISED.VIEW.eq(view))
        .execute();
  }
}
