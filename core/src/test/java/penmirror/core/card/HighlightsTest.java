package penmirror.core.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.RoleTones;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

class HighlightsTest {
  private static final OkLab BASE = new OkLab(0.6, 0.05, 0.05);
  private static final OkLab LIGHT = new OkLab(0.8, 0.03, 0.03);

  private static RoleTones role(Role role, boolean isLit) {
    return new RoleTones(
        role,
        new Tones(
            BASE,
            Optional.empty(),
            Optional.empty(),
            isLit ? Optional.of(LIGHT) : Optional.empty()),
        0.2,
        new Point(1, 1));
  }

  private static StyleSheet sheet(List<List<RoleTones>> works) {
    List<MeasuredWork> measured = new ArrayList<>();
    for (List<RoleTones> roles : works) {
      PixelReadings read =
          new PixelReadings(9, 10, 10, 50, Map.of(), Map.of(), List.of(), List.of(), roles);
      measured.add(
          MeasuredWork.of(
              "" + measured.size(),
              "Work",
              "",
              new Evidence(Marks.none(View.FRONT), Optional.of(read))));
    }
    return StyleSheet.of("A hand", View.FRONT, measured);
  }

  @Test
  void everyRoleIsCountedOverTheWorksThatShowIt() {
    List<List<RoleTones>> works = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      works.add(List.of(role(Role.SKIN, false), role(Role.HAIR, i > 0)));
    }
    works.add(List.of(role(Role.SKIN, false), role(Role.CLOTH, true)));
    Highlights highlights = Highlights.of(sheet(works)).orElseThrow();
    assertThat(highlights.places())
        .containsExactly(new Highlights.On(Role.SKIN, 0, 5), new Highlights.On(Role.HAIR, 3, 4));
    assertThat(CardWords.of(highlights))
        .isEqualTo("Works with a highlight: on the hair 3 of 4, on the skin none.");
  }

  /** A light on either coat is one on the clothes. */
  @Test
  void bothClothsAreOne() {
    List<RoleTones> work = List.of(role(Role.CLOTH, false), role(Role.CLOTH_TWO, true));
    assertThat(Highlights.of(sheet(List.of(work, work, work))).orElseThrow().places())
        .containsExactly(new Highlights.On(Role.CLOTH, 3, 3));
  }

  @Test
  void withoutAnyOrOfTooFewWorksNothingIsSaid() {
    List<RoleTones> flat = List.of(role(Role.HAIR, false));
    List<RoleTones> lit = List.of(role(Role.HAIR, true));
    assertThat(Highlights.of(sheet(List.of(flat, flat, flat)))).isEmpty();
    assertThat(Highlights.of(sheet(List.of(lit, lit)))).isEmpty();
    assertThat(Highlights.of(sheet(List.of()))).isEmpty();
  }
}
