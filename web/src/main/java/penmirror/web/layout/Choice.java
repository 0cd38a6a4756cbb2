package penmirror.web.layout;

import java.util.Optional;

/** A word of a form that stands for one of a few. */
public final class Choice {
  private Choice() {}

  /**
   * Empty where nothing was chosen.
   *
   * @throws RefusedException when it is none of them
   */
  public static <E extends Enum<E>> Optional<E> maybe(Class<E> type, String word) {
    return word.isEmpty() ? Optional.empty() : Optional.of(of(type, word));
  }

  /**
   * @throws RefusedException when it is none of them
   */
  public static <E extends Enum<E>> E of(Class<E> type, String word) {
    try {
      return Enum.valueOf(type, word);
    } catch (IllegalArgumentException e) {
      throw new RefusedException("fault.form.word", Texts.cut(word, 40));
    }
  }
}
