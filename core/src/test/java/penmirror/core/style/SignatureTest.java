package penmirror.core.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.act.Act;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.format.FormatException;
import penmirror.core.format.StyleFile;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.shade.ShadeMeasures;

class SignatureTest {
  private static final Map<Measure, Double> PLAIN =
      Map.of(
          ProportionMeasures.STATURE, 7.5,
          ProportionMeasures.LEGS, 0.5,
          FaceMeasures.EYE_LINE, 0.5,
          FaceMeasures.EYE_WIDTH, 0.2,
          LineMeasures.OUTLINE_INNER, 1.1,
          ShadeMeasures.HARD, 0.5,
          ShadeMeasures.COVER, 0.2);

  /** Works that all read alike, but for what is said of them. */
  private static StyleSheet sheet(Map<Measure, Double> otherwise) {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 1; i <= 6; i++) {
      Map<Measure, Double> values = new LinkedHashMap<>(PLAIN);
      values.putAll(otherwise);
      works.add(new MeasuredWork("" + i, "Work " + i, "", View.FRONT, values, List.of()));
    }
    return StyleSheet.of("A hand", View.FRONT, works);
  }

  private static List<String> keys(Signature signature) {
    return signature.acts().stream().map(Act::key).toList();
  }

  @Test
  void whatStandsAwayFromTheBaseLineIsTheSignature() {
    StyleSheet squat =
        sheet(Map.of(ProportionMeasures.STATURE, 3.0, LineMeasures.OUTLINE_INNER, 2.6));
    Signature signature = Signature.of(squat, BaseLine.ownHand(sheet(Map.of())), 4);
    assertThat(keys(signature)).containsExactlyInAnyOrder("heads-tall", "outline");
    assertThat(signature.base()).isEqualTo(BaseLine.From.OWN_HAND);
    for (Signature.Trait trait : signature.traits()) {
      assertThat(Math.abs(trait.distance())).isGreaterThanOrEqualTo(1);
      assertThat(trait.rank()).isPositive();
    }
  }

  /** Any hand draws black lines: what hardly differs makes nothing. */
  @Test
  void aStyleLikeItsBaseLineHasNone() {
    StyleSheet plain = sheet(Map.of());
    assertThat(Signature.of(plain, BaseLine.ownHand(plain), 4).traits()).isEmpty();
  }

  /** Few heads and short legs are one thing to whoever looks at it. */
  @Test
  void theBodyIsOnePart() {
    StyleSheet squat = sheet(Map.of(ProportionMeasures.STATURE, 3.0, ProportionMeasures.LEGS, 0.3));
    assertThat(keys(Signature.of(squat, BaseLine.ownHand(sheet(Map.of())), 4))).hasSize(1);
  }

  @Test
  void oneActAnEyeAndNoMoreThanAskedFor() {
    StyleSheet odd =
        sheet(
            Map.of(
                FaceMeasures.EYE_LINE, 0.7,
                FaceMeasures.EYE_WIDTH, 0.4,
                ProportionMeasures.STATURE, 3.0,
                LineMeasures.OUTLINE_INNER, 2.6,
                ShadeMeasures.HARD, 1.0));
    BaseLine base = BaseLine.ownHand(sheet(Map.of()));
    List<String> all = keys(Signature.of(odd, base, Signature.MOST));
    assertThat(all.stream().filter(key -> key.startsWith("eye-"))).hasSize(1);
    assertThat(keys(Signature.of(odd, base, 2))).isEqualTo(all.subList(0, 2));
  }

  /** How shadows are cut is nothing of a style that lays none. */
  @Test
  void howSomethingIsIsNotAskedWhereThereIsNone() {
    StyleSheet flat = sheet(Map.of(ShadeMeasures.COVER, 0.0, ShadeMeasures.HARD, 1.0));
    List<String> keys = keys(Signature.of(flat, BaseLine.ownHand(sheet(Map.of())), 6));
    assertThat(keys).doesNotContain("shadow-edge");
  }

  @Test
  void theBaseLineIsTheMiddleOfOtherStyles() {
    BaseLine others =
        BaseLine.otherStyles(
            List.of(
                sheet(Map.of(FaceMeasures.EYE_LINE, 0.40)),
                sheet(Map.of(FaceMeasures.EYE_LINE, 0.50)),
                sheet(Map.of(FaceMeasures.EYE_LINE, 0.62))));
    assertThat(others.values().get(FaceMeasures.EYE_LINE)).isCloseTo(0.50, offset(1e-9));
    assertThat(others.from()).isEqualTo(BaseLine.From.OTHER_STYLES);
  }

  /** Vitruvius' figure and the halves of common practice. */
  @Test
  void aRealisticFigureIsKnownByItsMarksAlone() {
    BaseLine realistic = BaseLine.realistic();
    assertThat(realistic.values().get(FaceMeasures.EYE_LINE)).isCloseTo(0.5, offset(1e-9));
    assertThat(realistic.values().get(ProportionMeasures.STATURE)).isCloseTo(7.5, offset(1e-9));
    assertThat(realistic.values()).doesNotContainKey(LineMeasures.WIDTH);
    Rule rule = sheet(Map.of(FaceMeasures.EYE_LINE, 0.6)).rule(FaceMeasures.EYE_LINE).orElseThrow();
    assertThat(realistic.distance(rule).orElseThrow())
        .isCloseTo(0.1 / FaceMeasures.EYE_LINE.spreadAmongStyles(), offset(1e-9));
    assertThat(Canon.realistic().headFrame()).isPresent();
  }

  /** A style of portraits and a few full figures keeps its rules of the body. */
  @Test
  void portraitsSayNothingOfLegs() {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      works.add(
          new MeasuredWork(
                  "p" + i,
                  "Portrait",
                  "",
                  View.FRONT,
                  Map.of(FaceMeasures.EYE_LINE, 0.5),
                  List.of())
              .framed(Framing.FACE));
    }
    for (int i = 0; i < 3; i++) {
      works.add(
          new MeasuredWork("f" + i, "Figure", "", View.FRONT, PLAIN, List.of())
              .framed(Framing.FULL));
    }
    Rule legs =
        StyleSheet.of("A hand", View.FRONT, works).rule(ProportionMeasures.LEGS).orElseThrow();
    assertThat(legs.strength()).isNotEqualTo(Strength.FREE);
    assertThat(legs.readingCount()).isEqualTo(3);
  }

  /** Eight works with hair over the ears speak neither for a rule of ears nor against it. */
  @Test
  void earsUnderHairSayNothingOfEars() throws FormatException {
    Marks bare = Canon.realistic();
    Marks underHair =
        bare.with(Landmark.EAR_L_TOP, Mark.hidden()).with(Landmark.EAR_R_TOP, Mark.hidden());
    StyleSheet three = StyleSheet.of("A hand", View.FRONT, works(3, bare, 8, underHair));
    Rule ears = three.rule(FaceMeasures.EAR_TOP).orElseThrow();
    assertThat(ears.strength()).isNotEqualTo(Strength.FREE);
    assertThat(ears.readingCount()).isEqualTo(3);
    StyleSheet read = StyleFile.parse(StyleFile.of(three).toJson()).sheet();
    assertThat(read.works()).isEqualTo(three.works());
    StyleSheet two = StyleSheet.of("A hand", View.FRONT, works(2, bare, 8, underHair));
    assertThat(two.rule(FaceMeasures.EAR_TOP).orElseThrow().strength()).isEqualTo(Strength.FREE);
  }

  private static List<MeasuredWork> works(int some, Marks marks, int others, Marks otherMarks) {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < some + others; i++) {
      Evidence evidence = new Evidence(i < some ? marks : otherMarks, Optional.empty());
      works.add(MeasuredWork.of("" + i, "Work " + i, "", evidence));
    }
    return works;
  }
}
