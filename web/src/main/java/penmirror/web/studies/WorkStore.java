package penmirror.web.studies;

import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.val;
import static penmirror.web.storage.generated.Tables.PICK;
import static penmirror.web.storage.generated.Tables.PICTURE;
import static penmirror.web.storage.generated.Tables.ROLE_COLOUR;
import static penmirror.web.storage.generated.Tables.STUDY;
import static penmirror.web.storage.generated.Tables.TICK;
import static penmirror.web.storage.generated.Tables.TOLD_APART;
import static penmirror.web.storage.generated.Tables.WORK;
import static penmirror.web.storage.generated.Tables.WORK_PART;
import static penmirror.web.storage.generated.Tables.WORK_TRAIT;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.Record2;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Mood;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.file.PictureReader.Profile;
import penmirror.core.raster.Fingerprint;
import penmirror.core.scoring.AttemptStage;
import penmirror.web.layout.NotFoundException;
import penmirror.web.studies.PictureStore.NewPicture;
import penmirror.web.studies.Work.Role;
import penmirror.web.studies.Work.Tags;

/** Keeps works and what was said of them. */
@Repository
public class WorkStore {
  /** Of a work that was never described. */
  private static final int FIRST_VERSION = 1;

  private final DSLContext database;
  private final PictureStore pictures;
  private final Clock clock;

  WorkStore(DSLContext database, PictureStore pictures, Clock clock) {
    this.database = database;
    this.pictures = pictures;
    this.clock = clock;
  }

  /**
   * A work that was asked for.
   *
   * @param isNew false if the study held the picture in that role already
   */
  public record Placed(Work work, boolean isNew) {}

  /**
   * Takes a picture into a study as the next of its role; file and work, or neither. The same
   * picture twice at once is one work.
   */
  @Transactional
  public Placed take(
      long studyId, NewPicture picture, Role role, String title, String credit, View view) {
    // Works of one study are numbered one after another.
    database.select(STUDY.ID).from(STUDY).where(STUDY.ID.eq(studyId)).forUpdate().fetch();
    Optional<Work> same = holding(studyId, role, picture.sha256());
    if (same.isPresent()) {
      return new Placed(same.get(), false);
    }
    pictures.keep(picture);
    long id =
        database
            .insertInto(WORK)
            .set(WORK.STUDY_ID, studyId)
            .set(WORK.PICTURE_SHA256, picture.sha256())
            .set(WORK.ROLE, role.word())
            .set(WORK.NUMBER, nextNumber(studyId, role))
            .set(WORK.TITLE, title)
            .set(WORK.CREDIT, credit)
            .set(WORK.VIEW, view.word())
            .set(WORK.TAKEN_IN_AT, OffsetDateTime.now(clock))
            .returning(WORK.ID)
            .fetchSingle(WORK.ID);
    return new Placed(require(studyId, id), true);
  }

  /** The work of that role that already holds this picture. */
  public Optional<Work> holding(long studyId, Role role, String sha256) {
    return fetch(
            WORK.STUDY_ID.eq(studyId), WORK.ROLE.eq(role.word()), WORK.PICTURE_SHA256.eq(sha256))
        .stream()
        .findFirst();
  }

  /** In the order they were numbered. */
  public List<Work> inRole(long studyId, Role role) {
    return fetch(WORK.STUDY_ID.eq(studyId), WORK.ROLE.eq(role.word()));
  }

  /** Of every role, each in the order they were numbered. */
  public List<Work> all(long studyId) {
    return fetch(WORK.STUDY_ID.eq(studyId));
  }

  /**
   * @throws NotFoundException when the study has no such work
   */
  public Work require(long studyId, long id) {
    return fetch(WORK.STUDY_ID.eq(studyId), WORK.ID.eq(id)).stream()
        .findFirst()
        .orElseThrow(() -> new NotFoundException("fault.work.unknown", id));
  }

  public void describe(long id, String title, String credit, View view) {
    database
        .update(WORK)
        .set(WORK.TITLE, title)
        .set(WORK.CREDIT, credit)
        .set(WORK.VIEW, view.word())
        .set(WORK.VERSION, WORK.VERSION.plus(1))
        .where(WORK.ID.eq(id))
        .execute();
  }

