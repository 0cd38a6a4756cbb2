package penmirror.core.scoring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;

/**
 * How near a picture lies to single works, measure by measure: a style is also the places where its
 * works are, not only their middle.
 *
 * @param work the work that is compared with
 * @param share [0, 1], 1 for a picture with the same readings
 */
public record Nearness(MeasuredWork work, double share) {
  /** How many tolerances count as one step of distance. */
  private static final double STEP = 1.2;

  private static final double FARTHEST = 9;

  /** The works that the picture is held against, as one of them alone may be like it by chance. */
  static final int NEAREST = 2;

  /** Nearness of a picture to every work, nearest first. */
  static List<Nearness> of(StyleSheet sheet, Evidence picture) {
    MeasuredWork read = MeasuredWork.of("", "", "", picture);
    return toWorks(sheet, read.values(), read.notThere());
  }

  /** Nearness to every work with which it shares a reading, nearest first. */
  static List<Nearness> toWorks(
      StyleSheet sheet, Map<Measure, Double> values, Set<Measure> notThere) {
    List<Nearness> all = new ArrayList<>();
    for (MeasuredWork work : sheet.works()) {
      double sum = 0;
      double weights = 0;
      for (Rule rule : sheet.rules()) {
        if (!rule.isScored()) {
          continue;
        }
        Double there = work.values().get(rule.measure());
        Double here = values.get(rule.measure());
        boolean absentHere = notThere.contains(rule.measure());
        if (there != null && (here != null || absentHere)) {
          weights += rule.weight();
          sum += here == null ? 0 : rule.weight() * likeness(rule, here, there);
        }
      }
      if (weights > 0) {
        all.add(new Nearness(work, sum / weights));
      }
    }
    all.sort(Comparator.comparingDouble(nearness -> -nearness.share()));
    return all;
  }

  private static double likeness(Rule rule, double here, double there) {
    double apart = Math.abs(rule.measure().scale().difference(here, there)) / rule.tolerance();
    double steps = Math.min(apart / STEP, FARTHEST);
    return Math.exp(-0.5 * steps * steps);
  }

  /** Mean over the nearest works; empty without any. */
  static OptionalDouble ofNearest(List<Nearness> all) {
    return all.stream().limit(NEAREST).mapToDouble(Nearness::share).average();
  }
}
