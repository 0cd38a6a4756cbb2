package penmirror.core.measure.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.Drawing;
import penmirror.core.measure.Measure;
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;

/** Line width and value under the conditions real pictures bring. Truth is the stroke as drawn. */
class LineConditionsTest {
  private static final int WHITE = 0xFFFFFF;

  @ParameterizedTest
  @ValueSource(doubles = {2.5, 3, 4, 6, 9, 14, 22})
  void everyWidthReadsWithinThreePerCentOrAFifthOfAPixel(double width) {
    PixelReadings line = read(waves(width, 0x000000, WHITE).picture());
    assertThat(width(line)).isCloseTo(width, offset(Math.max(0.2, 0.03 * width)));
    assertThat(
            width(line) * value(line, LineMeasures.THICK)
                - width(line) * value(line, LineMeasures.THIN))
        .isLessThan(0.12 * width + 0.3);
  }

  /** Ink and ground: dark on white, brown on skin, violet on olive, faint on grey. */
  @ParameterizedTest
  @CsvSource({"241F20, FFFFFF", "BE825F, F0BE96", "3A4C8E, 7C8450", "6E6E6E, 8C8C8C"})
  void contrastDoesNotChangeTheWidth(String ink, String ground) {
    PixelReadings line =
        read(waves(6, Integer.parseInt(ink, 16), Integer.parseInt(ground, 16)).picture());
    assertThat(width(line)).isCloseTo(6, offset(0.2));
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.6, 0.8, 0.95})
  void jpegDoesNotChangeTheWidth(double quality) {
    assertThat(width(read(waves(6, 0x101010, WHITE).asJpeg(quality)))).isCloseTo(6, offset(0.2));
  }

  @Test
  void grainDoesNotChangeTheWidth() {
    assertThat(width(read(waves(6, 0x202020, 0xF0E8DC).grain(4).picture())))
        .isCloseTo(6, offset(0.3));
  }

  @Test
  void theValueOfTheLineIsThatOfItsInk() {
    PixelReadings dark = read(waves(8, 0x000000, WHITE).picture());
    PixelReadings brown = read(waves(8, 0x8A5A35, WHITE).picture());
    assertThat(value(dark, LineMeasures.DARKNESS)).isCloseTo(0, offset(0.01));
    assertThat(value(brown, LineMeasures.DARKNESS)).isCloseTo(0.51, offset(0.02));
  }

  @Test
  void mirroringChangesNothing() {
    Path2D path = new Path2D.Double();
    path.moveTo(30, 60);
    path.curveTo(160, 20, 240, 360, 370, 300);
    Path2D mirrored = new Path2D.Double();
    mirrored.moveTo(370, 60);
    mirrored.curveTo(240, 20, 160, 360, 30, 300);
    double one = width(read(new Drawing(400, 400, WHITE).stroke(path, 7, 0).picture()));
    double other = width(read(new Drawing(400, 400, WHITE).stroke(mirrored, 7, 0).picture()));
    assertThat(one).isCloseTo(other, offset(0.05));
  }

  /**
   * Two brushes, three quarters of the length by the thin one: of the middle three fifths, 0.55 are
   * thin and 0.05 thick.
   */
  @Test
  void theWeightGoesByLengthAndTheTenthsByBrush() {
    Drawing drawing = new Drawing(600, 600, WHITE);
    for (int i = 0; i < 6; i++) {
      drawing.stroke(new Line2D.Double(40, 60 + 40 * i, 560, 60 + 40 * i), 4, 0);
    }
    drawing.stroke(new Line2D.Double(40, 420, 560, 420), 9, 0);
    drawing.stroke(new Line2D.Double(40, 480, 560, 480), 9, 0);
    PixelReadings line = read(drawing.picture());
    double mean = Math.exp((0.55 * Math.log(4) + 0.05 * Math.log(9)) / 0.6);
    assertThat(width(line)).isCloseTo(mean, offset(0.1));
    assertThat(4 * value(line, LineMeasures.THICK)).isCloseTo(9, offset(0.4));
    double length = new LineReader().read(drawing.picture()).orElseThrow().lengthPixels();
    assertThat(length).isCloseTo(8 * 520, offset(150.0));
  }

  @Test
  void crossingsDoNotFattenTheLine() {
    Drawing drawing = new Drawing(500, 500, WHITE);
    for (int i = 0; i < 4; i++) {
      drawing.stroke(new Line2D.Double(60 + 110 * i, 30, 60 + 110 * i, 470), 6, 0);
      drawing.stroke(new Line2D.Double(30, 60 + 110 * i, 470, 60 + 110 * i), 6, 0);
    }
    assertThat(width(read(drawing.picture()))).isCloseTo(6, offset(0.15));
  }

  /** Black hair beside an outline: a solid of its own, and not a thick line. */
  @Test
  void spotBlacksAreNotThickLines() {
    Drawing drawing =
        waves(6, 0x000000, WHITE).fill(new Ellipse2D.Double(140, 430, 320, 150), 0x000000);
    PixelReadings line = read(drawing.picture());
    assertThat(width(line)).isCloseTo(6, offset(0.2));
    assertThat(width(line) * value(line, LineMeasures.THICK)).isLessThan(8);
  }

  @Test
  void dotsAreNotLines() {
    Drawing drawing = new Drawing(400, 400, WHITE);
    for (int i = 0; i < 8; i++) {
      drawing.fill(new Ellipse2D.Double(30 + 45 * i, 40 + 40 * i, 12, 12), 0);
    }
    assertThat(new LineReader().read(drawing.picture())).isEmpty();
  }

  @Test
  void paintWithoutLinesHasNone() {
    Drawing drawing = new Drawing(400, 400, 0xF5EDDC);
    drawing.fill(new Rectangle2D.Double(60, 60, 280, 280), 0x7C8450);
    drawing.fill(new Ellipse2D.Double(110, 110, 180, 180), 0xE3A93F);
    assertThat(new LineReader().read(drawing.picture())).isEmpty();
  }

  @Test
  void readingTwiceGivesTheSame() {
    Picture picture = waves(5, 0x333333, WHITE).picture();
    assertThat(read(picture)).isEqualTo(read(picture));
  }

  @Test
  void moreStrokesMakeASurerWeight() {
    PixelReadings readings = read(waves(6, 0, WHITE).picture());
    assertThat(readings.estimate(LineMeasures.WIDTH).orElseThrow().standardError().orElseThrow())
        .isLessThan(0.2);
  }

  private static PixelReadings read(Picture picture) {
    return new PixelReader().read(picture);
  }

  private static double width(PixelReadings readings) {
    return value(readings, LineMeasures.WIDTH);
  }

  private static double value(PixelReadings readings, Measure measure) {
    return readings.estimate(measure).orElseThrow().value();
  }

  private static Drawing waves(double width, int ink, int ground) {
    Drawing drawing = new Drawing(600, 600, ground);
    for (int i = 0; i < 4; i++) {
      drawing.stroke(wave(80 + 90 * i), width, ink);
    }
    return drawing;
  }

  private static Shape wave(double y) {
    Path2D path = new Path2D.Double();
    path.moveTo(50, y);
    path.curveTo(200, y - 60, 400, y + 70, 550, y);
    return path;
  }
}
