package penmirror.core.figure;

import java.util.Locale;

/** What kind of figure it is; rules often differ by it. */
public enum Kind {
  MAN,
  WOMAN,
  CHILD,
  CREATURE;

  /** The word used in files and addresses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
