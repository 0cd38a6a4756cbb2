package penmirror.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
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
  void whatLiesFarOutMovesNoMiddleMean() {
    WeightedSample sample =
        WeightedSample.builder().add(1, 2).add(2, 4).add(3, 3).add(1000, 1).build();
    // Of the ten parts the outer two drop off: (1 + 2·4 + 3·3) / 8.
    assertThat(sample.middleMean(0.1, 0.9)).isCloseTo(18 / 8.0, within(1e-12));
    assertThat(sample.middleMean(0, 1)).isCloseTo((2 + 8 + 9 + 1000) / 10.0, within(1e-12));
    assertThat(sample.mapped(x -> x < 3 ? 2 * x : Double.NaN).weight()).isEqualTo(6);
  }

  /** The error of a mean is σ/√n, a fact of every handbook. */
  @Test
  void theErrorOfAMeanIsThatOfTheory() {
    Random random = new Random(3);
    WeightedSample.Builder builder = WeightedSample.builder();
    for (int i = 0; i < 900; i++) {
      builder.add(10 + 2 * random.nextGaussian(), 3);
    }
    assertThat(builder.build().meanError()).isCloseTo(2 / 30.0, withPercentage(6));
    assertThat(WeightedSample.builder().add(4, 1).build().meanError()).isZero();
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
