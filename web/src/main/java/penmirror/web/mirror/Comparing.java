package penmirror.web.mirror;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
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

  /** Kept for as long as both sheets are. */
  private final Cache<StyleSheet, Cache<StyleSheet, Optional<Double>>> known =
      Caffeine.newBuilder().weakKeys().build();

  Comparing(BaseLines baseLines) {
    this.baseLines = baseLines;
  }

  Verdict.Beside beside(Study study, StyleSheet sheet) {
    Optional<Double> hand = baseLines.ownHand(study).flatMap(own -> reached(sheet, own));
    Optional<Double> best = Optional.empty();
    String name = "";
    for (StyleSheet other : baseLines.others(study)) {
      Optional<Double> points = reached(sheet, other);
      if (points.isPresent() && points.get() > best.orElse(-1.0)) {
        best = points;
        name = other.name();
      }
    }
    return new Verdict.Beside(hand, best, name);
  }

  private Optional<Double> reached(StyleSheet sheet, StyleSheet other) {
    return known
        .get(sheet, key -> Caffeine.newBuilder().weakKeys().build())
        .get(other, key -> Scorer.middleByRules(sheet, other.works()));
  }
}
