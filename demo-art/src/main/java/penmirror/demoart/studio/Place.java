package penmirror.demoart.studio;

import java.util.Locale;
import penmirror.core.geometry.Point;

/**
 * Where a landmark is in a picture, and whether anyone can see it there.
 *
 * @param point pixels; (0, 0) without meaning when the landmark faces away
 */
public record Place(Point point, Seen seen) {

  /** How a landmark shows. */
  public enum Seen {
    OPEN,
    /** Under hair, hat or clothes: its place can be told from the form. */
    COVERED,
    /** Beyond the picture's edge. */
    OUTSIDE,
    /** On the side that is turned away. */
    AWAY;

    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }
}
