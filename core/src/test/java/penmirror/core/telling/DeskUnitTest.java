package penmirror.core.telling;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.region.EdgeMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.reading.MeasureCatalogue;

class DeskUnitTest {

  private static DeskUnit of(Measure measure) {
    return DeskUnit.of(measure, OptionalDouble.empty());
  }

  @Test
  void lengthsAreToldInPixelsOfTheDrawingAtHand() {
    DeskUnit unit = DeskUnit.of(LineMeasures.WIDTH, OptionalDouble.of(0.4));
    assertThat(unit.number(20)).isEqualTo("8.0");
    assertThat(unit.number(100)).isEqualTo("40");
    assertThat(unit.word()).isEqualTo("px");
  }

  @Test
  void withoutADrawingThinLengthsAreHundredthsOfAHead() {
    assertThat(of(LineMeasures.WIDTH).number(20)).isEqualTo("2.0");
    assertThat(of(LineMeasures.WIDTH).word()).isEqualTo("% of a head");
    assertThat(of(LineMeasures.WIDTH_BY_FIGURE).word()).isEqualTo("% of the figure");
  }

  @Test
  void sharesAreHundredths() {
    assertThat(of(LineMeasures.CLOSED).number(0.86)).isEqualTo("86");
    assertThat(of(LineMeasures.CLOSED).word()).isEqualTo("%");
    assertThat(of(EdgeMeasures.FINE).number(Math.log(0.15))).isEqualTo("15");
  }

  /** A shadow between 13 and 17 darker is told from the lesser to the greater step. */
  @Test
  void aStepDownIsToldWithoutItsSign() {
    String band = of(ShadeMeasures.LIGHTNESS_STEP).band(-0.15, -0.10);
    String[] ends = band.split("\u2013");
    assertThat(Integer.parseInt(ends[0])).isLessThan(Integer.parseInt(ends[1]));
    assertThat(of(FaceMeasures.EYE_LINE).band(0.5, 0.6)).isEqualTo("0.50\u20130.60");
  }

  /** No page speaks of chroma, thousandths or lightness, whichever measure it tells. */
  @Test
  void noUnitOfOursReachesAPage() {
    for (Measure measure : MeasureCatalogue.all()) {
      assertThat(of(measure).word())
          .as(measure.key())
          .doesNotContain("\u2030", "chroma", "lightness", "log", "share");
    }
  }
}
