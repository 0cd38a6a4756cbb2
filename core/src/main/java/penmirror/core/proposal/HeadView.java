package penmirror.core.proposal;

import java.util.List;
import java.util.Optional;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;

/**
 * What a picture tells of the side a head is seen from: numbers that differ between a face from the
 * front, a turned one and a profile. All in working pixels of the ground the eyes were sought on.
 */
final class HeadView {
  /** What is told, in the order of {@link #features}. */
  static final List<String> NAMES =
      List.of(
          "one",
          "score",
          "nose",
          "mouth",
          "cheeks",
          "eyes",
          "wide",
          "aside",
          "form",
          "light",
          "paired",
          "profile",
          "no-eyes",
          "nose-aside",
          "aside-scored",
          "tilt",
          "tones",
          "face-tones",
          "half-lit",
          "score-squared",
          "aside-squared",
          "half-lit-aside",
          "half-lit-score",
          "face-odds",
          "turned");

  /** Of a whole figure's height; the head is sought above. */
  private static final double UPPER = 0.5;

  /** Of the figure's height; here the head's axis is sought. */
  private static final double TOP = 0.2;

  /** A row of the head is at least so wide, of the widest above the neck. */
  private static final double WIDE = 0.35;

  /** A neck is narrower than this share of the head. */
  private static final double NECK = 0.72;

  /** A head that no neck ends is so high, of its width. */
  private static final double USUAL_HEIGHT = 1.2;

  private static final double BEST_SCORE = 14;

  /** Log odds beyond which a net is no surer. */
  private static final double MOST_ODDS = 8;

  private static final double LEAST_CHANCE = 1e-4;

  private final Proposer.Sought sought;
  private final Ground ground;
  private final int[] from;
  private final int[] to;
  private final Head head;
  private final Optional<Face> face;
  private final Optional<TaughtFace> taught;
  private final double[] features;

  /**
   * The head's box; right and bottom exclusive.
   *
   * @param necked whether a neck ends it
   */
  record Head(double left, double top, double right, double bottom, boolean necked) {
    double width() {
      return right - left;
    }

    double height() {
      return bottom - top;
    }
  }

  private HeadView(Proposer.Sought sought) {
    this.sought = sought;
    ground = sought.ground();
    from = new int[ground.height];
    to = new int[ground.height];
    runs();
    head = box();
    Optional<EyePair> best = sought.pairs().stream().findFirst();
    taught = best.map(eyes -> TaughtFace.of(ground, eyes.frame()));
    face = best.flatMap(eyes -> taught.map(seen -> face(eyes, seen)));
    features = read();
  }

  static HeadView of(Proposer.Sought sought) {
    return new HeadView(sought);
  }

  private Face face(EyePair eyes, TaughtFace seen) {
    FaceGrid grid = new FaceGrid(ground, eyes, View.FRONT);
    return FaceReader.read(ground, eyes, grid, seen, Outline.Prior.ANY, FaceReader.Expected.ANY);
  }

  double[] features() {
    return features.clone();
  }

  /** Of the best pair of eyes; 0 without one. */
  double score() {
    return face.map(f -> f.eyes().score()).orElse(0.0);
  }

  /** Whether light falls on one of the two eyes only. */
  boolean isHalfLit() {
    return face.map(f -> f.eyes().isHalfLit()).orElse(false);
  }

  /** How much of the head's silhouette does not lie on its mirror image, 0 to 1. */
  double formOff() {
    return features[8];
  }

  /** How much the head's lightness differs from its mirror image. */
  double tonesOff() {
    return features[16];
  }

  /** The head's box in working pixels of the whole picture. */
  Head head() {
    if (sought.upper().isEmpty()) {
      return head;
    }
    UpperFigure upper = sought.upper().get();
    Point one = upper.toWorkingOf(sought.whole(), new Point(head.left(), head.top()));
    Point other = upper.toWorkingOf(sought.whole(), new Point(head.right(), head.bottom()));
    return new Head(one.x(), one.y(), other.x(), other.y(), head.necked());
  }

  /**
   * Which way a head that is not seen from the front looks: to where its eyes stand in it, its
   * light parts lie and its border is rough. Empty where they say nothing together.
   */
  Optional<FirstSight.Seen<Turn>> turn() {
    double says = 6 * lighterSide() + 0.6 * (rough(to) - rough(from));
    if (face.isPresent()) {
      EyePair eyes = face.get().eyes();
      double believed = Math.max(0, Math.min(1, eyes.score() / 8));
      says += 8 * believed * aside(eyes);
    }
    double chance = 1 / (1 + Math.exp(-3 * Math.abs(says)));
    return says == 0
        ? Optional.empty()
        : Optional.of(new FirstSight.Seen<>(says > 0 ? Turn.RIGHT : Turn.LEFT, chance));
  }

