package penmirror.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import penmirror.core.Drawing;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.FigureEdit;
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Picture;

class FigureSketchTest {

  /** A ring encloses paper: by itself it counts as figure, one dab takes it away as a whole. */
  @Test
  void aDabDropsWhatIsJoinedInTheSameColour() {
    Drawing ring =
        new Drawing(400, 400, 0xF5EDDC)
            .fill(new Ellipse2D.Double(60, 60, 280, 280), 0x4D4566)
            .fill(new Ellipse2D.Double(130, 130, 140, 140), 0xF5EDDC);
    Mask found = figure(ring.picture());
    double disc = Math.PI * 140 * 140;
    double hole = Math.PI * 70 * 70;
    assertThat((double) found.count()).isCloseTo(disc, offset(0.01 * disc));
    FigureEdit drop = new FigureEdit(FigureEdit.Kind.DROP, List.of(new Point(200, 200)), 5);
    Mask mended = figure(ring.picture(), drop);
    assertThat((double) mended.count()).isCloseTo(disc - hole, offset(0.01 * disc));
    assertThat(mended.at(200, 200)).isFalse();
    FigureEdit keep = new FigureEdit(FigureEdit.Kind.KEEP, List.of(new Point(200, 200)), 5);
    assertThat(figure(ring.picture(), drop, keep).count()).isEqualTo(found.count());
  }

  /** A pale shirt that flowed out with the paper is given back. */
  @Test
  void aStrokeKeepsWhatFlowedOut() {
    Drawing shirt =
        new Drawing(400, 400, 0xFFFFFF)
            .fill(new Ellipse2D.Double(150, 60, 100, 120), 0x9A6A4A)
            .fill(new Rectangle2D.Double(110, 180, 180, 160), 0xF4F4F4);
    Mask found = figure(shirt.picture());
    assertThat(found.at(200, 300)).isFalse();
    FigureEdit keep =
        new FigureEdit(FigureEdit.Kind.KEEP, List.of(new Point(120, 190), new Point(280, 330)), 6);
    assertThat(figure(shirt.picture(), keep).at(200, 260)).isTrue();
  }

  /** On a speckled ground a loose loop is enough: the figure is told by its colours. */
  @Test
  void aLooseLoopFindsTheFigureOnABusyGround() {
    Drawing busy = new Drawing(500, 500, 0x88A070);
    Random random = new Random(4);
    int[] ground = {0x88A070, 0x6E8A92, 0xB0A890, 0x5D7A4E, 0x9AB0B8};
    for (int k = 0; k < 1500; k++) {
      busy.fill(
          new Ellipse2D.Double(random.nextInt(500) - 12, random.nextInt(500) - 12, 26, 26),
          ground[random.nextInt(ground.length)]);
    }
    busy.fill(new Ellipse2D.Double(160, 90, 180, 320), 0xC0552E);
    busy.fill(new Ellipse2D.Double(200, 120, 100, 110), 0xF0CBA6);
    Picture picture = busy.picture();
    assertThat(figure(picture).count()).as("busy: all of it").isGreaterThan(225_000);
    List<Point> loop = new ArrayList<>();
    for (int k = 0; k < 24; k++) {
      double angle = 2 * Math.PI * k / 24;
      loop.add(new Point(250 + 130 * Math.cos(angle), 250 + 205 * Math.sin(angle)));
    }
    Mask mended = figure(picture, new FigureEdit(FigureEdit.Kind.LOOP, loop, 0));
    int both = 0;
    int either = 0;
    Ellipse2D truth = new Ellipse2D.Double(160, 90, 180, 320);
    for (int i = 0; i < 250_000; i++) {
      boolean is = truth.contains(i % 500 + 0.5, i / 500 + 0.5);
      both += is && mended.values()[i] ? 1 : 0;
      either += is || mended.values()[i] ? 1 : 0;
    }
    assertThat(both / (double) either).as("overlap with the figure as drawn").isGreaterThan(0.93);
  }

  @Test
  void onPlainPaperALoopTakesOneOfTwo() {
    Drawing two = twoDiscs();
    List<Point> left =
        List.of(new Point(10, 10), new Point(190, 10), new Point(190, 190), new Point(10, 190));
    Mask one = figure(two.picture(), new FigureEdit(FigureEdit.Kind.LOOP, left, 0));
    assertThat((double) one.count()).isCloseTo(Math.PI * 3600, offset(200.0));
    assertThat(one.at(300, 100)).isFalse();
  }

