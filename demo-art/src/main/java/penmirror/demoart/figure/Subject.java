package penmirror.demoart.figure;

import penmirror.demoart.manner.Palette;

/** Who is drawn: what the same person keeps in every picture. */
public record Subject(
    String name,
    Hair hair,
    Garment garment,
    Hat hat,
    boolean moustache,
    boolean scarf,
    boolean boots,
    Prop prop,
    Eyewear eyewear,
    Palette palette) {

  /** Somebody with nothing before the eyes. */
  public Subject(
      String name,
      Hair hair,
      Garment garment,
      Hat hat,
      boolean moustache,
      boolean scarf,
      boolean boots,
      Prop prop,
      Palette palette) {
    this(name, hair, garment, hat, moustache, scarf, boots, prop, Eyewear.NONE, palette);
  }

  /** Cut of the hair. */
  public enum Hair {
    SHORT,
    BOB,
    LONG,
    UP,
    CURLS,
    /** Only round the ears. */
    FRINGE
  }

  /** The main garment. */
  public enum Garment {
    COAT,
    LONG_COAT,
    DRESS,
    JUMPER,
    APRON
  }

  /** What is on the head. */
  public enum Hat {
    NONE,
    BAKER,
    CAP
  }

  /** What the right hand holds where the pose holds something. */
  public enum Prop {
    NONE,
    LANTERN,
    BASKET,
    POLE,
    BREAD,
    BOOK
  }

  /** What is worn before the eyes. */
  public enum Eyewear {
    NONE,
    GLASSES,
    DARK_GLASSES,
    /** Over the eye on the right. */
    PATCH
  }

  public Subject wearing(Palette other) {
    return new Subject(name, hair, garment, hat, moustache, scarf, boots, prop, eyewear, other);
  }

  public Subject holding(Prop other) {
    return new Subject(name, hair, garment, hat, moustache, scarf, boots, other, eyewear, palette);
  }

  public Subject wearing(Eyewear other) {
    return new Subject(name, hair, garment, hat, moustache, scarf, boots, prop, other, palette);
  }

  /** The same person otherwise cut. */
  public Subject with(Hair other) {
    return new Subject(name, other, garment, hat, moustache, scarf, boots, prop, eyewear, palette);
  }
}
