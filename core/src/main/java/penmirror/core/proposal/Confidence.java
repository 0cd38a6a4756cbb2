package penmirror.core.proposal;

import penmirror.core.figure.Landmark;

/**
 * The chance that a proposed point lies within a twentieth of the head's height. Fitted on drawn
 * and openly licensed figures, docs/proposals.md says on which and how well it held.
 */
final class Confidence {
  /**
   * Constant, and weights of the pair's score, its lead over the next, the evidence, whether seen
   * at all, a turned head, and what the net says of the face.
   */
  private enum Weights {
    CORNER(0.61, 0.67, 0.18, -0.14, 0.06, 0.89, 2.83),
    LID(1.06, 0.76, -0.58, -0.01, 0.11, 0.23, 1.50),
    IRIS(1.49, 0.30, -0.01, 0.51, -1.37, 0.13, 1.28),
    IRIS_EDGE(1.69, 0.09, -0.61, 0.48, 0.17, 0.53, 1.29),
    BROW(0.77, 0.31, 0.24, 0.46, 0.08, 0.85, 1.80),
    BROW_END(1.33, 0.36, 0.23, 0.66, 0.13, 0.81, 1.33),
    NOSE(0.15, 0.19, 0.78, 0.26, 0.01, 0.02, 0.13),
    MOUTH(-1.73, 0.49, 1.12, -0.12, -0.17, 0.43, 1.43),
    CHIN(-0.08, 0.41, 0.44, 1.97, -0.01, -0.10, 0.98),
    CHEEK(1.84, 0.07, 0.22, 0, 0, -0.28, -0.05),
    JAW(1.85, 0.04, -0.22, 0, 0, 0.49, -0.27),
    CROWN(2.67, 0.23, -0.60, -0.21, 0.27, 0.11, -0.27),
    HAIRLINE(4.30, -0.33, -0.12, 0, 0, 0.01, -0.08),
    NOSE_TOP(-0.45, 0.01, -0.30, 0.07, -0.08, -0.01, 0.65),
    EAR(4.34, -0.30, -0.35, 0, 0, -0.47, -0.09),
    HAIR_SIDE(1.50, 0.07, 0.23, 0, 0, -0.15, -0.15);

    private final double[] b;

    Weights(double... b) {
      this.b = b;
    }

    double chance(EyePair eyes, double score, double margin, Face.Found found, boolean turned) {
      double z =
          b[0]
              + b[1] * score / 5
              + b[2] * margin / 2
              + b[3] * found.evidence()
              + (found.generic() ? 0 : b[4])
              + (turned ? b[5] : 0)
              + b[6] * Math.max(-1, Math.min(1, eyes.face() / SUREST_FACE))
              - (eyes.face() < FaceReader.LIKE_TAUGHT ? UNLIKE : 0);
      return ofFace(score, eyes.face()) / (1 + Math.exp(-z));
    }
  }

  /**
   * What a chance is worth once figures are marked, by what was proposed: marked faces make all of
   * a head surer than the weighing of each point says. Constant and weight of its log odds.
   */
  private enum Marked {
    EYES(0.68, 1.20),
    BROWS(1.56, 0.54),
    NOSE(2.51, 0.80),
    MOUTH(0.77, 0.96),
    CHIN(1.98, 0.23),
    JAW(3.79, 0.01),
    CROWN(-0.26, 0.29),
    HAIR_TOP(5.11, 0.28),
    HAIRLINE(2.04, 0.76),
    SIDES(-0.18, 0.91),
    NECK(3.21, 1.70),
    SOLE(3.70, 0.79),
    BODY(0.55, 1.59);

    private final double constant;
    private final double weight;

    Marked(double constant, double weight) {
      this.constant = constant;
      this.weight = weight;
    }
  }

  /** Chances beyond this and its complement are no surer. */
  private static final double SUREST = 0.98;

  /** Where a pair of eyes is as likely wrong as right, and how sharply that turns. */
  private static final double EVEN_SCORE = 6.9;

  private static final double SCORE_STEP = 0.8;

  /** Faces of one study resemble each other about this much. */
  private static final double USUAL_LIKENESS = 0.5;

  private static final double LIKENESS_GAIN = 8;

  /** Marked faces also helped to choose the pair. */
  private static final double LEARNED_LEAD = 2.5;

  /**
   * How far a new figure lies from the mean of marked ones, in their spread. Below 1, since that
   * spread is kept wide while few are marked.
   */
  private static final double NEW_FIGURE = 0.8;

  /** What it says for a seen point that it lies just where marked figures have it. */
  private static final double AGREEMENT = 0.7;

  /**
   * Off the log odds on a face unlike those the nets were taught on, from memory: on 24 heads of
   * other hands they would be stated too high without.
   */
  private static final double UNLIKE = 0.7;

