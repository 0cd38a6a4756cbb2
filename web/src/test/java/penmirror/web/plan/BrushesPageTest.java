package penmirror.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.planning.BrushTable;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

class BrushesPageTest {
  private static final Canvas CANVAS = new Canvas(2400, 3200);

  private static MeasuredWork work(double width) {
    Map<Measure, Double> values =
        Map.of(
            LineMeasures.WIDTH, width,
            LineMeasures.OUTLINE_INNER, 2.0,
            LineMeasures.OUTLINE_SHARE, 0.5,
            LineMeasures.STROKE, 0.654,
            LineMeasures.TAPER, 0.7,
            LineMeasures.WOBBLE, 0.12);
    return new MeasuredWork("1", "Work", "", View.FRONT, values, List.of());
  }

  private static BrushesPage page(double headPixels, Optional<BrushTable> own) {
    StyleSheet sheet = StyleSheet.of("A hand", View.FRONT, List.of(work(10), work(10), work(10)));
    return BrushesPage.of(sheet, CANVAS, headPixels, 300, own);
  }

  /** 5 px is 0.42 mm at 300 px per inch. */
  @Test
  void brushesStandInPixelsAndInMillimetres() {
    BrushesPage page = page(500, Optional.empty());
    assertThat(page.rows()).extracting(BrushesPage.Row::sort).containsExactly("outline", "inner");
    BrushesPage.Row outline = page.rows().get(0);
    assertThat(outline.samples()).filteredOn(BrushesPage.Sample::use).hasSize(1);
    assertThat(outline.samples())
        .filteredOn(BrushesPage.Sample::use)
        .extracting(BrushesPage.Sample::pixels)
        .containsExactly("7.1");
    assertThat(outline.millimetres()).isEqualTo("0.60");
    assertThat(outline.own()).isEmpty();
    assertThat(page.thinnestSort()).isEmpty();
    assertThat(page.facts())
        .contains(
            new BrushesPage.Fact("stroke", "about 330 px, two thirds of a head"),
            new BrushesPage.Fact("steadying", "light"));
  }

  @Test
  void yoursIsHeldBesideTheBandOfItsSort() {
    BrushTable thin = BrushTable.of(work(5), 500);
    BrushesPage.Own own = page(500, Optional.of(thin)).rows().get(0).own().orElseThrow();
    assertThat(own.thin()).isTrue();
    assertThat(own.off()).isNotEmpty();
    BrushTable right = BrushTable.of(work(10), 500);
    assertThat(page(500, Optional.of(right)).rows().get(0).own().orElseThrow().off()).isEmpty();
    // An attempt with one brush for everything is held against each sort with it.
    BrushTable one =
        BrushTable.of(
            new MeasuredWork(
                "2", "Try", "", View.FRONT, Map.of(LineMeasures.WIDTH, 30.0), List.of()),
            500);
    assertThat(page(500, Optional.of(one)).rows())
        .allSatisfy(row -> assertThat(row.own().orElseThrow().thin()).isFalse())
        .allSatisfy(row -> assertThat(row.own().orElseThrow().off()).isNotEmpty());
  }

  /** Inner lines of 1.41 px: 2 px need a canvas 1.41 times as high, to the next hundred. */
  @Test
  void aCanvasOnWhichNoLineIsTooThinIsOffered() {
    BrushesPage page = page(200, Optional.empty());
    assertThat(page.thinnestSort()).isEqualTo("inner");
    assertThat(page.enoughHeight()).isEqualTo("4,600");
  }

  @Test
  void withoutLinesNothingIsMadeUp() {
    BrushesPage page =
        BrushesPage.of(
            StyleSheet.of("Nobody", View.FRONT, List.of()), CANVAS, 500, 300, Optional.empty());
    assertThat(page.rows()).isEmpty();
    assertThat(page.facts()).isEmpty();
    assertThat(page.edge()).isEmpty();
  }
}
