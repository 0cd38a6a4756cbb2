package penmirror.core.measure.colour;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.Lab;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;
import penmirror.core.measure.FigurePixels;
import penmirror.core.measure.Findings;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.raster.Regions;
import penmirror.core.raster.Tiles;
import penmirror.core.statistics.Bootstrap;
import penmirror.core.statistics.CircularSample;
import penmirror.core.statistics.Ratio;
import penmirror.core.statistics.WeightedSample;

/**
 * What the palette says. Errors are those of drawing the tiles of the picture again.
 *
 * <p>A picture whose strongest tenth has next to no chroma is grey: then nothing about hue is told.
 */
public final class ColourFacts {
  private static final double GREY = 0.03;
  private static final double SLIGHT = 0.04;
  private static final double NO_HUE_SHARE = 0.01;
  private static final double LEAST_COLOUR = 0.005;
  private static final double LEAST_DARK = 0.002;

  /** An accent is at most this large, this strong, and this far from every larger colour. */
  private static final double ACCENT_LARGEST = 0.06;

  private static final double ACCENT_CHROMA = 0.08;
  private static final double ACCENT_DISTANCE = 0.13;

  /** Smallest place of an accent, of the figure. */
  private static final double PLACE_SHARE = 0.0004;

  private final Palette palette;
  private final FigurePixels figure;
  private final List<Swatch> swatches;
  private final Findings findings;
  private final double[][] tileCounts;

  private ColourFacts(
      Palette palette, FigurePixels figure, List<Swatch> swatches, Findings findings) {
    this.palette = palette;
    this.figure = figure;
    this.swatches = swatches;
    this.findings = findings;
    this.tileCounts = tileCounts(palette);
  }

  /**
   * @param swatches the palette's, with the line named
   */
  public static void find(
      Palette palette, FigurePixels figure, List<Swatch> swatches, Findings findings) {
    if (swatches.isEmpty()) {
      findings.absent(ColourMeasures.ALL, Reason.NO_FIGURE);
      return;
    }
    ColourFacts facts = new ColourFacts(palette, figure, swatches, findings);
    facts.shares();
    facts.ofSwatches();
    facts.places();
  }

  /** What the swatches with their shares tell, with the error of drawing the tiles again. */
  private void ofSwatches() {
    Map<Measure, Double> values = new LinkedHashMap<>();
    tell(swatches, values);
    double[][] counts = tileCounts;
    double[] errors =
        Bootstrap.errors(
            counts.length,
            values.size(),
            drawn -> {
              Map<Measure, Double> again = new LinkedHashMap<>();
              tell(inTiles(counts, drawn), again);
              return values.entrySet().stream()
                  .mapToDouble(
                      told -> {
                        Double drawnAgain = again.get(told.getKey());
                        return drawnAgain == null
                            ? Double.NaN
                            : told.getKey().scale().difference(drawnAgain, told.getValue());
                      })
                  .toArray();
            });
    int k = 0;
    for (Map.Entry<Measure, Double> told : values.entrySet()) {
      findings.put(told.getKey(), told.getValue(), errors[k++]);
    }
    if (total(coloured(swatches)) < NO_HUE_SHARE) {
      findings.absent(ColourMeasures.OF_HUE, Reason.NO_HUE);
    }
    findings.absent(
        List.of(
            ColourMeasures.DARKEST,
            ColourMeasures.DARKEST_CHROMA,
            ColourMeasures.STRONGEST,
            ColourMeasures.WEAKEST),
        Reason.TOO_LITTLE);
  }

  /** The swatches as they would be if the figure had these tiles; the most frequent first. */
  private List<Swatch> inTiles(double[][] counts, int[] tiles) {
    double[] sums = new double[palette.swatches().size()];
    for (int tile : tiles) {
      for (int c = 0; c < sums.length; c++) {
        sums[c] += counts[tile][c];
      }
    }
    double total = Arrays.stream(sums).sum();
    List<Swatch> drawn = new ArrayList<>();
    for (int c = 0; c < sums.length; c++) {
      if (sums[c] > 0) {
        drawn.add(new Swatch(palette.colour(c), sums[c] / total, Swatch.Role.UNNAMED));
      }
    }
    drawn.sort(Comparator.comparingDouble(swatch -> -swatch.shareOfFigure()));
    return drawn;
  }

  private void tell(List<Swatch> some, Map<Measure, Double> values) {
    if (some.isEmpty()) {
      return;
    }
    amounts(some, values);
    hues(some, values);
    extremes(some, values);
    values.put(ColourMeasures.ACCENT, total(accents(some).stream().map(some::get).toList()));
    values.put(ColourMeasures.FIGURE_GROUND, mean(some).distanceTo(figure.background()));
  }

  /** The swatches that have a hue. */
  private static List<Swatch> coloured(List<Swatch> swatches) {
    return swatches.stream().filter(swatch -> swatch.colour().chroma() > GREY).toList();
  }