  private double[] read() {
    double[] f = new double[NAMES.size()];
    f[0] = 1;
    f[8] = 1 - mirrored();
    f[9] = Math.abs(lighterSide());
    f[11] = Math.min(1, Math.abs(rough(from) - rough(to)));
    f[16] = tones();
    if (face.isEmpty()) {
      f[12] = 1;
      return f;
    }
    EyePair eyes = face.get().eyes();
    f[1] = Math.max(0, Math.min(BEST_SCORE, eyes.score())) / BEST_SCORE;
    double nose = face.get().place(Landmark.NOSE_BASE).map(Point::x).orElse(0.0);
    f[2] = Math.abs(nose);
    f[3] = Math.abs(middleOfMouth());
    double left = -face.get().place(Landmark.CHEEK_L).map(Point::x).orElse(-1.0);
    double right = face.get().place(Landmark.CHEEK_R).map(Point::x).orElse(1.0);
    f[4] = unlike(left, right, 0.2);
    f[5] =
        unlike(
            width(Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER),
            width(Landmark.EYE_R_OUTER, Landmark.EYE_R_INNER),
            0.05);
    double wide = widthAt(eyes);
    f[6] = wide > 0 ? Math.min(1, eyes.distance() / wide) : 0.5;
    double aside = aside(eyes);
    f[7] = Math.min(1, Math.abs(aside));
    f[10] = f[1] > 0.5 ? 1 : 0;
    f[13] = nose * Math.signum(aside);
    f[14] = f[7] * f[1];
    f[15] = Math.min(1, Math.abs(eyes.tiltDegrees()) / 30);
    f[17] = faceTones(eyes);
    f[18] = eyes.isHalfLit() ? 1 : 0;
    f[19] = f[1] * f[1];
    f[20] = f[7] * f[7];
    f[21] = f[18] * f[7];
    f[22] = f[18] * f[1];
    f[23] = within(taught.map(TaughtFace::odds).orElse(0.0));
    double ahead = taught.map(seen -> seen.turned(Turn.AHEAD)).orElse(0.5);
    f[24] = within(Math.log((1 - ahead + LEAST_CHANCE) / (ahead + LEAST_CHANCE)));
    return f;
  }

  /** Log odds as a share of the most that count, −1 to 1. */
  private static double within(double odds) {
    return Math.max(-MOST_ODDS, Math.min(MOST_ODDS, odds)) / MOST_ODDS;
  }

  private double middleOfMouth() {
    return face.flatMap(
            f ->
                f.place(Landmark.MOUTH_L)
                    .flatMap(l -> f.place(Landmark.MOUTH_R).map(r -> l.midpointTo(r).x())))
        .orElse(0.0);
  }

  /** Logarithm of a ratio, without its sign. */
  private static double unlike(double one, double other, double least) {
    return Math.min(2, Math.abs(Math.log(Math.max(least, one) / Math.max(least, other))));
  }

  private double width(Landmark outer, Landmark inner) {
    return face.flatMap(f -> f.place(outer).flatMap(o -> f.place(inner).map(o::distanceTo)))
        .orElse(0.3);
  }

  private int rowOf(EyePair eyes) {
    return (int) Math.max(0, Math.min(ground.height - 1, Math.round(eyes.origin().y())));
  }

  private double widthAt(EyePair eyes) {
    int row = rowOf(eyes);
    return to[row] - from[row];
  }

  /** How far the eyes stand from the middle of the head at their height, of its width there. */
  private double aside(EyePair eyes) {
    int row = rowOf(eyes);
    double wide = widthAt(eyes);
    return wide > 0 ? (eyes.origin().x() - (from[row] + to[row]) / 2.0) / wide : 0;
  }

  // ---- the head in the silhouette
  // ------------------------------------------------------------------

  /** The run of the figure through the head's axis, row by row. */
  private void runs() {
    int middle = (int) Math.max(0, Math.min(ground.width - 1, Math.round(axis())));
    int reach = Math.max(2, ground.boxWidth() / 6);
    for (int y = 0; y < ground.height; y++) {
      int x = middle;
      if (y >= ground.top && y < ground.bottom) {
        int near = 0;
        for (int step = 1; step < reach && near == 0 && !ground.span.at(middle, y); step++) {
          near =
              ground.span.at(middle - step, y)
                  ? -step
                  : ground.span.at(middle + step, y) ? step : 0;
        }
        x += near;
      }
      int left = x;
      int right = x;
      if (y >= ground.top && y < ground.bottom && ground.span.at(x, y)) {
        while (ground.span.at(left - 1, y)) {
          left--;
        }
        while (ground.span.at(right, y)) {
          right++;
        }
      }
      from[y] = left;
      to[y] = right;
    }
  }

