package penmirror.web.mirror;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.springframework.context.support.ResourceBundleMessageSource;
import penmirror.core.act.Acts;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Feature;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

/** The verdict as a model, without a server: what is said first, and that it adds up. */
class VerdictTest {
  private static final Verdict.Beside NOBODY =
      new Verdict.Beside(Optional.empty(), Optional.empty(), "");

  private static StyleSheet sheet(String... makeOrBreak) {
    List<MeasuredWork> works = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      works.add(
          MeasuredWork.of(
              "" + i, "Work " + i, "", new Evidence(Canon.realistic(), Optional.empty())));
    }
    return StyleSheet.of("A hand", View.FRONT, works)
        .makingOrBreaking(
            List.of(makeOrBreak).stream().map(key -> Acts.byKey(key).orElseThrow()).toList());
  }

  private static Verdict verdict(StyleSheet sheet, Marks marks, List<String> words) {
    ResourceBundleMessageSource messages = new ResourceBundleMessageSource();
    messages.setBasename("messages");
    messages.setDefaultEncoding("UTF-8");
    Score score = new Scorer(sheet).score(new Evidence(marks, Optional.empty()));
    return Verdict.of(score, sheet.statements(), words, List.of(), NOBODY, messages);
  }

  private static Marks eyesUp() {
    return Canon.realistic().moved(Feature.EYES.landmarks(), p -> p.minus(new Point(0, 25)));
  }

  @Test
  void theFirstThingSaidIsWhatIsOff() {
    Verdict verdict = verdict(sheet(), eyesUp(), List.of());
    assertThat(verdict.headline()).startsWith("Eyes").contains("high").endsWith(".");
    assertThat(verdict.first().get(0).instruction()).startsWith("Lower both eyes");
    assertThat(verdict.first().get(0).effect()).isEqualTo("reads older");
    assertThat(verdict.first()).hasSizeLessThanOrEqualTo(3);
    assertThat(verdict.near()).contains("heads tall", "mouth");
  }

  /** What is too small for a line of its own is no miss in the first sentence either. */
  @Test
  void theFirstSentenceNamesOnlyWhatHasALine() {
    int none = 0;
    for (double up = 0.2; up < 12; up += 0.2) {
      double by = up;
      Marks marks =
          Canon.realistic().moved(Feature.EYES.landmarks(), p -> p.minus(new Point(0, by)));
      Verdict verdict = verdict(sheet(), marks, List.of());
      none += verdict.fixes().isEmpty() ? 1 : 0;
      assertThat(verdict.headline().contains("high")).isEqualTo(!verdict.fixes().isEmpty());
    }
    assertThat(none).isPositive();
  }

  @Test
  void theSumAddsUpToThePointsByTheRules() {
    for (StyleSheet sheet : List.of(sheet(), sheet("eye-height", "heads-tall"))) {
      Verdict verdict = verdict(sheet, eyesUp(), List.of("Eyes half way", "Seven heads"));
      double sum =
          verdict.sums().stream().mapToDouble(row -> Double.parseDouble(row.points())).sum();
      assertThat(sum).isCloseTo(Double.parseDouble(verdict.byRules()), offset(0.8));
    }
  }

  @Test
  void traitsAreKeptOrBrokenInTheUsersWords() {
    Verdict verdict =
        verdict(
            sheet("heads-tall", "eye-height"), eyesUp(), List.of("Seven heads", "Eyes half way"));
    assertThat(verdict.traits())
        .extracting(Verdict.TraitRow::state)
        .containsExactly("kept", "broken");
    assertThat(verdict.traits())
        .extracting(Verdict.TraitRow::words)
        .containsExactly("Seven heads", "Eyes half way");
    assertThat(verdict.traits().get(1).now()).contains("high");
  }

  @Test
  void anActThatCannotBeSeenIsNamedAndNotScored() {
    Marks noMouth =
        Canon.realistic()
            .with(Landmark.MOUTH_L, Mark.hidden())
            .with(Landmark.MOUTH_R, Mark.hidden());
    Verdict verdict = verdict(sheet("mouth"), noMouth, List.of("A small mouth"));
    assertThat(verdict.unread()).contains("mouth");
    assertThat(verdict.traits()).extracting(Verdict.TraitRow::state).containsExactly("unread");
  }

  @Test
  void withoutMarksItSaysWhatToMark() {
    Verdict verdict = verdict(sheet(), Marks.none(View.FRONT), List.of());
    assertThat(verdict.byRules()).isEmpty();
    assertThat(verdict.scale()).isEmpty();
    assertThat(verdict.headline()).contains("Mark crown, chin");
    assertThat(verdict.fixes()).isEmpty();
  }

  @Test
  void theScaleRunsFromNothingToAHundred() {
    Score full = new Scorer(sheet()).score(new Evidence(Canon.realistic(), Optional.empty()));
    ScoreScale scale =
        ScoreScale.of(full, new Verdict.Beside(Optional.of(0.0), Optional.of(50.0), "Other"))
            .orElseThrow();
    assertThat(scale.rulesX()).isEqualTo("210.0");
    assertThat(scale.handX()).isEqualTo("6.0");
    assertThat(scale.otherX()).isEqualTo("108.0");
    assertThat(scale.otherName()).isEqualTo("Other");
  }
}
