package penmirror.core.colour;

/**
 * CIE 1976 L*a*b* with white D65: L* in [0, 100], a* and b* about −128 to 128 inside sRGB.
 *
 * <p>Source: CIE 15:2004; the sRGB matrix of IEC 61966-2-1.
 */
public record Lab(double lightness, double a, double b) {
  private static final double WHITE_X = 0.95047;
  private static final double WHITE_Z = 1.08883;
  private static final double EPSILON = 216.0 / 24389;
  private static final double KAPPA = 24389.0 / 27;

  public static Lab from(EncodedSrgb colour) {
    double r = EncodedSrgb.toLinear(colour.red());
    double g = EncodedSrgb.toLinear(colour.green());
    double b = EncodedSrgb.toLinear(colour.blue());
    double x = f((0.4124 * r + 0.3576 * g + 0.1805 * b) / WHITE_X);
    double y = f(0.2126 * r + 0.7152 * g + 0.0722 * b);
    double z = f((0.0193 * r + 0.1192 * g + 0.9505 * b) / WHITE_Z);
    return new Lab(116 * y - 16, 500 * (x - y), 200 * (y - z));
  }

  private static double f(double t) {
    return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
  }

  /**
   * Colour difference CIEDE2000 with all weights 1, [0, ∞); 1 is about the smallest difference seen
   * side by side. Symmetric.
   *
   * <p>Source: Sharma, Wu and Dalal, The CIEDE2000 color-difference formula, Color Research and
   * Application 30 (2005), eq. 2 to 22.
   */
  public double ciede2000(Lab other) {
    double meanChroma7 = Math.pow((Math.hypot(a, b) + Math.hypot(other.a, other.b)) / 2, 7);
    double g = 0.5 * (1 - Math.sqrt(meanChroma7 / (meanChroma7 + POW_25_7)));
    double a1 = (1 + g) * a;
    double a2 = (1 + g) * other.a;
    double c1 = Math.hypot(a1, b);
    double c2 = Math.hypot(a2, other.b);
    double h1 = hueDegrees(a1, b);
    double h2 = hueDegrees(a2, other.b);

    double deltaL = other.lightness - lightness;
    double deltaC = c2 - c1;
    double deltaHue = c1 * c2 == 0 ? 0 : wrapped(h2 - h1);
    double deltaH = 2 * Math.sqrt(c1 * c2) * sin(deltaHue / 2);

    double meanL = (lightness + other.lightness) / 2;
    double meanC = (c1 + c2) / 2;
    double meanH = meanHue(h1, h2, c1 * c2 == 0);
    double t =
        1
            - 0.17 * cos(meanH - 30)
            + 0.24 * cos(2 * meanH)
            + 0.32 * cos(3 * meanH + 6)
            - 0.20 * cos(4 * meanH - 63);
    double lightnessTerm = (meanL - 50) * (meanL - 50);
    double sl = 1 + 0.015 * lightnessTerm / Math.sqrt(20 + lightnessTerm);
    double sc = 1 + 0.045 * meanC;
    double sh = 1 + 0.015 * meanC * t;
    double turn = 30 * Math.exp(-Math.pow((meanH - 275) / 25, 2));
    double meanC7 = Math.pow(meanC, 7);
    double rt = -2 * Math.sqrt(meanC7 / (meanC7 + POW_25_7)) * sin(2 * turn);
    double l = deltaL / sl;
    double c = deltaC / sc;
    double h = deltaH / sh;
    return Math.sqrt(l * l + c * c + h * h + rt * c * h);
  }

  private static final double POW_25_7 = Math.pow(25, 7);

  private static double hueDegrees(double a, double b) {
    if (a == 0 && b == 0) {
      return 0;
    }
    double hue = Math.toDegrees(Math.atan2(b, a));
    return hue < 0 ? hue + 360 : hue;
  }

  private static double wrapped(double difference) {
    if (difference > 180) {
      return difference - 360;
    }
    return difference < -180 ? difference + 360 : difference;
  }

  private static double meanHue(double h1, double h2, boolean oneIsGrey) {
    if (oneIsGrey) {
      return h1 + h2;
    }
    if (Math.abs(h1 - h2) <= 180) {
      return (h1 + h2) / 2;
    }
    return h1 + h2 < 360 ? (h1 + h2 + 360) / 2 : (h1 + h2 - 360) / 2;
  }

  private static double sin(double degrees) {
    return Math.sin(Math.toRadians(degrees));
  }

  private static double cos(double degrees) {
    return Math.cos(Math.toRadians(degrees));
  }
}
