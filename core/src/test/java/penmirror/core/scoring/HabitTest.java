package penmirror.core.scoring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.move.Move;
import penmirror.core.move.MoveSolver;
import penmirror.core.move.Moves;
import penmirror.core.move.Solution;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.HabitWords;

/** Attempts at the realistic adult with the eyes so many tolerances too low or too high. */
class HabitTest {
  private static final MeasuredWork ADULT =
      MeasuredWork.of("1", "The adult", "", new Evidence(Canon.realistic(), Optional.empty()));
  private static final StyleSheet SHEET =
      StyleSheet.of("The adult", View.FRONT, List.of(ADULT, ADULT, ADULT));
  private static final Scorer SCORER = new Scorer(SHEET);

  private static Score attempt(double tolerances) {
    Move move =
        Moves.all().stream()
            .filter(of -> of.measure() == FaceMeasures.EYE_LINE)
            .findFirst()
            .orElseThrow();
    Rule rule = SHEET.rule(FaceMeasures.EYE_LINE).orElseThrow();
    double target = move.measure().scale().toScale(rule.centre()) + tolerances * rule.tolerance();
    Solution.Reached solution =
        (Solution.Reached) MoveSolver.solve(move, Canon.realistic(), target);
    Marks drawn = move.apply(Canon.realistic(), solution.amount());
    return SCORER.score(new Evidence(drawn, Optional.empty()));
  }

  private static Optional<Habit> eyes(double... attempts) {
    return Habit.of(DoubleStream.of(attempts).mapToObj(HabitTest::attempt).toList()).stream()
        .filter(habit -> habit.act().key().equals("eye-height"))
        .findFirst();
  }

  @Test
  void whatIsOffToTheSameSideIsAHabit() {
    Habit habit = eyes(2, 3, 0).orElseThrow();
    assertThat(habit.times()).isEqualTo(2);
    assertThat(habit.of()).isEqualTo(3);
    assertThat(habit.z()).isBetween(2.0, 3.0);
    assertThat(HabitWords.miss(habit)).matches("Eyes .*low");
    assertThat(HabitWords.times(habit)).isEqualTo("2 of 3");
    assertThat(HabitWords.miss(eyes(-4, -4).orElseThrow())).contains("high");
  }

  @Test
  void onceIsNoneAndBothSidesAreNone() {
    assertThat(eyes(3)).isEmpty();
    assertThat(eyes(3, 0, 0)).isEmpty();
    assertThat(eyes(3, -3)).isEmpty();
    assertThat(eyes(3, -3, 3, -3)).isEmpty();
    assertThat(eyes(0.5, 0.9, 0.8)).isEmpty();
  }

  /** What one did long ago and does no more is no habit. */
  @Test
  void onlyTheNewestAttemptsCount() {
    assertThat(eyes(4, 4, 0, 0, 0, 0)).isEmpty();
    assertThat(eyes(0, 0, 0, 4, 4, 4)).isPresent();
  }

  @Test
  void whatMattersAndIsFarOffComesFirst() {
    List<Habit> habits = Habit.of(List.of(attempt(4), attempt(4)));
    assertThat(habits).hasSizeGreaterThan(1);
    List<Double> costs = new ArrayList<>();
    habits.forEach(
        habit -> costs.add(-habit.weight() * Math.min(4, Math.abs(habit.z())) * habit.times()));
    assertThat(costs).isSorted();
    assertThat(Habit.of(List.of())).isEmpty();
  }
}
