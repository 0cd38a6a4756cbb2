package penmirror.core.proposal;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import org.junit.jupiter.api.Test;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;

/** The upper part of a figure, and the way back to the whole. */
class UpperFigureTest {

  /** A tall figure on a large sheet, its head a square of another colour. */
  private static Picture figure() {
    BufferedImage image = new BufferedImage(1600, 2400, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setColor(new Color(245, 240, 230));
    pen.fillRect(0, 0, 1600, 2400);
    pen.setColor(new Color(60, 70, 120));
    pen.fillRect(650, 500, 300, 1700);
    pen.setColor(new Color(220, 160, 120));
    pen.fillRect(700, 300, 200, 200);
    pen.dispose();
    return Picture.from(image);
  }

  @Test
  void theHeadHasMoreWorkingPixelsThanOnTheWholeSheet() {
    Ground whole = new Ground(figure());
    UpperFigure upper = UpperFigure.of(whole);
    assertThat(upper.ground().scale).isGreaterThan(2 * whole.scale);
    assertThat(upper.ground().picture.heightPixels()).isBetween(780, 820);
    assertThat(upper.top()).isBetween(250, 300);
    assertThat(upper.left()).isBetween(600, 650);
  }

  /** The head's middle, found by its colour on either ground, is one place. */
  @Test
  void aPlaceOnThePartIsThatPlaceOnTheWhole() {
    Ground whole = new Ground(figure());
    UpperFigure upper = UpperFigure.of(whole);
    Point onWhole = middleOfTheHead(whole);
    Point onPart = middleOfTheHead(upper.ground());
    assertThat(upper.toWorkingOf(whole, onPart).distanceTo(onWhole)).isLessThan(0.6);
    assertThat(whole.toPicture(onWhole.x(), onWhole.y()).distanceTo(new Point(800, 400)))
        .isLessThan(2);
  }

  private static Point middleOfTheHead(Ground ground) {
    double x = 0;
    double y = 0;
    int count = 0;
    for (int i = 0; i < ground.width * ground.height; i++) {
      if (ground.a.values()[i] > 0.03) {
        x += i % ground.width;
        y += i / ground.width;
        count++;
      }
    }
    return new Point(x / count, y / count);
  }

  @Test
  void aSheetWithoutAFigureHasAPartAllTheSame() {
    Ground blank = new Ground(Picture.of(300, 200, new int[60_000]));
    UpperFigure upper = UpperFigure.of(blank);
    assertThat(upper.ground().picture.widthPixels()).isPositive();
    assertThat(upper.ground().picture.heightPixels()).isPositive();
  }
}
