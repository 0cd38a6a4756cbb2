package penmirror.demoart.manner;

/** How a manner lays its shadows. */
public enum Shading {
  /** One flat shadow with a hard or soft edge. */
  TONE,
  /** Solid black on the shadow side, hatching toward the light. */
  INK
}
