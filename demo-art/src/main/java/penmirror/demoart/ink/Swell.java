package penmirror.demoart.ink;

/**
 * How a line's width runs along it.
 *
 * @param from width at the start, as a share of the full width, [0, 1]
 * @param to width at the end, as a share, [0, 1]
 * @param peak where it is widest, (0, 1)
 */
public record Swell(double from, double to, double peak) {
  public static final Swell EVEN = new Swell(1, 1, 0.5);

  /** Share of the full width at a place along the line, [0, 1] each. */
  public double at(double u) {
    return u < peak
        ? from + (1 - from) * Math.sin(u / peak * Math.PI / 2)
        : to + (1 - to) * Math.sin((1 - u) / (1 - peak) * Math.PI / 2);
  }
}
