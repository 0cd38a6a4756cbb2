package penmirror.demoart.ink;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import org.junit.jupiter.api.Test;
import penmirror.core.geometry.Point;

class CurveTest {
  private static final Curve SQUARE = Curve.outline("0,0c 4,0c 4,4c 0,4c");

  @Test
  void cornersAreKeptAndKnotsArePassed() {
    assertThat(SQUARE.area()).isCloseTo(16, offset(1e-9));
    assertThat(SQUARE.length()).isCloseTo(16, offset(1e-9));
    Curve smooth = Curve.line("0,0 3,4 6,0");
    assertThat(smooth.points()).contains(new Point(0, 0), new Point(3, 4), new Point(6, 0));
  }

  @Test
  void anOutlineWrittenAgainstTheClockIsTurned() {
    assertThat(Curve.outline("0,4c 4,4c 4,0c 0,0c").area()).isPositive();
    // For a clockwise outline the normals point outward.
    Point up = Curve.oval(0, 0, 1, 1).normals().get(30);
    assertThat(up.y()).isCloseTo(-1, offset(0.02));
  }

  @Test
  void anOvalHasTheAreaAndLengthOfAnEllipse() {
    Curve oval = Curve.oval(2, 1, 3, 2);
    assertThat(oval.area()).isCloseTo(Math.PI * 6, offset(0.1));
    assertThat(oval.contains(new Point(4.9, 1))).isTrue();
    assertThat(oval.contains(new Point(4.9, 2.5))).isFalse();
    assertThat(oval.contains(new Point(9, 9))).isFalse();
  }

  @Test
  void aCapsuleIsABarWithTwoHalfDiscs() {
    Curve bar = Curve.capsule(new Point(0, 0), 1, new Point(0, 5), 1);
    assertThat(bar.area()).isCloseTo(10 + Math.PI, offset(0.05));
    assertThat(bar.top()).isCloseTo(-1, offset(1e-6));
    assertThat(bar.bottom()).isCloseTo(6, offset(1e-6));
  }

  /** Two squares that overlap by a quarter: 16 + 16 − 4. */
  @Test
  void aUnionIsOneOutline() {
    Curve union = Curve.union(List.of(SQUARE, SQUARE.shifted(2, 2)));
    assertThat(union.area()).isCloseTo(28, offset(1e-6));
    assertThat(union.contains(new Point(3, 3))).isTrue();
    assertThat(union.contains(new Point(5, 1))).isFalse();
  }

  @Test
  void resamplingKeepsTheLengthInEvenSteps() {
    Curve even = SQUARE.resampled(0.5);
    assertThat(even.points()).hasSize(32);
    assertThat(even.length()).isCloseTo(16, offset(1e-9));
    for (int i = 1; i < even.points().size(); i++) {
      assertThat(even.points().get(i).distanceTo(even.points().get(i - 1)))
          .isCloseTo(0.5, offset(1e-9));
    }
  }

  @Test
  void aLineCrossesASquareTwice() {
    assertThat(SQUARE.crossings(new Point(-1, 2), new Point(1, 0))).containsExactly(1, 5);
    assertThat(SQUARE.crossings(new Point(-1, 9), new Point(1, 0))).isEmpty();
  }

  @Test
  void aStrokeNeedsAWidthPerPoint() {
    assertThatThrownBy(() -> new Stroke(Curve.line("0,0 1,1"), new double[] {1}, 0.5))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("got 1 for 11");
    assertThatThrownBy(() -> Curve.open(List.of(new Point(0, 0))))
        .hasMessageContaining("two points, got 1");
  }

  @Test
  void aPlacementMovesTurnsAndMirrors() {
    Placement at = Placement.HERE.moved(10, 0).turned(90).scaled(2);
    assertThat(at.apply(new Point(1, 0)).distanceTo(new Point(10, 2))).isLessThan(1e-9);
    assertThat(at.scale()).isCloseTo(2, offset(1e-12));
    assertThat(at.mirrored().apply(SQUARE).area()).isCloseTo(64, offset(1e-6));
  }

  @Test
  void aSwellPeaksWhereItShouldAndEndsAsItShould() {
    Swell swell = new Swell(0.2, 0.5, 0.3);
    assertThat(swell.at(0)).isCloseTo(0.2, offset(1e-12));
    assertThat(swell.at(0.3)).isCloseTo(1, offset(1e-12));
    assertThat(swell.at(1)).isCloseTo(0.5, offset(1e-12));
  }
}
