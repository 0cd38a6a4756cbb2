package penmirror.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import penmirror.core.card.LinesByPlace;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.line.LinePlaces;
import penmirror.core.measure.line.Station;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

class PlacesPageTest {
  private static final LinesByPlace LINES =
      new LinesByPlace(
          List.of(
              new LinesByPlace.Placed(Station.CHIN, OptionalDouble.of(1.5), 0, 4),
              new LinesByPlace.Placed(Station.FOREARM, OptionalDouble.empty(), 3, 4)),
          OptionalDouble.empty(),
          4);

  private static StyleSheet sheet(Map<Measure, Double> rules) {
    MeasuredWork work = new MeasuredWork("1", "Work", "", View.FRONT, rules, List.of());
    return StyleSheet.of("A hand", View.FRONT, List.of(work, work, work, work));
  }

  /** Twenty thousandths of a head of 500 px are 10 px, and half as much again at the chin. */
  @Test
  void widthsAreInPixelsOfTheCanvas() {
    PlacesPage page =
        PlacesPage.of(
            sheet(Map.of(LineMeasures.WIDTH, 20.0)), Optional.of(LINES), Optional.empty(), 500);
    assertThat(page.rows())
        .containsExactly(
            new PlacesPage.Row("chin", "15", "", false),
            new PlacesPage.Row("forearm", "", "", false));
    assertThat(page.told())
        .containsExactly(
            "Heaviest at the chin, 1.5 times the usual line.",
            "Left open at the forearm, in 3 of 4 works.");
  }

  @Test
  void withoutPlacesOrARuleOfTheLineThereAreNoRows() {
    assertThat(
            PlacesPage.of(
                    sheet(Map.of(LineMeasures.WIDTH, 20.0)),
                    Optional.empty(),
                    Optional.empty(),
                    500)
                .rows())
        .isEmpty();
    assertThat(PlacesPage.of(sheet(Map.of()), Optional.of(LINES), Optional.empty(), 500).rows())
        .isEmpty();
  }

  /** An attempt with lines of 16 thousandths: 8 px, at the chin a quarter more than its own. */
  @Test
  void attemptStandsBesideAtTheSameSize() {
    PlacesPage.Attempt attempt =
        new PlacesPage.Attempt(
            List.of(
                new LinePlaces.Seen(Station.CHIN, false, new Point(0, 0), OptionalDouble.of(1.25)),
                new LinePlaces.Seen(Station.FOREARM, true, new Point(0, 0), OptionalDouble.of(1))),
            16);
    PlacesPage page =
        PlacesPage.of(
            sheet(Map.of(LineMeasures.WIDTH, 20.0)), Optional.of(LINES), Optional.of(attempt), 500);
    assertThat(page.hasOwn()).isTrue();
    assertThat(page.rows())
        .containsExactly(
            new PlacesPage.Row("chin", "15", "10", true),
            new PlacesPage.Row("forearm", "", "8.0", true));
  }
}
