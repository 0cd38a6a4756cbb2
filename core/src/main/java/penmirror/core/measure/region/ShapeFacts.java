package penmirror.core.measure.region;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.Findings;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.raster.Contour;
import penmirror.core.raster.Mask;
import penmirror.core.statistics.Ratio;
import penmirror.core.statistics.WeightedSample;

/** Fills {@link ShapeMeasures}, and the pairs of light and shadow among the shade measures. */
final class ShapeFacts {
  private static final double DISC = 0.85;
  private static final double LARGE = 0.012;

  /** Smoothing by which corners and straights of the silhouette are told, of the unit. */
  private static final double FORM_SIGMA = 0.018;

  private static final double FORM_WINDOW = 0.06;

  private ShapeFacts() {}

  static void find(FlatPicture flats, Findings findings) {
    silhouette(flats, findings);
    regions(flats, findings);
    pairs(flats, findings);
  }

  private static double sigma(FlatPicture flats) {
    return Math.max(1.5, 0.005 * flats.unit());
  }

  private static void silhouette(FlatPicture flats, Findings findings) {
    Mask figure = flats.figure();
    Moments moments = new Moments();
    List<double[]> rim = new ArrayList<>();
    for (int y = 0; y < figure.height(); y++) {
      int first = -1;
      int last = -1;
      for (int x = 0; x < figure.width(); x++) {
        if (figure.values()[y * figure.width() + x]) {
          moments.add(x, y);
          first = first < 0 ? x : first;
          last = x;
        }
      }
      if (first >= 0) {
        rim.add(new double[] {first, y});
        rim.add(new double[] {first, y + 1});
        rim.add(new double[] {last + 1, y});
        rim.add(new double[] {last + 1, y + 1});
      }
    }
    findings.put(ShapeMeasures.ROUND, moments.axisRatio());
    findings.put(ShapeMeasures.SOLID, Math.min(1, moments.area() / hullArea(rim)));
    int[] box = flats.box();
    findings.put(
        ShapeMeasures.EXTENT, moments.area() / ((double) (box[2] - box[0]) * (box[3] - box[1])));
    Turning turning = new Turning();
    Contour contour = Contour.of(figure, sigma(flats));
    turning.add(contour, flats.unit());
    // The steps of the pixels turn too: where turning is told they are smoothed away.
    Turning form = new Turning();
    if (contour.size() > 0) {
      form.add(contour.smoothed(FORM_SIGMA * flats.unit()), flats.unit(), FORM_WINDOW);
    }
    if (turning.isTold() && form.isTold()) {
      findings.put(ShapeMeasures.CONCAVE, form.inwardShare());
      findings.put(ShapeMeasures.CORNER, form.cornerShare());
      findings.put(ShapeMeasures.STRAIGHT, form.straightShare());
      findings.put(ShapeMeasures.LEVEL, turning.levelShare());
      findings.put(ShapeMeasures.UPRIGHT, turning.uprightShare());
    } else {
      findings.absent(
          List.of(
              ShapeMeasures.CONCAVE,
              ShapeMeasures.CORNER,
              ShapeMeasures.STRAIGHT,
              ShapeMeasures.LEVEL,
              ShapeMeasures.UPRIGHT),
          Reason.TOO_LITTLE);
    }
  }

  /** Area of the convex hull, by the monotone chain of Andrew (1979). */
  static double hullArea(List<double[]> points) {
    List<double[]> sorted = new ArrayList<>(points);
    sorted.sort(Comparator.<double[]>comparingDouble(p -> p[0]).thenComparingDouble(p -> p[1]));
    double[][] hull = new double[2 * sorted.size()][];
    int n = 0;
    for (int pass = 0; pass < 2; pass++) {
      int start = n;
      for (int i = 0; i < sorted.size(); i++) {
        double[] p = sorted.get(pass == 0 ? i : sorted.size() - 1 - i);
        while (n >= start + 2 && cross(hull[n - 2], hull[n - 1], p) <= 0) {
          n--;
        }
        hull[n++] = p;
      }
      n--;
    }
    double sum = 0;
    for (int i = 0; i < n; i++) {
      double[] a = hull[i];
      double[] b = hull[(i + 1) % n];
      sum += a[0] * b[1] - b[0] * a[1];
    }
    return Math.abs(sum) / 2;
  }

