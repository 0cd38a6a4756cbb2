package penmirror.core.telling;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.measure.Evidence;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

/** The first sentences of a few pictures. */
class FirstWordsTest {

  @Test
  void eachAnswerNamesTheWorksItWasReadFrom() {
    StyleSheet sheet =
        sheet(
            work("whole", Canon.realistic()),
            work(
                "head",
                Canon.realistic()
                    .only(
                        List.of(
                            Landmark.CROWN,
                            Landmark.CHIN,
                            Landmark.EYE_L_OUTER,
                            Landmark.EYE_L_INNER,
                            Landmark.EYE_R_INNER,
                            Landmark.EYE_R_OUTER))));
    List<FirstWords.Answer> answers = FirstWords.of(sheet, 8);
    assertThat(answers.get(0).act().key()).isEqualTo("heads-tall");
    assertThat(answers.get(0).works()).containsExactly("whole");
    assertThat(answers.get(1).act().key()).isEqualTo("eye-height");
    assertThat(answers.get(1).works()).containsExactly("whole", "head");
    assertThat(answers).allMatch(answer -> answer.sentence().endsWith("."));
  }

  @Test
  void noMoreAreToldThanAreWanted() {
    StyleSheet sheet = sheet(work("whole", Canon.realistic()));
    assertThat(FirstWords.of(sheet, 2)).hasSize(2);
    assertThat(FirstWords.of(sheet, 0)).isEmpty();
  }

  @Test
  void whereNothingIsReadNothingIsTold() {
    assertThat(FirstWords.of(sheet(work("bare", Marks.none(View.FRONT))), 5)).isEmpty();
    assertThat(FirstWords.of(sheet(), 5)).isEmpty();
  }

  private static StyleSheet sheet(MeasuredWork... works) {
    return StyleSheet.of("Somebody", View.FRONT, List.of(works), Map.of());
  }

  private static MeasuredWork work(String id, Marks marks) {
    return MeasuredWork.of(id, id, "", new Evidence(marks, Optional.empty()));
  }
}
