package penmirror.core.figure;

import java.util.Locale;

/** Which way the figure is turned, as seen. */
public enum Turn {
  LEFT,
  AHEAD,
  RIGHT;

  /** The word used in files and addresses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
