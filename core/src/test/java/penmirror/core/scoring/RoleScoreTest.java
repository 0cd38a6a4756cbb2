package penmirror.core.scoring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.ShadeLaw;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.RoleWords;

class RoleScoreTest {
  private static final OkLab LIGHT = new OkLab(0.8, 0.06, 0.08);

  private static StyleSheet sheet(double cover) {
    Map<Measure, Double> values = new LinkedHashMap<>();
    values.put(ShadeMeasures.COVER, cover);
    values.put(ShadeMeasures.LIGHTNESS_STEP, -0.12);
    values.put(ShadeMeasures.CHROMA_RATIO, 1.0);
    values.put(ShadeMeasures.HUE_TURN, 0.0);
    values.put(RoleMeasures.SKIN.lightness(), -0.2);
    values.put(RoleMeasures.SKIN.chroma(), 1.3);
    values.put(RoleMeasures.SKIN.hue(), 15.0);
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      works.add(new MeasuredWork("" + i, "Work " + i, "", View.FRONT, values, List.of()));
    }
    return StyleSheet.of("A hand", View.FRONT, works);
  }

  private static RoleScore score(Role role, OkLab light, Optional<OkLab> shadow) {
    Tones tones = new Tones(light, shadow, Optional.empty(), Optional.empty());
    return RoleScore.of(sheet(0.2), List.of(new RoleTones(role, tones, 0.2, new Point(10.5, 20.5))))
        .get(0);
  }

  /** The skin goes by its own steps, hair without rules of its own by those of the figure. */
  @Test
  void theShadowThatIsWantedGoesByTheRole() {
    assertThat(score(Role.SKIN, LIGHT, Optional.empty()).wanted().lightness())
        .isCloseTo(0.6, offset(1e-9));
    assertThat(score(Role.HAIR, LIGHT, Optional.empty()).wanted().lightness())
        .isCloseTo(0.68, offset(1e-9));
  }

  @Test
  void whatIsLaidAsTheWorksLayItMissesNothing() {
    OkLab wanted = ShadeLaw.of(sheet(0.2), Role.SKIN).orElseThrow().shadowOf(LIGHT);
    RoleScore score = score(Role.SKIN, LIGHT, Optional.of(wanted));
    assertThat(score.misses()).isEmpty();
    assertThat(RoleWords.miss(score)).isEqualTo("Shadow like theirs");
  }

  @Test
  void eachStepThatIsOffIsNamedWithItsSide() {
    OkLab dull = new OkLab(0.74, 0.035, 0.047);
    RoleScore score = score(Role.SKIN, LIGHT, Optional.of(dull));
    assertThat(score.misses())
        .extracting(RoleScore.Miss::step)
        .contains(RoleScore.Step.DEPTH, RoleScore.Step.STRENGTH);
    assertThat(RoleWords.miss(score)).startsWith("Shadow ").contains("faint").contains("grey");
  }

  /** One step alone goes to theirs; the others stay as they are laid. */
  @Test
  void someStepsOfAShadowAreMendedAndTheOthersStay() {
    OkLab dull = new OkLab(0.74, 0.035, 0.047);
    RoleScore score = score(Role.SKIN, LIGHT, Optional.of(dull));
    OkLab deep = score.shadowWith(Set.of(RoleScore.Step.DEPTH)).orElseThrow();
    assertThat(deep.lightness()).isCloseTo(0.6, offset(1e-9));
    assertThat(deep.chroma()).isCloseTo(dull.chroma(), offset(1e-9));
    OkLab all = score.shadowWith(Set.of(RoleScore.Step.values())).orElseThrow();
    assertThat(all.distanceTo(score.wanted())).isLessThan(1e-9);
    assertThat(score.shadowWith(Set.of()).orElseThrow().distanceTo(dull)).isLessThan(0.005);
    assertThat(score(Role.SKIN, LIGHT, Optional.empty()).shadowWith(Set.of())).isEmpty();
    assertThat(score.readings(RoleScore.Step.TURN))
        .containsExactly(RoleMeasures.SKIN.hue(), ShadeMeasures.HUE_TURN);
  }

  /** Nearly grey hair has no hue to be judged by: only how deep its shadow is counts. */
  @Test
  void greyIsJudgedByItsDepthAlone() {
    OkLab grey = new OkLab(0.6, 0.01, 0.01);
    RoleScore score = score(Role.SKIN, grey, Optional.of(new OkLab(0.4, 0.001, -0.01)));
    assertThat(score.misses()).isEmpty();
    assertThat(RoleWords.miss(score)).isEqualTo("Shadow as deep as theirs");
    assertThat(score.wanted().hueDegrees()).isCloseTo(grey.hueDegrees(), offset(1e-6));
    assertThat(score.wanted().lightness()).isCloseTo(0.4, offset(1e-9));
  }

  @Test
  void withoutShadowItSaysSo() {
    RoleScore score = score(Role.CLOTH, LIGHT, Optional.empty());
    assertThat(score.misses()).isEmpty();
    assertThat(RoleWords.miss(score)).isEqualTo("No shadow on it");
  }

  @Test
  void whereTheWorksDoNotShadeNothingIsAsked() {
    Tones tones = new Tones(LIGHT, Optional.empty(), Optional.empty(), Optional.empty());
    assertThat(
            RoleScore.of(
                sheet(0.001), List.of(new RoleTones(Role.SKIN, tones, 0.2, new Point(1, 1)))))
        .isEmpty();
  }

  @Test
  void theWorksStepsAreToldInThePickersNumbers() {
    ShadeLaw law = ShadeLaw.of(sheet(0.2), Role.SKIN).orElseThrow();
    assertThat(RoleWords.law(law, LIGHT)).matches("\\d+ darker, stronger in colour, cooler");
    assertThat(RoleWords.picker(new OkLab(1, 0, 0))).isEqualTo("H 0 S 0 B 100");
  }
}
