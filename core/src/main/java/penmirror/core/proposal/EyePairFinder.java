package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Mask;

/**
 * Tells which two parts of a picture are the eyes. Every term says one thing that holds of eyes;
 * their weights were fitted on drawn and openly licensed figures, docs/proposals.md.
 */
final class EyePairFinder {
  private static final int MOST_WEIGHED = 260;
  private static final double STEEPEST_DEGREES = 26;

  /** Weighted OKLab distance within which a place is of the skin's colour. */
  private static final double SKIN = 0.05;

  /** Lightness between the halves of a face of which one is painted black. */
  private static final double HALF_LIT = 0.4;

  /** What speaks for a pair, and how much. */
  enum Term {
    SIZE(0.15),
    ASPECT(0.2),
    TILT(1.8),
    CONTRAST(3.1),
    PLAIN(2.2),
    SPACING(0.55),
    FLAT(-0.6),
    BRIGHT(-1.1),
    HALF_LIT(-0.2),
    LOW(1.05),
    MIRROR(2.0),
    SKIN(2.7),
    ALONE(2.55),
    INSIDE(1.9),
    TOP(0.9),
    WIDTH(2.1),
    MOUTH(0.85),
    MOUTH_CONTRAST(0.2),
    BROWS(1.5),
    NOSE(1.05),
    SECOND_PAIR(3.1),
    RANGE(1.0),
    RANGE_ALIKE(0.5);

    private final double weight;

    Term(double weight) {
      this.weight = weight;
    }
  }

  private final Ground ground;
  private final List<Spot> spots;

  /** Places of all spots in the frame of the pair at hand. */
  private final double[] us;

  private final double[] vs;

  private EyePairFinder(Ground ground, List<Spot> spots) {
    this.ground = ground;
    this.spots = spots;
    us = new double[spots.size()];
    vs = new double[spots.size()];
  }

  /** The likeliest pair first. */
  static List<EyePair> find(Ground ground, List<Spot> spots) {
    return new EyePairFinder(ground, spots).find();
  }

  private List<EyePair> find() {
    List<EyePair> pairs = new ArrayList<>();
    for (Spot left : spots) {
      for (Spot right : spots) {
        if (mayBePair(left, right)) {
          EyePair pair = new EyePair(left, right, 0);
          double[] terms = new double[Term.values().length];
          cheap(pair, terms);
          pairs.add(pair.scored(score(terms)));
        }
      }
    }
    return pairs.stream()
        .sorted(Comparator.comparingDouble(pair -> -pair.score()))
        .limit(MOST_WEIGHED)
        .toList()
        .parallelStream()
        // One finder a pair: it keeps where the spots lie in the frame of the pair at hand.
        .map(pair -> pair.scored(score(new EyePairFinder(ground, spots).terms(pair))))
        .sorted(Comparator.comparingDouble(pair -> -pair.score()))
        .toList();
  }

  /** All terms of a pair, in the order of {@link Term}. */
  double[] terms(EyePair pair) {
    double[] terms = new double[Term.values().length];
    cheap(pair, terms);
    dear(pair, terms);
    return terms;
  }

  private static boolean mayBePair(Spot left, Spot right) {
    if (left == right || left.x() >= right.x()) {
      return false;
    }
    double dx = right.x() - left.x();
    double dy = right.y() - left.y();
    double d = Math.hypot(dx, dy);
    double ring = 0;
    for (int c = 0; c < 3; c++) {
      ring += Math.abs(left.ring()[c] - right.ring()[c]);
    }
    return Math.abs(Math.toDegrees(Math.atan2(dy, dx))) <= STEEPEST_DEGREES
        && d >= 1.15 * Math.max(left.width(), right.width())
        && d <= 14 * Math.max(left.longer(), right.longer())
        && Math.abs(Math.log(left.area() / (double) right.area())) <= 1.9
        && (left.bright() == right.bright()
            ? ring <= 0.25
            : Math.abs(left.ring()[0] - right.ring()[0]) >= HALF_LIT);
  }

  /** Cut, so that one odd term does not decide alone. */
  static double normal(double off) {
    return -Math.min(9, off * off);
  }

