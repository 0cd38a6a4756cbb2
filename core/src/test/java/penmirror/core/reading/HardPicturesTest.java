package penmirror.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static org.assertj.core.data.Percentage.withPercentage;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.OpenArt;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.colour.ColourMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.raster.Picture;

/** Pictures that nobody would draw, and changes that must not matter. */
class HardPicturesTest {

  record Hard(String name, Picture picture) {
    @Override
    public String toString() {
      return name;
    }
  }

  static List<Hard> hard() {
    Random random = new Random(6);
    return List.of(
        new Hard("all white", painted(300, 200, i -> 0xFFFFFF)),
        new Hard("all black", painted(300, 200, i -> 0)),
        new Hard("one colour", painted(300, 200, i -> 0x3A7F52)),
        new Hard("one pixel", painted(1, 1, i -> 0x7F3A52)),
        new Hard("two pixels", painted(2, 1, i -> i * 0xFFFFFF)),
        new Hard("a strip of 16,384 by 40", painted(16_384, 40, i -> i / 97 % 7 * 0x1A2B3C)),
        new Hard("a column", painted(40, 3000, i -> i / 997 % 5 * 0x2A1B0C)),
        new Hard("pure noise", painted(400, 300, i -> random.nextInt(0x1000000))),
        new Hard("grey noise", painted(300, 300, i -> random.nextInt(256) * 0x010101)),
        new Hard("a smooth photograph", photograph()),
        new Hard("checks of one pixel", painted(200, 200, i -> (i % 200 + i / 200) % 2 * 0xFFFFFF)),
        new Hard("fully transparent", transparent()));
  }

  private static Picture painted(int width, int height, IntUnaryOperator colour) {
    int[] rgb = new int[width * height];
    Arrays.setAll(rgb, i -> colour.applyAsInt(i) & 0xFFFFFF);
    return Picture.of(width, height, rgb);
  }

  private static Picture photograph() {
    Random random = new Random(3);
    return painted(
        420,
        360,
        i -> {
          double x = i % 420 / 420.0;
          double y = i / 420 / 360.0;
          int light = (int) (110 + 70 * Math.sin(5 * x + 3 * y) + 30 * Math.cos(9 * y));
          int grain = random.nextInt(9) - 4;
          int red = Math.max(0, Math.min(255, light + grain + (int) (40 * x)));
          int green = Math.max(0, Math.min(255, light + grain));
          int blue = Math.max(0, Math.min(255, light + grain - (int) (30 * y)));
          return red << 16 | green << 8 | blue;
        });
  }

  private static Picture transparent() {
    return Picture.from(new BufferedImage(120, 90, BufferedImage.TYPE_INT_ARGB));
  }

  /** Every measure has a finite value or says why not. */
  @ParameterizedTest
  @MethodSource("hard")
  void everyMeasureReadsOrSaysWhyNot(Hard hard) {
    PixelReadings readings = new PixelReader().read(hard.picture());
    for (Measure measure : MeasureCatalogue.all()) {
      if (measure.isFromPixels() && measure.standsInFor().isEmpty()) {
        readings
            .estimate(measure)
            .ifPresentOrElse(
                estimate -> assertThat(estimate.value()).as(measure.key()).isFinite(),
                () ->
                    assertThat(readings.absence(measure))
                        .as(measure.key())
                        .isNotEqualTo(Reason.PIXELS_NOT_READ));
      }
    }
    double shares = readings.swatches().stream().mapToDouble(s -> s.shareOfFigure()).sum();
    assertThat(shares).isLessThan(1.2);
  }

  @Test
  void withoutLinesALineIsMissingAndNotZero() {
    BufferedImage image = new BufferedImage(300, 300, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(Color.WHITE);
    graphics.fillRect(0, 0, 300, 300);
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    graphics.setColor(new Color(0x7C8450));
    graphics.fill(new Ellipse2D.Double(60, 60, 180, 180));
    PixelReadings readings = new PixelReader().read(Picture.from(image));
    assertThat(readings.estimate(LineMeasures.WIDTH)).isEmpty();
    assertThat(readings.absence(LineMeasures.WIDTH)).isEqualTo(Reason.NO_LINES);
    assertThat(readings.absence(LineMeasures.DENSITY)).isEqualTo(Reason.NO_LINES);
  }

  /** What is see-through is not figure, whatever colour lies under it. */
  @Test
  void transparencyTellsTheFigureExactly() {
    BufferedImage image = new BufferedImage(300, 300, BufferedImage.TYPE_INT_ARGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    graphics.setColor(Color.WHITE);
    graphics.fill(new Ellipse2D.Double(60, 60, 180, 180));
    PixelReadings readings = new PixelReader().read(Picture.from(image));
    double disc = Math.PI * 90 * 90;
    assertThat((double) readings.figureAreaPixels()).isCloseTo(disc, withPercentage(1));
    assertThat(readings.swatches().get(0).hex()).isEqualTo("#FFFFFF");
  }

  /** Twice as large, everything that is by the figure stays. */
  @ParameterizedTest
  @ValueSource(strings = {"openPeeps-04", "notionists-02", "lorelei-06"})
  void sizeDoesNotMatter(String head) {
    PixelReadings small = new PixelReader().read(OpenArt.draw("heads", head, 700));
    PixelReadings large = new PixelReader().read(OpenArt.draw("heads", head, 1400));
    assertThat(byFigure(large, LineMeasures.WIDTH))
        .isCloseTo(byFigure(small, LineMeasures.WIDTH), withPercentage(5));
    assertThat(value(large, LineMeasures.CLOSED))
        .isCloseTo(value(small, LineMeasures.CLOSED), offset(0.06));
    assertThat(value(large, LineMeasures.DARKNESS))
        .isCloseTo(value(small, LineMeasures.DARKNESS), offset(0.02));
    assertThat(value(large, ColourMeasures.PALETTE_SIZE))
        .isEqualTo(value(small, ColourMeasures.PALETTE_SIZE));
    assertThat(value(large, ColourMeasures.LIGHT))
        .isCloseTo(value(small, ColourMeasures.LIGHT), offset(0.01));
  }

  /** In other colours of the same lightness order the line stays the line. */
  @Test
  void recolouringLeavesTheLine() {
    Picture picture = OpenArt.draw("heads", "openPeeps-01", 800);
    Picture swapped =
        painted(
            800,
            800,
            i -> {
              int rgb = picture.rgb(i);
              // Red and blue exchanged: greys and black stay.
              return (rgb & 255) << 16 | rgb & 0xFF00 | rgb >> 16 & 255;
            });
    PixelReadings one = new PixelReader().read(picture);
    PixelReadings other = new PixelReader().read(swapped);
    for (Measure measure :
        List.of(
            LineMeasures.WIDTH, LineMeasures.CLOSED, LineMeasures.VARIATION, LineMeasures.INK)) {
      assertThat(value(other, measure))
          .as(measure.key())
          .isCloseTo(value(one, measure), withPercentage(6));
    }
    assertThat(value(other, ColourMeasures.PALETTE_SIZE))
        .isEqualTo(value(one, ColourMeasures.PALETTE_SIZE));
  }

  private static double byFigure(PixelReadings readings, Measure measure) {
    return value(readings, measure) / Math.sqrt(readings.figureAreaPixels());
  }

  private static double value(PixelReadings readings, Measure measure) {
    return readings.estimate(measure).orElseThrow().value();
  }
}
