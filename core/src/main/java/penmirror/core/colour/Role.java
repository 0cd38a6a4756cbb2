package penmirror.core.colour;

import java.util.Locale;

/** What a colour of a figure paints. In the order in which roles are told. */
public enum Role {
  SKIN,
  HAIR,
  /** The largest colour of the clothes. */
  CLOTH,
  /** The second largest that is not like it. */
  CLOTH_TWO;

  /** The word used in files and message keys. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
