package penmirror.web.evidence;

import org.springframework.stereotype.Component;
import penmirror.core.figure.Marks;
import penmirror.core.reading.ReadingInputs;
import penmirror.web.studies.Work;

/** What the readings of a work are made from, as it is marked and mended now. */
@Component
public class InputsFinder {
  private final MarkingStore markings;
  private final FigureEditStore strokes;
  private final SightStore sights;

  InputsFinder(MarkingStore markings, FigureEditStore strokes, SightStore sights) {
    this.markings = markings;
    this.sights = sights;
    this.strokes = strokes;
  }

  public ReadingInputs of(Work work) {
    MarkingStore.Marking marking = markings.newest(work.id(), work.view());
    // Points that are sure at first sight are read by; confirmed as they lie, nothing is read anew.
    Marks marks =
        marking.version() > 0
            ? marking.marks()
            : sights.of(work.id()).map(SightStore.Sight::placed).orElse(marking.marks());
    return ReadingInputs.of(work.pictureSha256(), marks, strokes.of(work.id()));
  }
}
