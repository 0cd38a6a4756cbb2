package penmirror.core.colour;

/**
 * OKLab: lightness in [0, 1] and two opponent axes, about −0.4 to 0.4 inside sRGB. Straight
 * distance is close to seen difference; 0.02 is about the smallest step one notices side by side.
 *
 * <p>Source: Ottosson, A perceptual color space for image processing (2020), matrices as published
 * there.
 */
public record OkLab(double lightness, double a, double b) {
  /** What rounding in the matrices takes white out of the cube by. */
  private static final double HAIR = 1e-6;

  private static final int HALVINGS = 24;

  public static OkLab from(EncodedSrgb colour) {
    return fromLinear(
        EncodedSrgb.toLinear(colour.red()),
        EncodedSrgb.toLinear(colour.green()),
        EncodedSrgb.toLinear(colour.blue()));
  }

  static OkLab fromLinear(double r, double g, double b) {
    double l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
    double m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
    double s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
    return new OkLab(
        0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s,
        1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s,
        0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s);
  }

  /** The nearest sRGB colour; channels outside the gamut are clipped. */
  public EncodedSrgb toEncodedSrgb() {
    Linear linear = linear();
    return new EncodedSrgb(encode(linear.red), encode(linear.green), encode(linear.blue));
  }

  /** Whether sRGB can show it. */
  public boolean isShown() {
    Linear linear = linear();
    return isChannel(linear.red) && isChannel(linear.green) && isChannel(linear.blue);
  }

  /**
   * The strongest colour of the same lightness and hue that sRGB can show; itself where it can be
   * shown, black and white where the lightness lies beyond them.
   */
  public OkLab shown() {
    if (isShown()) {
      return this;
    }
    double within = Math.max(0, Math.min(1, lightness));
    double least = 0;
    double most = 1;
    for (int halving = 0; halving < HALVINGS; halving++) {
      double share = (least + most) / 2;
      if (new OkLab(within, a * share, b * share).isShown()) {
        least = share;
      } else {
        most = share;
      }
    }
    return new OkLab(within, a * least, b * least);
  }

  /** Colourfulness, [0, about 0.37] inside sRGB; 0 is grey. */
  public double chroma() {
    return Math.hypot(a, b);
  }

  /** Degrees in [0, 360): about 30 red, 90 yellow, 145 green, 265 blue; 0 for grey. */
  public double hueDegrees() {
    double degrees = Math.toDegrees(Math.atan2(b, a));
    return degrees < 0 ? degrees + 360 : degrees;
  }

  /** How far two hues lie apart the short way round, [0, 180] degrees. */
  public double hueApart(OkLab other) {
    return Math.abs(Math.IEEEremainder(hueDegrees() - other.hueDegrees(), 360));
  }

  /** What counts as black ink: dark and nearly without hue. */
  public boolean isBlack() {
    return lightness < 0.35 && chroma() < 0.08;
  }

  /** Straight distance in OKLab, [0, about 1]. */
  public double distanceTo(OkLab other) {
    double dl = lightness - other.lightness;
    double da = a - other.a;
    double db = b - other.b;
    return Math.sqrt(dl * dl + da * da + db * db);
  }

  /** Linear light, outside [0, 1] for what sRGB cannot show. */
  private record Linear(double red, double green, double blue) {}

  private Linear linear() {
    double l = cube(lightness + 0.3963377774 * a + 0.2158037573 * b);
    double m = cube(lightness - 0.1055613458 * a - 0.0638541728 * b);
    double s = cube(lightness - 0.0894841775 * a - 1.2914855480 * b);
    return new Linear(
        4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
        -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
        -0.0041960863 * l - 0.7034186147 * m + 1.7076147010 * s);
  }

  private static boolean isChannel(double linear) {
    return linear >= -HAIR && linear <= 1 + HAIR;
  }

  private static double cube(double v) {
    return v * v * v;
  }

  private static double encode(double linear) {
    return EncodedSrgb.fromLinear(Math.max(0, Math.min(1, linear)));
  }
}
