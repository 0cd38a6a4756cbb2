package penmirror.core.scoring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Estimate;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.MarkingError;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.scoring.Score.Interval;
import penmirror.core.statistics.Sample;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

/**
 * Whether the interval of nine in ten holds: a made-up hand draws other works again and again, each
 * time a redraw is marked anew, and the interval is asked whether the score that comes out in the
 * middle of all lies in it.
 */
class IntervalTest {
  /** 400 for the figure in docs/scoring.md; fewer in every run. */
  private static final int SIMULATIONS = Integer.getInteger("simulations", 48);

  private static final int WORKS = Integer.getInteger("works", 12);
  private static final double LINE_ERROR = 0.03;

  /**
   * What this hand moves together from work to work.
   *
   * @param heads one standard deviation, each way
   */
  private record Habit(double heads, Landmark... landmarks) {}

  /** In order, so that the same numbers are drawn for each in every run. */
  private static final List<Habit> HABITS =
      List.of(
          new Habit(0.012, Landmark.MOUTH_L, Landmark.MOUTH_R),
          new Habit(0.012, Landmark.NOSE_BASE),
          new Habit(0.05, Landmark.CROTCH),
          new Habit(0.05, Landmark.SHOULDER_L),
          new Habit(0.04, Landmark.WAIST_L),
          new Habit(0.015, Landmark.CHEEK_L),
          new Habit(0.006, Landmark.EYE_L_TOP, Landmark.EYE_R_TOP),
          new Habit(0.02, Landmark.EAR_L_TOP));

  @Test
  void theMiddleScoreLiesInsideNineTimesInTen() {
    List<Score> scores =
        IntStream.range(0, SIMULATIONS)
            .parallel()
            .mapToObj(i -> score(new Random(50_000 + i)))
            .toList();
    Sample points =
        Sample.of(scores.stream().mapToDouble(s -> s.overall().orElseThrow()).toArray());
    List<Interval> intervals = scores.stream().map(s -> s.interval().orElseThrow()).toList();
    double middle = points.median();
    long inside = intervals.stream().filter(i -> i.low() <= middle && middle <= i.high()).count();
    System.out.printf(
        "interval: %d of %d hold the middle score %.1f; %.1f points wide, scores by %.1f%n",
        inside,
        SIMULATIONS,
        middle,
        intervals.stream().mapToDouble(i -> i.high() - i.low()).average().orElseThrow(),
        points.quantile(0.95) - points.quantile(0.05));
    // So few as are tried in every run leave eight points to either side.
    assertThat(inside / (double) SIMULATIONS).isBetween(0.82, 0.98);
  }

  private static Score score(Random random) {
    StyleSheet sheet = sheet(random);
    Marks marked = markedAnew(redraw(), random);
    double line = 21 * (1 + LINE_ERROR * random.nextGaussian());
    return new Scorer(sheet).score(evidence(marked, line));
  }

  /** A realistic figure with the eyes too high and too tall, and a line too thick. */
  private static Marks redraw() {
    List<Landmark> eyes =
        Canon.realistic().landmarks().keySet().stream()
            .filter(landmark -> landmark.key().startsWith("eye_"))
            .toList();
    return Canon.realistic()
        .moved(eyes, p -> p.plus(new Point(0, -7)))
        .moved(List.of(Landmark.EYE_L_TOP, Landmark.EYE_R_TOP), p -> p.plus(new Point(0, -2)));
  }

  private static StyleSheet sheet(Random random) {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < WORKS; i++) {
      Marks marks = Canon.realistic();
      double head = marks.headFrame().orElseThrow().headPixels();
      for (Habit habit : HABITS) {
        double by = head * habit.heads() * random.nextGaussian();
        double across = head * habit.heads() * random.nextGaussian();
        marks = marks.moved(List.of(habit.landmarks()), p -> p.plus(new Point(across, by)));
      }
      double line = 18 * Math.exp(0.1 * random.nextGaussian());
      works.add(
          MeasuredWork.of("" + i, "Work " + i, "", evidence(markedAnew(marks, random), line)));
    }
    return StyleSheet.of("Made up", View.FRONT, works);
  }

  /** As somebody else would mark it, each point off by its own error. */
  private static Marks markedAnew(Marks marks, Random random) {
    double head = marks.headFrame().orElseThrow().headPixels();
    Marks shaken = marks;
    for (Landmark landmark : Landmark.values()) {
      double error = head * MarkingError.SHIPPED.of(landmark, Mark.State.PLACED);
      Point step = new Point(error * random.nextGaussian(), error * random.nextGaussian());
      if (marks.point(landmark).isPresent()) {
        shaken = shaken.moved(List.of(landmark), p -> p.plus(step));
      }
    }
    return shaken;
  }

  /**
   * @param line thousandths of a head
   */
  private static Evidence evidence(Marks marks, double line) {
    double pixels = line * marks.headFrame().orElseThrow().headPixels() / 1000;
    Map<String, Estimate> estimates = new HashMap<>();
    estimates.put(LineMeasures.WIDTH.key(), Estimate.of(pixels, LINE_ERROR * pixels));
    estimates.put(ShadeMeasures.VALUE_RANGE.key(), Estimate.withoutError(0.7));
    return new Evidence(
        marks,
        Optional.of(
            new PixelReadings(
                1, 600, 1700, 250_000, estimates, Map.of(), List.of(), List.of(), List.of())));
  }
}
