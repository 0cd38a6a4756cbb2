package penmirror.core.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.TurnMeasures;
import penmirror.core.planning.SeenHead;
import penmirror.core.statistics.Sample;
import penmirror.core.style.MeasuredWork;

/**
 * What a hand does with a head that turns away.
 *
 * @param works that show a head in three-quarter view, 1 or more
 * @param degrees how far these are turned, the median
 * @param farWidth of the far eye over the near one, the median; empty where no work shows both
 * @param farHeight likewise
 * @param heads as the works have them from the front, turned and from the side, as far as they show
 *     them
 */
public record Turned(
    int works,
    double degrees,
    OptionalDouble farWidth,
    OptionalDouble farHeight,
    List<SeenHead> heads) {
  private static final List<View> VIEWS = List.of(View.FRONT, View.THREE_QUARTER, View.SIDE);

  public Turned {
    heads = List.copyOf(heads);
  }

  /**
   * @param works with their readings, in any view
   * @param drawn their marks
   * @return empty where no work shows how far it is turned
   */
  public static Optional<Turned> of(List<MeasuredWork> works, List<Marks> drawn) {
    double[] degrees = readings(works, TurnMeasures.TURN);
    if (degrees.length == 0) {
      return Optional.empty();
    }
    List<SeenHead> heads = new ArrayList<>();
    VIEWS.forEach(view -> SeenHead.of(view, drawn).ifPresent(heads::add));
    return Optional.of(
        new Turned(
            degrees.length,
            Sample.of(degrees).median(),
            median(works, TurnMeasures.FAR_WIDTH),
            median(works, TurnMeasures.FAR_HEIGHT),
            heads));
  }

  private static double[] readings(List<MeasuredWork> works, Measure measure) {
    return works.stream()
        .filter(work -> work.view() == View.THREE_QUARTER && work.values().containsKey(measure))
        .mapToDouble(work -> work.value(measure))
        .toArray();
  }

  private static OptionalDouble median(List<MeasuredWork> works, Measure measure) {
    double[] values = readings(works, measure);
    return values.length == 0
        ? OptionalDouble.empty()
        : OptionalDouble.of(Sample.of(values).median());
  }
}
