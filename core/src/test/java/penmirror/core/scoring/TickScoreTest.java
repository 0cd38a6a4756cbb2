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

    assertThat(tick.credit()).isEqualTo(credit);
    assertThat(tick.weight()).isEqualTo(weight);
  }

  @Test
  void whatWorksDoAsOftenAsNotIsNoRule() {
    assertThatThrownBy(() -> new TickScore(FREE, true))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(score(Map.of("laces", false)).statements()).isEmpty();
  }

  @Test
  void whatWasNotAnsweredTakesNoPart() {
    Score silent = score(Map.of());

    assertThat(silent.statements()).isEmpty();
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
        whole.acts().stream()
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
    assertThat(score.statements())
        .extracting(s -> s.tick().isKept())
        .containsExactly(false, true, false);
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
    return scorer.score(attempt, asked, answers).statements().stream()
        .map(stated -> stated.tick().ticked().key())
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
