package penmirror.core.proposal;

import java.util.Arrays;
import java.util.List;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Plane;

/**
 * The face sampled in the frame of its eyes, so that size and tilt are gone: which places are of
 * the skin's colour.
 */
final class FaceGrid {
  /** A shaded skin is darker by no more than this, and keeps its hue. */
  private static final double SHADE = 0.2;

  private static final double SAME_HUE = Math.cos(Math.toRadians(14));

  /** Samples per eye distance. */
  static final int PER_UNIT = 64;

  static final double LEFT = -2.3;
  static final double TOP = -2.7;
  private static final double RIGHT = 2.3;
  private static final double BOTTOM = 3.5;

  final int width = (int) ((RIGHT - LEFT) * PER_UNIT);
  final int height = (int) ((BOTTOM - TOP) * PER_UNIT);
  final float[] lightness = new float[width * height];
  final float[] a = new float[width * height];
  final float[] b = new float[width * height];
  final Plane skin;

  /** Everything but skin, hairs of one sample left out. */
  final Mask other;

  private double[] colour = new double[3];

  /** From the front, so that one half of the face is like the other. */
  final boolean fromFront;

  /**
   * @param view from the front or three-quarter
   */
  FaceGrid(Ground ground, EyePair eyes, View view) {
    fromFront = view == View.FRONT;
    CloseUp closeUp =
        CloseUp.of(ground, eyes.frame(), new double[] {LEFT, TOP, RIGHT, BOTTOM}, PER_UNIT);
    Point origin = closeUp.fromWorking(ground, eyes.at(0, 0));
    Point across = closeUp.fromWorking(ground, eyes.at(1, 0)).minus(origin);
    Point down = closeUp.fromWorking(ground, eyes.at(0, 1)).minus(origin);
    for (int row = 0; row < height; row++) {
      double v = TOP + row / (double) PER_UNIT;
      for (int column = 0; column < width; column++) {
        double u = LEFT + column / (double) PER_UNIT;
        double x = origin.x() + u * across.x() + v * down.x();
        double y = origin.y() + u * across.y() + v * down.y();
        int i = row * width + column;
        lightness[i] = closeUp.lightness().at(x, y);
        a[i] = closeUp.a().at(x, y);
        b[i] = closeUp.b().at(x, y);
      }
    }
    if (eyes.isHalfLit() && fromFront) {
      mirrorLitHalf(eyes.leftEye().bright());
    }
    boolean[] seed = skin(eyes);
    boolean[] isSkin =
        new SkinTones(width, height, lightness, a, b, colour).grownFrom(seed, middle());
    float[] values = new float[isSkin.length];
    for (int i = 0; i < values.length; i++) {
      values[i] = isSkin[i] ? 1 : 0;
    }
    skin = new Plane(width, height, values);
    other = opened(isSkin);
  }

  /** The half that is painted black tells nothing; the lit one is taken for both. */
  private void mirrorLitHalf(boolean rightIsLit) {
    int middle = column(0);
    for (int row = 0; row < height; row++) {
      for (int away = 1; away < width - middle; away++) {
        int right = row * width + middle + away;
        int left = row * width + Math.max(0, middle - away);
        int from = rightIsLit ? right : left;
        int to = rightIsLit ? left : right;
        lightness[to] = lightness[from];
        a[to] = a[from];
        b[to] = b[from];
      }
    }
  }

  static int column(double u) {
    return (int) Math.round((u - LEFT) * PER_UNIT);
  }

  static int row(double v) {
    return (int) Math.round((v - TOP) * PER_UNIT);
  }

  static double u(double column) {
    return LEFT + column / PER_UNIT;
  }

  static double v(double row) {
    return TOP + row / PER_UNIT;
  }

  /** Share of skin round a place, by bilinear interpolation. */
  double skinAt(double u, double v) {
    return skin.at((u - LEFT) * PER_UNIT, (v - TOP) * PER_UNIT);
  }

  /** Whether the nearest sample is skin: 1 or 0; cheaper than between samples. */
  double skinNear(double u, double v) {
    int column = (int) ((u - LEFT) * PER_UNIT + 0.5);
    int row = (int) ((v - TOP) * PER_UNIT + 0.5);
    int x = Math.max(0, Math.min(width - 1, column));
    int y = Math.max(0, Math.min(height - 1, row));
    return skin.values()[y * width + x];
  }

  boolean isSkin(int column, int row) {
    return column >= 0
        && row >= 0
        && column < width
        && row < height
        && skin.values()[row * width + column] > 0.5f;
  }

  boolean holds(int column, int row) {
    return column >= 0 && row >= 0 && column < width && row < height;
  }