  /** What holds of eyes and is told by the two parts alone. */
  private void cheap(EyePair pair, double[] terms) {
    Spot l = pair.leftEye();
    Spot r = pair.rightEye();
    double d = pair.distance();
    double size = Math.log(Math.sqrt(l.width() * l.height() / (r.width() * r.height())));
    double aspect = Math.log(l.width() / l.height()) - Math.log(r.width() / r.height());
    double longer = (l.longer() + r.longer()) / 2;
    boolean flat = (l.width() / l.height() + r.width() / r.height()) / 2 > 2.2;
    double lowFigure =
        Math.max(0, (pair.origin().y() - ground.top) / ground.boxHeight() - 0.55) / 0.12;
    set(terms, Term.SIZE, normal(size / 0.35));
    set(terms, Term.ASPECT, normal(aspect / 0.5));
    set(terms, Term.TILT, normal(pair.tiltDegrees() / 9));
    set(terms, Term.CONTRAST, Math.min(1, (l.contrast() + r.contrast()) / 2 / 0.5));
    set(terms, Term.PLAIN, (l.plainness() + r.plainness()) / 2);
    set(terms, Term.SPACING, normal(Math.log(longer / d / 0.33) / 0.6));
    set(terms, Term.FLAT, flat ? 1 : 0);
    set(terms, Term.BRIGHT, l.bright() && r.bright() ? 1 : 0);
    set(terms, Term.HALF_LIT, pair.isHalfLit() ? 1 : 0);
    set(terms, Term.LOW, -Math.min(25, lowFigure * lowFigure));
  }

  /** What the face round them tells. */
  private void dear(EyePair pair, double[] terms) {
    for (int i = 0; i < us.length; i++) {
      Point at = pair.inFrame(spots.get(i).x(), spots.get(i).y());
      us[i] = at.x();
      vs[i] = at.y();
    }
    double d = pair.distance();
    Point origin = pair.origin();
    double[] skin = pair.isHalfLit() ? pair.leftEye().ring() : skin(pair);
    double[] rightSkin = pair.isHalfLit() ? pair.rightEye().ring() : skin;
    double skinShare = share(pair, skin, -1, 1, -0.35, 1.3);
    if (pair.isHalfLit()) {
      skinShare += share(pair, rightSkin, -1, 1, -0.35, 1.3);
    }
    double leftAlone = alone(pair.leftEye(), skin);
    double rightAlone = alone(pair.rightEye(), rightSkin);
    int top = ground.topOver(origin.x() - d, origin.x() + d);
    int x = (int) Math.round(origin.x());
    int y = (int) Math.round(origin.y());
    Mask mask = ground.figure.at(x, y) ? ground.figure : ground.span;
    double run = Math.max(1, Ground.run(mask, x, y));
    Below mouth = below(pair);
    set(terms, Term.MIRROR, mirror(pair));
    set(terms, Term.SKIN, skinShare);
    set(terms, Term.ALONE, ((leftAlone + rightAlone) / 2 + Math.min(leftAlone, rightAlone)) / 2);
    set(terms, Term.INSIDE, inside(pair));
    set(terms, Term.TOP, normal(Math.log(Math.max(0.05, (origin.y() - top) / d) / 1.35) / 0.6));
    set(terms, Term.WIDTH, normal(Math.log(run / d / 2.5) / 0.4));
    set(terms, Term.MOUTH, mouth.evidence());
    set(terms, Term.MOUTH_CONTRAST, mouth.contrast());
    set(terms, Term.BROWS, brows(pair));
    set(terms, Term.NOSE, feature(pair, 0, 0.15, 0.55, 0.25, 0.25, 0.8).evidence());
    set(terms, Term.SECOND_PAIR, -Math.exp(Math.min(0.5, secondPair(pair))));
    set(terms, Term.RANGE, (range(pair.leftEye()) + range(pair.rightEye())) / 2);
    set(terms, Term.RANGE_ALIKE, normal((range(pair.leftEye()) - range(pair.rightEye())) / 0.15));
  }

  /** Lightness between the lightest and the darkest of a part: eyes have white beside dark. */
  private double range(Spot eye) {
    float least = 1;
    float most = 0;
    for (int y = Math.max(0, eye.top()); y < Math.min(ground.height, eye.bottom()); y++) {
      for (int x = Math.max(0, eye.left()); x < Math.min(ground.width, eye.right()); x++) {
        float value = ground.lightness.values()[y * ground.width + x];
        least = Math.min(least, value);
        most = Math.max(most, value);
      }
    }
    return Math.max(0, most - least);
  }

  private static void set(double[] terms, Term term, double value) {
    terms[term.ordinal()] = value;
  }

