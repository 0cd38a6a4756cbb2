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
import penmirror.core.raster.Fingerprint;
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
import penmirror.web.studies.WorkStore;

/** A redraw beside the user's own hand and the other styles that are studied here. */
@Component
class Comparing {
  private final BaseLines baseLines;
  private final WorkStore works;
  private final Copying copying;

  /** Kept for as long as both sheets are. */
  private final Cache<StyleSheet, Cache<StyleSheet, Optional<Double>>> known =
      Caffeine.newBuilder().weakKeys().build();

  private final Cache<StyleSheet, Map<MeasuredWork, Optional<Double>>> glances =
      Caffeine.newBuilder().weakKeys().build();

  Comparing(BaseLines baseLines, WorkStore works, Copying copying) {
    this.works = works;
    this.copying = copying;
    this.baseLines = baseLines;
  }

  /**
   * What is said of a redraw beside others.
   *
   * @param itself that it is one of the works and no redraw of it
   * @param way how far it has come from the own drawing
   * @param hands whose hand it is nearest to
   */
  record Told(Optional<String> itself, Optional<String> way, Optional<String> hands) {}

  Told told(Study study, Loaded loaded, Work redraw) {
    return new Told(
        itself(study, loaded, redraw), way(loaded, redraw), nearestHand(study, loaded, redraw));
  }

  /** A work is told as what it is: resized, recompressed, cropped, coloured anew, in a mirror. */
  private Optional<String> itself(Study study, Loaded loaded, Work redraw) {
    return byPrint(study, loaded, redraw).or(() -> copying.itself(study, redraw));
  }

  private Optional<String> byPrint(Study study, Loaded loaded, Work redraw) {
    Map<Long, Fingerprint> prints = works.fingerprints(study.id());
    Fingerprint own = prints.get(redraw.id());
    if (own == null) {
      return Optional.empty();
    }
    Fingerprint turned = own.mirrored();
    for (Work work : loaded.inRole(Work.Role.SOURCE)) {
      Fingerprint print = prints.get(work.id());
      if (print != null && own.isNear(print)) {
        return Optional.of(Wording.text("same.work", work.title()));
      } else if (print != null && turned.isNear(print)) {
        return Optional.of(Wording.text("same.work.mirrored", work.title()));
      }
    }
    return Optional.empty();
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
  private Optional<String> nearestHand(Study study, Loaded loaded, Work redraw) {
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
