package penmirror.web.evidence;

import org.springframework.stereotype.Component;
import penmirror.core.reading.ReadingInputs;
import penmirror.web.studies.Work;

/** What the readings of a work are made from, as it is marked and mended now. */
@Component
class InputsFinder {
  private final MarkingStore markings;
  private final FigureEditStore strokes;

  InputsFinder(MarkingStore markings, FigureEditStore strokes) {
    this.markings = markings;
    this.strokes = strokes;
  }

  ReadingInputs of(Work work) {
    return ReadingInputs.of(
        work.pictureSha256(),
        markings.newest(work.id(), work.view()).marks(),
        strokes.of(work.id()));
  }
}
