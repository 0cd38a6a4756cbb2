package penmirror.core.scan;

import java.util.Arrays;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.raster.Picture;

/**
 * How the light fell on a scanned sheet, told from the bare paper along its four edges.
 *
 * <p>Paper is read in linear light, channel by channel, in short stretches along each edge. Between
 * the edges the light is laid in by Coons's patch on its logarithm, which is exact for a lamp whose
 * brightness along the bar and drift down the page multiply. Source: Coons, Surfaces for
 * computer-aided design of space forms (1967), the bilinear patch.
 */
final class Lighting {
  /** Stretches along one edge. */
  private static final int STRETCHES = 120;

  /** The strip that is read, inward from the sheet's edge, as shares of its shorter side. */
  private static final double STRIP_FROM = 0.006;

  private static final double STRIP_TO = 0.026;

  /** A stretch this much darker than the edge's median holds drawing, not paper. */
  private static final double DRAWN_OVER = 0.45;

  private static final double[] LINEAR = new double[256];

  static {
    for (int i = 0; i < 256; i++) {
      LINEAR[i] = EncodedSrgb.toLinear(i / 255.0);
    }
  }

  private final double[][] top;
  private final double[][] bottom;
  private final double[][] left;
  private final double[][] right;

  private Lighting(double[][] top, double[][] bottom, double[][] left, double[][] right) {
    this.top = top;
    this.bottom = bottom;
    this.left = left;
    this.right = right;
  }

  static Lighting of(Picture sheet) {
    double side = Math.min(sheet.widthPixels(), sheet.heightPixels());
    int from = (int) Math.max(1, STRIP_FROM * side);
    int to = (int) Math.max(from + 2, STRIP_TO * side);
    return new Lighting(
        edge(sheet, true, false, from, to),
        edge(sheet, true, true, from, to),
        edge(sheet, false, false, from, to),
        edge(sheet, false, true, from, to));
  }

  /** Log of the paper's linear light per channel in each stretch of an edge. */
  private static double[][] edge(Picture sheet, boolean level, boolean farSide, int from, int to) {
    int length = level ? sheet.widthPixels() : sheet.heightPixels();
    int across = level ? sheet.heightPixels() : sheet.widthPixels();
    double[][] light = new double[3][STRETCHES];
    for (int s = 0; s < STRETCHES; s++) {
      int begin = (int) ((long) length * s / STRETCHES);
      int end = Math.max(begin + 1, (int) ((long) length * (s + 1) / STRETCHES));
      int[][] counts = new int[3][256];
      for (int along = begin; along < Math.min(end, length); along++) {
        for (int k = from; k < to; k++) {
          int away = farSide ? across - 1 - k : k;
          int rgb =
              level
                  ? sheet.rgb(away * sheet.widthPixels() + along)
                  : sheet.rgb(along * sheet.widthPixels() + away);
          counts[0][(rgb >> 16) & 255]++;
          counts[1][(rgb >> 8) & 255]++;
          counts[2][rgb & 255]++;
        }
      }
      for (int c = 0; c < 3; c++) {
        light[c][s] = Math.log(paper(counts[c]));
      }
    }
    for (int c = 0; c < 3; c++) {
      light[c] = smoothed(withoutDrawing(light[c]));
    }
    return light;
  }

  /** Mean linear light of the lighter half: grain stays, ink and dust go. */
  private static double paper(int[] counts) {
    int all = Arrays.stream(counts).sum();
    int left = all / 2;
    double sum = 0;
    int taken = 0;
    for (int level = 255; level >= 0 && taken < left; level--) {
      int here = Math.min(counts[level], left - taken);
      sum += here * LINEAR[level];
      taken += here;
    }
    return Math.max(1e-3, sum / Math.max(1, taken));
  }

  /** Stretches that are drawn over take their neighbours' light. */
  private static double[] withoutDrawing(double[] light) {
    double[] sorted = light.clone();
    Arrays.sort(sorted);
    double least = sorted[sorted.length / 2] - DRAWN_OVER;
    double[] mended = light.clone();
    for (int i = 0; i < light.length; i++) {
      if (light[i] >= least) {
        continue;
      }
      int before = i;
      while (before >= 0 && light[before] < least) {
        before--;
      }
      int after = i;
      while (after < light.length && light[after] < least) {
        after++;
      }
      double from = before >= 0 ? light[before] : light[Math.min(after, light.length - 1)];
      double to = after < light.length ? light[after] : from;
      mended[i] = from + (to - from) * (i - before) / (double) Math.max(1, after - before);
    }
    return mended;
  }

  private static double[] smoothed(double[] values) {
    double[] result = values;
    for (int pass = 0; pass < 2; pass++) {
      double[] next = new double[result.length];
      for (int i = 0; i < result.length; i++) {
        double before = result[Math.max(0, i - 1)];
        double after = result[Math.min(result.length - 1, i + 1)];
        next[i] = (before + 2 * result[i] + after) / 4;
      }
      result = next;
    }
    return result;
  }

  /**
   * Log of the paper's linear light at a place.
   *
   * @param channel 0 red, 1 green, 2 blue
   * @param u across the sheet, [0, 1]
   * @param v down the sheet, [0, 1]
   */
  double log(int channel, double u, double v) {
    double[] t = top[channel];
    double[] b = bottom[channel];
    double[] l = left[channel];
    double[] r = right[channel];
    double upperLeft = (at(t, 0) + at(l, 0)) / 2;
    double upperRight = (at(t, 1) + at(r, 0)) / 2;
    double lowerLeft = (at(b, 0) + at(l, 1)) / 2;
    double lowerRight = (at(b, 1) + at(r, 1)) / 2;
    return (1 - v) * at(t, u)
        + v * at(b, u)
        + (1 - u) * at(l, v)
        + u * at(r, v)
        - (1 - u) * (1 - v) * upperLeft
        - u * (1 - v) * upperRight
        - (1 - u) * v * lowerLeft
        - u * v * lowerRight;
  }

  /** Between the middles of the stretches. */
  private static double at(double[] edge, double share) {
    double place = Math.max(0, Math.min(edge.length - 1.0, share * edge.length - 0.5));
    int i = (int) Math.min(edge.length - 2.0, place);
    double between = place - i;
    return edge[i] * (1 - between) + edge[i + 1] * between;
  }

  /** The paper's linear light over the whole sheet, geometric mean of the edges. */
  double meanLog(int channel) {
    return Arrays.stream(
            new double[][] {top[channel], bottom[channel], left[channel], right[channel]})
        .flatMapToDouble(Arrays::stream)
        .average()
        .orElseThrow();
  }

  /** Darkest over lightest paper as they look: 0 for even light, [0, 1). */
  double unevenness() {
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (double[][] edge : new double[][][] {top, bottom, left, right}) {
      for (double value : edge[1]) {
        least = Math.min(least, value);
        most = Math.max(most, value);
      }
    }
    return 1 - Math.exp(least - most);
  }
}
