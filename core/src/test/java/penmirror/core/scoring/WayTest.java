package penmirror.core.scoring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Canon;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.WayWords;

/** The realistic adult's rules, and readings so many tolerances off them. */
class WayTest {
  private static final MeasuredWork ADULT =
      MeasuredWork.of("1", "The adult", "", new Evidence(Canon.realistic(), Optional.empty()));
  private static final StyleSheet SHEET =
      StyleSheet.of("The adult", View.FRONT, List.of(ADULT, ADULT, ADULT));

  private static Map<Measure, Double> off(double eyeLine, double mouth) {
    Map<Measure, Double> values = new HashMap<>(ADULT.values());
    values.put(FaceMeasures.EYE_LINE, at(FaceMeasures.EYE_LINE, eyeLine));
    values.put(FaceMeasures.MOUTH_LINE, at(FaceMeasures.MOUTH_LINE, mouth));
    return values;
  }

  private static double at(Measure measure, double tolerances) {
    Rule rule = SHEET.rule(measure).orElseThrow();
    return measure
        .scale()
        .fromScale(measure.scale().toScale(rule.centre()) + tolerances * rule.tolerance());
  }

  private static Map<String, Double> shares(List<Way> ways) {
    Map<String, Double> shares = new HashMap<>();
    ways.forEach(way -> shares.put(way.act().key(), way.share()));
    return shares;
  }

  @Test
  void halfOfWhatLiesOutsideTheBandIsHalfTheWay() {
    Map<String, Double> shares = shares(Way.of(SHEET, off(5, -3), off(3, -0.5)));
    assertThat(shares.get("eye-height")).isEqualTo(0.5, offset(1e-6));
    assertThat(shares.get("mouth")).as("inside the band").isEqualTo(1, offset(1e-6));
    assertThat(shares).as("what was never off has no way to go").hasSize(2);
  }

  @Test
  void whoGoesPastOrAwayIsToldSo() {
    Map<String, Double> shares = shares(Way.of(SHEET, off(3, -3), off(-2, -5)));
    assertThat(shares.get("eye-height")).isEqualTo(1.5, offset(1e-6));
    assertThat(shares.get("mouth")).isEqualTo(-1, offset(1e-6));
    assertThat(shares(Way.of(SHEET, off(1.1, 2), off(-40, 90))).values())
        .containsExactlyInAnyOrder(2.0, -1.0);
  }

  @Test
  void wordsSayWhatIsThereAndWhatIsNot() {
    String told = WayWords.sentences(Way.of(SHEET, off(5, -3), off(0.5, -3))).orElseThrow();
    assertThat(told).startsWith("About half the way").contains("There: eye height.");
    assertThat(told).contains("Not yet: mouth.");
    assertThat(WayWords.sentences(Way.of(SHEET, off(3, 3), off(0, 0))).orElseThrow())
        .startsWith("All the way")
        .doesNotContain("Not yet");
    assertThat(WayWords.sentences(Way.of(SHEET, off(3, 3), off(9, 9))).orElseThrow())
        .startsWith("Farther");
  }

  @Test
  void withoutAnythingOffThereIsNothingToTell() {
    assertThat(WayWords.sentences(Way.of(SHEET, off(0, 0), off(4, 4)))).isEmpty();
    assertThat(Way.of(SHEET, Map.of(), off(4, 4))).isEmpty();
  }
}
