package penmirror.core.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;
import penmirror.core.figure.View;
import penmirror.core.scoring.Scorer;

class HouseColoursTest {
  private static final int[] HOUSE = {0xF0CBA6, 0x7C8450, 0x4D4566, 0xE3A93F};

  /** Works that share the house colours and have one colour of their own. */
  private static List<MeasuredWork> works() {
    int[] own = {0xC0552E, 0x2E7FC0, 0x8A3A9A, 0x3A9A5A, 0xB0B0B0};
    List<MeasuredWork> works = new ArrayList<>();
    for (int rgb : own) {
      List<Swatch> flats = new ArrayList<>();
      for (int house : HOUSE) {
        flats.add(swatch(house, 0.2));
      }
      flats.add(swatch(rgb, 0.2));
      works.add(
          new MeasuredWork(
              "" + rgb,
              "",
              "",
              View.FRONT,
              Portrayal.ANY,
              Map.of(),
              Set.of(),
              Set.of(),
              flats,
              flats,
              List.of(),
              1));
    }
    return works;
  }

  private static Swatch swatch(int rgb, double share) {
    return new Swatch(OkLab.from(EncodedSrgb.fromRgb(rgb)), share, Swatch.Role.UNNAMED);
  }

  private static List<Swatch> flats(int... colours) {
    List<Swatch> flats = new ArrayList<>();
    for (int rgb : colours) {
      flats.add(swatch(rgb, 1.0 / colours.length));
    }
    return flats;
  }

  @Test
  void thoseWhoPaintInHouseColoursHaveFullCredit() {
    HouseColours house = HouseColours.of(works());
    assertThat(house.credit(flats(HOUSE), Scorer::credit).orElseThrow()).isEqualTo(1);
  }

  @Test
  void foreignColoursHaveNextToNone() {
    HouseColours house = HouseColours.of(works());
    double foreign =
        house.credit(flats(0x00FFAA, 0xFF00CC, 0x101010, 0x0055FF), Scorer::credit).orElseThrow();
    double half =
        house.credit(flats(HOUSE[0], HOUSE[1], 0xFF00CC, 0x0055FF), Scorer::credit).orElseThrow();
    assertThat(foreign).isLessThan(0.01);
    assertThat(half).isGreaterThan(foreign).isLessThan(0.9);
  }

  /** The order of the flats and their total do not matter, only their shares. */
  @Test
  void sharesAreTakenOfTheirSum() {
    HouseColours house = HouseColours.of(works());
    List<Swatch> halves =
        flats(HOUSE[0], 0xFF00CC).stream()
            .map(s -> new Swatch(s.colour(), s.shareOfFigure() / 2, s.role()))
            .toList();
    assertThat(house.credit(halves, Scorer::credit).orElseThrow())
        .isCloseTo(
            house.credit(flats(HOUSE[0], 0xFF00CC), Scorer::credit).orElseThrow(), offset(1e-12));
  }

  /** Works without a colour in common have no house colours, and that is no fault of a picture. */
  @Test
  void withoutHouseColoursTheOtherTwoStillCount() {
    List<MeasuredWork> scattered = new ArrayList<>();
    int[][] sets = {{0xC0552E, 0x2E7FC0}, {0x8A3A9A, 0x3A9A5A}, {0xB0B0B0, 0x303030}};
    for (int[] set : sets) {
      scattered.add(
          new MeasuredWork(
              "" + set[0],
              "",
              "",
              View.FRONT,
              Portrayal.ANY,
              Map.of(),
              Set.of(),
              Set.of(),
              flats(set),
              flats(set),
              List.of(),
              1));
    }
    assertThat(HouseColours.of(scattered).credit(flats(0xC0552E), Scorer::credit).orElseThrow())
        .isBetween(0.0, 1.0);
  }

  @Test
  void oneWorkAndNoColoursSayNothing() {
    assertThat(HouseColours.of(works().subList(0, 1)).credit(flats(HOUSE), Scorer::credit))
        .isEmpty();
    assertThat(HouseColours.of(works()).credit(List.of(), Scorer::credit)).isEmpty();
  }
}
