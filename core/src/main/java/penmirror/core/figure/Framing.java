package penmirror.core.figure;

import java.util.Locale;

/** How much of the figure a picture shows. */
public enum Framing {
  FULL,
  BUST,
  FACE,
  DETAIL;

  /** The word used in files and addresses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
