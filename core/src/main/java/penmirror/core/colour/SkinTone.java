package penmirror.core.colour;

/**
 * Whether a colour can be a tone of a skin: its shadow, its flush, its light. The bounds were set
 * on drawn figures.
 */
public final class SkinTone {
  /** OKLab lightness by which a shaded skin is darker, and a lit one lighter, at the most. */
  private static final double DARKER = 0.24;

  private static final double LIGHTER = 0.14;
  private static final double SAME_HUE_DEGREES = 32;

  /** Chroma of a tone as a share of the skin's. */
  private static final double GREYEST = 0.45;

  private static final double STRONGEST = 2.1;

  /** Chroma below which a skin has no hue to tell its tones by. */
  public static final double COLOURED = 0.03;

  private SkinTone() {}

  /**
   * Of the same hue within 32°, not much darker or lighter, and neither much greyer nor stronger.
   *
   * @return false for any tone of a skin that is nearly grey
   */
  public static boolean isToneOf(OkLab tone, OkLab skin) {
    double own = skin.chroma();
    double share = tone.chroma() / Math.max(1e-9, own);
    return own >= COLOURED
        && !isDarker(tone.lightness(), skin)
        && tone.lightness() - skin.lightness() <= LIGHTER
        && tone.hueApart(skin) < SAME_HUE_DEGREES
        && share > GREYEST
        && share < STRONGEST;
  }

  /** Darker than any shadow on this skin. */
  public static boolean isDarker(double lightness, OkLab skin) {
    return lightness < skin.lightness() - DARKER;
  }
}
