package penmirror.core.coverage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.coverage.PickFinder.Candidate;
import penmirror.core.coverage.PickFinder.Case;
import penmirror.core.coverage.PickFinder.Pick;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;

class PickFinderTest {
  private static final Case IN_HAND =
      new Case(
          View.THREE_QUARTER,
          Optional.of(Turn.LEFT),
          OptionalInt.of(45),
          Optional.of(Framing.BUST));

  @Test
  void theNearestCaseComesFirst() {
    List<Pick> picks =
        PickFinder.nearest(
            IN_HAND,
            List.of(
                candidate(1, View.FRONT, Turn.AHEAD, 45, Framing.BUST),
                candidate(2, View.THREE_QUARTER, Turn.RIGHT, 315, Framing.BUST),
                candidate(3, View.THREE_QUARTER, Turn.LEFT, 50, Framing.BUST),
                candidate(4, View.THREE_QUARTER, Turn.LEFT, 225, Framing.BUST),
                candidate(5, View.THREE_QUARTER, Turn.LEFT, 50, Framing.FULL)),
            candidate -> true);
    assertThat(picks).extracting(Pick::id).containsExactly(3L, 5L, 2L, 4L, 1L);
  }

  /** Turned the other way and lit from the other side: its mirrored copy fits. */
  @Test
  void aMirroredCopyIsOfferedWithItsLightMirroredToo() {
    Pick pick =
        PickFinder.nearest(
                IN_HAND,
                List.of(candidate(2, View.THREE_QUARTER, Turn.RIGHT, 315, Framing.BUST)),
                candidate -> true)
            .get(0);
    assertThat(pick.mirrored()).isTrue();
    assertThat(pick.lightDiffers()).isFalse();
  }

  @ParameterizedTest
  @CsvSource({"45, 75, false", "45, 76, true", "350, 15, false", "350, 25, true", "0, 180, true"})
  void lightsMoreThanThirtyDegreesApartAreTold(int one, int other, boolean differs) {
    assertThat(PickFinder.lightDiffers(OptionalInt.of(one), OptionalInt.of(other)))
        .isEqualTo(differs);
    assertThat(PickFinder.lightDiffers(OptionalInt.of(other), OptionalInt.of(one)))
        .isEqualTo(differs);
  }

  @Test
  void anUnknownLightIsNoReasonToWarn() {
    assertThat(PickFinder.lightDiffers(OptionalInt.empty(), OptionalInt.of(10))).isFalse();
  }

  @Test
  void theAnchorComesFirstAmongEqualsAndPicturesWithoutThePartNotAtAll() {
    Candidate plain = candidate(1, View.FRONT, Turn.AHEAD, 0, Framing.FULL);
    Candidate anchor = new Candidate(2, plain.shown(), true);
    Candidate without = candidate(3, View.FRONT, Turn.AHEAD, 0, Framing.FULL);
    assertThat(
            PickFinder.nearest(
                plain.shown(), List.of(plain, anchor, without), candidate -> candidate.id() != 3))
        .extracting(Pick::id)
        .containsExactly(2L, 1L);
  }

  private static Candidate candidate(long id, View view, Turn turn, int light, Framing framing) {
    return new Candidate(
        id, new Case(view, Optional.of(turn), OptionalInt.of(light), Optional.of(framing)), false);
  }
}
