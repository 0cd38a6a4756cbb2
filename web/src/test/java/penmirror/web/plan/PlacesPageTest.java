package penmirror.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import penmirror.core.card.LinesByPlace;
import penmirror.core.geometry.Point;
import penmirror.core.measure.line.LinePlaces;
import penmirror.core.measure.line.Station;

class PlacesPageTest {
  private static final LinesByPlace LINES =
      new LinesByPlace(
          List.of(
              new LinesByPlace.Placed(Station.CHIN, OptionalDouble.of(1.5), 0, 4),
              new LinesByPlace.Placed(Station.FOREARM, OptionalDouble.empty(), 3, 4)),
          OptionalDouble.empty(),
          4);

  /** Twenty thousandths of a head of 500 px are 10 px, and half as much again at the chin. */
  @Test
  void widthsAreInPixelsOfTheCanvas() {
    PlacesPage page = PlacesPage.of(Optional.of(20.0), Optional.of(LINES), Optional.empty(), 500);
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
    assertThat(PlacesPage.of(Optional.of(20.0), Optional.empty(), Optional.empty(), 500).rows())
        .isEmpty();
    assertThat(PlacesPage.of(Optional.empty(), Optional.of(LINES), Optional.empty(), 500).rows())
        .isEmpty();
  }

  /** An attempt with lines of 16 thousandths: 8 px, at the chin a quarter more than its own. */
  @Test
  void attemptStandsBesideAtTheSameSize() {
    LinesByPlace.Drawing attempt =
        new LinesByPlace.Drawing(
            List.of(
                new LinePlaces.Seen(Station.CHIN, false, new Point(0, 0), OptionalDouble.of(1.25)),
                new LinePlaces.Seen(Station.FOREARM, true, new Point(0, 0), OptionalDouble.of(1))),
            16);
    PlacesPage page =
        PlacesPage.of(Optional.of(20.0), Optional.of(LINES), Optional.of(attempt), 500);
    assertThat(page.hasOwn()).isTrue();
    assertThat(page.rows())
        .containsExactly(
            new PlacesPage.Row("chin", "15", "10", true),
            new PlacesPage.Row("forearm", "", "8.0", true));
  }
}
