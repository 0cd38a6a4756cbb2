package penmirror.core.scan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;

/**
 * The sheet of paper on a scan, where it shows against a darker lid.
 *
 * @param turnDegrees how far the sheet lies turned, clockwise as seen, (−20, 20)
 * @param corners upper left, upper right, lower right, lower left, in pixels of the scan
 */
public record Sheet(double turnDegrees, List<Point> corners) {
  /** Longer side of the copy that edges are sought on, pixels. */
  private static final int WORKING_SIDE = 1500;

  /** Paper must be lighter than what surrounds it by this much, encoded luma in [0, 1]. */
  private static final double LEAST_STEP = 0.15;

  /** Edges whose turns disagree by more than this, in degrees, are not one sheet's. */
  private static final double MOST_DISAGREEMENT = 0.6;

  private static final double STEEPEST = Math.tan(Math.toRadians(20));

  public Sheet {
    corners = List.copyOf(corners);
  }

  /**
   * Looks for the sheet from all four borders inward: the first step from dark to light in each row
   * and column, and a straight line through them that lets outliers go.
   *
   * @return empty if the paper fills the scan, or if its edges are not straight
   */
  public static Optional<Sheet> find(Picture scan) {
    int factor = Math.max(1, Math.max(scan.widthPixels(), scan.heightPixels()) / WORKING_SIDE);
    return new Finder(scan.shrunk(factor), factor).find();
  }

  /** One edge: across = offset + slope · along. */
  private record Edge(double offset, double slope) {}

  private static final class Finder {
    private final Picture small;
    private final int factor;
    private final int width;
    private final int height;

    Finder(Picture small, int factor) {
      this.small = small;
      this.factor = factor;
      width = small.widthPixels();
      height = small.heightPixels();
    }

    Optional<Sheet> find() {
      double lid = borderLuma();
      double paper = bright();
      if (paper - lid < LEAST_STEP) {
        return Optional.empty();
      }
      double level = (lid + paper) / 2;
      Optional<Edge> left = edge(true, false, level);
      Optional<Edge> right = edge(true, true, level);
      Optional<Edge> top = edge(false, false, level);
      Optional<Edge> bottom = edge(false, true, level);
      if (left.isEmpty() || right.isEmpty() || top.isEmpty() || bottom.isEmpty()) {
        return Optional.empty();
      }
      double[] turns = {
        Math.toDegrees(Math.atan(top.get().slope())),
        Math.toDegrees(Math.atan(bottom.get().slope())),
        -Math.toDegrees(Math.atan(left.get().slope())),
        -Math.toDegrees(Math.atan(right.get().slope()))
      };
      double[] sorted = turns.clone();
      Arrays.sort(sorted);
      if (sorted[3] - sorted[0] > MOST_DISAGREEMENT) {
        return Optional.empty();
      }
      return Optional.of(
          new Sheet(
              (sorted[1] + sorted[2]) / 2,
              List.of(
                  meeting(left.get(), top.get()),
                  meeting(right.get(), top.get()),
                  meeting(right.get(), bottom.get()),
                  meeting(left.get(), bottom.get()))));
    }

    /** Where x = a + b·y meets y = c + d·x, in pixels of the whole scan. */
    private Point meeting(Edge upright, Edge level) {
      double x =
          (upright.offset() + upright.slope() * level.offset())
              / (1 - upright.slope() * level.slope());
      double y = level.offset() + level.slope() * x;
      return new Point(x * factor, y * factor);
    }

    private Optional<Edge> edge(boolean upright, boolean fromFarSide, double level) {
      int rows = upright ? height : width;
      int across = upright ? width : height;
      List<double[]> steps = new ArrayList<>();
      for (int along = rows / 12; along < rows - rows / 12; along++) {
        double at = firstStep(upright, fromFarSide, along, across, level);
        if (!Double.isNaN(at)) {
          steps.add(new double[] {along + 0.5, at});
        }
      }
      return steps.size() < rows / 3 ? Optional.empty() : line(steps);
    }

    /** Where the first lasting step from dark to light lies, between pixels; NaN for none. */
    private double firstStep(
        boolean upright, boolean fromFarSide, int along, int across, double level) {
      for (int k = 1; k < across / 3; k++) {
        double before = luma(upright, fromFarSide ? across - k : k - 1, along);
        double after = luma(upright, fromFarSide ? across - 1 - k : k, along);
        if (before < level
            && after >= level
            && luma(upright, fromFarSide ? across - 3 - k : k + 2, along) >= level) {
          double share = (level - before) / (after - before);
          double at = k - 0.5 + share;
          return fromFarSide ? across - at : at;
        }
      }
      return Double.NaN;
    }

    private double luma(boolean upright, int across, int along) {
      int x = upright ? across : along;
      int y = upright ? along : across;
      return luma(small.rgb(y * width + x));
    }

    private static double luma(int rgb) {
      return (0.299 * ((rgb >> 16) & 255) + 0.587 * ((rgb >> 8) & 255) + 0.114 * (rgb & 255)) / 255;
    }

    /** Least squares, four times over, each time without what lies off by two deviations. */
    private static Optional<Edge> line(List<double[]> steps) {
      List<double[]> kept = steps;
      double offset = 0;
      double slope = 0;
      for (int pass = 0; pass < 4; pass++) {
        double n = kept.size();
        double meanX = kept.stream().mapToDouble(p -> p[0]).sum() / n;
        double meanY = kept.stream().mapToDouble(p -> p[1]).sum() / n;
        double xx = 0;
        double xy = 0;
        for (double[] p : kept) {
          xx += (p[0] - meanX) * (p[0] - meanX);
          xy += (p[0] - meanX) * (p[1] - meanY);
        }
        slope = xy / xx;
        offset = meanY - slope * meanX;
        double square = 0;
        for (double[] p : kept) {
          square += Math.pow(p[1] - offset - slope * p[0], 2);
        }
        double limit = Math.max(0.5, 2 * Math.sqrt(square / n));
        double a = offset;
        double b = slope;
        List<double[]> near =
            kept.stream().filter(p -> Math.abs(p[1] - a - b * p[0]) <= limit).toList();
        if (near.size() < steps.size() / 3) {
          return Optional.empty();
        }
        kept = near;
      }
      return Math.abs(slope) > STEEPEST ? Optional.empty() : Optional.of(new Edge(offset, slope));
    }

    private double borderLuma() {
      double[] border = new double[2 * (width + height)];
      int n = 0;
      for (int x = 0; x < width; x++) {
        border[n++] = luma(small.rgb(x));
        border[n++] = luma(small.rgb((height - 1) * width + x));
      }
      for (int y = 0; y < height; y++) {
        border[n++] = luma(small.rgb(y * width));
        border[n++] = luma(small.rgb(y * width + width - 1));
      }
      Arrays.sort(border);
      return border[border.length / 2];
    }

    /** Nine tenths of the scan are darker than this. */
    private double bright() {
      int[] counts = new int[256];
      for (int i = 0; i < small.pixelCount(); i++) {
        counts[(int) (luma(small.rgb(i)) * 255)]++;
      }
      int left = small.pixelCount() / 10;
      int level = 255;
      while (level > 0 && left > counts[level]) {
        left -= counts[level--];
      }
      return level / 255.0;
    }
  }
}
