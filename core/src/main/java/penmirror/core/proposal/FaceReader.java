package penmirror.core.proposal;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;

/** Reads a face whose pair of eyes is known, part after part, and its sides, hair and crown. */
final class FaceReader {
  /** The face is widest just below the eyes: share of the way to the chin. */
  private static final double CHEEK_LEVEL = 0.06;

  /** Eye distances above the eyes between which the top of the head is sought. */
  private static final double MASS_STARTS = 0.8;

  private static final double MASS_ENDS = 3.5;

  /** Share of the face's width below which what stands up is no longer the head. */
  private static final double NECKED = 0.7;

  /** What lies above that width on a round head, in half widths: 1 − √(1 − 0.7²). */
  private static final double ROUND_CAP = 0.29;

  /** What lies so near to where a net sees it is the same, in eye distances. */
  private static final double ALIKE = 0.08;

  /** Log odds of a face from which on it is like those that the nets were taught on. */
  static final double LIKE_TAUGHT = 8;

  /** A mouth, a nose for which more speaks looks like one. */
  private static final double CLEAR_MOUTH = 0;

  private static final double CLEAR_NOSE = -0.9;

  /** What speaks for a part that nothing but a net sees. */
  private static final double ONLY_TAUGHT = -0.8;

  /** Two chins no farther apart are one, in eye distances. */
  private static final double CHINS_ALIKE = 0.2;

  /** What the chin that was read counts against the one that the nets see. */
  private static final double READ_CHIN = 0.6;

  private static final Set<Landmark> BROWS =
      EnumSet.of(
          Landmark.BROW_L_OUTER,
          Landmark.BROW_L_INNER,
          Landmark.BROW_R_INNER,
          Landmark.BROW_R_OUTER);

  /** Where mouth and nose are expected, shares of the way to the chin. */
  record Expected(
      double mouthX,
      double mouthXSpread,
      double mouth,
      double mouthSpread,
      double mouthWidth,
      double mouthWidthSpread,
      double noseX,
      double noseXSpread,
      double nose,
      double noseSpread) {
    static final Expected ANY = new Expected(0, 0.28, 0.66, 0.13, 0.62, 0.65, 0, 0.2, 0.4, 0.12);
  }

  private final Ground ground;
  private final EyePair eyes;
  private final FaceGrid grid;
  private final TaughtFace taught;
  private final FaceDraft draft = new FaceDraft();

  private FaceReader(Ground ground, EyePair eyes, FaceGrid grid, TaughtFace taught) {
    this.ground = ground;
    this.eyes = eyes;
    this.grid = grid;
    this.taught = taught;
  }

  /**
   * @param grid the face sampled in the frame of these eyes
   * @param taught what the nets see round them
   */
  static Face read(
      Ground ground,
      EyePair eyes,
      FaceGrid grid,
      TaughtFace taught,
      Outline.Prior prior,
      Expected expected) {
    return new FaceReader(ground, eyes, grid, taught).read(prior, expected);
  }

  private Face read(Outline.Prior prior, Expected expected) {
    new EyeReader(grid, eyes, taught, draft).read();
    LowerFaceReader.Joint lower = new LowerFaceReader(grid, prior, expected, draft).read();
    asTaught();
    new BrowReader(grid, draft).read();
    cheeksAndJaw(lower.outline());
    hairAndCrown(lower.outline());
    headAsTaught();
    return new Face(eyes, draft.found(), lower.outline(), lower.score());
  }

  /**
   * Mouth and nose as they were read where the nets see them there too, or where the face is none
   * like those they were taught on and what was read looks like one; else as the nets see them.
   */
  private void asTaught() {
    if (!stands(CLEAR_MOUTH, Landmark.MOUTH_L, Landmark.MOUTH_R)) {
      for (Landmark landmark : FaceNets.Kind.MOUTH.landmarks()) {
        draft.put(landmark, taught.place(landmark), ONLY_TAUGHT, false);
      }
    }
    if (!stands(CLEAR_NOSE, Landmark.NOSE_BASE)) {
      Point nose = taught.place(Landmark.NOSE_BASE);
      draft.put(Landmark.NOSE_BASE, nose, ONLY_TAUGHT, false);
    }
  }

  /**
   * Brows as they were read where the nets see them there too, the chin between where both have it
   * if they agree; the rest of the head as the nets see it.
   */
  private void headAsTaught() {
    Point chin = draft.place(Landmark.CHIN);
    Point seen = taught.place(Landmark.CHIN);
    for (Landmark landmark : FaceNets.Kind.HEAD.landmarks()) {
      if (!BROWS.contains(landmark) || !isThere(landmark)) {
        draft.put(landmark, taught.place(landmark), ONLY_TAUGHT, false);
      }
    }
    if (chin.distanceTo(seen) <= CHINS_ALIKE) {
      Point between = chin.times(READ_CHIN).plus(seen.times(1 - READ_CHIN));
      draft.put(Landmark.CHIN, between, 0, false);
    }
  }

