package penmirror.core.telling;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Feature;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Nature;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.core.words.Wording;

class TellingTest {

  private static StyleSheet sheetOf(Map<Measure, Double> values) {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      works.add(new MeasuredWork("" + i, "Work " + i, "", View.FRONT, values, List.of()));
    }
    return StyleSheet.of("A hand", View.FRONT, works);
  }

  @ParameterizedTest
  @CsvSource({
    "eye.line, true, eyes lower",
    "eye.line, false, eyes higher",
    "stature.heads, true, figure taller",
    "eye.spacing, false, eyes closer together",
    "eye.spacing, true, eyes farther apart",
    "line.outline.inner, false, outline thinner for the inner lines",
    "mouth.width, true, mouth wider",
    "focus.contrast, false, face stands out less",
    "light.spread, true, light more mixed in direction"
  })
  void oneHandIsToldNextToAnother(String key, boolean high, String told) {
    assertThat(Wording.more(MeasureCatalogue.byKey(key).orElseThrow(), high)).isEqualTo(told);
  }

  /** No measure is told as "more high", and none falls silent. */
  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void everyMeasureHasSuchWords(boolean high) {
    assertThat(MeasureCatalogue.all())
        .extracting(measure -> Wording.more(measure, high))
        .allSatisfy(
            told ->
                assertThat(told)
                    .doesNotContainPattern("more (high|low|wide|narrow|long|short|much|little)\\b")
                    .doesNotContain("{", "\u0000", "  ")
                    .isNotBlank());
  }

  @Test
  void eyesHalfWayDownAreNeitherHighNorLow() {
    for (double value : new double[] {0.46, 0.5, 0.54}) {
      assertThat(
              ActWords.sentence(
                  sheetOf(Map.of(FaceMeasures.EYE_LINE, value)),
                  Acts.of(FaceMeasures.EYE_LINE).orElseThrow()))
          .contains("Eyes at half of the head.");
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "stature.heads | 4.2 | Four and a fifth heads tall.",
        "eye.line | 0.61 | Eyes at six tenths of the head, low.",
        "eye.line | 0.4 | Eyes at four tenths of the head, high.",
        "line.outline.inner | 2.5 | Outline twice and a half the inner lines.",
        "line.outline.inner | 1 | Outline and inner lines alike.",
        "shade.steps | 1 | Flat colour, no shadow.",
        "shade.steps | 2 | One shadow to a colour.",
        "pal.count | 2 | Two colours carry the figure.",
        "black.share | 0 | No solid black.",
        "light.from | 45 | Light from the upper right.",
        "legs.share | 0.5 | Legs half the height."
      })
  void anActIsToldByItsLeadingReading(String key, double value, String sentence) {
    Measure measure = MeasureCatalogue.byKey(key).orElseThrow();
    assertThat(ActWords.sentence(sheetOf(Map.of(measure, value)), Acts.of(measure).orElseThrow()))
        .contains(sentence);
  }

  @Test
  void whatTheWorksHoldToIsAdded() {
    Map<Measure, Double> values = new LinkedHashMap<>();
    values.put(MeasureCatalogue.byKey("line.outline.inner").orElseThrow(), 2.5);
    values.put(MeasureCatalogue.byKey("line.closed").orElseThrow(), 0.97);
    assertThat(ActWords.sentence(sheetOf(values), Acts.byKey("outline").orElseThrow()))
        .contains("Outline twice and a half the inner lines, always closed.");
  }

  @Test
  void anActNobodyDrewHasNoSentence() {
    assertThat(ActWords.sentence(sheetOf(Map.of()), Acts.byKey("outline").orElseThrow())).isEmpty();
  }

  static List<Measure> manner() {
    return MeasureCatalogue.all().stream()
        .filter(measure -> measure.nature() == Nature.MANNER)
        .filter(measure -> Acts.of(measure).isPresent())
        .toList();
  }

  /** Over the whole range of a reading each text chooses some word and leaves no gap. */
  @ParameterizedTest
  @MethodSource("manner")
  void everyValueHasItsWords(Measure measure) {
    for (double value : new double[] {-80, -12, -3, -0.2, -0.1, 0.001, 0.3, 0.6, 0.9, 1.2, 3, 12}) {
      if (!measure.scale().admits(value)) {
        continue;
      }
      Act act = Acts.of(measure).orElseThrow();
      ActWords.sentence(sheetOf(Map.of(measure, value)), act)
          .ifPresent(
              sentence ->
                  assertThat(sentence)
                      .as("%s at %s", measure.key(), value)
                      .doesNotContain("{", "  ", " ,", "NaN")
                      .endsWith("."));
    }
  }

  @Test
  void howMuchIsSaidInThreeSteps() {
    Measure eyes = MeasureCatalogue.byKey("eye.line").orElseThrow();
    assertThat(Wording.miss(eyes, -1.2)).isEqualTo("eyes a little too high");
    assertThat(Wording.miss(eyes, -2)).isEqualTo("eyes too high");
    assertThat(Wording.miss(eyes, 5)).isEqualTo("eyes far too low");
  }

  @Test
  void whatComesOfItIsKnownForSomeAndLeftOutForOthers() {
    Measure eyes = MeasureCatalogue.byKey("eye.line").orElseThrow();
    assertThat(ActWords.effect(eyes, false)).contains("reads older");
    assertThat(ActWords.effect(eyes, true)).contains("reads younger");
    assertThat(ActWords.effect(MeasureCatalogue.byKey("hatch.kind").orElseThrow(), true)).isEmpty();
  }

  /** A whole upper face that slipped goes back whole: eyes and brows in one go. */
  @Test
  void browsGoAlongWithTheEyesThatTheyHangOn() {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      works.add(
          MeasuredWork.of("" + i, "W", "", new Evidence(Canon.realistic(), Optional.empty())));
    }
    Marks slipped = Canon.realistic();
    for (Feature feature : List.of(Feature.EYES, Feature.BROWS)) {
      slipped = slipped.moved(feature.landmarks(), p -> p.minus(new Point(0, 20)));
    }
    Fix fix =
        new Scorer(StyleSheet.of("A hand", View.FRONT, works))
            .score(new Evidence(slipped, Optional.empty()))
            .fixes()
            .get(0);
    assertThat(FixWords.instruction(fix)).isEqualTo("Lower both eyes and brows 20 px");
    assertThat(FixWords.miss(fix)).isEqualTo("eyes far too high");
    assertThat(FixWords.effect(fix)).contains("reads older");
    assertThat(FixWords.why(fix)).contains("of the head", "now 0.4");
  }
}
