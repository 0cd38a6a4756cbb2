package penmirror.web.evidence;

import static penmirror.web.storage.generated.Tables.PICTURE;
import static penmirror.web.storage.generated.Tables.PIXEL_READING;
import static penmirror.web.storage.generated.Tables.WORK;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.JSONB;
import org.jooq.Record5;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.format.FormatException;
import penmirror.core.format.PixelReadingsJson;
import penmirror.core.format.ReadingInputsJson;
import penmirror.core.measure.PixelReadings;
import penmirror.core.reading.PixelReader.Step;
import penmirror.core.reading.ReadingInputs;

/**
 * Keeps what pixels told, by all that it was read from, and how far each reading is. A work wants
 * the readings of what it is now; until they are there it shows those it had.
 */
@Repository
public class PixelReadingStore {
  private static final Logger LOG = LoggerFactory.getLogger(PixelReadingStore.class);

  private static final penmirror.web.storage.generated.tables.PixelReading WANTED =
      PIXEL_READING.as("wanted");

  private static final penmirror.web.storage.generated.tables.PixelReading FINISHED =
      PIXEL_READING.as("finished");

  private static final int MOST_PARSED = 5000;

  private static final Condition IS_UNDER_WAY =
      PIXEL_READING.STATE.in(State.WAITING.word(), State.READING.word());

  private final DSLContext database;
  private final Clock clock;
  private final MessageSource messages;
  private final Cache<String, PixelReadings> parsed =
      Caffeine.newBuilder().maximumSize(MOST_PARSED).build();

  PixelReadingStore(DSLContext database, Clock clock, MessageSource messages) {
    this.database = database;
    this.clock = clock;
    this.messages = messages;
  }

  /** How far a reading is. */
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
   * @param readings what is shown: of the work as it is, or as it was until that is read
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

  public Progress progress(long workId) {
    return progress(WORK.ID.eq(workId)).getOrDefault(workId, NOT_BEGUN);
  }

  /** Of every work in a study. */
  public Map<Long, Progress> progressOf(long studyId) {
    return progress(WORK.STUDY_ID.eq(studyId));
  }

  private Map<Long, Progress> progress(Condition which) {
    Field<String> shown =
        DSL.when(WANTED.READINGS.isNotNull(), WANTED.INPUTS_HASH).otherwise(WORK.SHOWN_READING);
    List<Record5<Long, String, String, String, String>> rows =
        database
            .select(WORK.ID, WANTED.STATE, WANTED.STEP, WANTED.MESSAGE, shown)
            .from(WORK)
            .leftJoin(WANTED)
            .on(WANTED.INPUTS_HASH.eq(WORK.WANTED_READING))
            .where(which)
            .fetch();
    Map<String, PixelReadings> readings =
        readings(rows.stream().map(Record5::value5).filter(Objects::nonNull).distinct().toList());
    Map<Long, Progress> progress = new HashMap<>();
    for (Record5<Long, String, String, String, String> row : rows) {
      Optional<PixelReadings> here = Optional.ofNullable(row.value5()).map(readings::get);
      if (row.value5() != null && here.isEmpty()) {
        progress.put(row.value1(), new Progress(State.FAILED, Optional.empty(), here, unusable()));
        continue;
      }
      progress.put(
          row.value1(),
          row.value2() == null
              ? new Progress(State.WAITING, Optional.empty(), here, "")
              : new Progress(
                  State.valueOf(row.value2().toUpperCase(Locale.ROOT)),
                  step(row.value3()),
                  here,
                  row.value4()));
    }
    return progress;
  }

  private String unusable() {
    return messages.getMessage("reading.unusable", new Object[0], Locale.ENGLISH);
  }

  /** Each is parsed once: what was read from given inputs never changes. */
  private Map<String, PixelReadings> readings(List<String> hashes) {
    Map<String, PixelReadings> found = new HashMap<>(parsed.getAllPresent(hashes));
    List<String> missing = hashes.stream().filter(hash -> !found.containsKey(hash)).toList();
    if (!missing.isEmpty()) {
      database
          .select(PIXEL_READING.INPUTS_HASH, PIXEL_READING.READINGS)
          .from(PIXEL_READING)
          .where(PIXEL_READING.INPUTS_HASH.in(missing), PIXEL_READING.READINGS.isNotNull())
          .forEach(row -> readings(row.value2()).ifPresent(r -> found.put(row.value1(), r)));
      parsed.putAll(found);
    }
    return found;
  }

  /**
   * Notes what a work wants to be read from. Readings that are there already are shown at once.
   *
   * @return by what the reading is found
   */
  @Transactional
  public String want(long workId, ReadingInputs inputs) {
    String hash = ReadingInputsJson.hash(inputs);
    database
        .insertInto(PIXEL_READING)
        .set(PIXEL_READING.INPUTS_HASH, hash)
        .set(PIXEL_READING.PICTURE_SHA256, inputs.pictureSha256())
        .set(PIXEL_READING.INPUTS, JSONB.valueOf(ReadingInputsJson.write(inputs)))
        .set(PIXEL_READING.ALGORITHM_VERSION, inputs.algorithmVersion())
        .set(PIXEL_READING.STATE, State.WAITING.word())
        .setNull(PIXEL_READING.STEP)
        .set(PIXEL_READING.MESSAGE, "")
        .set(PIXEL_READING.CHANGED_AT, OffsetDateTime.now(clock))
        .onConflictDoNothing()
        .execute();
    database.update(WORK).set(WORK.WANTED_READING, hash).where(WORK.ID.eq(workId)).execute();
    show(hash);
    return hash;
  }

