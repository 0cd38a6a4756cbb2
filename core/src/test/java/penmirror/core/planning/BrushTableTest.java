package penmirror.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.planning.BrushTable.Line;
import penmirror.core.planning.BrushTable.Sort;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;

class BrushTableTest {
  private static final double HEAD = 500;

  private static MeasuredWork work(Map<Measure, Double> values) {
    return new MeasuredWork("1", "Work", "", View.FRONT, values, List.of());
  }

  private static BrushTable table(Map<Measure, Double> values) {
    return BrushTable.of(work(values), HEAD);
  }

  private static double pixels(BrushTable table, Sort sort) {
    return table.lines().stream()
        .filter(line -> line.sort() == sort)
        .findFirst()
        .orElseThrow()
        .pixels();
  }

  /** However much there is of each: what is read lies midway on a log scale. */
  @Test
  void outlineAndInnerLinesLieOnEitherSideOfTheWeight() {
    BrushTable table =
        table(
            Map.of(
                LineMeasures.WIDTH, 10.0,
                LineMeasures.OUTLINE_INNER, 2.0,
                LineMeasures.OUTLINE_SHARE, 0.8));
    double outline = pixels(table, Sort.OUTLINE);
    double inner = pixels(table, Sort.INNER);
    assertThat(outline / inner).isCloseTo(2, offset(1e-9));
    assertThat(Math.sqrt(outline * inner)).isCloseTo(5, offset(1e-9));
  }

  @Test
  void oneWidthForAllIsOneBrush() {
    BrushTable table = table(Map.of(LineMeasures.WIDTH, 10.0, LineMeasures.OUTLINE_INNER, 1.04));
    assertThat(table.lines()).extracting(Line::sort).containsExactly(Sort.ALL);
    BrushTable fine = table(Map.of(LineMeasures.WIDTH, 10.0, LineMeasures.FACE_BODY, 0.6));
    assertThat(pixels(fine, Sort.FACE)).isCloseTo(3, offset(1e-9));
  }

  /** Of several works the band of the width goes with every sort. */
  @Test
  void theWorksStrayAsTheirWidthDoes() {
    StyleSheet sheet =
        StyleSheet.of(
            "A hand",
            View.FRONT,
            List.of(
                work(Map.of(LineMeasures.WIDTH, 9.0, LineMeasures.OUTLINE_INNER, 2.0)),
                work(Map.of(LineMeasures.WIDTH, 10.0, LineMeasures.OUTLINE_INNER, 2.0)),
                work(Map.of(LineMeasures.WIDTH, 11.0, LineMeasures.OUTLINE_INNER, 2.0))));
    Rule width = sheet.rule(LineMeasures.WIDTH).orElseThrow();
    assertThat(BrushTable.of(sheet, HEAD).lines())
        .hasSize(2)
        .allSatisfy(
            line -> {
              assertThat(line.lowPixels() / line.pixels())
                  .isCloseTo(width.low() / width.centre(), offset(1e-9));
              assertThat(line.highPixels() / line.pixels())
                  .isCloseTo(width.high() / width.centre(), offset(1e-9));
            });
  }

  @Test
  void aCanvasTooSmallIsToldByItsLines() {
    Map<Measure, Double> values = Map.of(LineMeasures.WIDTH, 10.0);
    assertThat(BrushTable.of(work(values), 199).lines().get(0).isTooThin()).isTrue();
    assertThat(BrushTable.of(work(values), 201).lines().get(0).isTooThin()).isFalse();
  }

  /** A deviation of 0.1 swings by 0.141 either way: 0.859 over 1.141. */
  @Test
  void theRunOfAStrokeComesFromItsReadings() {
    BrushTable.Run run =
        table(
                Map.of(
                    LineMeasures.STROKE_VARIATION, 0.1,
                    LineMeasures.STROKE, 0.6,
                    LineMeasures.HATCH, 0.4,
                    LineMeasures.HATCH_PITCH, 20.0,
                    LineMeasures.HATCH_ANGLE, 45.0))
            .run();
    assertThat(run.leastPressure().orElseThrow()).isCloseTo(0.7522, offset(0.001));
    assertThat(run.strokePixels().orElseThrow()).isCloseTo(300, offset(1e-9));
    assertThat(run.hatching().orElseThrow().pitchPixels()).isCloseTo(10, offset(1e-9));
    assertThat(run.taper()).isEmpty();
  }

  /** Next to no hatching is none, though its few lines have a distance. */
  @Test
  void whatIsHardlyHatchedHasNoHatching() {
    BrushTable table = table(Map.of(LineMeasures.HATCH, 0.001, LineMeasures.HATCH_PITCH, 20.0));
    assertThat(table.run().hatching()).isEmpty();
    assertThat(table.lines()).isEmpty();
  }

  @Test
  void withoutAHeadThereAreNoPixels() {
    assertThatThrownBy(() -> BrushTable.of(work(Map.of()), 0)).hasMessageContaining("over 0 px");
  }
}
