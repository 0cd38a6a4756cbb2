package penmirror.core.measure.shade;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.OkLabPlanes;
import penmirror.core.colour.Tones;
import penmirror.core.measure.FigurePixels;
import penmirror.core.measure.Findings;
import penmirror.core.measure.Measure;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.colour.Palette;
import penmirror.core.measure.shade.ValueLevels.Level;
import penmirror.core.raster.Distance;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Tiles;
import penmirror.core.statistics.Bootstrap;
import penmirror.core.statistics.Ratio;
import penmirror.core.statistics.WeightedSample;

/**
 * What light and shadow say.
 *
 * <p>Every local colour is looked at for itself: the peaks of its lightness are its values, the
 * heaviest is the base, or the light where most lies in shadow; what is darker is shadow and what
 * is lighter highlight. Borders are walked square to their run.
 */
public final class ShadeFacts {
  /**
   * Lightness by which pixels of light and shadow together stray from their neighbours under which
   * there is no texture. Fills of the demo stay below it but for three soft ones; hatching lies
   * above.
   */
  private static final double LEAST_DETAIL = 0.004;

  /** Smaller local colours tell no values. */
  private static final double LEAST_MATERIAL = 0.004;

  /** How far from the border of a local colour its pixels are looked at. */
  private static final double DEPTH = 2.5;

  /** At most so many places of a border are walked. */
  private static final int LARGEST_BORDER = 400;

  private static final double HAS_HUE = 0.03;

  /** Among few colours one that is nearly grey would tell the turn of all. */
  static final double HAS_CLEAR_HUE = 0.05;

  /** A violet coat's shadow has nowhere cooler to turn, degrees. */
  public static final double NEAREST_TO_POLE = 40;

  /** Share of a local colour that may lie between its values. */
  private static final double MOST_SMOOTH = 0.33;

  /** Lightness within which a pixel has a value, as it was counted for it or nearly so. */
  private static final double NEAR = 0.01;

  /** Steps of lightness that are told apart. */
  private static final int GREYS = 500;

  /** What a pixel is. */
  public enum Tone {
    NONE,
    SHADOW,
    BASE,
    HIGHLIGHT
  }

  /**
   * One place of a shadow's border, in pixels of the copy.
   *
   * @param lightX unit step toward the light
   * @param widthPixels of the transition
   */
  public record Border(
      double x, double y, double lightX, double lightY, double widthPixels, boolean hard) {}

  private final OkLabPlanes colours;
  private final int width;
  private final int height;
  private final Tiles tiles;
  private final Materials materials;
  private final int figurePixels;
  private final FigurePixels figure;
  private final byte[] tones;
  private @Nullable ValueLevels[] levels = new ValueLevels[0];

  /** How deep each pixel lies inside its local colour, pixels. */
  private float[] depth = new float[0];

  private final List<Border> borders = new ArrayList<>();

  private ShadeFacts(Palette palette, FigurePixels figure, boolean[] ink) {
    this.figure = figure;
    colours = figure.colours();
    width = palette.width();
    height = palette.height();
    tiles = new Tiles(width, height);
    materials = Materials.of(palette, ink);
    figurePixels = figure.figureCount();
    tones = new byte[width * height];
  }

  /**
   * @param ink pixels of lines; not modified
   */
  public static ShadeFacts find(
      Palette palette, FigurePixels figure, boolean[] ink, Findings findings) {
    ShadeFacts facts = new ShadeFacts(palette, figure, ink);
    if (facts.figurePixels == 0 || palette.swatches().isEmpty()) {
      findings.absent(ShadeMeasures.ALL, Reason.NO_FIGURE);
      return facts;
    }
    facts.values(findings);
    facts.levels(findings);
    return facts;
  }

  /** Tone of a pixel of the copy. */
  public Tone tone(int pixel) {
    return Tone.values()[tones[pixel]];
  }

  /** Of the local colour under a pixel of the copy; empty where it is too small to tell. */
  public Optional<Tones> tonesUnder(int pixel) {
    return materials.at(pixel) < 0 ? Optional.empty() : tones(materials.at(pixel));
  }

  /** Of a local colour; empty where it is too small to tell. */
  public Optional<Tones> tones(int material) {
    ValueLevels of = material >= levels.length ? null : levels[material];
    if (of == null) {
      return Optional.empty();
    }
    return Optional.of(
        new Tones(
            of.levels().get(of.base()).colour(),
            of.shadow().map(Level::colour),
            strip(material),
            of.highlight().map(Level::colour)));
  }

