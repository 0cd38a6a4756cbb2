package penmirror.core.scoring;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import penmirror.core.act.Act;
import penmirror.core.figure.Mood;
import penmirror.core.measure.Evidence;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.MoodReader;
import penmirror.core.style.Portrayal;
import penmirror.core.style.StyleSheet;

/**
 * Holds attempts against what a sheet asks of each of them: the rules of its own mood, kind and
 * manner, and of those only what a drawing of its stage can show. Serves many attempts at once.
 */
public final class AttemptScorer {
  private final StyleSheet sheet;
  private final MoodReader moods;
  private final Map<Key, Scorer> scorers = new ConcurrentHashMap<>();

  public AttemptScorer(StyleSheet sheet) {
    this.sheet = sheet;
    moods = MoodReader.of(sheet.works());
  }

  private record Key(Portrayal shows, AttemptStage stage) {}

  /**
   * What an attempt is held against.
   *
   * @param isMoodGuessed whether nobody said the mood
   * @param isMannerGuessed whether nobody said the manner, of several that the works have
   * @param isStageGuessed whether nobody said the stage
   */
  public record Asked(
      Portrayal shows,
      boolean isMoodGuessed,
      boolean isMannerGuessed,
      AttemptStage stage,
      boolean isStageGuessed) {}

  /**
   * What is asked of an attempt; what nobody said is seen in it.
   *
   * @param said what the user said of the picture; its framing is not heeded
   */
  public Asked asked(Evidence attempt, Portrayal said, Optional<AttemptStage> saidStage) {
    return asked(attempt, said, saidStage, Map.of());
  }

  /**
   * @param face what a look at its face says: the chance of each mood
   */
  public Asked asked(
      Evidence attempt, Portrayal said, Optional<AttemptStage> saidStage, Map<Mood, Double> face) {
    // A look at the face tells more than points that nobody has looked at.
    Evidence known = face.isEmpty() ? attempt : attempt.withMarks(attempt.marks().confirmed());
    Optional<Mood> mood =
        said.mood().or(() -> moods.told(MeasuredWork.of("", "", "", known).values(), face));
    AttemptStage stage =
        saidStage.orElseGet(
            () ->
                attempt
                    .pixels()
                    .map(pixels -> AttemptStage.seenIn(pixels, sheet))
                    .orElse(AttemptStage.FINISHED));
    String manner = said.manner().isEmpty() ? seenManner(attempt) : said.manner();
    return new Asked(
        new Portrayal(Optional.empty(), said.kind(), mood, manner),
        said.mood().isEmpty() && mood.isPresent(),
        said.manner().isEmpty() && !manner.isEmpty(),
        stage,
        saidStage.isEmpty());
  }

  /**
   * Of a hand that draws in several manners the one of the works it lies nearest to; empty where
   * those are of different ones.
   */
  private String seenManner(Evidence attempt) {
    boolean several =
        sheet.works().stream().map(work -> work.shows().manner()).distinct().count() > 1;
    if (!several) {
      return "";
    }
    List<String> nearest =
        Nearness.of(sheet, attempt).stream()
            .limit(Nearness.NEAREST)
            .map(nearness -> nearness.work().shows().manner())
            .distinct()
            .toList();
    return nearest.size() == 1 ? nearest.get(0) : "";
  }

  /** The sheet as it is asked of such an attempt. */
  public StyleSheet sheet(Asked asked) {
    return scorer(asked).sheet();
  }

  public Score score(Evidence attempt, Asked asked) {
    return score(attempt, asked, Map.of());
  }

  /**
   * @param answers whether a statement holds of the attempt, by the statement's key
   */
  public Score score(Evidence attempt, Asked asked, Map<String, Boolean> answers) {
    return score(attempt, asked, answers, act -> false);
  }

  /**
   * @param onPurpose acts that are off as the user wants them: no fix names them
   */
  public Score score(
      Evidence attempt, Asked asked, Map<String, Boolean> answers, Predicate<Act> onPurpose) {
    return scorer(asked).score(attempt, answers, onPurpose);
  }

  /** The same but for the interval, which takes two hundred sheets. */
  public Score judged(
      Evidence attempt, Asked asked, Map<String, Boolean> answers, Predicate<Act> onPurpose) {
    return scorer(asked).judged(attempt, answers, onPurpose);
  }

  /** Points by the rules once some fixes of its score are done; empty when nothing counts. */
  public Optional<Double> afterwards(
      Evidence attempt, Asked asked, Map<String, Boolean> answers, List<Fix> fixes) {
    return scorer(asked).afterwards(attempt, answers, fixes);
  }

  private Scorer scorer(Asked asked) {
    return scorers.computeIfAbsent(
        new Key(asked.shows(), asked.stage()),
        key -> {
          StyleSheet shown =
              key.stage() == AttemptStage.FINISHED
                  ? sheet
                  : sheet
                      .without(measure -> !key.stage().canShow(measure))
                      .stating(
                          sheet.statements().stream()
                              .filter(ticked -> key.stage().canShow(ticked.stage()))
                              .toList());
          return new Scorer(shown.wantedFor(key.shows()));
        });
  }
}
