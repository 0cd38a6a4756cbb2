package penmirror.core.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Scale;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.shade.ShadeMeasures;

class StyleSheetTest {

  /** Worked by hand: n = 3, values .60 .61 .64, s = .0208167, s0 = .018. */
  @Test
  void toleranceMixesTheWorksSpreadWithTheUsualOne() {
    StyleSheet sheet = sheet(FaceMeasures.EYE_LINE, 0.60, 0.61, 0.64);
    Rule rule = sheet.rule(FaceMeasures.EYE_LINE).orElseThrow();
    double s =
        Math.sqrt((0.0166667 * 0.0166667 + 0.0066667 * 0.0066667 + 0.0233333 * 0.0233333) / 2);
    assertThat(rule.centre()).isEqualTo(0.61);
    assertThat(rule.spread()).isCloseTo(0.02, offset(1e-9));
    assertThat(rule.tolerance())
        .isCloseTo(Math.sqrt((4 * 0.018 * 0.018 + 2 * s * s) / 6), offset(1e-6));
  }

  /** Shoulders from the side say nothing against shoulders from the front; heads tall do. */
  @Test
  void aDrawingFromAnotherSideIsHeldAgainstWhatTurnsWithItAlone() {
    Measure wide = ProportionMeasures.SHOULDERS;
    assertThat(sheet(wide, 1.2, 1.3).ruleFor(wide, View.FRONT)).isPresent();
    assertThat(sheet(wide, 1.2, 1.3).ruleFor(wide, View.SIDE)).isEmpty();
    Measure tall = ProportionMeasures.STATURE;
    assertThat(sheet(tall, 4, 4.2).ruleFor(tall, View.SIDE)).isPresent();
  }

  @Test
  void oneWorkTakesTheUsualSpread() {
    Rule rule = sheet(FaceMeasures.EYE_LINE, 0.61).rule(FaceMeasures.EYE_LINE).orElseThrow();
    assertThat(rule.tolerance()).isEqualTo(FaceMeasures.EYE_LINE.spreadWithinStyle());
    assertThat(rule.readingCount()).isEqualTo(1);
  }

  @Test
  void identicalWorksNeverGetUnderTheFloor() {
    double[] same = new double[200];
    Arrays.fill(same, 0.61);
    Rule rule = sheet(FaceMeasures.EYE_LINE, same).rule(FaceMeasures.EYE_LINE).orElseThrow();
    assertThat(rule.tolerance()).isEqualTo(FaceMeasures.EYE_LINE.floorTolerance());
  }

  /** Twelve works, two of which have much higher eyes: one that does as they do misses nothing. */
  @Test
  void whatSeveralOfTheWorksDoIsNoMiss() {
    double[] eyes = {.60, .60, .60, .61, .61, .61, .61, .62, .62, .62, .50, .51};
    Rule rule = sheet(FaceMeasures.EYE_LINE, eyes).rule(FaceMeasures.EYE_LINE).orElseThrow();
    assertThat(rule.holds(0.52)).as("outside the band").isFalse();
    assertThat(rule.apart(0.52)).isLessThan(-1.5);
    assertThat(rule.z(0.52)).isEqualTo(-1);
    assertThat(rule.z(0.51)).as("as far as two works go").isCloseTo(-1, offset(1e-9));
    assertThat(rule.z(0.51 - rule.tolerance()))
        .as("beyond it as everywhere")
        .isCloseTo(-2, offset(1e-9));
    assertThat(rule.reach(false)).as("the other side").isEqualTo(rule.tolerance());
    assertThat(rule.z(0.61 + 2 * rule.tolerance())).isCloseTo(2, offset(1e-9));
  }

