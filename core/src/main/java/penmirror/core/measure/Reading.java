package penmirror.core.measure;

import java.util.OptionalDouble;
import java.util.function.Function;

/**
 * One measured value.
 *
 * @param value finite, in the unit of the measure
 * @param standardError in the same unit, 0 or more; from the errors of the landmarks, or from
 *     drawing the strokes again; empty where it is not known
 * @param method how it was read
 */
public record Reading(Measure measure, double value, OptionalDouble standardError, Method method)
    implements MeasureResult {

  public enum Method {
    MARKED("marked"),
    FROM_PIXELS("from pixels");

    private final String word;

    Method(String word) {
      this.word = word;
    }

    /** The word used in files. */
    public String word() {
      return word;
    }
  }

  public Reading {
    if (!Double.isFinite(value) || !isAnError(standardError)) {
      throw new IllegalArgumentException(
          measure.key() + " cannot read " + value + " with error " + standardError);
    }
  }

  /** Whether it is unknown, or finite and 0 or more. */
  static boolean isAnError(OptionalDouble error) {
    return error.isEmpty() || (error.getAsDouble() >= 0 && Double.isFinite(error.getAsDouble()));
  }

  /** The value in the scale in which rules compare it. */
  public double scaledValue() {
    return measure.scale().toScale(value);
  }

  @Override
  public <T> T fold(Function<Reading, T> whenRead, Function<NoReading, T> whenNot) {
    return whenRead.apply(this);
  }
}
