package penmirror.core.figure;

/** A side of the figure as seen in the picture. */
public enum Side {
  LEFT,
  RIGHT;

  /** The landmark of this side, given its name on the left. */
  public Landmark of(Landmark left) {
    return this == LEFT ? left : left.mirrored();
  }

  /** Minus one to the left, one to the right: away from the middle line. */
  public int outward() {
    return this == LEFT ? -1 : 1;
  }
}
