package penmirror.demoart.page;

import java.util.Locale;

/** The layers of a drawing, from the bottom up. */
public enum Layer {
  SKETCH,
  FLATS,
  SHADE,
  EFFECTS,
  LINE;

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
