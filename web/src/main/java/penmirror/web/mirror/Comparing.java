package penmirror.web.mirror;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.StyleSheet;
import penmirror.web.sheets.BaseLines;
import penmirror.web.studies.Study;

/** What the user's own hand and the nearest other style reach by the rules of a sheet. */
@Component
class Comparing {
  private final BaseLines baseLines;

  Comparing(BaseLines baseLines) {
    this.baseLines = baseLines;
  }

  Verdict.Beside beside(Study study, StyleSheet sheet) {
    Optional<Double> hand =
        baseLines.ownHand(study).flatMap(own -> Scorer.middleByRules(sheet, own.works()));
    List<StyleSheet> others = baseLines.others(study);
    Optional<Double> best = Optional.empty();
    String name = "";
    for (StyleSheet other : others) {
      Optional<Double> points = Scorer.middleByRules(sheet, other.works());
      if (points.isPresent() && points.get() > best.orElse(-1.0)) {
        best = points;
        name = other.name();
      }
    }
    return new Verdict.Beside(hand, best, name);
  }
}
