package penmirror.core.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Nature;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.telling.ContrastWords;

class LikenessTest {
  private static final Random RANDOM = new Random(3);

  /** Works by chance alike, but that some have their eyes far lower. */
  private static StyleSheet sheet(int low, int plain) {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < low + plain; i++) {
      Map<Measure, Double> values = new LinkedHashMap<>();
      for (Measure measure : MeasureCatalogue.all()) {
        if (measure.nature() == Nature.MANNER && measure.unit().least() <= 0.4) {
          double spread = measure.spreadWithinStyle() * RANDOM.nextGaussian();
          values.put(
              measure, measure.scale().fromScale(measure.scale().toScale(0.45) + spread / 4));
        }
      }
      values.put(FaceMeasures.EYE_LINE, (i < low ? 0.66 : 0.5) + 0.005 * RANDOM.nextGaussian());
      works.add(new MeasuredWork("" + i, "Work " + i, "", View.FRONT, values, List.of()));
    }
    return StyleSheet.of("A hand", View.FRONT, works);
  }

  private static Map<String, Set<String>> words(int fierce, int friendly) {
    Map<String, Set<String>> words = new HashMap<>();
    for (int i = 0; i < fierce + friendly; i++) {
      words.put("" + i, Set.of(i < fierce ? "fierce" : "friendly"));
    }
    return words;
  }

  @Test
  void whatGoesWithAWordIsToldFromBothSides() {
    List<Likeness> found = Likeness.of(sheet(6, 7), words(6, 7));
    assertThat(found).extracting(Likeness::word).containsExactly("fierce", "friendly");
    Likeness fierce = found.get(0);
    assertThat(fierce.works()).isEqualTo(6);
    assertThat(fierce.others()).isEqualTo(7);
    assertThat(fierce.differ()).extracting(d -> d.act().key()).containsExactly("eye-height");
    assertThat(fierce.differ().get(0).distance()).isPositive();
    assertThat(ContrastWords.sides("fierce", fierce.differ().get(0)))
        .isEqualTo("On fierce ones eyes low, on the others eyes high.");
    assertThat(found.get(1).differ().get(0).distance()).isNegative();
  }

  private static double eyes(StyleSheet sheet, Map<String, Boolean> figure) {
    Map<String, Set<String>> words = words(6, 7);
    return Likeness.narrowed(sheet, Likeness.of(sheet, words), words, figure)
        .rule(FaceMeasures.EYE_LINE)
        .orElseThrow()
        .centre();
  }

  /** A fierce figure is ruled by the fierce works where they differ, and by all elsewhere. */
  @Test
  void aSheetForOneFigureGoesByItsSide() {
    StyleSheet all = sheet(6, 7);
    assertThat(eyes(all, Map.of("fierce", true))).isCloseTo(0.66, offset(0.01));
    assertThat(eyes(all, Map.of("fierce", false))).isCloseTo(0.5, offset(0.01));
    assertThat(eyes(all, Map.of("friendly", true))).isCloseTo(0.5, offset(0.01));
    Map<String, Set<String>> words = words(6, 7);
    StyleSheet fierce =
        Likeness.narrowed(all, Likeness.of(all, words), words, Map.of("fierce", true));
    for (Rule rule : all.rules()) {
      if (rule.measure() != FaceMeasures.EYE_LINE) {
        assertThat(fierce.rule(rule.measure()).orElseThrow().centre()).isEqualTo(rule.centre());
      }
    }
  }

  /** Both sides at once leave no work: then all of them rule. A word nobody knows parts nothing. */
  @Test
  void whatNoWorkShowsIsRuledByAll() {
    StyleSheet all = sheet(6, 7);
    double usual = all.rule(FaceMeasures.EYE_LINE).orElseThrow().centre();
    assertThat(eyes(all, Map.of("fierce", true, "friendly", true))).isEqualTo(usual);
    assertThat(eyes(all, Map.of("round", true))).isEqualTo(usual);
    assertThat(eyes(all, Map.of())).isEqualTo(usual);
  }

  /** A band set by hand stays where it was set. */
  @Test
  void whatIsSetByHandStays() {
    StyleSheet all = sheet(6, 7);
    Said.Band band = new Said.Band(FaceMeasures.EYE_LINE, 0.4, 0.44);
    StyleSheet said =
        all.saying(List.of(new Said(FaceMeasures.EYE_LINE, Optional.of(band), List.of("0"))));
    assertThat(eyes(said, Map.of("fierce", true))).isCloseTo(0.42, offset(1e-9));
  }

  /** Words dealt at random over twenty sheets: hardly ever is anything told. */
  @Test
  void chanceIsNotTold() {
    int told = 0;
    for (int i = 0; i < 20; i++) {
      told += Likeness.of(sheet(0, 12), words(6, 6)).size();
    }
    assertThat(told).isLessThanOrEqualTo(4);
  }

  @Test
  void twoWorksOfAWordSayNothing() {
    assertThat(Likeness.of(sheet(2, 9), words(2, 9))).isEmpty();
    assertThat(Likeness.of(sheet(6, 2), words(6, 2))).isEmpty();
  }

  /** What nobody said a word of is neither fierce nor not fierce. */
  @Test
  void worksWithoutWordsTakeNoPart() {
    Map<String, Set<String>> words = words(6, 0);
    words.put("6", Set.of());
    assertThat(Likeness.of(sheet(6, 7), words)).isEmpty();
  }
}