  /** The weighted sum. */
  private static double score(double[] terms) {
    double sum = 0;
    for (Term term : Term.values()) {
      sum += term.weight * terms[term.ordinal()];
    }
    return sum;
  }

  private record Below(double evidence, double contrast) {}

  private Below below(EyePair pair) {
    return feature(pair, 0, 0.3, 1.05, 0.4, 0.6, 0.7);
  }

  /** The best part near an expected place of the frame; a flat floor where there is none. */
  private Below feature(
      EyePair pair,
      double u,
      double uSpread,
      double v,
      double vSpread,
      double wide,
      double wSpread) {
    double best = -4;
    double contrast = 0;
    for (int i = 0; i < us.length; i++) {
      Spot spot = spots.get(i);
      double du = (us[i] - u) / uSpread;
      double dv = (vs[i] - v) / vSpread;
      boolean far = Math.abs(du) > 4 || Math.abs(dv) > 4;
      if (far || spot == pair.leftEye() || spot == pair.rightEye()) {
        continue;
      }
      double dw = Math.log(spot.width() / pair.distance() / wide) / wSpread;
      double evidence =
          -(du * du + dv * dv + dw * dw) / 2
              + Math.min(1, spot.contrast() / 0.3)
              + (spot.width() > spot.height() ? 0.4 : 0);
      if (evidence > best) {
        best = evidence;
        contrast = spot.contrast();
      }
    }
    return new Below(best, contrast);
  }

  private double brows(EyePair pair) {
    double sum = 0;
    for (Spot eye : List.of(pair.leftEye(), pair.rightEye())) {
      Point at = pair.inFrame(eye.x(), eye.y());
      double eyeTop = pair.inFrame(eye.x(), eye.top()).y();
      double best = -4;
      for (int i = 0; i < us.length; i++) {
        Spot spot = spots.get(i);
        if (spot == pair.leftEye() || spot == pair.rightEye() || spot.bright()) {
          continue;
        }
        double du = (us[i] - at.x()) / 0.2;
        if (Math.abs(du) > 4) {
          continue;
        }
        double gap = eyeTop - pair.inFrame(spot.x(), spot.bottom() - 1).y();
        double dv = (gap - 0.22) / 0.18;
        if (Math.abs(du) > 4 || Math.abs(dv) > 4) {
          continue;
        }
        double dw = Math.log(spot.width() / pair.distance() / 0.6) / 0.7;
        best =
            Math.max(
                best,
                -(du * du + dv * dv + dw * dw) / 2
                    + Math.min(1, spot.contrast() / 0.3)
                    + (spot.width() > spot.height() ? 0.4 : 0));
      }
      sum += best;
    }
    return sum / 2;
  }

  /** Whether another pair stands right below: then these may be the brows. */
  private double secondPair(EyePair pair) {
    double sum = 0;
    for (Spot eye : List.of(pair.leftEye(), pair.rightEye())) {
      Point at = pair.inFrame(eye.x(), eye.y());
      double best = -4;
      for (int i = 0; i < us.length; i++) {
        Spot spot = spots.get(i);
        double du = (us[i] - at.x()) / 0.15;
        double dv = (vs[i] - at.y() - 0.4) / 0.2;
        boolean far = Math.abs(du) > 4 || Math.abs(dv) > 4;
        if (far || spot == pair.leftEye() || spot == pair.rightEye()) {
          continue;
        }
        double dw = Math.log(spot.longer() / eye.longer()) / 0.5;
        best =
            Math.max(
                best,
                -(du * du + dv * dv + dw * dw) / 2 + Math.min(1, spot.contrast() / 0.3) - 0.5);
      }
      sum += best;
    }
    return sum / 2;
  }

  /** Correlation of one half of the face with the other, turned over. */
  private double mirror(EyePair pair) {
    int columns = 12;
    int rows = 25;
    double[] one = new double[columns * rows];
    double[] other = new double[columns * rows];
    for (int row = 0; row < rows; row++) {
      double y = -0.7 + 2.1 * row / (rows - 1);
      for (int column = 0; column < columns; column++) {
        double x = 1.25 * column / (columns - 1);
        Point right = pair.at(x, y);
        Point left = pair.at(-x, y);
        if (pair.isHalfLit()) {
          one[row * columns + column] = off(right, pair.rightEye());
          other[row * columns + column] = off(left, pair.leftEye());
        } else {
          one[row * columns + column] = ground.luma.at(right.x(), right.y());
          other[row * columns + column] = ground.luma.at(left.x(), left.y());
        }
      }
    }
    return correlation(one, other);
  }

