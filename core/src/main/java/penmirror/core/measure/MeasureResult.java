package penmirror.core.measure;

import java.util.Optional;
import java.util.function.Function;

/** What comes of reading a measure: a reading, or the reason why there is none. */
public sealed interface MeasureResult permits Reading, NoReading {

  <T> T fold(Function<Reading, T> whenRead, Function<NoReading, T> whenNot);

  default Optional<Reading> reading() {
    return fold(Optional::of, none -> Optional.empty());
  }

  default Optional<NoReading> absence() {
    return fold(reading -> Optional.empty(), Optional::of);
  }
}
