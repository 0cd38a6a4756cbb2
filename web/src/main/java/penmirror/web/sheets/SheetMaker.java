package penmirror.web.sheets;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;
import penmirror.core.act.Acts;
import penmirror.core.coverage.Part;
import penmirror.core.format.StyleFile;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.style.StyleSheet;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.TickStore;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.WallStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Makes what is made of a study, in a handful of queries, and keeps it until the study changes. */
@Component
public class SheetMaker {
  /** Works of all studies that are kept; one takes some thirty kilobytes. */
  private static final long MOST_WORKS = 4000;

  private final WorkStore works;
  private final EvidenceFinder evidence;
  private final WallStore places;
  private final ScopeStore scopes;
  private final ChangeStore changes;
  private final SignatureStore signatures;
  private final SayingStore sayings;
  private final SheetFileStore files;
  private final TickStore ticks;
  private final AimStore aims;
  private final FigureWordStore figureWords;
  private final SheetMemory memory;

  private final Cache<Long, Kept> kept =
      Caffeine.newBuilder()
          .maximumWeight(MOST_WORKS)
          .weigher((Long study, Kept of) -> 1 + of.works())
          .build();

  SheetMaker(
      WorkStore works,
      EvidenceFinder evidence,
      WallStore places,
      ScopeStore scopes,
      ChangeStore changes,
      SignatureStore signatures,
      SayingStore sayings,
      SheetFileStore files,
      TickStore ticks,
      AimStore aims,
      FigureWordStore figureWords,
      SheetMemory memory) {
    this.aims = aims;
    this.figureWords = figureWords;
    this.memory = memory;
    this.works = works;
    this.evidence = evidence;
    this.places = places;
    this.scopes = scopes;
    this.changes = changes;
    this.signatures = signatures;
    this.sayings = sayings;
    this.files = files;
    this.ticks = ticks;
  }

  private record Kept(ChangeStore.Change change, Loaded loaded, int works) {}

  /** The study as it stands. */
  public Loaded load(Study study) {
    return load(study, changes.of(study.id()));
  }

  /** Each as it stands, in the same order; what is known already costs one question for all. */
  public List<Loaded> load(List<Study> studies) {
    Map<Long, ChangeStore.Change> all = changes.all();
    return studies.stream()
        .map(study -> load(study, all.getOrDefault(study.id(), ChangeStore.Change.NONE)))
        .toList();
  }

  /**
   * @param change asked before anything is read: one that comes in between makes this old, not
   *     wrong
   */
  private Loaded load(Study study, ChangeStore.Change change) {
    Kept before = kept.getIfPresent(study.id());
    if (before != null && before.change().equals(change)) {
      return before.loaded();
    }
    List<Work> all = works.all(study.id());
    Loaded loaded =
        new Loaded(
            study,
            all,
            evidence.ofStudy(study.id(), all),
            evidence.moodsOf(study.id()),
            evidence.technicalError(study.id()),
            scopes.convention(study.id()),
            outsideTheScore(study.id()),
            signatures.of(study.id()),
            Sayings.of(sayings.of(study.id())),
            files.of(study.id()).map(StyleFile::sheet),
            ticks.ofStudy(study.id()),
            ticks.clearAnswers(study.id(), Work.Role.REDRAW),
            figureWords.of(study.id()),
            memory);
    kept.put(study.id(), new Kept(change, loaded, all.size()));
    return loaded;
  }

  public StyleSheet sheetOf(Study study) {
    return load(study).sheet();
  }

  /** The sheet that the user's own figure is drawn by. */
  public StyleSheet plannedOf(Study study) {
    return load(study).planned();
  }

  /** The sheet without one work, to hold that work against the others. */
  public StyleSheet sheetOf(Study study, long exceptWorkId) {
    return load(study).sheetWithout(exceptWorkId);
  }

  public StyleSheet scoredSheetOf(Study study) {
    return load(study).scoredSheet();
  }

  private Predicate<Measure> outsideTheScore(long studyId) {
    List<Part> improvised =
        places.improvised(studyId).stream()
            .flatMap(gap -> Part.ofWord(gap.part()).stream())
            .toList();
    List<MeasureGroup> traced = scopes.tracedGroups(studyId);
    // Where all is traced, how exactly it was traced is all there is to tell.
    boolean allTraced = traced.containsAll(Arrays.asList(MeasureGroup.values()));
    Optional<Part> only = scopes.part(studyId);
    Set<String> notAimedAt = aims.left(studyId);
    return measure ->
        improvised.stream().anyMatch(part -> part.concerns(measure))
            || (!allTraced && traced.contains(measure.group()))
            || Acts.of(measure).filter(act -> notAimedAt.contains(act.key())).isPresent()
            || only.filter(part -> !part.concerns(measure)).isPresent();
  }
}
