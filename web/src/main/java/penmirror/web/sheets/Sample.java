package penmirror.web.sheets;

import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import penmirror.core.coverage.PartFrame;
import penmirror.core.measure.Measure;
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
    Map<String, Work> works = new HashMap<>();
    loaded.inRole(Work.Role.SOURCE).forEach(work -> works.put(Long.toString(work.id()), work));
    return loaded.sheet().worksRuledOn(measure).stream()
        .filter(work -> works.containsKey(work.id()))
        .sorted(Comparator.comparingDouble(work -> Math.abs(rule.apart(work.value(measure)))))
        .flatMap(work -> Stream.ofNullable(works.get(work.id())))
        .flatMap(work -> of(loaded, measure, work).stream());
  }

  private static Optional<Sample> of(Loaded loaded, Measure measure, Work work) {
    return PartFrame.of(measure, loaded.evidence(work), work.widthPixels(), work.heightPixels())
        .map(frame -> new Sample(work, frame.viewBox()));
  }
}
