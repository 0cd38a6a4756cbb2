package penmirror.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.measure.Estimate;
import penmirror.core.measure.Measure;
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Picture;
import penmirror.core.statistics.Sample;

/**
 * Stated errors against what they are errors of: pictures drawn again and again by chance from one
 * recipe differ by about as much as each of them says.
 */
class StatedErrorsTest {
  private static final int PICTURES = 14;
  private static final int SIZE = 640;
  private static final int STROKES = 60;

  private static final List<PixelReadings> READ = new ArrayList<>();

  @BeforeAll
  static void drawAgainAndAgain() {
    for (int seed = 0; seed < PICTURES; seed++) {
      READ.add(new PixelReader().read(drawn(new Random(seed))));
    }
  }

  /** Strokes of chance width, direction and ink on a pale disc. */
  private static Picture drawn(Random random) {
    BufferedImage image = new BufferedImage(SIZE, SIZE, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    pen.setColor(Color.WHITE);
    pen.fillRect(0, 0, SIZE, SIZE);
    pen.setColor(new Color(235, 200, 160));
    pen.fill(new Ellipse2D.Double(20, 20, SIZE - 40, SIZE - 40));
    for (int k = 0; k < STROKES; k++) {
      // One to a cell of a grid, so that strokes do not cross.
      double x = 120 + 50 * (k % 8) + 6 * random.nextDouble();
      double y = 120 + 50 * (k / 8) + 6 * random.nextDouble();
      double turn = random.nextInt(4) * Math.PI / 4;
      double half = 10 + 8 * random.nextDouble();
      pen.setColor(random.nextInt(3) == 0 ? new Color(120, 40, 20) : Color.BLACK);
      pen.setStroke(
          new BasicStroke(
              (float) (3 + 3 * random.nextDouble()), BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER));
      pen.draw(
          new Line2D.Double(
              x - half * Math.cos(turn),
              y - half * Math.sin(turn),
              x + half * Math.cos(turn),
              y + half * Math.sin(turn)));
    }
    pen.dispose();
    return Picture.from(image);
  }

  @ParameterizedTest
  @ValueSource(strings = {"line.width", "line.level", "line.upright", "line.black", "line.ink"})
  void picturesDifferAsMuchAsEachSaysItMay(String key) {
    Measure measure = MeasureCatalogue.byKey(key).orElseThrow();
    double[] values = new double[PICTURES];
    double stated = 0;
    for (int i = 0; i < PICTURES; i++) {
      Estimate estimate = READ.get(i).estimate(measure).orElseThrow();
      values[i] = estimate.value();
      stated += estimate.standardError().orElseThrow() / PICTURES;
    }
    double seen = Sample.of(values).standardDeviation();
    // Fourteen pictures tell a deviation to a fifth; strokes are drawn again here and tiles there.
    assertThat(stated / seen).as("stated %s, seen %s", stated, seen).isBetween(0.5, 2.0);
  }
}
