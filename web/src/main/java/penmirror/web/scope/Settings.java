package penmirror.web.scope;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.interceptor.TransactionAspectSupport;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.Trait;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.web.layout.Choice;
import penmirror.web.layout.RefusedException;
import penmirror.web.layout.Texts;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyKind;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.WorkStore;

/** Takes what the user says a study is about, and what its figures are like: all or nothing. */
@Service
class Settings {
  private static final int LONGEST_NAME = 200;
  private static final int LONGEST_REASON = 2000;
  private static final int LONGEST_CREDIT = 500;
  private static final int LONGEST_TRAIT = 60;

  private final StudyStore studies;
  private final WorkStore works;
  private final ScopeStore scopes;
  private final MessageSource messages;

  Settings(StudyStore studies, WorkStore works, ScopeStore scopes, MessageSource messages) {
    this.studies = studies;
    this.works = works;
    this.scopes = scopes;
    this.messages = messages;
  }

  /**
   * The form about the study.
   *
   * @param part word of the one part it looks at; empty for all
   * @param counted word of the convention; null leaves it
   * @param groups another kind for a group, by {@code kind.} and the group's name
   * @param version of the study the form was filled from; null if it does not heed that
   */
  record Form(
      String name,
      String illustrator,
      String reason,
      String credit,
      StudyKind kind,
      String part,
      Optional<Long> follows,
      Optional<String> counted,
      Map<String, String> groups,
      @Nullable Integer version) {}

  /** What came of a form. */
  sealed interface Outcome permits Kept, Outdated {}

  record Kept() implements Outcome {}

  /** Kept in another window meanwhile; nothing was changed. Values by the words of their labels. */
  record Outdated(int version, Map<String, String> theirs, Map<String, String> mine)
      implements Outcome {}

  @Transactional
  public Outcome describe(long studyId, Form form) {
    int version = scopes.holdVersion(studyId);
    boolean isOutdated = form.version() != null && form.version() != version;
    Map<String, String> theirs = isOutdated ? words(studyId) : Map.of();
    take(studyId, form);
    if (!isOutdated) {
      return new Kept();
    }
    Map<String, String> mine = words(studyId);
    TransactionAspectSupport.currentTransactionStatus().setRollbackOnly();
    return theirs.equals(mine) ? new Kept() : new Outdated(version, theirs, mine);
  }

  private void take(long studyId, Form form) {
    Study study = studies.require(studyId);
    form.counted().ifPresent(word -> scopes.setConvention(studyId, convention(word)));
    scopes.describe(
        studyId,
        Texts.cut(form.name().isBlank() ? study.name() : form.name(), LONGEST_NAME),
        Texts.cut(
            form.illustrator().isBlank() ? study.illustrator() : form.illustrator(), LONGEST_NAME),
        Texts.cut(form.reason(), LONGEST_REASON),
        Texts.cut(form.credit(), LONGEST_CREDIT));
    scopes.setScope(
        studyId,
        new ScopeStore.Scope(
            form.kind(),
            Part.ofWord(form.part()),
            form.follows().filter(id -> id != studyId).map(id -> studies.require(id).id())));
    Map<MeasureGroup, StudyKind> kinds = new EnumMap<>(MeasureGroup.class);
    for (MeasureGroup group : MeasureGroup.values()) {
      String sent = form.groups().getOrDefault("kind." + group.name(), "");
      StudyKind kind = sent.isEmpty() ? form.kind() : Choice.of(StudyKind.class, sent);
      if (kind != form.kind()) {
        kinds.put(group, kind);
      }
    }
    scopes.setGroupKinds(studyId, kinds);
  }

  private static StatureConvention convention(String word) {
    return Arrays.stream(StatureConvention.values())
        .filter(convention -> convention.word().equals(word))
        .findFirst()
        .orElseThrow(() -> new RefusedException("fault.form.word", Texts.cut(word, 40)));
  }

  private Map<String, String> words(long studyId) {
    Study study = studies.require(studyId);
    ScopeStore.Scope scope = scopes.scope(studyId);
    Map<String, String> words = new LinkedHashMap<>();
    words.put(text("new.name"), study.name());
    words.put(text("new.illustrator"), study.illustrator());
    words.put(text("new.reason"), study.reason());
    words.put(text("new.credit"), study.credit());
    words.put(text("scope.kind"), text("scope.kind." + scope.kind().word()));
    scopes
        .groupKinds(studyId)
        .forEach(
            (group, kind) ->
                words.put(text("group." + group.word()), text("scope.kind." + kind.word())));
    words.put(text("scope.counted"), text("scope.counted." + scopes.convention(studyId).word()));
    words.put(
        text("scope.part"),
        scope
            .part()
            .map(part -> text("part." + part.word()))
            .orElseGet(() -> text("scope.part.all")));
    words.put(
        text("scope.follows"),
        scope.follows().map(id -> studies.require(id).name()).orElse(text("scope.follows.none")));
    return words;
  }

  /**
   * @param said by the trait's word; what is not named is empty
   * @param version of the traits the form was filled from; null if it does not heed that
   */
  @Transactional
  public Outcome describeFigure(
      long studyId, long workId, Map<String, String> said, @Nullable Integer version) {
    works.hold(studyId, workId);
    int now = scopes.traitsVersion(workId);
    Map<Trait, String> before = scopes.traitsOf(workId);
    Map<Trait, String> traits = new EnumMap<>(Trait.class);
    for (Trait trait : Trait.values()) {
      String value = Texts.cut(said.getOrDefault(trait.word(), ""), LONGEST_TRAIT);
      if (!value.isEmpty()) {
        traits.put(trait, value);
      }
    }
    if (version != null && version != now && !traits.equals(before)) {
      return new Outdated(now, traitWords(before), traitWords(traits));
    }
    scopes.setTraits(workId, traits);
    return new Kept();
  }

  private Map<String, String> traitWords(Map<Trait, String> traits) {
    Map<String, String> words = new LinkedHashMap<>();
    for (Trait trait : Trait.values()) {
      words.put(text("trait." + trait.word()), traits.getOrDefault(trait, ""));
    }
    return words;
  }

  private String text(String key) {
    return Objects.requireNonNull(messages.getMessage(key, new Object[0], key, Locale.ENGLISH));
  }
}