  /** Middle of the longest runs at the top of the figure. */
  private double axis() {
    int last = Math.min(ground.height - 1, ground.top + (int) (TOP * ground.boxHeight()));
    double sum = 0;
    double weight = 0;
    for (int y = ground.top; y <= last; y++) {
      int longest = 0;
      double at = 0;
      int start = -1;
      for (int x = ground.left; x <= ground.right; x++) {
        boolean in = x < ground.right && ground.span.at(x, y);
        if (in && start < 0) {
          start = x;
        } else if (!in && start >= 0) {
          if (x - start > longest) {
            longest = x - start;
            at = (x + start) / 2.0;
          }
          start = -1;
        }
      }
      sum += (double) longest * longest * at;
      weight += (double) longest * longest;
    }
    return weight == 0 ? (ground.left + ground.right) / 2.0 : sum / weight;
  }

  /** Down to a neck, else of a head's usual shape. */
  private Head box() {
    int last =
        BodyReader.isWhole(ground)
            ? ground.top + (int) (UPPER * ground.boxHeight())
            : ground.bottom - 1;
    int widest = 0;
    int narrowest = Integer.MAX_VALUE;
    int neck = -1;
    for (int y = ground.top; y <= Math.min(ground.height - 1, last); y++) {
      int wide = to[y] - from[y];
      if (neck < 0) {
        widest = Math.max(widest, wide);
      }
      if (widest > 8 && wide < NECK * widest && y - ground.top > 0.4 * widest) {
        if (wide < narrowest) {
          narrowest = wide;
          neck = y;
        }
      } else if (neck >= 0) {
        break;
      }
    }
    int bottom =
        neck > 0
            ? neck
            : Math.min(ground.bottom, (int) (ground.top + USUAL_HEIGHT * Math.max(8, widest)));
    int top = ground.top;
    while (top < bottom - 1 && to[top] - from[top] < WIDE * widest) {
      top++;
    }
    int left = Integer.MAX_VALUE;
    int right = 0;
    for (int y = top; y < bottom; y++) {
      left = Math.min(left, from[y]);
      right = Math.max(right, to[y]);
    }
    return new Head(
        Math.min(left, right), top, Math.max(left + 1, right), Math.max(top + 1, bottom), neck > 0);
  }

  // ---- what its two sides tell
  // ---------------------------------------------------------------------

  private double mirrored() {
    double middle = 0;
    int rows = 0;
    for (int y = (int) head.top(); y < head.bottom(); y++) {
      middle += (from[y] + to[y]) / 2.0;
      rows++;
    }
    middle /= Math.max(1, rows);
    double both = 0;
    double any = 0;
    for (int y = (int) head.top(); y < head.bottom(); y++) {
      double left = middle - from[y];
      double right = to[y] - middle;
      both += Math.max(0, Math.min(left, right));
      any += Math.max(left, right);
    }
    return any == 0 ? 1 : both / any;
  }

  /** How far the light parts lie from the middle, of the head's width; positive to the right. */
  private double lighterSide() {
    double mean = 0;
    double middle = 0;
    int count = 0;
    for (int y = (int) head.top(); y < head.bottom(); y++) {
      for (int x = from[y]; x < to[y]; x++) {
        mean += lightness(x, y);
        middle += x;
        count++;
      }
    }
    if (count == 0) {
      return 0;
    }
    mean /= count;
    middle /= count;
    double sum = 0;
    double weight = 0;
    for (int y = (int) head.top(); y < head.bottom(); y++) {
      for (int x = from[y]; x < to[y]; x++) {
        double over = Math.max(0, lightness(x, y) - mean);
        sum += over * x;
        weight += over;
      }
    }
    return weight == 0 ? 0 : (sum / weight - middle) / head.width();
  }

  /** How rough a border is: a profile has a nose and lips. */
  private double rough(int[] border) {
    int n = (int) (head.bottom() - head.top());
    if (n < 8) {
      return 0;
    }
    int step = Math.max(1, n / 16);
    double sum = 0;
    int count = 0;
    for (int y = (int) head.top() + n / 4 + step; y < head.bottom() - step; y++) {
      sum += Math.abs(border[y - step] - 2.0 * border[y] + border[y + step]);
      count++;
    }
    return count == 0 ? 0 : 10 * sum / count / head.height();
  }

  private double tones() {
    double sum = 0;
    int count = 0;
    for (int y = (int) head.top(); y < head.bottom(); y++) {
      for (int i = 0; i < (to[y] - from[y]) / 2; i++) {
        sum += Math.abs(lightness(from[y] + i, y) - lightness(to[y] - 1 - i, y));
        count++;
      }
    }
    return count == 0 ? 0 : sum / count;
  }

  private double faceTones(EyePair eyes) {
    double sum = 0;
    int count = 0;
    for (double v = -0.6; v < 1.3; v += 0.04) {
      for (double u = 0.04; u < 1.1; u += 0.04) {
        Point one = eyes.at(u, v);
        Point other = eyes.at(-u, v);
        sum +=
            Math.abs(
                ground.lightness.at(one.x(), one.y()) - ground.lightness.at(other.x(), other.y()));
        count++;
      }
    }
    return sum / count;
  }

  private double lightness(int x, int y) {
    return ground.lightness.values()[y * ground.width + x];
  }
}
