package penmirror.core.move;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.reading.MeasureCatalogue;

class MovesTest {
  private static final Marks ADULT = Canon.realistic();

  static List<Move> inPixels() {
    return Moves.all().stream().filter(move -> move.amount() == Move.Amount.PIXELS).toList();
  }

  @Test
  void everyMarkedMeasureThatCountsHasItsMove() {
    List<Measure> marked =
        MeasureCatalogue.all().stream()
            .filter(measure -> !measure.isFromPixels() && measure.isScored())
            .toList();
    assertThat(Moves.all().stream().map(Move::measure).toList())
        .containsExactlyInAnyOrderElementsOf(marked);
    for (Measure measure : marked) {
      assertThat(Moves.of(measure).orElseThrow().measure()).isSameAs(measure);
    }
  }

  @ParameterizedTest
  @MethodSource("penmirror.core.move.Moves#all")
  void nothingMovesByNothing(Move move) {
    Marks after = move.apply(ADULT, 0);
    for (Move.Step step : Move.steps(ADULT, after)) {
      assertThat(step.pixels()).as("%s %s", move.name(), step.landmark()).isLessThan(1e-9);
    }
  }

  /** A positive amount makes the reading larger, and the amount found brings it exactly there. */
  @ParameterizedTest
  @MethodSource("penmirror.core.move.Moves#all")
  void theAmountFoundReachesTheTargetOnEitherSide(Move move) {
    double here = move.scaledValue(ADULT, 0).orElseThrow();
    double way = move.measure().spreadAmongStyles() / 2;
    for (int side : new int[] {1, -1}) {
      Solution solution = MoveSolver.solve(move, ADULT, here + side * way);
      assertThat(solution).as(move.name()).isInstanceOf(Solution.Reached.class);
      double amount = ((Solution.Reached) solution).amount();
      assertThat(Math.signum(amount)).as(move.name()).isEqualTo(side);
      assertThat(move.scaledValue(ADULT, amount).orElseThrow())
          .as(move.name())
          .isCloseTo(here + side * way, offset(1e-6));
    }
  }

  /** On figures that were pushed about at random, as drawings are. */
  @ParameterizedTest
  @MethodSource("penmirror.core.move.Moves#all")
  void theAmountHoldsOnCrookedFigures(Move move) {
    Random random = new Random(11);
    for (int i = 0; i < 20; i++) {
      Marks crooked =
          ADULT.moved(
              List.of(Landmark.values()),
              p -> p.plus(new Point(3 * random.nextGaussian(), 3 * random.nextGaussian())));
      double here = move.scaledValue(crooked, 0).orElseThrow();
      double target = here + 0.3 * move.measure().spreadAmongStyles();
      if (MoveSolver.solve(move, crooked, target) instanceof Solution.Reached reached) {
        assertThat(move.scaledValue(crooked, reached.amount()).orElseThrow())
            .as(move.name())
            .isCloseTo(target, offset(1e-6));
      }
    }
  }

  /** A move takes hold of points of its own feature, or of what hangs on them. */
  @ParameterizedTest
  @MethodSource("penmirror.core.move.Moves#all")
  void aMoveChangesItsMeasureAndLeavesTheHeadWhereItIs(Move move) {
    Marks after = move.apply(ADULT, move.amount() == Move.Amount.FACTOR ? 0.2 : 4);
    assertThat(Move.steps(ADULT, after)).as(move.name()).isNotEmpty();
    assertThat(after.headFrame()).isEqualTo(ADULT.headFrame());
    assertThat(after.view()).isEqualTo(ADULT.view());
  }

  /** Where nothing is marked there is nothing to move, and no move falls over it. */
  @ParameterizedTest
  @MethodSource("penmirror.core.move.Moves#all")
  void nothingMarkedIsUnreadableAndStaysAsItIs(Move move) {
    Marks none = Marks.none(View.FRONT);
    assertThat(move.apply(none, 5)).isEqualTo(none);
    assertThat(MoveSolver.solve(move, none, 1)).isEqualTo(new Solution.Unreadable());
  }

  /** Said in pixels, done in pixels: the page tells the amount and the arrow shows the step. */
  @ParameterizedTest
  @MethodSource("inPixels")
  void anAmountInPixelsIsHowFarThePointsGo(Move move) {
    assertThat(Move.steps(ADULT, move.apply(ADULT, 4)))
        .as(move.name())
        .allSatisfy(step -> assertThat(step.pixels()).isCloseTo(4, offset(1e-9)));
  }

  @Test
  void movingTheEyesLeavesTheirSpacing() {
    Move height = Moves.of(FaceMeasures.EYE_LINE).orElseThrow();
    Marks moved = height.apply(ADULT, 12);
    assertThat(FaceMeasures.EYE_SPACING.valueOf(moved).orElseThrow()).isCloseTo(1, offset(1e-9));
    assertThat(FaceMeasures.EYE_LINE.valueOf(moved).orElseThrow()).isCloseTo(0.56, offset(1e-9));
  }

  @Test
  void aLengthBelowNothingIsOutOfReach() {
    Move foot = Moves.of(ProportionMeasures.FOOT).orElseThrow();
    double here = foot.scaledValue(ADULT, 0).orElseThrow();
    assertThat(MoveSolver.solve(foot, ADULT, here - 40)).isEqualTo(new Solution.OutOfReach());
  }

  @Test
  void withoutAHeadAHeightIsUnreadable() {
    Marks headless = ADULT.with(Landmark.CROWN, Mark.hidden());
    Move height = Moves.of(FaceMeasures.EYE_LINE).orElseThrow();
    assertThat(MoveSolver.solve(height, headless, 0.5)).isEqualTo(new Solution.Unreadable());
  }

  @Test
  void stepsTellEachPointThatWent() {
    Marks after = ADULT.moved(List.of(Landmark.NOSE_BASE), p -> p.plus(new Point(3, -4)));
    assertThat(Move.steps(ADULT, after)).containsExactly(new Move.Step(Landmark.NOSE_BASE, 3, -4));
    assertThat(Move.steps(ADULT, after).get(0).pixels()).isEqualTo(5);
  }
}