  /** Gives a work its credit line, and says nothing else of it. */
  public void give(long id, String credit) {
    database.update(WORK).set(WORK.CREDIT, credit).where(WORK.ID.eq(id)).execute();
  }

  /**
   * Holds a work until the transaction ends, so that what is decided by what it is now stays true.
   *
   * @throws NotFoundException when the study has no such work
   */
  @Transactional
  public Work hold(long studyId, long id) {
    database.select(WORK.ID).from(WORK).where(WORK.ID.eq(id)).forUpdate().fetch();
    return require(studyId, id);
  }

  /**
   * The same picture with all that was said, ticked and picked, in another study; its marks not.
   */
  @Transactional
  public long copyInto(long studyId, Work work) {
    long id =
        database
            .insertInto(WORK)
            .set(WORK.STUDY_ID, studyId)
            .set(WORK.PICTURE_SHA256, work.pictureSha256())
            .set(WORK.ROLE, work.role().word())
            .set(WORK.NUMBER, nextNumber(studyId, work.role()))
            .set(WORK.TITLE, work.title())
            .set(WORK.CREDIT, work.credit())
            .set(WORK.VIEW, work.view().word())
            .set(WORK.TAKEN_IN_AT, OffsetDateTime.now(clock))
            .set(WORK.LOOKED_AT, work.lookedAt() ? OffsetDateTime.now(clock) : null)
            .returning(WORK.ID)
            .fetchSingle(WORK.ID);
    tag(id, work.tags());
    sayParts(id, saidParts(work.id()));
    copySaid(work.id(), id);
    return id;
  }

  /** What figures are like, ticks, picks and the colours of roles. */
  private void copySaid(long from, long to) {
    database
        .insertInto(WORK_TRAIT, WORK_TRAIT.WORK_ID, WORK_TRAIT.TRAIT, WORK_TRAIT.VALUE)
        .select(
            database
                .select(val(to), WORK_TRAIT.TRAIT, WORK_TRAIT.VALUE)
                .from(WORK_TRAIT)
                .where(WORK_TRAIT.WORK_ID.eq(from)))
        .execute();
    database
        .insertInto(TICK, TICK.WORK_ID, TICK.STATEMENT_KEY, TICK.ANSWER)
        .select(
            database
                .select(val(to), TICK.STATEMENT_KEY, TICK.ANSWER)
                .from(TICK)
                .where(TICK.WORK_ID.eq(from)))
        .execute();
    database
        .insertInto(
            PICK, PICK.WORK_ID, PICK.PART, PICK.X, PICK.Y, PICK.WIDTH, PICK.HEIGHT, PICK.MIRRORED)
        .select(
            database
                .select(val(to), PICK.PART, PICK.X, PICK.Y, PICK.WIDTH, PICK.HEIGHT, PICK.MIRRORED)
                .from(PICK)
                .where(PICK.WORK_ID.eq(from))
                .orderBy(PICK.ID))
        .execute();
    database
        .insertInto(
            ROLE_COLOUR,
            ROLE_COLOUR.WORK_ID,
            ROLE_COLOUR.ROLE,
            ROLE_COLOUR.TONE,
            ROLE_COLOUR.HEX,
            ROLE_COLOUR.X,
            ROLE_COLOUR.Y)
        .select(
            database
                .select(
                    val(to),
                    ROLE_COLOUR.ROLE,
                    ROLE_COLOUR.TONE,
                    ROLE_COLOUR.HEX,
                    ROLE_COLOUR.X,
                    ROLE_COLOUR.Y)
                .from(ROLE_COLOUR)
                .where(ROLE_COLOUR.WORK_ID.eq(from)))
        .execute();
  }

  /** Sets everything the user said of a work but its parts. */
  public void tag(long id, Tags tags) {
    database
        .update(WORK)
        .set(WORK.FRAMING, word(tags.framing()))
        .set(WORK.TURN, word(tags.turn()))
        .set(WORK.KIND, word(tags.kind()))
        .set(WORK.MOOD, word(tags.mood()))
        .set(WORK.STAGE, word(tags.stage()))
        .set(WORK.PERIOD, tags.period())
        .set(WORK.MANNER, tags.manner())
        .set(WORK.LIKENESS, tags.likeness())
        .set(WORK.WEIGHT, tags.weight())
        .set(WORK.NOTES, tags.notes())
        .set(
            WORK.LIGHT_DEGREES,
            tags.lightDegrees().isPresent() ? tags.lightDegrees().getAsInt() : null)
        .where(WORK.ID.eq(id))
        .execute();
  }

