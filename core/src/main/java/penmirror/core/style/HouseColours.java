package penmirror.core.style;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;
import penmirror.core.statistics.Sample;

/**
 * Colours that recur across works. Three things are asked of a picture: how much of its area has a
 * colour that some work has, how usual its colours are among the works, and how many of the colours
 * that most works share it has. Each is held against what the works reach among each other.
 *
 * <p>Too few colours are as bad as none: only falling short counts, never reaching more.
 */
public final class HouseColours {
  /** OKLab distance within which two flats are one colour. */
  private static final double SAME = 0.03;

  private static final int LARGEST = 16;
  private static final double MOST_WORKS = 0.5;
  private static final double PRIOR_WORKS = 4;

  /** What each of the three can be read to, and its spread among styles. */
  private static final double[] FLOORS = {0.08, 0.06, 0.08};

  private static final double[] AMONG_STYLES = {0.3, 0.2, 0.3};

  private final List<List<Swatch>> works;
  private final boolean[][][] has;

  private HouseColours(List<List<Swatch>> works) {
    this.works = works;
    has = new boolean[works.size()][][];
    for (int r = 0; r < works.size(); r++) {
      has[r] = new boolean[works.get(r).size()][works.size()];
      for (int i = 0; i < works.get(r).size(); i++) {
        for (int s = 0; s < works.size(); s++) {
          has[r][i][s] = hasColour(works.get(s), works.get(r).get(i).colour());
        }
      }
    }
  }

  /** Works whose colours were not read are left out. */
  public static HouseColours of(List<MeasuredWork> works) {
    return new HouseColours(
        works.stream()
            .filter(work -> !work.flats().isEmpty())
            .map(work -> largest(work.flats()))
            .toList());
  }

  /** The largest flats, with shares that sum to 1. */
  private static List<Swatch> largest(List<Swatch> flats) {
    List<Swatch> kept = flats.stream().limit(LARGEST).toList();
    double total = kept.stream().mapToDouble(Swatch::shareOfFigure).sum();
    return kept.stream()
        .map(swatch -> new Swatch(swatch.colour(), swatch.shareOfFigure() / total, swatch.role()))
        .toList();
  }

  private static boolean hasColour(List<Swatch> flats, OkLab colour) {
    return flats.stream().anyMatch(flat -> flat.colour().distanceTo(colour) < SAME);
  }

  /**
   * How far the colours are those of the works, [0, 1].
   *
   * @param credit of a distance in tolerances
   * @return empty without colours, and under two works that have some
   */
  public Optional<Double> credit(List<Swatch> flats, DoubleUnaryOperator credit) {
    int n = works.size();
    if (n < 2 || flats.isEmpty()) {
      return Optional.empty();
    }
    double[] own = readings(largest(flats), -1);
    double[][] reached = new double[n][];
    for (int r = 0; r < n; r++) {
      reached[r] = readings(works.get(r), r);
    }
    double sum = 0;
    double weights = 0;
    for (int k = 0; k < FLOORS.length; k++) {
      List<Double> values = new ArrayList<>();
      for (double[] of : reached) {
        if (!Double.isNaN(of[k])) {
          values.add(of[k]);
        }
      }
      if (values.size() < 2 || Double.isNaN(own[k])) {
        continue; // No colour is shared by half of the works: nothing to ask for.
      }
      Sample sample = Sample.of(values.stream().mapToDouble(v -> v).toArray());
      double usual = 1.5 * FLOORS[k];
      double deviation = sample.standardDeviation();
      double tolerance =
          Math.max(
              FLOORS[k],
              Math.sqrt(
                  (PRIOR_WORKS * usual * usual + (sample.size() - 1) * deviation * deviation)
                      / (PRIOR_WORKS + sample.size() - 1)));
      double z = Math.max(0, sample.median() - own[k]) / tolerance;
      double weight = Math.log1p(AMONG_STYLES[k] / tolerance);
      sum += weight * credit.applyAsDouble(z);
      weights += weight;
    }
    return weights == 0 ? Optional.empty() : Optional.of(sum / weights);
  }

  /**
   * Known area, usualness, and share of the house colours; NaN where there are no house colours.
   *
   * @param self the work itself, which is left out; below 0 for a picture from outside
   */
  private double[] readings(List<Swatch> flats, int self) {
    int others = works.size() - (self < 0 ? 0 : 1);
    double known = 0;
    double usual = 0;
    double roots = 0;
    for (int i = 0; i < flats.size(); i++) {
      int having = 0;
      for (int s = 0; s < works.size(); s++) {
        boolean hasIt = self < 0 ? hasColour(works.get(s), flats.get(i).colour()) : has[self][i][s];
        having += s != self && hasIt ? 1 : 0;
      }
      double root = Math.sqrt(flats.get(i).shareOfFigure());
      known += having > 0 ? flats.get(i).shareOfFigure() : 0;
      usual += root * having / others;
      roots += root;
    }
    return new double[] {known, usual / roots, house(flats, self, others)};
  }

  private double house(List<Swatch> flats, int self, int others) {
    double sum = 0;
    double weights = 0;
    for (int r = 0; r < works.size(); r++) {
      if (r == self) {
        continue;
      }
      for (int i = 0; i < works.get(r).size(); i++) {
        int having = 0;
        for (int s = 0; s < works.size(); s++) {
          having += s != self && s != r && has[r][i][s] ? 1 : 0;
        }
        double share = others < 2 ? 0 : having / (double) (others - 1);
        if (share >= MOST_WORKS) {
          // The same colour comes once from each work that has it: each then counts for less.
          double weight = share / (share * (others - 1) + 1);
          boolean hasIt =
              self < 0 ? hasColour(flats, works.get(r).get(i).colour()) : has[r][i][self];
          weights += weight;
          sum += hasIt ? weight : 0;
        }
      }
    }
    return weights == 0 ? Double.NaN : sum / weights;
  }
}
