package penmirror.web.draw;

import static org.jooq.impl.DSL.sum;
import static penmirror.web.storage.generated.Tables.DRAW_STAGE;
import static penmirror.web.storage.generated.Tables.SITTING_TIME;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import penmirror.core.style.DrawingStage;
import penmirror.core.style.StageOrder;

/** Keeps in which order the stages of a drawing are done, and how long each took. */
@Repository
class HoursStore {
  private final DSLContext database;

  HoursStore(DSLContext database) {
    this.database = database;
  }

  /** Empty where the user has not changed it. */
  Optional<StageOrder> order(long studyId) {
    List<DrawingStage> stages = new ArrayList<>();
    Set<DrawingStage> leftOut = EnumSet.noneOf(DrawingStage.class);
    database
        .selectFrom(DRAW_STAGE)
        .where(DRAW_STAGE.STUDY_ID.eq(studyId))
        .orderBy(DRAW_STAGE.PLACE)
        .forEach(
            row ->
                DrawingStage.ofWord(row.getStage())
                    .ifPresent(
                        stage -> {
                          stages.add(stage);
                          if (row.getLeftOut()) {
                            leftOut.add(stage);
                          }
                        }));
    return stages.size() == DrawingStage.values().length
        ? Optional.of(new StageOrder(stages, leftOut))
        : Optional.empty();
  }

  void order(long studyId, StageOrder order) {
    database.deleteFrom(DRAW_STAGE).where(DRAW_STAGE.STUDY_ID.eq(studyId)).execute();
    for (int place = 0; place < order.stages().size(); place++) {
      DrawingStage stage = order.stages().get(place);
      database
          .insertInto(DRAW_STAGE)
          .set(DRAW_STAGE.STUDY_ID, studyId)
          .set(DRAW_STAGE.STAGE, stage.word())
          .set(DRAW_STAGE.PLACE, place)
          .set(DRAW_STAGE.LEFT_OUT, order.leftOut().contains(stage))
          .execute();
    }
  }

  /** Of one drawing, by stage; stages without any are absent. */
  Map<DrawingStage, Integer> minutes(long sittingId) {
    return minutes(SITTING_TIME.SITTING_ID.eq(sittingId));
  }

  /** Of every drawing of every study together. */
  Map<DrawingStage, Integer> minutesOfAll() {
    return minutes(DSL.noCondition());
  }

  private Map<DrawingStage, Integer> minutes(Condition which) {
    Map<DrawingStage, Integer> minutes = new EnumMap<>(DrawingStage.class);
    database
        .select(SITTING_TIME.STAGE, sum(SITTING_TIME.MINUTES))
        .from(SITTING_TIME)
        .where(which)
        .groupBy(SITTING_TIME.STAGE)
        .forEach(
            row ->
                DrawingStage.ofWord(row.value1())
                    .ifPresent(stage -> minutes.put(stage, row.value2().intValue())));
    return minutes;
  }

  /** How long one stage took in all; replaces what was said before. */
  void took(long sittingId, DrawingStage stage, int minutes) {
    database
        .insertInto(SITTING_TIME)
        .set(SITTING_TIME.SITTING_ID, sittingId)
        .set(SITTING_TIME.STAGE, stage.word())
        .set(SITTING_TIME.MINUTES, minutes)
        .onConflict(SITTING_TIME.SITTING_ID, SITTING_TIME.STAGE)
        .doUpdate()
        .set(SITTING_TIME.MINUTES, minutes)
        .execute();
  }
}
