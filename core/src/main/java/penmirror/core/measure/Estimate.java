package penmirror.core.measure;

import java.util.OptionalDouble;

/**
 * What the pixels say about one measure, in pixels where it is a length.
 *
 * @param value finite
 * @param standardError in the same unit, 0 or more; empty where it is not known
 */
public record Estimate(double value, OptionalDouble standardError) {
  public Estimate {
    if (!Double.isFinite(value) || !Reading.isAnError(standardError)) {
      throw new IllegalArgumentException(
          "An estimate is a finite number, got " + value + " with error " + standardError);
    }
  }

  /** Of which nobody knows how exact it is. */
  public static Estimate withoutError(double value) {
    return new Estimate(value, OptionalDouble.empty());
  }

  public static Estimate of(double value, double standardError) {
    return new Estimate(value, OptionalDouble.of(standardError));
  }
}
