package penmirror.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.Arc2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.Drawing;
import penmirror.core.OpenArt;
import penmirror.core.colour.OkLabPlanes;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Picture;

class FigureMaskTest {
  private static final int PAPER = 0xF5EDDC;

  @Test
  void aFilledShapeOnPaperIsTheFigure() {
    Mask mask =
        mask(new Drawing(300, 300, PAPER).fill(new Ellipse2D.Double(80, 60, 140, 180), 0x7C8450));
    double area = Math.PI * 70 * 90;
    assertThat((double) mask.count()).isBetween(area * 0.98, area * 1.03);
    assertThat(mask.at(150, 150)).isTrue();
    assertThat(mask.at(10, 10)).isFalse();
  }

  /** Paper inside a closed outline is a white body, not background. */
  @Test
  void whatAnOutlineEnclosesIsFigure() {
    Mask mask =
        mask(
            new Drawing(300, 300, PAPER)
                .stroke(new Ellipse2D.Double(80, 60, 140, 180), 5, 0x222222));
    assertThat(mask.at(150, 150)).isTrue();
  }

  /** A gap of 4 px in an outline on 300 px: the flood stays outside, as a reader's eye does. */
  @Test
  void aSmallGapInTheOutlineDoesNotLetTheBackgroundIn() {
    Arc2D broken = new Arc2D.Double(80, 60, 140, 180, 2, 357, Arc2D.OPEN);
    Mask mask = mask(new Drawing(300, 300, PAPER).stroke(broken, 4, 0x222222));
    assertThat(mask.at(150, 150)).isTrue();
  }

  @Test
  void aWideOpeningLetsTheBackgroundIn() {
    Arc2D open = new Arc2D.Double(80, 60, 140, 180, 45, 270, Arc2D.OPEN);
    Mask mask = mask(new Drawing(300, 300, PAPER).stroke(open, 4, 0x222222));
    assertThat(mask.at(150, 150)).isFalse();
  }

  /** A shirt of the paper's colour that the lower edge cuts is not where the flood may begin. */
  @Test
  void aWhiteShirtCutByTheLowerEdgeIsFigure() {
    Drawing bust =
        new Drawing(300, 300, PAPER)
            .stroke(new Rectangle2D.Double(90, 120, 120, 400), 6, 0x222222)
            .fill(new Ellipse2D.Double(110, 30, 80, 90), 0xF0CBA6);
    Mask mask = mask(bust);
    assertThat(mask.at(150, 280)).isTrue();
    assertThat(mask.at(40, 280)).isFalse();
    assertThat(mask.at(260, 280)).isFalse();
  }

  @Test
  void aDarkPageIsBackgroundToo() {
    Mask mask =
        mask(
            new Drawing(200, 200, 0x31384E).fill(new Rectangle2D.Double(60, 60, 80, 80), 0xD9B893));
    assertThat(mask.count()).isBetween(80 * 80, 82 * 82);
  }

  @Test
  void anEvenPageHasNoFigure() {
    assertThat(mask(new Drawing(120, 80, PAPER)).count()).isZero();
  }

  @Test
  void paperGrainIsNoFigure() {
    Mask mask =
        mask(
            new Drawing(300, 300, PAPER)
                .fill(new Rectangle2D.Double(100, 100, 100, 100), 0x7C8450)
                .grain(3));
    assertThat(mask.count()).isBetween(9_800, 10_800);
  }

  /**
   * The heads are drawn on white; their vector source fills a closed body in every one of these.
   */
  @ParameterizedTest
  @ValueSource(strings = {"openPeeps-00", "openPeeps-04", "openPeeps-07", "openPeeps-11"})
  void openHeadsStandOutFromTheirPaper(String head) {
    Picture picture = OpenArt.draw("heads", head, 500);
    Mask mask = mask(picture);
    double share = mask.count() / (double) picture.pixelCount();
    assertThat(share).isBetween(0.25, 0.75);
    assertThat(mask.at(2, 2)).isFalse();
  }

  private static Mask mask(Drawing drawing) {
    return mask(drawing.picture());
  }

  private static Mask mask(Picture picture) {
    return FigureMask.of(
        OkLabPlanes.of(picture.pixelCount(), picture::rgb),
        picture.widthPixels(),
        picture.heightPixels());
  }
}
