package penmirror.web.sheets;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import penmirror.core.coverage.PartFrame;
import penmirror.core.measure.Measure;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.web.studies.Work;

/**
 * A piece of a work that shows what a rule says.
 *
 * @param view what of the picture is seen, as an SVG says it
 */
public record Sample(Work work, String view) {

  /** The works that made a rule and on which the place is marked, nearest to its middle first. */
  public static Stream<Sample> of(Loaded loaded, Rule rule) {
    Measure measure = rule.measure();
    return nearest(
        loaded,
        measure,
        loaded.sheet().worksRuledOn(measure),
        work -> Math.abs(rule.apart(work.value(measure))));
  }

  /** The same for what no rule of the sheet is about: by the median of the works that have it. */
  public static Stream<Sample> ofMiddle(Loaded loaded, Measure measure) {
    List<MeasuredWork> having =
        loaded.sheet().works().stream().filter(work -> work.values().containsKey(measure)).toList();
    if (having.isEmpty()) {
      return Stream.empty();
    }
    double middle =
        penmirror.core.statistics.Sample.of(
                having.stream().mapToDouble(work -> work.value(measure)).toArray())
            .median();
    return nearest(
        loaded,
        measure,
        having,
        work -> Math.abs(measure.scale().difference(work.value(measure), middle)));
  }

  private static Stream<Sample> nearest(
      Loaded loaded,
      Measure measure,
      List<MeasuredWork> having,
      ToDoubleFunction<MeasuredWork> apart) {
    Map<String, Work> works = new HashMap<>();
    loaded.inRole(Work.Role.SOURCE).forEach(work -> works.put(Long.toString(work.id()), work));
    return having.stream()
        .filter(work -> works.containsKey(work.id()))
        .sorted(Comparator.comparingDouble(apart))
        .flatMap(work -> Stream.ofNullable(works.get(work.id())))
        .flatMap(work -> of(loaded, measure, work).stream());
  }

  /** The piece of one work; empty where the place is not marked on it. */
  public static Optional<Sample> of(Loaded loaded, Measure measure, Work work) {
    return PartFrame.of(measure, loaded.evidence(work), work.widthPixels(), work.heightPixels())
        .map(frame -> new Sample(work, frame.viewBox()));
  }
}
