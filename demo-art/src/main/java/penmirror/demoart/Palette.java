package penmirror.demoart;

import java.util.EnumMap;
import java.util.Map;

/** Which colour paints what, as 0xRRGGBB. Immutable. */
final class Palette {
  /** What a colour paints. */
  enum Role {
    INK,
    PAPER,
    GROUND,
    SKIN,
    SKIN_SHADE,
    CHEEK,
    HAIR,
    HAIR_SHADE,
    HAIR_LIGHT,
    COAT,
    COAT_SHADE,
    COAT_LIGHT,
    SCARF,
    SCARF_SHADE,
    APRON,
    APRON_SHADE,
    LEG,
    LEG_SHADE,
    BOOT,
    BOOT_SHADE,
    BOOT_LIGHT,
    BRASS,
    BRASS_SHADE,
    GLOW,
    HALO,
    CAP,
    CAP_SHADE,
    CRUST,
    CRUST_SHADE,
    CRUST_LIGHT
  }

  private final Map<Role, Integer> colours;

  private Palette(Map<Role, Integer> colours) {
    this.colours = colours;
  }

  int of(Role role) {
    return colours.get(role);
  }

  Palette with(Role role, int rgb) {
    Map<Role, Integer> changed = new EnumMap<>(colours);
    changed.put(role, rgb);
    return new Palette(changed);
  }

  /** Odile Marrow by day: few warm colours, one accent. */
  static Palette day() {
    Map<Role, Integer> c = new EnumMap<>(Role.class);
    c.put(Role.INK, 0x241F20);
    c.put(Role.PAPER, 0xF5EDDC);
    c.put(Role.GROUND, 0xD8C9AE);
    c.put(Role.SKIN, 0xF0CBA6);
    c.put(Role.SKIN_SHADE, 0xDCA580);
    c.put(Role.CHEEK, 0xE58F6C);
    c.put(Role.HAIR, 0x4D4566);
    c.put(Role.HAIR_SHADE, 0x322B47);
    c.put(Role.HAIR_LIGHT, 0x7A7096);
    c.put(Role.COAT, 0x7C8450);
    c.put(Role.COAT_SHADE, 0x565F38);
    c.put(Role.COAT_LIGHT, 0xA3A86C);
    c.put(Role.SCARF, 0xE3A93F);
    c.put(Role.SCARF_SHADE, 0xBD7F2B);
    c.put(Role.APRON, 0xF2E7D0);
    c.put(Role.APRON_SHADE, 0xDACCB1);
    c.put(Role.LEG, 0x5D5A63);
    c.put(Role.LEG_SHADE, 0x413E48);
    c.put(Role.BOOT, 0x4A382F);
    c.put(Role.BOOT_SHADE, 0x2F2421);
    c.put(Role.BOOT_LIGHT, 0x7A5F4E);
    c.put(Role.BRASS, 0xB98A3C);
    c.put(Role.BRASS_SHADE, 0x8A6129);
    c.put(Role.GLOW, 0xF8DC86);
    c.put(Role.HALO, 0xF9E6AE);
    c.put(Role.CAP, 0xF6EEDD);
    c.put(Role.CAP_SHADE, 0xDDD2BA);
    c.put(Role.CRUST, 0xC58238);
    c.put(Role.CRUST_SHADE, 0x965B24);
    c.put(Role.CRUST_LIGHT, 0xE0AC62);
    return new Palette(c);
  }

  /** The same people under lanterns, on a dark page. */
  static Palette night() {
    return day()
        .with(Role.PAPER, 0x31384E)
        .with(Role.GROUND, 0x262C3F)
        .with(Role.SKIN, 0xD9B893)
        .with(Role.SKIN_SHADE, 0xA3826F)
        .with(Role.HAIR, 0x2C2A44)
        .with(Role.HAIR_SHADE, 0x1C1B30)
        .with(Role.HAIR_LIGHT, 0x56527A)
        .with(Role.COAT, 0x5A6142)
        .with(Role.COAT_SHADE, 0x3A4030)
        .with(Role.COAT_LIGHT, 0x83875A)
        .with(Role.SCARF, 0xC98F36)
        .with(Role.SCARF_SHADE, 0x8F6228)
        .with(Role.LEG, 0x454450)
        .with(Role.LEG_SHADE, 0x2C2B36)
        .with(Role.BOOT, 0x3A2C28)
        .with(Role.BOOT_SHADE, 0x221A19)
        .with(Role.HALO, 0x4A4B52);
  }

  /** Tam, who works the ferry: red hair, blue coat, the same scarf yellow held back. */
  static Palette ferry() {
    return day()
        .with(Role.HAIR, 0xA4552F)
        .with(Role.HAIR_SHADE, 0x6F3420)
        .with(Role.HAIR_LIGHT, 0xCB7F4E)
        .with(Role.COAT, 0x5B7480)
        .with(Role.COAT_SHADE, 0x3E525E)
        .with(Role.COAT_LIGHT, 0x86A0A8)
        .with(Role.SCARF, 0xD9CDB4)
        .with(Role.SCARF_SHADE, 0xAE9F84);
  }

  /** Bastian Crumb, night baker. */
  static Palette baker() {
    return day()
        .with(Role.PAPER, 0xEFE9E2)
        .with(Role.GROUND, 0xD3C6B4)
        .with(Role.HAIR, 0x8A5A35)
        .with(Role.HAIR_SHADE, 0x5F3B22)
        .with(Role.COAT, 0x8E93A6)
        .with(Role.COAT_SHADE, 0x656B80)
        .with(Role.SCARF, 0xB98A3C)
        .with(Role.SCARF_SHADE, 0x8A6129)
        .with(Role.LEG, 0x5B5148)
        .with(Role.LEG_SHADE, 0x3F3731)
        .with(Role.BOOT, 0x7B5236)
        .with(Role.BOOT_SHADE, 0x543722)
        .with(Role.BOOT_LIGHT, 0xA67A57)
        .with(Role.SKIN, 0xEDC09A)
        .with(Role.SKIN_SHADE, 0xD1946F)
        .with(Role.CHEEK, 0xE07F5C)
        .with(Role.HALO, 0xF4DDB0);
  }
}
