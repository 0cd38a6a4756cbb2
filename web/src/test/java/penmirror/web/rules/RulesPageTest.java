package penmirror.web.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.colour.ColourMeasures;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.style.BaseLine;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;
import penmirror.web.sheets.SignatureStore.Kept;
import penmirror.web.sheets.SignatureStore.Trait;

/** The sheet's page as a model, without a server. */
class RulesPageTest {
  private static final Act EYES = Acts.byKey("eye-height").orElseThrow();

  private static StyleSheet sheet(double... eyeLines) {
    List<MeasuredWork> works = new ArrayList<>();
    int number = 0;
    for (double eyes : eyeLines) {
      Map<Measure, Double> values = new LinkedHashMap<>();
      values.put(FaceMeasures.EYE_LINE, eyes);
      values.put(ProportionMeasures.STATURE, 3.0);
      values.put(ColourMeasures.HUE, 40.0);
      works.add(
          new MeasuredWork("" + ++number, "Work " + number, "", View.FRONT, values, List.of()));
    }
    return StyleSheet.of("A hand", View.FRONT, works);
  }

  private static RulesPage page(StyleSheet sheet, Kept kept) {
    return RulesPage.of(
        7,
        sheet,
        BaseLine.realistic(),
        kept,
        List.of(new Ticked("nails", "Nails are drawn", 0, 9)));
  }

  private static RulesPage.ActRow row(RulesPage page, String act) {
    return page.groups().stream()
        .flatMap(group -> group.rows().stream())
        .filter(row -> row.key().equals(act))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void whatStandsOutIsProposedAndShowsWhatTheBaseLineDoes() {
    RulesPage page = page(sheet(0.61, 0.61, 0.62, 0.61), new Kept(List.of(), ""));
    assertThat(page.accepted()).isFalse();
    assertThat(page.traits()).extracting(RulesPage.TraitCard::key).contains("heads-tall");
    RulesPage.TraitCard tall =
        page.traits().stream().filter(t -> t.key().equals("heads-tall")).findFirst().orElseThrow();
    assertThat(tall.words()).isEqualTo("Three heads tall.");
    assertThat(tall.theirs()).isEqualTo("seven and a half");
    assertThat(tall.effect()).isEqualTo("Reads younger");
    assertThat(tall.kept()).isEqualTo(4);
  }

  @Test
  void theUsersOrderAndWordsStandOverWhatIsProposed() {
    RulesPage page =
        page(
            sheet(0.61, 0.61, 0.62, 0.61),
            new Kept(List.of(new Trait(EYES, "Eyes sunk deep")), "Carved"));
    assertThat(page.accepted()).isTrue();
    assertThat(page.headline()).isEqualTo("Carved");
    assertThat(page.traits())
        .extracting(RulesPage.TraitCard::words)
        .containsExactly("Eyes sunk deep");
    assertThat(row(page, "eye-height").place()).isEqualTo(1);
    assertThat(row(page, "heads-tall").place()).isZero();
  }

  /** Tight as it may be: with a work outside its band a rule is not always so. */
  @Test
  void aRuleWithAWorkOutsideIsNotAlways() {
    assertThat(row(page(sheet(0.61, 0.61, 0.62, 0.61), new Kept(List.of(), "")), "eye-height"))
        .satisfies(row -> assertThat(row.strength()).isEqualTo("always"))
        .satisfies(row -> assertThat(row.kept()).isEqualTo(row.works()));
    RulesPage.ActRow broken =
        row(
            page(sheet(0.61, 0.61, 0.61, 0.61, 0.61, 0.61, 0.61, 0.70), new Kept(List.of(), "")),
            "eye-height");
    assertThat(broken.kept()).isLessThan(broken.works());
    assertThat(broken.strength()).isEqualTo("usually");
  }

  @Test
  void everyDotLeadsToItsWork() {
    RulesPage.ActRow eyes = row(page(sheet(0.6, 0.61), new Kept(List.of(), "")), "eye-height");
    assertThat(eyes.strip().dots())
        .extracting(dot -> dot.href())
        .containsExactly("/studies/7/works/1/measure", "/studies/7/works/2/measure");
    assertThat(eyes.low()).isEqualTo("eyes high");
    assertThat(eyes.high()).isEqualTo("eyes low");
  }

  /** What is drawn is shown and makes no act; what is ticked is a row. */
  @Test
  void subjectAndTicksHaveTheirOwnPlaces() {
    RulesPage page = page(sheet(0.6, 0.61), new Kept(List.of(), ""));
    assertThat(page.subject()).extracting(RulesPage.SubjectRow::name).containsExactly("Main hue");
    assertThat(page.ticks()).extracting(RulesPage.TickRow::holds).containsExactly("never");
    assertThat(page.ticks().get(0).yesWidth()).isEqualTo("0.0");
  }

  @Test
  void withoutWorksThereIsNothingAndNoFault() {
    RulesPage page =
        RulesPage.of(
            7,
            StyleSheet.of("A hand", View.FRONT, List.of()),
            BaseLine.realistic(),
            new Kept(List.of(), ""),
            List.of());
    assertThat(page.groups()).isEmpty();
    assertThat(page.traits()).isEmpty();
  }
}
