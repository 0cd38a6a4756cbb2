package penmirror.core.measure;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.statistics.Ratio;
import penmirror.core.statistics.WeightedSample;

/** Collects what readers find in one picture. What is not a number is refused, never kept. */
public final class Findings {
  private final Map<String, Estimate> estimates = new HashMap<>();
  private final Map<String, Reason> absences = new HashMap<>();

  /**
   * Lengths in pixels of the picture.
   *
   * @param standardError from drawing the pieces again; 0, where there were too few of them or all
   *     were alike, says that it is not known
   */
  public void put(Measure measure, double value, double standardError) {
    put(
        measure,
        standardError == 0 ? Estimate.withoutError(value) : Estimate.of(value, standardError));
  }

  /** A reading whose error is not known. */
  public void put(Measure measure, double value) {
    put(measure, Estimate.withoutError(value));
  }

  private void put(Measure measure, Estimate estimate) {
    estimates.put(measure.key(), estimate);
    absences.remove(measure.key());
  }

  /** A ratio of sums over pieces, or the reason where the lower sum is 0. */
  public void put(Measure measure, Ratio ratio, Reason otherwise) {
    if (ratio.whole() > 0) {
      put(measure, ratio.value(), ratio.error());
    } else {
      absent(measure, otherwise);
    }
  }

  /** The value, or the reason where there is none. */
  public void put(Measure measure, OptionalDouble value, Reason otherwise) {
    if (value.isPresent()) {
      put(measure, value.getAsDouble());
    } else {
      absent(measure, otherwise);
    }
  }

  /** The median of a sample with its error, or the reason where it is empty. */
  public void put(Measure measure, WeightedSample sample, Reason otherwise) {
    if (sample.size() == 0) {
      absent(measure, otherwise);
    } else {
      put(measure, sample.median(), sample.medianError());
    }
  }

  public void absent(Measure measure, Reason reason) {
    if (!estimates.containsKey(measure.key())) {
      absences.put(measure.key(), reason);
    }
  }

  public void absent(List<Measure> measures, Reason reason) {
    measures.forEach(measure -> absent(measure, reason));
  }

  public Map<String, Estimate> estimates() {
    return estimates;
  }

  public Map<String, Reason> absences() {
    return absences;
  }
}
