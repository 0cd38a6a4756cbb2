package penmirror.web.rules;

import penmirror.core.measure.Measure;
import penmirror.core.style.MeasuredWork;

/** Where a work's dot on a strip leads. */
final class WorkLink {
  private WorkLink() {}

  /** To where a reading from pixels comes from, and to the bench for a marked one. */
  static String of(long studyId, MeasuredWork work, Measure measure) {
    return "/studies/"
        + studyId
        + "/works/"
        + work.id()
        + "/"
        + (measure.isFromPixels() ? "origin?show=" + measure.key() : "measure");
  }
}