  /** How far a place is from what lies round the eye of its half, whichever way. */
  private double off(Point at, Spot eye) {
    return Math.abs(ground.lightness.at(at.x(), at.y()) - eye.ring()[0]);
  }

  /** Normalised, −1 to 1; 0 where one of them is flat. */
  static double correlation(double[] one, double[] other) {
    double meanOne = 0;
    double meanOther = 0;
    for (int i = 0; i < one.length; i++) {
      meanOne += one[i] / one.length;
      meanOther += other[i] / one.length;
    }
    double product = 0;
    double squaresOne = 0;
    double squaresOther = 0;
    for (int i = 0; i < one.length; i++) {
      product += (one[i] - meanOne) * (other[i] - meanOther);
      squaresOne += (one[i] - meanOne) * (one[i] - meanOne);
      squaresOther += (other[i] - meanOther) * (other[i] - meanOther);
    }
    double norm = Math.sqrt(squaresOne * squaresOther);
    return norm < 1e-9 ? 0 : product / norm;
  }

  /** What lies round the eyes or the middle of the window, whichever covers more of the window. */
  private double[] skin(EyePair pair) {
    double[] ring = new double[3];
    for (int c = 0; c < 3; c++) {
      ring[c] = (pair.leftEye().ring()[c] + pair.rightEye().ring()[c]) / 2;
    }
    double[] middle = middleColour(pair);
    return share(pair, ring, -1, 1, -0.35, 1.3) >= share(pair, middle, -1, 1, -0.35, 1.3)
        ? ring
        : middle;
  }

  private double[] middleColour(EyePair pair) {
    int side = 9;
    double[][] values = new double[3][side * side];
    for (int row = 0; row < side; row++) {
      for (int column = 0; column < side; column++) {
        Point at = pair.at(-0.3 + 0.6 * column / (side - 1), -0.1 + 1.1 * row / (side - 1));
        values[0][row * side + column] = ground.lightness.at(at.x(), at.y());
        values[1][row * side + column] = ground.a.at(at.x(), at.y());
        values[2][row * side + column] = ground.b.at(at.x(), at.y());
      }
    }
    double[] median = new double[3];
    for (int c = 0; c < 3; c++) {
      Arrays.sort(values[c]);
      median[c] = values[c][side * side / 2];
    }
    return median;
  }

  private double share(
      EyePair pair, double[] skin, double left, double right, double top, double bottom) {
    int columns = 18;
    int rows = 15;
    int same = 0;
    for (int row = 0; row < rows; row++) {
      for (int column = 0; column < columns; column++) {
        Point at =
            pair.at(
                left + (right - left) * column / (columns - 1),
                top + (bottom - top) * row / (rows - 1));
        if (isSkin(at, skin)) {
          same++;
        }
      }
    }
    return same / (double) (columns * rows);
  }

  private boolean isSkin(Point at, double[] skin) {
    double dl = 0.6 * (ground.lightness.at(at.x(), at.y()) - skin[0]);
    double da = ground.a.at(at.x(), at.y()) - skin[1];
    double db = ground.b.at(at.x(), at.y()) - skin[2];
    return dl * dl + da * da + db * db < SKIN * SKIN;
  }

  /** Share of skin on an ellipse round the part: nothing else touches an eye. */
  private double alone(Spot eye, double[] skin) {
    double best = 0;
    for (double factor : new double[] {1.5, 2}) {
      int same = 0;
      int count = 32;
      for (int i = 0; i < count; i++) {
        double angle = 2 * Math.PI * i / count;
        Point at =
            new Point(
                eye.x() + factor * (eye.width() / 2 + 0.5) * Math.cos(angle),
                eye.y() + factor * (eye.height() / 2 + 0.5) * Math.sin(angle));
        if (isSkin(at, skin)) {
          same++;
        }
      }
      best = Math.max(best, same / (double) count);
    }
    return best;
  }

  private double inside(EyePair pair) {
    int side = 12;
    int in = 0;
    for (int row = 0; row < side; row++) {
      for (int column = 0; column < side; column++) {
        Point at = pair.at(-1 + 2.0 * column / (side - 1), -0.35 + 1.65 * row / (side - 1));
        if (ground.span.at((int) Math.round(at.x()), (int) Math.round(at.y()))) {
          in++;
        }
      }
    }
    return in / (double) (side * side);
  }
}