  /** Somebody said that what is known of a work is right; said again, the first time stands. */
  public void lookAt(long id) {
    database
        .update(WORK)
        .set(WORK.LOOKED_AT, OffsetDateTime.now(clock))
        .where(WORK.ID.eq(id), WORK.LOOKED_AT.isNull())
        .execute();
  }

  /**
   * What is thought at first sight stands until somebody says otherwise: it changes nothing of a
   * work that was described or looked at.
   */
  public void think(long id, View view, Optional<Framing> framing, Optional<Turn> turn) {
    database
        .update(WORK)
        .set(WORK.VIEW, view.word())
        .set(WORK.FRAMING, word(framing))
        .set(WORK.TURN, word(turn))
        .where(WORK.ID.eq(id), WORK.LOOKED_AT.isNull(), WORK.VERSION.eq(FIRST_VERSION))
        .execute();
  }

  public void leaveOut(long id, boolean leftOut) {
    database.update(WORK).set(WORK.LEFT_OUT, leftOut).where(WORK.ID.eq(id)).execute();
  }

  /**
   * Gives a work another role, as the next of it.
   *
   * @return false if the study holds the picture in that role already
   */
  @Transactional
  public boolean giveRole(Work work, Role role) {
    database.select(STUDY.ID).from(STUDY).where(STUDY.ID.eq(work.studyId())).forUpdate().fetch();
    if (work.role() == role) {
      return true;
    }
    if (holding(work.studyId(), role, work.pictureSha256()).isPresent()) {
      return false;
    }
    database
        .update(WORK)
        .set(WORK.ROLE, role.word())
        .set(WORK.NUMBER, nextNumber(work.studyId(), role))
        .where(WORK.ID.eq(work.id()))
        .execute();
    return true;
  }

  /** What the user said a work shows or does not show, against what its framing tells. */
  public Map<String, Boolean> saidParts(long id) {
    return database
        .select(WORK_PART.PART, WORK_PART.SHOWN)
        .from(WORK_PART)
        .where(WORK_PART.WORK_ID.eq(id))
        .fetchMap(WORK_PART.PART, WORK_PART.SHOWN);
  }

  /** The same of every work in a study where anything was said. */
  public Map<Long, Map<String, Boolean>> saidPartsOf(long studyId) {
    Map<Long, Map<String, Boolean>> said = new HashMap<>();
    database
        .select(WORK_PART.WORK_ID, WORK_PART.PART, WORK_PART.SHOWN)
        .from(WORK_PART)
        .join(WORK)
        .on(WORK.ID.eq(WORK_PART.WORK_ID))
        .where(WORK.STUDY_ID.eq(studyId))
        .forEach(
            row ->
                said.computeIfAbsent(row.value1(), id -> new HashMap<>())
                    .put(row.value2(), row.value3()));
    return said;
  }

  @Transactional
  public void sayParts(long id, Map<String, Boolean> parts) {
    database.deleteFrom(WORK_PART).where(WORK_PART.WORK_ID.eq(id)).execute();
    parts.forEach(
        (part, shown) ->
            database
                .insertInto(WORK_PART)
                .set(WORK_PART.WORK_ID, id)
                .set(WORK_PART.PART, part)
                .set(WORK_PART.SHOWN, shown)
                .execute());
  }

  /** The fingerprints of a study's works; empty where a picture came before there were any. */
  public Map<Long, Fingerprint> fingerprints(long studyId) {
    return database
        .select(WORK.ID, PICTURE.FINGERPRINT)
        .from(WORK)
        .join(PICTURE)
        .on(PICTURE.SHA256.eq(WORK.PICTURE_SHA256))
        .where(WORK.STUDY_ID.eq(studyId), PICTURE.FINGERPRINT.isNotNull())
        .fetchMap(Record2::value1, row -> Fingerprint.ofBytes(row.value2()));
  }

