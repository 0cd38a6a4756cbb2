package penmirror.core.measure.shade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static org.assertj.core.data.Percentage.withPercentage;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.RoundRectangle2D;
import java.awt.image.BufferedImage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;

/** Balls lit from a known side, painted pixel by pixel from formulas that the reader never sees. */
class ShadeFactsTest {
  private static final int SIZE = 480;
  private static final double RADIUS = 180;
  private static final OkLab PAPER = new OkLab(0.95, 0.005, 0.015);

  /** Lit colour, what the shadow does to it, and how it is bordered. */
  private record Ball(
      OkLab lit, double step, double chromaRatio, double turn, double widthPixels, double angle) {
    OkLab shadow() {
      double chroma = Math.hypot(lit.a(), lit.b()) * chromaRatio;
      double hue = Math.atan2(lit.b(), lit.a()) + Math.toRadians(turn);
      return new OkLab(lit.lightness() - step, chroma * Math.cos(hue), chroma * Math.sin(hue));
    }

    Picture picture() {
      int[] rgb = new int[SIZE * SIZE];
      double east = Math.sin(Math.toRadians(angle));
      double south = -Math.cos(Math.toRadians(angle));
      for (int i = 0; i < rgb.length; i++) {
        double x = i % SIZE - SIZE / 2.0;
        double y = i / SIZE - SIZE / 2.0;
        double off = Math.hypot(x, y) - RADIUS;
        // The border is a straight ramp whose tenths lie widthPixels apart.
        double toLight = x * east + y * south + 0.3 * RADIUS;
        double share = Math.max(0, Math.min(1, 0.5 + 0.8 * toLight / widthPixels));
        OkLab inside = mix(shadow(), lit, share);
        double cover = Math.max(0, Math.min(1, 0.5 - off));
        rgb[i] = Integer.parseInt(mix(PAPER, inside, cover).toEncodedSrgb().hex().substring(1), 16);
      }
      return Picture.of(SIZE, SIZE, rgb);
    }

    private static int rgb(EncodedSrgb colour) {
      return (int) Math.round(255 * colour.red()) << 16
          | (int) Math.round(255 * colour.green()) << 8
          | (int) Math.round(255 * colour.blue());
    }

    private static OkLab mix(OkLab from, OkLab to, double share) {
      return new OkLab(
          from.lightness() + share * (to.lightness() - from.lightness()),
          from.a() + share * (to.a() - from.a()),
          from.b() + share * (to.b() - from.b()));
    }

    /** Share of a disc that a chord 0.3 radii off the middle cuts off. */
    static double shadowShare() {
      double d = 0.3;
      return (Math.acos(d) - d * Math.sqrt(1 - d * d)) / Math.PI;
    }
  }

  private static final OkLab SKIN = new OkLab(0.85, 0.035, 0.06);
  private static final OkLab GREEN = new OkLab(0.62, -0.045, 0.03);

  @ParameterizedTest
  @CsvSource({
    "0.12, 1.20, -15, 1",
    "0.12, 1.20, -15, 12",
    "0.08, 0.90, 20, 1",
    "0.16, 1.05, 25, 30",
    "0.05, 1.00, 8, 4"
  })
  void theShadowIsWhatWasDoneToTheLight(
      double step, double ratio, double turn, double widthPixels) {
    for (OkLab lit : turn > 0 ? new OkLab[] {GREEN} : new OkLab[] {SKIN}) {
      PixelReadings readings = read(new Ball(lit, step, ratio, turn, widthPixels, 40));
      assertThat(value(readings, ShadeMeasures.STEPS)).isCloseTo(2, offset(1e-9));
      assertThat(value(readings, ShadeMeasures.COVER)).isCloseTo(Ball.shadowShare(), offset(0.012));
      assertThat(value(readings, ShadeMeasures.LIGHTNESS_STEP)).isCloseTo(-step, offset(0.004));
      assertThat(value(readings, ShadeMeasures.CHROMA_RATIO)).isCloseTo(ratio, offset(0.03));
      // Both hues lie on the near side of blue and violet for a turn that is counted downward.
      assertThat(Math.abs(value(readings, ShadeMeasures.HUE_TURN)))
          .isCloseTo(Math.abs(turn), offset(1.5));
    }
  }

  @Test
  void theTurnIsPositiveTowardBlueAndViolet() {
    OkLab orange = new OkLab(0.75, 0.06, 0.09);
    double down = value(read(new Ball(orange, 0.1, 1, -20, 1, 40)), ShadeMeasures.HUE_TURN);
    OkLab green = new OkLab(0.7, -0.09, 0.05);
    double up = value(read(new Ball(green, 0.1, 1, 20, 1, 40)), ShadeMeasures.HUE_TURN);
    assertThat(down).as("from orange by red to violet").isCloseTo(20, offset(1.5));
    assertThat(up).as("from green by blue").isCloseTo(20, offset(1.5));
  }

