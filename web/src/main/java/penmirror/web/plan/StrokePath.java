package penmirror.web.plan;

import penmirror.web.layout.SvgNumber;

/**
 * A pulled stroke as the outline of its ink, for an SVG path at the screen's own pixels: slightly
 * bowed, thinner toward both ends by the style's taper, fuller in the middle by its swelling.
 *
 * @param path from its left end, in pixels of a box that begins at 0
 * @param heightPixels of the box
 */
record StrokePath(String path, String heightPixels) {
  private static final int STEPS = 24;
  private static final double BOW = 5;

  /** A stroke thins over so much of its length from either end. */
  private static final double ENDS = 0.2;

  /**
   * @param lengthPixels of the box
   * @param taper how much of the width is lost toward the ends, [0, 1]
   * @param swell deviation along the stroke over its mean, 0 or more
   */
  static StrokePath of(double lengthPixels, double pixels, double taper, double swell) {
    double height = pixels * (1 + swell) + 2 * BOW + 2;
    StringBuilder over = new StringBuilder();
    StringBuilder under = new StringBuilder();
    for (int i = 0; i <= STEPS; i++) {
      double along = (double) i / STEPS;
      double x = along * lengthPixels;
      double middle = height / 2 - BOW * Math.sin(2 * Math.PI * along);
      double half = pixels / 2 * width(along, taper, swell);
      over.append(point(i == 0 ? 'M' : 'L', x, middle - half));
      under.insert(0, point('L', x, middle + half));
    }
    return new StrokePath(over.append(under).append('z').toString(), SvgNumber.of(height));
  }

  /** Share of the full width at a place along the stroke; a sine swings by √2 of its deviation. */
  private static double width(double along, double taper, double swell) {
    double toEnd = Math.min(1, Math.min(along, 1 - along) / ENDS);
    double full = 1 + Math.sqrt(2) * swell * -Math.cos(2 * Math.PI * along) / 2;
    return full * (1 - taper * (1 - toEnd));
  }

  private static String point(char step, double x, double y) {
    return step + SvgNumber.of(x) + " " + SvgNumber.of(y);
  }
}
