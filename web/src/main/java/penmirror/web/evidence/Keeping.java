package penmirror.web.evidence;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.figure.Marks;
import penmirror.core.measure.FigureEdit;
import penmirror.core.reading.PixelReader;
import penmirror.web.studies.Work;

/**
 * Keeps what a hand did on a work, together with the wish to have it read anew where that heeds it.
 */
@Service
public class Keeping {
  private final MarkingStore markings;
  private final FigureEditStore strokes;
  private final PixelReading pixelReading;

  Keeping(MarkingStore markings, FigureEditStore strokes, PixelReading pixelReading) {
    this.markings = markings;
    this.strokes = strokes;
    this.pixelReading = pixelReading;
  }

  /**
   * @param by who marked, at most 100 characters; empty where nobody said
   * @return the newest version, or empty when another save came in between: nothing is saved then
   */
  @Transactional
  public Optional<Integer> marks(Work work, int madeFromVersion, Marks marks, String by) {
    Marks before = markings.newest(work.id(), work.view()).marks();
    Optional<Integer> saved = markings.save(work.id(), madeFromVersion, marks, by);
    if (saved.isPresent() && PixelReader.heedsOtherwise(before, marks)) {
      pixelReading.wantOnceMarksRest(work);
    }
    return saved;
  }

  /**
   * @return the newest version, or empty when another save came in between: nothing is saved then
   */
  @Transactional
  public OptionalInt strokes(Work work, int madeFromVersion, List<FigureEdit> edits) {
    OptionalInt saved = strokes.save(work.id(), madeFromVersion, edits);
    if (saved.isPresent()) {
      pixelReading.want(work);
    }
    return saved;
  }
}
