package penmirror.core.scoring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import penmirror.core.act.Act;
import penmirror.core.measure.Measure;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;

/**
 * How far a hand has gone from its own way of drawing to a style's, in one act. Only what the own
 * drawing has outside the style's bands has a way to go.
 *
 * @param share 0 where it stands as before, 1 inside the band, above 1 where it went past it, below
 *     0 where it went away from it; from −1 to 2
 * @param weight of the act, for a mean over acts
 */
public record Way(Act act, double share, double weight) {
  private static final double MOST = 1;

  /**
   * Those of all acts that can be told, heaviest first; none where nothing was off, or where the
   * two have no reading in common.
   *
   * @param from readings of the own drawing, in the unit of each measure
   * @param to readings of the redraw
   */
  public static List<Way> of(StyleSheet sheet, Map<Measure, Double> from, Map<Measure, Double> to) {
    List<Way> ways = new ArrayList<>();
    for (Act act : sheet.acts()) {
      double sum = 0;
      double weights = 0;
      double heaviest = 0;
      for (Rule rule : sheet.rules(act)) {
        Double was = from.get(rule.measure());
        Double is = to.get(rule.measure());
        if (rule.isScored() && was != null && is != null && Math.abs(rule.z(was)) > 1) {
          sum += rule.weight() * share(rule.z(was), rule.z(is));
          weights += rule.weight();
          heaviest = Math.max(heaviest, rule.weight());
        }
      }
      if (weights > 0) {
        ways.add(new Way(act, sum / weights, heaviest));
      }
    }
    ways.sort(Comparator.comparingDouble(way -> -way.weight()));
    return ways;
  }

  /** Mean over acts by their weights; empty without any. What went past counts as arrived. */
  public static OptionalDouble whole(List<Way> ways) {
    double weights = ways.stream().mapToDouble(Way::weight).sum();
    return weights > 0
        ? OptionalDouble.of(
            ways.stream().mapToDouble(way -> way.weight() * Math.min(1, way.share())).sum()
                / weights)
        : OptionalDouble.empty();
  }

  /** By how far both lie outside the band. */
  private static double share(double was, double is) {
    double before = Math.abs(was) - 1;
    double after = Math.max(0, Math.abs(is) - 1);
    boolean isPast = Math.signum(was) != Math.signum(is);
    double left = Math.max(-MOST, Math.min(2 * MOST, after / before));
    return isPast ? 1 + Math.min(MOST, left) : 1 - left;
  }
}
