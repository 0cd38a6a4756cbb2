package penmirror.core.scoring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import penmirror.core.act.ActGroup;
import penmirror.core.act.Acts;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Feature;
import penmirror.core.figure.Marks;
import penmirror.core.format.ScoreJson;
import penmirror.core.format.StyleFile;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.style.DrawingStage;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Portrayal;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;
import penmirror.core.telling.ActWords;
import penmirror.core.telling.FixWords;

/** What no ruler gives counts as an act of its own, once it is answered. */
class TickScoreTest {
  private static final Ticked NEVER = new Ticked("nails", "Nails", DrawingStage.LINE, 0, 6);
  private static final Ticked ALWAYS = new Ticked("blush", "Blush", DrawingStage.FLATS, 6, 0);
  private static final Ticked USUALLY = new Ticked("band", "Band", DrawingStage.EFFECTS, 9, 1);
  private static final Ticked FREE = new Ticked("laces", "Laces", DrawingStage.LINE, 3, 3);

  private static final StyleSheet SHEET = sheet().stating(List.of(NEVER, ALWAYS, USUALLY, FREE));

  private static StyleSheet sheet() {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      int by = i - 2;
      Marks marks =
          Canon.realistic().moved(Feature.EYES.landmarks(), p -> p.plus(new Point(0, by)));
      works.add(MeasuredWork.of("work-" + i, "", "", new Evidence(marks, Optional.empty())));
    }
    return StyleSheet.of("Nobody", Canon.realistic().view(), works);
  }

  private static Score score(Map<String, Boolean> answers) {
    return new Scorer(SHEET).score(new Evidence(Canon.realistic(), Optional.empty()), answers);
  }

  @ParameterizedTest
  @CsvSource({
    "6, 0, true, 1, 1", "6, 0, false, 0, 1", "0, 6, true, 0, 1", "0, 6, false, 1, 1",
    "9, 1, true, 1, 0.5", "9, 1, false, 0, 0.5", "1, 9, true, 0, 0.5", "1, 9, false, 1, 0.5"
  })
  void aStatementIsKeptOneWayAndBrokenTheOther(
      int yes, int no, boolean answer, double credit, double weight) {
    TickScore tick = new TickScore(new Ticked("k", "t", DrawingStage.LINE, yes, no), answer);

    assertThat(tick.credit()).contains(credit);
    assertThat(tick.misses()).isEqualTo(credit == 0);
    assertThat(tick.rule().weight()).isEqualTo(weight);
  }

  @Test
  void whatWorksDoAsOftenAsNotIsNoRule() {
    assertThatThrownBy(() -> new TickScore(FREE, true))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(score(Map.of("laces", false)).answered()).isEmpty();
  }

  @Test
  void whatWasNotAnsweredTakesNoPart() {
    Score silent = score(Map.of());

    assertThat(silent.answered()).isEmpty();
    assertThat(silent.groups()).doesNotContainKey(ActGroup.TICKS);
    assertThat(silent.byRules())
        .isEqualTo(
            new Scorer(sheet()).score(new Evidence(Canon.realistic(), Optional.empty())).byRules());
  }

  /** By hand: all acts are right, so that of the weights W only the broken statement is lost. */
  @Test
  void aBrokenOneCostsItsShareOfAllWeights() {
    Score whole = score(Map.of("nails", false, "blush", true));
    Score broken = score(Map.of("nails", true, "blush", true));
    double acts =
        whole.measured().stream()
            .filter(a -> a.credit().isPresent())
            .mapToDouble(ActScore::weight)
            .sum();

    assertThat(whole.byRules().orElseThrow()).isCloseTo(100, offset(1e-9));
    assertThat(broken.byRules().orElseThrow())
        .isCloseTo(100 * (acts + 1) / (acts + 2), offset(1e-9));
  }

  @Test
  void theSharesOfActsAndStatementsAddUpToThePoints() {
    Score score = score(Map.of("nails", true, "blush", true, "band", false));

    double points = score.groups().values().stream().mapToDouble(Score.Share::points).sum();
    double of = score.groups().values().stream().mapToDouble(Score.Share::of).sum();
    assertThat(points).isCloseTo(score.byRules().orElseThrow(), offset(1e-9));
    assertThat(of).isCloseTo(100, offset(1e-9));
    assertThat(score.answered())
        .extracting(act -> act.tick().orElseThrow().isKept())
        .containsExactly(false, true, false);
  }

  /** The gain of its fix is what it lost, and the headline of a teacher can be about it. */
  @Test
  void aBrokenOneIsAmongTheFixes() {
    Score broken = score(Map.of("nails", true, "blush", false));

    assertThat(broken.fixes()).extracting(Fix::key).contains("tick.nails.less", "tick.blush.more");
    Fix nails =
        broken.fixes().stream().filter(f -> f.key().equals("tick.nails.less")).findFirst().get();
    Score once = score(Map.of("nails", false, "blush", false));
    assertThat(nails.pointsGained())
        .isCloseTo(once.byRules().orElseThrow() - broken.byRules().orElseThrow(), offset(1e-9));
    assertThat(FixWords.instruction(nails)).isEqualTo("Leave it out: nails");
    assertThat(FixWords.miss(nails)).isEqualTo("so here alone: nails");
    assertThat(FixWords.why(nails)).isEqualTo("Holds in 0 of their 6 works");
    assertThat(broken.mended().orElseThrow().all()).isCloseTo(100, offset(1e-9));
  }

  /** One of those that make or break it shares half, as a measured act does. */
  @Test
  void aStatementCanMakeOrBreakTheStyle() {
    StyleSheet few =
        SHEET.makingOrBreaking(
            List.of(Acts.byKey("tick.nails").orElseThrow(), Acts.byKey("eye-height").get()));
    Evidence redraw = new Evidence(Canon.realistic(), Optional.empty());
    Score silent = new Scorer(few).score(redraw);
    Score broken = new Scorer(few).score(redraw, Map.of("nails", true));

    assertThat(silent.byRules().orElseThrow()).isCloseTo(100, offset(1e-9));
    assertThat(silent.acts())
        .filteredOn(act -> act.act().key().equals("tick.nails"))
        .singleElement()
        .satisfies(act -> assertThat(act.credit()).isEmpty());
    double eyes =
        broken.acts().stream()
            .filter(a -> a.act().key().equals("eye-height"))
            .findFirst()
            .get()
            .weight();
    assertThat(broken.byRules().orElseThrow()).isCloseTo(50 + 50 * eyes / (eyes + 1), offset(1e-9));
    assertThat(ActWords.sentence(few, Acts.ofStatement("nails"))).contains("Never: nails.");
  }

  @Test
  void whatAStageCannotShowIsNotAskedOfIt() {
    AttemptScorer scorer = new AttemptScorer(SHEET);
    Evidence attempt = new Evidence(Canon.realistic(), Optional.empty());
    Map<String, Boolean> answers = Map.of("nails", true, "blush", false, "band", false);

    assertThat(keys(scorer, attempt, AttemptStage.ROUGH, answers)).isEmpty();
    assertThat(keys(scorer, attempt, AttemptStage.LINE, answers)).containsExactly("nails");
    assertThat(keys(scorer, attempt, AttemptStage.FLATS, answers))
        .containsExactly("nails", "blush");
    assertThat(keys(scorer, attempt, AttemptStage.FINISHED, answers))
        .containsExactly("nails", "blush", "band");
  }

  private static List<String> keys(
      AttemptScorer scorer, Evidence attempt, AttemptStage stage, Map<String, Boolean> answers) {
    AttemptScorer.Asked asked = scorer.asked(attempt, Portrayal.ANY, Optional.of(stage));
    return scorer.score(attempt, asked, answers).answered().stream()
        .map(act -> act.tick().orElseThrow().rule().key())
        .toList();
  }

  @Test
  void aFileKeepsThemAndGivesTheSameScore() throws Exception {
    StyleSheet again = StyleFile.parse(StyleFile.of(SHEET).toJson()).sheet();
    Map<String, Boolean> answers = Map.of("nails", true, "blush", true);
    Evidence redraw = new Evidence(Canon.realistic(), Optional.empty());

    assertThat(again.statements()).isEqualTo(SHEET.statements());
    assertThat(ScoreJson.write("a", new Scorer(again).score(redraw, answers)))
        .isEqualTo(ScoreJson.write("a", new Scorer(SHEET).score(redraw, answers)))
        .contains("\"key\":\"nails\",\"works\":\"never\",\"redraw\":true");
  }
}
