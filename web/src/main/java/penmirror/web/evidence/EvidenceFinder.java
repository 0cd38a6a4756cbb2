package penmirror.web.evidence;

import org.springframework.stereotype.Component;
import penmirror.core.measure.Evidence;
import penmirror.web.studies.Work;

/** Brings together what is known of a work: its newest marks and what its pixels told. */
@Component
public class EvidenceFinder {
  private final MarkingStore markings;
  private final PixelReadingStore pixelReadings;

  EvidenceFinder(MarkingStore markings, PixelReadingStore pixelReadings) {
    this.markings = markings;
    this.pixelReadings = pixelReadings;
  }

  public Evidence of(Work work) {
    return new Evidence(
        markings.newest(work.id(), work.view()).marks(),
        pixelReadings.progress(work.pictureSha256()).readings());
  }
}