  private boolean isThere(Landmark landmark) {
    Face.Found read = draft.found().get(landmark);
    return read != null && read.place().distanceTo(taught.place(landmark)) <= ALIKE;
  }

  private boolean stands(double clear, Landmark... landmarks) {
    Face.Found first = draft.found(landmarks[0]);
    boolean isClear = taught.odds() < LIKE_TAUGHT && first.evidence() > clear;
    return !first.generic() && (isClear || Arrays.stream(landmarks).allMatch(this::isThere));
  }

  private void cheeksAndJaw(Outline outline) {
    double cheekV = CHEEK_LEVEL * outline.chin();
    for (Side side : Side.values()) {
      double[] reaches = new double[24];
      for (int i = 0; i < reaches.length; i++) {
        double v = 0.35 * outline.chin() * i / (reaches.length - 1);
        double reach = 0.8 * outline.half();
        while (reach < 1.3 * outline.half()
            && grid.skinAt(outline.shift() + side.outward() * reach, v) > 0.5) {
          reach += 0.015;
        }
        reaches[i] = reach;
      }
      Arrays.sort(reaches);
      double cheek = reaches[(int) (0.75 * (reaches.length - 1))];
      Point at = new Point(outline.shift() + side.outward() * cheek, cheekV);
      draft.put(side.of(Landmark.CHEEK_L), at, outline.score(), false);
      draft.put(side.of(Landmark.JAW_L), corner(outline, side, at), outline.score(), false);
    }
  }

  /** Farthest from the chord between cheek and chin. */
  private static Point corner(Outline outline, Side side, Point cheek) {
    Point to = outline.chinPoint();
    Point chord = to.minus(cheek);
    Point best = cheek.midpointTo(to);
    double farthest = 0;
    for (int i = 1; i < 40; i++) {
      Point at = outline.at(side.outward() * Math.PI / 2 * i / 40);
      Point off = at.minus(cheek);
      double away = Math.abs(off.x() * chord.y() - off.y() * chord.x()) / chord.length();
      if (away > farthest) {
        farthest = away;
        best = at;
      }
    }
    return best;
  }

  /**
   * How far above the eyes the head itself ends: a bun or a tuft is narrower than it. Seen from the
   * middle line outwards in the silhouette; never below the brows.
   */
  private double massTop(Outline outline) {
    for (double above = MASS_STARTS; above < MASS_ENDS; above += 0.03) {
      double wide = 0;
      for (Side side : Side.values()) {
        double reach = 0;
        while (reach < 2 * outline.half()
            && isFigure(outline.shift() + side.outward() * reach, -above)) {
          reach += 0.04;
        }
        wide += reach;
      }
      if (wide < NECKED * 2 * outline.half()) {
        // A round skull is this wide a little below its top.
        return above + ROUND_CAP * outline.half();
      }
    }
    return MASS_ENDS;
  }

  /** Of the silhouette half way up to the crown: a turned skull lies behind the face. */
  private double middleOfHead(double crown) {
    double sum = 0;
    for (Side side : Side.values()) {
      double reach = 0;
      while (reach < 3 && isFigure(side.outward() * reach, -crown / 2)) {
        reach += 0.04;
      }
      sum += side.outward() * reach;
    }
    return sum / 2;
  }

  private boolean isFigure(double u, double v) {
    Point at = eyes.at(u, v);
    return ground.figure.at((int) Math.round(at.x()), (int) Math.round(at.y()));
  }

  private void hairAndCrown(Outline outline) {
    double reach = 1.05 * outline.half() * eyes.distance();
    Point middle = eyes.at(outline.shift(), 0);
    int topRow = Integer.MAX_VALUE;
    double topX = middle.x();
    for (int x = (int) (middle.x() - reach); x <= middle.x() + reach; x++) {
      int row = ground.topOver(x, x);
      if (row < topRow && row >= ground.top) {
        topRow = row;
        topX = x;
      }
    }
    Point hair = eyes.inFrame(topX, topRow - 0.5);
    draft.put(Landmark.HAIR_TOP, hair, 1, false);
    double above = Math.min(-hair.y(), massTop(outline));
    double crown =
        grid.skinAt(outline.shift(), hair.y() + 0.12) > 0.5 ? above - 0.02 : 0.25 + 0.69 * above;
    double u = grid.fromFront ? outline.shift() : (outline.shift() + middleOfHead(crown)) / 2;
    draft.put(Landmark.CROWN, new Point(u, -crown), 0, false);
  }
}
