package penmirror.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Against the textbook's formulas for what has one. */
class BootstrapTest {
  private static final int PIECES = 200;

  private static double[] normal(long seed, double mean, double deviation) {
    Random random = new Random(seed);
    return random.doubles(PIECES).map(x -> mean + deviation * random.nextGaussian()).toArray();
  }

  private static double mean(double[] values, int[] some) {
    return Arrays.stream(some).mapToDouble(i -> values[i]).average().orElseThrow();
  }

  @Test
  void theErrorOfAMeanIsTheDeviationOverTheRootOfTheCount() {
    double[] values = normal(1, 1e6, 3);
    double mean = Arrays.stream(values).average().orElseThrow();
    double variance = Arrays.stream(values).map(v -> (v - mean) * (v - mean)).sum() / (PIECES - 1);
    assertThat(Bootstrap.error(PIECES, drawn -> mean(values, drawn)))
        .isCloseTo(Math.sqrt(variance / PIECES), withPercentage(25));
  }

  @Test
  void severalStatisticsHaveTheErrorsTheyHaveAlone() {
    double[] values = normal(2, 5, 1);
    double[] errors =
        Bootstrap.errors(
            PIECES, 2, drawn -> new double[] {mean(values, drawn), 10 * mean(values, drawn)});
    assertThat(errors[0]).isEqualTo(Bootstrap.error(PIECES, drawn -> mean(values, drawn)));
    assertThat(errors[1]).isCloseTo(10 * errors[0], offset(1e-9));
  }

  @Test
  void whatADrawDoesNotTellIsLeftOut() {
    int[] draws = {0};
    double error = Bootstrap.error(10, drawn -> draws[0]++ % 2 == 0 ? Double.NaN : drawn[0]);
    assertThat(error).isBetween(1.5, 4.5);
    assertThat(Bootstrap.error(10, drawn -> Double.NaN)).isZero();
  }

  @Test
  void onePieceHasNoError() {
    assertThat(Bootstrap.error(1, drawn -> 3)).isZero();
    assertThat(Bootstrap.errors(0, 3, drawn -> new double[3])).containsExactly(0, 0, 0);
  }

  /** Variance of a ratio of sums by linearisation (Cochran, Sampling Techniques, 1977, 2.11). */
  @Test
  void aRatioHasTheErrorOfItsResiduals() {
    Random random = new Random(4);
    Ratio ratio = new Ratio();
    double[] parts = new double[PIECES];
    double[] wholes = new double[PIECES];
    for (int i = 0; i < PIECES; i++) {
      wholes[i] = 1 + 5 * random.nextDouble();
      parts[i] = wholes[i] * (0.2 + 0.3 * random.nextDouble());
      ratio.add(parts[i], wholes[i]);
    }
    double whole = Arrays.stream(wholes).sum();
    double value = Arrays.stream(parts).sum() / whole;
    double squares = 0;
    for (int i = 0; i < PIECES; i++) {
      squares += Math.pow(parts[i] - value * wholes[i], 2);
    }
    assertThat(ratio.value()).isCloseTo(value, offset(1e-12));
    assertThat(ratio.whole()).isCloseTo(whole, offset(1e-9));
    assertThat(ratio.error())
        .isCloseTo(Math.sqrt(squares * PIECES / (PIECES - 1)) / whole, withPercentage(25));
  }

  @Test
  void aRatioOfNothingIsNone() {
    Ratio empty = new Ratio().add(0, 0);
    assertThat(empty.whole()).isZero();
    assertThat(empty.value()).isNaN();
    assertThat(empty.error()).isZero();
    assertThat(new Ratio().add(3, 4).error()).isZero();
  }
}
