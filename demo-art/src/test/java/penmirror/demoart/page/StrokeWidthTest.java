package penmirror.demoart.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.Shape;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import penmirror.core.geometry.Point;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/**
 * The stated line widths of every demo picture against its drawn strokes: each stroke is drawn
 * alone, and the ink is counted along cuts square to it.
 */
class StrokeWidthTest {
  /** Long strokes are cut at every so many centreline points, short ones at every point. */
  private static final int CUT_STEP = 4;

  private static final int LONG = 200;

  /** Hatch lines are many and alike. */
  private static final int HATCH_STEP = 12;

  private static final double SAMPLE_PX = 0.2;

  private record Cut(double widthPx, double weight) {}

  static List<Commission> everyPicture() {
    return DemoStudio.everything();
  }

  @ParameterizedTest
  @MethodSource("everyPicture")
  void linesAreAsWideAsTheTruthSays(Commission commission) {
    Rendering rendering = Illustration.of(commission).rendering();
    Map<LineClass, List<Cut>> cuts = new EnumMap<>(LineClass.class);
    int hatches = 0;
    for (Drawing.Inked inked : rendering.drawing().inked()) {
      for (InkLine line : inked.lines()) {
        if (line.classes()[0] == LineClass.HATCH && hatches++ % HATCH_STEP != 0) {
          continue;
        }
        cut(rendering, line, cuts);
      }
    }
    List<LineTruth> truths = rendering.lines();
    assertThat(truths).isNotEmpty();
    for (LineTruth truth : truths) {
      List<Cut> found = cuts.get(truth.lineClass());
      if (found == null || found.size() < 12) {
        continue; // Too little of the class shows to take a median of.
      }
      String what = commission.fileName() + ", " + truth.lineClass().word();
      assertThat(mean(found)).as(what).isCloseTo(truth.meanPx(), offset(0.5));
      // A contour swells from its lit to its dark side, so that few of its widths lie near the
      // median: what is counted may fall a little to either side of it.
      assertThat(truth.medianPx())
          .as(what)
          .isBetween(quantile(found, 0.47) - 0.5, quantile(found, 0.53) + 0.5);
    }
  }

  private static void cut(Rendering rendering, InkLine line, Map<LineClass, List<Cut>> cuts) {
    Shape stroke = rendering.toPixels().createTransformedShape(line.shape());
    Rectangle box = stroke.getBounds();
    box.grow(3, 3);
    box = box.intersection(new Rectangle(-50, -50, 4000, 4000));
    if (box.isEmpty()) {
      return;
    }
    BufferedImage alone = new BufferedImage(box.width, box.height, BufferedImage.TYPE_BYTE_GRAY);
    Graphics2D pen = Painter.smooth(alone);
    pen.translate(-box.x, -box.y);
    pen.setColor(Color.WHITE);
    pen.fill(stroke);
    pen.dispose();
    byte[] ink = ((DataBufferByte) alone.getRaster().getDataBuffer()).getData();
    List<Point> centre = line.stroke().centre().points();
    int step = centre.size() > LONG ? CUT_STEP : 1;
    double[] widths = line.stroke().widths();
    for (int i = 0; i + 1 < centre.size(); i += step) {
      if (!line.seen()[i] || !line.seen()[i + 1] || !rendering.shows(centre.get(i))) {
        continue;
      }
      Point from = rendering.pixel(centre.get(i));
      Point along = rendering.pixel(centre.get(i + 1)).minus(from);
      Point middle = from.plus(along.times(0.5));
      Point across = new Point(-along.y(), along.x()).times(1 / along.length());
      double reach = Math.max(widths[i], widths[i + 1]) * rendering.headPx() * 0.62 + 1;
      double sum = 0;
      for (double t = -reach; t <= reach; t += SAMPLE_PX) {
        sum += SAMPLE_PX * cover(ink, box, middle.plus(across.times(t)));
      }
      cuts.computeIfAbsent(line.classes()[i], key -> new ArrayList<>())
          .add(new Cut(sum, along.length() * step));
    }
  }

  /** Cover at a place between pixel centres, [0, 1]. */
  private static double cover(byte[] ink, Rectangle box, Point at) {
    double x = at.x() - box.x - 0.5;
    double y = at.y() - box.y - 0.5;
    int left = (int) Math.floor(x);
    int top = (int) Math.floor(y);
    double u = x - left;
    double v = y - top;
    return (value(ink, box, left, top) * (1 - u) * (1 - v)
            + value(ink, box, left + 1, top) * u * (1 - v)
            + value(ink, box, left, top + 1) * (1 - u) * v
            + value(ink, box, left + 1, top + 1) * u * v)
        / 255;
  }

  private static int value(byte[] ink, Rectangle box, int x, int y) {
    return x < 0 || y < 0 || x >= box.width || y >= box.height ? 0 : ink[y * box.width + x] & 255;
  }

  private static double mean(List<Cut> cuts) {
    return cuts.stream().mapToDouble(cut -> cut.widthPx() * cut.weight()).sum()
        / cuts.stream().mapToDouble(Cut::weight).sum();
  }

  private static double quantile(List<Cut> cuts, double share) {
    List<Cut> sorted = new ArrayList<>(cuts);
    sorted.sort(Comparator.comparingDouble(Cut::widthPx));
    double all = sorted.stream().mapToDouble(Cut::weight).sum();
    double sum = 0;
    for (Cut cut : sorted) {
      sum += cut.weight();
      if (sum >= all * share) {
        return cut.widthPx();
      }
    }
    throw new IllegalStateException("No cuts");
  }
}
