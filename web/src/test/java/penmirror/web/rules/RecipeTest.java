package penmirror.web.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Swatch;
import penmirror.core.colour.Tones;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

class RecipeTest {
  private static final OkLab SKIN = OkLab.from(EncodedSrgb.fromHex("#F0CBA6"));

  private static StyleSheet sheet(Map<Measure, Double> values) {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      works.add(
          new MeasuredWork(
              "" + i,
              "Work " + i,
              "",
              View.FRONT,
              values,
              List.of(new Swatch(SKIN, 0.4, Swatch.Role.UNNAMED))));
    }
    return StyleSheet.of("A hand", View.FRONT, works);
  }

  private static Map<Measure, Double> shaded(double border) {
    Map<Measure, Double> values = new LinkedHashMap<>();
    values.put(ShadeMeasures.COVER, 0.2);
    values.put(ShadeMeasures.LIGHTNESS_STEP, -0.12);
    values.put(ShadeMeasures.LIGHT_FROM, 90.0);
    values.put(ShadeMeasures.EDGE, border);
    values.put(LineMeasures.OUTLINE_INNER, 2.0);
    return values;
  }

  @Test
  void linesStandInTheirTrueRelation() {
    Recipe recipe = Recipe.of(sheet(shaded(4)));
    assertThat(recipe.lines())
        .extracting(Recipe.LineClass::key)
        .containsExactly("outline", "inner");
    assertThat(recipe.lines()).extracting(Recipe.LineClass::height).containsExactly("10.0", "5.0");
    assertThat(recipe.lines().get(0).relation()).isEqualTo("twice");
  }

  /** Lit from the right the shadow lies left; a wide border is drawn soft. */
  @Test
  void theBallIsLitAsTheWorksAre() {
    Recipe.Ball hard = Recipe.of(sheet(shaded(4))).ball().orElseThrow();
    assertThat(Double.parseDouble(hard.shiftX())).isPositive();
    assertThat(Double.parseDouble(hard.shiftY())).isEqualTo(0.0);
    assertThat(hard.soft()).isEqualTo("0.0");
    assertThat(hard.base()).isEqualToIgnoringCase("#F0CBA6");
    assertThat(hard.highlight()).isFalse();
    Recipe.Ball soft = Recipe.of(sheet(shaded(40))).ball().orElseThrow();
    assertThat(Double.parseDouble(soft.soft())).isPositive();
  }

  @Test
  void eachColourStandsBesideItsShadow() {
    Recipe.Shade skin = Recipe.of(sheet(shaded(4))).colours().get(0);
    assertThat(OkLab.from(EncodedSrgb.fromHex(skin.shadow())).lightness())
        .isCloseTo(SKIN.lightness() - 0.12, Offset.offset(0.01));
    assertThat(Integer.parseInt(skin.step())).isPositive();
  }

  @Test
  void whereNothingIsShadedThereIsNeitherBallNorShadow() {
    Recipe bare = Recipe.of(sheet(Map.of(LineMeasures.OUTLINE_INNER, 1.0)));
    assertThat(bare.ball()).isEmpty();
    assertThat(bare.colours().get(0).shadow()).isEmpty();
    assertThat(Recipe.of(StyleSheet.of("Nobody", View.FRONT, List.of())).lines()).isEmpty();
  }

  /**
   * Skin by its own rules, with the pairs the works have; a role that no work shows is not told.
   */
  @Test
  void eachRoleTellsItsStepsWithThePairsOfTheWorks() {
    Map<Measure, Double> values = shaded(4);
    values.put(RoleMeasures.SKIN.lightness(), -0.2);
    Tones tones =
        new Tones(
            SKIN, Optional.of(new OkLab(0.6, 0.03, 0.06)), Optional.empty(), Optional.empty());
    List<MeasuredWork> works = new ArrayList<>();
    for (MeasuredWork work : sheet(values).works()) {
      works.add(
          new MeasuredWork(
              work.id(),
              work.title(),
              "",
              View.FRONT,
              work.shows(),
              values,
              work.notThere(),
              work.outOfSight(),
              work.swatches(),
              work.flats(),
              List.of(new RoleTones(Role.SKIN, tones, 0.2, new Point(1.5, 1.5))),
              1));
    }
    Recipe recipe = Recipe.of(StyleSheet.of("A hand", View.FRONT, works));
    assertThat(recipe.roles()).hasSize(1);
    Recipe.RoleLaw skin = recipe.roles().get(0);
    assertThat(skin.name()).isEqualTo("Skin");
    assertThat(skin.works()).isEqualTo(4);
    assertThat(skin.words()).matches("2\\d darker.*");
    assertThat(skin.pairs()).hasSize(4);
    assertThat(skin.pairs().get(0).base()).isEqualTo("#F0CBA6");
    assertThat(skin.pairs().get(0).shadow()).startsWith("#");
  }
}
