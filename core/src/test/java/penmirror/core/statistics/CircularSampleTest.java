package penmirror.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.util.Random;
import org.apache.commons.numbers.complex.Complex;
import org.junit.jupiter.api.Test;

class CircularSampleTest {

  /** Against a general library: directions are complex numbers of length 1. */
  @Test
  void meanAndLengthAreThoseOfTheComplexSum() {
    Random random = new Random(3);
    for (int round = 0; round < 200; round++) {
      int n = 1 + random.nextInt(9);
      double[] degrees = random.doubles(n, -400, 400).toArray();
      double[] weights = random.doubles(n, 0.1, 3).toArray();
      Complex sum = Complex.ZERO;
      double weight = 0;
      for (int i = 0; i < n; i++) {
        sum = sum.add(Complex.ofPolar(weights[i], Math.toRadians(degrees[i])));
        weight += weights[i];
      }
      CircularSample sample = CircularSample.weighted(degrees, weights);
      assertThat(Math.IEEEremainder(sample.meanDegrees() - Math.toDegrees(sum.arg()), 360))
          .isCloseTo(0, offset(1e-9));
      assertThat(sample.resultantLength()).isCloseTo(sum.abs() / weight, offset(1e-12));
      assertThat(sample.meanDegrees()).isBetween(0.0, 360.0);
    }
  }

  @Test
  void goesTheShortWayRound() {
    assertThat(CircularSample.of(350, 10).meanDegrees() % 360).isCloseTo(0, offset(1e-9));
    assertThat(CircularSample.of(170, -170).meanDegrees()).isCloseTo(180, offset(1e-9));
  }

  /** For directions that lie close together it is the plain deviation. */
  @Test
  void deviationOfCloseDirectionsIsThePlainOne() {
    double[] degrees = {40, 42, 44, 41, 43};
    double plain = Math.sqrt(2); // with n below
    assertThat(CircularSample.of(degrees).deviationDegrees()).isCloseTo(plain, offset(0.001));
    assertThat(CircularSample.of(7, 7, 7).deviationDegrees()).isCloseTo(0, offset(1e-6));
  }

  @Test
  void needsAWeight() {
    assertThatThrownBy(() -> CircularSample.weighted(new double[] {3}, new double[] {0}))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("0");
  }
}
