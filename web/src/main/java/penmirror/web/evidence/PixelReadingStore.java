package penmirror.web.evidence;

import static penmirror.web.storage.generated.Tables.PICTURE;
import static penmirror.web.storage.generated.Tables.PIXEL_READING;
import static penmirror.web.storage.generated.Tables.WORK;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.jooq.Record;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Repository;
import penmirror.core.format.FormatException;
import penmirror.core.format.PixelReadingsJson;
import penmirror.core.measure.PixelReader.Step;
import penmirror.core.measure.PixelReadings;

/** Keeps what pixels told, and how far the reading of each picture is. */
@Repository
public class PixelReadingStore {
  private static final Logger LOG = LoggerFactory.getLogger(PixelReadingStore.class);

  private static final Condition IS_UNDER_WAY =
      PIXEL_READING.STATE.in(State.WAITING.word(), State.READING.word());

  private final DSLContext database;
  private final Clock clock;

  PixelReadingStore(DSLContext database, Clock clock) {
    this.database = database;
    this.clock = clock;
  }

  /** How far the reading of a picture is. */
  public enum State {
    WAITING,
    READING,
    READ,
    STOPPED,
    FAILED;

    private String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * @param step the stretch of work it is in, while reading
   * @param message why it failed
   */
  public record Progress(
      State state, Optional<Step> step, Optional<PixelReadings> readings, String message) {

    /** Share of the work that is done, [0, 1]. */
    public double shareDone() {
      return switch (state) {
        case READ -> 1;
        case READING -> step.map(s -> (s.ordinal() + 0.5) / Step.values().length).orElse(0.0);
        default -> 0;
      };
    }

    public boolean isUnderWay() {
      return state == State.WAITING || state == State.READING;
    }
  }

  public static final Progress NOT_BEGUN =
      new Progress(State.WAITING, Optional.empty(), Optional.empty(), "");

  public Progress progress(String sha256) {
    return database
        .selectFrom(PIXEL_READING)
        .where(PIXEL_READING.PICTURE_SHA256.eq(sha256))
        .fetchOptional(PixelReadingStore::progress)
        .orElse(NOT_BEGUN);
  }

  /** Of every picture in a study that was asked to be read, by its hash. */
  public Map<String, Progress> progressOf(long studyId) {
    return database
        .selectFrom(PIXEL_READING)
        .where(
            PIXEL_READING.PICTURE_SHA256.in(
                database.select(WORK.PICTURE_SHA256).from(WORK).where(WORK.STUDY_ID.eq(studyId))))
        .fetchMap(PIXEL_READING.PICTURE_SHA256, PixelReadingStore::progress);
  }

  private static Progress progress(Record row) {
    return new Progress(
        State.valueOf(row.get(PIXEL_READING.STATE).toUpperCase(Locale.ROOT)),
        step(row.get(PIXEL_READING.STEP)),
        Optional.ofNullable(row.get(PIXEL_READING.READINGS)).flatMap(PixelReadingStore::readings),
        row.get(PIXEL_READING.MESSAGE));
  }

  /** True when the picture now waits to be read; false when it was read or is under way. */
  boolean await(String sha256, int algorithmVersion) {
    return database
            .insertInto(PIXEL_READING)
            .set(PIXEL_READING.PICTURE_SHA256, sha256)
            .set(PIXEL_READING.STATE, State.WAITING.word())
            .set(PIXEL_READING.STEP, "")
            .set(PIXEL_READING.ALGORITHM_VERSION, algorithmVersion)
            .set(PIXEL_READING.MESSAGE, "")
            .set(PIXEL_READING.CHANGED_AT, OffsetDateTime.now(clock))
            .onConflict(PIXEL_READING.PICTURE_SHA256)
            .doUpdate()
            .set(PIXEL_READING.STATE, State.WAITING.word())
            .set(PIXEL_READING.ALGORITHM_VERSION, algorithmVersion)
            .where(PIXEL_READING.ALGORITHM_VERSION.ne(algorithmVersion))
            .execute()
        > 0;
  }

