package penmirror.demoart.pose;

/** What a hand does. */
public enum HandShape {
  RELAXED,
  OPEN,
  GRIP,
  FIST,
  POINTING
}
