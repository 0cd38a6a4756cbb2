package penmirror.core.coverage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import penmirror.core.coverage.Coverage.NoView;
import penmirror.core.coverage.Coverage.SeenFewTimes;
import penmirror.core.coverage.Coverage.State;
import penmirror.core.coverage.Coverage.Unseen;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;

class CoverageTest {

  @Test
  void aFramingTellsWhatIsUsuallySeen() {
    assertThat(sight(View.FRONT, Framing.FULL)).contains(Part.HANDS, Part.SHOES, Part.EYES);
    assertThat(sight(View.FRONT, Framing.BUST)).contains(Part.NECK, Part.HAIR);
    assertThat(sight(View.FRONT, Framing.BUST)).doesNotContain(Part.HANDS, Part.FEET, Part.BODY);
    assertThat(sight(View.FRONT, Framing.FACE)).doesNotContain(Part.NECK);
    assertThat(sight(View.FRONT, Framing.DETAIL)).isEmpty();
  }

  @Test
  void nobodySeesAFaceFromBehind() {
    assertThat(sight(View.BACK, Framing.FULL))
        .contains(Part.HAIR, Part.HANDS)
        .doesNotContain(Part.EYES, Part.MOUTH, Part.NOSE, Part.BROWS, Part.FACE_SHAPE);
  }

  @Test
  void marksShowAPartAndHiddenOnesDoNot() {
    Marks marks =
        Marks.none(View.SIDE)
            .with(Landmark.FINGERTIP_L, Mark.placed(10, 10))
            .with(Landmark.EAR_L_TOP, Mark.hidden());
    assertThat(Sight.of(View.SIDE, Optional.empty(), false, marks, Map.of()).parts())
        .containsExactly(Part.HANDS);
  }

  @Test
  void theUsersWordStandsAboveBoth() {
    Marks marks = Marks.none(View.FRONT).with(Landmark.FINGERTIP_L, Mark.placed(10, 10));
    Set<Part> parts =
        Sight.of(
                View.FRONT,
                Optional.of(Framing.FULL),
                false,
                marks,
                Map.of(Part.HANDS, false, Part.SHOES, false, Part.PROP, true))
            .parts();
    assertThat(parts).contains(Part.PROP, Part.FEET).doesNotContain(Part.HANDS, Part.SHOES);
  }

  @Test
  void countsByPartAndView() {
    Coverage coverage =
        Coverage.of(
            List.of(
                seen(View.FRONT, Part.EYES, Part.HANDS),
                seen(View.FRONT, Part.EYES),
                seen(View.FRONT, Part.EYES),
                seen(View.SIDE, Part.EYES)));
    assertThat(coverage.count(Part.EYES, View.FRONT)).isEqualTo(3);
    assertThat(coverage.state(Part.EYES, View.FRONT)).isEqualTo(State.ENOUGH);
    assertThat(coverage.state(Part.EYES, View.SIDE)).isEqualTo(State.THIN);
    assertThat(coverage.state(Part.EYES, View.THREE_QUARTER)).isEqualTo(State.GAP);
    assertThat(coverage.state(Part.EYES, View.BACK)).isEqualTo(State.NOT_NEEDED);
    assertThat(coverage.count(Part.EYES)).isEqualTo(4);
    assertThat(coverage.count(Part.HANDS)).isEqualTo(1);
  }

  @Test
  void aKnownLightCountsAsSeen() {
    assertThat(Sight.of(View.SIDE, Optional.empty(), true, Marks.none(View.SIDE), Map.of()).parts())
        .containsExactly(Part.LIGHT);
  }

  /** Once is enough for what looks the same from every side, and few draw anyone from behind. */
  @Test
  void whatNobodyNeedsIsNoGap() {
    Coverage coverage =
        Coverage.of(List.of(seen(View.FRONT, Part.PROP, Part.HAIR), seen(View.SIDE, Part.HAIR)));
    assertThat(coverage.state(Part.PROP, View.SIDE)).isEqualTo(State.NOT_NEEDED);
    assertThat(coverage.state(Part.BACKGROUND, View.SIDE)).isEqualTo(State.GAP);
    assertThat(coverage.state(Part.HAIR, View.BACK)).isEqualTo(State.NOT_NEEDED);
    assertThat(coverage.state(Part.HAIR, View.THREE_QUARTER)).isEqualTo(State.GAP);
    Coverage behind = Coverage.of(List.of(seen(View.BACK, Part.BODY), seen(View.FRONT, Part.HAIR)));
    assertThat(behind.state(Part.HAIR, View.BACK)).isEqualTo(State.GAP);
  }

