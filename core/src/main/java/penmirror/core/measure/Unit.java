package penmirror.core.measure;

/** What a value counts. */
public enum Unit {
  HEADS("heads", 2),
  OF_THE_HEAD("head", 2),
  OF_THE_HEIGHT("height", 2),
  CHEEK_WIDTHS("cheek widths", 2),
  EYE_WIDTHS("eye widths", 2),
  EYE_HEIGHTS("eye heights", 2),
  OF_THE_WIDTH("width", 2),
  EYE_DISTANCES("eye distances", 2),
  RATIO("times", 2),
  DEGREES("degrees", 1),
  HEAD_THOUSANDTHS("head/1000", 1),
  FIGURE_THOUSANDTHS("figure/1000", 1),
  PIXELS("px", 1),
  LIGHTNESS("lightness", 2),
  CHROMA("chroma", 3),
  LAB("L*a*b* steps", 1),
  COLOUR_STEP("colour step", 3),
  SHARE("share", 2),
  LOG_SHARE("log share", 2),
  HEADS_PER_HEAD("per head", 1),
  FIGURES_PER_FIGURE("per figure", 1),
  EQUAL_COLOURS("equal colours", 1),
  PLACES("places", 0),
  LEVELS("values", 1),
  LIGHTS("lights", 1),
  COLOURS("colours", 0);

  private final String word;
  private final int decimals;

  Unit(String word, int decimals) {
    this.word = word;
    this.decimals = decimals;
  }

  /** The word used in files. */
  public String word() {
    return word;
  }

  /** Decimals worth showing: no more than a steady hand can mark. */
  public int decimals() {
    return decimals;
  }

  /** The least a value of this unit can be; minus infinity where there is none. */
  public double least() {
    return switch (this) {
      case SHARE, CHROMA, COLOURS, LIGHTS, PLACES, COLOUR_STEP -> 0;
      default -> Double.NEGATIVE_INFINITY;
    };
  }

  /** The most a value of this unit can be; infinity where there is none. */
  public double most() {
    return this == SHARE ? 1 : Double.POSITIVE_INFINITY;
  }
}