  /**
   * Parts of what is not skin inside a window, in the window's own places.
   *
   * @param windowWidth in samples, as is everything else
   * @param cut what is at most twice as wide does not join parts
   */
  List<Parts.Part> otherParts(
      int fromColumn, int fromRow, int windowWidth, int windowHeight, int cut) {
    boolean[] set = new boolean[windowWidth * windowHeight];
    for (int row = 0; row < windowHeight; row++) {
      for (int column = 0; column < windowWidth; column++) {
        set[row * windowWidth + column] = other.at(fromColumn + column, fromRow + row);
      }
    }
    return Parts.cut(new Mask(windowWidth, windowHeight, set), cut);
  }

  /** Lightness of the colour taken for skin. */
  double skinLightness() {
    return colour[0];
  }

  private boolean[] skin(EyePair eyes) {
    double[] ring = new double[3];
    for (int c = 0; c < 3; c++) {
      ring[c] = (eyes.leftEye().ring()[c] + eyes.rightEye().ring()[c]) / 2;
    }
    if (eyes.isHalfLit()) {
      ring = (eyes.leftEye().bright() ? eyes.rightEye() : eyes.leftEye()).ring();
    }
    boolean[] best = new boolean[0];
    int most = -1;
    for (double[] candidate :
        new double[][] {median(-0.3, 0.3, -0.1, 1.0), ring, median(-0.9, 0.9, -0.3, 1.3)}) {
      boolean[] set = like(candidate);
      int count = count(set);
      if (count > most) {
        most = count;
        best = set;
        colour = candidate;
      }
    }
    return best;
  }

  /** A shadow tone of the skin is skin, another hue is not; grey skin is told by lightness. */
  private boolean[] like(double[] skinColour) {
    double chroma = Math.hypot(skinColour[1], skinColour[2]);
    boolean coloured = chroma > 0.03;
    boolean[] set = new boolean[lightness.length];
    for (int i = 0; i < set.length; i++) {
      double dl = lightness[i] - skinColour[0];
      double dc = Math.hypot(a[i] - skinColour[1], b[i] - skinColour[2]);
      if (!coloured) {
        set[i] = dc < 0.035 && Math.abs(dl) < 0.07;
        continue;
      }
      double own = Math.hypot(a[i], b[i]);
      double cosine =
          own < 1e-6 ? 0 : (a[i] * skinColour[1] + b[i] * skinColour[2]) / (own * chroma);
      boolean shade =
          dl > -SHADE && dl < 0 && cosine > SAME_HUE && own > 0.6 * chroma && own < 1.9 * chroma;
      set[i] = dc < 0.045 && dl > -0.13 && dl < 0.06 || shade;
    }
    return set;
  }

  /** Where a face is hardly anything but skin and features, down to above the mouth. */
  private boolean[] middle() {
    boolean[] set = new boolean[lightness.length];
    for (int row = row(-0.3); row <= row(0.7); row++) {
      Arrays.fill(set, row * width + column(-0.9), row * width + column(0.9), true);
    }
    return set;
  }

  private int count(boolean[] set) {
    int count = 0;
    for (int row = row(-0.3); row <= row(1.3); row++) {
      for (int column = column(-0.9); column <= column(0.9); column++) {
        if (set[row * width + column]) {
          count++;
        }
      }
    }
    return count;
  }

  private double[] median(double left, double right, double top, double bottom) {
    int columns = column(right) - column(left) + 1;
    int rows = row(bottom) - row(top) + 1;
    float[][] values = new float[3][columns * rows];
    int n = 0;
    for (int row = row(top); row <= row(bottom); row++) {
      for (int column = column(left); column <= column(right); column++) {
        int i = row * width + column;
        values[0][n] = lightness[i];
        values[1][n] = a[i];
        values[2][n++] = b[i];
      }
    }
    double[] median = new double[3];
    for (int c = 0; c < 3; c++) {
      Arrays.sort(values[c]);
      median[c] = values[c][values[c].length / 2];
    }
    return median;
  }

  /** Opening by a square of two. */
  private Mask opened(boolean[] isSkin) {
    boolean[] result = new boolean[isSkin.length];
    for (int row = 0; row + 1 < height; row++) {
      for (int column = 0; column + 1 < width; column++) {
        int i = row * width + column;
        if (!isSkin[i] && !isSkin[i + 1] && !isSkin[i + width] && !isSkin[i + width + 1]) {
          result[i] = true;
          result[i + 1] = true;
          result[i + width] = true;
          result[i + width + 1] = true;
        }
      }
    }
    return new Mask(width, height, result);
  }
}
