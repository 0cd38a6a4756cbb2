package penmirror.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SampleTest {

  /** NIST Statistical Reference Datasets, univariate summary statistics, NumAcc1. */
  @Test
  void nistNumAcc1() {
    Sample sample = Sample.of(10000001, 10000003, 10000002);
    assertThat(sample.mean()).isEqualTo(10000002);
    assertThat(sample.standardDeviation()).isEqualTo(1);
  }

  /** NIST NumAcc2 to 4: 1001 values about 1.2, 1000000.2 and 10000000.2; deviation exactly 0.1. */
  @ParameterizedTest
  @CsvSource({"1.2, 1e-12", "1000000.2, 1e-8", "10000000.2, 1e-7"})
  void nistNumAcc2To4(double middle, double tolerance) {
    double[] values =
        IntStream.range(0, 1001)
            .mapToDouble(i -> i == 0 ? middle : i % 2 == 1 ? middle - 0.1 : middle + 0.1)
            .toArray();
    assertThat(Sample.of(values).mean()).isCloseTo(middle, offset(middle * 1e-14));
    assertThat(Sample.of(values).standardDeviation()).isCloseTo(0.1, offset(tolerance));
  }

  @Test
  void medianOfOddAndEven() {
    assertThat(Sample.of(3, 1, 2).median()).isEqualTo(2);
    assertThat(Sample.of(4, 1, 3, 2).median()).isEqualTo(2.5);
    assertThat(Sample.of(7).median()).isEqualTo(7);
  }

  @Test
  void spreadIsHalfTheRangeBelowFourValues() {
    assertThat(Sample.of(1, 2, 5).spread()).isEqualTo(2);
    assertThat(Sample.of(5).spread()).isZero();
  }

  /** Deviations from the median 3 are 2, 1, 0, 1, 97: their median is 1. */
  @Test
  void oneWildValueDoesNotBlowUpTheSpread() {
    assertThat(Sample.of(1, 2, 3, 4, 100).spread()).isCloseTo(1.4826, offset(1e-12));
  }

  @Test
  void oneWildValueDoesNotBlowUpTheTrimmedDeviation() {
    double[] clean = {0.60, 0.61, 0.62, 0.61, 0.60, 0.62, 0.61};
    double[] wild = Arrays.copyOf(clean, 8);
    wild[7] = 0.9;
    assertThat(Sample.of(wild).trimmedStandardDeviation()).isLessThan(0.013);
    assertThat(Sample.of(wild).standardDeviation()).isGreaterThan(0.1);
  }

  /** The factor is what it says: on normal samples the trimmed deviation averages the true one. */
  @ParameterizedTest
  @ValueSource(ints = {6, 8, 12, 16})
  void trimmedDeviationIsUnbiasedOnNormalSamples(int size) {
    Random random = new Random(5);
    double sum = 0;
    int runs = 20_000;
    for (int run = 0; run < runs; run++) {
      double[] values = random.doubles(size).map(d -> random.nextGaussian()).toArray();
      sum += Sample.of(values).trimmedStandardDeviation();
    }
    // The tabled factors have three digits; the mean of 20 000 runs is good to about 0.002.
    assertThat(sum / runs).isCloseTo(1, offset(0.02));
  }

  @Test
  void factorRunsStraightBetweenTheTabledSizes() {
    assertThat(Sample.shrinkFactor(6)).isEqualTo(.677);
    assertThat(Sample.shrinkFactor(14)).isCloseTo((.815 + .852) / 2, offset(1e-12));
    assertThat(Sample.shrinkFactor(40)).isEqualTo(.852);
  }

  @Test
  void refusesNothingAndNonsense() {
    assertThatThrownBy(Sample::of).hasMessageContaining("at least one");
    assertThatThrownBy(() -> Sample.of(1, Double.NaN)).hasMessageContaining("NaN");
  }

  @Test
  void aWeightedMedianIsThatOfRepeatedValues() {
    double[] values = {5, 1, 9, 4};
    assertThat(Sample.weightedMedian(values, new double[] {1, 1, 1, 1}))
        .isEqualTo(Sample.of(values).median());
    assertThat(Sample.weightedMedian(values, new double[] {2, 1, 4, 2}))
        .isEqualTo(Sample.of(5, 5, 1, 9, 9, 9, 9, 4, 4).median());
    assertThat(Sample.weightedMedian(values, new double[] {0.5, 2, 0.5, 1}))
        .isEqualTo(Sample.of(5, 1, 1, 1, 1, 9, 4, 4).median());
    assertThat(Sample.weightedMedian(new double[] {3}, new double[] {0.5})).isEqualTo(3);
  }
}
