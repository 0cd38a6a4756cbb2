package penmirror.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;
import static penmirror.core.style.ShadedWorks.laid;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.planning.ColourPlan.Carried;
import penmirror.core.planning.ColourPlan.Own;
import penmirror.core.planning.ColourPlan.Source;
import penmirror.core.style.ShadedWorks;
import penmirror.core.style.StyleSheet;

class ColourPlanTest {
  private static final OkLab SKIN = colour("#E8C4A0");
  private static final OkLab SCARF = colour("#6F8A7A");

  private static OkLab colour(String hex) {
    return OkLab.from(EncodedSrgb.fromHex(hex));
  }

  private static Own own(String name, Optional<Role> role, OkLab base) {
    Tones tones =
        new Tones(base, Optional.of(new OkLab(0.2, 0, 0)), Optional.empty(), Optional.empty());
    return new Own(name, role, tones, 0.2, false);
  }

  /** Skin 0.12 darker, the rest 0.2; three works that show skin and cloth. */
  private static ShadedWorks works() {
    ShadedWorks works = new ShadedWorks(-0.2, 1.1, 12);
    works.with(RoleMeasures.SKIN.lightness(), -0.12);
    works.with(RoleMeasures.SKIN.chroma(), 1.3);
    works.with(RoleMeasures.SKIN.hue(), 6.0);
    return works;
  }

  private static StyleSheet sheet(ShadedWorks works) {
    for (String light : new String[] {"#F2CFAE", "#EBBB8A", "#E8C9B0"}) {
      OkLab skin = colour(light);
      OkLab cloth = colour("#7C8450");
      works.work(
          laid(Role.SKIN, skin, darker(skin, 0.12)), laid(Role.CLOTH, cloth, darker(cloth, 0.2)));
    }
    return works.sheet();
  }

  private static OkLab darker(OkLab light, double by) {
    return new OkLab(light.lightness() - by, light.a(), light.b());
  }

  private static Carried carried(StyleSheet sheet, Own own, double keepOwn) {
    return ColourPlan.of(sheet, List.of(own), keepOwn).colours().get(0);
  }

  /** The base is the character's; from there the shadow goes by what the works do to skin. */
  @Test
  void theSkinTakesTheStepsOfTheirSkin() {
    Carried skin = carried(sheet(works()), own("Skin", Optional.of(Role.SKIN), SKIN), 1);
    assertThat(skin.source()).isEqualTo(Source.ROLE);
    assertThat(skin.works()).isEqualTo(3);
    assertThat(skin.light()).isEqualTo(SKIN);
    OkLab shadow = skin.shadow().orElseThrow();
    assertThat(shadow.lightness()).isCloseTo(SKIN.lightness() - 0.12, offset(1e-9));
    assertThat(shadow.chroma()).isCloseTo(1.3 * SKIN.chroma(), offset(1e-9));
    assertThat(skin.movedToward()).isEmpty();
    assertThat(skin.muted()).isFalse();
    // Nobody read their lines.
    assertThat(skin.line()).isEmpty();
  }

  /** The works show no hair: its shadow lies where what they do to other colours puts it. */
  @Test
  void whatTheyNeverShowGoesByTheLaw() {
    Carried hair = carried(sheet(works()), own("Hair", Optional.of(Role.HAIR), SCARF), 1);
    assertThat(hair.source()).isEqualTo(Source.LAW);
    assertThat(hair.works()).isEqualTo(6);
    // Between the steps laid on the dark cloth and on the light skin.
    assertThat(hair.shadow().orElseThrow().lightness() - SCARF.lightness()).isBetween(-0.2, -0.12);
  }

  /** Too few pairs for a law: the whole figure's steps, and their own band as give. */
  @Test
  void withoutALawTheFigureStands() {
    ShadedWorks works = works();
    works.work().work().work();
    Carried scarf = carried(works.sheet(), own("Scarf", Optional.empty(), SCARF), 1);
    assertThat(scarf.source()).isEqualTo(Source.FIGURE);
    assertThat(scarf.shadow().orElseThrow().lightness())
        .isCloseTo(SCARF.lightness() - 0.2, offset(1e-9));
    assertThat(scarf.giveLightness()).isPositive();
  }

