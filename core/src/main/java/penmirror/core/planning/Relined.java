package penmirror.core.planning;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.Measure;
import penmirror.core.measure.line.DrawnLines;
import penmirror.core.measure.line.LineFacts;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.line.Stroke;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelEvidence;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.RuleScore;

/**
 * A drawing whose lines are as thick as they are wanted. Each traced line is laid anew along its
 * middle in its own colour; where it becomes thinner, what lies beside it comes nearer. Swelling,
 * tapers and gaps stay, as every point is changed by the same factor; solid blacks and what was not
 * told as line stay as they are drawn.
 */
public final class Relined {
  /** Beyond its half width a line still colours this many pixels, as edges are drawn smooth. */
  private static final double FRINGE = 1.2;

  /** Points this near to each other leave no notch in a line laid along them, pixels. */
  private static final double STEP = 0.5;

  /** Points to either side, over which widths are evened out. */
  private static final int SMOOTH_WIDTHS = 6;

  /** A line that is outline here and there becomes no string of beads. */
  private static final int SMOOTH_FACTORS = 25;

  /** What lies this far from the line's own lightness is something else, OKLab. */
  private static final double OTHER_INK = 0.1;

  private final DrawnLines lines;
  private final OkLab ink;
  private final Picture picture;
  private final int width;
  private final int height;

  /** Of the nearest line, how far the pixel lies beyond its old edge. */
  private final float[] beyond;

  private final float[] distances;
  private final float[] halves;
  private final float[] newHalves;
  private final int[] inks;
  private final int[] grounds;

  private Relined(DrawnLines lines, Picture picture) {
    this.lines = lines;
    ink = LineFacts.colour(lines);
    this.picture = picture;
    width = picture.widthPixels();
    height = picture.heightPixels();
    beyond = new float[picture.pixelCount()];
    Arrays.fill(beyond, Float.MAX_VALUE);
    distances = new float[beyond.length];
    halves = new float[beyond.length];
    newHalves = new float[beyond.length];
    inks = new int[beyond.length];
    grounds = new int[beyond.length];
  }

  /**
   * How many times as thick lines become.
   *
   * @param outline of those between the figure and what is around it, above 0
   * @param inner of all others, above 0
   */
  public record Brushes(double outline, double inner) {
    public static final Brushes AS_DRAWN = new Brushes(1, 1);

    /** What fixes ask for; what has no width to begin with stays. */
    public static Brushes wantedBy(List<Fix> fixes) {
      double all =
          factor(fixes, LineMeasures.WIDTH)
              .or(() -> factor(fixes, LineMeasures.WIDTH_BY_FIGURE))
              .orElse(1.0);
      Optional<Double> apart = factor(fixes, LineMeasures.OUTLINE_INNER);
      if (apart.isEmpty()) {
        return new Brushes(all, all);
      }
      // How heavy the line is lies midway between both; a fix of the outline alone is about it.
      double root = Math.sqrt(apart.get());
      return all == 1 ? new Brushes(apart.get(), 1) : new Brushes(all * root, all / root);
    }

    private static Optional<Double> factor(List<Fix> fixes, Measure measure) {
      return fixes.stream()
          .flatMap(fix -> fix.measured().stream())
          .map(Fix.Change.Measured::score)
          .filter(score -> score.rule().measure() == measure)
          .flatMap(score -> factor(score).stream())
          .findFirst();
    }

    private static Optional<Double> factor(RuleScore score) {
      return score
          .reading()
          .filter(reading -> reading.value() > 0 && score.rule().centre() > 0)
          .map(reading -> score.rule().centre() / reading.value());
    }
  }

  /**
   * @param seen the drawing with what was told of it
   * @param picture the same, or the same with other colours; not modified
   * @return the picture itself where nothing is to change
   */
  public static Picture of(PixelEvidence seen, Picture picture, Brushes brushes) {
    if (seen.lines().isEmpty() || brushes.equals(Brushes.AS_DRAWN)) {
      return picture;
    }
    DrawnLines lines = seen.lines().get();
    boolean[][] outline = LineFacts.outline(lines, seen.figure());
    Relined relined = new Relined(lines, picture);
    for (int s = 0; s < lines.strokes().size(); s++) {
      relined.lay(lines.strokes().get(s), outline[s], brushes);
    }
    return relined.drawn();
  }

  private void lay(Stroke stroke, boolean[] outline, Brushes brushes) {
    Optional<int[]> inks = inks(stroke);
    if (inks.isEmpty()) {
      return;
    }
    double[] widths = smooth(clearWidths(stroke), SMOOTH_WIDTHS);
    double[] factors = new double[stroke.size()];
    for (int i = 0; i < factors.length; i++) {
      factors[i] = outline[i] ? brushes.outline() : brushes.inner();
    }
    factors = smooth(factors, SMOOTH_FACTORS);
    for (int i = 0; i < stroke.size(); i++) {
      int next = Math.min(i + 1, stroke.size() - 1);
      int steps = next == i ? 1 : Math.max(1, (int) Math.ceil(lines.factor() / STEP));
      for (int step = 0; step < steps; step++) {
        double share = (double) step / steps;
        double half = lines.factor() * between(widths, i, next, share) / 2;
        disc(
            lines.toPicture(between(stroke.xs(), i, next, share)),
            lines.toPicture(between(stroke.ys(), i, next, share)),
            half,
            between(factors, i, next, share) * half,
            inks.get()[i]);
      }
    }
  }

