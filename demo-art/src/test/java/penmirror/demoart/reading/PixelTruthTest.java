package penmirror.demoart.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.Lab;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.Estimate;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.planning.BrushTable;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.statistics.Sample;
import penmirror.core.style.MeasuredWork;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Role;
import penmirror.demoart.page.AreaTruth;
import penmirror.demoart.page.LineClass;
import penmirror.demoart.page.LineTruth;
import penmirror.demoart.reading.FullRead.Read;
import penmirror.demoart.studio.Illustration;

/**
 * Line and shading as read off the demo pictures against what they were drawn with. The hands:
 * Odile Marrow flat shadows with a hard edge, Quill soft ones, Casimir solid black.
 */
class PixelTruthTest {
  private static final int EACH = FullRead.EACH;

  private static Optional<Double> value(Read read, Measure measure) {
    return read.readings().estimate(measure).map(Estimate::value);
  }

  /** Shadow and light of the role with the largest shadow, as painted. */
  private static Lab[] painted(Illustration drawn) {
    AreaTruth largest = null;
    for (AreaTruth area : drawn.rendering().areas()) {
      boolean shaded = area.litRgb() != area.shadedRgb();
      long both = Math.min(area.litPx(), area.shadedPx());
      if (shaded && (largest == null || both > Math.min(largest.litPx(), largest.shadedPx()))) {
        largest = area;
      }
    }
    return new Lab[] {
      Lab.from(EncodedSrgb.fromRgb(largest.litRgb())),
      Lab.from(EncodedSrgb.fromRgb(largest.shadedRgb()))
    };
  }

  @Test
  void shadowsAreAsDeepAsTheyWerePainted() {
    for (Read read : all()) {
      double step = 0;
      double ratio = 0;
      double weights = 0;
      for (AreaTruth area : read.drawn().rendering().areas()) {
        OkLab lit = OkLab.from(EncodedSrgb.fromRgb(area.litRgb()));
        OkLab shaded = OkLab.from(EncodedSrgb.fromRgb(area.shadedRgb()));
        double weight = Math.min(area.litPx(), area.shadedPx());
        if (area.litRgb() != area.shadedRgb() && lit.chroma() > 0.03) {
          step += weight * (shaded.lightness() - lit.lightness());
          ratio += weight * shaded.chroma() / lit.chroma();
          weights += weight;
        }
      }
      assertThat(value(read, ShadeMeasures.LIGHTNESS_STEP).orElseThrow())
          .as(read.file())
          .isCloseTo(step / weights, offset(0.01));
      assertThat(value(read, ShadeMeasures.CHROMA_RATIO).orElseThrow())
          .as(read.file())
          .isCloseTo(ratio / weights, offset(0.03));
    }
  }

  /** In the palette stand both the light and its shadow, each as it was painted. */
  @Test
  void paintedColoursStandInThePalette() {
    for (Read read : FullRead.FLAT) {
      for (Lab painted : painted(read.drawn())) {
        double nearest =
            read.readings().swatches().stream()
                .mapToDouble(s -> Lab.from(s.colour().toEncodedSrgb()).ciede2000(painted))
                .min()
                .orElseThrow();
        assertThat(nearest).as(read.file()).isLessThan(1);
      }
    }
  }

  @Test
  void hardEdgesAreHardAndSoftOnesAsSoftAsPainted() {
    double[] hard =
        FullRead.FLAT.stream()
            .mapToDouble(read -> value(read, ShadeMeasures.HARD).orElseThrow())
            .sorted()
            .toArray();
    assertThat(hard[0]).as("hard share, least").isGreaterThan(0.85);
    assertThat(hard[EACH / 2]).as("hard share, median").isGreaterThan(0.95);
    List<Double> ratios = new ArrayList<>();
    for (Read read : FullRead.SOFT) {
      double painted =
          read.drawn().parameters().get(Parameter.SHADE_EDGE)
              / 1000
              * read.drawn().rendering().headPx();
      ratios.add(value(read, ShadeMeasures.EDGE).orElseThrow() / painted);
    }
    double[] sorted = ratios.stream().mapToDouble(r -> r).sorted().toArray();
    assertThat((sorted[EACH / 2 - 1] + sorted[EACH / 2]) / 2)
        .as("read over painted, median of %s", Arrays.toString(sorted))
        .isCloseTo(1, withPercentage(10));
  }

  @Test
  void twoValuesAreTwo() {
    int exact = 0;
    for (Read read : FullRead.FLAT) {
      exact += Math.round(value(read, ShadeMeasures.STEPS).orElseThrow()) == 2 ? 1 : 0;
    }
    for (Read read : FullRead.SOFT) {
      exact += Math.round(value(read, ShadeMeasures.STEPS).orElseThrow()) == 2 ? 1 : 0;
    }
    assertThat(exact).isEqualTo(2 * EACH);
  }

  /** Forms that lie mostly in shadow included: what is lit of them is light and no highlight. */
  @Test
  void asMuchLiesInShadowAsWasPainted() {
    double[] off = sorted(read -> value(read, ShadeMeasures.COVER).orElseThrow() - inShadow(read));
    assertThat(off[EACH]).as("median of %s", Arrays.toString(off)).isLessThan(0.08);
    assertThat(off[2 * EACH - 2]).as("but for one of %s", Arrays.toString(off)).isLessThan(0.12);
  }

