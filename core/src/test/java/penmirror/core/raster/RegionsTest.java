package penmirror.core.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static org.assertj.core.data.Percentage.withPercentage;

import java.awt.geom.Ellipse2D;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import penmirror.core.Drawing;

class RegionsTest {

  /** Against a plain flood from every pixel that has not been met. */
  @Test
  void piecesAreThoseOfAFlood() {
    Random random = new Random(2);
    for (int round = 0; round < 60; round++) {
      int width = 1 + random.nextInt(30);
      int height = 1 + random.nextInt(30);
      int[] labels = new int[width * height];
      for (int i = 0; i < labels.length; i++) {
        labels[i] = random.nextInt(4) - 1;
      }
      Regions regions = Regions.of(labels, width, height);
      int[] flooded = flood(labels, width, height);
      int[] areas = new int[labels.length];
      for (int i = 0; i < labels.length; i++) {
        assertThat(regions.at(i)).isEqualTo(flooded[i]);
        if (flooded[i] >= 0) {
          areas[flooded[i]]++;
          assertThat(regions.label(flooded[i])).isEqualTo(labels[i]);
        }
      }
      for (int r = 0; r < regions.count(); r++) {
        assertThat(regions.area(r)).isEqualTo(areas[r]);
      }
    }
  }

  private static int[] flood(int[] labels, int width, int height) {
    int[] of = new int[labels.length];
    Arrays.fill(of, Regions.NONE);
    int next = 0;
    for (int start = 0; start < labels.length; start++) {
      if (labels[start] < 0 || of[start] >= 0) {
        continue;
      }
      ArrayDeque<Integer> queue = new ArrayDeque<>();
      queue.add(start);
      of[start] = next;
      while (!queue.isEmpty()) {
        int i = queue.remove();
        int x = i % width;
        int[] around = {
          x > 0 ? i - 1 : -1,
          x < width - 1 ? i + 1 : -1,
          i - width,
          i + width < labels.length ? i + width : -1
        };
        for (int neighbour : around) {
          if (neighbour >= 0 && of[neighbour] < 0 && labels[neighbour] == labels[start]) {
            of[neighbour] = next;
            queue.add(neighbour);
          }
        }
      }
      next++;
    }
    return of;
  }

  @Test
  void boxesHoldTheirPixels() {
    boolean[] set = new boolean[100];
    set[23] = true;
    set[24] = true;
    set[34] = true;
    set[99] = true;
    Regions regions = Regions.of(set, 10, 10);
    assertThat(regions.boxes()[0]).containsExactly(3, 2, 5, 4);
    assertThat(regions.boxes()[1]).containsExactly(9, 9, 10, 10);
    assertThat(Regions.areas(set, 10, 10)).containsExactly(3, 1);
  }

  /** A disc of radius 60: outline 2πr, area πr², one full turn, never inward. */
  @Test
  void theContourOfADiscIsACircle() {
    Picture picture =
        new Drawing(200, 200, 0xFFFFFF).fill(new Ellipse2D.Double(40, 40, 120, 120), 0).picture();
    boolean[] set = new boolean[picture.pixelCount()];
    for (int i = 0; i < set.length; i++) {
      set[i] = (picture.rgb(i) & 255) < 128;
    }
    Contour contour = Contour.of(new Mask(200, 200, set), 2);
    assertThat(contour.length()).isCloseTo(2 * Math.PI * 60, withPercentage(1));
    assertThat(contour.area()).isCloseTo(Math.PI * 3600, withPercentage(1));
    double turn = Arrays.stream(contour.turns()).sum();
    assertThat(turn).isCloseTo(2 * Math.PI, offset(1e-6));
    for (int i = 0; i < contour.size(); i++) {
      double radius = Math.hypot(contour.x(i) - 99.5, contour.y(i) - 99.5);
      assertThat(radius).isCloseTo(60, offset(0.8));
      assertThat(contour.isCut(i)).isFalse();
    }
  }

  @Test
  void whereThePictureCutsTheShapeTheContourSaysSo() {
    boolean[] set = new boolean[60 * 60];
    Arrays.fill(set, 0, 30 * 60, true);
    Contour contour = Contour.of(new Mask(60, 60, set), 1);
    int cut = 0;
    for (int i = 0; i < contour.size(); i++) {
      cut += contour.isCut(i) ? 1 : 0;
    }
    assertThat(cut).isBetween(100, 140);
    assertThat(contour.size()).isCloseTo(180, offset(8));
    assertThat(Contour.of(new Mask(4, 4, new boolean[16]), 1).size()).isZero();
  }

  /** A step blurred by a Gaussian is its cumulative: 0.5 at the step, 0.841 one deviation on. */
  @Test
  void blurIsAGaussian() {
    float[] values = new float[101 * 11];
    for (int i = 0; i < values.length; i++) {
      values[i] = i % 101 > 50 ? 1 : 0;
    }
    Plane blurred = Blur.gaussian(new Plane(101, 11, values), 5);
    assertThat(blurred.at(50.5, 5)).isCloseTo(0.5f, offset(0.001f));
    assertThat(blurred.at(55.5, 5)).isCloseTo(0.8413f, offset(0.004f));
    assertThat(blurred.at(0, 0)).isZero();
  }
}
