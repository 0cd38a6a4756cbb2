package penmirror.core.measure.proportion;

import java.util.List;
import java.util.Locale;
import penmirror.core.measure.Measure;

/**
 * How a study counts a figure in heads. All four are read from the same marks, so that changing the
 * convention needs no marking anew; only the one in use becomes a rule.
 */
public enum StatureConvention {
  /** From the skull's top, straight down. */
  STRAIGHT_FROM_CROWN(ProportionMeasures.STATURE),
  /** From the hair's top, straight down, the head counted with its hair. */
  STRAIGHT_FROM_HAIR(ProportionMeasures.STATURE_WITH_HAIR),
  /** From the skull's top, along the middle of a bent figure. */
  ALONG_FROM_CROWN(ProportionMeasures.STATURE_ALONG_AXIS),
  ALONG_FROM_HAIR(ProportionMeasures.STATURE_ALONG_AXIS_WITH_HAIR);

  private static final List<Measure> STATURES =
      List.of(
          ProportionMeasures.STATURE,
          ProportionMeasures.STATURE_WITH_HAIR,
          ProportionMeasures.STATURE_ALONG_AXIS,
          ProportionMeasures.STATURE_ALONG_AXIS_WITH_HAIR);

  private final Measure measure;

  StatureConvention(Measure measure) {
    this.measure = measure;
  }

  /** The measure of figure height that is in use. */
  public Measure measure() {
    return measure;
  }

  public boolean countsTheHair() {
    return this == STRAIGHT_FROM_HAIR || this == ALONG_FROM_HAIR;
  }

  /** Whether a measure is a figure height, by whatever convention. */
  public static boolean isStature(Measure measure) {
    return STATURES.contains(measure);
  }

  /** Whether a measure is a figure height of another convention. */
  public boolean excludes(Measure other) {
    return other != measure && STATURES.contains(other);
  }

  /** The word used in files and addresses. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Straight from the crown where the word is not known. */
  public static StatureConvention ofWord(String word) {
    for (StatureConvention convention : values()) {
      if (convention.word().equals(word)) {
        return convention;
      }
    }
    return STRAIGHT_FROM_CROWN;
  }
}
