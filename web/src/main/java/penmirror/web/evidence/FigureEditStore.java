package penmirror.web.evidence;

import static penmirror.web.storage.generated.Tables.FIGURE_STROKE;
import static penmirror.web.storage.generated.Tables.WORK;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.OptionalInt;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.format.FigureEditsJson;
import penmirror.core.measure.FigureEdit;

/**
 * Keeps corrections by hand of what counts as figure in a work. Each save is a new version; none is
 * overwritten.
 */
@Repository
public class FigureEditStore {
  private final DSLContext database;
  private final Clock clock;

  FigureEditStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /**
   * The strokes as they stand.
   *
   * @param version 0 before any were drawn
   * @param edits in the order they were made
   * @param leftOut how many were kept that cannot be used
   */
  public record Strokes(int version, List<FigureEdit> edits, int leftOut) {
    static final Strokes NONE = new Strokes(0, List.of(), 0);
  }

  /** None where the figure was never corrected. */
  public List<FigureEdit> of(long workId) {
    return newest(workId).edits();
  }

  public Strokes newest(long workId) {
    return database
        .selectFrom(FIGURE_STROKE)
        .where(FIGURE_STROKE.WORK_ID.eq(workId))
        .orderBy(FIGURE_STROKE.VERSION.desc())
        .limit(1)
        .fetchOptional(
            row -> {
              FigureEditsJson.Kept kept = FigureEditsJson.kept(row.getEdits().data());
              return new Strokes(row.getVersion(), kept.edits(), kept.leftOut());
            })
        .orElse(Strokes.NONE);
  }

  /**
   * Saves strokes that were drawn from a given version. The newest strokes sent again are no
   * conflict: a page that never heard the answer may ask twice.
   *
   * @return the newest version, or empty when another save came in between: nothing is saved then
   */
  @Transactional
  public OptionalInt save(long workId, int madeFromVersion, List<FigureEdit> edits) {
    // Two saves on one work go one after the other.
    database.select(WORK.ID).from(WORK).where(WORK.ID.eq(workId)).forUpdate().fetch();
    Strokes newest = newest(workId);
    if (newest.version() != madeFromVersion) {
      return newest.edits().equals(edits) ? OptionalInt.of(newest.version()) : OptionalInt.empty();
    }
    database
        .insertInto(FIGURE_STROKE)
        .set(FIGURE_STROKE.WORK_ID, workId)
        .set(FIGURE_STROKE.VERSION, newest.version() + 1)
        .set(FIGURE_STROKE.EDITS, JSONB.valueOf(FigureEditsJson.write(edits)))
        .set(FIGURE_STROKE.SAVED_AT, OffsetDateTime.now(clock))
        .execute();
    return OptionalInt.of(newest.version() + 1);
  }
}
