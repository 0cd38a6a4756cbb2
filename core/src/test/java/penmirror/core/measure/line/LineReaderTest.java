package penmirror.core.measure.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.OpenArt;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;

class LineReaderTest {

  /**
   * The icon set's design guide states a stroke of 2 units on a grid of 24: drawn at N pixels every
   * line is N/12 wide. Asked for: 3 % or 0.2 px, whichever is more, from 3 px on.
   */
  @ParameterizedTest
  @ValueSource(ints = {36, 48, 72, 120, 240, 480, 1200})
  void iconsReadTheirStatedStroke(int sizePixels) {
    double stated = sizePixels / 12.0;
    List<String> misses = new ArrayList<>();
    for (String icon : OpenArt.icons()) {
      double width =
          new LineReader()
              .read(OpenArt.draw("icons", icon, sizePixels))
              .map(DrawnLines::medianWidthPixels)
              .orElse(0.0);
      if (Math.abs(width - stated) > Math.max(0.2, 0.03 * stated)) {
        misses.add(icon + " " + width);
      }
    }
    assertThat(OpenArt.icons()).hasSize(40);
    assertThat(misses).as("of lines stated as %s px", stated).isEmpty();
  }

  /** A line between two different fills: each side has its own half-way point. */
  @Test
  void aLineBetweenTwoFillsReadsItsWidthAndColour() {
    BufferedImage image = canvas(400);
    Graphics2D graphics = pen(image);
    graphics.setColor(new Color(240, 190, 150));
    graphics.fill(new Rectangle2D.Double(0, 0, 200.5, 400));
    graphics.setColor(new Color(120, 150, 190));
    graphics.fill(new Rectangle2D.Double(200.5, 0, 200, 400));
    graphics.setColor(new Color(40, 30, 60));
    graphics.setStroke(new BasicStroke(7));
    graphics.draw(new Line2D.Double(200.5, 30, 200.5, 370));

    DrawnLines line = new LineReader().read(Picture.from(image)).orElseThrow();

    assertThat(line.medianWidthPixels()).isCloseTo(7, Offset.offset(0.2));
    assertThat(LineFacts.colour(line).lightness())
        .isCloseTo(OkLab.from(EncodedSrgb.fromRgb(0x281E3C)).lightness(), Offset.offset(0.01));
  }

  @Test
  void turningTheLineDoesNotChangeItsWidth() {
    for (double angle : new double[] {0, 17, 45, 73}) {
      BufferedImage image = canvas(400);
      Graphics2D graphics = pen(image);
      graphics.rotate(Math.toRadians(angle), 200, 200);
      graphics.setColor(Color.BLACK);
      graphics.setStroke(new BasicStroke(6));
      graphics.draw(new Line2D.Double(60, 200, 340, 200));
      assertThat(new LineReader().read(Picture.from(image)).orElseThrow().medianWidthPixels())
          .as("turned by %s degrees", angle)
          .isCloseTo(6, Offset.offset(0.2));
    }
  }

  @Test
  void aSolidShapeIsNoLine() {
    BufferedImage image = canvas(400);
    Graphics2D graphics = pen(image);
    graphics.setColor(Color.BLACK);
    graphics.fill(new Rectangle2D.Double(100, 100, 200, 200));
    assertThat(new LineReader().read(Picture.from(image))).isEmpty();
  }

  @Test
  void anEmptySheetHasNoLines() {
    assertThat(new LineReader().read(Picture.from(canvas(64)))).isEmpty();
  }

  @Test
  void onePixelLinesAreHairlines() {
    BufferedImage image = canvas(300);
    Graphics2D graphics = pen(image);
    graphics.setColor(Color.BLACK);
    graphics.setStroke(new BasicStroke(1));
    graphics.draw(new Line2D.Double(20, 150.5, 280, 150.5));
    assertThat(new PixelReader().read(Picture.from(image)).absence(LineMeasures.WIDTH))
        .isEqualTo(Reason.HAIRLINE);
  }

  private static BufferedImage canvas(int sizePixels) {
    BufferedImage image = new BufferedImage(sizePixels, sizePixels, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(Color.WHITE);
    graphics.fillRect(0, 0, sizePixels, sizePixels);
    return image;
  }

  private static Graphics2D pen(BufferedImage image) {
    Graphics2D graphics = image.createGraphics();
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    return graphics;
  }
}
