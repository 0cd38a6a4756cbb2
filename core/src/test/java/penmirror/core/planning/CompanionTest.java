package penmirror.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Estimate;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.colour.ColourMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.planning.Companion.Remark;
import penmirror.core.reading.CutOut;
import penmirror.core.telling.CompanionWords;

class CompanionTest {
  private static final Marks FIGURE = Canon.realistic();
  private static final double CROWN = FIGURE.require(Landmark.CROWN).y();
  private static final double SOLE = FIGURE.require(Landmark.SOLE).y();
  private static final double HEAD = FIGURE.headFrame().orElseThrow().headPixels();

  private static Evidence evidence(Marks marks, Map<Measure, Double> pixels) {
    Map<String, Estimate> estimates = new HashMap<>();
    pixels.forEach((measure, value) -> estimates.put(measure.key(), Estimate.withoutError(value)));
    return new Evidence(
        marks,
        Optional.of(
            new PixelReadings(1, 10, 10, 0, estimates, Map.of(), List.of(), List.of(), List.of())));
  }

  private static Marks without(Landmark landmark) {
    Set<Landmark> others = new HashSet<>(FIGURE.landmarks().keySet());
    others.remove(landmark);
    return FIGURE.only(others);
  }

  /** The figure stands left of the middle of its picture. */
  private static Companion.Host host(Map<Measure, Double> pixels) {
    return Companion.Host.of(evidence(FIGURE, pixels), 1000, 1200, Optional.of(cut()))
        .orElseThrow();
  }

  private static CutOut.Place cut() {
    return new CutOut.Place(100, (int) CROWN, 300, (int) (SOLE - CROWN));
  }

  /** The same figure drawn half as large. */
  private static Companion.Guest guest(Map<Measure, Double> pixels) {
    Marks half = FIGURE.moved(FIGURE.landmarks().keySet(), p -> new Point(p.x() / 2, p.y() / 2));
    CutOut.Place cut = new CutOut.Place(50, (int) (CROWN / 2), 150, (int) ((SOLE - CROWN) / 2));
    return Companion.Guest.of(evidence(half, pixels), cut).orElseThrow();
  }

  private static Companion begun(Map<Measure, Double> theirs, Map<Measure, Double> own) {
    return Companion.begun(host(theirs), guest(own), true);
  }

  private static Companion moved(Companion begun, double down, double larger, boolean mirrored) {
    Companion.Stand stand = begun.stand();
    return Companion.at(
        begun.host(),
        begun.guest(),
        new Companion.Stand(
            stand.x(), stand.ground() + down, stand.scale() * larger, mirrored, false));
  }

  private static String told(Companion companion) {
    return String.join(" ", companion.remarks().stream().map(CompanionWords::of).toList());
  }

  @Test
  void itBeginsOnTheirGroundWithAHeadAsHighWhereThereIsRoom() {
    Companion begun = begun(Map.of(), Map.of());
    assertThat(begun.stand().scale()).isCloseTo(2, within(1e-9));
    assertThat(begun.stand().ground()).isCloseTo(SOLE, within(1e-9));
    assertThat(begun.stand().x()).as("middle of what is free at the right").isEqualTo(700);
    LineUp.Place place = begun.place();
    assertThat(place.left()).isCloseTo(550, within(1e-9));
    assertThat(place.width()).isCloseTo(300, within(1e-9));
    assertThat(place.top()).as("crowns are level").isCloseTo(CROWN, within(1.5));
    assertThat(told(begun)).isEqualTo("Its head is as high as theirs. It stands on their ground.");
  }

  /** Where the picture is too narrow its paper goes on, so that nobody stands before anybody. */
  @Test
  void thePaperGoesOnForThoseWhoHaveNoRoom() {
    Companion.Guest guest = guest(Map.of());
    Companion.Host narrow =
        Companion.Host.of(evidence(FIGURE, Map.of()), 450, 1200, Optional.of(cut())).orElseThrow();
    Companion.Host host = narrow.withRoomFor(List.of(guest, guest));
    assertThat(host.room().left()).isPositive();
    assertThat(host.room().right()).isPositive();
    LineUp.Place first = Companion.begun(host, guest, true).place();
    LineUp.Place second = Companion.begun(host, guest, false).place();
    assertThat(first.left() + first.width()).as("freer at the left").isLessThan(100);
    assertThat(first.left()).isGreaterThan(-host.room().left());
    assertThat(second.left()).isGreaterThan(400);
    assertThat(second.left() + second.width()).isLessThan(450 + host.room().right());
    assertThat(host(Map.of()).withRoomFor(List.of(guest)).room())
        .as("it has room for one")
        .isEqualTo(new Companion.Room(0, 0));
  }

