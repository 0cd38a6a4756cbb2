package penmirror.web.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import penmirror.core.act.Act;
import penmirror.core.style.Contrast;
import penmirror.core.style.Likeness;
import penmirror.core.telling.ContrastWords;
import penmirror.web.layout.RefusedException;
import penmirror.web.sheets.FigureWordStore;
import penmirror.web.sheets.Loaded;
import penmirror.web.sheets.SheetMaker;
import penmirror.web.studies.Study;

/** What the user's own figure is like, where the works are drawn otherwise by it. */
@Component
class FigureWords {
  private static final int MOST_SENTENCES = 2;

  private final SheetMaker sheets;
  private final FigureWordStore store;

  FigureWords(SheetMaker sheets, FigureWordStore store) {
    this.sheets = sheets;
    this.store = store;
  }

  /** The user's answer; its words stand in message keys. */
  enum Answer {
    YES,
    NO,
    /** All works rule. */
    EITHER
  }

  /**
   * A question of the plan.
   *
   * @param sentences what is done otherwise, the strongest first
   */
  record Asked(String word, List<String> sentences, List<Option> options) {}

  /**
   * One answer to it.
   *
   * @param value as it is sent
   * @param key the word in message keys
   */
  record Option(String value, String key, boolean isChosen) {}

  /** None where no word parts the works. */
  List<Asked> of(Study study) {
    Loaded loaded = sheets.load(study);
    if (loaded.isFromFile()) {
      return List.of();
    }
    List<Likeness> asked = new ArrayList<>();
    for (Likeness likeness : loaded.likenesses()) {
      if (asked.stream().noneMatch(before -> isTheOtherSide(before, likeness))) {
        asked.add(likeness);
      }
    }
    return asked.stream().map(likeness -> asked(loaded, likeness)).toList();
  }

  /** Where works are either fierce or friendly, one question is enough. */
  private static boolean isTheOtherSide(Likeness one, Likeness other) {
    return one.works() == other.others()
        && one.others() == other.works()
        && acts(one).equals(acts(other));
  }

  private static Set<Act> acts(Likeness likeness) {
    return likeness.differ().stream().map(Contrast.Difference::act).collect(Collectors.toSet());
  }

  private static Asked asked(Loaded loaded, Likeness likeness) {
    Boolean carried = loaded.figureWords().get(likeness.word());
    return new Asked(
        likeness.word(),
        likeness.differ().stream()
            .limit(MOST_SENTENCES)
            .map(difference -> ContrastWords.sides(likeness.word(), difference))
            .toList(),
        Arrays.stream(Answer.values())
            .map(
                answer ->
                    new Option(
                        answer.name(),
                        answer.name().toLowerCase(Locale.ROOT),
                        answer == given(carried)))
            .toList());
  }

  private static Answer given(@Nullable Boolean carried) {
    if (carried == null) {
      return Answer.EITHER;
    }
    return carried ? Answer.YES : Answer.NO;
  }

  /**
   * @throws RefusedException for a word that parts nothing
   */
  @Transactional
  void say(Study study, String word, Answer answer) {
    if (of(study).stream().noneMatch(asked -> asked.word().equals(word))) {
      throw new RefusedException("plan.figure-is.unknown", word);
    }
    if (answer == Answer.EITHER) {
      store.forget(study.id(), word);
    } else {
      store.say(study.id(), word, answer == Answer.YES);
    }
  }
}
