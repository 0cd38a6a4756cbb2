package penmirror.core.colour;

/**
 * A colour mixed by eye beside the one that was asked for.
 *
 * @param off how far it is, by CIEDE2000; 1 is about the smallest difference seen side by side
 * @param lighter how much lighter, in OKLab lightness
 * @param stronger how much stronger in colour, in OKLab chroma
 * @param redderDegrees how far its hue lies toward red, the short way, [−180, 180]; 0 where either
 *     is nearly grey
 */
public record ColourMatch(double off, double lighter, double stronger, double redderDegrees) {
  /** From here on a difference is seen without a hint. */
  public static final double PLAIN = 3;

  public static final double JUST_SEEN = 1;

  /** Weaker, a colour has no hue to ask after. */
  private static final double HAS_HUE = 0.03;

  public static ColourMatch of(EncodedSrgb asked, EncodedSrgb given) {
    OkLab was = OkLab.from(asked);
    OkLab is = OkLab.from(given);
    boolean coloured = Math.min(was.chroma(), is.chroma()) >= HAS_HUE;
    return new ColourMatch(
        Lab.from(asked).ciede2000(Lab.from(given)),
        is.lightness() - was.lightness(),
        is.chroma() - was.chroma(),
        coloured ? toRed(was) - toRed(is) : 0);
  }

  /** Degrees from a hue to red, [0, 180]. */
  private static double toRed(OkLab colour) {
    return Math.abs(Math.IEEEremainder(colour.hueDegrees() - RED_DEGREES, 360));
  }

  /** The hue of sRGB's red in OKLab. */
  private static final double RED_DEGREES = 29.23;
}
