package penmirror.core.coverage;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a figure is like, where style rules often do not carry over from one to another. */
public enum Trait {
  HAIR_COLOUR,
  HAIR_FALL,
  SKIN,
  BUILD,
  AGE,
  GLASSES,
  BEARD,
  FUR,
  METAL,
  PROP;

  /** The word used in files and addresses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Empty for a word that is none. */
  public static Optional<Trait> ofWord(String word) {
    return Arrays.stream(values()).filter(trait -> trait.word().equals(word)).findFirst();
  }
}
