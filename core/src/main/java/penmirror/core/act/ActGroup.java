package penmirror.core.act;

import java.util.Locale;

/** The parts in which acts are told and scores are added up. */
public enum ActGroup {
  PROPORTION,
  FACE,
  LINE,
  SHADE,
  COLOUR,
  SHAPE,
  /** Statements that no ruler gives. */
  TICKS;

  /** The word used in files and message keys. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