  /** Lets a picture that has been read be read again; what it told stays until then. */
  void reopen(String sha256) {
    database
        .update(PIXEL_READING)
        .set(PIXEL_READING.STATE, State.READING.word())
        .where(PIXEL_READING.PICTURE_SHA256.eq(sha256), PIXEL_READING.STATE.eq(State.READ.word()))
        .execute();
  }

  void forget(String sha256) {
    database.deleteFrom(PIXEL_READING).where(PIXEL_READING.PICTURE_SHA256.eq(sha256)).execute();
  }

  /** Pictures whose readings were made by another version of the algorithm. */
  List<String> outdated(int algorithmVersion) {
    return database
        .select(PIXEL_READING.PICTURE_SHA256)
        .from(PIXEL_READING)
        .where(PIXEL_READING.ALGORITHM_VERSION.ne(algorithmVersion))
        .fetch(PIXEL_READING.PICTURE_SHA256);
  }

  /** Pictures that wait to be read, or were being read when the application ended. */
  List<String> underWay() {
    return database
        .select(PIXEL_READING.PICTURE_SHA256)
        .from(PIXEL_READING)
        .where(IS_UNDER_WAY)
        .fetch(PIXEL_READING.PICTURE_SHA256);
  }

  boolean isUnderWay(String sha256) {
    return database.fetchExists(
        PIXEL_READING, PIXEL_READING.PICTURE_SHA256.eq(sha256).and(IS_UNDER_WAY));
  }

  /** False when the reading was stopped meanwhile. */
  boolean beginStep(String sha256, Step step) {
    return database
            .update(PIXEL_READING)
            .set(PIXEL_READING.STATE, State.READING.word())
            .set(PIXEL_READING.STEP, step.name())
            .set(PIXEL_READING.CHANGED_AT, OffsetDateTime.now(clock))
            .where(PIXEL_READING.PICTURE_SHA256.eq(sha256), IS_UNDER_WAY)
            .execute()
        > 0;
  }

  void stop(String sha256) {
    database
        .update(PIXEL_READING)
        .set(PIXEL_READING.STATE, State.STOPPED.word())
        .where(PIXEL_READING.PICTURE_SHA256.eq(sha256), IS_UNDER_WAY)
        .execute();
  }

  void finish(String sha256, PixelReadings readings) {
    database
        .update(PIXEL_READING)
        .set(PIXEL_READING.STATE, State.READ.word())
        .set(PIXEL_READING.ALGORITHM_VERSION, readings.algorithmVersion())
        .set(PIXEL_READING.READINGS, JSONB.valueOf(PixelReadingsJson.write(readings)))
        .set(PIXEL_READING.CHANGED_AT, OffsetDateTime.now(clock))
        .where(
            PIXEL_READING.PICTURE_SHA256.eq(sha256), PIXEL_READING.STATE.ne(State.STOPPED.word()))
        .execute();
  }

  void fail(String sha256, String message) {
    database
        .update(PIXEL_READING)
        .set(PIXEL_READING.STATE, State.FAILED.word())
        .set(PIXEL_READING.MESSAGE, message)
        .where(PIXEL_READING.PICTURE_SHA256.eq(sha256))
        .execute();
  }

  /** Empty when there is no such picture any more. */
  Optional<byte[]> file(String sha256) {
    return database
        .select(PICTURE.BYTES)
        .from(PICTURE)
        .where(PICTURE.SHA256.eq(sha256))
        .fetchOptional(PICTURE.BYTES);
  }

  private static Optional<Step> step(String name) {
    return name.isEmpty() ? Optional.empty() : Optional.of(Step.valueOf(name));
  }

  /** Empty where what was kept cannot be used: then there is no reading, as before it was read. */
  private static Optional<PixelReadings> readings(JSONB json) {
    try {
      return Optional.of(PixelReadingsJson.read(json.data()));
    } catch (FormatException e) {
      LOG.warn("Stored readings cannot be used: {}", e.getMessage());
      return Optional.empty();
    }
  }
}
