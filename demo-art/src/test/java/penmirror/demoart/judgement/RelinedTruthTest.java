package penmirror.demoart.judgement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.figure.Marks;
import penmirror.core.file.PictureReader;
import penmirror.core.file.UnusablePictureException;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.colour.ColourMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.planning.Relined;
import penmirror.core.planning.Relined.Brushes;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelEvidence;
import penmirror.core.reading.PixelReader;
import penmirror.core.scoring.Fix;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.DrawnWork;

/** A drawing whose lines are laid thicker or thinner is read so, and as drawn in all else. */
class RelinedTruthTest {
  private static final DrawnWork DRAWN =
      DrawnWork.of(DemoStudio.odileMarrow().sources().get(0), 0.7);

  private static final PixelEvidence BEFORE = read(opened(DRAWN), DRAWN.truth());

  private static PixelEvidence read(Picture picture, Marks marks) {
    return new PixelReader().look(picture, marks, List.of(), step -> {});
  }

  private static Picture opened(DrawnWork work) {
    try {
      return new PictureReader().open(work.png()).picture();
    } catch (UnusablePictureException e) {
      throw new IllegalStateException(e);
    }
  }

  private static double value(PixelEvidence of, Measure measure) {
    return of.readings().estimate(measure).orElseThrow().value();
  }

  @ParameterizedTest
  @CsvSource({"1.3, 1.3", "0.75, 0.75", "1.4, 1.0", "0.7, 1.0", "1.0, 1.5"})
  void linesAreReadAsThickAsTheyWereLaid(double outline, double inner) {
    PixelEvidence after =
        read(Relined.of(BEFORE, opened(DRAWN), new Brushes(outline, inner)), DRAWN.truth());
    assertThat(value(after, LineMeasures.WIDTH))
        .as("line weight")
        .isCloseTo(
            value(BEFORE, LineMeasures.WIDTH) * Math.sqrt(outline * inner), withPercentage(8));
    assertThat(value(after, LineMeasures.OUTLINE_INNER))
        .as("outline over inner lines")
        .isCloseTo(value(BEFORE, LineMeasures.OUTLINE_INNER) * outline / inner, withPercentage(12));
    for (Measure measure :
        List.of(
            LineMeasures.DARKNESS,
            ColourMeasures.LIGHT,
            ColourMeasures.CHROMA,
            ShadeMeasures.LIGHTNESS_STEP)) {
      double apart = measure.scale().difference(value(after, measure), value(BEFORE, measure));
      assertThat(Math.abs(apart))
          .as(measure.key())
          .isLessThanOrEqualTo(measure.spreadWithinStyle() / 2);
    }
  }

  @Test
  void asDrawnItIsThePictureItself() {
    Picture picture = opened(DRAWN);
    assertThat(Relined.of(BEFORE, picture, Brushes.AS_DRAWN)).isSameAs(picture);
    Picture inner = Relined.of(BEFORE, picture, new Brushes(1, 1.5));
    assertThat(inner.pixelCount()).isEqualTo(picture.pixelCount());
  }

  /** An attempt in a line too thin: what the fixes ask for is the works' own weight. */
  @Test
  void fixesSayHowThick() {
    DemoScores.Hand odile = DemoScores.HANDS.get(0);
    DrawnWork attempt = DrawnWork.of(DemoStudio.odileMarrow().redraws().get(1), 0.7);
    Evidence thin =
        new Evidence(
            attempt.truth(), Optional.of(read(opened(attempt), attempt.truth()).readings()));
    List<Fix> fixes = odile.scorer().score(thin).fixes();
    double weight = LineMeasures.WIDTH.value(thin).orElseThrow();
    double theirs = odile.sheet().rule(LineMeasures.WIDTH).orElseThrow().centre();
    Brushes wanted = Brushes.wantedBy(fixes);
    assertThat(Brushes.wantedBy(List.of())).isEqualTo(Brushes.AS_DRAWN);
    assertThat(fixes).extracting(Fix::key).contains("line-weight.more");
    assertThat(Math.sqrt(wanted.outline() * wanted.inner()))
        .isCloseTo(theirs / weight, withPercentage(0.1));
  }
}
