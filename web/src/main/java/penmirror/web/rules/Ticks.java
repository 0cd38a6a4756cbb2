package penmirror.web.rules;

import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Component;
import penmirror.core.style.Ticked;
import penmirror.web.measure.TickStore;
import penmirror.web.studies.Study;

/** What was ticked on a study's works, as rules: what is always and never so first. */
@Component
class Ticks {
  private final TickStore ticks;

  Ticks(TickStore ticks) {
    this.ticks = ticks;
  }

  List<Ticked> of(Study study) {
    return ticks.ofStudy(study.id()).stream()
        .sorted(Comparator.comparing((Ticked ticked) -> ticked.holds() == Ticked.Holds.FREE))
        .toList();
  }
}
