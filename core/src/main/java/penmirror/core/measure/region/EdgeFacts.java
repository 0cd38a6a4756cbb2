package penmirror.core.measure.region;

import java.util.List;
import java.util.Map;
import penmirror.core.measure.Findings;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.raster.Blur;
import penmirror.core.raster.Distance;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Plane;
import penmirror.core.statistics.WeightedSample;

/** Fills {@link EdgeMeasures}. */
final class EdgeFacts {
  private static final double SOFT_BELOW = 0.07;
  private static final double MIDDLE_BELOW = 0.2;
  private static final double UNIT_PARTS = 350;

  private EdgeFacts() {}

  static void find(FlatPicture flats, Findings findings) {
    WeightedSample.Builder builder = WeightedSample.builder();
    double soft = 0;
    double middle = 0;
    double all = 0;
    for (Map.Entry<Long, int[]> contact : flats.contacts().entrySet()) {
      double step = flats.step((int) (contact.getKey() >> 32), contact.getKey().intValue());
      int length = contact.getValue()[0];
      builder.add(step, length);
      all += length;
      soft += step < SOFT_BELOW ? length : 0;
      middle += step >= SOFT_BELOW && step < MIDDLE_BELOW ? length : 0;
    }
    WeightedSample steps = builder.build();
    if (steps.size() == 0) {
      findings.absent(
          List.of(EdgeMeasures.WEAK, EdgeMeasures.MEDIAN, EdgeMeasures.SOFT, EdgeMeasures.MIDDLE),
          Reason.TOO_LITTLE);
    } else {
      findings.put(EdgeMeasures.WEAK, steps.quantile(0.1), steps.quantileError(0.1));
      findings.put(EdgeMeasures.MEDIAN, steps.median(), steps.medianError());
      findings.put(EdgeMeasures.SOFT, soft / all);
      findings.put(EdgeMeasures.MIDDLE, middle / all);
    }
    float[] depth = Distance.toOutside(flats.figure()).values();
    rim(flats, depth, findings);
    flat(flats, findings);
    bands(flats, findings);
    level(flats, depth, findings);
  }

  private static void rim(FlatPicture flats, float[] depth, Findings findings) {
    double sum = 0;
    int count = 0;
    for (int i = 0; i < depth.length; i++) {
      if (depth[i] >= 1.5 && depth[i] <= 3.5) {
        sum += flats.colours().lightness(i);
        count++;
      }
    }
    if (count > 0) {
      findings.put(EdgeMeasures.RIM, sum / count);
    } else {
      findings.absent(EdgeMeasures.RIM, Reason.TOO_LITTLE);
    }
  }

  private static void flat(FlatPicture flats, Findings findings) {
    int count = 0;
    for (boolean flat : flats.palette().flat()) {
      count += flat ? 1 : 0;
    }
    findings.put(EdgeMeasures.FLAT, count / (double) flats.figureArea());
  }

  /** Energy of the differences between more and more blurred copies, inside the figure. */
  private static void bands(FlatPicture flats, Findings findings) {
    Mask figure = flats.figure();
    double mean = 0;
    for (int i = 0; i < figure.values().length; i++) {
      mean += figure.values()[i] ? flats.colours().lightness(i) : 0;
    }
    mean /= flats.figureArea();
    int[] box = flats.box();
    // Only around the figure: what lies beyond has no variation.
    int pad = (int) Math.ceil(3 * 16 * flats.unit() / UNIT_PARTS);
    int left = Math.max(0, box[0] - pad);
    int top = Math.max(0, box[1] - pad);
    int width = Math.min(flats.width(), box[2] + pad) - left;
    int height = Math.min(flats.height(), box[3] + pad) - top;
    float[] values = new float[width * height];
    boolean[] inside = new boolean[width * height];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int from = (y + top) * flats.width() + x + left;
        inside[y * width + x] = figure.values()[from];
        values[y * width + x] =
            inside[y * width + x] ? flats.colours().lightness(from) : (float) mean;
      }
    }
    double[] energies = new double[5];
    double total = 0;
    Plane before = new Plane(width, height, values);
    double blurred = 0;
    for (int band = 0; band < energies.length; band++) {
      double sigma = Math.max(0.4, (1 << band) * flats.unit() / UNIT_PARTS);
      // Blurring on from the last copy needs only what is missing to the wider blur.
      Plane next = Blur.gaussian(before, Math.sqrt(Math.max(0.09, sigma * sigma - blurred)));
      blurred = sigma * sigma;
      for (int i = 0; i < inside.length; i++) {
        if (inside[i]) {
          double difference = before.values()[i] - next.values()[i];
          energies[band] += difference * difference;
        }
      }
      total += energies[band];
      before = next;
    }
    if (energies[1] > 0 && energies[2] > 0) {
      findings.put(EdgeMeasures.FINE, Math.log(energies[1] / total));
      findings.put(EdgeMeasures.COARSE, Math.log(energies[2] / total));
    } else {
      findings.absent(List.of(EdgeMeasures.FINE, EdgeMeasures.COARSE), Reason.TOO_LITTLE);
    }
  }

  private static void level(FlatPicture flats, float[] depth, Findings findings) {
    int width = flats.width();
    double all = 0;
    double level = 0;
    double steepest = Math.tan(Math.toRadians(10));
    for (int y = 1; y < flats.height() - 1; y++) {
      for (int x = 1; x < width - 1; x++) {
        int i = y * width + x;
        if (depth[i] <= 2.5) {
          continue;
        }
        double gx =
            light(flats, i + 1 - width)
                + 2 * light(flats, i + 1)
                + light(flats, i + 1 + width)
                - light(flats, i - 1 - width)
                - 2 * light(flats, i - 1)
                - light(flats, i - 1 + width);
        double gy =
            light(flats, i + width - 1)
                + 2 * light(flats, i + width)
                + light(flats, i + width + 1)
                - light(flats, i - width - 1)
                - 2 * light(flats, i - width)
                - light(flats, i - width + 1);
        double size = Math.hypot(gx, gy);
        all += size;
        level += Math.abs(gx) < steepest * Math.abs(gy) ? size : 0;
      }
    }
    if (all > 0) {
      findings.put(EdgeMeasures.LEVEL, level / all);
    } else {
      findings.absent(EdgeMeasures.LEVEL, Reason.TOO_LITTLE);
    }
  }

  private static double light(FlatPicture flats, int pixel) {
    return flats.colours().lightness(pixel);
  }
}
