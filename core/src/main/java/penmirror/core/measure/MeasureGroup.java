package penmirror.core.measure;

import java.util.Locale;

/** The parts in which readings and scores are told. */
public enum MeasureGroup {
  PROPORTION,
  FACE,
  LINE,
  SHADE,
  COLOUR,
  TICKS;

  /** The word used in files. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
