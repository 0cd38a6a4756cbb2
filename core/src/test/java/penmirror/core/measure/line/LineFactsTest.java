package penmirror.core.measure.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static org.assertj.core.data.Percentage.withPercentage;

import java.awt.Shape;
import java.awt.geom.Arc2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.Drawing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.reading.PixelReader;

/** What the lines say, on drawings where it is known. */
class LineFactsTest {
  private static final int SKIN = 0xF0CBA6;

  /** A filled disc with an outline of one weight and lines of another inside. */
  private static Drawing disc(double outline, double inner, int ink) {
    Drawing drawing = new Drawing(800, 800, 0xFFFFFF);
    drawing.fill(new Ellipse2D.Double(120, 120, 560, 560), SKIN);
    for (int k = 0; k < 4; k++) {
      drawing.stroke(new Line2D.Double(260, 280 + 80 * k, 540, 300 + 80 * k), inner, ink);
    }
    return drawing.stroke(new Ellipse2D.Double(120, 120, 560, 560), outline, ink);
  }

  @ParameterizedTest
  @CsvSource({"6, 6", "12, 6", "15, 5", "5, 10"})
  void outlineToInnerIsTheRatioDrawn(double outline, double inner) {
    PixelReadings readings = read(disc(outline, inner, 0x241F20));
    assertThat(value(readings, LineMeasures.OUTLINE_INNER))
        .isCloseTo(outline / inner, withPercentage(5));
    double share = Math.PI * 560 / (Math.PI * 560 + 4 * 281);
    assertThat(value(readings, LineMeasures.OUTLINE_SHARE)).isCloseTo(share, offset(0.03));
    assertThat(value(readings, LineMeasures.CLOSED)).isGreaterThan(0.98);
  }

  /** However much is drawn with each of two brushes, the weight is midway between them. */
  @ParameterizedTest
  @ValueSource(ints = {2, 5, 12})
  void theWeightIsMidwayBetweenOutlineAndInnerLines(int innerLines) {
    Drawing drawing = new Drawing(800, 800, 0xFFFFFF);
    drawing.fill(new Ellipse2D.Double(120, 120, 560, 560), SKIN);
    for (int k = 0; k < innerLines; k++) {
      double y = 280 + 240.0 * k / (innerLines - 1);
      drawing.stroke(new Line2D.Double(260, y, 540, y + 20), 6, 0x241F20);
    }
    drawing.stroke(new Ellipse2D.Double(120, 120, 560, 560), 12, 0x241F20);
    assertThat(value(read(drawing), LineMeasures.WIDTH))
        .isCloseTo(Math.sqrt(12 * 6), withPercentage(5));
  }

  /** Without lines inside it is the outline's own. */
  @Test
  void anOutlineAloneHasItsOwnWeight() {
    Drawing drawing = new Drawing(800, 800, 0xFFFFFF);
    drawing.fill(new Ellipse2D.Double(120, 120, 560, 560), SKIN);
    drawing.stroke(new Ellipse2D.Double(120, 120, 560, 560), 12, 0x241F20);
    PixelReadings readings = read(drawing);
    assertThat(value(readings, LineMeasures.WIDTH)).isCloseTo(12, withPercentage(5));
    assertThat(readings.estimate(LineMeasures.OUTLINE_INNER)).isEmpty();
  }

  @Test
  void aHalfOpenOutlineIsHalfClosed() {
    Drawing drawing = new Drawing(800, 800, 0xFFFFFF);
    drawing.fill(new Ellipse2D.Double(120, 120, 560, 560), SKIN);
    drawing.stroke(new Arc2D.Double(120, 120, 560, 560, 0, 180, Arc2D.OPEN), 8, 0x241F20);
    assertThat(value(read(drawing), LineMeasures.CLOSED)).isCloseTo(0.5, offset(0.03));
  }

  /** Length of the lines by geometry, area of the figure by geometry. */
  @Test
  void densityAndInkAreThoseOfGeometry() {
    PixelReadings readings = read(disc(8, 8, 0x241F20));
    double length = Math.PI * 560 + 4 * Math.hypot(280, 20);
    double area = Math.PI * 284 * 284;
    assertThat(value(readings, LineMeasures.DENSITY)).isCloseTo(length / area, withPercentage(3));
    assertThat(value(readings, LineMeasures.INK)).isCloseTo(8 * length / area, withPercentage(4));
  }

