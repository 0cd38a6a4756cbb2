package penmirror.core.proposal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;

/** What is asked of a picture that the machine has looked at, and what is taken without asking. */
class ToAskTest {
  private static final double HIGH = 0.95;

  @Test
  void nothingIsAskedWhereAllIsSure() {
    ToAsk ask = asked(sight(Map.of(), HIGH), View.FRONT, Framing.FACE);
    assertThat(ask.isSure()).isTrue();
    assertThat(ask.taken()).contains(Landmark.CROWN, Landmark.CHIN, Landmark.MOUTH_R);
  }

  @Test
  void theLeastLikelyPointIsAskedFirst() {
    ToAsk ask =
        asked(
            sight(Map.of(Landmark.CHIN, 0.4, Landmark.CROWN, 0.2), HIGH), View.FRONT, Framing.FACE);
    assertThat(ask.doubts()).containsExactly(Landmark.CROWN, Landmark.CHIN);
    assertThat(ask.taken()).doesNotContain(Landmark.CROWN, Landmark.CHIN);
    assertThat(ask.count()).isEqualTo(2);
  }

  /** A brow decides little: where it is doubtful it is left out, and not asked about. */
  @Test
  void whatDecidesLittleIsLeftOutInstead() {
    ToAsk ask = asked(sight(Map.of(Landmark.BROW_L_OUTER, 0.3), HIGH), View.FRONT, Framing.FACE);
    assertThat(ask.isSure()).isTrue();
    assertThat(ask.taken()).doesNotContain(Landmark.BROW_L_OUTER);
  }

  /** A pupil is put in the middle of its iris without being looked for: its size says nothing. */
  @Test
  void whatWasNotLookedForIsNeverTaken() {
    FirstSight sight = sight(Map.of(), HIGH);
    assertThat(asked(sight, View.FRONT, Framing.FACE).taken())
        .contains(Landmark.IRIS_L_EDGE)
        .doesNotContain(Landmark.PUPIL_L, Landmark.PUPIL_R);
    assertThat(sight.sure(Mark.State.PROPOSED).landmarks())
        .containsKey(Landmark.CHIN)
        .doesNotContainKeys(Landmark.PUPIL_L, Landmark.PUPIL_R);
  }

  @Test
  void aPointThatIsHardlyLikelyTellsNothing() {
    FirstSight sight = sight(Map.of(Landmark.CHIN, 0.69, Landmark.CROWN, 0.7), HIGH);
    assertThat(sight.sure(Mark.State.PLACED).landmarks())
        .containsKey(Landmark.CROWN)
        .doesNotContainKey(Landmark.CHIN);
  }

  @Test
  void aFaceIsNotAskedForItsSoles() {
    FirstSight sight =
        sight(Map.of(Landmark.SOLE, 0.05, Landmark.SHOULDER_L, 0.05, Landmark.CROTCH, 0.9), HIGH);
    assertThat(asked(sight, View.FRONT, Framing.FACE).isSure()).isTrue();
    assertThat(asked(sight, View.FRONT, Framing.FACE).taken()).doesNotContain(Landmark.CROTCH);
    assertThat(asked(sight, View.FRONT, Framing.BUST).isSure()).isTrue();
    assertThat(asked(sight, View.FRONT, Framing.FULL).doubts())
        .containsExactlyInAnyOrder(Landmark.SHOULDER_L, Landmark.SOLE);
  }

  @Test
  void aProfileIsAskedForItsOutlineAndABackForNothing() {
    FirstSight sight = sight(Map.of(Landmark.EYE_L_INNER, 0.1, Landmark.CHIN, 0.1), HIGH);
    assertThat(asked(sight, View.SIDE, Framing.FACE).doubts()).containsExactly(Landmark.CHIN);
    assertThat(asked(sight, View.BACK, Framing.FULL).doubts()).isEmpty();
    assertThat(asked(sight, View.FRONT, Framing.DETAIL).doubts()).isEmpty();
  }

  @Test
  void theSideIsAskedWhereItIsAGuessAndNotWhereSomebodySaidIt() {
    FirstSight sight = sight(Map.of(), 0.5);
    assertThat(asked(sight, View.FRONT, Framing.FACE).isViewDoubtful()).isTrue();
    assertThat(asked(sight, View.FRONT, Framing.FACE).isFramingDoubtful()).isTrue();
    assertThat(asked(sight, View.THREE_QUARTER, Framing.BUST).isViewDoubtful()).isFalse();
    assertThat(asked(sight, View.THREE_QUARTER, Framing.BUST).isFramingDoubtful()).isFalse();
  }

  @Test
  void ofNoFigureOnlyTheFramingIsAsked() {
    FirstSight nothing =
        new FirstSight(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            new Proposal(View.FRONT, Map.of(), new Proposal.Box(0, 0, 10, 10)));
    ToAsk ask = ToAsk.of(nothing, View.FRONT, Optional.empty());
    assertThat(ask.doubts()).isEmpty();
    assertThat(ask.taken()).isEmpty();
    assertThat(ask.isFramingDoubtful()).isTrue();
    assertThat(ask.isViewDoubtful()).isFalse();
  }

  private static ToAsk asked(FirstSight sight, View view, Framing framing) {
    return ToAsk.of(sight, view, Optional.of(framing));
  }

  /** Every landmark is there, sure but for some. */
  private static FirstSight sight(Map<Landmark, Double> otherwise, double chance) {
    Map<Landmark, Proposal.Proposed> points = new EnumMap<>(Landmark.class);
    for (Landmark landmark : Landmark.values()) {
      points.put(
          landmark,
          new Proposal.Proposed(
              new Point(landmark.ordinal(), 5), otherwise.getOrDefault(landmark, HIGH)));
    }
    return new FirstSight(
        Optional.of(new FirstSight.Seen<>(View.FRONT, chance)),
        Optional.of(new FirstSight.Seen<>(Framing.FACE, chance)),
        Optional.of(new FirstSight.Seen<>(Turn.AHEAD, chance)),
        new Proposal(View.FRONT, points, new Proposal.Box(0, 0, 100, 100)));
  }
}
