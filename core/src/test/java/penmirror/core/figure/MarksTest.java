package penmirror.core.figure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import penmirror.core.geometry.Point;

class MarksTest {

  /** Keys are stored with studies: this list may grow, but none of it may change. */
  @Test
  void storedKeysStayAsTheyAre() {
    List<String> keys = Arrays.stream(Landmark.values()).map(Landmark::key).toList();
    assertThat(keys)
        .contains(
            "crown",
            "chin",
            "eye_l_outer",
            "eye_l_inner",
            "eye_r_inner",
            "eye_r_outer",
            "nose_base",
            "mouth_l",
            "mouth_r",
            "shoulder_l",
            "shoulder_r",
            "crotch",
            "sole",
            "hair_top",
            "cheek_l",
            "cheek_r",
            "hairline",
            "brow_l_outer",
            "brow_l_inner",
            "brow_r_inner",
            "brow_r_outer",
            "eye_l_top",
            "eye_l_bottom",
            "eye_r_top",
            "eye_r_bottom",
            "nose_top",
            "mouth_top",
            "mouth_bottom",
            "jaw_l",
            "jaw_r",
            "hair_l",
            "hair_r",
            "neck_l",
            "neck_r",
            "waist_l",
            "waist_r",
            "hip_l",
            "hip_r",
            "neck_base");
    assertThat(keys).doesNotHaveDuplicates();
  }

  @Test
  void theQuickSetHasFourteenPointsInMarkingOrder() {
    List<Landmark> quick =
        Arrays.stream(Landmark.values()).filter(l -> l.set() == Landmark.Set.QUICK).toList();
    assertThat(quick).hasSize(14).startsWith(Landmark.CROWN, Landmark.CHIN);
  }

  @Test
  void keysAreReadBackAndUnknownOnesAreNot() {
    for (Landmark landmark : Landmark.values()) {
      assertThat(Landmark.ofKey(landmark.key())).contains(landmark);
    }
    assertThat(Landmark.ofKey("tail")).isEmpty();
  }

  @Test
  void viewsAndStatesAreReadBackAndOtherWordsNameTheKnownOnes() {
    for (View view : View.values()) {
      assertThat(View.ofWord(view.word())).isEqualTo(view);
    }
    for (Mark.State state : Mark.State.values()) {
      assertThat(Mark.State.ofWord(state.word())).isEqualTo(state);
    }
    assertThatThrownBy(() -> View.ofWord("above")).hasMessageContaining("three-quarter");
    assertThatThrownBy(() -> Mark.State.ofWord("lost")).hasMessageContaining("estimated");
  }

  @Test
  void aHiddenLandmarkHasNoPlace() {
    Marks marks = Marks.none(View.FRONT).with(Landmark.SOLE, Mark.hidden());
    assertThat(marks.point(Landmark.SOLE)).isEmpty();
    assertThat(marks.isHidden(Landmark.SOLE)).isTrue();
    assertThat(marks.isHidden(Landmark.CHIN)).isFalse();
    assertThatThrownBy(() -> Mark.at(new Point(1, 1), Mark.State.HIDDEN))
        .hasMessageContaining("no place");
  }

  @Test
  void changingMarksLeavesTheFirstOnesAsTheyWere() {
    Marks first = Canon.realistic();
    Marks moved = first.moved(List.of(Landmark.CHIN), p -> p.plus(new Point(0, 5)));
    assertThat(first.point(Landmark.CHIN)).contains(new Point(300, 300));
    assertThat(moved.point(Landmark.CHIN)).contains(new Point(300, 305));
    assertThat(first).isEqualTo(Canon.realistic());
    assertThatThrownBy(() -> first.landmarks().clear())
        .isInstanceOf(UnsupportedOperationException.class);
  }

  @Test
  void movingKeepsTheStateAndSkipsWhatHasNoPlace() {
    Marks marks =
        Marks.none(View.FRONT)
            .with(Landmark.CROWN, Mark.at(new Point(1, 1), Mark.State.ESTIMATED))
            .with(Landmark.CHIN, Mark.hidden());
    Marks moved =
        marks.moved(List.of(Landmark.CROWN, Landmark.CHIN, Landmark.SOLE), p -> p.times(2));
    assertThat(moved.landmarks().get(Landmark.CROWN).state()).isEqualTo(Mark.State.ESTIMATED);
    assertThat(moved.isHidden(Landmark.CHIN)).isTrue();
    assertThat(moved.landmarks()).doesNotContainKey(Landmark.SOLE);
  }

  @Test
  void theHeadFrameCountsDownFromTheCrown() {
    HeadFrame upright = Canon.realistic().headFrame().orElseThrow();
    assertThat(upright.headPixels()).isEqualTo(200);
    assertThat(upright.height(new Point(999, 100))).isZero();
    assertThat(upright.height(new Point(-50, 300))).isEqualTo(1);
    assertThat(upright.height(new Point(0, 80))).isEqualTo(-0.1, offset(1e-12));
    assertThat(upright.across()).isEqualTo(new Point(1, -0.0));
  }

  @Test
  void aHeadLyingOnItsSideHasItsAxisLevel() {
    HeadFrame lying =
        Marks.none(View.FRONT)
            .with(Landmark.CROWN, Mark.placed(100, 50))
            .with(Landmark.CHIN, Mark.placed(300, 50))
            .headFrame()
            .orElseThrow();
    assertThat(lying.down().distanceTo(new Point(1, 0))).isLessThan(1e-12);
    assertThat(lying.height(new Point(200, 777))).isEqualTo(0.5, offset(1e-12));
  }

  @Test
  void twoClicksOnOneSpotMakeNoHead() {
    Marks marks =
        Marks.none(View.FRONT)
            .with(Landmark.CROWN, Mark.placed(100, 50))
            .with(Landmark.CHIN, Mark.placed(100.4, 50));
    assertThat(marks.headFrame()).isEmpty();
    assertThat(Marks.none(View.FRONT).headFrame()).isEmpty();
  }

  @Test
  void whatIsCoveredHasAPlaceAndIsNotSeen() {
    Marks marks =
        Marks.none(View.FRONT)
            .with(Landmark.CHIN, Mark.placed(3, 4))
            .with(Landmark.CROWN, Mark.at(new Point(5, 6), Mark.State.ESTIMATED));
    assertThat(marks.seen(Landmark.CHIN)).contains(new Point(3, 4));
    assertThat(marks.point(Landmark.CROWN)).contains(new Point(5, 6));
    assertThat(marks.seen(Landmark.CROWN)).isEmpty();
    assertThat(marks.seen(Landmark.SOLE)).isEmpty();
  }
}
