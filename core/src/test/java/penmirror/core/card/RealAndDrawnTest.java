package penmirror.core.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.card.RealAndDrawn.Piece;
import penmirror.core.card.RealAndDrawn.Sort;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

class RealAndDrawnTest {
  static StyleSheet sheet(Map<Measure, Double> rules) {
    MeasuredWork work = new MeasuredWork("1", "Work", "", View.FRONT, rules, List.of());
    return StyleSheet.of("A hand", View.FRONT, List.of(work, work, work, work));
  }

  private static double factor(RealAndDrawn beside, Sort sort) {
    return beside.pieces().stream()
        .filter(piece -> piece.sort() == sort)
        .mapToDouble(Piece::factor)
        .findFirst()
        .orElseThrow();
  }

  /** The adult stands 7.5 heads; at 3.75 the head takes twice as much of the same height. */
  @Test
  void headIsTwiceThatOfLifeAtHalfTheHeads() {
    RealAndDrawn beside =
        RealAndDrawn.of(sheet(Map.of(ProportionMeasures.STATURE, 3.75))).orElseThrow();
    assertThat(beside.hasBody()).isTrue();
    assertThat(factor(beside, Sort.HEAD)).isCloseTo(2, within(0.01));
    assertThat(beside.pieces().get(0).sort()).isEqualTo(Sort.HEAD);
  }

  @Test
  void eyesAreHeldAgainstTheHead() {
    Marks adult = Canon.realistic();
    double life = FaceMeasures.EYE_WIDTH.valueOf(adult).orElseThrow();
    RealAndDrawn beside =
        RealAndDrawn.of(
                sheet(Map.of(ProportionMeasures.STATURE, 3.75, FaceMeasures.EYE_WIDTH, 1.5 * life)))
            .orElseThrow();
    assertThat(factor(beside, Sort.EYES)).isCloseTo(1.5, within(0.02));
  }

  @Test
  void lifeItselfIsAsInLife() {
    MeasuredWork own =
        MeasuredWork.of("1", "Work", "", new Evidence(Canon.realistic(), Optional.empty()));
    RealAndDrawn beside =
        RealAndDrawn.of(StyleSheet.of("Life", View.FRONT, List.of(own, own, own))).orElseThrow();
    assertThat(beside.pieces()).isNotEmpty().noneMatch(Piece::isNotLife);
    assertThat(CardWords.of(beside, Optional.empty()))
        .singleElement()
        .asString()
        .startsWith("As in life: ");
    assertThat(beside.way(Canon.realistic())).isEmpty();
  }

  /** Half way in ratio: √(7.5 · 3.75) heads. */
  @Test
  void wayOfACharacterIsCountedInRatios() {
    RealAndDrawn beside =
        RealAndDrawn.of(sheet(Map.of(ProportionMeasures.STATURE, 3.75))).orElseThrow();
    Marks half =
        RealAndDrawn.of(sheet(Map.of(ProportionMeasures.STATURE, Math.sqrt(7.5 * 3.75))))
            .orElseThrow()
            .drawn();
    assertThat(beside.way(half).orElseThrow()).isCloseTo(0.5, within(0.01));
    assertThat(beside.way(half.only(List.of(Landmark.CROWN)))).isEmpty();
    assertThat(CardWords.of(beside, Optional.of(new CardWords.Own("Bastian", half))))
        .anyMatch(line -> line.equals("Bastian has gone 50 % of the way from life."));
  }

  @Test
  void withoutARuleOfItThereIsNothing() {
    assertThat(RealAndDrawn.of(sheet(Map.of()))).isEmpty();
  }
}
