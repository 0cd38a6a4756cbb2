package penmirror.demoart.studio;

/** How much of a figure a picture shows. */
public enum Cut {
  FULL,
  BUST,
  FACE
}
