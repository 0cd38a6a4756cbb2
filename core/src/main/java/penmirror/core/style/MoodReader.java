package penmirror.core.style;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.figure.Mood;
import penmirror.core.measure.Measure;
import penmirror.core.statistics.Sample;

/**
 * Tells moods from marks: each face is held against how the same hand draws calm, and the mood
 * whose shifts fit best is told with its chance. Where a look at the face alone gave chances, they
 * count beside.
 *
 * <p>The calm face of a hand is found with the moods: first the middle of all its works, then the
 * middle once each is brought back by the mood it seems to show.
 */
public final class MoodReader {
  /** Fewer readings than this could be any mood. */
  private static final int LEAST_READINGS = 3;

  /** With fewer works than this nobody knows what calm is by this hand. */
  private static final int LEAST_WORKS = 3;

  private static final int ROUNDS = 4;

  /**
   * What marks say beside a look at the face: readings of one face hang together, so that their
   * odds are too high. Set on made-up hands, docs/first-sight.md.
   */
  private static final double MARKS_BESIDE_A_LOOK = 0.3;

  /** However sure a look is, it may be wrong this often. */
  private static final double LEAST_CHANCE = 0.01;

  /** From this chance on a mood is told. */
  private static final double SURE = 0.5;

  private final Map<Measure, Double> calm;

  private MoodReader(Map<Measure, Double> calm) {
    this.calm = Map.copyOf(calm);
  }

  /**
   * @param chance that it is this one of the seven, all of which are equally likely before, (0, 1]
   */
  public record Guess(Mood mood, double chance) {}

  /**
   * Learns how a hand draws calm from its works; moods that are said are believed, others sought.
   */
  public static MoodReader of(List<MeasuredWork> works) {
    return of(works, Map.of());
  }

  /**
   * @param faces what a look at the face says of some of the works, by their ids: the chance of
   *     each mood
   */
  public static MoodReader of(List<MeasuredWork> works, Map<String, Map<Mood, Double>> faces) {
    if (works.size() < LEAST_WORKS) {
      return new MoodReader(Map.of());
    }
    MoodReader reader = new MoodReader(calmOf(works, Map.of()));
    for (int round = 0; round < ROUNDS; round++) {
      Map<String, Mood> moods = new HashMap<>();
      for (MeasuredWork work : works) {
        Optional<Mood> found =
            reader.read(work.values(), faces.getOrDefault(work.id(), Map.of())).map(Guess::mood);
        work.shows().mood().or(() -> found).ifPresent(mood -> moods.put(work.id(), mood));
      }
      reader = new MoodReader(calmOf(works, moods));
    }
    return reader;
  }

  private static Map<Measure, Double> calmOf(List<MeasuredWork> works, Map<String, Mood> moods) {
    Map<Measure, Double> calm = new HashMap<>();
    for (Measure measure : MoodShifts.measures()) {
      List<Double> scaled = new ArrayList<>();
      for (MeasuredWork work : works) {
        Double value = work.values().get(measure);
        if (value != null) {
          double shift =
              Optional.ofNullable(moods.get(work.id()))
                  .map(mood -> MoodShifts.of(measure, mood).middle())
                  .orElse(0.0);
          scaled.add(measure.scale().toScale(value) - shift);
        }
      }
      if (!scaled.isEmpty()) {
        calm.put(
            measure,
            Sample.of(scaled.stream().mapToDouble(Double::doubleValue).toArray()).median());
      }
    }
    return calm;
  }

  /** The mood that fits best, however little; empty where too little is read. */
  public Optional<Guess> read(Map<Measure, Double> values) {
    return read(values, Map.of());
  }

  /**
   * @param face the chance of each mood by a look at the face; empty where there was none
   */
  public Optional<Guess> read(Map<Measure, Double> values, Map<Mood, Double> face) {
    double[] likelihoods = new double[Mood.values().length];
    int readings = 0;
    for (Measure measure : MoodShifts.measures()) {
      Double value = values.get(measure);
      Double usual = calm.get(measure);
      if (value != null && usual != null) {
        readings++;
        for (Mood mood : Mood.values()) {
          MoodShifts.Shift shift = MoodShifts.of(measure, mood);
          double deviation = Math.hypot(shift.spread(), measure.spreadWithinStyle());
          double off = (measure.scale().toScale(value) - usual - shift.middle()) / deviation;
          likelihoods[mood.ordinal()] += -off * off / 2 - Math.log(deviation);
        }
      }
    }
    if (readings < LEAST_READINGS && face.isEmpty()) {
      return Optional.empty();
    }
    face.forEach(
        (mood, chance) ->
            likelihoods[mood.ordinal()] =
                MARKS_BESIDE_A_LOOK * likelihoods[mood.ordinal()]
                    + Math.log(Math.max(LEAST_CHANCE, chance)));
    return Optional.of(best(likelihoods));
  }

  /** The mood where it is likely enough to be told. */
  public Optional<Mood> told(Map<Measure, Double> values) {
    return told(values, Map.of());
  }

  /**
   * @param face as for {@link #read(Map, Map)}
   */
  public Optional<Mood> told(Map<Measure, Double> values, Map<Mood, Double> face) {
    return read(values, face).filter(guess -> guess.chance() >= SURE).map(Guess::mood);
  }

  private static Guess best(double[] likelihoods) {
    int best = 0;
    for (int i = 1; i < likelihoods.length; i++) {
      if (likelihoods[i] > likelihoods[best]) {
        best = i;
      }
    }
    double sum = 0;
    for (double likelihood : likelihoods) {
      sum += Math.exp(likelihood - likelihoods[best]);
    }
    return new Guess(Mood.values()[best], 1 / sum);
  }
}
