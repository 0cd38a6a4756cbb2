package penmirror.core.measure.line;

/**
 * The drawn lines of a picture.
 *
 * @param medianWidthPixels width that half of the line's length lies below, (0, ∞)
 * @param thinWidthPixels width that a tenth of the length lies below
 * @param thickWidthPixels width that nine tenths of the length lie below
 * @param standardErrorPixels of the median, by drawing the strokes again
 * @param lightness median OKLab lightness along the lines' middles, [0, 1]
 * @param lengthPixels length of all lines together
 */
public record LineReadings(
    double medianWidthPixels,
    double thinWidthPixels,
    double thickWidthPixels,
    double standardErrorPixels,
    double lightness,
    double lengthPixels) {

  /** Below this a line covers no pixel fully and reads too wide: it counts as a hairline. */
  public static final double HAIRLINE_PIXELS = 2;

  public boolean isHairline() {
    return medianWidthPixels < HAIRLINE_PIXELS;
  }
}