  /**
   * Whether a local colour is laid in values that can be told; where more of it lies on none, light
   * runs into shadow and its peaks are chance.
   */
  public boolean isLaidInValues(int material) {
    ValueLevels of = material >= levels.length ? null : levels[material];
    return of != null && of.smooth() <= MOST_SMOOTH;
  }

  /** Which pixels of the copy are one local colour in light and shadow. */
  public Materials materials() {
    return materials;
  }

  /**
   * From light to shadow in some local colours, one step each.
   *
   * @param least lightness below which a step is no shadow
   */
  public ShadowSteps steps(List<Integer> some, double least) {
    ShadowSteps steps = ShadowSteps.ofRoles();
    for (int material : some) {
      ValueLevels of = material >= levels.length ? null : levels[material];
      if (of != null && of.shadow().isPresent()) {
        Level dark = of.shadow().get();
        Level light = of.levels().get(of.base());
        double shown = materials.area(material) * Math.min(dark.share(), light.share());
        if (light.colour().lightness() - dark.colour().lightness() >= least) {
          steps.add(light.colour(), dark.colour(), shown);
        }
      }
    }
    return steps;
  }

  /** The pixel that lies deepest in a local colour's shadow, or in its light where it has none. */
  public int deepest(int material) {
    Tones tones = tones(material).orElseThrow();
    OkLab sought = tones.shadow().orElse(tones.base());
    double step = tones.base().lightness() - sought.lightness();
    double near = Math.max(NEAR, step / 4);
    int best = -1;
    for (int i = 0; i < depth.length; i++) {
      if (materials.at(i) == material
          && Math.abs(colours.lightness(i) - sought.lightness()) < near
          && (best < 0 || depth[i] > depth[best])) {
        best = i;
      }
    }
    if (best < 0) {
      throw new IllegalStateException("No pixel of local colour " + material + " has its value.");
    }
    return best;
  }

  /** Mean colour along a local colour's shadow border. */
  private Optional<OkLab> strip(int material) {
    double[] sums = new double[4];
    for (Border border : borders) {
      int i = (int) border.y() * width + (int) border.x();
      if (materials.at(i) == material) {
        sums[0]++;
        sums[1] += colours.lightness(i);
        sums[2] += colours.a(i);
        sums[3] += colours.b(i);
      }
    }
    return sums[0] == 0
        ? Optional.empty()
        : Optional.of(new OkLab(sums[1] / sums[0], sums[2] / sums[0], sums[3] / sums[0]));
  }

  /** Places along the shadows' borders. */
  public List<Border> borders() {
    return List.copyOf(borders);
  }

  private void values(Findings findings) {
    int[][] greys = new int[Tiles.COUNT][GREYS + 1];
    for (int i = 0; i < tones.length; i++) {
      if (figure.figure().values()[i]) {
        double grey = Math.max(0, Math.min(1, colours.lightness(i)));
        greys[tiles.at(i)][(int) Math.round(grey * GREYS)]++;
      }
    }
    double[] values = values(greys, IntStream.range(0, Tiles.COUNT).toArray());
    double[] errors = Bootstrap.errors(Tiles.COUNT, values.length, drawn -> values(greys, drawn));
    List<Measure> measures =
        List.of(
            ShadeMeasures.VALUE_RANGE,
            ShadeMeasures.VALUE_DARK,
            ShadeMeasures.VALUE_LIGHT,
            ShadeMeasures.CONTRAST);
    for (int k = 0; k < values.length; k++) {
      findings.put(measures.get(k), values[k], errors[k]);
    }
  }

  /** Range, darkest and lightest twentieth, and deviation of the greys in some tiles. */
  private static double[] values(int[][] tiles, int[] some) {
    int[] histogram = new int[GREYS + 1];
    for (int tile : some) {
      for (int g = 0; g <= GREYS; g++) {
        histogram[g] += tiles[tile][g];
      }
    }
    double count = 0;
    double sum = 0;
    double squares = 0;
    for (int g = 0; g <= GREYS; g++) {
      double grey = g / (double) GREYS;
      count += histogram[g];
      sum += histogram[g] * grey;
      squares += histogram[g] * grey * grey;
    }
    double dark = greyBelow(histogram, 0.05 * count);
    double light = greyBelow(histogram, 0.95 * count);
    double mean = sum / count;
    double contrast = Math.sqrt(Math.max(0, squares / count - mean * mean));
    return new double[] {light - dark, dark, light, contrast};
  }

