package penmirror.core.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import penmirror.core.act.Act;
import penmirror.core.figure.View;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.telling.ContrastWords;

class ContrastTest {

  private static StyleSheet sheet(double heads, double... eyeLines) {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < eyeLines.length; i++) {
      works.add(
          new MeasuredWork(
              "" + i,
              "Work " + i,
              "",
              View.FRONT,
              Map.of(
                  FaceMeasures.EYE_LINE, eyeLines[i], ProportionMeasures.STATURE, heads + i / 50.0),
              List.of()));
    }
    return StyleSheet.of("A hand", View.FRONT, works);
  }

  @Test
  void whatLiesApartByMoreThanChanceIsTold() {
    Contrast contrast = Contrast.of(sheet(4, 0.6, 0.61, 0.6, 0.61), sheet(7, 0.6, 0.61, 0.61, 0.6));
    assertThat(contrast.differ())
        .extracting(difference -> difference.act().key())
        .containsExactly("heads-tall");
    assertThat(contrast.shared()).extracting(Act::key).containsExactly("eye-height");
    Contrast.Difference tall = contrast.differ().get(0);
    assertThat(ContrastWords.of(tall)).isEqualTo("Figure taller, by three heads");
    // Four against four: two of the seventy ways to deal them lie as far apart.
    assertThat(tall.chance()).isCloseTo(2 / 70.0, offset(1e-12));
    assertThat(tall.distance())
        .isCloseTo(
            Math.log(7.03 / 4.03) / ProportionMeasures.STATURE.spreadAmongStyles(), offset(0.01));
  }

  @Test
  void turnedRoundItIsTheSameOtherWay() {
    StyleSheet one = sheet(4, 0.5, 0.5, 0.5, 0.5);
    StyleSheet other = sheet(6, 0.6, 0.6, 0.6, 0.6);
    List<Contrast.Difference> there = Contrast.of(one, other).differ();
    List<Contrast.Difference> back = Contrast.of(other, one).differ();
    assertThat(back).hasSameSizeAs(there);
    for (int i = 0; i < there.size(); i++) {
      assertThat(back.get(i).act()).isEqualTo(there.get(i).act());
      assertThat(back.get(i).distance()).isCloseTo(-there.get(i).distance(), offset(1e-9));
    }
  }

  /** Two works on either side can never tell more than chance. */
  @Test
  void ofTooFewWorksNothingIsSure() {
    Contrast contrast = Contrast.of(sheet(4, 0.6, 0.61), sheet(7, 0.6, 0.61));
    assertThat(contrast.differ()).isEmpty();
    assertThat(contrast.unsure()).extracting(Act::key).containsExactly("heads-tall");
  }

  @Test
  void againstItselfNothingDiffersAndWithoutRulesThereIsNothing() {
    StyleSheet one = sheet(4, 0.6, 0.61, 0.6);
    assertThat(Contrast.of(one, one).differ()).isEmpty();
    assertThat(Contrast.of(one, one).shared()).hasSize(2);
    StyleSheet none = StyleSheet.of("Nobody", View.FRONT, List.of());
    assertThat(Contrast.of(one, none)).isEqualTo(new Contrast(List.of(), List.of(), List.of()));
  }
}
