package penmirror.web.layout;

import penmirror.core.style.Rule;

/**
 * One reading against its band, on a drawing of 110 by 22: every band is drawn as wide, so that
 * distance reads alike from row to row.
 *
 * @param x place of the reading's upright, held at the edges when it lies farther off
 * @param edgeX where a miss begins on the reading's side
 * @param offScale whether it lies farther off than is drawn
 * @param room path to where several works lie outside the band; empty where none do
 */
public record ReadingStrip(String x, String edgeX, boolean misses, boolean offScale, String room) {
  public static final double BAND_FROM = 38;
  public static final double BAND_TO = 72;
  private static final double MIDDLE = 55;

  /** Less cannot be told from the band. */
  private static final double LEAST_ROOM = 3;

  private static final double PER_TOLERANCE = (BAND_TO - BAND_FROM) / 2;

  public static ReadingStrip of(Rule rule, double value) {
    double x = MIDDLE + rule.apart(value) * PER_TOLERANCE;
    double held = held(x);
    return new ReadingStrip(
        SvgNumber.of(held),
        SvgNumber.of(edge(rule, x < MIDDLE)),
        Math.abs(rule.z(value)) > 1,
        held != x,
        room(rule, true) + room(rule, false));
  }

  private static double held(double x) {
    return Math.max(4, Math.min(106, x));
  }

  private static double edge(Rule rule, boolean below) {
    double reach = rule.reach(below) / rule.tolerance() * PER_TOLERANCE;
    return held(below ? MIDDLE - reach : MIDDLE + reach);
  }

  /** A line out of the band, closed by an upright. */
  private static String room(Rule rule, boolean below) {
    double edge = edge(rule, below);
    double band = below ? BAND_FROM : BAND_TO;
    return Math.abs(edge - band) < LEAST_ROOM
        ? ""
        : "M" + SvgNumber.of(band) + " 11H" + SvgNumber.of(edge) + "m0 -4v8";
  }
}
