package penmirror.web.layout;

import penmirror.core.style.Rule;

/**
 * One reading against its band, on a drawing of 110 by 22: every band is drawn as wide, so that
 * distance reads alike from row to row.
 *
 * @param x place of the reading's upright, held at the edges when it lies farther off
 * @param offScale whether it lies farther off than is drawn
 */
public record ReadingStrip(String x, String edgeX, boolean misses, boolean offScale) {
  public static final double BAND_FROM = 38;
  public static final double BAND_TO = 72;
  private static final double MIDDLE = 55;
  private static final double PER_TOLERANCE = (BAND_TO - BAND_FROM) / 2;

  public static ReadingStrip of(Rule rule, double value) {
    double apart = rule.apart(value);
    double x = MIDDLE + apart * PER_TOLERANCE;
    double held = Math.max(4, Math.min(106, x));
    return new ReadingStrip(
        SvgNumber.of(held),
        SvgNumber.of(apart < 0 ? BAND_FROM : BAND_TO),
        Math.abs(rule.z(value)) > 1,
        held != x);
  }
}
