package penmirror.core.figure;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a face shows. Lids, brows and mouth go with it, and say little of the hand then. */
public enum Mood {
  CALM,
  GLAD,
  SAD,
  CROSS,
  STARTLED,
  SLY,
  KEEN;

  /** Empty for a word that is none of them, such as one of a newer file. */
  public static Optional<Mood> ofWord(String word) {
    return Arrays.stream(values()).filter(mood -> mood.word().equals(word)).findFirst();
  }

  /** The word used in files and addresses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
