package penmirror.web.gather;

import java.util.List;
import java.util.OptionalLong;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import penmirror.web.evidence.EvidenceFinder;
import penmirror.web.evidence.FigureEditStore;
import penmirror.web.evidence.Keeping;
import penmirror.web.evidence.PixelReading;
import penmirror.web.studies.Study;
import penmirror.web.studies.StudyStore;
import penmirror.web.studies.Work;
import penmirror.web.studies.WorkStore;

/** A study of its own for one manner or one period; the first keeps all its works. */
@Service
class Splitting {
  private final StudyStore studies;
  private final WorkStore works;
  private final EvidenceFinder evidence;
  private final FigureEditStore strokes;
  private final Keeping keeping;
  private final PixelReading pixelReading;

  Splitting(
      StudyStore studies,
      WorkStore works,
      EvidenceFinder evidence,
      FigureEditStore strokes,
      Keeping keeping,
      PixelReading pixelReading) {
    this.studies = studies;
    this.works = works;
    this.evidence = evidence;
    this.strokes = strokes;
    this.keeping = keeping;
    this.pixelReading = pixelReading;
  }

  /**
   * Works that are left out stay behind; the others come with all that was said, ticked, picked and
   * marked on them.
   *
   * @return the new study; empty where no work has that word
   */
  @Transactional
  public OptionalLong split(Study study, String word) {
    List<Work> chosen =
        works.inRole(study.id(), Work.Role.SOURCE).stream()
            .filter(work -> !work.leftOut())
            .filter(w -> w.tags().manner().equals(word) || w.tags().period().equals(word))
            .toList();
    if (chosen.isEmpty()) {
      return OptionalLong.empty();
    }
    long split =
        studies.begin(
            Work.cutTitle(study.name() + ", " + word),
            study.illustrator(),
            study.reason(),
            study.credit());
    for (Work work : chosen) {
      long copy = works.copyInto(split, work);
      strokes.save(copy, 0, strokes.of(work.id()));
      keeping.marks(works.require(split, copy), 0, evidence.of(work).marks(), "");
      pixelReading.want(works.require(split, copy));
    }
    return OptionalLong.of(split);
  }
}
