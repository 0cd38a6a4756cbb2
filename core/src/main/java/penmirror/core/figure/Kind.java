package penmirror.core.figure;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What kind of figure it is; rules often differ by it. */
public enum Kind {
  MAN,
  WOMAN,
  CHILD,
  CREATURE;

  /** Empty for a word that is none of them, such as one of a newer file. */
  public static Optional<Kind> ofWord(String word) {
    return Arrays.stream(values()).filter(kind -> kind.word().equals(word)).findFirst();
  }

  /** The word used in files and addresses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
