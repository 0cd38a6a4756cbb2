package penmirror.core.measure.region;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.Drawing;
import penmirror.core.OpenArt;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.FigureEdit;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelEvidence;
import penmirror.core.reading.PixelReader;

/** Shapes whose form is known. */
class RegionFactsTest {

  /** A circle has no corner; of a square's turning nearly all lies in its four. */
  @ParameterizedTest
  @CsvSource({
    "circle, 0, 0.02",
    "ellipse, 0, 0.05",
    "hexagon, 0.7, 0.25",
    "square, 0.87, 0.1",
    "star, 0.92, 0.1"
  })
  void cornersAreToldByTheTurning(String name, double share, double within) {
    assertThat(read(shape(name), ShapeMeasures.CORNER)).isCloseTo(share, offset(within));
  }

  @ParameterizedTest
  @CsvSource({"circle, 0, 0.03", "square, 0.85, 0.12"})
  void straightIsWhatDoesNotTurn(String name, double share, double within) {
    assertThat(read(shape(name), ShapeMeasures.STRAIGHT)).isCloseTo(share, offset(within));
  }

  @Test
  void anEllipseHasTheRatioOfItsAxes() {
    assertThat(read(shape("ellipse"), ShapeMeasures.ROUND)).isCloseTo(0.5, offset(0.01));
    assertThat(read(shape("circle"), ShapeMeasures.ROUND)).isCloseTo(1, offset(0.01));
  }

  /** A convex figure fills its hull and its box by known shares. */
  @Test
  void hullAndBoxAreTheirAreas() {
    assertThat(read(shape("circle"), ShapeMeasures.SOLID)).isCloseTo(1, offset(0.01));
    assertThat(read(shape("circle"), ShapeMeasures.EXTENT)).isCloseTo(Math.PI / 4, offset(0.01));
    // Turned by 0.3 radians it fills its box by 1 / (cos + sin)².
    assertThat(read(shape("square"), ShapeMeasures.EXTENT))
        .isCloseTo(1 / Math.pow(Math.cos(0.3) + Math.sin(0.3), 2), offset(0.01));
    // A star of five points: 5 R r sin 36° over 5/2 R² sin 72° of the pentagon around it.
    assertThat(read(shape("star"), ShapeMeasures.SOLID))
        .isCloseTo(0.382 / Math.cos(Math.toRadians(36)), offset(0.015));
    assertThat(read(shape("star"), ShapeMeasures.CONCAVE)).isGreaterThan(0.15);
    assertThat(read(shape("circle"), ShapeMeasures.CONCAVE)).isCloseTo(0, offset(0.01));
  }

  @Test
  void placesAreThoseOfTheBox() {
    Drawing bust =
        new Drawing(400, 400, 0xF5EDDC)
            .fill(new Ellipse2D.Double(120, 40, 160, 200), 0x7C8450)
            .fill(new Rectangle2D.Double(60, 240, 280, 160), 0x4D4566);
    PixelReadings readings = new PixelReader().read(bust.picture());
    assertThat(value(readings, LayoutMeasures.CUT)).isCloseTo(1, offset(0.02));
    assertThat(value(readings, LayoutMeasures.ASPECT)).isCloseTo(280 / 360.0, offset(0.01));
    assertThat(value(readings, LayoutMeasures.SILHOUETTE_SYMMETRY)).isGreaterThan(0.98);
    assertThat(value(readings, LayoutMeasures.ASYMMETRY)).isLessThan(0.03);
    assertThat(read(shape("circle"), LayoutMeasures.CUT)).isZero();
  }

  /** A face with two eyes and a mouth is told from hair and coat by what lies in it. */
  @Test
  void theFaceIsWhatHasThingsLyingOnIt() {
    PixelEvidence of = look(bust(), Marks.none(View.FRONT));
    FigureParts parts = of.parts().orElseThrow();
    assertThat(at(parts, of, 200, 170)).isEqualTo(FigureParts.Part.FACE);
    assertThat(at(parts, of, 170, 150)).isEqualTo(FigureParts.Part.FEATURE);
    assertThat(at(parts, of, 200, 60)).isEqualTo(FigureParts.Part.HAIR);
    assertThat(at(parts, of, 200, 340)).isEqualTo(FigureParts.Part.CLOTH);
    assertThat(value(of.readings(), LayoutMeasures.EYES_APART)).isCloseTo(60 / 120.0, offset(0.05));
    assertThat(value(of.readings(), PartMeasures.FEATURE_DARK)).isGreaterThan(0.4);
  }

