package penmirror.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import penmirror.core.act.Act;
import penmirror.core.act.ActGroup;
import penmirror.core.act.Acts;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.format.StyleFile;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.proportion.FreePair;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.core.words.Wording;

/** A ratio of the user's own is read, ruled, kept and scored as those of the catalogue are. */
class FreePairTest {
  private static final FreePair PAIR =
      new FreePair(Landmark.SHOULDER_L, Landmark.SHOULDER_R, Landmark.CROWN, Landmark.CHIN);

  private static Evidence figure(double wider) {
    Marks marks =
        Canon.realistic()
            .moved(List.of(Landmark.SHOULDER_L), p -> p.plus(new Point(-wider, 0)))
            .moved(List.of(Landmark.SHOULDER_R), p -> p.plus(new Point(wider, 0)));
    return new Evidence(marks, Optional.empty());
  }

  private static StyleSheet sheet() {
    List<MeasuredWork> works = new ArrayList<>();
    for (double wider : new double[] {-4, -2, 0, 2, 4}) {
      Evidence figure = figure(wider);
      works.add(
          MeasuredWork.of("work" + wider, "", "", figure).reading(List.of(PAIR.measure()), figure));
    }
    return StyleSheet.of("Nobody", Canon.realistic().view(), works);
  }

  /** The same distance by the same as a measure of the catalogue, which was defined apart. */
  @Test
  void readsWhatTheCatalogueReadsOfTheSamePoints() {
    for (double wider : new double[] {-20, 0, 35}) {
      double own = PAIR.measure().value(figure(wider)).orElseThrow();

      assertThat(own)
          .isCloseTo(
              ProportionMeasures.SHOULDERS.value(figure(wider)).orElseThrow(), offset(1e-12));
    }
  }

  @Test
  void isOneMeasureHoweverOftenItIsAskedFor() {
    Measure byKey = MeasureCatalogue.byKey(PAIR.key()).orElseThrow();

    assertThat(byKey).isSameAs(PAIR.measure());
    assertThat(FreePair.of(byKey)).contains(PAIR);
    assertThat(Acts.of(byKey)).isEqualTo(Acts.byKey(PAIR.key()));
    assertThat(MeasureCatalogue.all()).doesNotContain(byKey);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "pair.",
        "pair.crown-chin",
        "pair.crown-chin.crown-chin",
        "pair.crown-chin.chin-crown",
        "pair.crown-crown.sole-chin",
        "pair.crown-chin.sole-nowhere",
        "eye.line",
        "pair.crown-chin.sole-chin.more"
      })
  void whatMakesNoSenseIsNoPair(String key) {
    assertThat(FreePair.ofKey(key)).isEmpty();
  }

  @Test
  void aDistanceByItselfIsRefused() {
    assertThatThrownBy(
            () -> new FreePair(Landmark.CROWN, Landmark.CHIN, Landmark.CHIN, Landmark.CROWN))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aPointThatIsMissingIsNamedAsWithEveryMeasure() {
    Marks none = Marks.none(Canon.realistic().view());

    assertThat(PAIR.measure().read(new Evidence(none, Optional.empty())).absence().orElseThrow())
        .satisfies(
            absence -> {
              assertThat(absence.reason()).isEqualTo(Reason.LANDMARKS_MISSING);
              assertThat(absence.missing()).contains(Landmark.SHOULDER_L, Landmark.CHIN);
            });
  }

  @Test
  void worksRuleItAndARedrawIsHeldAgainstIt() {
    StyleSheet sheet = sheet();
    Rule rule = sheet.rule(PAIR.measure()).orElseThrow();
    Act act = Acts.of(PAIR.measure()).orElseThrow();

    assertThat(rule.readingCount()).isEqualTo(5);
    assertThat(sheet.acts()).contains(act).hasSize(Acts.all().size() + 1);
    Score right = new Scorer(sheet).score(figure(0));
    Score wide = new Scorer(sheet).score(figure(40));
    assertThat(right.acts()).filteredOn(score -> score.act() == act).noneMatch(a -> a.misses());
    assertThat(wide.acts()).filteredOn(score -> score.act() == act).allMatch(a -> a.misses());
    assertThat(wide.byRules().orElseThrow()).isLessThan(right.byRules().orElseThrow());
    assertThat(act.group()).isEqualTo(ActGroup.PROPORTION);
  }

  @Test
  void itIsSaidInWordsBothWays() {
    StyleSheet sheet = sheet();
    Act act = Acts.of(PAIR.measure()).orElseThrow();

    assertThat(ActWords.name(act)).isEqualTo("Shoulder left to shoulder right");
    assertThat(ActWords.sentence(sheet, act).orElseThrow())
        .startsWith("Shoulder left to shoulder right ")
        .doesNotContain(" of crown")
        .endsWith(" crown to chin.");
    FreePair other =
        new FreePair(Landmark.CROWN, Landmark.CHIN, Landmark.SHOULDER_L, Landmark.SHOULDER_R);
    StyleSheet turned =
        StyleSheet.of(
            "Nobody",
            Canon.realistic().view(),
            List.of(
                MeasuredWork.of("work", "", "", figure(0))
                    .reading(List.of(other.measure()), figure(0))));
    assertThat(ActWords.sentence(turned, Acts.of(other.measure()).orElseThrow()).orElseThrow())
        .startsWith("Crown to chin ")
        .endsWith(" of shoulder left to shoulder right.");
    assertThat(Wording.miss(PAIR.measure(), 4))
        .isEqualTo("shoulder left to shoulder right far too long");
    assertThat(ActWords.side(PAIR.measure(), false))
        .isEqualTo("shoulder left to shoulder right short");
  }

  @Test
  void aFileKeepsItWithItsRule() throws Exception {
    StyleSheet again = StyleFile.parse(StyleFile.of(sheet()).toJson()).sheet();

    assertThat(again.rule(PAIR.measure())).isEqualTo(sheet().rule(PAIR.measure()));
    assertThat(again.works().get(0).value(PAIR.measure()))
        .isCloseTo(sheet().works().get(0).value(PAIR.measure()), offset(1e-9));
  }
}
