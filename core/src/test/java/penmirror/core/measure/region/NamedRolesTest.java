package penmirror.core.measure.region;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Swatch;
import penmirror.core.colour.Tones;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Estimate;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.region.NamedRoles.Named;

class NamedRolesTest {
  private static final OkLab RED = new OkLab(0.7, 0.1, 0.05);
  private static final OkLab DARK_RED = new OkLab(0.5, 0.08, 0.02);
  private static final OkLab GREEN = new OkLab(0.6, -0.1, 0.05);
  private static final Point HERE = new Point(10, 20);

  private static Tones laid(OkLab base, OkLab shadow) {
    return new Tones(base, Optional.of(shadow), Optional.empty(), Optional.empty());
  }

  private static Tones flat(OkLab base) {
    return new Tones(base, Optional.empty(), Optional.empty(), Optional.empty());
  }

  /** Green skin was found, with a step, and hair that is not to be seen. */
  private static PixelReadings read() {
    return new PixelReadings(
        9,
        100,
        100,
        5000,
        Map.of(
            RoleMeasures.SKIN.lightness().key(), Estimate.of(-0.1, 0.01),
            RoleMeasures.CLOTH.lightness().key(), Estimate.of(-0.3, 0.01)),
        Map.of(RoleMeasures.HAIR.lightness().key(), Reason.TOO_LITTLE),
        List.of(),
        List.of(
            new Swatch(RED, 0.2, Swatch.Role.UNNAMED), new Swatch(GREEN, 0.5, Swatch.Role.UNNAMED)),
        List.of(new RoleTones(Role.SKIN, flat(GREEN), 0.4, new Point(1, 1))));
  }

  private static double value(PixelReadings read, RoleMeasures.Steps steps) {
    return read.estimate(steps.lightness()).orElseThrow().value();
  }

  @Test
  void whatIsNamedTakesThePlaceOfWhatWasFound() {
    PixelReadings named =
        NamedRoles.over(read(), List.of(new Named(Role.SKIN, laid(RED, DARK_RED), HERE)));
    assertThat(named.roles())
        .containsExactly(new RoleTones(Role.SKIN, laid(RED, DARK_RED), 0.4, HERE));
    assertThat(value(named, RoleMeasures.SKIN)).isCloseTo(-0.2, offset(1e-12));
    assertThat(named.estimate(RoleMeasures.SKIN.chroma()).orElseThrow().value())
        .isCloseTo(DARK_RED.chroma() / RED.chroma(), offset(1e-12));
    // What nobody named stays as it was read.
    assertThat(value(named, RoleMeasures.CLOTH)).isEqualTo(-0.3);
    assertThat(named.absence(RoleMeasures.HAIR.lightness())).isEqualTo(Reason.TOO_LITTLE);
  }

  /** Named where nothing was found: it is as large as the flats of its colours. */
  @Test
  void aRoleThatWasNotFoundIsThere() {
    PixelReadings named =
        NamedRoles.over(read(), List.of(new Named(Role.HAIR, laid(RED, DARK_RED), HERE)));
    assertThat(named.roles()).extracting(RoleTones::role).containsExactly(Role.SKIN, Role.HAIR);
    assertThat(named.roles().get(1).shareOfFigure()).isEqualTo(0.2);
    assertThat(value(named, RoleMeasures.HAIR)).isCloseTo(-0.2, offset(1e-12));
    assertThat(named.absences()).doesNotContainKey(RoleMeasures.HAIR.lightness().key());
  }

  @Test
  void aRoleNamedFlatHasNoStepAnyMore() {
    PixelReadings named = NamedRoles.over(read(), List.of(new Named(Role.SKIN, flat(RED), HERE)));
    assertThat(named.estimate(RoleMeasures.SKIN.lightness())).isEmpty();
    assertThat(named.absence(RoleMeasures.SKIN.lightness())).isEqualTo(Reason.TOO_LITTLE);
  }

  /** Two coats are one thing to judge: the median, by how much each shows. */
  @Test
  void bothClothsAreJudgedTogether() {
    PixelReadings named =
        NamedRoles.over(
            read(),
            List.of(
                new Named(Role.CLOTH, laid(RED, DARK_RED), HERE),
                new Named(Role.CLOTH_TWO, laid(GREEN, new OkLab(0.5, -0.1, 0.05)), HERE)));
    assertThat(value(named, RoleMeasures.CLOTH)).isCloseTo(-0.1, offset(1e-12));
    assertThat(named.roles()).hasSize(3);
  }

  @Test
  void withNothingNamedNothingChanges() {
    PixelReadings read = read();
    assertThat(NamedRoles.over(read, List.of())).isSameAs(read);
  }

  @ParameterizedTest
  @EnumSource(Role.class)
  void aRoleIsKnownByItsWordAndByNoOther(Role role) {
    assertThat(Role.ofName(role.word())).contains(role);
    assertThat(Role.ofName(" " + role.word().toUpperCase(java.util.Locale.ROOT))).contains(role);
    assertThat(Role.ofName(role.word() + "s")).isEmpty();
  }
}
