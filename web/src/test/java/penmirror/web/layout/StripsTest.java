package penmirror.web.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.style.Rule;
import penmirror.core.style.Strength;

class StripsTest {
  private static final Rule EYES =
      new Rule(FaceMeasures.EYE_LINE, 0.6, 0.01, 0.02, 4, Strength.ALWAYS, 1);

  @Test
  void theBandHoldsItsOwnWorksAndNotTheOthers() {
    StripPlot strip =
        StripPlot.of(
            EYES,
            List.of(
                new StripPlot.Entry(0.60, "A", "/a"),
                new StripPlot.Entry(0.615, "B", "/b"),
                new StripPlot.Entry(0.66, "C", "/c")));
    double from = number(strip.bandX());
    double to = from + number(strip.bandWidth());
    assertThat(number(strip.dots().get(0).x())).isBetween(from, to);
    assertThat(number(strip.dots().get(1).x())).isBetween(from, to);
    assertThat(number(strip.dots().get(2).x())).isGreaterThan(to);
    assertThat(strip.dots()).extracting(StripPlot.Dot::outside).containsExactly(false, false, true);
    assertThat(strip.dots()).extracting(StripPlot.Dot::href).containsExactly("/a", "/b", "/c");
    assertThat(number(strip.middleX())).isBetween(from, to);
  }

  @Test
  void everythingLiesOnTheStrip() {
    StripPlot strip =
        StripPlot.of(
            EYES,
            List.of(new StripPlot.Entry(0.2, "A", "/a"), new StripPlot.Entry(0.9, "B", "/b")));
    for (StripPlot.Dot dot : strip.dots()) {
      assertThat(number(dot.x())).isBetween(0.0, (double) StripPlot.WIDTH);
      assertThat(number(dot.y())).isBetween(0.0, (double) StripPlot.HEIGHT);
    }
    assertThat(number(strip.bandX())).isPositive();
  }

  /** A rule about the top of the circle: 350 and 10 are neighbours, and 180 is far away. */
  @Test
  void onACircleNeighboursLieSideBySide() {
    Rule light = new Rule(ShadeMeasures.LIGHT_FROM, 350, 5, 15, 4, Strength.USUALLY, 1);
    StripPlot strip =
        StripPlot.of(
            light,
            List.of(
                new StripPlot.Entry(345, "A", "/a"),
                new StripPlot.Entry(2, "B", "/b"),
                new StripPlot.Entry(60, "C", "/c")));
    double from = number(strip.bandX());
    double to = from + number(strip.bandWidth());
    assertThat(number(strip.bandWidth())).isPositive();
    assertThat(number(strip.dots().get(0).x())).isBetween(from, to);
    assertThat(number(strip.dots().get(1).x())).isBetween(from, to);
    assertThat(number(strip.dots().get(2).x())).isGreaterThan(to);
    assertThat(strip.high()).isEqualTo("70.2");
  }

  @Test
  void worksOnOneSpotStepAside() {
    StripPlot strip =
        StripPlot.of(
            EYES,
            List.of(
                new StripPlot.Entry(0.6, "A", "/a"),
                new StripPlot.Entry(0.6, "B", "/b"),
                new StripPlot.Entry(0.6, "C", "/c")));
    assertThat(strip.dots()).extracting(StripPlot.Dot::y).doesNotHaveDuplicates();
  }

  @Test
  void aRuleWithoutWorksStillHasItsBand() {
    StripPlot strip = StripPlot.of(EYES, List.of());
    assertThat(number(strip.bandWidth())).isPositive();
    assertThat(strip.dots()).isEmpty();
  }

  @Test
  void ratiosKeepTheirBandInTheMiddleOfItsScale() {
    Rule heads = new Rule(ProportionMeasures.STATURE, 4, 0.05, Math.log(2), 4, Strength.ALWAYS, 1);
    StripPlot strip = StripPlot.of(heads, List.of());
    double middle = number(strip.bandX()) + number(strip.bandWidth()) / 2;
    assertThat(number(strip.middleX())).isCloseTo(middle, Offset.offset(0.2));
  }

  /** Every band is drawn as wide, so a tolerance is the same distance in every row. */
  @Test
  void aReadingStandsAtItsDistanceInTolerances() {
    double perTolerance = (ReadingStrip.BAND_TO - ReadingStrip.BAND_FROM) / 2;
    assertThat(number(ReadingStrip.of(EYES, 0.60).x())).isEqualTo(55);
    assertThat(number(ReadingStrip.of(EYES, 0.64).x())).isEqualTo(55 + 2 * perTolerance);
    assertThat(ReadingStrip.of(EYES, 0.619).misses()).isFalse();
    assertThat(ReadingStrip.of(EYES, 0.63).misses()).isTrue();
    assertThat(number(ReadingStrip.of(EYES, 0.57).edgeX())).isEqualTo(ReadingStrip.BAND_FROM);
  }

  /** Where several works lie outside the band it is drawn how far, and a miss begins there. */
  @Test
  void whatSeveralWorksDoIsDrawnOutOfTheBand() {
    Rule roomy =
        new Rule(
            FaceMeasures.EYE_LINE,
            0.6,
            0.01,
            0.02,
            new Rule.Room(0.04, 0.01),
            12,
            Strength.ALWAYS,
            1,
            Rule.Grounds.ALL);
    double perTolerance = (ReadingStrip.BAND_TO - ReadingStrip.BAND_FROM) / 2;
    ReadingStrip near = ReadingStrip.of(roomy, 0.565);
    assertThat(near.misses()).isFalse();
    assertThat(number(near.x())).isLessThan(ReadingStrip.BAND_FROM);
    assertThat(near.room()).isEqualTo("M38.0 11H21.0m0 -4v8");
    ReadingStrip low = ReadingStrip.of(roomy, 0.55);
    assertThat(low.misses()).isTrue();
    assertThat(number(low.edgeX())).isEqualTo(55 - 2 * perTolerance);
    assertThat(number(ReadingStrip.of(roomy, 0.63).edgeX())).isEqualTo(ReadingStrip.BAND_TO);
    assertThat(ReadingStrip.of(EYES, 0.6).room()).isEmpty();
  }

  @Test
  void aReadingFarOffIsHeldAtTheEdgeAndSaysSo() {
    ReadingStrip far = ReadingStrip.of(EYES, 0.99);
    assertThat(far.offScale()).isTrue();
    assertThat(number(far.x())).isLessThanOrEqualTo(110);
    assertThat(ReadingStrip.of(EYES, 0.6).offScale()).isFalse();
  }

  private static double number(String text) {
    return Double.parseDouble(text);
  }
}