  @Test
  void whatIsKeptStaysLightAndShadow() {
    Own kept = new Own("Cap", Optional.empty(), own("", Optional.empty(), SCARF).tones(), 1, true);
    Carried cap = carried(sheet(works()), kept, 0);
    assertThat(cap.source()).isEqualTo(Source.KEPT);
    assertThat(cap.light()).isEqualTo(SCARF);
    assertThat(cap.shadow()).contains(new OkLab(0.2, 0, 0));
  }

  /** All the way it is the works' nearest skin, half way it lies between. */
  @Test
  void theBaseMovesTowardTheirNearest() {
    StyleSheet sheet = sheet(works());
    Own skin = own("Skin", Optional.of(Role.SKIN), SKIN);
    OkLab all = carried(sheet, skin, 0).light();
    assertThat(all.toEncodedSrgb().hex()).isEqualTo("#E8C9B0");
    OkLab half = carried(sheet, skin, 0.5).light();
    assertThat(half.distanceTo(SKIN)).isCloseTo(half.distanceTo(all), offset(1e-9));
    assertThatThrownBy(() -> carried(sheet, skin, 1.2)).hasMessageContaining("0 to 1");
  }

  /** A strip, a highlight and a tinted line come only where the works have them. */
  @Test
  void stripHighlightAndLineComeFromTheWorks() {
    Own skin = own("Skin", Optional.of(Role.SKIN), SKIN);
    Carried plain = carried(sheet(works().with(LineMeasures.DARKNESS, 0.22)), skin, 1);
    assertThat(plain.strip()).isEmpty();
    assertThat(plain.highlight()).isEmpty();
    assertThat(plain.line().orElseThrow().lightness()).isCloseTo(0.22, offset(1e-9));
    assertThat(plain.line().orElseThrow().a()).isCloseTo(0.02, offset(1e-9));

    ShadedWorks rich =
        works()
            .with(ShadeMeasures.RIM, 1.5)
            .with(ShadeMeasures.HIGHLIGHT, 0.1)
            .with(ShadeMeasures.HIGHLIGHT_STEP, 0.05)
            .with(LineMeasures.DARKNESS, 0.35)
            .with(LineMeasures.TINT, 0.9)
            .with(LineMeasures.CHROMA, 0.06);
    Carried full = carried(sheet(rich), skin, 1);
    OkLab shadow = full.shadow().orElseThrow();
    OkLab strip = full.strip().orElseThrow();
    assertThat(strip.chroma()).isCloseTo(1.5 * (SKIN.chroma() + shadow.chroma()) / 2, offset(1e-9));
    assertThat(strip.lightness()).isBetween(shadow.lightness(), SKIN.lightness());
    assertThat(full.highlight().orElseThrow().lightness())
        .isCloseTo(SKIN.lightness() + 0.05, offset(1e-9));
    assertThat(full.line().orElseThrow().hueApart(SKIN)).isCloseTo(0, offset(1e-6));
    assertThat(full.line().orElseThrow().chroma()).isCloseTo(0.06, offset(1e-9));
  }

  /**
   * A step out of what a screen can show is said, and the duller colour of its hue stands there.
   */
  @Test
  void whatAScreenCannotShowIsSaid() {
    ShadedWorks works = new ShadedWorks(-0.05, 2.5, 0);
    Carried loud =
        carried(
            works.work().work().work().sheet(),
            own("Coat", Optional.empty(), colour("#D03010")),
            1);
    assertThat(loud.muted()).isTrue();
    OkLab shadow = loud.shadow().orElseThrow();
    assertThat(shadow.isShown()).isTrue();
    assertThat(shadow.hueApart(colour("#D03010"))).isLessThan(0.1);
  }

  /** Where nothing is shaded there is no shadow, and nothing is made up. */
  @Test
  void aFlatHandGivesNoShadow() {
    ShadedWorks flat = new ShadedWorks(-0.2, 1, 0).with(ShadeMeasures.COVER, 0.0);
    Carried skin =
        carried(flat.work().work().sheet(), own("Skin", Optional.of(Role.SKIN), SKIN), 1);
    assertThat(skin.source()).isEqualTo(Source.FLAT);
    assertThat(skin.shadow()).isEmpty();
    assertThat(skin.strip()).isEmpty();
  }
}
