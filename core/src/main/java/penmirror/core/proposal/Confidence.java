package penmirror.core.proposal;

import penmirror.core.figure.Landmark;

/**
 * The chance that a proposed point lies within a twentieth of the head's height. Fitted on drawn
 * and openly licensed figures, docs/proposals.md says on which and how well it held.
 */
final class Confidence {
  /** Weights of the pair's score, its lead over the next, the evidence, and whether seen at all. */
  private enum Weights {
    CORNER(0.18, -0.92, 0.52, 2.31, 0.18),
    LID(-0.47, 0.15, 0.45, 1.43, -0.47),
    IRIS(-0.38, -0.60, 1.73, 2.72, -0.38),
    BROW(-0.68, 1.37, 0.25, 0.68, -0.35),
    NOSE(-1.88, 1.41, 0.11, 1.40, 1.47),
    MOUTH(-2.71, 1.00, 0.47, 1.51, 1.82),
    CHIN(-2.74, 0.64, 0.03, 2.85, -2.74);

    private final double[] b;

    Weights(double... b) {
      this.b = b;
    }

    double chance(double score, double margin, double evidence, boolean generic) {
      double z =
          b[0] + b[1] * score / 5 + b[2] * margin / 2 + b[3] * evidence + (generic ? 0 : b[4]);
      return 1 / (1 + Math.exp(-z));
    }
  }

  /** Where a pair of eyes is as likely wrong as right, and how sharply that turns. */
  private static final double EVEN_SCORE = 6.9;

  private static final double SCORE_STEP = 0.8;

  /** Faces of one study resemble each other about this much. */
  private static final double USUAL_LIKENESS = 0.5;

  private static final double LIKENESS_GAIN = 8;

  /** Marked faces also helped to choose the pair. */
  private static final double LEARNED_LEAD = 2.5;

  /** New figures lie farther from the mean of marked ones than those do from each other. */
  private static final double NEW_FIGURE = 1.35;

  private Confidence() {}

  /** The chance that a pair is the eyes, by its score; like marked faces it counts as more. */
  static double ofPair(double score) {
    return 1 / (1 + Math.exp(-(score - EVEN_SCORE) / SCORE_STEP));
  }

  static double ofPair(double score, double likeness) {
    return ofPair(score + LEARNED_LEAD + LIKENESS_GAIN * (likeness - USUAL_LIKENESS));
  }

  static double of(Landmark landmark, double score, double margin, Face.Found found) {
    return switch (landmark) {
      case HAIR_TOP -> 0.97;
      case CROWN -> 0.44;
      case CHEEK_L, CHEEK_R -> 0.35;
      case JAW_L, JAW_R -> 0.25;
      default -> weights(landmark).chance(score, margin, found.evidence(), found.generic());
    };
  }

  private static Weights weights(Landmark landmark) {
    return switch (landmark) {
      case EYE_L_OUTER, EYE_L_INNER, EYE_R_INNER, EYE_R_OUTER -> Weights.CORNER;
      case IRIS_L_CENTRE, IRIS_L_EDGE, IRIS_L_TOP, IRIS_R_CENTRE, IRIS_R_EDGE, IRIS_R_TOP ->
          Weights.IRIS;
      case BROW_L_OUTER, BROW_L_INNER, BROW_R_INNER, BROW_R_OUTER -> Weights.BROW;
      case NOSE_BASE -> Weights.NOSE;
      case MOUTH_L, MOUTH_R, MOUTH_TOP, MOUTH_BOTTOM -> Weights.MOUTH;
      case CHIN -> Weights.CHIN;
      default -> Weights.LID;
    };
  }

  /**
   * For a point whose error has a known spread along either axis, in heads: the chance that a round
   * cloud of that spread keeps within a twentieth.
   */
  static double ofSpread(double spreadHeads) {
    double ratio = 0.05 / Math.max(1e-6, spreadHeads);
    return Math.min(0.95, 1 - Math.exp(-ratio * ratio / 2));
  }

  /** The same for a new figure, from how far marked ones differ. */
  static double ofLearnedSpread(double spreadHeads) {
    return ofSpread(NEW_FIGURE * spreadHeads);
  }

  /** A seen point that lies where the marked figures have it is surer than one seen alone. */
  static double agreeing(double seen, double offInSpreads, double likeness) {
    double gain = 2 - offInSpreads + Math.max(0, likeness);
    double odds = seen / Math.max(1e-6, 1 - seen) * Math.exp(gain);
    return Math.min(0.99, odds / (1 + odds));
  }
}
