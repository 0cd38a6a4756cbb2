package penmirror.core.proposal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.figure.Landmark;

/** Stated chances: what they must do whatever was fitted, and the one that has a formula. */
class ConfidenceTest {

  /** Points thrown by chance, as many as it takes to tell a hundredth. */
  @ParameterizedTest
  @ValueSource(doubles = {0.015, 0.03, 0.05, 0.1, 0.3})
  void theChanceOfASpreadIsTheShareOfACloudWithinATwentieth(double spread) {
    Random random = new Random(8);
    int throwsInAll = 60_000;
    int within = 0;
    for (int i = 0; i < throwsInAll; i++) {
      double off = Math.hypot(spread * random.nextGaussian(), spread * random.nextGaussian());
      within += off <= 0.05 ? 1 : 0;
    }
    double share = within / (double) throwsInAll;
    assertThat(Confidence.ofSpread(spread)).isCloseTo(Math.min(0.95, share), offset(0.01));
  }

  @Test
  void aNewFigureLiesNearerThanTheSpreadThatIsKeptWide() {
    assertThat(Confidence.ofLearnedSpread(0.08)).isGreaterThan(Confidence.ofSpread(0.08));
  }

  @ParameterizedTest
  @EnumSource(Landmark.class)
  void withMarkedFiguresTheOrderStays(Landmark landmark) {
    double before = 0;
    for (double chance = 0; chance <= 1.001; chance += 0.05) {
      double now = Confidence.withMarked(landmark, Math.min(1, chance));
      assertThat(now).as("at %s", chance).isBetween(before, 0.98);
      before = now;
    }
    assertThat(before).isPositive();
  }

  /**
   * Eyes are what marked faces help most with; of hair, each head's own, they make nothing surer.
   */
  @Test
  void markedFiguresMakeEyesSurerThanHair() {
    double eye = Confidence.withMarked(Landmark.EYE_L_OUTER, 0.7);
    double hair = Confidence.withMarked(Landmark.HAIR_L, 0.7);
    assertThat(eye).isGreaterThan(0.8);
    assertThat(hair).isLessThan(0.7);
    assertThat(Confidence.withMarked(Landmark.SHOULDER_L, 0.08)).isLessThan(0.1);
  }

  @Test
  void aSeenPointIsSurerTheNearerItLiesToWhereMarkedFiguresHaveIt() {
    double near = Confidence.agreeing(0.6, 0.1, 0.5);
    double far = Confidence.agreeing(0.6, 2.5, 0.5);
    assertThat(near).isGreaterThan(0.6);
    assertThat(far).isLessThan(0.6);
    assertThat(Confidence.agreeing(0.6, 0.1, 0.9)).isGreaterThan(near);
    assertThat(Confidence.agreeing(1, 0, 1)).isLessThanOrEqualTo(0.99);
  }

  @Test
  void aPairThatScoresMoreIsRatherTheEyes() {
    assertThat(Confidence.ofPair(9, 0.5)).isGreaterThan(Confidence.ofPair(5, 0.5));
    assertThat(Confidence.ofPair(5, 0.8)).isGreaterThan(Confidence.ofPair(5, 0.5));
    assertThat(Confidence.ofPair(-50, 0)).isBetween(0.0, 1e-6);
  }
}
