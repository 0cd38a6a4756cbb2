package penmirror.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.lang.reflect.Field;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.Role;
import penmirror.core.format.CataloguePage;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Nature;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;
import penmirror.core.measure.colour.ColourMeasures;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.face.IrisMeasures;
import penmirror.core.measure.face.TurnMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.region.EdgeMeasures;
import penmirror.core.measure.region.LayoutMeasures;
import penmirror.core.measure.region.LimbMeasures;
import penmirror.core.measure.region.PartMeasures;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.measure.region.ShapeMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.words.Wording;

class MeasureCatalogueTest {

  @Test
  void everyConstantIsListed() throws IllegalAccessException {
    List<Measure> constants = new ArrayList<>();
    for (Class<?> family :
        List.of(
            ProportionMeasures.class,
            FaceMeasures.class,
            TurnMeasures.class,
            IrisMeasures.class,
            LineMeasures.class,
            ShadeMeasures.class,
            ColourMeasures.class,
            EdgeMeasures.class,
            ShapeMeasures.class,
            PartMeasures.class,
            LimbMeasures.class,
            LayoutMeasures.class)) {
      for (Field field : family.getFields()) {
        if (field.getType() == Measure.class) {
          constants.add((Measure) field.get(null));
        }
      }
    }
    for (Role role : Role.values()) {
      RoleMeasures.Steps steps = RoleMeasures.of(role);
      if (role != Role.CLOTH_TWO) { // Judged as the other clothes are.
        constants.addAll(List.of(steps.lightness(), steps.chroma(), steps.hue()));
      }
    }
    assertThat(MeasureCatalogue.all()).containsExactlyInAnyOrderElementsOf(constants);
  }

  @Test
  void everyMeasureHasItsWordsAndItsUnit() {
    for (Measure measure : MeasureCatalogue.all()) {
      assertThat(Wording.name(measure)).isNotBlank();
      assertThat(Wording.miss(measure, -2)).doesNotContain("{");
      assertThat(Wording.miss(measure, 9)).contains("far too").doesNotContain("{");
      assertThat(Wording.unit(measure.unit())).isNotBlank();
      boolean ownFix = Wording.has("fix." + measure.key() + ".more");
      assertThat(Wording.has("fix." + measure.key() + ".less")).isEqualTo(ownFix);
      // What a hand can be told to do has words for it, and only that.
      assertThat(ownFix)
          .as(measure.key())
          .isEqualTo(measure.isScored() && measure.nature() == Nature.MANNER);
      assertThat(measure.formula()).isNotBlank();
      assertThat(measure.source()).isNotBlank();
    }
  }

  /** Made anew with {@code -Dcatalogue.write=true}. */
  @Test
  void theDocsAreMadeFromTheCatalogue() throws IOException {
    Path page = Path.of("../docs/catalogue.md");
    if (Boolean.getBoolean("catalogue.write")) {
      Files.writeString(page, CataloguePage.write());
    }
    assertThat(Files.readString(page)).isEqualTo(CataloguePage.write());
    for (Measure measure : MeasureCatalogue.all()) {
      assertThat(CataloguePage.write()).contains("`" + measure.key() + "`", measure.formula());
    }
  }

  @Test
  void aHalfDefinedMeasureIsRefused() {
    assertThatThrownBy(
            () -> Measure.of("half.done", MeasureGroup.FACE, Unit.HEADS).source("x").build())
        .hasMessageContaining("half.done")
        .hasMessageContaining("formula");
  }

  @Test
  void scalesGoThereAndBack() {
    for (Scale scale : Scale.values()) {
      assertThat(scale.fromScale(scale.toScale(0.37))).isCloseTo(0.37, Offset.offset(1e-12));
    }
    assertThat(Scale.LOG.admits(0)).isFalse();
    assertThat(Scale.LOG_RATIO.admits(1)).isFalse();
  }

  @Test
  void numbersHaveATrueMinusAndNoMinusZero() {
    assertThat(Wording.number(-1.25, 1)).isEqualTo("\u22121.3");
    assertThat(Wording.number(-0.001, 2)).isEqualTo("0.00");
  }
}
