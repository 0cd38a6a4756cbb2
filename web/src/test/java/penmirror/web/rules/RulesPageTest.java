package penmirror.web.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.figure.Mood;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.measure.colour.ColourMeasures;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.style.BaseLine;
import penmirror.core.style.Contrast;
import penmirror.core.style.DrawingStage;
import penmirror.core.style.Likeness;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Portrayal;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;
import penmirror.web.sheets.SayingStore;
import penmirror.web.sheets.Sayings;
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
    return page(sheet, sheet, kept, Sayings.none());
  }

  private static RulesPage page(StyleSheet sheet, StyleSheet moved, Kept kept, Sayings sayings) {
    return RulesPage.of(
        new RulesPage.Sources(
            sheet,
            moved,
            Strips.of(7, BaseLine.realistic(), true),
            kept,
            sayings,
            List.of(new Ticked("nails", "Nails are drawn", DrawingStage.LINE, 0, 9)),
            List.of(),
            Map.of(1L, "/pictures/a/480"),
            rule -> Optional.empty()));
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
        .extracting(dot -> dot.work().href())
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
    RulesPage page = page(StyleSheet.of("A hand", View.FRONT, List.of()), new Kept(List.of(), ""));
    assertThat(page.groups()).isEmpty();
    assertThat(page.traits()).isEmpty();
  }

  private static Sayings said(SayingStore.Kind kind, String about, String text) {
    return Sayings.of(
        List.of(
            new SayingStore.Entry(
                1, kind, about, 0.7, 0.8, OptionalLong.of(2), text, Instant.EPOCH)));
  }

  /** In blue stands only what reads otherwise; the sentence over all works stays beside it. */
  @Test
  void aMovedScopeShowsWhatItChanges() {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      Mood mood = i < 3 ? Mood.KEEN : Mood.SAD;
      works.add(
          new MeasuredWork(
                  "" + i,
                  "Work " + i,
                  "",
                  View.FRONT,
                  Map.of(FaceMeasures.EYE_LINE, 0.6, FaceMeasures.EYE_ASPECT, i < 3 ? 1.0 : 0.4),
                  List.of())
              .showing(Portrayal.ANY.inMood(Optional.of(mood))));
    }
    StyleSheet sheet = StyleSheet.of("A hand", View.FRONT, works);
    Portrayal keen = Portrayal.ANY.inMood(Optional.of(Mood.KEEN));
    RulesPage page = page(sheet, sheet.wantedFor(keen), new Kept(List.of(), ""), Sayings.none());
    assertThat(row(page, "eye-height").moved()).isEmpty();
    RulesPage.ActRow shape = row(page, "eye-shape");
    assertThat(shape.moved()).isNotEmpty().isNotEqualTo(shape.sentence());
    assertThat(shape.works()).isEqualTo(3);
    assertThat(page.scopes().changed()).isEqualTo(1);
    assertThat(page.scopes().moved()).isTrue();
  }

  @Test
  void aSwitchStandsForWhatTheWorksDifferIn() {
    StyleSheet plain = sheet(0.6, 0.61);
    assertThat(ScopeRow.of(plain, Portrayal.ANY, 0, 1).switches()).isEmpty();
    StyleSheet moods =
        StyleSheet.of(
            "A hand",
            View.FRONT,
            List.of(
                plain.works().get(0).showing(Portrayal.ANY.inMood(Optional.of(Mood.GLAD))),
                plain.works().get(1).showing(Portrayal.ANY.inMood(Optional.of(Mood.SAD)))));
    ScopeRow row = ScopeRow.of(moods, ScopeRow.wanted("", "", "sad", "by night"), 2, 3);
    assertThat(row.switches()).extracting(ScopeRow.Switch::key).containsExactly("mood", "manner");
    assertThat(row.switches().get(0).positions())
        .extracting(ScopeRow.Position::query)
        .containsExactly(
            "manner=by+night", "mood=glad&manner=by+night", "mood=sad&manner=by+night");
    assertThat(row.switches().get(0).positions())
        .extracting(ScopeRow.Position::current)
        .containsExactly(false, false, true);
    assertThat(ScopeRow.wanted("nothing", "", "", "")).isEqualTo(Portrayal.ANY);
  }

  @Test
  void theUsersSentenceStandsOverTheSheets() {
    RulesPage page =
        page(
            sheet(0.6, 0.61),
            sheet(0.6, 0.61),
            new Kept(List.of(), ""),
            said(SayingStore.Kind.WORDS, "eye-height", "Eyes sunk deep"));
    assertThat(row(page, "eye-height").sentence()).isEqualTo("Eyes sunk deep");
    assertThat(page.anythingSaid()).isTrue();
  }

  @Test
  void anOpenedActTellsWhatWasSaidOverEachReading() {
    Sayings sayings = said(SayingStore.Kind.LEAVE_OUT, "eye.line", "a copy");
    StyleSheet sheet = sheet(0.6, 0.61, 0.9);
    ActPage act =
        ActPage.of(
            EYES, sheet, Strips.of(7, BaseLine.realistic(), true), sayings, Map.of(2L, "Work 2"));
    ActPage.ReadingRow line = act.readings().get(0);
    assertThat(line.typed()).isTrue();
    assertThat(line.byHand()).isEmpty();
    assertThat(line.leftOut())
        .extracting(ActPage.OutRow::title, ActPage.OutRow::reason)
        .containsExactly(Tuple.tuple("Work 2", "a copy"));
  }

  /** Three sentences a word at most, the strongest first, with how many works they stand on. */
  @Test
  void whatChangesWithAWordIsToldInSentences() {
    Rule high = sheet(0.5, 0.5, 0.5).rule(FaceMeasures.EYE_LINE).orElseThrow();
    Rule low = sheet(0.6, 0.6, 0.6).rule(FaceMeasures.EYE_LINE).orElseThrow();
    Contrast.Difference difference =
        new Contrast.Difference(Acts.byKey("eye-height").orElseThrow(), high, low, 2.1, 0.002);
    RulesPage.LikenessRow row =
        RulesPage.LikenessRow.of(
            new Likeness("fierce", 5, 7, List.of(difference, difference, difference, difference)));
    assertThat(row.sentences()).hasSize(3);
    assertThat(row.sentences().get(0))
        .isEqualTo("On fierce ones eyes low, on the others eyes high.");
    assertThat(row.works()).isEqualTo(5);
    assertThat(row.of()).isEqualTo(12);
  }
}
