package penmirror.web.rules;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;
import penmirror.core.coverage.Part;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.MarkingError;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.TechnicalError;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.studies.ScopeStore;
import penmirror.web.studies.Study;
import penmirror.web.studies.WallStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Makes the sheet of a study from its source works as they stand now. */
@Component
public class SheetMaker {
  private static final long NO_WORK = -1;

  private final WorkStore works;
  private final EvidenceFinder evidence;
  private final WallStore places;
  private final ScopeStore scopes;

  SheetMaker(WorkStore works, EvidenceFinder evidence, WallStore places, ScopeStore scopes) {
    this.works = works;
    this.evidence = evidence;
    this.places = places;
    this.scopes = scopes;
  }

  public StyleSheet sheetOf(Study study) {
    return sheetOf(study, NO_WORK);
  }

  /** The sheet without one work, to hold that work against the others. */
  public StyleSheet sheetOf(Study study, long exceptWorkId) {
    return sheet(study, exceptWorkId, measure -> false);
  }

  /**
   * The sheet that redraws are scored by: without what will be improvised knowingly and without
   * groups that are traced, of which a score says nothing; in a study of one part, with that alone.
   */
  public StyleSheet scoredSheetOf(Study study) {
    return sheet(study, NO_WORK, outsideTheScore(study.id()));
  }

  private StyleSheet sheet(Study study, long exceptWorkId, Predicate<Measure> outside) {
    StatureConvention convention = scopes.convention(study.id());
    TechnicalError error = evidence.technicalError(study.id());
    List<MeasuredWork> measured =
        works.inRole(study.id(), Work.Role.SOURCE).stream()
            .filter(work -> work.id() != exceptWorkId && !work.leftOut())
            .map(work -> measured(work, error.markingError(), convention).without(outside))
            .toList();
    return StyleSheet.of(
        study.illustrator(),
        StyleSheet.mostFrequentView(measured),
        measured,
        error.isEnough() ? error.scaled() : Map.of());
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
    return measure ->
        improvised.stream().anyMatch(part -> part.concerns(measure))
            || (!allTraced && traced.contains(measure.group()))
            || only.filter(part -> !part.concerns(measure)).isPresent();
  }

  private MeasuredWork measured(Work work, MarkingError error, StatureConvention convention) {
    Evidence known = evidence.of(work, error);
    // A proposal that nobody looked at must not become a rule.
    return MeasuredWork.of(
            Long.toString(work.id()),
            work.title(),
            work.credit(),
            known.withMarks(known.marks().confirmed()),
            convention)
        .weighing(work.tags().weight());
  }
}
