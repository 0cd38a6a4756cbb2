package penmirror.core.scoring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.measure.Measure;
import penmirror.core.statistics.Sample;
import penmirror.core.style.StyleSheet;

/**
 * What a hand or an eye does off to the same side again and again, over its attempts at one style.
 *
 * @param measure the reading that tells it
 * @param z median over the attempts that miss, in tolerances, signed
 * @param weight of the act in a score
 * @param times how many of the attempts miss it to that side, 2 or more
 * @param of how many attempts it was read on
 */
public record Habit(Act act, Measure measure, double z, double weight, int times, int of) {

  /** Older attempts say how one drew then. */
  public static final int MOST_ATTEMPTS = 4;

  private static final int FEWEST_TIMES = 2;

  /** Farther off, in tolerances, it costs no more. */
  private static final double FAR_OFF = 4;

  /** More often than not. */
  private static final double MOSTLY = 0.5;

  /** An attempt's lead reading of an act, and how far off it is. */
  private record Seen(Act act, Measure measure, double z, double weight) {}

  /**
   * Those of the newest attempts, what costs most first; one an act.
   *
   * @param attempts oldest first
   */
  public static List<Habit> of(List<Score> attempts) {
    List<Score> newest =
        attempts.subList(Math.max(0, attempts.size() - MOST_ATTEMPTS), attempts.size());
    Map<String, List<Seen>> byAct = new TreeMap<>();
    for (Score attempt : newest) {
      for (ActScore act : attempt.measured()) {
        seen(act)
            .ifPresent(
                seen -> byAct.computeIfAbsent(act.act().key(), k -> new ArrayList<>()).add(seen));
      }
    }
    return byAct.values().stream()
        .flatMap(seen -> habit(seen).stream())
        .sorted(Comparator.comparingDouble(Habit::order))
        .toList();
  }

  /**
   * Those of the eye: what it takes for too much or too little again and again.
   *
   * @param sheet by whose rules it is told how far off is far
   * @param guesses oldest first
   */
  public static List<Habit> ofGuesses(StyleSheet sheet, List<Guess> guesses) {
    Map<String, List<Seen>> byMeasure = new TreeMap<>();
    for (Guess guess : guesses) {
      Acts.of(guess.measure())
          .ifPresent(
              act ->
                  byMeasure
                      .computeIfAbsent(guess.measure().key(), k -> new ArrayList<>())
                      .add(
                          new Seen(act, guess.measure(), guess.z(sheet.rule(guess.measure())), 1)));
    }
    return byMeasure.values().stream()
        .flatMap(seen -> habit(seen).stream())
        .sorted(Comparator.comparingDouble(Habit::order))
        .toList();
  }

  /** What matters, is far off and happens often comes first. */
  private double order() {
    return -weight * Math.min(FAR_OFF, Math.abs(z)) * times;
  }

  /** The reading farthest off, or that which leads the act where all lie inside. */
  private static Optional<Seen> seen(ActScore act) {
    return act.worst()
        .or(() -> act.rules().stream().filter(rule -> rule.z().isPresent()).findFirst())
        .flatMap(
            rule -> rule.z().map(z -> new Seen(act.act(), rule.rule().measure(), z, act.weight())));
  }

  private static Optional<Habit> habit(List<Seen> seen) {
    List<Seen> high = seen.stream().filter(of -> of.z() > 1).toList();
    List<Seen> low = seen.stream().filter(of -> of.z() < -1).toList();
    List<Seen> side = high.size() >= low.size() ? high : low;
    if (side.size() < FEWEST_TIMES || side.size() <= MOSTLY * seen.size()) {
      return Optional.empty();
    }
    Seen last = side.get(side.size() - 1);
    double z = Sample.of(side.stream().mapToDouble(Seen::z).toArray()).median();
    return Optional.of(
        new Habit(last.act(), last.measure(), z, last.weight(), side.size(), seen.size()));
  }
}
