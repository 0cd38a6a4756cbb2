package penmirror.core.colour;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a colour of a figure paints. In the order in which roles are told. */
public enum Role {
  SKIN,
  HAIR,
  /** The largest colour of the clothes. */
  CLOTH,
  /** The second largest that is not like it. */
  CLOTH_TWO;

  /** By the name that somebody gave it, such as "Skin" or "cloth 2"; empty for any other. */
  public static Optional<Role> ofName(String name) {
    String asWord = name.strip().toLowerCase(Locale.ROOT).replace(" 2", "-two");
    return Arrays.stream(values()).filter(role -> role.word().equals(asWord)).findFirst();
  }

  /** The word used in files and message keys. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
