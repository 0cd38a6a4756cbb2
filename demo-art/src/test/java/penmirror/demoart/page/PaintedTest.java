package penmirror.demoart.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.util.List;
import org.junit.jupiter.api.Test;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Swell;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Parameters;
import penmirror.demoart.manner.Role;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Hands;

/** Single parts and lines on a page of 100 px to the head, counted pixel by pixel. */
class PaintedTest {
  private static final int SIZE = 400;
  private static final Curve BLOCK = Curve.outline("0.5,0.5c 3.5,0.5c 3.5,3.5c 0.5,3.5c");

  /** Even lines of 60 thousandths, straight light from the right, the shadow a set share wide. */
  private static final Parameters PLAIN =
      Hands.ODILE
          .centre()
          .with(Parameter.LINE_WIDTH, 40)
          .with(Parameter.OUTLINE, 1.5)
          .with(Parameter.SWELL, 0)
          .with(Parameter.WOBBLE, 0)
          .with(Parameter.LIGHT_ANGLE, 90)
          .with(Parameter.SHADE_REACH, 0.5);

  @Test
  void aContourIsAsWideAsItsClassAsks() {
    Page page = new Page();
    page.draft().part("blank", Role.PAPER, BLOCK).tone(Part.Tone.FLAT);
    BufferedImage image = drawn(page, PLAIN).image();
    // Two sides of 1.5 × 40 thousandths of a head each: 6 px and 6 px.
    assertThat(darkInColumn(image, 200)).isCloseTo(12, offset(0.2));
  }

  @Test
  void aLineSwellsToItsWidthAndTapersToItsEnds() {
    Page page = new Page();
    page.draft().line(Curve.line("0.5,2 2,2 3.5,2"), LineClass.DETAIL, 2, new Swell(0.2, 0.2, 0.5));
    BufferedImage image = drawn(page, PLAIN).image();
    assertThat(darkInColumn(image, 200)).isCloseTo(8, offset(0.15));
    assertThat(darkInColumn(image, 60)).isLessThan(4);
    assertThat(darkInColumn(image, 340)).isLessThan(4);
    assertThat(darkInColumn(image, 40)).isZero();
  }

  /** Shadow reaches in by 1.8 × reach × twice the area over the length: 135 of 300 px. */
  @Test
  void aHardShadowTakesItsShareInOneFlatColour() {
    Rendering rendering = drawn(block(0), PLAIN);
    BufferedImage image = rendering.image();
    int dark = image.getRGB(100, 200);
    int lit = image.getRGB(300, 200);
    assertThat(dark).isNotEqualTo(lit);
    int edge = 0;
    while (image.getRGB(50 + edge, 200) == dark) {
      edge++;
    }
    assertThat(edge).isCloseTo(135, offset(1));
    AreaTruth coat =
        rendering.areas().stream().filter(a -> a.role() == Role.COAT).findFirst().orElseThrow();
    assertThat(coat.shadedPx()).isCloseTo(135L * 300, offset(400L));
    assertThat(coat.litPx()).isCloseTo(165L * 300, offset(400L));
    assertThat(coat.shadedRgb()).isEqualTo(dark & 0xFFFFFF);
    assertThat(coat.litRgb()).isEqualTo(lit & 0xFFFFFF);
  }

  /** 10 to 90 % of a blurred border, read off the picture, is what the parameter says. */
  @Test
  void aSoftShadowIsAsSoftAsItSays() {
    for (double thousandths : new double[] {40, 120}) {
      BufferedImage image = drawn(block(0), PLAIN.with(Parameter.SHADE_EDGE, thousandths)).image();
      int dark = image.getRGB(60, 200) >> 8 & 255;
      int lit = image.getRGB(340, 200) >> 8 & 255;
      double from = crossing(image, dark + 0.1 * (lit - dark));
      double to = crossing(image, dark + 0.9 * (lit - dark));
      assertThat(to - from)
          .as("%s thousandths", thousandths)
          .isCloseTo(thousandths / 10, offset(0.08 * thousandths / 10 + 0.5));
    }
  }

  private static double crossing(BufferedImage image, double level) {
    for (int x = 60; x < 340; x++) {
      int a = image.getRGB(x, 200) >> 8 & 255;
      int b = image.getRGB(x + 1, 200) >> 8 & 255;
      if (a <= level && b > level) {
        return x + (level - a) / (b - a);
      }
    }
    return Double.NaN;
  }

