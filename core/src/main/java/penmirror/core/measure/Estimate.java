package penmirror.core.measure;

/**
 * What the pixels say about one measure, in pixels where it is a length.
 *
 * @param value finite
 * @param standardError in the same unit, 0 or more; 0 where it was not estimated
 */
public record Estimate(double value, double standardError) {
  public Estimate {
    if (!Double.isFinite(value) || !(standardError >= 0) || Double.isInfinite(standardError)) {
      throw new IllegalArgumentException(
          "An estimate is a finite number, got " + value + " with error " + standardError);
    }
  }
}
