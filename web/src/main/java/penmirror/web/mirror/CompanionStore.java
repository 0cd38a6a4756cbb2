package penmirror.web.mirror;

import static penmirror.web.storage.generated.Tables.COMPANION;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import penmirror.core.planning.Companion.Stand;

/** Keeps where figures stand that were set into pictures of works. */
@Repository
class CompanionStore {
  private final DSLContext database;
  private final Clock clock;

  CompanionStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** The picture in which a redraw was stood last. */
  Optional<Long> lastScene(long redrawId) {
    return database
        .select(COMPANION.SCENE_ID)
        .from(COMPANION)
        .where(COMPANION.REDRAW_ID.eq(redrawId))
        .orderBy(COMPANION.STOOD_AT.desc())
        .limit(1)
        .fetchOptional(COMPANION.SCENE_ID);
  }

  /** By the figure's work, that which was moved last first. */
  Map<Long, Stand> stands(long redrawId, long sceneId) {
    Map<Long, Stand> stands = new LinkedHashMap<>();
    database
        .selectFrom(COMPANION)
        .where(COMPANION.REDRAW_ID.eq(redrawId), COMPANION.SCENE_ID.eq(sceneId))
        .orderBy(COMPANION.STOOD_AT.desc())
        .forEach(
            row ->
                stands.put(
                    row.getFigureId(),
                    new Stand(
                        row.getX(),
                        row.getGround(),
                        row.getScale(),
                        row.getMirrored(),
                        row.getBehind())));
    return stands;
  }

  void stand(long redrawId, long sceneId, long figureId, Stand stand) {
    database
        .insertInto(COMPANION)
        .set(COMPANION.REDRAW_ID, redrawId)
        .set(COMPANION.SCENE_ID, sceneId)
        .set(COMPANION.FIGURE_ID, figureId)
        .set(COMPANION.X, stand.x())
        .set(COMPANION.GROUND, stand.ground())
        .set(COMPANION.SCALE, stand.scale())
        .set(COMPANION.MIRRORED, stand.mirrored())
        .set(COMPANION.BEHIND, stand.behind())
        .set(COMPANION.STOOD_AT, OffsetDateTime.now(clock))
        .onConflict(COMPANION.REDRAW_ID, COMPANION.SCENE_ID, COMPANION.FIGURE_ID)
        .doUpdate()
        .setAllToExcluded()
        .execute();
  }

  void forget(long redrawId, long sceneId, long figureId) {
    database
        .deleteFrom(COMPANION)
        .where(
            COMPANION.REDRAW_ID.eq(redrawId),
            COMPANION.SCENE_ID.eq(sceneId),
            COMPANION.FIGURE_ID.eq(figureId))
        .execute();
  }
}
