package penmirror.web.evidence;

import java.util.Locale;
import penmirror.core.measure.Measure;

/** What can be drawn over a picture, and which readings it explains. */
public enum Layer {
  FIGURE,
  WEIGHT,
  OUTLINE,
  BLACK,
  HATCHING,
  VALUES,
  EDGES,
  LIGHT,
  COLOURS,
  ACCENTS,
  STEPS,
  PARTS,
  LIMBS,
  IRISES,
  PLACES;

  /** The word used in the page and its script. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The layer that shows where a reading comes from. */
  public static Layer of(Measure measure) {
    String key = measure.key();
    return switch (measure.group()) {
      case LINE -> line(key);
      case SHADE -> shade(key);
      case COLOUR -> colour(key);
      case EDGE -> STEPS;
      case SHAPE -> key.startsWith("shape.") ? FIGURE : STEPS;
      case PART -> key.startsWith("limb.") ? LIMBS : key.startsWith("iris.") ? IRISES : PARTS;
      case LAYOUT -> PLACES;
      case ROLE -> VALUES;
      case PROPORTION, FACE, TICKS ->
          throw new IllegalArgumentException(key + " is not read from pixels.");
    };
  }

  private static Layer line(String key) {
    if (key.startsWith("hatch.")) {
      return HATCHING;
    }
    if (key.startsWith("black.")) {
      return BLACK;
    }
    return key.startsWith("line.outline") || key.equals("line.closed") ? OUTLINE : WEIGHT;
  }

  private static Layer shade(String key) {
    if (key.equals("light.from") || key.equals("light.spread")) {
      return LIGHT;
    }
    if (key.startsWith("shade.edge") || key.equals("shade.hard") || key.equals("shade.rim")) {
      return EDGES;
    }
    return key.equals("skin.hues") ? PARTS : VALUES;
  }

  private static Layer colour(String key) {
    if (key.startsWith("pal.accent")) {
      return ACCENTS;
    }
    if (key.equals("focus.contrast")) {
      return PARTS;
    }
    return key.equals("figure.ground") ? FIGURE : COLOURS;
  }
}
