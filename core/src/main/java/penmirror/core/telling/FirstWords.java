package penmirror.core.telling;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;

/**
 * The first sentences that a few pictures answer: one of each kind that a cartoonist asks about, in
 * the order in which they ask. A sentence here is no rule yet.
 */
public final class FirstWords {
  /** What is asked, and by which acts it is answered, the first that is read. */
  private static final List<List<String>> ASKED =
      List.of(
          List.of("heads-tall"),
          List.of("eye-height", "eye-size", "eye-shape"),
          List.of("outline", "line-weight", "line-character"),
          List.of("shadow-edge", "values", "shadow-amount"),
          List.of("colour-count", "colour-strength"),
          List.of("face-shape", "hair-mass"),
          List.of("eye-gap"),
          List.of("line-colour"));

  private FirstWords() {}

  /**
   * One answer.
   *
   * @param works that it was read from, by the ids the sheet has them by
   */
  public record Answer(Act act, String sentence, List<String> works) {}

  /**
   * @param most how many at most; fewer where less is read
   */
  public static List<Answer> of(StyleSheet sheet, int most) {
    List<Answer> answers = new ArrayList<>();
    for (List<String> question : ASKED) {
      question.stream()
          .flatMap(key -> Acts.byKey(key).stream())
          .flatMap(act -> answer(sheet, act).stream())
          .findFirst()
          .filter(answer -> answers.size() < most)
          .ifPresent(answers::add);
    }
    return answers;
  }

  private static Optional<Answer> answer(StyleSheet sheet, Act act) {
    return ActWords.sentence(sheet, act)
        .map(
            sentence -> {
              Rule lead = ActWords.lead(sheet.rules(act));
              List<String> from =
                  sheet.works().stream()
                      .filter(work -> work.values().containsKey(lead.measure()))
                      .map(MeasuredWork::id)
                      .toList();
              return new Answer(act, sentence, from);
            });
  }
}
