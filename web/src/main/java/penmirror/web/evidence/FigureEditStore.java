package penmirror.web.evidence;

import static penmirror.web.storage.generated.Tables.FIGURE_EDIT;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.springframework.stereotype.Repository;
import penmirror.core.format.FigureEditsJson;
import penmirror.core.format.FormatException;
import penmirror.core.measure.FigureEdit;

/** Keeps corrections by hand of what counts as figure. They belong to the picture. */
@Repository
public class FigureEditStore {
  private final DSLContext database;
  private final Clock clock;

  FigureEditStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** In the order they were made; none where the figure was never corrected. */
  public List<FigureEdit> of(String pictureSha256) {
    return database
        .selectFrom(FIGURE_EDIT)
        .where(FIGURE_EDIT.PICTURE_SHA256.eq(pictureSha256))
        .fetchOptional(row -> edits(row.getEdits()))
        .orElse(List.of());
  }

  public void keep(String pictureSha256, List<FigureEdit> edits) {
    JSONB json = JSONB.valueOf(FigureEditsJson.write(edits));
    OffsetDateTime now = OffsetDateTime.now(clock);
    database
        .insertInto(FIGURE_EDIT)
        .set(FIGURE_EDIT.PICTURE_SHA256, pictureSha256)
        .set(FIGURE_EDIT.EDITS, json)
        .set(FIGURE_EDIT.CHANGED_AT, now)
        .onConflict(FIGURE_EDIT.PICTURE_SHA256)
        .doUpdate()
        .set(FIGURE_EDIT.EDITS, json)
        .set(FIGURE_EDIT.CHANGED_AT, now)
        .execute();
  }

  private static List<FigureEdit> edits(JSONB json) {
    try {
      return FigureEditsJson.read(json.data());
    } catch (FormatException e) {
      throw new IllegalStateException("Stored strokes cannot be read: " + e.getMessage(), e);
    }
  }
}