  /**
   * The line's colour at each point; where it is too thin to show it, that of the point before.
   * Empty for what is no line but the border of a shadow that was traced as one.
   */
  private Optional<int[]> inks(Stroke stroke) {
    int[] inks = new int[stroke.size()];
    int first = -1;
    int count = 0;
    for (int i = 0; i < inks.length; i++) {
      int rgb = rgb(lines.toPicture(stroke.xs()[i]), lines.toPicture(stroke.ys()[i]));
      boolean isInk =
          Math.abs(OkLab.from(EncodedSrgb.fromRgb(rgb)).lightness() - ink.lightness()) < OTHER_INK;
      inks[i] = isInk || first < 0 ? rgb : inks[i - 1];
      if (isInk && first < 0) {
        first = i;
      }
      count += isInk ? 1 : 0;
    }
    if (2 * count < inks.length || first < 0) {
      return Optional.empty();
    }
    Arrays.fill(inks, 0, first, inks[first]);
    return Optional.of(inks);
  }

  private static double between(double[] of, int i, int next, double share) {
    return of[i] + share * (of[next] - of[i]);
  }

  /**
   * Where lines meet they read wider than they are: there each has the width between those beside
   * it. One that meets others all along is as wide as it reads, and no wider than most lines are.
   */
  private double[] clearWidths(Stroke stroke) {
    double usual = Math.min(lines.medianWidth(), orUsual(stroke.medianWidth()));
    double[] widths = new double[stroke.size()];
    int last = -1;
    for (int i = 0; i < widths.length; i++) {
      if (!stroke.isClear(i)) {
        continue;
      }
      widths[i] = stroke.widths()[i];
      for (int j = last + 1; j < i; j++) {
        widths[j] =
            last < 0 ? widths[i] : between(widths, last, i, (j - last) / (double) (i - last));
      }
      last = i;
    }
    Arrays.fill(widths, last + 1, widths.length, last < 0 ? usual : widths[last]);
    return widths;
  }

  private double orUsual(double width) {
    return Double.isNaN(width) ? lines.medianWidth() : width;
  }

  /** The mean over a few points to both sides; a hand does not change its width by the pixel. */
  private static double[] smooth(double[] of, int reach) {
    double[] smooth = new double[of.length];
    for (int i = 0; i < of.length; i++) {
      int from = Math.max(0, i - reach);
      int to = Math.min(of.length - 1, i + reach);
      smooth[i] = Arrays.stream(of, from, to + 1).average().orElse(of[i]);
    }
    return smooth;
  }

  private void disc(double x, double y, double half, double newHalf, int colour) {
    double reach = Math.max(half, newHalf) + FRINGE + 1;
    int toY = Math.min(height - 1, (int) Math.floor(y + reach));
    int toX = Math.min(width - 1, (int) Math.floor(x + reach));
    for (int py = Math.max(0, (int) Math.ceil(y - reach)); py <= toY; py++) {
      for (int px = Math.max(0, (int) Math.ceil(x - reach)); px <= toX; px++) {
        double away = Math.hypot(px - x, py - y);
        int at = py * width + px;
        if (away <= reach && away - half < beyond[at]) {
          beyond[at] = (float) (away - half);
          distances[at] = (float) away;
          halves[at] = (float) half;
          newHalves[at] = (float) newHalf;
          inks[at] = colour;
          grounds[at] = ground(px, py, x, y, away, half);
        }
      }
    }
  }

  /** What lies beyond the line on this side, in the picture as it is. */
  private int ground(int px, int py, double x, double y, double away, double half) {
    double clear = half + FRINGE;
    if (away >= clear || away == 0) {
      return picture.rgb(py * width + px);
    }
    double out = (clear + 0.5) / away;
    return rgb(x + (px - x) * out, y + (py - y) * out);
  }

  private int rgb(double x, double y) {
    int column = (int) Math.max(0, Math.min(width - 1, Math.round(x)));
    int row = (int) Math.max(0, Math.min(height - 1, Math.round(y)));
    return picture.rgb(row * width + column);
  }

  private Picture drawn() {
    int[] laid = new int[picture.pixelCount()];
    for (int i = 0; i < laid.length; i++) {
      int rgb = picture.rgb(i);
      boolean stays = beyond[i] == Float.MAX_VALUE || Math.abs(newHalves[i] - halves[i]) < 0.05;
      laid[i] = stays ? rgb : mixed(grounds[i], inks[i], covered(i));
    }
    Picture relined = Picture.of(width, height, laid);
    return picture.hasTransparency() ? relined.withCoverage(Retoned.coverage(picture)) : relined;
  }

  private double covered(int i) {
    return Math.max(0, Math.min(1, newHalves[i] - distances[i] + 0.5));
  }

  private static int mixed(int ground, int ink, double share) {
    int mixed = 0;
    for (int shift = 0; shift <= 16; shift += 8) {
      int from = ground >> shift & 255;
      int to = ink >> shift & 255;
      mixed |= (int) Math.round(from + share * (to - from)) << shift;
    }
    return mixed;
  }
}
