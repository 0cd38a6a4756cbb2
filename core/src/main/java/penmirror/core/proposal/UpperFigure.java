package penmirror.core.proposal;

import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;

/**
 * The upper part of a figure on a ground of its own: a small head on a large sheet has two to three
 * times as many working pixels there.
 *
 * @param left of the part, pixels of the whole picture
 * @param top of the part, pixels of the whole picture
 */
record UpperFigure(Ground ground, int left, int top) {
  /** Of the figure's height. */
  private static final double SHARE = 0.4;

  private static final double MARGIN = 0.02;

  static UpperFigure of(Ground whole) {
    Picture picture = whole.picture;
    double height = whole.boxHeight() / whole.scale;
    int margin = (int) (MARGIN * height);
    int left = Math.max(0, (int) (whole.left / whole.scale) - margin);
    int top = Math.max(0, (int) (whole.top / whole.scale) - margin);
    int right = Math.min(picture.widthPixels(), (int) (whole.right / whole.scale) + margin);
    int bottom = Math.min(picture.heightPixels(), (int) (whole.top / whole.scale + SHARE * height));
    Picture part = picture.cropped(left, top, Math.max(1, right - left), Math.max(1, bottom - top));
    return new UpperFigure(new Ground(part), left, top);
  }

  /** From working pixels of the part to those of the whole. */
  Point toWorkingOf(Ground whole, Point working) {
    return whole.toWorking(ground.toPicture(working.x(), working.y()).plus(new Point(left, top)));
  }
}
