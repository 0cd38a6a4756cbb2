package penmirror.core.measure.shade;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import penmirror.core.measure.Findings;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.shade.ShadeFacts.Tone;
import penmirror.core.statistics.CircularSample;

/**
 * Where the light comes from: along the outline of every shaded local colour it is asked whether
 * the rim there is lit, and which direction explains that best.
 *
 * <p>A straight line is fitted by least squares to lit (1) and dark (0) over the outward direction
 * of the outline. So a long upright arm, whose rim looks sideways nearly everywhere, does not pull
 * the light to the side.
 */
final class LightDirection {
  /** Half of the window by which the outline's direction is told, pixels. */
  private static final int WINDOW = 4;

  /** How far inside the outline its tone is looked up, pixels. */
  private static final double INSIDE = 4;

  private static final int LEAST_POINTS = 24;

  /** Share of lit against dark that a direction must explain to be one. */
  private static final double LEAST_EXPLAINED = 0.02;

  private LightDirection() {}

  /** Sums of the fit of one local colour. */
  private static final class Fit {
    private double n;
    private double x;
    private double y;
    private double lit;
    private double xx;
    private double xy;
    private double yy;
    private double xLit;
    private double yLit;

    void add(double nx, double ny, double value) {
      n++;
      x += nx;
      y += ny;
      lit += value;
      xx += nx * nx;
      xy += nx * ny;
      yy += ny * ny;
      xLit += nx * value;
      yLit += ny * value;
    }

    /** Variances about the means of this local colour: xx, xy, yy, x·lit, y·lit, lit·lit. */
    double[] centred() {
      return new double[] {
        xx - x * x / n,
        xy - x * y / n,
        yy - y * y / n,
        xLit - x * lit / n,
        yLit - y * lit / n,
        lit - lit * lit / n
      };
    }
  }

  static void find(
      Materials materials,
      @Nullable ValueLevels[] levels,
      byte[] tones,
      int width,
      int height,
      Findings findings) {
    Fit[] fits = new Fit[levels.length];
    for (int y = WINDOW; y < height - WINDOW; y++) {
      for (int x = WINDOW; x < width - WINDOW; x++) {
        int i = y * width + x;
        int here = materials.at(i);
        ValueLevels of = here < 0 ? null : levels[here];
        if (of == null || of.base() == 0 || !isOutline(materials, i, width)) {
          continue;
        }
        double[] normal = outward(materials, x, y, width, here);
        double length = Math.hypot(normal[0], normal[1]);
        if (length == 0) {
          continue;
        }
        double nx = normal[0] / length;
        double ny = normal[1] / length;
        int ix = (int) Math.round(x - INSIDE * nx);
        int iy = (int) Math.round(y - INSIDE * ny);
        if (ix < 0 || iy < 0 || ix >= width || iy >= height) {
          continue;
        }
        int inner = iy * width + ix;
        if (materials.at(inner) == here && tones[inner] != Tone.NONE.ordinal()) {
          if (fits[here] == null) {
            fits[here] = new Fit();
          }
          fits[here].add(nx, ny, tones[inner] == Tone.SHADOW.ordinal() ? 0 : 1);
        }
      }
    }
    tell(fits, findings);
  }

  private static void tell(Fit[] fits, Findings findings) {
    double[] pooled = new double[6];
    List<double[]> directions = new ArrayList<>();
    for (Fit fit : fits) {
      if (fit == null || fit.n < LEAST_POINTS) {
        continue;
      }
      double[] own = fit.centred();
      for (int k = 0; k < pooled.length; k++) {
        pooled[k] += own[k];
      }
      double[] direction = solved(own);
      if (direction[2] > LEAST_EXPLAINED) {
        directions.add(new double[] {degrees(direction), fit.n * direction[2]});
      }
    }
    double[] light = solved(pooled);
    if (directions.isEmpty() || light[2] < LEAST_EXPLAINED) {
      findings.absent(
          List.of(ShadeMeasures.LIGHT_FROM, ShadeMeasures.LIGHT_SPREAD), Reason.TOO_LITTLE);
      return;
    }
    double[] angles = directions.stream().mapToDouble(d -> d[0]).toArray();
    double[] weights = directions.stream().mapToDouble(d -> d[1]).toArray();
    double spread = CircularSample.weighted(angles, weights).deviationDegrees();
    double from = degrees(light);
    // The parts are few and independent: what they differ by tells how sure their mean is.
    double error = Math.min(180, spread / Math.sqrt(directions.size()));
    findings.put(ShadeMeasures.LIGHT_FROM, from < 0 ? from + 360 : from, error);
    findings.put(ShadeMeasures.LIGHT_SPREAD, spread);
  }

  /** Slope right and down, and the share of lit against dark that it explains. */
  private static double[] solved(double[] sums) {
    double determinant = sums[0] * sums[2] - sums[1] * sums[1];
    if (determinant <= 1e-9 || sums[5] <= 1e-9) {
      return new double[] {0, 0, 0};
    }
    double sx = (sums[3] * sums[2] - sums[4] * sums[1]) / determinant;
    double sy = (sums[4] * sums[0] - sums[3] * sums[1]) / determinant;
    return new double[] {sx, sy, (sx * sums[3] + sy * sums[4]) / sums[5]};
  }

  /** Clockwise from straight above; y runs down. */
  private static double degrees(double[] direction) {
    return Math.toDegrees(Math.atan2(direction[0], -direction[1]));
  }

  private static boolean isOutline(Materials materials, int i, int width) {
    int here = materials.at(i);
    return materials.at(i - 1) != here
        || materials.at(i + 1) != here
        || materials.at(i - width) != here
        || materials.at(i + width) != here;
  }

  /** Toward what is not this local colour. */
  private static double[] outward(Materials materials, int x, int y, int width, int here) {
    double nx = 0;
    double ny = 0;
    for (int dy = -WINDOW; dy <= WINDOW; dy++) {
      for (int dx = -WINDOW; dx <= WINDOW; dx++) {
        if (dx * dx + dy * dy <= WINDOW * WINDOW
            && materials.at((y + dy) * width + x + dx) != here) {
          nx += dx;
          ny += dy;
        }
      }
    }
    return new double[] {nx, ny};
  }
}
