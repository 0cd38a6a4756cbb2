package penmirror.core.proposal;

import java.util.Optional;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;
import penmirror.core.raster.Plane;

/**
 * The face of a marked work, small and in the frame of its eyes: what a face of this study is like.
 */
public final class FacePatch {
  static final int SIDE = 28;

  private final double[] luma;

  private FacePatch(double[] luma) {
    this.luma = luma;
  }

  /**
   * Empty where not both eyes are marked.
   *
   * @param scale pixels of this copy per pixel of the picture that was marked
   */
  public static Optional<FacePatch> of(Picture picture, Marks marks, double scale) {
    Optional<Point> left = eye(marks, Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER);
    Optional<Point> right = eye(marks, Landmark.EYE_R_INNER, Landmark.EYE_R_OUTER);
    if (left.isEmpty() || right.isEmpty() || left.get().distanceTo(right.get()) < 1) {
      return Optional.empty();
    }
    float[] values = new float[picture.pixelCount()];
    for (int i = 0; i < values.length; i++) {
      int rgb = picture.rgb(i);
      values[i] =
          (0.299f * ((rgb >> 16) & 255) + 0.587f * ((rgb >> 8) & 255) + 0.114f * (rgb & 255)) / 255;
    }
    Plane plane = new Plane(picture.widthPixels(), picture.heightPixels(), values);
    return Optional.of(
        new FacePatch(sampled(plane, left.get().times(scale), right.get().times(scale))));
  }

  static Optional<Point> eye(Marks marks, Landmark one, Landmark other) {
    return marks.point(one).flatMap(p -> marks.point(other).map(p::midpointTo));
  }

  static double[] sampled(Plane luma, Point left, Point right) {
    Point origin = left.midpointTo(right);
    Point across = right.minus(left);
    Point down = new Point(-across.y(), across.x());
    double[] samples = new double[SIDE * SIDE];
    for (int row = 0; row < SIDE; row++) {
      double v = -0.55 + 2.1 * row / (SIDE - 1);
      for (int column = 0; column < SIDE; column++) {
        double u = -1 + 2.0 * column / (SIDE - 1);
        Point at = origin.plus(across.times(u)).plus(down.times(v));
        samples[row * SIDE + column] = luma.at(at.x(), at.y());
      }
    }
    return samples;
  }

  /** Normalised correlation with another face, −1 to 1. */
  double likeness(double[] other) {
    return EyePairFinder.correlation(luma, other);
  }

  FacePatch mirrored() {
    double[] turned = new double[luma.length];
    for (int row = 0; row < SIDE; row++) {
      for (int column = 0; column < SIDE; column++) {
        turned[row * SIDE + column] = luma[row * SIDE + SIDE - 1 - column];
      }
    }
    return new FacePatch(turned);
  }
}
