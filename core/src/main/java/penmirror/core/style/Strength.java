package penmirror.core.style;

import java.util.Locale;

/** How firmly the works hold to a rule. */
public enum Strength {
  /** Tight against how far illustrators differ here. */
  ALWAYS,
  USUALLY,
  /** Loose, or seen in too few works: shown, not scored. */
  FREE;

  /** A tolerance under this share of the spread among styles makes a rule hold always. */
  static final double ALWAYS_BELOW = 1 / 3.0;

  static Strength of(double tolerance, double spreadAmongStyles, double shareOfWorks) {
    if (shareOfWorks < Rule.LEAST_SHARE || tolerance > spreadAmongStyles) {
      return FREE;
    }
    return tolerance < ALWAYS_BELOW * spreadAmongStyles ? ALWAYS : USUALLY;
  }

  /** The word used in files. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
