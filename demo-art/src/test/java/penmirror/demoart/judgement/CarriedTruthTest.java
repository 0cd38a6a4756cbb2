package penmirror.demoart.judgement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.planning.CarriedFigure;
import penmirror.core.planning.Ghost;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.Score;
import penmirror.core.style.StyleSheet;
import penmirror.demoart.reading.DemoRead;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** The demo's character carried into each of its three hands. */
class CarriedTruthTest {
  private static final List<Illustration> CHARACTER =
      Stream.concat(DemoStudio.character().stream(), DemoStudio.ownHand().stream().limit(1))
          .map(Illustration::of)
          .toList();

  static Stream<DemoScores.Hand> hands() {
    return DemoScores.HANDS.stream();
  }

  private static CarriedFigure carried(StyleSheet sheet, Illustration drawn) {
    return CarriedFigure.of(sheet, drawn.marks(), measure -> 0);
  }

  /** Pure style: what is measured on the targets is what the style rules, within a thousandth. */
  @ParameterizedTest
  @MethodSource("hands")
  void theTargetsMeasureAsTheStyleRules(DemoScores.Hand hand) {
    for (Illustration drawn : CHARACTER) {
      CarriedFigure figure = carried(hand.plain(), drawn);
      String who = hand.name() + ", " + drawn.commission().fileName();
      assertThat(figure.aims()).as(who).hasSizeGreaterThan(8);
      figure
          .aims()
          .forEach(
              (measure, aim) -> {
                if (!figure.missed().contains(measure)) {
                  double value = measure.valueOf(figure.targets()).orElseThrow();
                  assertThat(value / aim.target())
                      .as(who + ", " + measure.key())
                      .isCloseTo(1, offset(0.001));
                }
              });
    }
  }

  /** Elbows, wrists and knees are as bent as they were. */
  @ParameterizedTest
  @MethodSource("hands")
  void thePoseIsKept(DemoScores.Hand hand) {
    for (Illustration drawn : CHARACTER) {
      CarriedFigure figure = carried(hand.plain(), drawn);
      Map<String, Double> own = bends(figure.own());
      Map<String, Double> carried = bends(figure.targets());
      own.forEach(
          (joint, degrees) ->
              assertThat(carried.get(joint))
                  .as(drawn.commission().fileName() + ", " + joint)
                  .satisfies(
                      is ->
                          assertThat(Math.IEEEremainder(is - degrees, 360))
                              .isCloseTo(0, offset(0.5))));
    }
  }

  private static Map<String, Double> bends(Marks marks) {
    Map<String, Double> bends = new LinkedHashMap<>();
    for (Side side : Side.values()) {
      bend(marks, side, Landmark.SHOULDER_L, Landmark.ELBOW_L, Landmark.WRIST_L, bends);
      bend(marks, side, Landmark.ELBOW_L, Landmark.WRIST_L, Landmark.FINGERTIP_L, bends);
      bend(marks, side, Landmark.CROTCH, Landmark.KNEE_L, Landmark.ANKLE_L, bends);
    }
    return bends;
  }

  private static void bend(
      Marks marks,
      Side side,
      Landmark from,
      Landmark joint,
      Landmark to,
      Map<String, Double> bends) {
    Optional<Point> a = marks.point(side.of(from));
    Optional<Point> b = marks.point(side.of(joint));
    Optional<Point> c = marks.point(side.of(to));
    if (a.isPresent() && b.isPresent() && c.isPresent()) {
      Point one = a.get().minus(b.get());
      Point other = c.get().minus(b.get());
      double cross = one.x() * other.y() - one.y() * other.x();
      double dot = one.x() * other.x() + one.y() * other.y();
      bends.put(side + " " + joint, Math.toDegrees(Math.atan2(cross, dot)));
    }
  }

  /**
   * An attempt with its fixes carried out, by moves alone, never reaches less, and the first of
   * each chain, which has the most to mend, clearly more.
   */
  @ParameterizedTest
  @MethodSource("hands")
  void attemptsAreMendedByTheirFixes(DemoScores.Hand hand) {
    List<Double> rises = new ArrayList<>();
    for (DemoRead.Seen attempt : hand.attempts()) {
      Score was = hand.scorer().score(attempt.evidence());
      Set<Act> acts = was.fixes().stream().map(Fix::act).collect(Collectors.toSet());
      CarriedFigure mended =
          CarriedFigure.of(
              hand.sheet(),
              attempt.evidence().marks(),
              measure -> Acts.of(measure).filter(acts::contains).isPresent() ? 0 : 1);
      Score is = hand.scorer().score(attempt.evidence().withMarks(mended.targets()));
      rises.add(is.byRules().orElseThrow() - was.byRules().orElseThrow());
    }
    assertThat(rises).as(hand.name()).allMatch(rise -> rise > -0.5);
    assertThat(rises.get(0)).as(hand.name()).isGreaterThan(3);
  }

  /** Drawn where the plan puts everything, the figure lies inside the illustrator's own range. */
  @ParameterizedTest
  @MethodSource("hands")
  void aFigureOnItsTargetsBelongsToTheStyle(DemoScores.Hand hand) {
    Illustration bastian = CHARACTER.get(0);
    Marks targets = carried(hand.plain(), bastian).targets();
    Score score = hand.plainScorer().score(new Evidence(targets, Optional.empty()));
    Score before = hand.plainScorer().score(new Evidence(bastian.marks(), Optional.empty()));
    assertThat(score.byRules().orElseThrow()).isGreaterThan(before.byRules().orElseThrow());
    assertThat(score.byRules().orElseThrow()).isGreaterThan(99);
  }

  /**
   * Nothing folds, all go the whole way, and every landmark that is followed lies within half a
   * pixel of its target. Not followed is what would have to pass its neighbour: at most three in
   * ten.
   */
  @ParameterizedTest
  @MethodSource("hands")
  void theGhostLiesFlatWithItsLandmarksOnTheirTargets(DemoScores.Hand hand) {
    for (Illustration drawn : CHARACTER) {
      CarriedFigure figure = carried(hand.plain(), drawn);
      String who = hand.name() + ", " + drawn.commission().fileName();
      Ghost ghost = Ghost.of(figure, drawn.image().getWidth(), drawn.image().getHeight());
      assertThat(ghost.fold()).as(who).isEmpty();
      assertThat(ghost.share()).as(who).isEqualTo(1);
      long marked =
          figure.own().landmarks().keySet().stream()
              .filter(landmark -> figure.own().point(landmark).isPresent())
              .count();
      assertThat((double) ghost.followed().size() / marked).as(who).isGreaterThan(0.7);
      for (Landmark landmark : ghost.followed()) {
        assertThat(
                ghost
                    .at(figure.own().require(landmark))
                    .distanceTo(figure.targets().require(landmark)))
            .as(who + ", " + landmark)
            .isLessThan(0.5);
      }
    }
  }
}
