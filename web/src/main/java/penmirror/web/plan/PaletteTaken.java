package penmirror.web.plan;

import org.springframework.stereotype.Component;
import penmirror.web.studies.Study;

/**
 * Whether the illustrator's palette is taken over with the style. It is where nothing is kept of
 * the character's own colours; else they are the character's, and nobody judges them.
 */
@Component
public class PaletteTaken {
  private final PlanStore store;

  PaletteTaken(PlanStore store) {
    this.store = store;
  }

  public boolean by(Study study) {
    return store.settings(study.id()).keepColoursPercent() == 0;
  }
}
