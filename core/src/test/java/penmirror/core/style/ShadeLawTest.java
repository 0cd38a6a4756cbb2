package penmirror.core.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import com.github.ajalt.colormath.model.Oklch;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.shade.ShadeMeasures;

class ShadeLawTest {

  private static StyleSheet sheet(double cover) {
    Map<Measure, Double> values =
        Map.of(
            ShadeMeasures.COVER, cover,
            ShadeMeasures.LIGHTNESS_STEP, -0.15,
            ShadeMeasures.CHROMA_RATIO, 1.2,
            ShadeMeasures.HUE_TURN, 20.0);
    MeasuredWork work = new MeasuredWork("1", "One", "", View.FRONT, values, List.of());
    return StyleSheet.of("A hand", View.FRONT, List.of(work, work, work));
  }

  /** Yellow turns by green to blue, red by violet: each the shorter way (colours by colormath). */
  @ParameterizedTest
  @CsvSource({"0.8, 0.10, 110, 130", "0.7, 0.12, 30, 10", "0.6, 0.08, 250, 270"})
  void everyColourTakesTheSameSteps(double lightness, double chroma, double hue, double turned) {
    var light = new Oklch(lightness, chroma, hue, 1f).toOklab();
    OkLab shadow =
        ShadeLaw.of(sheet(0.2))
            .orElseThrow()
            .shadowOf(new OkLab(light.getL(), light.getA(), light.getB()));
    assertThat(shadow.lightness()).isCloseTo(lightness - 0.15, offset(1e-5));
    assertThat(shadow.chroma()).isCloseTo(1.2 * chroma, offset(1e-5));
    assertThat(shadow.hueDegrees()).isCloseTo(turned, offset(0.01));
  }

  @Test
  void greyStaysGreyAndBlackStaysBlack() {
    ShadeLaw law = ShadeLaw.of(sheet(0.2)).orElseThrow();
    assertThat(law.shadowOf(new OkLab(0.5, 0, 0))).isEqualTo(new OkLab(0.35, 0, 0));
    assertThat(law.shadowOf(new OkLab(0.1, 0, 0)).lightness()).isZero();
  }

  @Test
  void whereNothingIsShadedThereIsNoLaw() {
    assertThat(ShadeLaw.of(sheet(0.005))).isEmpty();
    assertThat(ShadeLaw.of(StyleSheet.of("Nobody", View.FRONT, List.of()))).isEmpty();
  }

  /** What was laid by a law is read off it again, whatever the colour. */
  @Test
  void theStepsBetweenTwoColoursAreTheLaw() {
    ShadeLaw law = new ShadeLaw(-0.15, 1.2, 20);
    for (OkLab light : List.of(new OkLab(0.8, 0.06, 0.08), new OkLab(0.6, -0.08, 0.02))) {
      ShadeLaw again = ShadeLaw.between(light, law.shadowOf(light));
      assertThat(again.lightnessStep()).isCloseTo(-0.15, offset(1e-9));
      assertThat(again.chromaRatio()).isCloseTo(1.2, offset(1e-9));
      assertThat(again.towardCoolDegrees()).isCloseTo(20, offset(1e-6));
    }
  }

  @Test
  void aRoleWithoutRulesOfItsOwnIsShadedAsTheFigureIs() {
    for (Role role : Role.values()) {
      assertThat(ShadeLaw.of(sheet(0.2), role)).isEqualTo(ShadeLaw.of(sheet(0.2)));
    }
  }

  /** The cool pole lies at 285 degrees: a violet at 280 turns there and no farther. */
  @Test
  void noShadowTurnsPastThePole() {
    var violet = new Oklch(0.6f, 0.1f, 280f, 1f).toOklab();
    OkLab light = new OkLab(violet.getL(), violet.getA(), violet.getB());
    OkLab shadow = ShadeLaw.of(sheet(0.2)).orElseThrow().shadowOf(light);
    assertThat(shadow.hueDegrees()).isCloseTo(285, offset(0.01));
    assertThat(ShadeLaw.canTurn(light)).isFalse();
  }
}
