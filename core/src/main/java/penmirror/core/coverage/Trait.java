package penmirror.core.coverage;

import java.util.Locale;

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
}
