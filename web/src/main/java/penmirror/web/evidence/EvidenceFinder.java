package penmirror.web.evidence;

import org.springframework.stereotype.Component;
import penmirror.core.figure.HeadFrame;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.MarkingError;
import penmirror.core.measure.TechnicalError;
import penmirror.web.studies.Work;

/** Brings together what is known of a work: its newest marks and what its pixels told. */
@Component
public class EvidenceFinder {
  private final MarkingStore markings;
  private final PixelReadingStore pixelReadings;
  private final RepeatStore repeats;

  EvidenceFinder(MarkingStore markings, PixelReadingStore pixelReadings, RepeatStore repeats) {
    this.markings = markings;
    this.pixelReadings = pixelReadings;
    this.repeats = repeats;
  }

  public Evidence of(Work work) {
    return of(work, repeats.technicalError(work.studyId()).markingError());
  }

  /** For many works of one study: its marking error is found once. */
  public Evidence of(Work work, MarkingError markingError) {
    return new Evidence(
        markings.newest(work.id(), work.view()).marks(),
        pixelReadings.progress(work.id()).readings(),
        markingError);
  }

  /** Length of the marked head in pixels of the picture; 0 where no head is marked. */
  public double headPixels(Work work) {
    return markings
        .newest(work.id(), work.view())
        .marks()
        .headFrame()
        .map(HeadFrame::headPixels)
        .orElse(0.0);
  }

  /** How exactly the works of a study are marked, as far as that was tried. */
  public TechnicalError technicalError(long studyId) {
    return repeats.technicalError(studyId);
  }
}
