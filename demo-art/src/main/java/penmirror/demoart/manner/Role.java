package penmirror.demoart.manner;

import java.util.Locale;

/** What a colour paints. */
public enum Role {
  PAPER,
  INK,
  SKIN,
  HAIR,
  /** The main garment. */
  COAT,
  /** Collar, cuffs, shirt: what is worn with the main garment. */
  SHIRT,
  /** The accent: scarf or sash. */
  SCARF,
  LEGS,
  SHOES,
  HAT,
  WOOD,
  METAL,
  GLOW,
  EYE,
  IRIS,
  MOUTH,
  BLUSH;

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