  /** What the hand mends is what is measured. */
  @Test
  void readingsHeedTheMendedFigure() {
    Drawing two = twoDiscs();
    FigureEdit drop = new FigureEdit(FigureEdit.Kind.DROP, List.of(new Point(300, 100)), 4);
    PixelReadings readings = look(two.picture(), drop).readings();
    assertThat(readings.swatches()).hasSize(1);
    assertThat(readings.swatches().get(0).hex()).isEqualTo("#4D4566");
  }

  @Test
  void aMaskThatCoversNothingLeavesNothingToRead() {
    Drawing disc =
        new Drawing(200, 200, 0xFFFFFF).fill(new Ellipse2D.Double(40, 40, 120, 120), 0x4D4566);
    FigureEdit drop = new FigureEdit(FigureEdit.Kind.DROP, List.of(new Point(100, 100)), 4);
    PixelReadings readings = look(disc.picture(), drop).readings();
    assertThat(readings.figureAreaPixels()).isLessThan(1500);
  }

  @Test
  void aStrokeWithoutPointsIsRefused() {
    assertThatThrownBy(() -> new FigureEdit(FigureEdit.Kind.KEEP, List.of(), 3))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new FigureEdit(FigureEdit.Kind.LOOP, List.of(new Point(1, 1)), 0))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("1 points");
  }

  private static Drawing twoDiscs() {
    return new Drawing(400, 200, 0xFFFFFF)
        .fill(new Ellipse2D.Double(40, 40, 120, 120), 0x4D4566)
        .fill(new Ellipse2D.Double(240, 40, 120, 120), 0x9A3A2A);
  }

  private static Mask figure(Picture picture, FigureEdit... edits) {
    return look(picture, edits).figure().figure();
  }

  private static PixelEvidence look(Picture picture, FigureEdit... edits) {
    return new PixelReader().look(picture, Marks.none(View.FRONT), List.of(edits), step -> {});
  }

  /** Held against Java's own brush, which draws the same stroke with round ends. */
  @Test
  void aStrokeCoversWhatARoundBrushDoes() {
    Random random = new Random(7);
    int[] noise = new int[200 * 200];
    for (int i = 0; i < noise.length; i++) {
      noise[i] = random.nextInt(0x1000000);
    }
    Picture picture = Picture.of(200, 200, noise);
    List<Point> points =
        List.of(new Point(20, 150), new Point(90, 30), new Point(180, 60), new Point(-40, 90));
    Path2D path = new Path2D.Double();
    path.moveTo(20, 150);
    points.forEach(point -> path.lineTo(point.x(), point.y()));
    Shape brush =
        new BasicStroke(14, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND).createStrokedShape(path);
    FigureEdit dropAll = new FigureEdit(FigureEdit.Kind.DROP, List.of(new Point(100, 100)), 300);
    FigureEdit keep = new FigureEdit(FigureEdit.Kind.KEEP, points, 7);
    Mask kept = figure(picture, dropAll, keep);
    int covered = 0;
    int missed = 0;
    for (int i = 0; i < noise.length; i++) {
      boolean inside = brush.contains(i % 200 + 0.5, i / 200 + 0.5);
      covered += inside ? 1 : 0;
      missed += inside && !kept.values()[i] ? 1 : 0;
    }
    assertThat(figure(picture, dropAll).count()).isZero();
    assertThat(missed).as("of %d", covered).isLessThanOrEqualTo(covered / 1000);
    // What is joined in the same colour comes along; in noise that is little.
    assertThat(kept.count()).isLessThan(covered * 5 / 4);
  }

  @Test
  void strokesOffThePictureArePassedOver() {
    Drawing two = twoDiscs();
    FigureEdit far =
        new FigureEdit(FigureEdit.Kind.DROP, List.of(new Point(60_000, 60_000)), 60_000);
    assertThat(figure(two.picture(), far).count()).isEqualTo(figure(two.picture()).count());
    assertThatThrownBy(() -> new FigureEdit(FigureEdit.Kind.KEEP, List.of(new Point(1, 1)), 1e9))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void readingCanBeStoppedBetweenTwoStrokes() {
    FigureEdit drop = new FigureEdit(FigureEdit.Kind.DROP, List.of(new Point(100, 100)), 4);
    int[] asked = new int[1];
    PixelReader.Progress stopAtTheThird =
        step -> {
          if (++asked[0] == 3) {
            throw new CancellationException();
          }
        };
    Picture picture = twoDiscs().picture();
    assertThatThrownBy(
            () ->
                new PixelReader()
                    .look(
                        picture, Marks.none(View.FRONT), List.of(drop, drop, drop), stopAtTheThird))
        .isInstanceOf(CancellationException.class);
    assertThat(asked[0]).isEqualTo(3);
  }
}