  private static double greyBelow(int[] histogram, double count) {
    int sum = 0;
    for (int g = 0; g < histogram.length; g++) {
      sum += histogram[g];
      if (sum >= count) {
        return g / (double) GREYS;
      }
    }
    return 1;
  }

  /** Values of each local colour that is large enough; others stay null. */
  private @Nullable ValueLevels[] levelsOfMaterials() {
    boolean[] inner = new boolean[tones.length];
    for (int i = 0; i < inner.length; i++) {
      int here = materials.at(i);
      int x = i % width;
      inner[i] =
          here >= 0
              && (x == 0 || materials.at(i - 1) == here)
              && (x == width - 1 || materials.at(i + 1) == here)
              && (i < width || materials.at(i - width) == here)
              && (i + width >= inner.length || materials.at(i + width) == here);
    }
    depth = Distance.toOutside(new Mask(width, height, inner)).values();
    int[] starts = new int[materials.count() + 1];
    for (int i = 0; i < depth.length; i++) {
      if (materials.at(i) >= 0 && depth[i] > DEPTH - 1) {
        starts[materials.at(i) + 1]++;
      }
    }
    for (int m = 0; m < materials.count(); m++) {
      starts[m + 1] += starts[m];
    }
    int[] pixels = new int[starts[materials.count()]];
    int[] next = starts.clone();
    for (int i = 0; i < depth.length; i++) {
      if (materials.at(i) >= 0 && depth[i] > DEPTH - 1) {
        pixels[next[materials.at(i)]++] = i;
      }
    }
    @Nullable ValueLevels[] levels = new ValueLevels[materials.count()];
    for (int m = 0; m < levels.length; m++) {
      if (materials.area(m) >= LEAST_MATERIAL * figurePixels) {
        int[] own = Arrays.copyOfRange(pixels, starts[m], starts[m + 1]);
        levels[m] = ValueLevels.of(colours, width, own);
      }
    }
    return levels;
  }

  private void levels(Findings findings) {
    levels = levelsOfMaterials();
    paintTones(levels);
    double area = 0;
    Ratio shaded = new Ratio();
    Ratio smooth = new Ratio();
    Ratio counted = new Ratio();
    ShadowSteps steps = new ShadowSteps(HAS_HUE, 0);
    WeightedSample.Builder glow = WeightedSample.builder();
    for (int m = 0; m < levels.length; m++) {
      ValueLevels of = levels[m];
      if (of == null) {
        continue;
      }
      double own = materials.area(m);
      int number = of.levels().size();
      area += own;
      counted.add(own * number, own);
      shaded.add(number > 1 ? own : 0, own);
      smooth.add(own * of.smooth(), own);
      for (int k = 1; k <= of.base(); k++) {
        Level dark = of.levels().get(k - 1);
        Level light = of.levels().get(k);
        steps.add(light.colour(), dark.colour(), own * Math.min(dark.share(), light.share()));
      }
      for (int k = of.base() + 1; k < number; k++) {
        Level dark = of.levels().get(k - 1);
        Level light = of.levels().get(k);
        glow.add(
            light.colour().lightness() - dark.colour().lightness(),
            own * Math.min(dark.share(), light.share()));
      }
    }
    if (area == 0) {
      findings.absent(ShadeMeasures.STEPS, Reason.TOO_LITTLE);
      findings.absent(ShadeMeasures.OF_SHADOW, Reason.NO_SHADING);
      findings.absent(ShadeMeasures.OF_LIGHT, Reason.TOO_LITTLE);
      findings.absent(List.of(ShadeMeasures.HIGHLIGHT_STEP), Reason.NO_HIGHLIGHT);
      findings.absent(
          List.of(
              ShadeMeasures.SHADED,
              ShadeMeasures.COVER,
              ShadeMeasures.GRADIENT,
              ShadeMeasures.HIGHLIGHT),
          Reason.TOO_LITTLE);
      return;
    }
    findings.put(ShadeMeasures.STEPS, counted, Reason.TOO_LITTLE);
    findings.put(ShadeMeasures.SHADED, shaded, Reason.TOO_LITTLE);
    findings.put(ShadeMeasures.GRADIENT, smooth, Reason.TOO_LITTLE);
    cover(findings, ShadeMeasures.COVER, Tone.SHADOW);
    cover(findings, ShadeMeasures.HIGHLIGHT, Tone.HIGHLIGHT);
    findings.put(ShadeMeasures.HIGHLIGHT_STEP, glow.build(), Reason.NO_HIGHLIGHT);
    if (steps.isEmpty()) {
      findings.absent(ShadeMeasures.OF_SHADOW, Reason.NO_SHADING);
      findings.absent(ShadeMeasures.OF_LIGHT, Reason.TOO_LITTLE);
      return;
    }
    steps.put(
        findings,
        ShadeMeasures.LIGHTNESS_STEP,
        ShadeMeasures.CHROMA_RATIO,
        ShadeMeasures.HUE_TURN,
        Reason.NO_SHADING,
        Reason.NO_HUE);
    borders(levels, findings);
    LightDirection.find(materials, levels, tones, width, height, findings);
    texture(levels, findings);
  }

