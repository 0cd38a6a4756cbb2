package penmirror.demoart.judgement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import penmirror.core.figure.Facing;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.planning.GuideFigure;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.core.planning.SeenHead;
import penmirror.core.style.StyleSheet;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** Heads of the demo turned as its hands turn them. */
class TurnedTruthTest {
  static Stream<DemoScores.Hand> hands() {
    return DemoScores.HANDS.stream();
  }

  /** Which way a figure was drawn to look is told from its points, for every turned work. */
  @ParameterizedTest
  @EnumSource(
      value = View.class,
      names = {"THREE_QUARTER", "SIDE"})
  void whichWayAHeadLooksIsToldFromItsPoints(View view) {
    List<Illustration> turned =
        DemoStudio.everything().stream()
            .filter(commission -> commission.view() == view)
            .map(Illustration::of)
            .toList();
    assertThat(turned).hasSizeGreaterThan(5);
    for (Illustration drawn : turned) {
      assertThat(Facing.of(drawn.marks()))
          .as(drawn.commission().fileName())
          .contains(drawn.commission().mirrored() ? Turn.LEFT : Turn.RIGHT);
    }
  }

  /** The head of a turned guide has its features at the heights that are ruled. */
  @ParameterizedTest
  @MethodSource("hands")
  void aTurnedGuideKeepsTheRules(DemoScores.Hand hand) {
    StyleSheet sheet = hand.plain();
    GuidePlan plan = GuidePlan.of(sheet, new Canvas(2400, 3200));
    for (View view : List.of(View.THREE_QUARTER, View.SIDE)) {
      SeenHead seen = SeenHead.of(view, marks(hand)).orElseThrow();
      Marks guide = GuideFigure.turned(sheet, plan, seen, Turn.RIGHT).marks();
      for (Measure measure : List.of(FaceMeasures.EYE_LINE, FaceMeasures.MOUTH_LINE)) {
        assertThat(measure.valueOf(guide).orElseThrow())
            .as(hand.name() + ", " + view + ", " + measure.key())
            .isCloseTo(sheet.rule(measure).orElseThrow().centre(), offset(0.01));
      }
    }
  }

  /** Every work held out lies where the others say: within a tenth of a head, nine in ten. */
  @ParameterizedTest
  @MethodSource("hands")
  void aHeadHeldBackLiesWhereTheOthersSay(DemoScores.Hand hand) {
    List<Marks> all = marks(hand).stream().filter(m -> m.view() == View.THREE_QUARTER).toList();
    int near = 0;
    int points = 0;
    for (Marks out : all) {
      List<Marks> others = all.stream().filter(marks -> marks != out).toList();
      SeenHead seen = SeenHead.of(View.THREE_QUARTER, others).orElseThrow();
      Marks right = Facing.of(out).equals(Optional.of(Turn.LEFT)) ? Facing.mirrored(out, 0) : out;
      HeadFrame frame = right.headFrame().orElseThrow();
      for (Map.Entry<Landmark, SeenHead.Zone> zone : seen.zones().entrySet()) {
        Optional<Point> is = right.point(zone.getKey());
        if (is.isPresent()) {
          points++;
          double across = frame.sideways(is.get()) - zone.getValue().across();
          double down = frame.height(is.get()) - zone.getValue().down();
          near += Math.hypot(across, down) < 0.1 ? 1 : 0;
        }
      }
    }
    assertThat(points).isGreaterThan(60);
    assertThat(near / (double) points).as(hand.name()).isGreaterThan(0.9);
  }

  private static List<Marks> marks(DemoScores.Hand hand) {
    return hand.works().stream().map(seen -> seen.evidence().marks()).toList();
  }
}
