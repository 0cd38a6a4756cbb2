package penmirror.web.layout;

/** Places and lengths in drawings on pages, of which there are hundreds on one. */
public final class SvgNumber {
  private SvgNumber() {}

  /**
   * To a tenth, with a point.
   *
   * @param value under ten million either way
   */
  public static String of(double value) {
    return Double.toString(Math.round(value * 10) / 10.0);
  }
}
