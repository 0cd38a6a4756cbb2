package penmirror.core.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static penmirror.core.style.ShadedWorks.laid;

import org.junit.jupiter.api.Test;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;

class ColourLawTest {

  /** Lightness, and a hue of 60° in OKLCh, strong enough to be asked after. */
  private static OkLab amber(double lightness, double chroma) {
    double angle = Math.toRadians(60);
    return new OkLab(lightness, chroma * Math.cos(angle), chroma * Math.sin(angle));
  }

  /** A shadow by the line step = 0.05 − 0.3 × lightness. */
  private static OkLab darker(OkLab light) {
    return new ShadeLaw(0.05 - 0.3 * light.lightness(), 1.2, 0).shadowOf(light);
  }

  private static ShadedWorks works(Role other) {
    ShadedWorks works = new ShadedWorks(-0.2, 1.2, 0);
    for (double lightness : new double[] {0.6, 0.75, 0.9}) {
      OkLab skin = amber(lightness, 0.08);
      OkLab second = amber(lightness - 0.2, 0.1);
      works.work(laid(Role.SKIN, skin, darker(skin)), laid(other, second, darker(second)));
    }
    return works;
  }

  @Test
  void theLineIsFoundAgain() {
    ColourLaw law = ColourLaw.of(works(Role.CLOTH).sheet()).orElseThrow();
    assertThat(law.pairs()).isEqualTo(6);
    assertThat(law.stepPerLightness()).isCloseTo(-0.3, offset(1e-9));
    assertThat(law.stepAtBlack()).isCloseTo(0.05, offset(1e-9));
    assertThat(law.chromaRatio()).isCloseTo(1.2, offset(1e-9));
    assertThat(law.giveLightness()).isCloseTo(0, offset(1e-9));
    assertThat(law.at(amber(0.8, 0.1)).lightnessStep()).isCloseTo(-0.19, offset(1e-9));
  }

  /** One pair in seven that is laid quite otherwise moves nothing but the give. */
  @Test
  void oneStrangePairDoesNotBendIt() {
    OkLab odd = amber(0.7, 0.08);
    ColourLaw law =
        ColourLaw.of(works(Role.HAIR).work(laid(Role.SKIN, odd, amber(0.1, 0.02))).sheet())
            .orElseThrow();
    assertThat(law.pairs()).isEqualTo(7);
    assertThat(law.at(amber(0.8, 0.1)).lightnessStep()).isCloseTo(-0.19, offset(0.02));
  }

  /** A line that would lift a dark colour's shadow above its light stops at the light. */
  @Test
  void noShadowIsLighterThanItsLight() {
    ColourLaw law = ColourLaw.of(works(Role.CLOTH).sheet()).orElseThrow();
    assertThat(law.at(amber(0.1, 0.02)).lightnessStep()).isZero();
  }

  @Test
  void sixPairsAndTwoSortsArePledged() {
    ShadedWorks skinOnly = new ShadedWorks(-0.2, 1, 0);
    for (int i = 0; i < 8; i++) {
      OkLab skin = amber(0.6 + 0.04 * i, 0.08);
      skinOnly.work(laid(Role.SKIN, skin, darker(skin)));
    }
    assertThat(ColourLaw.of(skinOnly.sheet())).isEmpty();
    OkLab cloth = amber(0.5, 0.1);
    assertThat(ColourLaw.of(skinOnly.work(laid(Role.CLOTH, cloth, darker(cloth))).sheet()))
        .isPresent();
    ShadedWorks few = new ShadedWorks(-0.2, 1, 0);
    few.work(laid(Role.SKIN, cloth, darker(cloth)), laid(Role.HAIR, cloth, darker(cloth)));
    assertThat(ColourLaw.of(few.sheet())).isEmpty();
    // Both sorts of cloth are one.
    ShadedWorks cloths = new ShadedWorks(-0.2, 1, 0);
    for (int i = 0; i < 4; i++) {
      cloths.work(
          laid(Role.CLOTH, cloth, darker(cloth)), laid(Role.CLOTH_TWO, cloth, darker(cloth)));
    }
    assertThat(ColourLaw.of(cloths.sheet())).isEmpty();
  }
}