  private static void amounts(List<Swatch> some, Map<Measure, Double> values) {
    double entropy = 0;
    double total = total(some);
    for (Swatch swatch : some) {
      double share = swatch.shareOfFigure() / total;
      entropy -= share * Math.log(share);
    }
    values.put(ColourMeasures.PALETTE_SIZE, (double) coloursThatCarry(some));
    values.put(ColourMeasures.VARIETY, Math.exp(entropy));
  }

  private static double total(List<Swatch> some) {
    return some.stream().mapToDouble(Swatch::shareOfFigure).sum();
  }

  private static int coloursThatCarry(List<Swatch> some) {
    double sum = 0;
    int count = 0;
    double total = total(some);
    for (Swatch swatch : some) {
      if (sum >= 0.95 * total) {
        break;
      }
      sum += swatch.shareOfFigure();
      count++;
    }
    return count;
  }

  /** What one pixel of a colour counts. */
  @FunctionalInterface
  private interface Weight {
    double of(OkLab colour);
  }

  private void shares() {
    put(ColourMeasures.CHROMA, OkLab::chroma, colour -> 1);
    put(ColourMeasures.LIGHT, OkLab::lightness, colour -> 1);
    put(
        ColourMeasures.WHITE,
        colour -> colour.lightness() > 0.95 && colour.chroma() < GREY ? 1 : 0,
        colour -> 1);
    put(ColourMeasures.BLACK, colour -> colour.isBlack() ? 1 : 0, colour -> 1);
    put(ColourMeasures.GREY, colour -> colour.chroma() > GREY ? 0 : 1, colour -> 1);
    put(ColourMeasures.REDS, colour -> inHues(colour, 0, 50) ? 1 : 0, colour -> 1);
    put(ColourMeasures.YELLOWS, colour -> inHues(colour, 50, 110) ? 1 : 0, colour -> 1);
    double coloured = total(coloured(swatches));
    if (coloured >= NO_HUE_SHARE) {
      Weight isColoured = colour -> colour.chroma() > GREY ? 1 : 0;
      put(
          ColourMeasures.WARM,
          colour ->
              isColoured.of(colour)
                  * (colour.hueDegrees() < 110 || colour.hueDegrees() >= 330 ? 1 : 0),
          isColoured);
      put(
          ColourMeasures.CHROMA_COLOURED,
          colour -> isColoured.of(colour) * colour.chroma(),
          isColoured);
    }
    double grey = total(swatches) - coloured;
    if (grey > NO_HUE_SHARE) {
      Weight isGrey = colour -> colour.chroma() > GREY ? 0 : 1;
      put(ColourMeasures.UNDERTONE_A, colour -> isGrey.of(colour) * lab(colour).a(), isGrey);
      put(ColourMeasures.UNDERTONE_B, colour -> isGrey.of(colour) * lab(colour).b(), isGrey);
    } else {
      findings.absent(
          List.of(ColourMeasures.UNDERTONE_A, ColourMeasures.UNDERTONE_B), Reason.TOO_LITTLE);
    }
  }

  private static Lab lab(OkLab colour) {
    EncodedSrgb encoded = colour.toEncodedSrgb();
    return Lab.from(encoded);
  }

  private static boolean inHues(OkLab colour, double from, double to) {
    return colour.chroma() > SLIGHT && colour.hueDegrees() >= from && colour.hueDegrees() < to;
  }

  /** A ratio of sums over the figure's pixels, with its error over tiles. */
  private void put(Measure measure, Weight part, Weight whole) {
    int colours = palette.swatches().size();
    double[] parts = new double[colours];
    double[] wholes = new double[colours];
    for (int c = 0; c < colours; c++) {
      parts[c] = part.of(palette.colour(c));
      wholes[c] = whole.of(palette.colour(c));
    }
    double[][] counts = tileCounts;
    double[] tileParts = new double[counts.length];
    double[] tileWholes = new double[counts.length];
    for (int t = 0; t < counts.length; t++) {
      for (int c = 0; c < colours; c++) {
        tileParts[t] += counts[t][c] * parts[c];
        tileWholes[t] += counts[t][c] * wholes[c];
      }
    }
    findings.put(measure, Ratio.of(tileParts, tileWholes), Reason.TOO_LITTLE);
  }

  /** Pixels of each colour in each tile. */
  private static double[][] tileCounts(Palette palette) {
    double[][] counts = new double[Tiles.COUNT][palette.swatches().size()];
    Tiles tiles = new Tiles(palette.width(), palette.height());
    for (int i = 0; i < palette.labels().length; i++) {
      int label = palette.labels()[i];
      if (label != Palette.NONE) {
        counts[tiles.at(i)][label]++;
      }
    }
    return counts;
  }

