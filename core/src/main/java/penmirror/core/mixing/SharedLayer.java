package penmirror.core.mixing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.Lab;

/**
 * The one layer over everything that brings several colours nearest to where each should be.
 *
 * @param opacity of the layer, (0, 1]
 * @param offs how far each colour stays off, in the order given, by CIEDE2000; 1 is about the
 *     smallest difference seen side by side
 * @param meanOff by the areas
 */
public record SharedLayer(
    BlendMode mode, EncodedSrgb colour, double opacity, List<Double> offs, double meanOff) {
  /** First strides of the search, in 8-bit steps; each next is half as long. */
  private static final int FIRST_STRIDE = 32;

  public SharedLayer {
    offs = List.copyOf(offs);
  }

  /**
   * One colour that has to change.
   *
   * @param area over 0, in whatever unit all are given in
   */
  public record Change(EncodedSrgb base, EncodedSrgb target, double area) {}

  /**
   * The best over all modes; where several are equally good, the first of the modes.
   *
   * @return empty for no changes
   */
  public static Optional<SharedLayer> of(List<Change> changes, double opacity) {
    if (changes.isEmpty()) {
      return Optional.empty();
    }
    List<SharedLayer> best = new ArrayList<>();
    for (BlendMode mode : BlendMode.values()) {
      best.add(of(mode, changes, opacity));
    }
    return best.stream().min(Comparator.comparingDouble(SharedLayer::meanOff));
  }

  /** The best colour in one mode, by strides along the channels from where each channel is best. */
  static SharedLayer of(BlendMode mode, List<Change> changes, double opacity) {
    int[] at = {
      channel(mode, changes, opacity, EncodedSrgb::red),
      channel(mode, changes, opacity, EncodedSrgb::green),
      channel(mode, changes, opacity, EncodedSrgb::blue)
    };
    double least = meanOff(mode, changes, opacity, colour(at));
    for (int stride = FIRST_STRIDE; stride >= 1; ) {
      boolean nearer = false;
      for (int channel = 0; channel < 3; channel++) {
        for (int way : new int[] {-stride, stride}) {
          int[] tried = at.clone();
          tried[channel] = Math.max(0, Math.min(255, tried[channel] + way));
          double off = meanOff(mode, changes, opacity, colour(tried));
          if (off < least) {
            least = off;
            at = tried;
            nearer = true;
          }
        }
      }
      if (!nearer) {
        stride /= 2;
      }
    }
    EncodedSrgb colour = colour(at);
    return new SharedLayer(
        mode,
        colour,
        opacity,
        changes.stream().map(change -> off(mode, change, opacity, colour)).toList(),
        least);
  }

  private static int channel(
      BlendMode mode, List<Change> changes, double opacity, ToDoubleFunction<EncodedSrgb> of) {
    double least = Double.POSITIVE_INFINITY;
    int best = 0;
    for (int step = 0; step <= 255; step++) {
      double sum = 0;
      for (Change change : changes) {
        double off =
            mode.mixed(of.applyAsDouble(change.base()), step / 255.0, opacity)
                - of.applyAsDouble(change.target());
        sum += change.area() * off * off;
      }
      if (sum < least) {
        least = sum;
        best = step;
      }
    }
    return best;
  }

  private static EncodedSrgb colour(int[] steps) {
    return new EncodedSrgb(steps[0] / 255.0, steps[1] / 255.0, steps[2] / 255.0);
  }

  private static double meanOff(
      BlendMode mode, List<Change> changes, double opacity, EncodedSrgb colour) {
    double sum = 0;
    double areas = 0;
    for (Change change : changes) {
      sum += change.area() * off(mode, change, opacity, colour);
      areas += change.area();
    }
    return sum / areas;
  }

  private static double off(BlendMode mode, Change change, double opacity, EncodedSrgb colour) {
    EncodedSrgb seen = mode.over(change.base(), colour, opacity);
    return Lab.from(seen).ciede2000(Lab.from(change.target()));
  }
}
