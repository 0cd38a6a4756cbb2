package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import penmirror.core.geometry.Point;

/**
 * The lower face as half a superellipse in the frame of the eyes.
 *
 * @param half half the width at the upper end
 * @param chin height of the lowest point
 * @param shift of the middle to the right
 * @param power 2 is round, more is square
 * @param start height of the upper end
 * @param slant of the chin against the middle
 * @param score how well skin ends along it
 */
record Outline(
    double half,
    double chin,
    double shift,
    double power,
    double start,
    double slant,
    double score) {

  private static final int POINTS = 33;
  private static final int WIDTHS = 16;
  private static final int CHINS = 26;
  private static final double INSIDE = 0.96;
  private static final double PRIOR_WEIGHT = 0.05;
  private static final int KEPT = 6;
  private static final int ROUNDS = 3;
  private static final int STEPS = 220;
  private static final long SEED = 7;

  /** What is expected before looking: the middle and spread of each number. */
  record Prior(
      double half,
      double halfSpread,
      double chin,
      double chinSpread,
      double shift,
      double shiftSpread) {
    static final Prior ANY = new Prior(1.2, 0.22, 1.4, 0.36, 0, 0.22);
  }

  Point chinPoint() {
    return new Point(shift + slant, chin);
  }

  /**
   * @param angle from −90° at the left end over 0 at the chin to 90° at the right, radians
   */
  Point at(double angle) {
    double sine = Math.sin(angle);
    double wide = Math.pow(Math.abs(sine), 2 / power);
    double deep = Math.pow(Math.max(0, Math.cos(angle)), 2 / power);
    return new Point(
        shift + half * Math.signum(sine) * wide + slant * deep, start + (chin - start) * deep);
  }

  /** Whether a place lies inside, above its upper end too; the line itself is outside. */
  boolean holds(double u, double v) {
    double deep = Math.max(0, (v - start) / Math.max(0.05, chin - start));
    if (deep >= INSIDE) {
      return false;
    }
    double wide = Math.pow(1 - Math.pow(deep, power), 1 / power);
    double middle = shift + slant * deep;
    return Math.abs(u - middle) < INSIDE * half * wide;
  }

  /** The likeliest outlines, best first, no two with the same chin. */
  static List<Outline> find(FaceGrid grid, Prior prior) {
    double[] powers = {1.7, 2.2, 3};
    double[][] wide = new double[powers.length][POINTS];
    double[][] deep = new double[powers.length][POINTS];
    for (int p = 0; p < powers.length; p++) {
      shape(powers[p], wide[p], deep[p]);
    }
    List<Outline> coarse =
        IntStream.range(0, WIDTHS)
            .parallel()
            .boxed()
            .flatMap(
                w -> {
                  double half = 0.72 + (1.95 - 0.72) * w / (WIDTHS - 1);
                  List<Outline> some = new ArrayList<>();
                  for (int c = 0; c < CHINS; c++) {
                    double chin = 0.65 + (3.1 - 0.65) * c / (CHINS - 1);
                    for (int s = -3; s <= 3; s++) {
                      double shift = prior.shift() + 0.13 * s;
                      for (int p = 0; p < powers.length; p++) {
                        for (double start : new double[] {0.15, 0.45}) {
                          Outline outline = new Outline(half, chin, shift, powers[p], start, 0, 0);
                          some.add(outline.scored(grid, prior, wide[p], deep[p]));
                        }
                      }
                    }
                  }
                  return some.stream();
                })
            .collect(Collectors.toCollection(ArrayList::new));
    coarse.sort(Comparator.comparingDouble(outline -> -outline.score));
    List<Outline> kept = new ArrayList<>();
    for (Outline outline : coarse) {
      if (kept.size() < KEPT
          && kept.stream().noneMatch(k -> Math.abs(k.chin - outline.chin) < 0.12)) {
        kept.add(outline);
      }
    }
    Random random = new Random(SEED);
    return kept.stream()
        .map(outline -> outline.improved(grid, prior, random))
        .sorted(Comparator.comparingDouble(outline -> -outline.score))
        .toList();
  }

  private Outline improved(FaceGrid grid, Prior prior, Random random) {
    Outline best = this;
    double reach = 1;
    for (int round = 0; round < ROUNDS; round++) {
      for (int step = 0; step < STEPS / ROUNDS; step++) {
        Outline next =
            new Outline(
                    Math.max(0.5, best.half + reach * 0.08 * random.nextGaussian()),
                    Math.max(0.5, best.chin + reach * 0.08 * random.nextGaussian()),
                    best.shift + reach * 0.06 * random.nextGaussian(),
                    Math.max(1.4, best.power + reach * 0.3 * random.nextGaussian()),
                    Math.max(0, Math.min(0.6, best.start + reach * 0.1 * random.nextGaussian())),
                    best.slant + reach * 0.05 * random.nextGaussian(),
                    0)
                .scored(grid, prior);
        if (next.score > best.score) {
          best = next;
        }
      }
      reach /= 2;
    }
    return best;
  }

  /** Skin just inside, none just outside, less what is unlikely to begin with. */
  private Outline scored(FaceGrid grid, Prior prior) {
    double[] wide = new double[POINTS];
    double[] deep = new double[POINTS];
    shape(power, wide, deep);
    return scored(grid, prior, wide, deep);
  }

  /** Share of the half width and of the depth along the outline, by angle. */
  private static void shape(double power, double[] wide, double[] deep) {
    for (int i = 0; i < POINTS; i++) {
      double angle = -Math.PI / 2 + Math.PI * i / (POINTS - 1);
      double sine = Math.sin(angle);
      wide[i] = Math.signum(sine) * Math.pow(Math.abs(sine), 2 / power);
      deep[i] = Math.pow(Math.max(0, Math.cos(angle)), 2 / power);
    }
  }

  private Outline scored(FaceGrid grid, Prior prior, double[] wide, double[] deep) {
    double sum = 0;
    double middle = (start + chin) / 2;
    double beforeX = shift + half * wide[0] + slant * deep[0];
    double beforeY = start + (chin - start) * deep[0];
    double x = beforeX;
    double y = beforeY;
    for (int i = 0; i < POINTS; i++) {
      int next = Math.min(i + 1, POINTS - 1);
      double nextX = shift + half * wide[next] + slant * deep[next];
      double nextY = start + (chin - start) * deep[next];
      double alongX = nextX - beforeX;
      double alongY = nextY - beforeY;
      double length = Math.sqrt(alongX * alongX + alongY * alongY);
      if (length > 1e-9) {
        double outX = alongY / length;
        double outY = -alongX / length;
        if (outX * (x - shift) + outY * (y - middle) < 0) {
          outX = -outX;
          outY = -outY;
        }
        double inside =
            (grid.skinNear(x - 0.05 * outX, y - 0.05 * outY)
                    + grid.skinNear(x - 0.11 * outX, y - 0.11 * outY))
                / 2;
        double outside =
            Math.min(
                grid.skinNear(x + 0.02 * outX, y + 0.02 * outY),
                grid.skinNear(x + 0.055 * outX, y + 0.055 * outY));
        sum += Math.max(-0.3, inside - outside);
      }
      beforeX = x;
      beforeY = y;
      x = nextX;
      y = nextY;
    }
    return new Outline(
        half, chin, shift, power, start, slant, sum / POINTS - PRIOR_WEIGHT * unlikely(prior));
  }

  private double unlikely(Prior prior) {
    double ratio = Prior.ANY == prior ? Math.log(chin / half / 1.15) / 0.3 : 0;
    return (square(Math.log(half / prior.half()) / prior.halfSpread())
            + square(Math.log(chin / prior.chin()) / prior.chinSpread())
            + square(ratio)
            + square((shift - prior.shift()) / prior.shiftSpread())
            + square(slant / 0.15)
            + square((start - 0.3) / 0.3) / 2)
        / 2;
  }

  private static double square(double value) {
    return value * value;
  }
}
