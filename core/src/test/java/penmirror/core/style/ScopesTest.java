package penmirror.core.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Mood;
import penmirror.core.figure.View;
import penmirror.core.format.FormatException;
import penmirror.core.format.StyleFile;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.style.Rule.Grounds;

/** What a sheet is asked for, and what the user says over it. */
class ScopesTest {
  private static final Measure OPENING = FaceMeasures.EYE_ASPECT;
  private static final Portrayal KEEN = mood(Mood.KEEN);
  private static final Portrayal STARTLED = mood(Mood.STARTLED);

  private static Portrayal mood(Mood mood) {
    return Portrayal.ANY.inMood(Optional.of(mood));
  }

  private static Portrayal child() {
    return new Portrayal(Optional.empty(), Optional.of(Kind.CHILD), Optional.empty(), "");
  }

  private static MeasuredWork work(int id, Portrayal shows, Map<Measure, Double> values) {
    return new MeasuredWork("" + id, "Work " + id, "", View.FRONT, values, List.of())
        .showing(shows);
  }

  /** Works of one reading, each showing what stands at its place. */
  private static StyleSheet sheet(Measure measure, double[] values, Portrayal... shows) {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < values.length; i++) {
      works.add(work(i, shows[i], Map.of(measure, values[i])));
    }
    return StyleSheet.of("A hand", View.FRONT, works);
  }

  private static StyleSheet moods() {
    return sheet(
        OPENING, new double[] {0.10, 0.11, 0.12, 0.14, 0.15}, KEEN, KEEN, KEEN, STARTLED, STARTLED);
  }

  @Test
  void threeWorksOfTheMoodMakeItsRule() {
    StyleSheet sheet = moods();
    Rule any = sheet.rule(OPENING).orElseThrow();
    assertThat(any.centre()).isCloseTo(0.12, offset(1e-12));
    assertThat(any.grounds()).isEqualTo(Grounds.ALL);
    Rule keen = sheet.wantedFor(KEEN).rule(OPENING).orElseThrow();
    assertThat(keen.centre()).isCloseTo(0.11, offset(1e-12));
    assertThat(keen.readingCount()).isEqualTo(3);
    assertThat(keen.grounds()).isEqualTo(Grounds.SAME);
    assertThat(sheet.wantedFor(KEEN).worksRuledOn(OPENING)).hasSize(3);
  }

  /** Two are too few: all five are brought to it, each by the way from its own mood. */
  @Test
  void fewerAreBroughtToItAndTheBandIsOpened() {
    Rule startled = moods().wantedFor(STARTLED).rule(OPENING).orElseThrow();
    double way =
        MoodShifts.of(OPENING, Mood.STARTLED).middle() - MoodShifts.of(OPENING, Mood.KEEN).middle();
    assertThat(startled.grounds()).isEqualTo(Grounds.BROUGHT);
    assertThat(startled.readingCount()).isEqualTo(5);
    // In order: .10 .11 .12 by the factor e^way, then .14 and .15 as they are.
    double[] brought = {0.10 * Math.exp(way), 0.11 * Math.exp(way), 0.12 * Math.exp(way), .14, .15};
    Arrays.sort(brought);
    assertThat(startled.centre()).isCloseTo(brought[2], offset(1e-12));
  }

  @Test
  void whatNoMoodMovesStaysAsItIs() {
    StyleSheet sheet =
        sheet(
            ProportionMeasures.STATURE, new double[] {4, 4.1, 4.2, 5}, KEEN, KEEN, KEEN, STARTLED);
    assertThat(sheet.wantedFor(KEEN).rules()).isEqualTo(sheet.rules());
  }

  @Test
  void aWorkOfUnknownMoodIsTakenAsItIs() {
    StyleSheet sheet = sheet(OPENING, new double[] {0.1}, Portrayal.ANY);
    Rule startled = sheet.wantedFor(STARTLED).rule(OPENING).orElseThrow();
    assertThat(startled.centre()).isCloseTo(0.1, offset(1e-12));
  }

  @Test
  void aKindHasRulesOfItsOwnFromThreeWorksOn() {
    Portrayal any = Portrayal.ANY;
    double[] heads = {4, 4.2, 4.4, 6, 6.2, 6.4};
    StyleSheet three =
        sheet(ProportionMeasures.STATURE, heads, child(), child(), child(), any, any, any);
    Rule children = three.wantedFor(child()).rule(ProportionMeasures.STATURE).orElseThrow();
    assertThat(children.centre()).isCloseTo(4.2, offset(1e-12));
    assertThat(children.grounds()).isEqualTo(Grounds.SAME);

    StyleSheet two = sheet(ProportionMeasures.STATURE, heads, child(), child(), any, any, any, any);
    Rule pooled = two.wantedFor(child()).rule(ProportionMeasures.STATURE).orElseThrow();
    Rule all = two.rule(ProportionMeasures.STATURE).orElseThrow();
    assertThat(pooled.centre()).isEqualTo(all.centre());
    assertThat(pooled.grounds()).isEqualTo(Grounds.WIDER);
    assertThat(pooled.tolerance()).isCloseTo(1.25 * all.tolerance(), offset(1e-12));
  }

  /** Of how close the picture is the marked proportions say the same; the line does not. */
  @Test
  void framingNarrowsWhatIsReadFromPixelsAlone() {
    Portrayal face = Portrayal.ANY.framed(Framing.FACE);
    Portrayal full = Portrayal.ANY.framed(Framing.FULL);
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      works.add(
          work(
              i,
              i < 3 ? face : full,
              Map.of(
                  LineMeasures.WIDTH, i < 3 ? 9.0 : 14.0, FaceMeasures.EYE_LINE, 0.5 + 0.01 * i)));
    }
    StyleSheet faces = StyleSheet.of("A hand", View.FRONT, works).wantedFor(face);
    assertThat(faces.rule(LineMeasures.WIDTH).orElseThrow().centre()).isCloseTo(9, offset(1e-9));
    assertThat(faces.rule(FaceMeasures.EYE_LINE).orElseThrow().readingCount()).isEqualTo(6);
  }

  @Test
  void aMannerIsASetOfItsOwn() {
    Portrayal night = new Portrayal(Optional.empty(), Optional.empty(), Optional.empty(), "night");
    double[] widths = {4, 4, 4, 8, 8, 8, 8};
    Portrayal any = Portrayal.ANY;
    StyleSheet sheet = sheet(LineMeasures.WIDTH, widths, night, night, night, any, any, any, any);
    assertThat(sheet.wantedFor(night).rule(LineMeasures.WIDTH).orElseThrow().centre())
        .isCloseTo(4, offset(1e-9));
  }

  /** A kind and a mood that no three works share: nothing is made up, and it says so. */
  @Test
  void scopesThatContradictEachOtherAreStillAnswered() {
    Portrayal sadChild =
        new Portrayal(Optional.empty(), Optional.of(Kind.CHILD), Optional.of(Mood.SAD), "night");
    Rule rule = moods().wantedFor(sadChild).rule(OPENING).orElseThrow();
    assertThat(rule.grounds()).isEqualTo(Grounds.BROUGHT);
    assertThat(rule.tolerance()).isPositive();
    assertThat(StyleSheet.of("Nobody", View.FRONT, List.of()).wantedFor(sadChild).rules())
        .isEmpty();
  }

  @Test
  void theUsersWordStandsAboveTheWorks() {
    StyleSheet sheet =
        moods()
            .saying(
                List.of(
                    new Said(OPENING, Optional.of(new Said.Band(OPENING, 0.2, 0.3)), List.of())));
    Rule rule = sheet.rule(OPENING).orElseThrow();
    assertThat(rule.low()).isCloseTo(0.2, offset(1e-12));
    assertThat(rule.high()).isCloseTo(0.3, offset(1e-12));
    assertThat(rule.centre()).isCloseTo(Math.sqrt(0.06), offset(1e-12));
    assertThat(rule.isSetByHand()).isTrue();
    assertThat(rule.isScored()).isTrue();
    // It stays in every scope and over other works.
    assertThat(sheet.wantedFor(KEEN).rule(OPENING).orElseThrow().isSetByHand()).isTrue();
    assertThat(sheet.rulesOver(sheet.works().subList(0, 1)).rule(OPENING).orElseThrow().low())
        .isCloseTo(0.2, offset(1e-12));
    assertThat(sheet.saying(List.of()).rules()).isEqualTo(moods().rules());
  }

  /** The reading of what is loose is a rule once the user says so. */
  @Test
  void aFreeRuleThatIsPinnedIsScored() {
    StyleSheet loose =
        sheet(OPENING, new double[] {0.03, 0.09, 0.4}, Portrayal.ANY, Portrayal.ANY, Portrayal.ANY);
    Rule free = loose.rule(OPENING).orElseThrow();
    assertThat(free.isScored()).isFalse();
    Rule pinned =
        loose
            .saying(List.of(new Said(OPENING, Optional.of(Said.Band.of(free)), List.of())))
            .rule(OPENING)
            .orElseThrow();
    assertThat(pinned.isScored()).isTrue();
    assertThat(pinned.strength()).isEqualTo(Strength.USUALLY);
    assertThat(pinned.tolerance()).isCloseTo(free.tolerance(), offset(1e-12));
  }

  @Test
  void aBandIsOpenedAndClosedAboutItsMiddle() {
    Rule rule = moods().rule(OPENING).orElseThrow();
    Said.Band wide = Said.Band.opened(rule, 1.5);
    assertThat(wide.tolerance()).isCloseTo(1.5 * rule.tolerance(), offset(1e-12));
    assertThat(wide.centre()).isCloseTo(rule.centre(), offset(1e-12));
  }

  /** From 335 up to 25 over 0: the middle is 0, on the dial as told. */
  @Test
  void aBandMayRunOverTheTopOfTheDial() {
    Said.Band band = new Said.Band(ShadeMeasures.LIGHT_FROM, 335, 25);
    assertThat(band.tolerance()).isCloseTo(25, offset(1e-9));
    assertThat(band.centre()).isCloseTo(0, offset(1e-9));
  }

  @Test
  void aBandThatCannotBeIsRefused() {
    assertThatThrownBy(() -> new Said.Band(OPENING, 0.3, 0.2)).hasMessageContaining("lower");
    assertThatThrownBy(() -> new Said.Band(OPENING, 0.3, 0.3)).hasMessageContaining("lower");
    assertThatThrownBy(() -> new Said.Band(OPENING, -0.1, 0.2)).hasMessageContaining("eye.aspect");
    assertThatThrownBy(() -> new Said.Band(OPENING, Double.NaN, 0.2))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aWorkLeftOutOfOneRuleStaysInTheOthers() {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      works.add(work(i, Portrayal.ANY, Map.of(OPENING, 0.1 + i * i, FaceMeasures.EYE_LINE, 0.5)));
    }
    StyleSheet sheet =
        StyleSheet.of("A hand", View.FRONT, works)
            .saying(List.of(new Said(OPENING, Optional.empty(), List.of("3"))));
    assertThat(sheet.rule(OPENING).orElseThrow().readingCount()).isEqualTo(3);
    assertThat(sheet.rule(FaceMeasures.EYE_LINE).orElseThrow().readingCount()).isEqualTo(4);
    assertThat(sheet.worksRuledOn(OPENING)).extracting(MeasuredWork::id).doesNotContain("3");
  }

  @Test
  void theFileKeepsScopeMoodsAndWhatWasSaid() throws FormatException {
    StyleSheet sheet =
        moods()
            .wantedFor(KEEN)
            .saying(
                List.of(
                    new Said(
                        OPENING, Optional.of(new Said.Band(OPENING, 0.2, 0.3)), List.of("0"))));
    StyleFile file = StyleFile.parse(StyleFile.of(sheet).toJson());
    assertThat(file.toJson()).contains("\"handSet\" : true", "\"mood\" : \"keen\"");
    StyleSheet again = file.sheet();
    assertThat(again.wanted()).isEqualTo(KEEN);
    assertThat(again.works()).isEqualTo(sheet.works());
    Rule rule = again.rule(OPENING).orElseThrow();
    assertThat(rule.isSetByHand()).isTrue();
    assertThat(again.said().get(0).leftOut()).containsExactly("0");
    Rule remade = again.rulesOver(again.works()).rule(OPENING).orElseThrow();
    assertThat(remade.centre()).isCloseTo(rule.centre(), offset(1e-12));
    assertThat(remade.tolerance()).isCloseTo(rule.tolerance(), offset(1e-12));
  }
}