  /** A bust has no ground: heads are set level. */
  @Test
  void withoutASoleHeadsStandLevel() {
    Marks bust = without(Landmark.SOLE);
    Companion begun =
        Companion.begun(
            Companion.Host.of(evidence(bust, Map.of()), 1000, 1200, Optional.of(cut()))
                .orElseThrow(),
            guest(Map.of()),
            true);
    assertThat(begun.place().top()).isCloseTo(CROWN, within(1.5));
    assertThat(begun.remarks()).hasSize(1);
  }

  @Test
  void aPictureWithoutAHeadIsNoHost() {
    Marks none = without(Landmark.CROWN);
    assertThat(Companion.Host.of(evidence(none, Map.of()), 10, 10, Optional.empty())).isEmpty();
    assertThat(Companion.Guest.of(evidence(none, Map.of()), cut())).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "-0.5 | 1 | Its feet are half a head above theirs, so it is farther back: draw it smaller."
            + " Its head is as high as theirs.",
        "1.5 | 1 | Its feet are one and a half heads below theirs, so it is nearer: draw it larger."
            + " Its head is as high as theirs.",
        "0 | 1.5 | Its head is larger than theirs, by half. It stands on their ground.",
        "0.5 | 1.5 | It stands nearer, and its head is larger by half."
            + " Its feet are half a head below theirs.",
        "-0.5 | 1.5 | Its head is larger than theirs, by half."
            + " Its feet are half a head above theirs, so it is farther back: draw it smaller.",
        "-0.5 | 0.75 | It stands farther back, and its head is smaller by a quarter."
            + " Its feet are half a head above theirs.",
        "0.5 | 0.75 | Its head is smaller than theirs, by a quarter."
            + " Its feet are half a head below theirs, so it is nearer: draw it larger."
      })
  void sizeAndGroundGoTogether(double headsDown, double larger, String told) {
    assertThat(told(moved(begun(Map.of(), Map.of()), headsDown * HEAD, larger, false)))
        .isEqualTo(told);
  }

  /** Six pixels at half the size look as twelve do. */
  @Test
  void aLineIsHeldAgainstTheirsAtTheSizeItIsSetIn() {
    Map<Measure, Double> twelve = Map.of(LineMeasures.WIDTH, 12.0);
    assertThat(told(begun(twelve, Map.of(LineMeasures.WIDTH, 6.0)))).contains("as heavy as theirs");
    Companion thin = begun(twelve, Map.of(LineMeasures.WIDTH, 4.0));
    assertThat(told(thin))
        .startsWith("Its line is too thin beside theirs: 6.0 px on your canvas, not 4.0.");
    assertThat(told(moved(thin, 0, 1.5, false))).contains("as heavy as theirs");
    assertThat(told(begun(twelve, Map.of(LineMeasures.WIDTH, 9.0)))).contains("too thick");
  }

  @Test
  void lightsMustComeFromOneSideAndTurningAboutHelpsWhereItDoes() {
    Map<Measure, Double> right = Map.of(ShadeMeasures.LIGHT_FROM, 50.0);
    Companion left = begun(right, Map.of(ShadeMeasures.LIGHT_FROM, 310.0));
    assertThat(told(left))
        .startsWith(
            "Its light comes from the upper left, theirs from the upper right."
                + " Turned about, it would fit.");
    assertThat(told(moved(left, 0, 1, true)))
        .contains("Its light comes from the upper right, as theirs does.");
    assertThat(told(begun(right, Map.of(ShadeMeasures.LIGHT_FROM, 180.0))))
        .startsWith("Its light comes from below, theirs from the upper right.")
        .doesNotContain("Turned about");
  }

  @Test
  void theTwoTonesThatGiveItAwayMostAreTold() {
    Map<Measure, Double> theirs =
        Map.of(
            ColourMeasures.DARKEST, 0.15, LineMeasures.DARKNESS, 0.2, ColourMeasures.CHROMA, 0.1);
    Map<Measure, Double> own =
        Map.of(ColourMeasures.DARKEST, 0.5, LineMeasures.DARKNESS, 0.2, ColourMeasures.CHROMA, 0.1);
    List<Remark> tones =
        begun(theirs, own).remarks().stream().filter(Remark.Tone.class::isInstance).toList();
    assertThat(tones).extracting(Remark::fits).containsExactly(false, true);
    assertThat(CompanionWords.of(tones.get(0))).startsWith("Darkest colour ").contains("lighter");
  }

  /** Dragged away or blown up, some of it stays within the picture. */
  @Test
  void itCannotBeLost() {
    Companion begun = begun(Map.of(), Map.of());
    for (double far : new double[] {-1e6, 1e6}) {
      for (double size : new double[] {1e-6, 1, 1e6}) {
        LineUp.Place place =
            Companion.at(
                    begun.host(), begun.guest(), new Companion.Stand(far, far, size, false, false))
                .place();
        assertThat(place.left()).isLessThan(1000);
        assertThat(place.top()).isLessThan(1200);
        assertThat(place.left() + place.width()).isPositive();
        assertThat(place.top() + place.height()).isPositive();
      }
    }
  }
}