  /** Works framed in this one, and the one this was framed in. */
  public List<Long> framedTogether(long workId) {
    List<Long> related =
        new ArrayList<>(
            database
                .select(WORK.ID)
                .from(WORK)
                .where(WORK.FRAMED_FROM.eq(workId))
                .orderBy(WORK.ID)
                .fetch(WORK.ID));
    database
        .select(WORK.FRAMED_FROM)
        .from(WORK)
        .where(WORK.ID.eq(workId), WORK.FRAMED_FROM.isNotNull())
        .fetchOptional(WORK.FRAMED_FROM)
        .ifPresent(related::add);
    return related;
  }

  /** Notes that two works look alike and are both wanted. */
  public void tellApart(long one, long other) {
    database
        .insertInto(TOLD_APART)
        .set(TOLD_APART.FIRST_WORK_ID, Math.min(one, other))
        .set(TOLD_APART.SECOND_WORK_ID, Math.max(one, other))
        .onConflictDoNothing()
        .execute();
  }

  /** Pairs of a study's works that look alike and are both wanted. */
  public Set<Set<Long>> toldApart(long studyId) {
    return database
        .select(TOLD_APART.FIRST_WORK_ID, TOLD_APART.SECOND_WORK_ID)
        .from(TOLD_APART)
        .join(WORK)
        .on(WORK.ID.eq(TOLD_APART.FIRST_WORK_ID))
        .where(WORK.STUDY_ID.eq(studyId))
        .fetchSet(row -> Set.of(row.value1(), row.value2()));
  }

  /** Works of one role in one study count from 1. */
  private int nextNumber(long studyId, Role role) {
    return 1
        + database
            .select(coalesce(max(WORK.NUMBER), 0))
            .from(WORK)
            .where(WORK.STUDY_ID.eq(studyId), WORK.ROLE.eq(role.word()))
            .fetchSingle()
            .value1();
  }

  private List<Work> fetch(Condition... conditions) {
    return database
        .select(WORK.fields())
        .select(PICTURE.WIDTH_PIXELS, PICTURE.HEIGHT_PIXELS, PICTURE.PROFILE)
        .from(WORK)
        .join(PICTURE)
        .on(PICTURE.SHA256.eq(WORK.PICTURE_SHA256))
        .where(conditions)
        .orderBy(WORK.NUMBER)
        .fetch(WorkStore::work);
  }

  private static Work work(Record row) {
    return new Work(
        row.get(WORK.ID),
        row.get(WORK.STUDY_ID),
        row.get(WORK.PICTURE_SHA256),
        Role.valueOf(row.get(WORK.ROLE).toUpperCase(Locale.ROOT)),
        row.get(WORK.NUMBER),
        row.get(WORK.TITLE),
        row.get(WORK.CREDIT),
        View.ofWord(row.get(WORK.VIEW)),
        row.get(PICTURE.WIDTH_PIXELS),
        row.get(PICTURE.HEIGHT_PIXELS),
        tags(row),
        row.get(WORK.LEFT_OUT),
        Profile.valueOf(row.get(PICTURE.PROFILE).toUpperCase(Locale.ROOT)),
        row.get(WORK.VERSION),
        row.get(WORK.LOOKED_AT) != null);
  }

  private static Tags tags(Record row) {
    Integer light = row.get(WORK.LIGHT_DEGREES);
    return new Tags(
        ofWord(Framing.class, row.get(WORK.FRAMING)),
        ofWord(Turn.class, row.get(WORK.TURN)),
        ofWord(Kind.class, row.get(WORK.KIND)),
        ofWord(Mood.class, row.get(WORK.MOOD)),
        ofWord(AttemptStage.class, row.get(WORK.STAGE)),
        row.get(WORK.PERIOD),
        row.get(WORK.MANNER),
        row.get(WORK.LIKENESS),
        row.get(WORK.WEIGHT),
        row.get(WORK.NOTES),
        light == null ? OptionalInt.empty() : OptionalInt.of(light));
  }

  private static <E extends Enum<E>> Optional<E> ofWord(Class<E> type, @Nullable String word) {
    return word == null
        ? Optional.empty()
        : Optional.of(Enum.valueOf(type, word.toUpperCase(Locale.ROOT)));
  }

  private static @Nullable String word(Optional<? extends Enum<?>> value) {
    return value.map(v -> v.name().toLowerCase(Locale.ROOT)).orElse(null);
  }
}
