package penmirror.web.sheets;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import penmirror.core.telling.FirstWords;

/** What a study tells while works of it wait to be looked at. */
public final class FirstAnswers {
  private static final int MOST = 6;

  private FirstAnswers() {}

  /**
   * A sentence with what it stands on.
   *
   * @param lookedAt of how many works somebody said that they are right
   * @param glimpsed how many more it was seen in
   */
  public record Answer(String sentence, int lookedAt, int glimpsed) {}

  /** Empty once all works are looked at: then the rules tell it. */
  public static List<Answer> of(Loaded loaded) {
    Set<String> waiting =
        loaded.notLookedAt().stream()
            .map(work -> Long.toString(work.id()))
            .collect(Collectors.toSet());
    return loaded.isFromFile() || waiting.isEmpty() ? List.of() : told(loaded, waiting);
  }

  /** Also where nothing waits. */
  public static List<Answer> all(Loaded loaded) {
    return told(
        loaded,
        loaded.notLookedAt().stream()
            .map(work -> Long.toString(work.id()))
            .collect(Collectors.toSet()));
  }

  private static List<Answer> told(Loaded loaded, Set<String> waiting) {
    return FirstWords.of(loaded.glimpsed(), MOST).stream()
        .map(
            answer -> {
              int glimpsed = (int) answer.works().stream().filter(waiting::contains).count();
              return new Answer(answer.sentence(), answer.works().size() - glimpsed, glimpsed);
            })
        .toList();
  }
}
