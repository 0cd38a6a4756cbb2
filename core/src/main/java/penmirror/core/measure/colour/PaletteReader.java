package penmirror.core.measure.colour;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.OkLabPlanes;
import penmirror.core.colour.Swatch;
import penmirror.core.raster.Mask;

/**
 * Finds the flat colours of a figure and the share each covers.
 *
 * <p>Blended pixels along edges would make colours that nobody chose, so colours are sought on flat
 * pixels only (all eight neighbours within {@link #FLAT}); afterwards every other pixel of the
 * figure goes to the colour of the flat pixel nearest to it. Colours nearer than the merging
 * distance are one. A smooth gradient comes out as a chain of swatches.
 */
public final class PaletteReader {
  /** Largest OKLab step to a neighbour on a flat pixel. */
  private static final double FLAT = 0.02;

  private static final double BIN = 0.01;
  private static final int PASSES = 4;

  /** Bins with fewer pixels never found a colour of their own. */
  private static final int SMALLEST_BIN = 3;

  private final double merge;
  private final double smallestShare;

  private PaletteReader(double merge, double smallestShare) {
    this.merge = merge;
    this.smallestShare = smallestShare;
  }

  /** Colours as one sees them: a light and its shadow stay two, from 0.1 % of the figure on. */
  public static PaletteReader seen() {
    return new PaletteReader(0.035, 0.001);
  }

  /** Colours told apart as finely as flats are laid, from 0.04 % of the figure on. */
  public static PaletteReader fine() {
    return new PaletteReader(0.018, 0.0004);
  }

  /**
   * @param colours OKLab of the picture
   * @param figure same size; not modified
   * @return largest colour first; without colours where no pixel of the figure is flat
   */
  public Palette read(OkLabPlanes colours, Mask figure) {
    int width = figure.width();
    boolean[] flat = flatPixels(colours, figure);
    List<Bin> bins = bins(colours, flat);
    if (bins.isEmpty()) {
      int[] none = new int[flat.length];
      Arrays.fill(none, Palette.NONE);
      return new Palette(width, figure.height(), none, List.of(), flat);
    }
    List<OkLab> centres = cluster(bins);
    int[] labels = labels(colours, figure, flat, centres, width);
    return palette(colours, figure, labels, flat, centres.size());
  }

  private static boolean[] flatPixels(OkLabPlanes colours, Mask figure) {
    int width = figure.width();
    int height = figure.height();
    boolean[] inside = figure.values();
    boolean[] flat = new boolean[inside.length];
    for (int y = 1; y < height - 1; y++) {
      for (int x = 1; x < width - 1; x++) {
        int i = y * width + x;
        flat[i] = inside[i] && isFlat(colours, i, width);
      }
    }
    return flat;
  }

  private static boolean isFlat(OkLabPlanes colours, int i, int width) {
    for (int dy = -width; dy <= width; dy += width) {
      for (int dx = -1; dx <= 1; dx++) {
        if (colours.distance(i, i + dy + dx) >= FLAT) {
          return false;
        }
      }
    }
    return true;
  }

  /** Pixels of nearly one colour, counted together. */
  private static final class Bin {
    private double lightness;
    private double a;
    private double b;
    private int count;

    void add(OkLabPlanes colours, int i) {
      lightness += colours.lightness(i);
      a += colours.a(i);
      b += colours.b(i);
      count++;
    }

    OkLab mean() {
      return new OkLab(lightness / count, a / count, b / count);
    }
  }

  private static List<Bin> bins(OkLabPlanes colours, boolean[] flat) {
    Map<Integer, Bin> byColour = new HashMap<>();
    int before = -1;
    Bin bin = new Bin();
    for (int i = 0; i < flat.length; i++) {
      if (!flat[i]) {
        continue;
      }
      int key =
          ((int) (colours.lightness(i) / BIN) << 16)
              | ((int) ((colours.a(i) + 0.5) / BIN) << 8)
              | (int) ((colours.b(i) + 0.5) / BIN);
      if (key != before) {
        // Runs of one colour are the rule in a drawing.
        bin = byColour.computeIfAbsent(key, k -> new Bin());
        before = key;
      }
      bin.add(colours, i);
    }
    List<Bin> bins = new ArrayList<>(byColour.values());
    bins.sort(
        Comparator.<Bin>comparingInt(b -> -b.count)
            .thenComparingDouble(b -> b.mean().lightness())
            .thenComparingDouble(b -> b.mean().a()));
    return bins;
  }

  private List<OkLab> cluster(List<Bin> bins) {
    List<OkLab> means = bins.stream().map(Bin::mean).toList();
    List<OkLab> centres = new ArrayList<>();
    for (int i = 0; i < bins.size(); i++) {
      boolean founds =
          centres.isEmpty()
              || bins.get(i).count >= SMALLEST_BIN
                  && means.get(i).distanceTo(centres.get(nearest(means.get(i), centres))) >= merge;
      if (founds) {
        centres.add(means.get(i));
      }
    }
    double[] weights = new double[0];
    for (int pass = 0; pass < PASSES; pass++) {
      weights = recentre(bins, means, centres);
    }
    mergeClosest(centres, weights);
    return centres;
  }

