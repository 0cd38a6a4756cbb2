package penmirror.web.draw;

import static penmirror.web.storage.generated.Tables.DRAW_NOTE;
import static penmirror.web.storage.generated.Tables.SITTING;
import static penmirror.web.storage.generated.Tables.SITTING_TICK;
import static penmirror.web.storage.generated.Tables.STUDY;

import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import penmirror.core.coverage.Part;
import penmirror.core.style.DrawingStage;

/** Keeps drawings from their first line on, their ticks, and notes. */
@Repository
class SittingStore {
  private final DSLContext database;
  private final Clock clock;

  SittingStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** One drawing: what is drawn at the moment. */
  record Sitting(long id, OffsetDateTime begunAt, DrawingStage stage, Part part) {}

  /**
   * @param sentAs its own name
   * @param stage in which it comes back; empty for one that asks for nothing
   */
  record Note(String sentAs, Optional<DrawingStage> stage, String text, boolean done) {}

  /** The newest drawing; begun when there is none. */
  Sitting newest(long studyId) {
    return find(studyId).orElseGet(() -> beginIfNone(studyId));
  }

  private Optional<Sitting> find(long studyId) {
    return database
        .selectFrom(SITTING)
        .where(SITTING.STUDY_ID.eq(studyId))
        .orderBy(SITTING.ID.desc())
        .limit(1)
        .fetchOptional(
            row ->
                new Sitting(
                    row.getId(),
                    row.getBegunAt(),
                    DrawingStage.ofWord(row.getStage()).orElse(DrawingStage.SKETCH),
                    Part.ofWord(row.getPart()).orElse(Part.EYES)));
  }

  /** Two windows that are first at the same time begin one drawing. */
  private Sitting beginIfNone(long studyId) {
    hold(studyId);
    return find(studyId).orElseGet(() -> begin(studyId));
  }

  Sitting begin(long studyId) {
    OffsetDateTime now = OffsetDateTime.now(clock);
    long id =
        database
            .insertInto(SITTING)
            .set(SITTING.STUDY_ID, studyId)
            .set(SITTING.BEGUN_AT, now)
            .set(SITTING.STAGE, DrawingStage.SKETCH.word())
            .set(SITTING.PART, Part.EYES.word())
            .returning(SITTING.ID)
            .fetchSingle(SITTING.ID);
    return new Sitting(id, now, DrawingStage.SKETCH, Part.EYES);
  }

  private void hold(long studyId) {
    database.select(STUDY.ID).from(STUDY).where(STUDY.ID.eq(studyId)).forUpdate().fetch();
  }

  void atHand(long sittingId, DrawingStage stage, Part part) {
    database
        .update(SITTING)
        .set(SITTING.STAGE, stage.word())
        .set(SITTING.PART, part.word())
        .where(SITTING.ID.eq(sittingId))
        .execute();
  }

  Set<String> ticked(long sittingId) {
    return database
        .select(SITTING_TICK.KEY)
        .from(SITTING_TICK)
        .where(SITTING_TICK.SITTING_ID.eq(sittingId), SITTING_TICK.TICKED.isTrue())
        .fetchSet(SITTING_TICK.KEY);
  }

  /** What a hand did later stands, in whatever order it comes in. */
  void tick(long sittingId, String key, boolean ticked, Instant at) {
    OffsetDateTime when = at.atOffset(ZoneOffset.UTC);
    database
        .insertInto(SITTING_TICK)
        .set(SITTING_TICK.SITTING_ID, sittingId)
        .set(SITTING_TICK.KEY, key)
        .set(SITTING_TICK.TICKED, ticked)
        .set(SITTING_TICK.TICKED_AT, when)
        .onConflict(SITTING_TICK.SITTING_ID, SITTING_TICK.KEY)
        .doUpdate()
        .set(SITTING_TICK.TICKED, ticked)
        .set(SITTING_TICK.TICKED_AT, when)
        .where(SITTING_TICK.TICKED_AT.le(when))
        .execute();
  }

  /** Those not done, and what was put off and done during this drawing; oldest first. */
  List<Note> notes(long studyId, Sitting sitting) {
    return database
        .selectFrom(DRAW_NOTE)
        .where(DRAW_NOTE.STUDY_ID.eq(studyId))
        .and(
            DRAW_NOTE
                .DONE_AT
                .isNull()
                .or(DRAW_NOTE.STAGE.isNotNull().and(DRAW_NOTE.DONE_AT.ge(sitting.begunAt()))))
        .orderBy(DRAW_NOTE.ID)
        .fetch(
            row ->
                new Note(
                    row.getSentAs(),
                    Optional.ofNullable(row.getStage()).flatMap(DrawingStage::ofWord),
                    row.getText(),
                    row.getDoneAt() != null));
  }

  /** What is sent twice is one note. */
  void write(long studyId, String sentAs, Optional<DrawingStage> stage, String text) {
    database
        .insertInto(DRAW_NOTE)
        .set(DRAW_NOTE.STUDY_ID, studyId)
        .set(DRAW_NOTE.SENT_AS, sentAs)
        .set(DRAW_NOTE.STAGE, stage.map(DrawingStage::word).orElse(null))
        .set(DRAW_NOTE.TEXT, text)
        .set(DRAW_NOTE.WRITTEN_AT, OffsetDateTime.now(clock))
        .onConflict(DRAW_NOTE.STUDY_ID, DRAW_NOTE.SENT_AS)
        .doNothing()
        .execute();
  }

  void finish(long studyId, String sentAs, boolean done) {
    database
        .update(DRAW_NOTE)
        .set(DRAW_NOTE.DONE_AT, done ? OffsetDateTime.now(clock) : null)
        .where(DRAW_NOTE.STUDY_ID.eq(studyId), DRAW_NOTE.SENT_AS.eq(sentAs))
        .execute();
  }
}
