package penmirror.web.studies;

import static penmirror.web.storage.generated.Tables.GROUP_KIND;
import static penmirror.web.storage.generated.Tables.PROCESS_NOTE;
import static penmirror.web.storage.generated.Tables.STUDY;
import static penmirror.web.storage.generated.Tables.WAY_OUT;
import static penmirror.web.storage.generated.Tables.WORK;
import static penmirror.web.storage.generated.Tables.WORK_TRAIT;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.Trait;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.web.layout.NotFoundException;

/** Keeps what a study is about. */
@Repository
public class ScopeStore {
  private final DSLContext database;

  ScopeStore(DSLContext database) {
    this.database = database;
  }

  /**
   * @param part the word of the one part it looks at, or empty for all
   * @param follows the study before it on a path
   */
  public record Scope(StudyKind kind, Optional<Part> part, Optional<Long> follows) {}

  /** How a trait nobody saw will be drawn. */
  public record WayOut(String trait, String way, String note) {}

  /**
   * Something seen of the illustrator at work.
   *
   * @param minute of the recording, if there is one
   * @param stage such as line or flats; empty for any
   */
  public record ProcessNote(long id, OptionalInt minute, String stage, String text) {}

  /** A study may be gone by the time its page is made; that is not told as a fault of ours. */
  private static NotFoundException gone(long studyId) {
    return new NotFoundException("fault.study.unknown", studyId);
  }

  /**
   * @throws NotFoundException when there is no such study any more
   */
  public Scope scope(long studyId) {
    return database
        .select(STUDY.KIND, STUDY.PART, STUDY.FOLLOWS_STUDY_ID)
        .from(STUDY)
        .where(STUDY.ID.eq(studyId))
        .fetchOptional(
            row ->
                new Scope(
                    StudyKind.ofWord(row.value1()),
                    Optional.ofNullable(row.value2()).flatMap(Part::ofWord),
                    Optional.ofNullable(row.value3())))
        .orElseThrow(() -> gone(studyId));
  }

  /** The word of the study's kind, by which its texts are keyed. */
  public String kind(long studyId) {
    return scope(studyId).kind().word();
  }

  /** The studies of a kind, by their numbers. */
  public Set<Long> ofKind(StudyKind kind) {
    return database
        .select(STUDY.ID)
        .from(STUDY)
        .where(STUDY.KIND.eq(kind.word()))
        .fetchSet(STUDY.ID);
  }

  /** The one part a study looks at; empty for all. */
  public Optional<Part> part(long studyId) {
    return scope(studyId).part();
  }

  public void describe(
      long studyId, String name, String illustrator, String reason, String credit) {
    database
        .update(STUDY)
        .set(STUDY.NAME, name)
        .set(STUDY.ILLUSTRATOR, illustrator)
        .set(STUDY.REASON, reason)
        .set(STUDY.CREDIT, credit)
        .set(STUDY.VERSION, STUDY.VERSION.plus(1))
        .where(STUDY.ID.eq(studyId))
        .execute();
  }

  /**
   * Counts how often it was said what the study is about.
   *
   * @throws NotFoundException when there is no such study any more
   */
  public int version(long studyId) {
    return database
        .select(STUDY.VERSION)
        .from(STUDY)
        .where(STUDY.ID.eq(studyId))
        .fetchOptional(STUDY.VERSION)
        .orElseThrow(() -> gone(studyId));
  }

  /**
   * The same; nobody else says so until the transaction ends.
   *
   * @throws NotFoundException when there is no such study any more
   */
  @Transactional
  public int holdVersion(long studyId) {
    return database
        .select(STUDY.VERSION)
        .from(STUDY)
        .where(STUDY.ID.eq(studyId))
        .forUpdate()
        .fetchOptional(STUDY.VERSION)
        .orElseThrow(() -> gone(studyId));
  }

  public void setScope(long studyId, Scope scope) {
    database
        .update(STUDY)
        .set(STUDY.KIND, scope.kind().word())
        .set(STUDY.PART, scope.part().map(Part::word).orElse(null))
        .set(STUDY.FOLLOWS_STUDY_ID, scope.follows().orElse(null))
        .where(STUDY.ID.eq(studyId))
        .execute();
  }

  /**
   * How figures are counted in heads.
   *
   * @throws NotFoundException when there is no such study any more
   */
  public StatureConvention convention(long studyId) {
    return database
        .select(STUDY.COUNTED)
        .from(STUDY)
        .where(STUDY.ID.eq(studyId))
        .fetchOptional(row -> StatureConvention.ofWord(row.value1()))
        .orElseThrow(() -> gone(studyId));
  }

  public void setConvention(long studyId, StatureConvention convention) {
    database
        .update(STUDY)
        .set(STUDY.COUNTED, convention.word())
        .where(STUDY.ID.eq(studyId))
        .execute();
  }

  /** Only groups that differ from the study's kind. */
  public Map<MeasureGroup, StudyKind> groupKinds(long studyId) {
    Map<MeasureGroup, StudyKind> kinds = new EnumMap<>(MeasureGroup.class);
    database
        .selectFrom(GROUP_KIND)
        .where(GROUP_KIND.STUDY_ID.eq(studyId))
        .forEach(
            row ->
                kinds.put(
                    MeasureGroup.valueOf(row.getMeasureGroup()), StudyKind.ofWord(row.getKind())));
    return kinds;
  }

  /** Groups whose result says nothing about the eye, since they were traced. */
  public List<MeasureGroup> tracedGroups(long studyId) {
    Map<MeasureGroup, StudyKind> kinds = groupKinds(studyId);
    StudyKind whole = scope(studyId).kind();
    return Arrays.stream(MeasureGroup.values())
        .filter(group -> kinds.getOrDefault(group, whole) == StudyKind.TRACE)
        .toList();
  }