  /** One k-means pass over the bins; returns the pixels of each centre. */
  private static double[] recentre(List<Bin> bins, List<OkLab> means, List<OkLab> centres) {
    double[][] sums = new double[centres.size()][4];
    for (int i = 0; i < bins.size(); i++) {
      double[] sum = sums[nearest(means.get(i), centres)];
      Bin bin = bins.get(i);
      sum[0] += bin.count;
      sum[1] += bin.lightness;
      sum[2] += bin.a;
      sum[3] += bin.b;
    }
    double[] weights = new double[sums.length];
    for (int c = 0; c < sums.length; c++) {
      weights[c] = sums[c][0];
      if (weights[c] > 0) {
        centres.set(
            c,
            new OkLab(sums[c][1] / weights[c], sums[c][2] / weights[c], sums[c][3] / weights[c]));
      }
    }
    return weights;
  }

  private void mergeClosest(List<OkLab> centres, double[] startWeights) {
    List<Double> weights = new ArrayList<>(Arrays.stream(startWeights).boxed().toList());
    while (centres.size() > 1) {
      int first = -1;
      int second = -1;
      double closest = merge;
      for (int i = 0; i < centres.size(); i++) {
        for (int j = i + 1; j < centres.size(); j++) {
          double distance = centres.get(i).distanceTo(centres.get(j));
          if (distance < closest) {
            closest = distance;
            first = i;
            second = j;
          }
        }
      }
      if (first < 0) {
        return;
      }
      double total = weights.get(first) + weights.get(second);
      double share = total == 0 ? 0.5 : weights.get(second) / total;
      OkLab one = centres.get(first);
      OkLab other = centres.get(second);
      centres.set(
          first,
          new OkLab(
              one.lightness() + share * (other.lightness() - one.lightness()),
              one.a() + share * (other.a() - one.a()),
              one.b() + share * (other.b() - one.b())));
      weights.set(first, total);
      centres.remove(second);
      weights.remove(second);
    }
  }

  private static int nearest(OkLab colour, List<OkLab> centres) {
    int best = 0;
    double closest = Double.MAX_VALUE;
    for (int c = 0; c < centres.size(); c++) {
      double distance = colour.distanceTo(centres.get(c));
      if (distance < closest) {
        closest = distance;
        best = c;
      }
    }
    return best;
  }

  /** The colour of every pixel of the figure; those that are not flat take their neighbour's. */
  private static int[] labels(
      OkLabPlanes colours, Mask figure, boolean[] flat, List<OkLab> centres, int width) {
    int[] labels = new int[flat.length];
    Arrays.fill(labels, -1);
    int[] queue = new int[flat.length];
    int size = 0;
    for (int i = 0; i < flat.length; i++) {
      if (flat[i]) {
        boolean same =
            i > 0 && labels[i - 1] >= 0 && flat[i - 1] && colours.distance(i, i - 1) == 0;
        labels[i] = same ? labels[i - 1] : nearest(colours.at(i), centres);
      }
    }
    // From those alone that have a neighbour without a colour.
    for (int i = 0; i < flat.length; i++) {
      if (flat[i] && !isAmong(flat, i, width)) {
        queue[size++] = i;
      }
    }
    boolean[] inside = figure.values();
    int height = figure.height();
    for (int next = 0; next < size; next++) {
      int x = queue[next] % width;
      int y = queue[next] / width;
      for (int ny = Math.max(0, y - 1); ny <= Math.min(height - 1, y + 1); ny++) {
        for (int nx = Math.max(0, x - 1); nx <= Math.min(width - 1, x + 1); nx++) {
          int neighbour = ny * width + nx;
          if (inside[neighbour] && labels[neighbour] < 0) {
            labels[neighbour] = labels[queue[next]];
            queue[size++] = neighbour;
          }
        }
      }
    }
    return labels;
  }

  /** Whether all eight neighbours are flat too; a flat pixel never lies on the picture's edge. */
  private static boolean isAmong(boolean[] flat, int i, int width) {
    for (int row = i - width; row <= i + width; row += width) {
      if (!flat[row - 1] || !flat[row] || !flat[row + 1]) {
        return false;
      }
    }
    return true;
  }

  /** Colours too small to count are given to the colour around them. */
  private Palette palette(
      OkLabPlanes colours, Mask figure, int[] labels, boolean[] flat, int count) {
    double[][] sums = new double[count][5];
    double total = 0;
    for (int i = 0; i < labels.length; i++) {
      if (!figure.values()[i] || labels[i] < 0) {
        continue;
      }
      double[] sum = sums[labels[i]];
      sum[0]++;
      total++;
      if (flat[i]) {
        sum[1]++;
        sum[2] += colours.lightness(i);
        sum[3] += colours.a(i);
        sum[4] += colours.b(i);
      }
    }
    record Kept(int label, Swatch swatch) {}
    List<Kept> kept = new ArrayList<>();
    for (int c = 0; c < count; c++) {
      double[] sum = sums[c];
      double share = sum[0] / total;
      if (share >= smallestShare && sum[1] > 0) {
        OkLab colour = new OkLab(sum[2] / sum[1], sum[3] / sum[1], sum[4] / sum[1]);
        kept.add(new Kept(c, new Swatch(colour, share, Swatch.Role.UNNAMED)));
      }
    }
    kept.sort(Comparator.comparingDouble(k -> -k.swatch.shareOfFigure()));
    int[] places = new int[count];
    Arrays.fill(places, Palette.NONE);
    for (int k = 0; k < kept.size(); k++) {
      places[kept.get(k).label] = k;
    }
    int[] ordered = new int[labels.length];
    for (int i = 0; i < labels.length; i++) {
      ordered[i] = labels[i] < 0 || !figure.values()[i] ? Palette.NONE : places[labels[i]];
    }
    List<Swatch> swatches = kept.stream().map(k -> k.swatch).toList();
    return new Palette(figure.width(), figure.height(), ordered, swatches, flat);
  }
}