  /** One work alone may be a slip of its own, and so may one in eight of many. */
  @Test
  void whatOneWorkDoesGivesNoRoom() {
    double[] eyes = {.60, .60, .60, .61, .61, .61, .61, .62, .62, .62, .62, .50};
    Rule rule = sheet(FaceMeasures.EYE_LINE, eyes).rule(FaceMeasures.EYE_LINE).orElseThrow();
    assertThat(rule.reach(true)).isEqualTo(rule.tolerance());
    double[] sixteen = Arrays.copyOf(eyes, 16);
    Arrays.fill(sixteen, 11, 14, .61);
    Arrays.fill(sixteen, 14, 16, .50);
    rule = sheet(FaceMeasures.EYE_LINE, sixteen).rule(FaceMeasures.EYE_LINE).orElseThrow();
    assertThat(rule.reach(true)).as("two of sixteen").isEqualTo(rule.tolerance());
    Arrays.fill(sixteen, 13, 16, .50);
    rule = sheet(FaceMeasures.EYE_LINE, sixteen).rule(FaceMeasures.EYE_LINE).orElseThrow();
    assertThat(rule.reach(true)).as("three of sixteen").isCloseTo(0.11, offset(1e-9));
  }

  /** A ratio of 4.2 with a tolerance of ln 1.1 has its band from 4.2 / 1.1 to 4.2 · 1.1. */
  @Test
  void ratiosAreWorkedInLogarithms() {
    Rule rule = new Rule(ProportionMeasures.STATURE, 4.2, 0, Math.log(1.1), 5, Strength.ALWAYS, 1);
    assertThat(rule.low()).isCloseTo(4.2 / 1.1, offset(1e-9));
    assertThat(rule.high()).isCloseTo(4.2 * 1.1, offset(1e-9));
    assertThat(rule.z(4.2 * 1.1 * 1.1)).isCloseTo(2, offset(1e-9));
  }

  /** Once told as 335 to 365, with a middle of 350 or of -10 as the works happened to lie. */
  @Test
  void onACircleEveryNumberIsToldWithinOneRound() {
    Rule rule =
        sheet(ShadeMeasures.LIGHT_FROM, 355, 350, 5, 10, 2)
            .rule(ShadeMeasures.LIGHT_FROM)
            .orElseThrow();
    assertThat(rule.centre()).isCloseTo(2, offset(1e-9));
    assertThat(rule.low()).isBetween(300.0, 360.0);
    assertThat(rule.high()).isBetween(0.0, 60.0);
    assertThat(rule.z(358)).isNegative();
    assertThat(Scale.AXIAL.told(95)).isEqualTo(-85);
    assertThat(Scale.AXIAL.told(90)).isEqualTo(90);
    assertThat(Scale.CIRCULAR.told(-10)).isEqualTo(350);
    assertThat(Scale.CIRCULAR.told(360)).isZero();
  }

  @Test
  void widthsAreRuledWithinOneViewAndHeightsOverAll() {
    List<MeasuredWork> works = new ArrayList<>();
    works.add(
        work("1", View.FRONT, Map.of(FaceMeasures.EYE_LINE, 0.6, FaceMeasures.EYE_SPACING, 1.0)));
    works.add(
        work("2", View.SIDE, Map.of(FaceMeasures.EYE_LINE, 0.62, FaceMeasures.EYE_SPACING, 0.3)));
    StyleSheet sheet = StyleSheet.of("x", View.FRONT, works);
    assertThat(sheet.rule(FaceMeasures.EYE_LINE).orElseThrow().readingCount()).isEqualTo(2);
    assertThat(sheet.rule(FaceMeasures.EYE_SPACING).orElseThrow().centre()).isEqualTo(1.0);
    assertThat(sheet.worksRuledOn(FaceMeasures.EYE_SPACING))
        .extracting(MeasuredWork::id)
        .containsExactly("1");
  }

