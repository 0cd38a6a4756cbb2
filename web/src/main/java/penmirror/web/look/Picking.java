package penmirror.web.look;

import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.coverage.Part;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** Boxes to look at while drawing a part. */
@Service
class Picking {
  private final LookStore looks;

  Picking(LookStore looks) {
    this.looks = looks;
  }

  /** Picks a box for a part; one too small to be meant is passed over. */
  @Transactional
  public void pick(Work work, Part part, Dragged dragged, boolean mirrored) {
    dragged.on(work).ifPresent(box -> looks.pick(work.id(), part.word(), box, mirrored));
  }

  @Transactional
  public void unpick(Study study, long pickId) {
    looks.unpick(study.id(), pickId);
  }
}
