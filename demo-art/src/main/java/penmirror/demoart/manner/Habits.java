package penmirror.demoart.manner;

/**
 * What a hand always does and no number says.
 *
 * @param nose how the nose is drawn
 * @param lips whether the lips have colour of their own
 * @param blush whether cheeks are tinted
 * @param halfFace whether half the face falls into shadow
 * @param eyes how an eye is drawn
 * @param folds how many fold lines a garment gets, 0 to 3
 */
public record Habits(
    Nose nose, boolean lips, boolean blush, boolean halfFace, Eyes eyes, int folds) {

  /** Ways to draw an eye. */
  public enum Eyes {
    /** An opening with a dark disc in it. */
    DISC,
    /** An opening with an iris of ring and glow. */
    RINGED,
    /** A dot. */
    DOT,
    /** One bent stroke. */
    ARC
  }

  /** Ways to draw a nose. */
  public enum Nose {
    /** A fleshy wedge that leads the face. */
    WEDGE,
    /** A long straight ridge with a cut underside. */
    BLADE,
    /** Two short touches. */
    HINT,
    /** A round tip. */
    BUTTON
  }
}
