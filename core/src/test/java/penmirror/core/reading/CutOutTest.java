package penmirror.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import penmirror.core.raster.Picture;

class CutOutTest {
  private static final int WIDTH = 600;
  private static final int HEIGHT = 800;

  private static Picture picture(boolean drawn) {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setColor(new Color(0xF4EFE4));
    pen.fillRect(0, 0, WIDTH, HEIGHT);
    if (drawn) {
      pen.setColor(new Color(0x4477AA));
      pen.fill(new Ellipse2D.Double(150, 200, 300, 400));
      pen.setColor(Color.BLACK);
      pen.setStroke(new BasicStroke(6));
      pen.draw(new Ellipse2D.Double(150, 200, 300, 400));
    }
    pen.dispose();
    return Picture.from(image);
  }

  private static int opacity(CutOut cut, int x, int y) {
    return cut.image().getRGB(x - cut.place().left(), y - cut.place().top()) >>> 24;
  }

  @Test
  void theFigureIsKeptAndThePaperIsGone() {
    CutOut cut = CutOut.of(picture(true), List.of()).orElseThrow();
    assertThat(cut.place().left()).isBetween(144, 150);
    assertThat(cut.place().top()).isBetween(194, 200);
    assertThat(cut.place().width()).isBetween(300, 312);
    assertThat(cut.place().height()).isBetween(400, 412);
    assertThat(opacity(cut, 300, 400)).isEqualTo(255);
    assertThat(cut.image().getRGB(300 - cut.place().left(), 400 - cut.place().top()) & 0xFFFFFF)
        .isEqualTo(0x4477AA);
    assertThat(opacity(cut, 160, 210)).as("a corner of the box").isZero();
    // Area of the ellipse with half its line: what is opaque is the figure and no more.
    long opaque =
        IntStream.range(0, cut.image().getWidth() * cut.image().getHeight())
            .filter(i -> alpha(cut, i) > 127)
            .count();
    assertThat((double) opaque / (Math.PI * 153 * 203)).isBetween(0.98, 1.02);
  }

  /** A copy of another size loses its paper just as the picture does, and keeps its colours. */
  @Test
  void aCopyLosesItsPaperToo() {
    CutOut cut = CutOut.of(picture(true), List.of()).orElseThrow();
    for (double size : new double[] {0.5, 2}) {
      int width = (int) (size * WIDTH);
      BufferedImage copy =
          new BufferedImage(width, (int) (size * HEIGHT), BufferedImage.TYPE_INT_RGB);
      Graphics2D pen = copy.createGraphics();
      pen.drawImage(picture(true).toImage(), 0, 0, width, copy.getHeight(), null);
      pen.dispose();
      BufferedImage bare = cut.cut(copy, WIDTH);
      assertThat(bare.getRGB(2, 2) >>> 24).isZero();
      assertThat(bare.getRGB(width / 2, copy.getHeight() / 2))
          .isEqualTo(copy.getRGB(width / 2, copy.getHeight() / 2));
      long opaque = 0;
      for (int y = 0; y < bare.getHeight(); y++) {
        for (int x = 0; x < width; x++) {
          opaque += bare.getRGB(x, y) >>> 24 > 127 ? 1 : 0;
        }
      }
      assertThat(opaque / (Math.PI * 153 * 203 * size * size)).isBetween(0.98, 1.02);
    }
  }

  private static int alpha(CutOut cut, int i) {
    return cut.image().getRGB(i % cut.image().getWidth(), i / cut.image().getWidth()) >>> 24;
  }

  @Test
  void onABlankPageThereIsNothingToCutOut() {
    assertThat(CutOut.of(picture(false), List.of())).isEmpty();
  }
}
