package penmirror.web.rail;

import java.util.Locale;

/** The stages of the work, in order; each is one head on the rail. */
public enum Stage {
  GATHER,
  MEASURE,
  RULES,
  PLAN,
  DRAW,
  MIRROR;

  /** The word in URLs, templates and message keys. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
