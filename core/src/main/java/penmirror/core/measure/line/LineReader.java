package penmirror.core.measure.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Morphology;
import penmirror.core.raster.Picture;
import penmirror.core.raster.Plane;
import penmirror.core.statistics.WeightedSample;

/**
 * Finds the drawn lines of a picture and reads their width.
 *
 * <p>A line is darker than both of its sides and narrow. A greyscale closing fills such valleys, so
 * closing less picture is darkness relative to both sides; pixels above half of their local peak
 * are ink. The ink is thinned to paths, and along each path the picture itself is sampled square to
 * the line: the width lies between the two places where the darkness is half way from the line's
 * core to the plateau on that side, each side for itself, so that a line between two fills reads
 * right. Positions are read on the encoded values, since that is where rasterisers blend edges.
 *
 * <p>Median error at most 0.07 px for lines of 2 px and more on drawings with a stated stroke width
 * (docs/measures.md). Thinner lines read too wide and count as hairlines. Light lines on dark are
 * not read; lines wider than a fifth of the picture are shapes.
 */
public final class LineReader {

  /**
   * Half of the widest line that is looked for, as shares of the longer side, smallest first. The
   * first that finds nearly all of the line length is taken: a wider search takes shapes for lines.
   */
  private static final double[] RADIUS_SHARES = {0.006, 0.012, 0.025, 0.05, 0.1};

  private static final double ENOUGH_OF_LONGEST = 0.85;

  /** A wider search that finds less than this times the length before ends the searching. */
  private static final double STILL_GROWING = 1.1;

  /** The search for wide lines runs on a copy of at most about this many pixels. */
  private static final int COARSE_PIXELS = 250_000;

  /** The search for thin lines, which a smaller copy would lose. */
  private static final int FINE_PIXELS = 1_200_000;

  /** Radii up to this share are sought on the fine copy. */
  private static final double FINE_UP_TO = 0.006;

  /** Least darkness against both sides, on encoded luma. */
  private static final float LEAST_CONTRAST = 0.035f;

  /** Less line than this share of the longer side is a speck and not a drawn line. */
  private static final double LEAST_LENGTH_SHARE = 0.15;

  /**
   * A line this wide is read well within a hundredth, so pictures with wider lines are read on a
   * smaller copy. Raising it costs time and wins nothing that a hand could draw.
   */
  private static final double ENOUGH_WIDTH_PIXELS = 6;

  /** The thinnest tenth must keep this width on the smaller copy. */
  private static final double ENOUGH_THIN_PIXELS = 3;

  /** Lines of a picture, or empty when it has none. The picture is not modified. */
  public Optional<DrawnLines> read(Picture picture) {
    Optional<Search> found = search(picture);
    if (found.isEmpty()) {
      return Optional.empty();
    }
    Search search = found.get();
    int shrink =
        (int)
            Math.max(
                1,
                Math.min(
                    search.widthPixels() / ENOUGH_WIDTH_PIXELS,
                    search.thinPixels() / ENOUGH_THIN_PIXELS));
    Picture working = picture.shrunk(shrink);
    int radius = Math.max(2, (int) Math.round(search.radiusPixels() / shrink));
    List<Stroke> strokes = strokes(luma(working), radius);
    double length = length(strokes);
    if (length < LEAST_LENGTH_SHARE * Math.max(working.widthPixels(), working.heightPixels())) {
      return Optional.empty();
    }
    return Optional.of(
        new DrawnLines(working, shrink, strokes, LineFacts.clearWidths(strokes).quantile(0.5)));
  }

  /**
   * How wide to look, in pixels of the picture.
   *
   * @param radiusPixels half the widest line
   * @param widthPixels rough median width
   * @param thinPixels rough width that a tenth of the length lies below
   */
  private record Search(double radiusPixels, double widthPixels, double thinPixels) {}

  /** One try of the search. Lengths and radius in pixels of the picture. */
  private record Try(List<Stroke> strokes, int factor, int radius) {
    double length() {
      return factor * LineReader.length(strokes);
    }
  }

  /** Empty when no radius finds lines. */
  private static Optional<Search> search(Picture picture) {
    int fineFactor = factor(picture, FINE_PIXELS);
    int coarseFactor = factor(picture, COARSE_PIXELS);
    Plane fine = luma(picture.shrunk(fineFactor));
    Plane coarse = coarseFactor == fineFactor ? fine : luma(picture.shrunk(coarseFactor));
    int longer = Math.max(picture.widthPixels(), picture.heightPixels());
    List<Try> tries = new ArrayList<>();
    double longest = 0;
    for (double share : RADIUS_SHARES) {
      int factor = share <= FINE_UP_TO ? fineFactor : coarseFactor;
      int radius = Math.max(2, (int) Math.round(share * longer / factor));
      Try last = tries.isEmpty() ? null : tries.get(tries.size() - 1);
      if (last != null && last.radius * last.factor >= radius * factor) {
        continue; // As wide has been tried.
      }
      tries.add(new Try(strokes(factor == fineFactor ? fine : coarse, radius), factor, radius));
      Try here = tries.get(tries.size() - 1);
      boolean grown = last == null || here.length() > STILL_GROWING * last.length();
      longest = Math.max(longest, here.length());
      if (longest > 0 && !grown) {
        break;
      }
    }
    if (longest == 0) {
      return Optional.empty();
    }
    int chosen = 0;
    while (tries.get(chosen).length() < ENOUGH_OF_LONGEST * longest) {
      chosen++;
    }
    Try best = tries.get(chosen);
    WeightedSample widths = LineFacts.clearWidths(best.strokes);
    // Room beyond the thickest lines, so that their own junctions still fill.
    double wanted = 0.9 * widths.quantile(0.95);
    double radius = Math.max(best.radius * 0.6, Math.min(best.radius * 1.5, wanted));
    return Optional.of(
        new Search(
            best.factor * radius,
            best.factor * widths.quantile(0.5),
            best.factor * widths.quantile(0.1)));
  }

  private static int factor(Picture picture, int pixels) {
    return (int) Math.ceil(Math.sqrt(picture.pixelCount() / (double) pixels));
  }

  private static double length(List<Stroke> strokes) {
    return strokes.stream().mapToDouble(Stroke::clearLength).sum();
  }

  private static List<Stroke> strokes(Plane luma, int radius) {
    return StrokeTracer.trace(luma, ink(luma, radius), radius);
  }

  private static Mask ink(Plane luma, int radius) {
    int width = luma.width();
    int height = luma.height();
    float[] valley = Morphology.octagonClosing(luma, radius).values();
    float[] values = luma.values();
    for (int i = 0; i < valley.length; i++) {
      valley[i] -= values[i];
    }
    float[] peak = Morphology.squareMaximum(new Plane(width, height, valley), 3).values();
    boolean[] ink = new boolean[valley.length];
    for (int i = 0; i < ink.length; i++) {
      ink[i] = valley[i] > Math.max(LEAST_CONTRAST, 0.5f * peak[i]);
    }
    double speck = 0.004 * Math.max(width, height);
    return new Mask(width, height, ink).withoutSpecks((int) Math.max(9, speck * speck));
  }

  private static Plane luma(Picture picture) {
    float[] values = new float[picture.pixelCount()];
    int width = picture.widthPixels();
    IntStream.range(0, picture.heightPixels())
        .parallel()
        .forEach(
            y -> {
              for (int i = y * width; i < (y + 1) * width; i++) {
                values[i] = picture.luma(i);
              }
            });
    return new Plane(width, picture.heightPixels(), values);
  }
}
