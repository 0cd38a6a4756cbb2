package penmirror.web.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.reading.MeasureCatalogue;

class LayerTest {
  /** Whatever is read from pixels can be shown on the picture, and every layer shows something. */
  @Test
  void everyReadingFromPixelsHasItsLayer() {
    Set<Layer> shown =
        MeasureCatalogue.all().stream()
            .filter(Measure::isFromPixels)
            .map(Layer::of)
            .collect(Collectors.toSet());
    assertThat(shown).isEqualTo(EnumSet.allOf(Layer.class));
  }

  @Test
  void theStepsOfARoleShowAmongTheValues() {
    assertThat(Layer.of(RoleMeasures.SKIN.hue())).isEqualTo(Layer.VALUES);
  }

  @Test
  void whatIsMarkedHasNone() {
    assertThatThrownBy(() -> Layer.of(FaceMeasures.EYE_LINE))
        .hasMessageContaining("eye.line is not read from pixels");
  }
}
