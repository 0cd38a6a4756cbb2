package penmirror.core.figure;

import java.util.Optional;
import penmirror.core.geometry.Point;

/**
 * The head's own frame: heights run along the axis from the crown (0) to the chin (1), sideways
 * runs square to it, to the right in an upright head. Both in heads, so that a tilted head reads
 * the same as an upright one.
 */
public record HeadFrame(Point crown, Point chin) {

  /** Heads under a pixel are two clicks on one spot. */
  private static final double SMALLEST_HEAD_PIXELS = 1;

  static Optional<HeadFrame> of(Point crown, Point chin) {
    return crown.distanceTo(chin) < SMALLEST_HEAD_PIXELS
        ? Optional.empty()
        : Optional.of(new HeadFrame(crown, chin));
  }

  /** Crown to chin, pixels, 1 or more. */
  public double headPixels() {
    return crown.distanceTo(chin);
  }

  /** Unit step along the axis, toward the chin. */
  public Point down() {
    return chin.minus(crown).times(1 / headPixels());
  }

  /** Unit step square to the axis, to the right in an upright head. */
  public Point across() {
    Point down = down();
    return new Point(down.y(), -down.x());
  }

  /** Height of a point counted down from the crown, in heads; negative above the crown. */
  public double height(Point point) {
    return point.minus(crown).dot(down()) / headPixels();
  }

  /** How far a point lies to the right of the axis in an upright head, in heads. */
  public double sideways(Point point) {
    return point.minus(crown).dot(across()) / headPixels();
  }

  /** The point at a height and sideways place of this frame. */
  public Point at(double sideways, double height) {
    return crown
        .plus(across().times(sideways * headPixels()))
        .plus(down().times(height * headPixels()));
  }
}