  private static double cross(double[] o, double[] a, double[] b) {
    return (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
  }

  private static void regions(FlatPicture flats, Findings findings) {
    Turning pooled = new Turning();
    Turning large = new Turning();
    WeightedSample.Builder wiggles = WeightedSample.builder();
    WeightedSample.Builder compact = WeightedSample.builder();
    WeightedSample.Builder axes = WeightedSample.builder();
    double logs = 0;
    double squares = 0;
    int count = 0;
    int discs = 0;
    int largest = 0;
    for (int r = 0; r < flats.regions().count(); r++) {
      int area = flats.regions().area(r);
      largest = flats.isLine(r) ? largest : Math.max(largest, area);
      if (!flats.isUsable(r)) {
        continue;
      }
      count++;
      logs += Math.log(area);
      squares += Math.log(area) * Math.log(area);
      axes.add(flats.moments(r).axisRatio(), 1);
      Contour contour = Contour.of(flats.mask(r), sigma(flats));
      if (contour.size() == 0) {
        continue;
      }
      Turning own = new Turning();
      own.add(contour, flats.unit());
      if (own.isTold()) {
        wiggles.add(own.turnsMade(), own.length());
      }
      pooled.add(contour, flats.unit());
      if (area >= LARGE * flats.figureArea()) {
        large.add(contour, flats.unit());
      }
      double length = contour.length();
      double roundness = 4 * Math.PI * contour.area() / (length * length);
      compact.add(roundness, area);
      discs += roundness > DISC ? 1 : 0;
    }
    findings.put(ShapeMeasures.REGIONS, count);
    findings.put(ShapeMeasures.REGIONS_LARGEST, largest / (double) flats.figureArea());
    if (count < 2 || !pooled.isTold() || wiggles.build().size() == 0) {
      findings.absent(
          List.of(
              ShapeMeasures.REGIONS_SPREAD,
              ShapeMeasures.REGIONS_ELONGATED,
              ShapeMeasures.REGIONS_COMPACT,
              ShapeMeasures.REGIONS_WIGGLE,
              ShapeMeasures.REGIONS_CONCAVE,
              ShapeMeasures.REGIONS_LEVEL,
              ShapeMeasures.DISCS,
              ShapeMeasures.LARGE_STRAIGHT),
          Reason.TOO_LITTLE);
      return;
    }
    double mean = logs / count;
    findings.put(
        ShapeMeasures.REGIONS_SPREAD, Math.sqrt(Math.max(0, squares / count - mean * mean)));
    WeightedSample ratios = axes.build();
    findings.put(ShapeMeasures.REGIONS_ELONGATED, ratios.median(), ratios.medianError());
    WeightedSample compactness = compact.build();
    findings.put(ShapeMeasures.REGIONS_COMPACT, compactness.median(), compactness.medianError());
    WeightedSample wiggle = wiggles.build();
    findings.put(ShapeMeasures.REGIONS_WIGGLE, wiggle.median(), wiggle.medianError());
    findings.put(ShapeMeasures.REGIONS_CONCAVE, pooled.inwardShare());
    findings.put(ShapeMeasures.REGIONS_LEVEL, pooled.levelShare());
    findings.put(ShapeMeasures.DISCS, discs / (double) count);
    if (large.isTold()) {
      findings.put(ShapeMeasures.LARGE_STRAIGHT, large.straightShare());
    } else {
      findings.absent(ShapeMeasures.LARGE_STRAIGHT, Reason.TOO_LITTLE);
    }
  }

  /** Neighbouring flats of one local colour: a light and its shadow. */
  private static void pairs(FlatPicture flats, Findings findings) {
    int pairs = 0;
    Ratio smallerLighter = new Ratio();
    WeightedSample.Builder axes = WeightedSample.builder();
    for (Map.Entry<Long, int[]> contact : flats.contacts().entrySet()) {
      int one = (int) (contact.getKey() >> 32);
      int other = contact.getKey().intValue();
      int length = contact.getValue()[0];
      int shorter = Math.min(flats.perimeter(one), flats.perimeter(other));
      if (!flats.isUsable(one)
          || !flats.isUsable(other)
          || length < 0.2 * shorter
          || !isPair(flats.colour(one), flats.colour(other))) {
        continue;
      }
      pairs++;
      boolean oneLighter = flats.colour(one).lightness() > flats.colour(other).lightness();
      boolean oneSmaller = flats.regions().area(one) < flats.regions().area(other);
      smallerLighter.add(oneLighter == oneSmaller ? length : 0, length);
      axes.add(flats.moments(oneLighter ? other : one).axisRatio(), length);
    }
    findings.put(ShadeMeasures.PAIRS, pairs);
    if (pairs == 0) {
      findings.absent(
          List.of(ShadeMeasures.PAIRS_LIT, ShadeMeasures.ELONGATION), Reason.NO_SHADING);
    } else {
      findings.put(ShadeMeasures.PAIRS_LIT, smallerLighter, Reason.NO_SHADING);
      WeightedSample ratios = axes.build();
      findings.put(ShadeMeasures.ELONGATION, ratios.median(), ratios.medianError());
    }
  }

  private static boolean isPair(OkLab one, OkLab other) {
    double step = Math.abs(one.lightness() - other.lightness());
    if (step < 0.010 || step > 0.25) {
      return false;
    }
    double weak = Math.min(one.chroma(), other.chroma());
    double strong = Math.max(one.chroma(), other.chroma());
    if (weak < 0.012 && strong > 0.05) {
      return false;
    }
    if (weak <= 0.02) {
      return true;
    }
    double ratio = one.chroma() / other.chroma();
    return one.hueApart(other) <= 30 && ratio >= 0.5 && ratio <= 2;
  }
}