  @Test
  void aTintedLineIsToldFromABlackOne() {
    PixelReadings black = read(disc(8, 8, 0x1B1A1C));
    PixelReadings brown = read(disc(8, 8, 0x8A4A22));
    assertThat(value(black, LineMeasures.TINT)).isLessThan(0.1);
    assertThat(value(brown, LineMeasures.TINT)).isGreaterThan(0.9);
    assertThat(value(black, LineMeasures.BLACK)).isGreaterThan(0.95);
    assertThat(value(brown, LineMeasures.BLACK)).isLessThan(0.05);
    assertThat(value(brown, LineMeasures.CHROMA))
        .isGreaterThan(value(black, LineMeasures.CHROMA) + 0.05);
  }

  /** Wedges that thin from 14 px to a share of it. */
  @ParameterizedTest
  @ValueSource(doubles = {0.25, 0.5, 0.75, 1})
  void taperIsWhatTheEndLacks(double end) {
    Drawing drawing = new Drawing(700, 700, 0xFFFFFF);
    for (int k = 0; k < 6; k++) {
      drawing.fill(spindle(100, 100 + 90 * k, 600, 14, end), 0);
    }
    // In the last 12 % of a straight taper the mean width is the end's plus 12 % of what it lost.
    double mean = end + 0.12 * (1 - end);
    double middle = 1 - 0.2 * (1 - end);
    assertThat(value(read(drawing), LineMeasures.TAPER)).isCloseTo(1 - mean / middle, offset(0.06));
  }

  private static Shape spindle(double fromX, double y, double toX, double width, double end) {
    double middle = (fromX + toX) / 2;
    Path2D path = new Path2D.Double();
    path.moveTo(fromX, y - width * end / 2);
    path.lineTo(middle, y - width / 2);
    path.lineTo(toX, y - width * end / 2);
    path.lineTo(toX, y + width * end / 2);
    path.lineTo(middle, y + width / 2);
    path.lineTo(fromX, y + width * end / 2);
    path.closePath();
    return path;
  }

  @Test
  void aTremblingLineWobblesAndACurveDoesNot() {
    double still = value(read(waves(0)), LineMeasures.WOBBLE);
    double shaky = value(read(waves(1.5)), LineMeasures.WOBBLE);
    assertThat(still).isLessThan(0.02);
    // A sine of amplitude A has a root mean square of A/√2. Of a wave of 16 px the smoothing by 4
    // px
    // leaves (1 − e^(−2π²·4²/16²))², and the smoothing of the traced places e^(−2π²·2²/16²).
    double left = Math.pow(1 - Math.exp(-2 * Math.PI * Math.PI * 16 / 256), 2);
    double kept = Math.exp(-2 * Math.PI * Math.PI * 4 / 256);
    assertThat(shaky * 6).isCloseTo(1.5 / Math.sqrt(2) * left * kept, withPercentage(20));
  }

  private static Drawing waves(double amplitude) {
    Drawing drawing = new Drawing(900, 500, 0xFFFFFF);
    for (int k = 0; k < 4; k++) {
      Path2D path = new Path2D.Double();
      for (int x = 60; x <= 840; x++) {
        double y =
            90 + 100 * k + 30 * Math.sin(x / 150.0) + amplitude * Math.sin(2 * Math.PI * x / 16);
        if (x == 60) {
          path.moveTo(x, y);
        } else {
          path.lineTo(x, y);
        }
      }
      drawing.stroke(path, 6, 0);
    }
    return drawing;
  }

  @ParameterizedTest
  @CsvSource({"14, 0", "20, 30", "28, -50", "20, 80"})
  void hatchingIsToldWithItsPitchAndAngle(double pitch, double angle) {
    Drawing drawing = new Drawing(900, 900, 0xFFFFFF);
    drawing.fill(new Rectangle2D.Double(80, 80, 740, 740), SKIN);
    hatch(drawing, pitch, angle, 12);
    PixelReadings readings = read(drawing);
    assertThat(value(readings, LineMeasures.HATCH)).isGreaterThan(0.9);
    assertThat(value(readings, LineMeasures.HATCH_PITCH)).isCloseTo(pitch, withPercentage(8));
    double off = Math.IEEEremainder(value(readings, LineMeasures.HATCH_ANGLE) - angle, 180);
    assertThat(off).isCloseTo(0, offset(3.0));
    assertThat(value(readings, LineMeasures.HATCH_CROSS)).isLessThan(0.05);
  }

