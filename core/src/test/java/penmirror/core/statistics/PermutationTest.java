package penmirror.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.Random;
import org.apache.commons.math3.stat.inference.TTest;
import org.junit.jupiter.api.Test;

class PermutationTest {

  /** By hand: of the twenty ways to deal 1 to 6 into threes two are as far apart as these. */
  @Test
  void fewValuesAreDealtInEveryWay() {
    assertThat(Permutation.chance(new double[] {1, 2, 3}, new double[] {4, 5, 6}))
        .isCloseTo(2 / 20.0, offset(1e-12));
    assertThat(Permutation.chance(new double[] {1, 6, 3}, new double[] {4, 5, 2})).isEqualTo(1);
  }

  /** On normal values it comes to what Student's test says (commons-math). */
  @Test
  void manyValuesComeToWhatStudentSays() {
    Random random = new Random(5);
    for (double shift : new double[] {0, 0.3, 0.6}) {
      double[] one = random.doubles(40, 0, 1).map(u -> random.nextGaussian()).toArray();
      double[] other = random.doubles(35, 0, 1).map(u -> random.nextGaussian() + shift).toArray();
      double student = new TTest().homoscedasticTTest(one, other);
      assertThat(Permutation.chance(one, other)).isCloseTo(student, offset(0.02));
    }
  }

  /** Where nothing is there but chance, one in ten lies under a tenth. */
  @Test
  void chanceIsCalledChance() {
    Random random = new Random(9);
    int under = 0;
    int tries = 400;
    for (int i = 0; i < tries; i++) {
      double[] one = random.doubles(5).toArray();
      double[] other = random.doubles(5).toArray();
      under += Permutation.chance(one, other) <= 0.1 ? 1 : 0;
    }
    assertThat(under / (double) tries).isBetween(0.06, 0.14);
  }

  @Test
  void allAlikeOrNoneAtAllIsNoDifference() {
    assertThat(Permutation.chance(new double[] {2, 2}, new double[] {2, 2, 2})).isEqualTo(1);
    assertThat(Permutation.chance(new double[0], new double[] {1})).isEqualTo(1);
    assertThat(Permutation.chance(new double[] {3}, new double[] {1})).isEqualTo(1);
  }
}
