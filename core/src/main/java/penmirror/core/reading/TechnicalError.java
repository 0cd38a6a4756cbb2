package penmirror.core.reading;

import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.measure.MarkingError;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Scale;

/**
 * How far a hand marks a second time from where it marked first: the technical error of
 * measurement, √(Σ d² / 2n) over n figures marked twice, as the handbooks of anthropometry give it.
 *
 * @param heads by landmark; d is the distance between the two places, in heads of the first marking
 * @param scaled by measure; d is the difference of the two readings, in the scale of the measure
 * @param figures marked twice
 */
public record TechnicalError(
    Map<Landmark, Double> heads, Map<Measure, Double> scaled, int figures) {

  /** Fewer figures than this say too little to hold a rule to. */
  public static final int ENOUGH_FIGURES = 3;

  /** One figure marked twice. */
  public record Pair(Marks first, Marks second) {}

  public TechnicalError {
    heads = Collections.unmodifiableMap(new LinkedHashMap<>(heads));
    scaled = Collections.unmodifiableMap(new LinkedHashMap<>(scaled));
  }

  /** Over any number of figures, none included: then nothing is known. */
  public static TechnicalError of(List<Pair> pairs) {
    Map<Landmark, double[]> places = new EnumMap<>(Landmark.class);
    Map<Measure, double[]> values = new LinkedHashMap<>();
    for (Pair pair : pairs) {
      Optional<HeadFrame> head = pair.first().headFrame();
      if (head.isEmpty()) {
        continue;
      }
      for (Landmark landmark : pair.first().landmarks().keySet()) {
        Optional<Point> one = pair.first().point(landmark);
        Optional<Point> other = pair.second().point(landmark);
        if (one.isPresent() && other.isPresent()) {
          add(places, landmark, one.get().distanceTo(other.get()) / head.get().headPixels());
        }
      }
      for (Measure measure : MeasureCatalogue.all()) {
        OptionalDouble one = measure.valueOf(pair.first());
        OptionalDouble other = measure.valueOf(pair.second());
        if (one.isPresent() && other.isPresent()) {
          Scale scale = measure.scale();
          add(
              values,
              measure,
              scale.toScale(one.getAsDouble()) - scale.toScale(other.getAsDouble()));
        }
      }
    }
    Map<Landmark, Double> heads = new EnumMap<>(Landmark.class);
    places.forEach((landmark, sum) -> heads.put(landmark, error(sum)));
    Map<Measure, Double> scaled = new LinkedHashMap<>();
    values.forEach((measure, sum) -> scaled.put(measure, error(sum)));
    return new TechnicalError(heads, scaled, pairs.size());
  }

  /** Whether it is known well enough to be a floor of tolerances. */
  public boolean isEnough() {
    return figures >= ENOUGH_FIGURES;
  }

  /** Along either axis, for carrying into readings; the shipped ones where too little is known. */
  public MarkingError markingError() {
    if (!isEnough()) {
      return MarkingError.SHIPPED;
    }
    Map<Landmark, Double> errors = new EnumMap<>(MarkingError.SHIPPED.heads());
    heads.forEach(
        (landmark, error) -> {
          if (error > 0) {
            errors.put(landmark, error / Math.sqrt(2));
          }
        });
    return new MarkingError(errors);
  }

  private static <K> void add(Map<K, double[]> sums, K key, double difference) {
    double[] sum = sums.computeIfAbsent(key, k -> new double[2]);
    sum[0]++;
    sum[1] += difference * difference;
  }

  private static double error(double[] sum) {
    return Math.sqrt(sum[1] / (2 * sum[0]));
  }
}