  @Test
  void crossedHatchingIsHalfCrossed() {
    Drawing drawing = new Drawing(900, 900, 0xFFFFFF);
    hatch(drawing, 26, 45, 12);
    hatch(drawing, 26, -45, 12);
    PixelReadings readings = read(drawing);
    assertThat(value(readings, LineMeasures.HATCH)).isGreaterThan(0.5);
    assertThat(value(readings, LineMeasures.HATCH_CROSS)).isCloseTo(0.5, offset(0.15));
  }

  @Test
  void linesFarApartAreNoHatching() {
    PixelReadings readings = read(disc(6, 6, 0));
    assertThat(value(readings, LineMeasures.HATCH)).isLessThan(0.04);
    assertThat(readings.absence(LineMeasures.HATCH_ANGLE)).isEqualTo(Reason.NO_HATCHING);
  }

  private static void hatch(Drawing drawing, double pitch, double angle, int count) {
    double c = Math.cos(Math.toRadians(angle));
    double s = -Math.sin(Math.toRadians(angle));
    for (int k = 0; k < count; k++) {
      double off = (k - (count - 1) / 2.0) * pitch;
      drawing.stroke(
          new Line2D.Double(
              450 - 220 * c - off * s,
              450 - 220 * s + off * c,
              450 + 220 * c - off * s,
              450 + 220 * s + off * c),
          4,
          0);
    }
  }

  /** Black hair on a disc: its area by geometry, and none of it is line. */
  @Test
  void solidBlackIsAnAreaAndNoLine() {
    Drawing drawing = disc(8, 8, 0x1B1A1C);
    drawing.fill(new Ellipse2D.Double(300, 560, 200, 90), 0x1B1A1C);
    PixelReadings readings = read(drawing);
    double share = Math.PI * 100 * 45 / (Math.PI * 284 * 284);
    assertThat(value(readings, LineMeasures.SPOT_BLACK)).isCloseTo(share, offset(0.01));
    assertThat(value(readings, LineMeasures.WIDTH)).isCloseTo(8, offset(0.2));
    assertThat(value(read(disc(8, 8, 0x1B1A1C)), LineMeasures.SPOT_BLACK)).isLessThan(0.002);
  }

  @ParameterizedTest
  @CsvSource({"9, 3", "12, 4", "4, 4"})
  void upperAndLowerLashAreTheirThicknesses(double upper, double lower) {
    Drawing drawing = new Drawing(600, 400, SKIN);
    Path2D top = new Path2D.Double();
    top.moveTo(200, 200);
    top.quadTo(300, 100, 400, 200);
    Path2D bottom = new Path2D.Double();
    bottom.moveTo(200, 200);
    bottom.quadTo(300, 280, 400, 200);
    Path2D opening = new Path2D.Double(top);
    opening.quadTo(300, 280, 200, 200);
    drawing.stroke(top, 2 * upper, 0x1B1A1C).stroke(bottom, 2 * lower, 0x1B1A1C);
    drawing.fill(opening, 0xFFFFFF);
    Marks marks =
        Marks.none(View.FRONT)
            .with(Landmark.EYE_L_OUTER, Mark.placed(200, 200))
            .with(Landmark.EYE_L_INNER, Mark.placed(400, 200))
            .with(Landmark.EYE_L_TOP, Mark.placed(300, 150))
            .with(Landmark.EYE_L_BOTTOM, Mark.placed(300, 240));
    double ratio = LashReader.upperToLower(drawing.picture(), marks).orElseThrow();
    assertThat(ratio).isCloseTo(upper / lower, withPercentage(15));
    assertThat(LashReader.upperToLower(drawing.picture(), Marks.none(View.FRONT))).isEmpty();
  }

  /** Six lines cross: each is one stroke as long as it was drawn. */
  @Test
  void strokesRunOnOverCrossings() {
    Drawing drawing = new Drawing(800, 800, 0xFFFFFF);
    for (int k = 0; k < 3; k++) {
      drawing.stroke(new Line2D.Double(60, 200 + 200 * k, 740, 210 + 200 * k), 6, 0);
      drawing.stroke(new Line2D.Double(200 + 200 * k, 60, 210 + 200 * k, 740), 6, 0);
    }
    assertThat(value(read(drawing), LineMeasures.STROKE)).isCloseTo(680, withPercentage(4));
  }

  private static PixelReadings read(Drawing drawing) {
    return new PixelReader().read(drawing.picture());
  }

  private static double value(PixelReadings readings, Measure measure) {
    return readings.estimate(measure).orElseThrow().value();
  }
}