  /** Hair that hangs beside the face is hair to its ends; a shadow on the face is face. */
  @Test
  void hairHangsDownAndShadowLiesOnTheFace() {
    Area shadow = new Area(new Ellipse2D.Double(140, 80, 120, 180));
    shadow.intersect(new Area(new Rectangle2D.Double(235, 80, 60, 140)));
    Drawing bob =
        new Drawing(400, 400, 0xF5EDDC)
            .fill(new Rectangle2D.Double(90, 270, 220, 130), 0x4D4566)
            .fill(new Ellipse2D.Double(100, 30, 200, 180), 0x4A2E1A)
            .fill(new Rectangle2D.Double(100, 120, 200, 130), 0x4A2E1A)
            .fill(new Ellipse2D.Double(140, 80, 120, 180), 0xF0CBA6)
            .fill(shadow, 0xCFA380)
            .fill(new Ellipse2D.Double(161, 143, 18, 14), 0x222222)
            .fill(new Ellipse2D.Double(221, 143, 18, 14), 0x222222);
    PixelEvidence of = look(bob, Marks.none(View.FRONT));
    FigureParts parts = of.parts().orElseThrow();
    assertThat(at(parts, of, 115, 235)).isEqualTo(FigureParts.Part.HAIR);
    assertThat(at(parts, of, 285, 235)).isEqualTo(FigureParts.Part.HAIR);
    assertThat(at(parts, of, 200, 330)).isEqualTo(FigureParts.Part.CLOTH);
    assertThat(at(parts, of, 200, 220)).isIn(FigureParts.Part.FACE, FigureParts.Part.FEATURE);
  }

  /** With the head marked on the coat, what is sought there is taken. */
  @Test
  void aMarkedHeadSaysWhereToLook() {
    Marks onTheCoat =
        Marks.none(View.FRONT)
            .with(Landmark.CROWN, Mark.placed(200, 250))
            .with(Landmark.CHIN, Mark.placed(200, 390));
    PixelEvidence of = look(bust(), onTheCoat);
    assertThat(at(of.parts().orElseThrow(), of, 200, 340)).isEqualTo(FigureParts.Part.FACE);
  }

  /** A stroke over the coat makes it the face; the one over the hair says that it is clothes. */
  @Test
  void strokesSayWhichPartIsWhich() {
    PixelEvidence of =
        look(
            bust(),
            Marks.none(View.FRONT),
            new FigureEdit(
                FigureEdit.Kind.FACE, List.of(new Point(150, 340), new Point(250, 350)), 6),
            new FigureEdit(FigureEdit.Kind.CLOTH, List.of(new Point(200, 50)), 6),
            new FigureEdit(FigureEdit.Kind.SKIN, List.of(new Point(200, 170)), 6));
    FigureParts parts = of.parts().orElseThrow();
    assertThat(at(parts, of, 200, 380)).isEqualTo(FigureParts.Part.FACE);
    assertThat(at(parts, of, 200, 60)).isEqualTo(FigureParts.Part.CLOTH);
    assertThat(at(parts, of, 200, 190)).isEqualTo(FigureParts.Part.SKIN);
    // The figure as a whole is as it was.
    assertThat(of.readings().figureAreaPixels())
        .isEqualTo(look(bust(), Marks.none(View.FRONT)).readings().figureAreaPixels());
  }

  /** A later stroke wins; a face that is said to be hair is not sought there again. */
  @Test
  void theLastStrokeWins() {
    FigureEdit first = new FigureEdit(FigureEdit.Kind.CLOTH, List.of(new Point(200, 60)), 4);
    FigureEdit second = new FigureEdit(FigureEdit.Kind.HAIR, List.of(new Point(200, 60)), 4);
    FigureEdit face = new FigureEdit(FigureEdit.Kind.HAIR, List.of(new Point(200, 190)), 4);
    PixelEvidence hair = look(bust(), Marks.none(View.FRONT), first, second);
    assertThat(at(hair.parts().orElseThrow(), hair, 200, 60)).isEqualTo(FigureParts.Part.HAIR);
    FigureEdit after = new FigureEdit(FigureEdit.Kind.FACE, List.of(new Point(200, 190)), 4);
    PixelEvidence again = look(bust(), Marks.none(View.FRONT), face, after);
    assertThat(at(again.parts().orElseThrow(), again, 200, 190)).isEqualTo(FigureParts.Part.FACE);
    PixelEvidence none = look(bust(), Marks.none(View.FRONT), face);
    none.parts()
        .ifPresent(parts -> assertThat(at(parts, none, 200, 190)).isEqualTo(FigureParts.Part.HAIR));
  }