  @Test
  void saysWhatGapsCostHeaviestFirst() {
    Coverage coverage =
        Coverage.of(
            List.of(
                seen(View.FRONT, EnumSet.complementOf(EnumSet.of(Part.SHOES)).toArray(Part[]::new)),
                seen(View.FRONT, Part.EYES),
                seen(View.THREE_QUARTER, Part.EYES)));
    assertThat(coverage.costs().get(0)).isEqualTo(new NoView(View.SIDE));
    assertThat(coverage.costs().get(1)).isEqualTo(new Unseen(Part.SHOES));
    assertThat(coverage.costs()).contains(new SeenFewTimes(Part.HANDS, 1, 2));
    assertThat(coverage.costs()).noneMatch(cost -> cost.equals(new Unseen(Part.EYES)));
    assertThat(coverage.costs())
        .noneMatch(cost -> cost instanceof SeenFewTimes few && few.part() == Part.EYES);
  }

  @Test
  void onAnEmptyWallThereIsNothingToMiss() {
    Coverage coverage = Coverage.of(List.of());

    assertThat(coverage.isEmpty()).isTrue();
    assertThat(coverage.costs()).isEmpty();
    for (Part part : Part.values()) {
      for (View view : View.values()) {
        assertThat(coverage.state(part, view)).isIn(State.NOT_ASKED, State.NOT_NEEDED);
      }
    }
  }

  /** Pictures that nobody looked at yet show nothing, and nothing is missed for it. */
  @Test
  void whatNobodyLookedAtIsNotMissed() {
    Coverage coverage = Coverage.of(List.of(seen(View.FRONT), seen(View.FRONT)));

    assertThat(coverage.state(Part.EYES, View.FRONT)).isEqualTo(State.NOT_ASKED);
    assertThat(coverage.costs()).isEmpty();
  }

  @Test
  void aStudyOfFacesSaysNothingOfFeet() {
    Set<Part> face = sight(View.FRONT, Framing.FACE);
    Coverage faces = Coverage.of(List.of(new Sight(View.FRONT, face)));

    for (Part part : List.of(Part.FEET, Part.HANDS, Part.BODY, Part.FOLDS, Part.SHOES, Part.NECK)) {
      assertThat(faces.state(part, View.FRONT)).as(part.word()).isEqualTo(State.NOT_ASKED);
      assertThat(faces.costs()).as(part.word()).doesNotContain(new Unseen(part));
    }
    assertThat(faces.state(Part.EYES, View.SIDE)).isEqualTo(State.GAP);
    assertThat(faces.state(Part.EARS, View.FRONT)).isEqualTo(State.GAP);
  }

  @Test
  void oneBustAsksForNecksAndOneFigureForHands() {
    Set<Part> bust = sight(View.FRONT, Framing.BUST);
    Set<Part> face = sight(View.FRONT, Framing.FACE);
    Coverage busts = Coverage.of(List.of(new Sight(View.FRONT, bust), new Sight(View.SIDE, face)));
    assertThat(busts.state(Part.NECK, View.SIDE)).isEqualTo(State.GAP);
    assertThat(busts.state(Part.HANDS, View.FRONT)).isEqualTo(State.NOT_ASKED);

    Coverage full =
        Coverage.of(List.of(seen(View.FRONT, Part.BODY, Part.EYES), new Sight(View.SIDE, face)));
    assertThat(full.state(Part.HANDS, View.FRONT)).isEqualTo(State.GAP);
    assertThat(full.costs()).contains(new Unseen(Part.FEET));
  }

  private static Set<Part> sight(View view, Framing framing) {
    return Sight.of(view, Optional.of(framing), false, Marks.none(view), Map.of()).parts();
  }

  private static Sight seen(View view, Part... parts) {
    return new Sight(view, Set.of(parts));
  }
}
