package penmirror.web.scope;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import penmirror.core.coverage.CharacterGaps;
import penmirror.core.coverage.CharacterGaps.Described;
import penmirror.core.coverage.Part;
import penmirror.core.coverage.Trait;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.web.layout.Texts;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyKind;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** What a study is to be, what the character asks of it, and what was seen of the hand at work. */
@Component
class Scoping {
  private static final int LONGEST_TEXT = 500;

  private final StudyStore studies;
  private final WorkStore works;
  private final ScopeStore scopes;
  private final SheetMaker sheets;

  Scoping(StudyStore studies, WorkStore works, ScopeStore scopes, SheetMaker sheets) {
    this.studies = studies;
    this.works = works;
    this.scopes = scopes;
    this.sheets = sheets;
  }

  /** A trait of the character with what the study shows of it. */
  record GapRow(
      CharacterGaps.Gap gap,
      Optional<Work> closest,
      List<String> elsewhere,
      Optional<ScopeStore.WayOut> chosen) {}

  /** A work whose figure's traits can be said. */
  record TraitRow(Work work, Map<Trait, String> traits) {}

  /**
   * Puts all that the page shows into its model.
   *
   * @param work whose traits are to be said; the first there is where none is chosen
   */
  void addTo(Model model, Study study, Optional<Long> work) {
    List<Study> all = studies.all();
    List<Work> sources = works.inRole(study.id(), Work.Role.SOURCE);
    List<Work> characters = works.inRole(study.id(), Work.Role.CHARACTER);
    List<Work> helpers = works.inRole(study.id(), Work.Role.HELPER);
    Map<Long, Map<Trait, String>> traits = scopes.traits(Optional.of(study.id()));
    ScopeStore.Scope scope = scopes.scope(study.id());
    model.addAttribute("scope", scope);
    model.addAttribute("version", scopes.version(study.id()));
    model.addAttribute("counted", scopes.convention(study.id()));
    model.addAttribute("conventions", StatureConvention.values());
    model.addAttribute("kinds", StudyKind.values());
    model.addAttribute("groups", MeasureGroup.values());
    model.addAttribute("groupKinds", scopes.groupKinds(study.id()));
    model.addAttribute("parts", Part.values());
    model.addAttribute("others", all.stream().filter(other -> other.id() != study.id()).toList());
    model.addAttribute("path", path(study, scope, all));
    model.addAttribute("toCopy", sheets.load(study).typical().orElse(null));
    model.addAttribute("traits", Trait.values());
    model.addAttribute(
        "traitRows",
        Stream.of(characters, sources, helpers)
            .flatMap(List::stream)
            .map(w -> new TraitRow(w, traits.getOrDefault(w.id(), Map.of())))
            .toList());
    Optional<Work> shown =
        Stream.of(characters, sources, helpers)
            .flatMap(List::stream)
            .filter(w -> work.isEmpty() || w.id() == work.get())
            .findFirst();
    model.addAttribute("shown", shown.orElse(null));
    model.addAttribute("traitsVersion", shown.map(w -> scopes.traitsVersion(w.id())).orElse(0));
    model.addAttribute(
        "shownTraits", shown.map(w -> traits.getOrDefault(w.id(), Map.of())).orElse(Map.of()));
    model.addAttribute("gaps", gaps(study, all, characters, sources, helpers, traits));
    List<ScopeStore.ProcessNote> notes = scopes.processNotes(study.id());
    model.addAttribute("notes", notes);
    model.addAttribute("process", Process.of(notes));
    model.addAttribute("stages", Process.STAGES);
  }

  /** The studies this one follows, the first first, and itself. */
  private List<Study> path(Study study, ScopeStore.Scope scope, List<Study> all) {
    List<Study> path = new ArrayList<>(List.of(study));
    Optional<Long> before = scope.follows();
    while (before.isPresent() && path.size() < 12) {
      long id = before.get();
      Optional<Study> earlier = all.stream().filter(s -> s.id() == id).findFirst();
      if (earlier.isEmpty() || path.contains(earlier.get())) {
        break;
      }
      path.add(0, earlier.get());
      before = scopes.scope(id).follows();
    }
    return path;
  }

  private List<GapRow> gaps(
      Study study,
      List<Study> all,
      List<Work> characters,
      List<Work> sources,
      List<Work> helpers,
      Map<Long, Map<Trait, String>> traits) {
    Map<Trait, String> character = new EnumMap<>(Trait.class);
    characters.forEach(
        work -> traits.getOrDefault(work.id(), Map.of()).forEach(character::putIfAbsent));
    if (character.isEmpty()) {
      return List.of();
    }
    Map<Long, List<Described>> others = new LinkedHashMap<>();
    Map<Long, Map<Trait, String>> everywhere = scopes.traits(Optional.empty());
    for (Study other : all) {
      if (other.id() != study.id()) {
        others.put(other.id(), described(works.inRole(other.id(), Work.Role.SOURCE), everywhere));
      }
    }
    List<ScopeStore.WayOut> chosen = scopes.waysOut(study.id());
    return CharacterGaps.of(
            character, described(sources, traits), described(helpers, traits), others)
        .stream()
        .map(
            gap ->
                new GapRow(
                    gap,
                    gap.closest()
                        .flatMap(id -> sources.stream().filter(w -> w.id() == id).findFirst()),
                    gap.elsewhere().stream()
                        .flatMap(
                            e ->
                                all.stream()
                                    .filter(s -> s.id() == e.studyId())
                                    .map(Study::illustrator))
                        .toList(),
                    chosen.stream()
                        .filter(way -> way.trait().equals(gap.trait().word()))
                        .findFirst()))
        .toList();
  }

  private static List<Described> described(List<Work> works, Map<Long, Map<Trait, String>> traits) {
    return works.stream()
        .filter(work -> !work.leftOut())
        .map(work -> new Described(work.id(), traits.getOrDefault(work.id(), Map.of())))
        .toList();
  }

  /** How the study is to get along without a trait that no work shows. */
  @Transactional
  public void choose(Study study, Trait trait, CharacterGaps.Way way, String note) {
    scopes.choose(
        study.id(),
        new ScopeStore.WayOut(
            trait.word(),
            way.name().toLowerCase(Locale.ROOT).replace('_', '-'),
            Texts.cut(note, LONGEST_TEXT)));
  }

  /** A note from watching; nothing is kept where it has no words. */
  @Transactional
  public void note(Study study, Optional<Integer> minute, String stage, String text) {
    if (!text.isBlank()) {
      scopes.note(
          study.id(),
          minute
              .filter(m -> m >= 0 && m < 100_000)
              .map(OptionalInt::of)
              .orElse(OptionalInt.empty()),
          Process.STAGES.contains(stage) ? stage : "",
          Texts.cut(text, LONGEST_TEXT));
    }
  }

  @Transactional
  public void removeNote(Study study, long noteId) {
    scopes.removeNote(study.id(), noteId);
  }
}