  @Test
  void nothingButPaperHasNoParts() {
    PixelReadings readings = new PixelReader().read(new Drawing(90, 90, 0xFFFFFF).picture());
    for (Measure measure : RegionFacts.all()) {
      assertThat(readings.absence(measure))
          .as(measure.key())
          .isIn(Reason.NO_FIGURE, Reason.PART_NOT_FOUND);
    }
  }

  /** Mirrored, a head reads the same: sideways places are told from the middle. */
  @ParameterizedTest
  @CsvSource({"openPeeps-02", "notionists-05", "lorelei-03"})
  void mirroringChangesNextToNothing(String head) {
    Picture picture = OpenArt.draw("heads", head, 512);
    PixelReadings one = new PixelReader().read(picture);
    PixelReadings other = new PixelReader().read(mirrored(picture));
    for (Measure measure : RegionFacts.all()) {
      if (one.estimate(measure).isPresent() && other.estimate(measure).isPresent()) {
        double off =
            Math.abs(measure.scale().difference(value(one, measure), value(other, measure)));
        assertThat(off).as(measure.key()).isLessThan(0.6 * measure.spreadAmongStyles());
      }
    }
  }

  private static Picture mirrored(Picture picture) {
    int width = picture.widthPixels();
    int[] rgb = new int[picture.pixelCount()];
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] = picture.rgb(i / width * width + width - 1 - i % width);
    }
    return Picture.of(width, picture.heightPixels(), rgb);
  }

  private static Drawing bust() {
    return new Drawing(400, 400, 0xF5EDDC)
        .fill(new Ellipse2D.Double(110, 30, 180, 180), 0x4A2E1A)
        .fill(new Rectangle2D.Double(90, 250, 220, 150), 0x4D4566)
        .fill(new Ellipse2D.Double(140, 80, 120, 180), 0xF0CBA6)
        .fill(new Ellipse2D.Double(161, 143, 18, 14), 0x222222)
        .fill(new Ellipse2D.Double(221, 143, 18, 14), 0x222222)
        .fill(new Ellipse2D.Double(180, 205, 40, 14), 0xB04A3A);
  }

  private static PixelEvidence look(Drawing drawing, Marks marks, FigureEdit... edits) {
    return new PixelReader().look(drawing.picture(), marks, List.of(edits), step -> {});
  }

  private static FigureParts.Part at(FigureParts parts, PixelEvidence of, int x, int y) {
    return parts.at(of.flats().index(x, y));
  }

  private static double read(Shape shape, Measure measure) {
    Drawing drawing = new Drawing(500, 500, 0xFFFFFF).fill(shape, 0x4D6E66);
    return value(new PixelReader().read(drawing.picture()), measure);
  }

  private static double value(PixelReadings readings, Measure measure) {
    return Optional.of(readings).flatMap(r -> r.estimate(measure)).orElseThrow().value();
  }

  private static Shape shape(String name) {
    return switch (name) {
      case "circle" -> new Ellipse2D.Double(100, 100, 300, 300);
      case "ellipse" ->
          AffineTransform.getRotateInstance(0.4, 250, 250)
              .createTransformedShape(new Ellipse2D.Double(90, 170, 320, 160));
      case "square" ->
          AffineTransform.getRotateInstance(0.3, 250, 250)
              .createTransformedShape(new Rectangle2D.Double(130, 130, 240, 240));
      case "hexagon" -> corners(6, 170, 170);
      case "star" -> corners(10, 190, 190 * 0.382);
      default -> throw new IllegalArgumentException(name);
    };
  }

  /** Corners on two radii in turn. */
  private static Shape corners(int count, double outer, double inner) {
    Path2D path = new Path2D.Double();
    for (int k = 0; k < count; k++) {
      double angle = 2 * Math.PI * k / count + 0.2;
      double radius = k % 2 == 0 ? outer : inner;
      double x = 250 + radius * Math.cos(angle);
      double y = 250 + radius * Math.sin(angle);
      if (k == 0) {
        path.moveTo(x, y);
      } else {
        path.lineTo(x, y);
      }
    }
    path.closePath();
    return path;
  }
}
