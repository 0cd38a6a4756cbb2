package penmirror.core.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import penmirror.core.geometry.Point;
import penmirror.core.measure.line.LinePlaces.Seen;
import penmirror.core.measure.line.Station;

class LinesByPlaceTest {
  private static Seen seen(Station station, boolean onRight, double width) {
    return new Seen(
        station,
        onRight,
        new Point(0, 0),
        width > 0 ? OptionalDouble.of(width) : OptionalDouble.empty());
  }

  private static LinesByPlace.Work work(double light, Seen... seen) {
    return new LinesByPlace.Work(List.of(seen), OptionalDouble.of(light));
  }

  @Test
  void placesAreMediansOverWorksOfBothTheirSides() {
    LinesByPlace lines =
        LinesByPlace.of(
                List.of(
                    work(0, seen(Station.CHEEK, false, 1.2), seen(Station.CHEEK, true, 1.6)),
                    work(0, seen(Station.CHEEK, false, 2)),
                    work(0, seen(Station.CHEEK, true, 1))))
            .orElseThrow();
    assertThat(lines.at(Station.CHEEK).orElseThrow()).isCloseTo(1.4, within(1e-9));
    assertThat(lines.at(Station.CHIN)).isEmpty();
    assertThat(lines.awayFromLight()).isEmpty();
    assertThat(CardWords.of(lines))
        .containsExactly("Heaviest at the cheek, 1.4 times the usual line.");
  }

  @Test
  void twoWorksMakeNoRuleOfAPlace() {
    LinesByPlace.Work work = work(0, seen(Station.CHIN, false, 2));
    assertThat(LinesByPlace.of(List.of(work, work))).isEmpty();
    assertThat(LinesByPlace.of(List.of(work, work, work))).isPresent();
  }

  @Test
  void whatMostWorksLeaveOpenIsOpen() {
    LinesByPlace lines =
        LinesByPlace.of(
                List.of(
                    work(0, seen(Station.JAW, false, 0), seen(Station.JAW, true, 0)),
                    work(0, seen(Station.JAW, false, 0)),
                    work(0, seen(Station.JAW, false, 1), seen(Station.JAW, true, 0))))
            .orElseThrow();
    assertThat(lines.places().get(0).isOpen()).isTrue();
    assertThat(lines.at(Station.JAW)).isEmpty();
    assertThat(CardWords.of(lines)).containsExactly("Left open at the jaw, in 2 of 3 works.");
  }

  /** The light comes from the right: the left side lies away from it. */
  @Test
  void sideAwayFromTheLightIsHeldAgainstTheOther() {
    List<LinesByPlace.Work> works = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      works.add(
          work(
              60,
              seen(Station.NECK, false, 1.3),
              seen(Station.NECK, true, 1),
              seen(Station.SHOULDER, false, 1.3),
              seen(Station.SHOULDER, true, 1)));
    }
    LinesByPlace lines = LinesByPlace.of(works).orElseThrow();
    assertThat(lines.awayFromLight().orElseThrow()).isCloseTo(1.3, within(1e-9));
    assertThat(CardWords.of(lines)).contains("30 % heavier on the side away from the light.");
  }

  @Test
  void evenLinesAreToldToBeEven() {
    LinesByPlace.Work work =
        work(0, seen(Station.NECK, false, 1.05), seen(Station.CHIN, false, 0.95));
    assertThat(CardWords.of(LinesByPlace.of(List.of(work, work, work)).orElseThrow()))
        .containsExactly("About as heavy in one place as in another.");
  }
}
