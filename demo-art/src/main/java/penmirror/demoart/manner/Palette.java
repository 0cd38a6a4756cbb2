package penmirror.demoart.manner;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;

/** The lit local colour of every role. Immutable. */
public final class Palette {
  private final EnumMap<Role, OkLab> colours;

  private Palette(EnumMap<Role, OkLab> colours) {
    this.colours = colours;
  }

  /**
   * @param text such as "skin F0CBA6 hair 4D4566 …", one colour for every role
   */
  public static Palette of(String text) {
    EnumMap<Role, OkLab> colours = new EnumMap<>(Role.class);
    String[] words = text.trim().split("\\s+");
    for (int i = 0; i + 1 < words.length; i += 2) {
      colours.put(
          Role.valueOf(words[i].toUpperCase(Locale.ROOT)),
          OkLab.from(EncodedSrgb.fromHex(words[i + 1])));
    }
    for (Role role : Role.values()) {
      if (!colours.containsKey(role)) {
        throw new IllegalArgumentException("The palette has no colour for " + role.word() + ".");
      }
    }
    return new Palette(colours);
  }

  public OkLab of(Role role) {
    return Objects.requireNonNull(colours.get(role));
  }

  public Palette with(Role role, OkLab colour) {
    EnumMap<Role, OkLab> changed = new EnumMap<>(colours);
    changed.put(role, colour);
    return new Palette(changed);
  }

  /** Some colours exchanged, written as in {@link #of(String)}. */
  public Palette with(String text) {
    EnumMap<Role, OkLab> changed = new EnumMap<>(colours);
    String[] words = text.trim().split("\\s+");
    for (int i = 0; i + 1 < words.length; i += 2) {
      changed.put(
          Role.valueOf(words[i].toUpperCase(Locale.ROOT)),
          OkLab.from(EncodedSrgb.fromHex(words[i + 1])));
    }
    return new Palette(changed);
  }

  public Map<Role, OkLab> colours() {
    return Map.copyOf(colours);
  }
}