  /** The hue template that fits best; empty where nothing has a hue. */
  public static Optional<HueTemplate.Fit> harmony(List<Swatch> swatches) {
    List<Swatch> coloured = coloured(swatches);
    return total(coloured) < NO_HUE_SHARE
        ? Optional.empty()
        : Optional.of(HueTemplate.best(hues(coloured), weights(coloured)));
  }

  private static double[] hues(List<Swatch> coloured) {
    return coloured.stream().mapToDouble(swatch -> swatch.colour().hueDegrees()).toArray();
  }

  private static double[] weights(List<Swatch> coloured) {
    return coloured.stream()
        .mapToDouble(swatch -> swatch.shareOfFigure() * swatch.colour().chroma())
        .toArray();
  }

  private static void hues(List<Swatch> some, Map<Measure, Double> values) {
    List<Swatch> coloured = coloured(some);
    if (total(coloured) >= NO_HUE_SHARE) {
      CircularSample sample = CircularSample.weighted(hues(coloured), weights(coloured));
      values.put(ColourMeasures.LEAN, sample.resultantLength());
      values.put(ColourMeasures.HUE, sample.meanDegrees());
      harmony(some).ifPresent(fit -> values.put(ColourMeasures.HARMONY, fit.offDegrees()));
    }
  }

  private static void extremes(List<Swatch> some, Map<Measure, Double> values) {
    WeightedSample.Builder chroma = WeightedSample.builder();
    OkLab darkest = null;
    double light = 0;
    double dark = 1;
    double carried = 0;
    double total = total(some);
    for (Swatch swatch : some) {
      OkLab colour = swatch.colour();
      chroma.add(colour.chroma(), swatch.shareOfFigure());
      if (swatch.shareOfFigure() >= LEAST_COLOUR) {
        values.merge(ColourMeasures.STRONGEST, colour.chroma(), Math::max);
        values.merge(ColourMeasures.WEAKEST, colour.chroma(), Math::min);
      }
      boolean large = swatch.shareOfFigure() >= LEAST_DARK;
      if (large && (darkest == null || colour.lightness() < darkest.lightness())) {
        darkest = colour;
      }
      if (carried < 0.95 * total) {
        light = Math.max(light, colour.lightness());
        dark = Math.min(dark, colour.lightness());
      }
      carried += swatch.shareOfFigure();
    }
    values.put(ColourMeasures.CHROMA_HIGH, chroma.build().quantile(0.9));
    values.put(ColourMeasures.LIGHT_RANGE, Math.max(0, light - dark));
    if (darkest != null) {
      values.put(ColourMeasures.DARKEST, darkest.lightness());
      values.put(ColourMeasures.DARKEST_CHROMA, darkest.chroma());
    }
  }

  /** Which colours of the palette are accents. */
  public static List<Integer> accentLabels(Palette palette) {
    return accents(palette.swatches());
  }

  private static List<Integer> accents(List<Swatch> all) {
    List<Integer> accents = new ArrayList<>();
    for (int c = 0; c < all.size(); c++) {
      Swatch swatch = all.get(c);
      boolean small =
          swatch.shareOfFigure() <= ACCENT_LARGEST && swatch.shareOfFigure() >= LEAST_DARK;
      if (!small || swatch.colour().chroma() < ACCENT_CHROMA) {
        continue;
      }
      boolean apart =
          all.stream()
              .filter(other -> other.shareOfFigure() > ACCENT_LARGEST)
              .allMatch(
                  other ->
                      other.colour().distanceTo(swatch.colour()) > ACCENT_DISTANCE
                          && hueStep(other.colour(), swatch.colour()) > ACCENT_CHROMA);
      if (apart) {
        accents.add(c);
      }
    }
    return accents;
  }

  /** Distance in the plane of hue and chroma alone: a lighter shade is no accent. */
  private static double hueStep(OkLab one, OkLab other) {
    return Math.hypot(one.a() - other.a(), one.b() - other.b());
  }

  /** In how many places accents stand. */
  private void places() {
    List<Integer> accents = accentLabels(palette);
    boolean[] where = new boolean[palette.labels().length];
    for (int i = 0; i < where.length; i++) {
      where[i] = accents.contains(palette.labels()[i]);
    }
    int least = (int) Math.max(4, PLACE_SHARE * figure.figureCount());
    int places = 0;
    for (int area : Regions.areas(where, palette.width(), palette.height())) {
      places += area >= least ? 1 : 0;
    }
    findings.put(ColourMeasures.ACCENT_PLACES, places);
  }

  private static OkLab mean(List<Swatch> some) {
    double lightness = 0;
    double a = 0;
    double b = 0;
    double total = 0;
    for (Swatch swatch : some) {
      lightness += swatch.shareOfFigure() * swatch.colour().lightness();
      a += swatch.shareOfFigure() * swatch.colour().a();
      b += swatch.shareOfFigure() * swatch.colour().b();
      total += swatch.shareOfFigure();
    }
    return new OkLab(lightness / total, a / total, b / total);
  }
}