  /** Share of what is painted, lines and paper left out. */
  private static double inShadow(Read read) {
    double shaded = 0;
    double all = 0;
    for (AreaTruth area : read.drawn().rendering().areas()) {
      if (area.role() != Role.INK && area.role() != Role.PAPER) {
        shaded += area.shadedPx();
        all += area.litPx() + area.shadedPx();
      }
    }
    return shaded / all;
  }

  /** Neither hand lays one. */
  @Test
  void whereNoHighlightIsPaintedHardlyAnyIsSeen() {
    double[] seen = sorted(read -> value(read, ShadeMeasures.HIGHLIGHT).orElseThrow());
    assertThat(seen[EACH]).as("median").isLessThan(ShadeMeasures.LEAST_HIGHLIGHT);
    assertThat(seen[2 * EACH - 1]).as("most").isLessThan(0.05);
  }

  /** Parts that hide each other mislead single pictures. */
  @Test
  void theLightComesFromWhereItWasSet() {
    double[] off =
        sorted(
            read ->
                Math.IEEEremainder(
                    value(read, ShadeMeasures.LIGHT_FROM).orElseThrow()
                        - read.drawn().rendering().lightDegrees(),
                    360));
    assertThat(off[EACH]).as("median of %s", Arrays.toString(off)).isLessThan(10);
    assertThat(off[2 * EACH - 3]).as("three in four of %s", Arrays.toString(off)).isLessThan(15);
  }

  private static List<Read> all() {
    List<Read> all = new ArrayList<>(FullRead.FLAT);
    all.addAll(FullRead.SOFT);
    return all;
  }

  /** How far every picture is off, the nearest first. */
  private static double[] sorted(ToDoubleFunction<Read> off) {
    return all().stream().mapToDouble(off).map(Math::abs).sorted().toArray();
  }

  /** All but what is counted, or told by the marked eyes or by one face. */
  @Test
  void readingsOfLineShadeAndColourStateTheirErrors() {
    List<String> without = new ArrayList<>();
    for (Measure measure : MeasureCatalogue.all()) {
      boolean asked =
          measure.group() == MeasureGroup.LINE
              || measure.group() == MeasureGroup.SHADE
              || measure.group() == MeasureGroup.COLOUR;
      List<Estimate> estimates =
          all().stream().flatMap(read -> read.readings().estimate(measure).stream()).toList();
      if (asked
          && !estimates.isEmpty()
          && estimates.stream().allMatch(estimate -> estimate.standardError().isEmpty())) {
        without.add(measure.key());
      }
    }
    assertThat(without)
        .isSubsetOf(
            "pal.darkest", // Every tile has it.
            "pal.darkest.chroma",
            "line.lash",
            "skin.hues",
            "shade.pairs",
            "pal.accent.places",
            "focus.contrast");
  }

  /** Behind hair and under arms an outline is counted as another line, or the other way round. */
  @Test
  void theOutlineIsAsMuchHeavierAsItWasDrawn() {
    double[] off =
        sorted(
            read ->
                value(read, LineMeasures.OUTLINE_INNER).orElseThrow()
                        / read.drawn().rendering().outlineToInner()
                    - 1);
    assertThat(off[EACH]).as("median of %s", Arrays.toString(off)).isLessThan(0.05);
    assertThat(off[2 * EACH - 3]).as("three in four of %s", Arrays.toString(off)).isLessThan(0.05);
  }

  /** Ink of the manner: nearly black for one, as set; tinted for none. */
  @Test
  void theLineIsAsDarkAsTheInk() {
    for (Read read : FullRead.FLAT) {
      double ink = read.drawn().parameters().get(Parameter.LINE_LIGHTNESS);
      assertThat(value(read, LineMeasures.DARKNESS).orElseThrow())
          .as(read.file())
          .isCloseTo(ink, offset(0.04));
    }
  }

  /**
   * The brushes that a plan names for the outline and for what lies inside, at the works' own size,
   * against the strokes as they were drawn: within a tenth and a half for the median work.
   */
  @Test
  void theBrushesOfAPlanAreThoseItWasDrawnWith() {
    List<Double> outline = new ArrayList<>();
    List<Double> inner = new ArrayList<>();
    for (Read read : all()) {
      double head = read.drawn().marks().headFrame().orElseThrow().headPixels();
      MeasuredWork measured =
          MeasuredWork.of(
              "1", "Work", "", new Evidence(read.drawn().marks(), Optional.of(read.readings())));
      for (BrushTable.Line line : BrushTable.of(measured, head).lines()) {
        switch (line.sort()) {
          case OUTLINE -> outline.add(line.pixels() / drawn(read, LineClass.SILHOUETTE));
          case INNER -> inner.add(line.pixels() / drawn(read, LineClass.FORM));
          default -> {}
        }
      }
    }
    for (List<Double> ratios : List.of(outline, inner)) {
      Sample of = Sample.of(ratios.stream().mapToDouble(d -> d).toArray());
      System.out.printf(
          "brush over stroke: %.2f to %.2f, median %.2f%n",
          of.quantile(0), of.quantile(1), of.median());
    }
    assertThat(outline).hasSizeGreaterThanOrEqualTo(EACH);
    assertThat(Sample.of(outline.stream().mapToDouble(d -> d).toArray()).median())
        .isBetween(0.9, 1.15);
    assertThat(Sample.of(inner.stream().mapToDouble(d -> d).toArray()).median())
        .isBetween(0.9, 1.15);
  }

  private static double drawn(Read read, LineClass lineClass) {
    return read.drawn().rendering().lines().stream()
        .filter(truth -> truth.lineClass() == lineClass)
        .mapToDouble(LineTruth::medianPx)
        .findFirst()
        .orElseThrow();
  }
}
