package penmirror.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.Random;
import org.junit.jupiter.api.Test;

class WeightedSampleTest {

  @Test
  void halfOfTheWeightLiesBelowTheMedian() {
    WeightedSample sample =
        WeightedSample.builder().add(9, 1).add(1, 5).add(2, 3).add(Double.NaN, 9).add(4, 0).build();
    assertThat(sample.size()).isEqualTo(3);
    assertThat(sample.weight()).isEqualTo(9);
    assertThat(sample.median()).isEqualTo(1);
    assertThat(sample.quantile(0.6)).isEqualTo(2);
    assertThat(sample.quantile(1)).isEqualTo(9);
  }

  @Test
  void nothingHasNoMedianAndNoError() {
    WeightedSample none = WeightedSample.builder().build();
    assertThat(none.median()).isNaN();
    assertThat(none.medianError()).isZero();
  }

  /** The median of a normal sample errs by √(π/2) σ/√n, a fact of every handbook. */
  @Test
  void theErrorOfAMedianIsThatOfTheory() {
    Random random = new Random(8);
    double sum = 0;
    int rounds = 40;
    int n = 400;
    for (int round = 0; round < rounds; round++) {
      WeightedSample.Builder builder = WeightedSample.builder();
      for (int i = 0; i < n; i++) {
        builder.add(10 + 2 * random.nextGaussian(), 1);
      }
      sum += builder.build().medianError();
    }
    double theory = Math.sqrt(Math.PI / 2) * 2 / Math.sqrt(n);
    assertThat(sum / rounds).isCloseTo(theory, withPercentage(15));
  }

  /** The error of a mean is σ/√n. */
  @Test
  void theErrorOfARatioOfSumsIsThatOfTheory() {
    Random random = new Random(5);
    double[] parts = new double[500];
    double[] wholes = new double[500];
    for (int i = 0; i < parts.length; i++) {
      parts[i] = 3 + random.nextGaussian();
      wholes[i] = 1;
    }
    assertThat(Bootstrap.errorOfRatio(parts, wholes))
        .isCloseTo(1 / Math.sqrt(500), withPercentage(25));
    assertThat(Bootstrap.errorOfRatio(new double[] {1}, new double[] {2})).isZero();
  }
}
