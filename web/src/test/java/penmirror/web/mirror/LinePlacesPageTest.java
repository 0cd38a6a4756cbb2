package penmirror.web.mirror;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import penmirror.core.card.LinesByPlace;
import penmirror.core.geometry.Point;
import penmirror.core.measure.line.LinePlaces.Seen;
import penmirror.core.measure.line.Station;

class LinePlacesPageTest {
  private static final OptionalDouble OPEN = OptionalDouble.empty();

  private static LinesByPlace.Placed placed(Station station, OptionalDouble width, int open) {
    return new LinesByPlace.Placed(station, width, open, 4);
  }

  private static Seen seen(Station station, double x, OptionalDouble width) {
    return new Seen(station, false, new Point(x, 2), width);
  }

  /** Theirs are 10 thousandths of a head of 500 px, so 5 px; yours 8, so 4 px. */
  private static LinePlacesPage page(List<LinesByPlace.Placed> theirs, Seen... yours) {
    return LinePlacesPage.of(
        Optional.of(10.0),
        Optional.of(new LinesByPlace(theirs, OptionalDouble.empty(), 4)),
        Optional.of(new LinesByPlace.Drawing(List.of(yours), 8)),
        Optional.of(500.0));
  }

  @Test
  void everyWayToBeOffIsSaidInPixels() {
    LinePlacesPage page =
        page(
            List.of(
                placed(Station.CHEEK, OptionalDouble.of(2), 0),
                placed(Station.CHIN, OptionalDouble.of(1), 0),
                placed(Station.NECK, OPEN, 4),
                placed(Station.WAIST, OptionalDouble.of(1), 0),
                placed(Station.SHOULDER, OptionalDouble.of(1), 0),
                placed(Station.CALF, OptionalDouble.of(1), 0)),
            seen(Station.CHEEK, 1, OptionalDouble.of(1)),
            seen(Station.CHIN, 3, OptionalDouble.of(2.5)),
            seen(Station.NECK, 5, OptionalDouble.of(1)),
            seen(Station.WAIST, 7, OPEN),
            seen(Station.SHOULDER, 9, OptionalDouble.of(1.2)));
    assertThat(page.off())
        .containsExactly(
            new LinePlacesPage.Row("Thin at the cheek: 4.0 px, theirs 10", "1.0,2.0"),
            new LinePlacesPage.Row("Heavy at the chin: 10 px, theirs 5.0", "3.0,2.0"),
            new LinePlacesPage.Row("Closed at the neck: theirs is left open", "5.0,2.0"),
            new LinePlacesPage.Row("Open at the waist: theirs is 5.0 px", "7.0,2.0"));
    assertThat(page.near()).isEqualTo("shoulder");
    assertThat(page.radius()).isEqualTo("50.0");
    assertThat(page.told()).isTrue();
  }

  @Test
  void whatOnlyTheWorksTellIsNothing() {
    LinePlacesPage page = page(List.of(placed(Station.CHEEK, OptionalDouble.of(2), 0)));
    assertThat(page.off()).isEmpty();
    assertThat(page.told()).isFalse();
  }

  @Test
  void withoutARuleWorksOrAHeadNothingIsTold() {
    assertThat(
            LinePlacesPage.of(
                    Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty())
                .told())
        .isFalse();
  }
}
