package penmirror.demoart.manner;

import java.util.Locale;

/** Kind of hatching along the shadow's border. */
public enum Hatching {
  NONE,
  PARALLEL,
  CROSS;

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
