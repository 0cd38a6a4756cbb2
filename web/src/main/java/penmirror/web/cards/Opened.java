package penmirror.web.cards;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import penmirror.core.card.LinesByPlace;
import penmirror.core.card.Values;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.line.LinePlaces;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.web.evidence.CutOuts;
import penmirror.web.evidence.LinesSeen;
import penmirror.web.sheets.Loaded;
import penmirror.web.studies.Work;

/** What the works of a sheet must be opened for; known as long as the sheet stands. */
@Component
public class Opened {
  /** More works say no more, and each must be opened. */
  private static final int MOST_OPENED = 24;

  private final CutOuts cutOuts;
  private final LinesSeen lines;

  private final Cache<StyleSheet, Optional<Values>> values =
      Caffeine.newBuilder().weakKeys().build();

  private final Cache<StyleSheet, Optional<LinesByPlace>> places =
      Caffeine.newBuilder().weakKeys().build();

  Opened(CutOuts cutOuts, LinesSeen lines) {
    this.cutOuts = cutOuts;
    this.lines = lines;
  }

  /** The values of the works; empty without works. Waits for them the first time. */
  public Optional<Values> values(Loaded loaded) {
    return once(
        values,
        loaded,
        works ->
            Values.of(
                works.parallelStream()
                    .flatMap(
                        work ->
                            cutOuts
                                .of(work)
                                .map(
                                    cut ->
                                        new Values.Seen(cut.small(), loaded.evidence(work).marks()))
                                .stream())
                    .toList()));
  }

  /** Their lines place by place; empty without works. Waits for them the first time. */
  public Optional<LinesByPlace> places(Loaded loaded) {
    return once(
        places,
        loaded,
        works ->
            LinesByPlace.of(
                works.parallelStream()
                    .map(
                        work ->
                            new LinesByPlace.Work(
                                seen(loaded, work),
                                ShadeMeasures.LIGHT_FROM.value(loaded.evidence(work))))
                    .toList()));
  }

  /** Width of the works' lines in thousandths of a head; empty where that is not ruled. */
  public Optional<Double> usualLine(Loaded loaded) {
    return loaded.sheet().rule(LineMeasures.WIDTH).map(Rule::centre);
  }

  /** The lines of a redraw place by place; empty where its line weight is not read. */
  public Optional<LinesByPlace.Drawing> lines(Loaded loaded, Work redraw) {
    return Optional.ofNullable(loaded.drawn(redraw).values().get(LineMeasures.WIDTH))
        .map(usual -> new LinesByPlace.Drawing(seen(loaded, redraw), usual));
  }

  private List<LinePlaces.Seen> seen(Loaded loaded, Work work) {
    return lines.of(work, loaded.evidence(work).marks());
  }

  /** Whether asking for the values would wait. */
  boolean valuesWait(Loaded loaded) {
    return canBeOpened(loaded) && values.getIfPresent(loaded.sheet()) == null;
  }

  /** Whether asking for the lines would wait. */
  boolean placesWait(Loaded loaded) {
    return canBeOpened(loaded) && places.getIfPresent(loaded.sheet()) == null;
  }

  private static <T> Optional<T> once(
      Cache<StyleSheet, Optional<T>> known, Loaded loaded, Function<List<Work>, Optional<T>> make) {
    return canBeOpened(loaded)
        ? known.get(loaded.sheet(), sheet -> make.apply(works(loaded)))
        : Optional.empty();
  }

  private static boolean canBeOpened(Loaded loaded) {
    return !loaded.isFromFile() && !loaded.sheet().works().isEmpty();
  }

  /** Those that the sheet is made of. */
  private static List<Work> works(Loaded loaded) {
    List<String> ruling = loaded.sheet().works().stream().map(MeasuredWork::id).toList();
    return loaded.inRole(Work.Role.SOURCE).stream()
        .filter(work -> ruling.contains(Long.toString(work.id())))
        .limit(MOST_OPENED)
        .toList();
  }
}