  @ParameterizedTest
  @ValueSource(doubles = {6, 10, 20, 40})
  void theEdgeIsAsWideAsTheRamp(double widthPixels) {
    PixelReadings readings = read(new Ball(SKIN, 0.12, 1, 0, widthPixels, 70));
    assertThat(value(readings, ShadeMeasures.EDGE)).isCloseTo(widthPixels, withPercentage(10));
    assertThat(value(readings, ShadeMeasures.HARD)).isEqualTo(0);
  }

  @Test
  void aHardEdgeIsHard() {
    PixelReadings readings = read(new Ball(SKIN, 0.12, 1, 0, 0.8, 70));
    assertThat(value(readings, ShadeMeasures.EDGE)).isLessThan(2.5);
    assertThat(value(readings, ShadeMeasures.HARD)).isGreaterThan(0.97);
    assertThat(value(readings, ShadeMeasures.RIM)).isCloseTo(1, offset(0.05));
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 35, 135, 222, 300})
  void theLightComesFromWhereItComes(double angle) {
    PixelReadings readings = read(new Ball(SKIN, 0.12, 1.1, 10, 2, angle));
    double off = Math.IEEEremainder(value(readings, ShadeMeasures.LIGHT_FROM) - angle, 360);
    assertThat(off).isCloseTo(0, offset(2.0));
  }

  /** Arms and trunk of one figure: bars whose rims look sideways nearly everywhere, and a ball. */
  @ParameterizedTest
  @ValueSource(doubles = {-60, -25, 15, 45, 70})
  void longUprightPartsDoNotPullTheLightToTheirSide(double angle) {
    int size = 600;
    BufferedImage image = new BufferedImage(size, size, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    pen.setColor(Color.WHITE);
    pen.fillRect(0, 0, size, size);
    shaded(pen, new RoundRectangle2D.Double(80, 180, 70, 360, 70, 70), angle, 22);
    shaded(pen, new RoundRectangle2D.Double(190, 160, 110, 400, 60, 60), angle, 30);
    shaded(pen, new Ellipse2D.Double(350, 80, 180, 180), angle, 50);
    pen.dispose();
    PixelReadings readings = new PixelReader().read(Picture.from(image));
    double off = Math.IEEEremainder(value(readings, ShadeMeasures.LIGHT_FROM) - angle, 360);
    assertThat(off).isCloseTo(0, offset(8.0));
    assertThat(value(readings, ShadeMeasures.LIGHT_SPREAD)).isLessThan(30);
  }

  /** In shadow where the shape, moved toward the light, leaves itself; outlined in black. */
  private static void shaded(Graphics2D pen, Shape shape, double angle, double breadth) {
    double east = Math.sin(Math.toRadians(angle));
    double south = -Math.cos(Math.toRadians(angle));
    Area lit = new Area(shape);
    lit.intersect(
        new Area(
            AffineTransform.getTranslateInstance(breadth * east, breadth * south)
                .createTransformedShape(shape)));
    pen.setColor(new Color(170, 110, 80));
    pen.fill(shape);
    pen.setColor(new Color(225, 165, 130));
    pen.fill(lit);
    pen.setColor(Color.BLACK);
    pen.setStroke(new BasicStroke(5));
    pen.draw(shape);
  }

  @Test
  void aFlatFigureHasNoShadow() {
    PixelReadings readings = read(new Ball(SKIN, 0, 1, 0, 1, 40));
    assertThat(value(readings, ShadeMeasures.STEPS)).isEqualTo(1);
    assertThat(value(readings, ShadeMeasures.COVER)).isZero();
    for (Measure measure : ShadeMeasures.OF_SHADOW) {
      if (measure != ShadeMeasures.TEXTURE) {
        assertThat(readings.absence(measure)).as(measure.key()).isEqualTo(Reason.NO_SHADING);
      }
    }
  }

  /** A ball that runs through all values is gradient; one in two tones is not. */
  @Test
  void gradientsAreToldFromFlats() {
    double smooth = value(read(new Ball(SKIN, 0.25, 1, 0, 700, 40)), ShadeMeasures.GRADIENT);
    double flat = value(read(new Ball(SKIN, 0.12, 1, 0, 1, 40)), ShadeMeasures.GRADIENT);
    assertThat(smooth).isGreaterThan(0.9);
    assertThat(flat).isLessThan(0.02);
  }

  @Test
  void valuesRunFromDarkToLight() {
    PixelReadings readings = read(new Ball(SKIN, 0.2, 1, 0, 1, 40));
    assertThat(value(readings, ShadeMeasures.VALUE_DARK)).isCloseTo(0.65, offset(0.01));
    assertThat(value(readings, ShadeMeasures.VALUE_LIGHT)).isCloseTo(0.85, offset(0.01));
    double share = Ball.shadowShare();
    assertThat(value(readings, ShadeMeasures.CONTRAST))
        .isCloseTo(0.2 * Math.sqrt(share * (1 - share)), offset(0.004));
  }

  private static PixelReadings read(Ball ball) {
    return new PixelReader().read(ball.picture());
  }

  private static double value(PixelReadings readings, Measure measure) {
    return readings.estimate(measure).orElseThrow().value();
  }
}
