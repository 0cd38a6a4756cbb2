package penmirror.web.rules;

import java.util.List;
import org.springframework.stereotype.Component;
import penmirror.core.coverage.Part;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.web.evidence.EvidenceFinder;
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

  SheetMaker(WorkStore works, EvidenceFinder evidence, WallStore places) {
    this.works = works;
    this.evidence = evidence;
    this.places = places;
  }

  public StyleSheet sheetOf(Study study) {
    return sheetOf(study, NO_WORK);
  }

  /** The sheet without one work, to hold that work against the others. */
  public StyleSheet sheetOf(Study study, long exceptWorkId) {
    List<MeasuredWork> measured =
        works.inRole(study.id(), Work.Role.SOURCE).stream()
            .filter(work -> work.id() != exceptWorkId && !work.leftOut())
            .map(this::measured)
            .toList();
    return StyleSheet.of(study.illustrator(), StyleSheet.mostFrequentView(measured), measured);
  }

  /** The sheet that redraws are scored by: without what will be improvised knowingly. */
  public StyleSheet scoredSheetOf(Study study) {
    List<Part> improvised =
        places.improvised(study.id()).stream()
            .flatMap(gap -> Part.ofWord(gap.part()).stream())
            .toList();
    if (improvised.isEmpty()) {
      return sheetOf(study);
    }
    List<MeasuredWork> measured =
        works.inRole(study.id(), Work.Role.SOURCE).stream()
            .filter(work -> !work.leftOut())
            .map(this::measured)
            .map(
                work ->
                    work.without(
                        measure -> improvised.stream().anyMatch(part -> part.concerns(measure))))
            .toList();
    return StyleSheet.of(study.illustrator(), StyleSheet.mostFrequentView(measured), measured);
  }

  private MeasuredWork measured(Work work) {
    return MeasuredWork.of(Long.toString(work.id()), work.title(), work.credit(), evidence.of(work))
        .weighing(work.tags().weight());
  }
}
