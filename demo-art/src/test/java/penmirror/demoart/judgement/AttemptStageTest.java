package penmirror.demoart.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import penmirror.core.act.ActGroup;
import penmirror.core.figure.View;
import penmirror.core.measure.PixelReadings;
import penmirror.core.scoring.AttemptStage;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.StyleSheet;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Palette;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Role;
import penmirror.demoart.reading.DemoRead;
import penmirror.demoart.reading.DemoRead.Seen;
import penmirror.demoart.studio.Commission;

/** How far a drawing has come, told from the picture, and what is not asked of it then. */
class AttemptStageTest {
  static Stream<DemoScores.Hand> hands() {
    return DemoScores.HANDS.stream();
  }

  @ParameterizedTest
  @MethodSource("hands")
  void aFinishedAttemptIsTakenForOne(DemoScores.Hand hand) {
    for (Seen attempt : hand.attempts()) {
      assertThat(AttemptStage.seenIn(pixels(attempt), hand.plain()))
          .as(attempt.file())
          .isEqualTo(AttemptStage.FINISHED);
    }
  }

  /** Casimir fills and shades nothing: without it his figures are as finished as before. */
  @Test
  void whatTheWorksDoNotHaveIsNotMissed() {
    DemoScores.Hand casimir = DemoScores.HANDS.get(1);
    Commission last = casimir.attempts().get(3).commission();
    Seen bare = DemoRead.read(with(last, unshaded(last.manner()), blank(last.palette())));
    assertThat(AttemptStage.seenIn(pixels(bare), casimir.plain())).isEqualTo(AttemptStage.FINISHED);
  }

  static Stream<DemoScores.Hand> fillingHands() {
    return Stream.of(DemoScores.HANDS.get(0), DemoScores.HANDS.get(2));
  }

  @ParameterizedTest
  @MethodSource("fillingHands")
  void withoutColourItIsLineAndNobodyAsksForColour(DemoScores.Hand hand) {
    Commission last = hand.attempts().get(3).commission();
    Seen line = DemoRead.read(with(last, unshaded(last.manner()), blank(last.palette())));
    assertThat(AttemptStage.seenIn(pixels(line), hand.plain())).isEqualTo(AttemptStage.LINE);

    Score asFinished = hand.plainScorer().score(line.evidence());
    Score asLine = new Scorer(asked(hand, AttemptStage.LINE)).score(line.evidence());
    assertThat(asLine.byRules().orElseThrow()).isGreaterThan(asFinished.byRules().orElseThrow());
    assertThat(asLine.acts())
        .isNotEmpty()
        .noneMatch(act -> act.act().group() == ActGroup.COLOUR)
        .noneMatch(act -> act.act().group() == ActGroup.SHADE);
  }

  /**
   * Of Ines it is not told: her soft edge reads as shade on half of the areas at no reach at all.
   */
  @Test
  void withoutShadowItIsFlats() {
    DemoScores.Hand hand = DemoScores.HANDS.get(0);
    Commission last = hand.attempts().get(3).commission();
    Seen flats = DemoRead.read(with(last, unshaded(last.manner()), last.palette()));
    AttemptStage seen = AttemptStage.seenIn(pixels(flats), hand.plain());
    Score score = new Scorer(asked(hand, seen)).score(flats.evidence());
    assertThat(seen).isEqualTo(AttemptStage.FLATS);
    assertThat(score.acts()).noneMatch(act -> act.act().group() == ActGroup.SHADE);
    assertThat(score.acts()).anyMatch(act -> act.act().group() == ActGroup.COLOUR);
  }

  private static StyleSheet asked(DemoScores.Hand hand, AttemptStage stage) {
    return StyleSheet.of(
        hand.name(),
        View.FRONT,
        hand.works().stream().map(w -> w.work().without(m -> !stage.canShow(m))).toList());
  }

  private static PixelReadings pixels(Seen seen) {
    return seen.evidence().pixels().orElseThrow();
  }

  private static Manner unshaded(Manner manner) {
    return manner.with(
        "not yet shaded", Map.of(Parameter.SHADE_REACH, 0.0, Parameter.LIGHT_REACH, 0.0));
  }

  private static Palette blank(Palette palette) {
    Palette blank = palette;
    for (Role role : Role.values()) {
      if (role != Role.INK && role != Role.PAPER) {
        blank = blank.with(role, palette.of(Role.PAPER));
      }
    }
    return blank;
  }

  private static Commission with(Commission of, Manner manner, Palette palette) {
    return new Commission(
        "stage.png",
        "Not yet finished",
        manner,
        of.subject(),
        palette,
        of.pose(),
        of.view(),
        of.cut(),
        of.mood(),
        of.mirrored(),
        of.seed(),
        List.of());
  }
}
