package penmirror.core.measure.proportion;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Measure.Comparison;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/**
 * A ratio that the user adds: the distance between two landmarks by that between two others. It is
 * measured, ruled and scored as those of the catalogue are, and belongs to the studies that have
 * it.
 */
public record FreePair(Landmark from, Landmark to, Landmark byFrom, Landmark byTo) {
  private static final Pattern KEY =
      Pattern.compile("pair\\.([a-z_]+)-([a-z_]+)\\.([a-z_]+)-([a-z_]+)");

  /** No file can fill the memory with them: there are twenty million. */
  private static final int MOST_IN_FILES = 10_000;

  /** One measure for each, for measures are told apart by what they are and not by their keys. */
  private static final Map<FreePair, Measure> MEASURES = new ConcurrentHashMap<>();

  /**
   * @throws IllegalArgumentException where a distance is between a point and itself, or both are
   *     the same
   */
  public FreePair {
    if (from == to || byFrom == byTo) {
      throw new IllegalArgumentException("A distance lies between two points.");
    }
    if (List.of(from, to).containsAll(List.of(byFrom, byTo))) {
      throw new IllegalArgumentException("A distance by itself is always one.");
    }
  }

  /** As files name it, such as {@code pair.crown-chin.shoulder_l-shoulder_r}. */
  public String key() {
    return "pair." + from.key() + "-" + to.key() + "." + byFrom.key() + "-" + byTo.key();
  }

  /** Empty for what is no such key, or one that makes no sense. */
  public static Optional<FreePair> ofKey(String key) {
    Matcher matcher = KEY.matcher(key);
    if (!matcher.matches()) {
      return Optional.empty();
    }
    List<Landmark> points =
        Stream.of(1, 2, 3, 4).flatMap(i -> Landmark.ofKey(matcher.group(i)).stream()).toList();
    try {
      return points.size() < 4
          ? Optional.empty()
          : Optional.of(new FreePair(points.get(0), points.get(1), points.get(2), points.get(3)));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** The pair that a measure is of; empty for those of the catalogue. */
  public static Optional<FreePair> of(Measure measure) {
    return measure.key().startsWith("pair.") ? ofKey(measure.key()) : Optional.empty();
  }

  /** The measure a file names; empty for what is no such key, and beyond so many different ones. */
  public static Optional<Measure> measureOfKey(String key) {
    return ofKey(key)
        .filter(pair -> MEASURES.containsKey(pair) || MEASURES.size() < MOST_IN_FILES)
        .map(FreePair::measure);
  }

  /** What is measured; always the same one. */
  public Measure measure() {
    return MEASURES.computeIfAbsent(this, FreePair::made);
  }

  /** Held as tightly as the widths of the catalogue are. */
  private static Measure made(FreePair pair) {
    return Measure.of(pair.key(), MeasureGroup.PROPORTION, Unit.RATIO)
        .formula(
            "distance of the first two points / distance of the other two",
            marks ->
                Measure.ratio(
                    marks.distance(pair.from, pair.to), marks.distance(pair.byFrom, pair.byTo)))
        .needs(pair.from, pair.to, pair.byFrom, pair.byTo)
        .validIn(View.FRONT, View.THREE_QUARTER, View.SIDE, View.BACK)
        .comparedBy(Scale.LOG, Comparison.SAME_VIEW)
        .spreads(0.02, 0.06, 0.25)
        .source("the user's own; spreads from memory")
        .build();
  }
}
