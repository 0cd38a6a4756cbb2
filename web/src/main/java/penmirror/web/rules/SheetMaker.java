package penmirror.web.rules;

import java.util.List;
import org.springframework.stereotype.Component;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** Makes the sheet of a study from its source works as they stand now. */
@Component
public class SheetMaker {
  private static final long NO_WORK = -1;

  private final WorkStore works;
  private final EvidenceFinder evidence;

  SheetMaker(WorkStore works, EvidenceFinder evidence) {
    this.works = works;
    this.evidence = evidence;
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

  private MeasuredWork measured(Work work) {
    return MeasuredWork.of(
        Long.toString(work.id()), work.title(), work.credit(), evidence.of(work));
  }
}