  private void paintTones(@Nullable ValueLevels[] levels) {
    for (int i = 0; i < tones.length; i++) {
      ValueLevels of = materials.at(i) < 0 ? null : levels[materials.at(i)];
      if (of != null) {
        double lightness = colours.lightness(i);
        Tone tone =
            lightness < of.shadowBelow()
                ? Tone.SHADOW
                : lightness > of.highlightAbove() ? Tone.HIGHLIGHT : Tone.BASE;
        tones[i] = (byte) tone.ordinal();
      }
    }
  }

  /** Share of all pixels with a tone that have this one, with its error over tiles. */
  private void cover(Findings findings, Measure measure, Tone tone) {
    double[] parts = new double[Tiles.COUNT];
    double[] wholes = new double[Tiles.COUNT];
    for (int i = 0; i < tones.length; i++) {
      if (tones[i] != Tone.NONE.ordinal()) {
        int tile = tiles.at(i);
        wholes[tile]++;
        parts[tile] += tones[i] == tone.ordinal() ? 1 : 0;
      }
    }
    findings.put(measure, Ratio.of(parts, wholes), Reason.TOO_LITTLE);
  }

  /** Edge width, hardness, saturated strip and direction of the light, along shadows' borders. */
  private void borders(@Nullable ValueLevels[] levels, Findings findings) {
    int[][] places = borderPixels(levels);
    ShadowEdge edge = new ShadowEdge(colours, width, height);
    double unit = figure.unitPixels() / figure.factor();
    double reach = 0.14 * unit;
    double hardBelow = Math.max(2.5, 0.007 * unit);
    WeightedSample.Builder widths = WeightedSample.builder();
    WeightedSample.Builder strips = WeightedSample.builder();
    Ratio hard = new Ratio();
    for (int m = 0; m < levels.length; m++) {
      ValueLevels of = levels[m];
      if (of == null || of.base() == 0 || places[m].length == 0) {
        continue;
      }
      Level dark = of.levels().get(of.base() - 1);
      Level light = of.levels().get(of.base());
      int stride = Math.max(1, places[m].length / LARGEST_BORDER);
      WeightedSample.Builder own = WeightedSample.builder();
      double strip = 0;
      int stripCount = 0;
      for (int k = 0; k < places[m].length; k += stride) {
        double[] step = edge.towardLight(places[m][k]);
        double length = Math.hypot(step[0], step[1]);
        if (length == 0) {
          continue;
        }
        double nx = step[0] / length;
        double ny = step[1] / length;
        ShadowEdge.Profile profile =
            edge.across(
                places[m][k], nx, ny, dark.colour().lightness(), light.colour().lightness(), reach);
        if (profile != null) {
          boolean isHard = profile.widthPixels() <= hardBelow;
          own.add(profile.widthPixels(), 1);
          hard.add(isHard ? stride : 0, stride);
          strip += profile.chroma();
          stripCount++;
          borders.add(
              new Border(
                  places[m][k] % width,
                  places[m][k] / width,
                  nx,
                  ny,
                  profile.widthPixels(),
                  isHard));
        }
      }
      WeightedSample sample = own.build();
      if (sample.size() > 0) {
        widths.add(sample.median() * figure.factor(), places[m].length);
        double mean = (dark.colour().chroma() + light.colour().chroma()) / 2;
        if (mean > HAS_HUE) {
          strips.add(strip / stripCount / mean, places[m].length);
        }
      }
    }
    findings.put(ShadeMeasures.EDGE, widths.build(), Reason.TOO_LITTLE);
    findings.put(ShadeMeasures.RIM, strips.build(), Reason.NO_HUE);
    findings.put(ShadeMeasures.HARD, hard, Reason.TOO_LITTLE);
  }

