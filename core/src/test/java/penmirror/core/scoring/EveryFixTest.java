package penmirror.core.scoring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureCatalogue;
import penmirror.core.measure.proportion.StatureConvention;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;

/** Each move undoes the slip it is for, in either direction, and leaves small ones alone. */
class EveryFixTest {

  @ParameterizedTest
  @EnumSource(Adjustment.class)
  void aSlipEitherWayIsTakenBack(Adjustment adjustment) {
    for (int direction : new int[] {1, -1}) {
      Marks slipped = slip(adjustment, direction * 3.0);
      Score score = score(adjustment, slipped);
      Fix fix =
          score.fixes().stream()
              .filter(f -> f.part() == adjustment.part())
              .findFirst()
              .orElseThrow(() -> new AssertionError(adjustment + " has no fix"));
      Marks corrected = slipped;
      for (Fix.Move move : fix.moves()) {
        corrected =
            corrected.moved(
                List.of(move.landmark()),
                p -> p.plus(new penmirror.core.geometry.Point(move.dxPixels(), move.dyPixels())));
      }
      Rule rule = sheet(adjustment).rule(adjustment.measure()).orElseThrow();
      assertThat(rule.z(adjustment.measure().valueOf(corrected).orElseThrow()))
          .as("%s by %d", adjustment, direction)
          .isCloseTo(0, offset(0.01));
      assertThat(fix.pointsGained()).isPositive();
      assertThat(fix.instruction()).matches("[A-Z].*").doesNotContain("{");
      assertThat(fix.why()).contains("rule").doesNotContain("{");
    }
  }

  @ParameterizedTest
  @EnumSource(Adjustment.class)
  void insideTheBandNothingIsAskedFor(Adjustment adjustment) {
    Score score = score(adjustment, slip(adjustment, 0.8));
    assertThat(score.fixes())
        .noneMatch(fix -> fix.rules().stream().anyMatch(r -> r.measure() == adjustment.measure()));
  }

  /** One tolerance outside the band is worth half: that is what a fix of this rule alone wins. */
  @ParameterizedTest
  @EnumSource(Adjustment.class)
  void twoTolerancesOffCostHalfTheRule(Adjustment adjustment) {
    Marks slipped = slip(adjustment, 2);
    RuleScore rule =
        score(adjustment, slipped).rules().stream()
            .filter(r -> r.rule().measure() == adjustment.measure())
            .findFirst()
            .orElseThrow();
    assertThat(rule.z().orElseThrow()).isCloseTo(2, offset(1e-6));
    assertThat(rule.credit().orElseThrow()).isCloseTo(0.5, offset(1e-6));
    assertThat(rule.misses()).isTrue();
  }

  @Test
  void everyMarkedMeasureHasItsMove() {
    List<Measure> moved = new ArrayList<>();
    for (Adjustment adjustment : Adjustment.values()) {
      moved.add(adjustment.measure());
    }
    List<Measure> marked =
        MeasureCatalogue.all().stream()
            .filter(measure -> !measure.isFromPixels() && measure.isScored())
            .toList();
    assertThat(moved).containsExactlyInAnyOrderElementsOf(marked);
  }

  @Test
  void anUnreachableTargetHasNoAmount() {
    Marks oneEye =
        Canon.realistic()
            .with(penmirror.core.figure.Landmark.CROWN, penmirror.core.figure.Mark.hidden());
    assertThat(Adjustment.EYE_HEIGHT.amountFor(oneEye, 0.5)).isEmpty();
  }

  /** The marks of the canon with one measure moved so many tolerances off its rule. */
  private static Marks slip(Adjustment adjustment, double tolerances) {
    Rule rule = sheet(adjustment).rule(adjustment.measure()).orElseThrow();
    double target =
        adjustment.measure().scale().toScale(rule.centre()) + tolerances * rule.tolerance();
    double amount = adjustment.amountFor(Canon.realistic(), target).orElseThrow();
    return adjustment.apply(Canon.realistic(), amount);
  }

  private static Score score(Adjustment adjustment, Marks marks) {
    return new Scorer(sheet(adjustment)).score(new Evidence(marks, Optional.empty()));
  }

  /** Counted as the adjustment's measure counts, where it is a figure height. */
  private static StyleSheet sheet(Adjustment adjustment) {
    StatureConvention convention =
        Arrays.stream(StatureConvention.values())
            .filter(c -> c.measure() == adjustment.measure())
            .findFirst()
            .orElse(StatureConvention.STRAIGHT_FROM_CROWN);
    MeasuredWork work =
        MeasuredWork.of(
            "1", "The adult", "", new Evidence(Canon.realistic(), Optional.empty()), convention);
    return StyleSheet.of("The adult", View.FRONT, List.of(work, work, work));
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
