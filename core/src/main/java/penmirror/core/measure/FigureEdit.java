package penmirror.core.measure;

import java.util.List;
import java.util.Locale;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Reach;

/**
 * One correction of what counts as figure, or of what belongs to which of its parts, drawn by hand.
 *
 * @param points in pixels of the picture, within {@link Reach}; at least one, three for a loop
 * @param radiusPixels half the width of the brush, within {@link Reach}; 0 for a loop
 */
public record FigureEdit(Kind kind, List<Point> points, double radiusPixels) {

  /** What the hand meant. */
  public enum Kind {
    /** The figure lies inside; on a busy background it is sought there by its colours. */
    LOOP,
    /** This, and what is joined to it in the same colour, is figure. */
    KEEP,
    /** This, and what is joined to it in the same colour, is not. */
    DROP,
    /** The flat colours under the stroke are the face; what they enclose are its features. */
    FACE,
    /** The flat colours under the stroke are skin elsewhere. */
    SKIN,
    /** The flat colours under the stroke are hair. */
    HAIR,
    /** The flat colours under the stroke are clothes. */
    CLOTH;

    /** Whether it says which part of the figure something is, not whether it is figure at all. */
    public boolean isOfParts() {
      return compareTo(FACE) >= 0;
    }

    /** The word used in files. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  public FigureEdit {
    points = List.copyOf(points);
    if (points.size() < (kind == Kind.LOOP ? 3 : 1) || !(radiusPixels >= 0)) {
      throw new IllegalArgumentException(
          "A " + kind.word() + " needs points and a brush, got " + points.size() + " points.");
    }
    boolean isWithinReach =
        Reach.holds(radiusPixels)
            && points.stream().allMatch(point -> Reach.holds(point.x()) && Reach.holds(point.y()));
    if (!isWithinReach) {
      throw new IllegalArgumentException("A " + kind.word() + " lies where no picture is.");
    }
  }

  /** Whether all of it lies on a picture of that size, or close beside it. */
  public boolean isOn(int widthPixels, int heightPixels) {
    return points.stream().allMatch(point -> Reach.holds(point, widthPixels, heightPixels));
  }
}
