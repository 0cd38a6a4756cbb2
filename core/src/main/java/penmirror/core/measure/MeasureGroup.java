package penmirror.core.measure;

import java.util.Locale;

/** The parts in which readings and scores are told. */
public enum MeasureGroup {
  PROPORTION,
  FACE,
  LINE,
  SHADE,
  COLOUR,
  /** How hard and how close together the steps between colours are. */
  EDGE,
  /** Silhouette and regions: round or angular, whole or scalloped. */
  SHAPE,
  /** Face, hair and cloth each for itself, as found in the picture. */
  PART,
  /** Skin, hair and clothes each for itself, from light to shadow. */
  ROLE,
  /** Where things sit in the figure; speaks of the framing as much as of the style. */
  LAYOUT,
  TICKS;

  /** The word used in files. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
