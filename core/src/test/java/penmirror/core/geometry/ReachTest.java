package penmirror.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class ReachTest {
  @Test
  void noCoordinateBeyondFourSidesOfTheLargestPicture() {
    assertThat(Reach.holds(-65_536)).isTrue();
    assertThat(Reach.holds(65_537)).isFalse();
    assertThat(Reach.holds(Double.NaN)).isFalse();
    assertThat(Reach.holds(Double.NEGATIVE_INFINITY)).isFalse();
  }

  @Test
  void aPointMayLieBesideAPictureByItsLongerSide() {
    assertThat(Reach.holds(new Point(-200, 300), 100, 200)).isTrue();
    assertThat(Reach.holds(new Point(-201, 10), 100, 200)).isFalse();
    assertThat(Reach.holds(new Point(10, 401), 100, 200)).isFalse();
  }
}