  @Test
  void aBrokenContourLeavesAboutItsShareOpen() {
    Page page = block(1);
    Parameters broken =
        PLAIN
            .with(Parameter.CLOSED, 0.7)
            .with(Parameter.STROKE_LENGTH, 0.5)
            .with(Parameter.TAPER, 0);
    List<LineTruth> whole = drawn(page, PLAIN).lines();
    List<LineTruth> open = drawn(page, broken).lines();
    assertThat(open.get(0).strokes()).isGreaterThan(5);
    assertThat(open.get(0).lengthPx() / whole.get(0).lengthPx()).isBetween(0.55, 0.9);
  }

  @Test
  void whatLiesBehindAPartIsNotSeen() {
    Page page = block(1);
    page.draft().part("hidden", Role.SKIN, Curve.oval(2, 2, 0.5, 0.5));
    page.draft().part("cover", Role.SKIN, Curve.oval(2, 2, 1, 1));
    List<LineTruth> lines = drawn(page, PLAIN).lines();
    LineTruth form =
        lines.stream().filter(l -> l.lineClass() == LineClass.FORM).findFirst().orElseThrow();
    // Only the covering disc's own border shows: 2π heads.
    assertThat(form.lengthPx()).isCloseTo(2 * Math.PI * 100, offset(8.0));
    LineTruth silhouette =
        lines.stream().filter(l -> l.lineClass() == LineClass.SILHOUETTE).findFirst().orElseThrow();
    assertThat(silhouette.lengthPx()).isCloseTo(1200, offset(8.0));
    assertThat(silhouette.medianPx()).isCloseTo(6, offset(0.05));
  }

  @Test
  void crossHatchingIsDrawnAtItsPitch() {
    Parameters hatched =
        Hands.CASIMIR
            .centre()
            .with(Parameter.HATCH_PITCH, 100)
            .with(Parameter.HATCH_ANGLE, 0)
            .with(Parameter.LIGHT_ANGLE, 90)
            .with(Parameter.CLOSED, 1)
            .with(Parameter.BLACK, 0);
    Rendering rendering = drawn(block(0), Hands.CASIMIR, hatched);
    LineTruth hatch =
        rendering.lines().stream()
            .filter(l -> l.lineClass() == LineClass.HATCH)
            .findFirst()
            .orElseThrow();
    // Level lines across 3 heads, one each 0.1 head, and a second set across them.
    assertThat(hatch.strokes()).isBetween(40, 80);
  }

  @Test
  void aSheetHasItsLimits() {
    assertThatThrownBy(() -> new Rendering(drawing(block(1), Hands.ODILE, PLAIN), 5000, 10, unit()))
        .hasMessageContaining("1 to 4096 px")
        .hasMessageContaining("5000 x 10");
  }

  private static Page block(double contour) {
    Page page = new Page();
    page.draft().part("block", Role.COAT, BLOCK).contour(contour);
    return page;
  }

  private static Rendering drawn(Page page, Parameters parameters) {
    return drawn(page, Hands.ODILE, parameters);
  }

  private static Rendering drawn(Page page, Manner manner, Parameters parameters) {
    return new Rendering(drawing(page, manner, parameters), SIZE, SIZE, unit());
  }

  private static Drawing drawing(Page page, Manner manner, Parameters parameters) {
    return new Drawing(
        page, manner, parameters, DemoStudio.odileMarrow().sources().get(0).palette(), 7);
  }

  private static AffineTransform unit() {
    return AffineTransform.getScaleInstance(100, 100);
  }

  /** Ink in a column, in pixels of full cover. */
  private static double darkInColumn(BufferedImage image, int x) {
    double sum = 0;
    int paper = image.getRGB(5, 5) >> 8 & 255;
    int ink = darkest(image);
    for (int y = 0; y < SIZE; y++) {
      sum += (paper - (image.getRGB(x, y) >> 8 & 255)) / (double) (paper - ink);
    }
    return sum;
  }

  private static int darkest(BufferedImage image) {
    int darkest = 255;
    for (int y = 0; y < SIZE; y++) {
      for (int x = 0; x < SIZE; x++) {
        darkest = Math.min(darkest, image.getRGB(x, y) >> 8 & 255);
      }
    }
    return darkest;
  }
}