  /** Works that want a reading which is there show it. */
  private void show(String hash) {
    database
        .update(WORK)
        .set(WORK.SHOWN_READING, hash)
        .where(
            WORK.WANTED_READING.eq(hash),
            DSL.exists(
                database
                    .selectOne()
                    .from(PIXEL_READING)
                    .where(PIXEL_READING.INPUTS_HASH.eq(hash), PIXEL_READING.READINGS.isNotNull())))
        .execute();
  }

  /** Lets what a work wants be read again; what it told stays until then. */
  void readAgain(String hash) {
    database
        .update(PIXEL_READING)
        .set(PIXEL_READING.STATE, State.WAITING.word())
        .setNull(PIXEL_READING.STEP)
        .where(PIXEL_READING.INPUTS_HASH.eq(hash))
        .execute();
  }

  /** What is to be read; empty when no work wants it any more, or it is read or stopped. */
  Optional<ReadingInputs> toRead(String hash) {
    return database
        .select(PIXEL_READING.INPUTS)
        .from(PIXEL_READING)
        .where(
            PIXEL_READING.INPUTS_HASH.eq(hash),
            IS_UNDER_WAY,
            DSL.exists(database.selectOne().from(WORK).where(WORK.WANTED_READING.eq(hash))))
        .fetchOptional(row -> inputs(row.value1()));
  }

  /** Readings that wait, or were under way when the application ended. */
  List<String> underWay() {
    return database
        .select(PIXEL_READING.INPUTS_HASH)
        .from(PIXEL_READING)
        .where(IS_UNDER_WAY)
        .fetch(PIXEL_READING.INPUTS_HASH);
  }

  boolean isUnderWay(String hash) {
    return database.fetchExists(
        PIXEL_READING, PIXEL_READING.INPUTS_HASH.eq(hash).and(IS_UNDER_WAY));
  }

  /** Works, with their study, that want no reading by this version of the code. */
  Map<Long, Long> outdated(int algorithmVersion) {
    return database
        .select(WORK.ID, WORK.STUDY_ID)
        .from(WORK)
        .leftJoin(PIXEL_READING)
        .on(PIXEL_READING.INPUTS_HASH.eq(WORK.WANTED_READING))
        .where(
            PIXEL_READING
                .ALGORITHM_VERSION
                .isNull()
                .or(PIXEL_READING.ALGORITHM_VERSION.ne(algorithmVersion)))
        .fetchMap(WORK.ID, WORK.STUDY_ID);
  }

  /** False when the reading was stopped meanwhile. */
  boolean beginStep(String hash, Step step) {
    return database
            .update(PIXEL_READING)
            .set(PIXEL_READING.STATE, State.READING.word())
            .set(PIXEL_READING.STEP, step.name())
            .set(PIXEL_READING.CHANGED_AT, OffsetDateTime.now(clock))
            .where(PIXEL_READING.INPUTS_HASH.eq(hash), IS_UNDER_WAY)
            .execute()
        > 0;
  }

  void stop(long workId) {
    database
        .update(PIXEL_READING)
        .set(PIXEL_READING.STATE, State.STOPPED.word())
        .where(
            PIXEL_READING.INPUTS_HASH.eq(
                database.select(WORK.WANTED_READING).from(WORK).where(WORK.ID.eq(workId))),
            IS_UNDER_WAY)
        .execute();
  }

  /** Keeps what was told, shows it on the works that want it, and lets go what none shows. */
  @Transactional
  public void finish(String hash, PixelReadings readings) {
    database
        .update(PIXEL_READING)
        .set(PIXEL_READING.STATE, State.READ.word())
        .set(PIXEL_READING.READINGS, JSONB.valueOf(PixelReadingsJson.write(readings)))
        .set(PIXEL_READING.CHANGED_AT, OffsetDateTime.now(clock))
        .where(PIXEL_READING.INPUTS_HASH.eq(hash), PIXEL_READING.STATE.ne(State.STOPPED.word()))
        .execute();
    show(hash);
    database
        .deleteFrom(PIXEL_READING)
        .where(
            PIXEL_READING.PICTURE_SHA256.eq(
                database
                    .select(FINISHED.PICTURE_SHA256)
                    .from(FINISHED)
                    .where(FINISHED.INPUTS_HASH.eq(hash))),
            DSL.notExists(
                database
                    .selectOne()
                    .from(WORK)
                    .where(
                        WORK.WANTED_READING
                            .eq(PIXEL_READING.INPUTS_HASH)
                            .or(WORK.SHOWN_READING.eq(PIXEL_READING.INPUTS_HASH)))))
        .execute();
  }

  void fail(String hash, String message) {
    database
        .update(PIXEL_READING)
        .set(PIXEL_READING.STATE, State.FAILED.word())
        .set(PIXEL_READING.MESSAGE, message)
        .where(PIXEL_READING.INPUTS_HASH.eq(hash))
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

  private static Optional<Step> step(@Nullable String name) {
    return Optional.ofNullable(name).map(Step::valueOf);
  }

  private static ReadingInputs inputs(JSONB json) {
    try {
      return ReadingInputsJson.read(json.data());
    } catch (FormatException e) {
      throw new IllegalStateException("Stored inputs cannot be read: " + e.getMessage(), e);
    }
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
