package penmirror.demoart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.List;
import org.junit.jupiter.api.Test;
import penmirror.core.geometry.Point;

class WarpTest {
  private static final List<Point> PLACES =
      List.of(new Point(0, 0), new Point(100, 0), new Point(0, 100), new Point(120, 90));

  @Test
  void placesLandOnTheirTargets() {
    List<Point> targets =
        List.of(new Point(5, -3), new Point(140, 10), new Point(-8, 90), new Point(150, 120));
    Warp warp = Warp.landing(PLACES, targets);
    for (int i = 0; i < PLACES.size(); i++) {
      assertThat(warp.apply(PLACES.get(i)).distanceTo(targets.get(i))).isLessThan(0.05);
    }
  }

  /** If all places move alike, everything between them moves alike too. */
  @Test
  void aCommonMoveIsTheMoveOfEverything() {
    List<Point> shifted = PLACES.stream().map(p -> p.plus(new Point(30, -7))).toList();
    Point moved = Warp.landing(PLACES, shifted).apply(new Point(41, 63));
    assertThat(moved.distanceTo(new Point(71, 56))).isLessThan(1e-6);
  }

  @Test
  void stretchingLeavesWhatLiesAbove() {
    Warp stretch = Warp.stretchBelow(50, 2);
    assertThat(stretch.apply(new Point(3, 40))).isEqualTo(new Point(3, 40));
    assertThat(stretch.apply(new Point(3, 60))).isEqualTo(new Point(3, 70));
  }

  @Test
  void wideningEasesIn() {
    Warp wide = Warp.widenBelow(100, 50, 2);
    assertThat(wide.apply(new Point(60, 90))).isEqualTo(new Point(60, 90));
    assertThat(wide.apply(new Point(60, 120)).x()).isCloseTo(65, offset(1e-9));
    assertThat(wide.apply(new Point(60, 200)).x()).isCloseTo(70, offset(1e-9));
    assertThat(wide.apply(new Point(50, 200)).x()).isCloseTo(50, offset(1e-9));
  }

  @Test
  void oneAfterTheOther() {
    Warp both = Warp.shift(10, 0).then(Warp.mirror(50));
    assertThat(both.apply(new Point(20, 5))).isEqualTo(new Point(70, 5));
    assertThat(Warp.NONE.apply(new Point(1, 2))).isEqualTo(new Point(1, 2));
  }

  @Test
  void growthIsThatOfSmallLengths() {
    Warp half = p -> p.times(0.5);
    assertThat(half.scaleAt(new Point(300, 20))).isCloseTo(0.5, offset(1e-9));
    assertThat(Warp.turn(new Point(0, 0), 30).scaleAt(new Point(9, 9))).isCloseTo(1, offset(1e-9));
  }
}
