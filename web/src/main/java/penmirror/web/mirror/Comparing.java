package penmirror.web.mirror;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import penmirror.core.scoring.Scorer;
import penmirror.core.scoring.Way;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.WayWords;
import penmirror.core.words.Wording;
import penmirror.web.sheets.BaseLines;
import penmirror.web.sheets.Loaded;
import penmirror.web.studies.Study;
import penmirror.web.studies.Work;

/** A redraw beside the user's own hand and the other styles that are studied here. */
@Component
class Comparing {
  private final BaseLines baseLines;

  /** Kept for as long as both sheets are. */
  private final Cache<StyleSheet, Cache<StyleSheet, Optional<Double>>> known =
      Caffeine.newBuilder().weakKeys().build();

  private final Cache<StyleSheet, Map<MeasuredWork, Optional<Double>>> glances =
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

  /**
   * How far the redraw has come from the own drawing; empty without one, or where all was right.
   */
  Optional<String> way(Loaded loaded, Work redraw) {
    return loaded
        .character(own -> !loaded.drawn(own).values().isEmpty())
        .flatMap(
            own ->
                WayWords.sentences(
                    Way.of(
                        loaded.sheetAsked(redraw),
                        loaded.drawn(own).values(),
                        loaded.drawn(redraw).values())));
  }

  /**
   * Whose it would be taken for, of all hands that are studied here; empty where there is no other,
   * or where nothing can be told at a glance.
   */
  Optional<String> nearestHand(Study study, Loaded loaded, Work redraw) {
    MeasuredWork drawn = loaded.drawn(redraw);
    Optional<Double> here = glance(loaded.sheet(), drawn);
    List<StyleSheet> others = new ArrayList<>(baseLines.others(study));
    Optional<StyleSheet> own = baseLines.ownHand(study);
    own.ifPresent(others::add);
    @Nullable StyleSheet nearest = null;
    double most = -1;
    for (StyleSheet other : others) {
      double points = glance(other, drawn).orElse(-1.0);
      if (points > most) {
        most = points;
        nearest = other;
      }
    }
    if (here.isEmpty() || nearest == null) {
      return Optional.empty();
    }
    String name =
        own.filter(nearest::equals).isPresent() ? Wording.text("hands.own") : nearest.name();
    boolean isHere = here.get() >= most;
    return Optional.of(
        Wording.text(
            isHere ? "hands.here" : "hands.elsewhere",
            study.hand(),
            Wording.number(here.get(), 0),
            name,
            Wording.number(most, 0)));
  }

  private Optional<Double> glance(StyleSheet sheet, MeasuredWork drawn) {
    return glances
        .get(sheet, key -> new ConcurrentHashMap<>())
        .computeIfAbsent(drawn, key -> Scorer.bothOf(sheet, drawn).glance());
  }

  private Optional<Double> reached(StyleSheet sheet, StyleSheet other) {
    return known
        .get(sheet, key -> Caffeine.newBuilder().weakKeys().build())
        .get(other, key -> Scorer.middleByRules(sheet, other.works()));
  }
}
