package penmirror.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

class WarpTest {
  private static final double HAIR = 1e-9;

  private static List<Warp.Pair> pairs(UnaryOperator<Point> where) {
    Random random = new Random(3);
    List<Warp.Pair> pairs = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      Point from = new Point(1000 * random.nextDouble(), 1400 * random.nextDouble());
      pairs.add(new Warp.Pair(from, where.apply(from)));
    }
    return pairs;
  }

  private static void assertEverywhere(Warp warp, UnaryOperator<Point> where) {
    for (int x = -200; x <= 1200; x += 97) {
      for (int y = -200; y <= 1600; y += 89) {
        assertThat(warp.at(x, y).distanceTo(where.apply(new Point(x, y)))).isLessThan(1e-6);
      }
    }
  }

  @Test
  void whatGoesNowhereStays() {
    assertEverywhere(Warp.of(pairs(p -> p)), p -> p);
    assertEverywhere(Warp.of(List.of()), p -> p);
  }

  /** Moved, turned and scaled alike, everything is: the method reproduces similarities. */
  @Test
  void aSimilarityIsKeptEverywhere() {
    UnaryOperator<Point> turned =
        p -> p.times(1.3).turnedAbout(new Point(400, 300), 25).plus(new Point(70, -40));
    assertEverywhere(Warp.of(pairs(turned)), turned);
    Warp.Pair one = new Warp.Pair(new Point(10, 10), new Point(30, 5));
    assertEverywhere(Warp.of(List.of(one)), p -> p.plus(new Point(20, -5)));
  }

  @Test
  void everyPointGoesExactlyWhereItShall() {
    Random random = new Random(8);
    List<Warp.Pair> pairs =
        pairs(p -> p.plus(new Point(60 * random.nextGaussian(), 60 * random.nextGaussian())));
    Warp warp = Warp.of(pairs);
    for (Warp.Pair pair : pairs) {
      assertThat(warp.at(pair.from().x(), pair.from().y()).distanceTo(pair.to())).isLessThan(HAIR);
      // And what lies beside it nearly there.
      Point beside = warp.at(pair.from().x() + 0.01, pair.from().y());
      assertThat(beside.distanceTo(pair.to())).isLessThan(0.2);
    }
  }

  /**
   * Worked by hand: three points at (−1,0), (1,0), (0,1), of which the last goes up to (0,2), seen
   * from (0,−1). Squared distances 2, 2, 4: weights a half, a half, a quarter, 1.25 together. The
   * middles lie at y = 0.2 and 0.4. Nothing turns; the scale is Σw(a·b) / Σw|a|², which is (1·(1 +
   * 0.2·0.4) + 0.25·0.8·1.6) / (1·(1 + 0.04) + 0.25·0.64) = 1.4 / 1.2, so that the place goes to
   * 0.4 − 1.2·1.4/1.2 = −1.
   */
  @Test
  void agreesWithACaseWorkedByHand() {
    Warp warp =
        Warp.of(
            List.of(
                new Warp.Pair(new Point(-1, 0), new Point(-1, 0)),
                new Warp.Pair(new Point(1, 0), new Point(1, 0)),
                new Warp.Pair(new Point(0, 1), new Point(0, 2))));
    assertThat(warp.at(0, -1).distanceTo(new Point(0, -1))).isLessThan(HAIR);
    // Half way up the middle: squared distances 1.25, 1.25, 0.25; weights 0.8, 0.8, 4.
    // Middles 4/5.6 and 8/5.6; scale (1.6·(1 + 0.7143·1.4286) + 4·0.2857·0.5714)
    // / (1.6·(1 + 0.5102) + 4·0.0816) = 3.8857 / 2.7429; 1.4286 − 0.2143·1.4167 = 1.125.
    assertThat(warp.at(0, 0.5).y()).isBetween(1.1249, 1.1251);
  }

  /** Soft, a point goes nearly there and its surroundings with it, without a spike. */
  @Test
  void softPullsHaveNoSpike() {
    List<Warp.Pair> pairs = new ArrayList<>(pairs(p -> p));
    pairs.add(new Warp.Pair(new Point(500, 700), new Point(510, 700)));
    Warp soft = Warp.soft(pairs, 12);
    double there = soft.at(500, 700).x() - 500;
    assertThat(there).isBetween(7.0, 10.0);
    assertThat(soft.at(503, 700).x() - 503).isBetween(there - 1, there + 1);
  }
}