  /**
   * Score and half the odds at which a pair is as likely no face as one: noise stays below 3, drawn
   * heads that score 4.4 are right.
   */
  private static final double EVEN_FACE = 4.5;

  /** Log odds of a face beyond which it is no surer. */
  private static final double SUREST_FACE = 8;

  private Confidence() {}

  /** The chance that a pair is the eyes, by its score; like marked faces it counts as more. */
  static double ofPair(double score, double likeness) {
    double z = score + LEARNED_LEAD + LIKENESS_GAIN * (likeness - USUAL_LIKENESS) - EVEN_SCORE;
    return 1 / (1 + Math.exp(-z / SCORE_STEP));
  }

  /** The chance that there is a face at all, by the pair's score and by what the net says. */
  private static double ofFace(double score, double odds) {
    return 1 / (1 + Math.exp(-(TaughtFace.rank(score, odds) - EVEN_FACE) / SCORE_STEP));
  }

  /**
   * For a point seen in the picture, whether or not the eyes are the right ones.
   *
   * @param eyes with what the net says of the face round them
   * @param score of the pair of eyes
   * @param margin its lead over the best pair elsewhere, [0, 4]
   * @param turned whether the head is in three-quarter view
   */
  static double of(
      Landmark landmark,
      EyePair eyes,
      double score,
      double margin,
      Face.Found found,
      boolean turned) {
    return landmark == Landmark.HAIR_TOP
        ? 0.97
        : weights(landmark).chance(eyes, score, margin, found, turned);
  }

  private static Weights weights(Landmark landmark) {
    return switch (landmark) {
      case EYE_L_OUTER, EYE_L_INNER, EYE_R_INNER, EYE_R_OUTER -> Weights.CORNER;
      case IRIS_L_CENTRE, IRIS_R_CENTRE -> Weights.IRIS;
      case IRIS_L_EDGE, IRIS_L_TOP, IRIS_R_EDGE, IRIS_R_TOP -> Weights.IRIS_EDGE;
      case BROW_L_INNER, BROW_R_INNER -> Weights.BROW;
      case BROW_L_OUTER, BROW_R_OUTER -> Weights.BROW_END;
      case NOSE_BASE -> Weights.NOSE;
      case MOUTH_L, MOUTH_R, MOUTH_TOP, MOUTH_BOTTOM -> Weights.MOUTH;
      case CHIN -> Weights.CHIN;
      case CHEEK_L, CHEEK_R -> Weights.CHEEK;
      case JAW_L, JAW_R -> Weights.JAW;
      case CROWN -> Weights.CROWN;
      case HAIRLINE -> Weights.HAIRLINE;
      case NOSE_TOP -> Weights.NOSE_TOP;
      case EAR_L_TOP, EAR_L_BASE, EAR_R_TOP, EAR_R_BASE -> Weights.EAR;
      case HAIR_L, HAIR_R -> Weights.HAIR_SIDE;
      default -> Weights.LID;
    };
  }

  /** What a chance is worth once figures of this view are marked. */
  static double withMarked(Landmark landmark, double chance) {
    Marked marked = marked(landmark);
    double kept = Math.max(1 - SUREST, Math.min(SUREST, chance));
    double z = marked.constant + marked.weight * Math.log(kept / (1 - kept));
    return Math.min(SUREST, 1 / (1 + Math.exp(-z)));
  }

  private static Marked marked(Landmark landmark) {
    return switch (landmark) {
      case BROW_L_INNER, BROW_L_OUTER, BROW_L_PEAK, BROW_R_INNER, BROW_R_OUTER, BROW_R_PEAK ->
          Marked.BROWS;
      case NOSE_BASE, NOSE_TOP -> Marked.NOSE;
      case MOUTH_L, MOUTH_R, MOUTH_TOP, MOUTH_BOTTOM -> Marked.MOUTH;
      case CHIN -> Marked.CHIN;
      case JAW_L, JAW_R, CHEEK_L, CHEEK_R -> Marked.JAW;
      case CROWN -> Marked.CROWN;
      case HAIR_TOP -> Marked.HAIR_TOP;
      case HAIRLINE -> Marked.HAIRLINE;
      case HAIR_L, HAIR_R, EAR_L_TOP, EAR_L_BASE, EAR_R_TOP, EAR_R_BASE -> Marked.SIDES;
      case NECK_L, NECK_R, NECK_BASE -> Marked.NECK;
      case SOLE -> Marked.SOLE;
      default -> FaceProposal.isOfTheBody(landmark) ? Marked.BODY : Marked.EYES;
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
    double gain = AGREEMENT - offInSpreads + Math.max(0, likeness);
    double odds = seen / Math.max(1e-6, 1 - seen) * Math.exp(gain);
    return Math.min(0.99, odds / (1 + odds));
  }
}
