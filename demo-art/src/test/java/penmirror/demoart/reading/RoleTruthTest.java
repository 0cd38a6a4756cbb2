package penmirror.demoart.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.Lab;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.raster.Picture;
import penmirror.demoart.page.AreaTruth;
import penmirror.demoart.reading.FullRead.Read;

/**
 * Colours found by what they paint, against what the demo pictures were painted with. Where shadows
 * run softly into bright highlights, as Ines Vantour lays them, the light in between is no value of
 * its own and is not found: her pictures are not asked.
 */
class RoleTruthTest {
  private static final int EACH = FullRead.EACH;

  /** As far as two colours may lie apart that one would call the same (CIEDE2000). */
  private static final double ALIKE = 3;

  private static final Set<penmirror.demoart.manner.Role> SKIN =
      EnumSet.of(penmirror.demoart.manner.Role.SKIN);

  /** What is worn on the head is told as hair where it shows more. */
  private static final Set<penmirror.demoart.manner.Role> HAIR =
      EnumSet.of(penmirror.demoart.manner.Role.HAIR, penmirror.demoart.manner.Role.HAT);

  private static final Set<penmirror.demoart.manner.Role> CLOTHES =
      EnumSet.of(
          penmirror.demoart.manner.Role.COAT,
          penmirror.demoart.manner.Role.SHIRT,
          penmirror.demoart.manner.Role.SCARF,
          penmirror.demoart.manner.Role.LEGS);

  private static final List<Read> READ =
      Stream.concat(FullRead.FLAT.stream(), FullRead.SOFT.stream()).toList();

  private static Optional<RoleTones> role(Read read, Role role) {
    return read.readings().roles().stream().filter(found -> found.role() == role).findFirst();
  }

  /** Of what was painted in some roles that which has the colour that was found. */
  private static Optional<AreaTruth> painted(
      Read read, Role role, Set<penmirror.demoart.manner.Role> roles) {
    return role(read, role)
        .flatMap(
            found ->
                read.drawn().rendering().areas().stream()
                    .filter(area -> roles.contains(area.role()))
                    .filter(area -> apart(found.tones().base(), area.litRgb()) < ALIKE)
                    .findFirst());
  }

  private static double apart(OkLab found, int rgb) {
    return Lab.from(found.toEncodedSrgb()).ciede2000(Lab.from(EncodedSrgb.fromRgb(rgb)));
  }

  private static long found(Role role, Set<penmirror.demoart.manner.Role> painted) {
    return READ.stream().filter(read -> painted(read, role, painted).isPresent()).count();
  }

  @Test
  void skinHairAndClothesAreFoundInTheColoursTheyWerePainted() {
    assertThat(found(Role.SKIN, SKIN)).as("skin").isGreaterThanOrEqualTo(2 * EACH - 1);
    assertThat(found(Role.HAIR, HAIR)).as("hair").isGreaterThanOrEqualTo(2 * EACH - 3);
    assertThat(found(Role.CLOTH, CLOTHES)).as("clothes").isEqualTo(2 * EACH);
  }

  @Test
  void theirShadowsTooAndTheStepBetweenThem() {
    int skins = 0;
    for (Read read : READ) {
      Optional<AreaTruth> painted = painted(read, Role.SKIN, SKIN);
      if (painted.isPresent()) {
        skins++;
        OkLab lit = OkLab.from(EncodedSrgb.fromRgb(painted.get().litRgb()));
        OkLab shaded = OkLab.from(EncodedSrgb.fromRgb(painted.get().shadedRgb()));
        String name = read.file();
        RoleTones found = role(read, Role.SKIN).orElseThrow();
        assertThat(apart(found.tones().shadow().orElseThrow(), painted.get().shadedRgb()))
            .as(name)
            .isLessThan(ALIKE);
        assertThat(value(read, RoleMeasures.SKIN.lightness()))
            .as(name)
            .isCloseTo(shaded.lightness() - lit.lightness(), offset(0.006));
        assertThat(value(read, RoleMeasures.SKIN.chroma()))
            .as(name)
            .isCloseTo(shaded.chroma() / lit.chroma(), offset(0.08));
      }
    }
    assertThat(skins).isGreaterThan(EACH);
  }

  private static double value(Read read, penmirror.core.measure.Measure measure) {
    return read.readings().estimate(measure).orElseThrow().value();
  }

  /** Neither of these hands lays a highlight. */
  @Test
  void whereNoneIsPaintedARoleHasNoHighlight() {
    List<RoleTones> roles =
        READ.stream().flatMap(read -> read.readings().roles().stream()).toList();
    assertThat(roles).hasSizeGreaterThan(5 * EACH);
    assertThat(roles.stream().filter(role -> role.tones().highlight().isPresent()).count())
        .isLessThanOrEqualTo(roles.size() / 10);
  }

  /** Where a page shows a role it lies on the shadow it speaks of. */
  @Test
  void theirPlaceLiesInTheirShadow() {
    for (Read read : READ) {
      Picture picture = Picture.from(read.drawn().image());
      for (RoleTones role : read.readings().roles()) {
        OkLab there =
            OkLab.from(
                EncodedSrgb.fromRgb(
                    picture.rgb(
                            (int) role.place().y() * picture.widthPixels() + (int) role.place().x())
                        & 0xFFFFFF));
        OkLab said = role.tones().shadow().orElse(role.tones().base());
        assertThat(there.distanceTo(said)).as(read.file() + " " + role.role()).isLessThan(0.06);
      }
    }
  }
}
