package penmirror.core.scoring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import penmirror.core.act.Acts;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.move.Move;
import penmirror.core.move.MoveSolver;
import penmirror.core.move.Solution;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.FixWords;

/** Each move undoes the slip it is for, in either direction, and leaves small ones alone. */
class EveryFixTest {
  /** What a sheet makes is made once for all moves that count alike and are seen from one side. */
  private static final Map<Asked, Scorer> SCORERS = new ConcurrentHashMap<>();

  private record Asked(StatureConvention convention, View view) {}

  @ParameterizedTest
  @MethodSource("penmirror.core.move.Moves#all")
  void aSlipEitherWayIsTakenBack(Move move) {
    for (int direction : new int[] {1, -1}) {
      Marks slipped = slip(move, direction * 3.0);
      Score score = score(move, slipped);
      Fix fix =
          score.fixes().stream()
              .filter(f -> f.act().equals(Acts.of(move.measure()).orElseThrow()))
              .findFirst()
              .orElseThrow(() -> new AssertionError(move + " has no fix"));
      Marks corrected = slipped;
      for (Move.Step step : fix.steps()) {
        corrected =
            corrected.moved(
                List.of(step.landmark()), p -> p.plus(new Point(step.dxPixels(), step.dyPixels())));
      }
      Rule rule = sheet(move).rule(move.measure()).orElseThrow();
      assertThat(rule.z(move.measure().valueOf(corrected).orElseThrow()))
          .as("%s by %d", move, direction)
          .isCloseTo(0, offset(0.01));
      assertThat(fix.pointsGained()).isPositive();
      assertThat(FixWords.instruction(fix)).matches("[A-Z].*").doesNotContain("{");
      assertThat(FixWords.why(fix)).contains("now").doesNotContain("{");
    }
  }

  @ParameterizedTest
  @MethodSource("penmirror.core.move.Moves#all")
  void insideTheBandNothingIsAskedFor(Move move) {
    Score score = score(move, slip(move, 0.8));
    assertThat(score.fixes())
        .noneMatch(fix -> fix.rules().stream().anyMatch(r -> r.measure() == move.measure()));
  }

  /** One tolerance outside the band is worth half: that is what a fix of this rule alone wins. */
  @ParameterizedTest
  @MethodSource("penmirror.core.move.Moves#all")
  void twoTolerancesOffCostHalfTheRule(Move move) {
    Marks slipped = slip(move, 2);
    RuleScore rule =
        score(move, slipped).rules().stream()
            .filter(r -> r.rule().measure() == move.measure())
            .findFirst()
            .orElseThrow();
    assertThat(rule.z().orElseThrow()).isCloseTo(2, offset(1e-6));
    assertThat(rule.credit().orElseThrow()).isCloseTo(0.5, offset(1e-6));
    assertThat(rule.misses()).isTrue();
  }

  /** The canon, its head turned for what is read on a turned head alone. */
  private static Marks figure(Move move) {
    return move.measure().views().contains(View.FRONT)
        ? Canon.realistic()
        : Canon.realistic()
            .withView(View.THREE_QUARTER)
            .moved(List.of(Landmark.CHEEK_L), p -> p.plus(new Point(-40, 0)));
  }

  /** The marks of the canon with one measure moved so many tolerances off its rule. */
  private static Marks slip(Move move, double tolerances) {
    Rule rule = sheet(move).rule(move.measure()).orElseThrow();
    double target = move.measure().scale().toScale(rule.centre()) + tolerances * rule.tolerance();
    Solution solution = MoveSolver.solve(move, figure(move), target);
    assertThat(solution).as(move.name()).isInstanceOf(Solution.Reached.class);
    return move.apply(figure(move), ((Solution.Reached) solution).amount());
  }

  private static Score score(Move move, Marks marks) {
    return SCORERS
        .computeIfAbsent(
            new Asked(convention(move), figure(move).view()), key -> new Scorer(sheet(move)))
        .score(new Evidence(marks, Optional.empty()));
  }

  private static StatureConvention convention(Move move) {
    return Arrays.stream(StatureConvention.values())
        .filter(c -> c.measure() == move.measure())
        .findFirst()
        .orElse(StatureConvention.STRAIGHT_FROM_CROWN);
  }

  /** Counted as the move's measure counts, where it is a figure height. */
  private static StyleSheet sheet(Move move) {
    StatureConvention convention = convention(move);
    MeasuredWork work =
        MeasuredWork.of(
            "1", "The adult", "", new Evidence(figure(move), Optional.empty()), convention);
    return StyleSheet.of("The adult", figure(move).view(), List.of(work, work, work));
  }

  @Test
  void worksWithoutReadingsMakeNoScore() {
    StyleSheet empty =
        StyleSheet.of(
            "x",
            View.FRONT,
            List.of(new MeasuredWork("1", "t", "", View.FRONT, Map.of(), List.of())));
    assertThat(new Scorer(empty).score(new Evidence(Canon.realistic(), Optional.empty())).overall())
        .isEmpty();
  }
}