  /** Shadow pixels that touch the light of their own local colour, by local colour. */
  private int[][] borderPixels(@Nullable ValueLevels[] levels) {
    int[] counts = new int[levels.length];
    int[] all = new int[1024];
    int n = 0;
    for (int i = width; i < tones.length - width; i++) {
      // Toward paper a shadow's blended rim passes the light's value: that is no border.
      if (tones[i] == Tone.SHADOW.ordinal() && depth[i] > DEPTH && touchesLight(i)) {
        if (n == all.length) {
          all = Arrays.copyOf(all, 2 * n);
        }
        all[n++] = i;
        counts[materials.at(i)]++;
      }
    }
    int[][] places = new int[levels.length][];
    for (int m = 0; m < levels.length; m++) {
      places[m] = new int[counts[m]];
    }
    int[] next = new int[levels.length];
    for (int k = 0; k < n; k++) {
      int m = materials.at(all[k]);
      places[m][next[m]++] = all[k];
    }
    return places;
  }

  private boolean touchesLight(int i) {
    int here = materials.at(i);
    for (int neighbour : new int[] {i - 1, i + 1, i - width, i + width}) {
      if (materials.at(neighbour) == here
          && (tones[neighbour] == Tone.BASE.ordinal()
              || tones[neighbour] == Tone.HIGHLIGHT.ordinal())) {
        return true;
      }
    }
    return false;
  }

  /** Fine detail: how far a pixel lies off the mean of its neighbours, away from every border. */
  private void texture(@Nullable ValueLevels[] levels, Findings findings) {
    double[][] sums = new double[Tone.values().length][Tiles.COUNT];
    double[][] counts = new double[Tone.values().length][Tiles.COUNT];
    for (int y = 2; y < height - 2; y++) {
      for (int x = 2; x < width - 2; x++) {
        int i = y * width + x;
        int tone = tones[i];
        boolean inside =
            tone != Tone.NONE.ordinal()
                && tones[i - 2] == tone
                && tones[i + 2] == tone
                && tones[i - 2 * width] == tone
                && tones[i + 2 * width] == tone;
        if (inside && levels[materials.at(i)] != null) {
          double around =
              (colours.lightness(i - 1)
                      + colours.lightness(i + 1)
                      + colours.lightness(i - width)
                      + colours.lightness(i + width))
                  / 4;
          int tile = tiles.at(x, y);
          sums[tone][tile] += Math.abs(colours.lightness(i) - around);
          counts[tone][tile]++;
        }
      }
    }
    int[] all = IntStream.range(0, Tiles.COUNT).toArray();
    double share = inShadow(sums, counts, all);
    if (Double.isFinite(share)) {
      findings.put(
          ShadeMeasures.TEXTURE,
          share,
          Bootstrap.error(Tiles.COUNT, drawn -> inShadow(sums, counts, drawn)));
    } else {
      findings.absent(ShadeMeasures.TEXTURE, Reason.TOO_LITTLE);
    }
  }

  /** Detail of the shadow over that of shadow and light; NaN where there is next to none. */
  private static double inShadow(double[][] sums, double[][] counts, int[] tiles) {
    double lit = mean(sums, counts, Tone.BASE, tiles);
    double dark = mean(sums, counts, Tone.SHADOW, tiles);
    return lit + dark > LEAST_DETAIL && dark >= 0 ? dark / (lit + dark) : Double.NaN;
  }

  private static double mean(double[][] sums, double[][] counts, Tone tone, int[] tiles) {
    double sum = 0;
    double count = 0;
    for (int tile : tiles) {
      sum += sums[tone.ordinal()][tile];
      count += counts[tone.ordinal()][tile];
    }
    if (count == 0) {
      return tone == Tone.SHADOW ? Double.NaN : 0;
    }
    return sum / count;
  }
}
