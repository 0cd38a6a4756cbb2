package penmirror.demoart.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import penmirror.core.geometry.Point;
import penmirror.core.measure.line.LinePlaces;
import penmirror.core.measure.line.Station;
import penmirror.core.raster.Picture;
import penmirror.core.reading.LinePlaceReader;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** The line read place by place against the strokes that were drawn there. */
class LinePlacesTruthTest {
  private static final double SCALE = 0.6;
  private static final double REACH_HEADS = 0.03;
  private static final double ALONG_HEADS = 0.05;
  private static final double WITHIN = 0.08;

  /** Places of a hand from which on it is ruled. */
  private static final int LEAST = 4;

  /** Width of the drawn line nearest to a place, pixels; empty where none lies near. */
  private static OptionalDouble drawn(Rendering rendering, Point place) {
    double head = rendering.headPx();
    double best = Double.POSITIVE_INFINITY;
    double width = 0;
    for (Drawing.Inked inked : rendering.drawing().inked()) {
      for (InkLine line : inked.lines()) {
        List<Point> points = line.stroke().centre().points();
        double[] widths = line.stroke().widths();
        for (int i = 0; i < points.size(); i++) {
          if (line.seen()[i] && rendering.shows(points.get(i))) {
            double apart =
                Math.max(
                    0, rendering.pixel(points.get(i)).distanceTo(place) - widths[i] * head / 2);
            if (apart <= REACH_HEADS * head && apart < best) {
              best = apart;
              width = about(line, i) * head;
            }
          }
        }
      }
    }
    return width > 0 ? OptionalDouble.of(width) : OptionalDouble.empty();
  }

  /** Mean along the line, heads, as far as it is read along. */
  private static double about(InkLine line, int at) {
    List<Point> points = line.stroke().centre().points();
    double sum = 0;
    double length = 0;
    for (int step : new int[] {-1, 1}) {
      double gone = 0;
      for (int i = at;
          i + step >= 0 && i + step < points.size() && gone <= ALONG_HEADS;
          i += step) {
        double piece = points.get(i).distanceTo(points.get(i + step));
        gone += piece;
        if (line.seen()[i]) {
          sum += line.stroke().widths()[i] * piece;
          length += piece;
        }
      }
    }
    return length > 0 ? sum / length : line.stroke().widths()[at];
  }

  /** What is read of one station on the works of one hand, over what was drawn. */
  private record Read(String hand, Station station, List<Double> over) {
    double middle() {
      return over.stream().sorted().toList().get(over.size() / 2);
    }
  }

  @Test
  void lineOfAHandIsReadPlaceByPlace() {
    List<Read> all = new ArrayList<>();
    int open = 0;
    int falselyOpen = 0;
    for (DemoStudio.Folder hand :
        List.of(DemoStudio.odileMarrow(), DemoStudio.casimirThole(), DemoStudio.inesVantour())) {
      Map<Station, List<Double>> over = new EnumMap<>(Station.class);
      for (Commission work : hand.sources()) {
        Illustration drawn = Illustration.of(work, SCALE);
        Map<LinePlaces.Seen, Double> both = new LinkedHashMap<>();
        for (LinePlaces.Seen seen :
            LinePlaceReader.read(Picture.from(drawn.image()), List.of(), drawn.marks())) {
          OptionalDouble truth = drawn(drawn.rendering(), seen.place());
          if (seen.overUsual().isEmpty()) {
            open++;
            falselyOpen += truth.isPresent() ? 1 : 0;
          } else if (truth.isPresent()) {
            both.put(seen, truth.getAsDouble());
          }
        }
        // Widths are read over the median of all lines, which is brought out here.
        List<Double> medians =
            both.entrySet().stream()
                .map(one -> one.getValue() / one.getKey().overUsual().getAsDouble())
                .sorted()
                .toList();
        both.forEach(
            (seen, truth) ->
                over.computeIfAbsent(seen.station(), key -> new ArrayList<>())
                    .add(seen.overUsual().getAsDouble() * medians.get(medians.size() / 2) / truth));
      }
      over.forEach((station, values) -> all.add(new Read(hand.illustrator(), station, values)));
    }
    List<Read> ruled = all.stream().filter(read -> read.over().size() >= LEAST).toList();
    for (Read read : ruled) {
      System.out.printf(
          "%s, %s: %d places, %.3f of what was drawn%n",
          read.hand(), read.station().word(), read.over().size(), read.middle());
    }
    long right = ruled.stream().filter(read -> Math.abs(read.middle() - 1) <= WITHIN).count();
    System.out.printf(
        "line by place: %d of %d within 8 %%; open %d, falsely %d%n",
        right, ruled.size(), open, falselyOpen);
    assertThat(right).isGreaterThanOrEqualTo((long) (0.9 * ruled.size()));
    assertThat(falselyOpen).isLessThanOrEqualTo(open / 10);
  }
}