  @Transactional
  public void setGroupKinds(long studyId, Map<MeasureGroup, StudyKind> kinds) {
    database.deleteFrom(GROUP_KIND).where(GROUP_KIND.STUDY_ID.eq(studyId)).execute();
    kinds.forEach(
        (group, kind) ->
            database
                .insertInto(GROUP_KIND)
                .set(GROUP_KIND.STUDY_ID, studyId)
                .set(GROUP_KIND.MEASURE_GROUP, group.name())
                .set(GROUP_KIND.KIND, kind.word())
                .execute());
  }

  /** What the figures in a study's works are like, by work; of all studies if none is given. */
  public Map<Long, Map<Trait, String>> traits(Optional<Long> studyId) {
    Map<Long, Map<Trait, String>> traits = new LinkedHashMap<>();
    database
        .select(WORK_TRAIT.WORK_ID, WORK_TRAIT.TRAIT, WORK_TRAIT.VALUE)
        .from(WORK_TRAIT)
        .join(WORK)
        .on(WORK.ID.eq(WORK_TRAIT.WORK_ID))
        .where(studyId.map(WORK.STUDY_ID::eq).orElse(DSL.trueCondition()))
        .forEach(
            row -> {
              Optional<Trait> trait = Trait.ofWord(row.value2());
              trait.ifPresent(
                  t ->
                      traits
                          .computeIfAbsent(row.value1(), id -> new EnumMap<>(Trait.class))
                          .put(t, row.value3()));
            });
    return traits;
  }

  /** The traits of one work. */
  public Map<Trait, String> traitsOf(long workId) {
    Map<Trait, String> traits = new EnumMap<>(Trait.class);
    database
        .selectFrom(WORK_TRAIT)
        .where(WORK_TRAIT.WORK_ID.eq(workId))
        .forEach(row -> Trait.ofWord(row.getTrait()).ifPresent(t -> traits.put(t, row.getValue())));
    return traits;
  }

  /** Counts how often the traits of a work were said. */
  public int traitsVersion(long workId) {
    return database
        .select(WORK.TRAITS_VERSION)
        .from(WORK)
        .where(WORK.ID.eq(workId))
        .fetchSingle(WORK.TRAITS_VERSION);
  }

  /** Replaces the traits of a work; two at once do so one after the other. */
  @Transactional
  public void setTraits(long workId, Map<Trait, String> traits) {
    database
        .update(WORK)
        .set(WORK.TRAITS_VERSION, WORK.TRAITS_VERSION.plus(1))
        .where(WORK.ID.eq(workId))
        .execute();
    database.deleteFrom(WORK_TRAIT).where(WORK_TRAIT.WORK_ID.eq(workId)).execute();
    traits.forEach(
        (trait, value) ->
            database
                .insertInto(WORK_TRAIT)
                .set(WORK_TRAIT.WORK_ID, workId)
                .set(WORK_TRAIT.TRAIT, trait.word())
                .set(WORK_TRAIT.VALUE, value)
                .execute());
  }

  public List<WayOut> waysOut(long studyId) {
    return database
        .selectFrom(WAY_OUT)
        .where(WAY_OUT.STUDY_ID.eq(studyId))
        .orderBy(WAY_OUT.TRAIT)
        .fetch(row -> new WayOut(row.getTrait(), row.getWay(), row.getNote()));
  }

  public void choose(long studyId, WayOut way) {
    database
        .insertInto(WAY_OUT)
        .set(WAY_OUT.STUDY_ID, studyId)
        .set(WAY_OUT.TRAIT, way.trait())
        .set(WAY_OUT.WAY, way.way())
        .set(WAY_OUT.NOTE, way.note())
        .onConflict(WAY_OUT.STUDY_ID, WAY_OUT.TRAIT)
        .doUpdate()
        .set(WAY_OUT.WAY, way.way())
        .set(WAY_OUT.NOTE, way.note())
        .execute();
  }

  public List<ProcessNote> processNotes(long studyId) {
    return database
        .selectFrom(PROCESS_NOTE)
        .where(PROCESS_NOTE.STUDY_ID.eq(studyId))
        .orderBy(PROCESS_NOTE.MINUTE.asc().nullsLast(), PROCESS_NOTE.ID)
        .fetch(
            row ->
                new ProcessNote(
                    row.getId(),
                    row.getMinute() == null ? OptionalInt.empty() : OptionalInt.of(row.getMinute()),
                    Optional.ofNullable(row.getStage()).orElse(""),
                    row.getText()));
  }

  /** The same note sent twice is one note. */
  @Transactional
  public void note(long studyId, OptionalInt minute, String stage, String text) {
    holdVersion(studyId);
    boolean isThere =
        processNotes(studyId).stream()
            .anyMatch(
                note ->
                    note.minute().equals(minute)
                        && note.stage().equals(stage)
                        && note.text().equals(text));
    if (isThere) {
      return;
    }
    database
        .insertInto(PROCESS_NOTE)
        .set(PROCESS_NOTE.STUDY_ID, studyId)
        .set(PROCESS_NOTE.MINUTE, minute.isPresent() ? minute.getAsInt() : null)
        .set(PROCESS_NOTE.STAGE, stage.isEmpty() ? null : stage)
        .set(PROCESS_NOTE.TEXT, text)
        .execute();
  }

  public void removeNote(long studyId, long noteId) {
    database
        .deleteFrom(PROCESS_NOTE)
        .where(PROCESS_NOTE.ID.eq(noteId), PROCESS_NOTE.STUDY_ID.eq(studyId))
        .execute();
  }
}
