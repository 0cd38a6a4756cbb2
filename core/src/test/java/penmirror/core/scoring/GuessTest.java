package penmirror.core.scoring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.View;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

/** Proportions judged by eye. */
class GuessTest {
  private static StyleSheet eyesAt(double... heights) {
    List<MeasuredWork> works =
        Arrays.stream(heights)
            .mapToObj(
                y ->
                    new MeasuredWork(
                        "w" + y, "", "", View.FRONT, Map.of(FaceMeasures.EYE_LINE, y), List.of()))
            .toList();
    return StyleSheet.of("A hand", View.FRONT, works);
  }

  private static Guess eyes(double said, double is) {
    return new Guess(FaceMeasures.EYE_LINE, said, is);
  }

  @Test
  void whatIsAskedAfterBeginsAtARealisticAdult() {
    assertThat(Guess.all()).hasSizeGreaterThan(5);
    for (Guess.Asked asked : Guess.all()) {
      assertThat(asked.usual()).as(asked.measure().key()).isBetween(asked.least(), asked.most());
      assertThat(Guess.asked(asked.measure().key())).contains(asked);
    }
    assertThat(Guess.asked("eye.line").orElseThrow().usual()).isCloseTo(0.5, offset(1e-9));
    assertThat(Guess.asked("no.such")).isEmpty();
  }

  /** In tolerances of the rule from what is, not from its middle. */
  @Test
  void itIsHeldAgainstTheWorkItself() {
    StyleSheet sheet = eyesAt(0.5, 0.52, 0.54, 0.56, 0.58);
    var rule = sheet.rule(FaceMeasures.EYE_LINE);
    assertThat(eyes(0.58, 0.58).z(rule)).isZero();
    assertThat(eyes(0.50, 0.58).z(rule)).isNegative();
    double tolerance = rule.orElseThrow().high() - rule.orElseThrow().centre();
    assertThat(eyes(0.5 + tolerance, 0.5).z(rule)).isCloseTo(1, offset(0.05));
    assertThat(eyes(0.44, 0.40).z(Optional.empty())).isCloseTo(1, offset(1e-9));
  }

  @Test
  void whatIsTakenTooHighAgainAndAgainIsAHabit() {
    StyleSheet sheet = eyesAt(0.5, 0.52, 0.54, 0.56, 0.58);
    List<Habit> habits =
        Habit.ofGuesses(
            sheet, List.of(eyes(0.2, 0.55), eyes(0.25, 0.5), eyes(0.55, 0.55), eyes(0.2, 0.52)));
    assertThat(habits).hasSize(1);
    assertThat(habits.get(0).times()).isEqualTo(3);
    assertThat(habits.get(0).of()).isEqualTo(4);
    assertThat(habits.get(0).z()).as("a line too far up").isNegative();
    // To both sides alike it is none, nor once.
    assertThat(Habit.ofGuesses(sheet, List.of(eyes(0.2, 0.55), eyes(0.9, 0.5)))).isEmpty();
    assertThat(Habit.ofGuesses(sheet, List.of(eyes(0.2, 0.55)))).isEmpty();
    assertThat(Habit.ofGuesses(sheet, List.of())).isEmpty();
  }
}
