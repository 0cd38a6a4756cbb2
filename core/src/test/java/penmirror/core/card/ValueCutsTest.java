package penmirror.core.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;

class ValueCutsTest {
  private static double[] histogram(double... lightnessAndArea) {
    double[] bins = new double[ValueCuts.BINS];
    for (int i = 0; i < lightnessAndArea.length; i += 2) {
      bins[(int) (lightnessAndArea[i] * ValueCuts.BINS)] += lightnessAndArea[i + 1];
    }
    return bins;
  }

  @Test
  void threeFlatTonesAreThreeValuesWithTheirAreas() {
    ValueCuts cuts = ValueCuts.of(List.of(histogram(0.05, 25, 0.5, 30, 0.95, 45))).orElseThrow();
    assertThat(cuts.levels())
        .extracting(ValueCuts.Level::share)
        .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1)
        .containsExactly(0.25, 0.3, 0.45);
    assertThat(cuts.levels().get(2).lightness()).isCloseTo(0.95, within(1.0 / ValueCuts.BINS));
    assertThat(cuts.left()).isCloseTo(0, within(1e-9));
    assertThat(cuts.of(0.55).lightness()).isCloseTo(0.5, within(0.02));
    assertThat(cuts.of(1).lightness()).isCloseTo(0.95, within(0.02));
  }

  /** Middle grey of encoded 0.5 has the OKLab lightness 0.598 (by its published matrices). */
  @Test
  void greysBecomeTheValueTheyBelongTo() {
    ValueCuts cuts = ValueCuts.of(List.of(histogram(0.2, 1, 0.9, 1))).orElseThrow();
    double[] table = cuts.table(64);
    assertThat(table).hasSize(64).isSorted();
    // Cut half way between both, at a lightness of 0.55.
    assertThat(table[26]).isEqualTo(table[0]);
    assertThat(table[31]).isEqualTo(table[63]);
    double light = cuts.levels().get(1).lightness();
    assertThat(OkLab.from(new EncodedSrgb(table[63], table[63], table[63])).lightness())
        .isCloseTo(light, within(0.005));
  }

  @Test
  void everyWorkCountsAlike() {
    ValueCuts cuts = ValueCuts.of(List.of(histogram(0.1, 1000), histogram(0.9, 10))).orElseThrow();
    assertThat(cuts.levels()).extracting(ValueCuts.Level::share).containsExactly(0.5, 0.5);
  }

  @Test
  void nothingAndOneToneAreNoValues() {
    assertThat(ValueCuts.of(List.of())).isEmpty();
    assertThat(ValueCuts.of(List.of(new double[ValueCuts.BINS]))).isEmpty();
    assertThat(ValueCuts.of(List.of(histogram(0.4, 9)))).isEmpty();
    assertThatThrownBy(() -> ValueCuts.of(List.of(new double[3])))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** Against every division there is, tried one by one. */
  @Test
  void noOtherDivisionLeavesLess() {
    Random random = new Random(5);
    for (int round = 0; round < 20; round++) {
      double[] bins = new double[ValueCuts.BINS];
      for (int i = 0; i < 11; i++) {
        bins[random.nextInt(ValueCuts.BINS)] += random.nextInt(1, 40);
      }
      ValueCuts cuts = ValueCuts.of(List.of(bins)).orElseThrow();
      int count = cuts.levels().size();
      double least = least(bins, 0, count);
      assertThat(cuts.left()).isCloseTo(least / least(bins, 0, 1), within(1e-9));
      if (count > 2) {
        assertThat(least(bins, 0, count - 1) / least(bins, 0, 1)).isGreaterThanOrEqualTo(0.1);
      }
      assertThat(cuts.levels().stream().mapToDouble(ValueCuts.Level::share).sum())
          .isCloseTo(1, within(1e-9));
    }
  }

  private static double least(double[] bins, int from, int groups) {
    if (groups == 1) {
      return spread(bins, from, bins.length);
    }
    double best = Double.POSITIVE_INFINITY;
    for (int cut = from + 1; cut < bins.length; cut++) {
      if (bins[cut] > 0) {
        best = Math.min(best, spread(bins, from, cut) + least(bins, cut, groups - 1));
      }
    }
    return best;
  }

  private static double spread(double[] bins, int from, int to) {
    double weight = 0;
    double mean = 0;
    for (int i = from; i < to; i++) {
      weight += bins[i];
      mean += bins[i] * i;
    }
    double sum = 0;
    for (int i = from; i < to && weight > 0; i++) {
      sum += bins[i] * Math.pow((i - mean / weight) / ValueCuts.BINS, 2);
    }
    return sum;
  }
}
