package penmirror.web.plan;

import static penmirror.web.storage.generated.Tables.PLAN_COLOUR;
import static penmirror.web.storage.generated.Tables.PLAN_LEFT;
import static penmirror.web.storage.generated.Tables.PLAN_MUST_KEEP;
import static penmirror.web.storage.generated.Tables.PLAN_SETTING;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.springframework.stereotype.Repository;
import penmirror.core.colour.EncodedSrgb;

/** Keeps what the user said of a plan. */
@Repository
class PlanStore {
  private final DSLContext database;

  PlanStore(DSLContext database) {
    this.database = database;
  }

  /**
   * @param keepColoursPercent how much of the character's own colours stays, 0 to 100
   * @param layerOpacityPercent 1 to 100
   * @param pixelsPerInch of the canvas on paper
   * @param keepFigurePercent how much of the character's own shape stays, −40 to 100
   * @param anchorWork the work it is carried toward; empty for the middle of all
   */
  record Settings(
      int keepColoursPercent,
      int layerOpacityPercent,
      double pixelsPerInch,
      int keepFigurePercent,
      Optional<Long> anchorWork) {
    static final Settings FIRST = new Settings(100, 100, 300, 0, Optional.empty());
  }

  /**
   * @param hex typed by hand; empty for a colour found on the character
   * @param kept whether it stays as it is
   */
  record SaidColour(String name, Optional<EncodedSrgb> hex, boolean kept) {}

  Settings settings(long studyId) {
    return database
        .selectFrom(PLAN_SETTING)
        .where(PLAN_SETTING.STUDY_ID.eq(studyId))
        .fetchOptional(
            row ->
                new Settings(
                    row.getKeepColoursPercent(),
                    row.getLayerOpacityPercent(),
                    row.getPixelsPerInch(),
                    row.getKeepFigurePercent(),
                    Optional.ofNullable(row.getAnchorWorkId())))
        .orElse(Settings.FIRST);
  }

  void keepColours(long studyId, int percent) {
    set(studyId, PLAN_SETTING.KEEP_COLOURS_PERCENT, percent);
  }

  void layerOpacity(long studyId, int percent) {
    set(studyId, PLAN_SETTING.LAYER_OPACITY_PERCENT, percent);
  }

  void pixelsPerInch(long studyId, double pixels) {
    set(studyId, PLAN_SETTING.PIXELS_PER_INCH, pixels);
  }

  void keepFigure(long studyId, int percent) {
    set(studyId, PLAN_SETTING.KEEP_FIGURE_PERCENT, percent);
  }

  void toward(long studyId, Optional<Long> work) {
    database
        .insertInto(PLAN_SETTING)
        .set(PLAN_SETTING.STUDY_ID, studyId)
        .set(PLAN_SETTING.ANCHOR_WORK_ID, work.orElse(null))
        .onConflict(PLAN_SETTING.STUDY_ID)
        .doUpdate()
        .set(PLAN_SETTING.ANCHOR_WORK_ID, work.orElse(null))
        .execute();
  }

  /** What stays whatever the style does, in the user's words. */
  List<String> mustKeeps(long studyId) {
    return database
        .select(PLAN_MUST_KEEP.WORDS)
        .from(PLAN_MUST_KEEP)
        .where(PLAN_MUST_KEEP.STUDY_ID.eq(studyId))
        .orderBy(PLAN_MUST_KEEP.WORDS)
        .fetch(PLAN_MUST_KEEP.WORDS);
  }

  void mustKeep(long studyId, String words) {
    database
        .insertInto(PLAN_MUST_KEEP)
        .set(PLAN_MUST_KEEP.STUDY_ID, studyId)
        .set(PLAN_MUST_KEEP.WORDS, words)
        .onConflictDoNothing()
        .execute();
  }

  void needNotKeep(long studyId, String words) {
    database
        .deleteFrom(PLAN_MUST_KEEP)
        .where(PLAN_MUST_KEEP.STUDY_ID.eq(studyId), PLAN_MUST_KEEP.WORDS.eq(words))
        .execute();
  }

  /** Keys of the acts that stay as the character has them. */
  Set<String> left(long studyId) {
    return database
        .select(PLAN_LEFT.ACT)
        .from(PLAN_LEFT)
        .where(PLAN_LEFT.STUDY_ID.eq(studyId))
        .fetchSet(PLAN_LEFT.ACT);
  }

  void leave(long studyId, String act) {
    database
        .insertInto(PLAN_LEFT)
        .set(PLAN_LEFT.STUDY_ID, studyId)
        .set(PLAN_LEFT.ACT, act)
        .onConflictDoNothing()
        .execute();
  }

  void take(long studyId, String act) {
    database
        .deleteFrom(PLAN_LEFT)
        .where(PLAN_LEFT.STUDY_ID.eq(studyId), PLAN_LEFT.ACT.eq(act))
        .execute();
  }

  private <T> void set(long studyId, Field<T> field, T value) {
    database
        .insertInto(PLAN_SETTING)
        .set(PLAN_SETTING.STUDY_ID, studyId)
        .set(field, value)
        .onConflict(PLAN_SETTING.STUDY_ID)
        .doUpdate()
        .set(field, value)
        .execute();
  }

  /** By name. */
  List<SaidColour> colours(long studyId) {
    return database
        .selectFrom(PLAN_COLOUR)
        .where(PLAN_COLOUR.STUDY_ID.eq(studyId))
        .orderBy(PLAN_COLOUR.NAME)
        .fetch(
            row ->
                new SaidColour(
                    row.getName(),
                    Optional.ofNullable(row.getHex()).map(EncodedSrgb::fromHex),
                    row.getKept()));
  }

  void say(long studyId, SaidColour colour) {
    database
        .insertInto(PLAN_COLOUR)
        .set(PLAN_COLOUR.STUDY_ID, studyId)
        .set(PLAN_COLOUR.NAME, colour.name())
        .set(PLAN_COLOUR.HEX, colour.hex().map(EncodedSrgb::hex).orElse(null))
        .set(PLAN_COLOUR.KEPT, colour.kept())
        .onConflict(PLAN_COLOUR.STUDY_ID, PLAN_COLOUR.NAME)
        .doUpdate()
        .set(PLAN_COLOUR.HEX, colour.hex().map(EncodedSrgb::hex).orElse(null))
        .set(PLAN_COLOUR.KEPT, colour.kept())
        .execute();
  }

  void forget(long studyId, String name) {
    database
        .deleteFrom(PLAN_COLOUR)
        .where(PLAN_COLOUR.STUDY_ID.eq(studyId), PLAN_COLOUR.NAME.eq(name))
        .execute();
  }
}