  @Test
  void aMeasureThatFewWorksHaveIsShownAndNotScored() {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      works.add(
          work(
              "" + i,
              View.FRONT,
              i < 2 ? Map.of(ProportionMeasures.LEGS, 0.4) : Map.of(FaceMeasures.EYE_LINE, 0.6)));
    }
    Rule rule = StyleSheet.of("x", View.FRONT, works).rule(ProportionMeasures.LEGS).orElseThrow();
    assertThat(rule.strength()).isEqualTo(Strength.FREE);
    assertThat(rule.isScored()).isFalse();
  }

  @Test
  void aLooseMeasureIsFree() {
    Rule rule =
        sheet(FaceMeasures.EYE_LINE, 0.4, 0.5, 0.6, 0.7, 0.8)
            .rule(FaceMeasures.EYE_LINE)
            .orElseThrow();
    assertThat(rule.strength()).isEqualTo(Strength.FREE);
  }

  /** Ten like measures count as about three: a group's weights sum to the root of their raw sum. */
  @Test
  void weightsWithinAGroupAreShared() {
    Map<Measure, Double> values =
        Map.of(
            FaceMeasures.EYE_LINE, 0.6,
            FaceMeasures.NOSE_BASE_HEIGHT, 0.78,
            FaceMeasures.MOUTH_LINE, 0.86);
    StyleSheet sheet = StyleSheet.of("x", View.FRONT, List.of(work("1", View.FRONT, values)));
    double raw =
        values.keySet().stream()
            .mapToDouble(
                m -> Math.log(1 + m.spreadAmongStyles() / m.spreadWithinStyle()) / Math.log(2))
            .sum();
    double shared = sheet.rules().stream().mapToDouble(Rule::weight).sum();
    assertThat(shared).isCloseTo(Math.sqrt(raw), offset(1e-9));
  }

  @Test
  void lineByFigureStandsInOnlyWithoutHeads() {
    Map<Measure, Double> both =
        Map.of(LineMeasures.WIDTH, 20.0, LineMeasures.WIDTH_BY_FIGURE, 12.0);
    StyleSheet marked = StyleSheet.of("x", View.FRONT, List.of(work("1", View.FRONT, both)));
    StyleSheet bare =
        StyleSheet.of(
            "x",
            View.FRONT,
            List.of(work("1", View.FRONT, Map.of(LineMeasures.WIDTH_BY_FIGURE, 12.0))));
    assertThat(marked.rules()).extracting(Rule::measure).containsExactly(LineMeasures.WIDTH);
    assertThat(bare.rules())
        .extracting(Rule::measure)
        .containsExactly(LineMeasures.WIDTH_BY_FIGURE);
  }

  @Test
  void noWorksMakeNoRules() {
    assertThat(StyleSheet.of("x", View.FRONT, List.of()).rules()).isEmpty();
    assertThat(StyleSheet.mostFrequentView(List.of())).isEqualTo(View.FRONT);
  }

  private static StyleSheet sheet(Measure measure, double... values) {
    List<MeasuredWork> works = new ArrayList<>();
    for (double value : values) {
      works.add(work("" + works.size(), View.FRONT, Map.of(measure, value)));
    }
    return StyleSheet.of("x", View.FRONT, works);
  }

  private static MeasuredWork work(String id, View view, Map<Measure, Double> values) {
    return new MeasuredWork(id, "Work " + id, "", view, values, List.of());
  }

  /** Light from 350 and from 10 degrees comes from above, and 5 is within its band. */
  @Test
  void directionsAreRuledTheShortWayRound() {
    List<MeasuredWork> works = new ArrayList<>();
    for (double from : new double[] {350, 10, 356, 4, 0}) {
      works.add(
          new MeasuredWork(
              "" + from, "", "", View.FRONT, Map.of(ShadeMeasures.LIGHT_FROM, from), List.of()));
    }
    Rule rule =
        StyleSheet.of("Light", View.FRONT, works).rule(ShadeMeasures.LIGHT_FROM).orElseThrow();
    assertThat(Math.IEEEremainder(rule.centre(), 360)).isCloseTo(0, offset(1e-6));
    assertThat(Math.abs(rule.z(5))).isLessThan(1);
    assertThat(Math.abs(rule.z(355))).isLessThan(1);
    assertThat(Math.abs(rule.z(180))).isGreaterThan(5);
    assertThat(rule.tolerance()).isLessThan(30);
  }
}
