package penmirror.core.mixing;

import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import penmirror.core.colour.EncodedSrgb;

/**
 * Which colour a layer has to have so that what lies under it is seen as another.
 *
 * @param nearest the layer's colour, in 8-bit steps, that comes nearest in every channel
 * @param seen what that gives
 * @param reached whether no channel is off by more than one 8-bit step
 * @param leastOpacityPercent the least whole percentage at which the mode reaches the target, [1,
 *     100]; empty where it never does
 */
public record LayerAnswer(
    BlendMode mode,
    EncodedSrgb nearest,
    EncodedSrgb seen,
    boolean reached,
    OptionalInt leastOpacityPercent) {
  private static final double STEP = 1.0 / 255;

  /** Rounding alone must not call a step of one a step of two. */
  private static final double ROUNDING = 1e-9;

  /** What the user picks; empty where the mode cannot give it at this opacity. */
  public Optional<EncodedSrgb> colour() {
    return reached ? Optional.of(nearest) : Optional.empty();
  }

  /**
   * @param base what lies under the layer, opaque
   * @param target as it shall be seen
   * @param opacity of the layer, [0, 1]
   */
  public static LayerAnswer of(
      BlendMode mode, EncodedSrgb base, EncodedSrgb target, double opacity) {
    EncodedSrgb nearest = nearest(mode, base, target, opacity);
    EncodedSrgb seen = mode.over(base, nearest, opacity);
    boolean reached = isSame(seen, target);
    return new LayerAnswer(mode, nearest, seen, reached, least(mode, base, target));
  }

  /**
   * The first that does. From there on higher ones do too, but where a mode is so steep that the
   * target falls between two 8-bit steps of its layer.
   */
  private static OptionalInt least(BlendMode mode, EncodedSrgb base, EncodedSrgb target) {
    return IntStream.rangeClosed(1, 100).filter(at -> reaches(mode, base, target, at)).findFirst();
  }

  private static boolean reaches(
      BlendMode mode, EncodedSrgb base, EncodedSrgb target, int percent) {
    double opacity = percent / 100.0;
    EncodedSrgb dark = mode.over(base, new EncodedSrgb(0, 0, 0), opacity);
    EncodedSrgb light = mode.over(base, new EncodedSrgb(1, 1, 1), opacity);
    // Mostly the ends tell, without all the steps between them.
    if (!isWithin(dark.red(), target.red(), light.red())
        || !isWithin(dark.green(), target.green(), light.green())
        || !isWithin(dark.blue(), target.blue(), light.blue())) {
      return false;
    }
    return isSame(mode.over(base, nearest(mode, base, target, opacity), opacity), target);
  }

  private static EncodedSrgb nearest(
      BlendMode mode, EncodedSrgb base, EncodedSrgb target, double opacity) {
    return new EncodedSrgb(
        nearest(mode, base.red(), target.red(), opacity),
        nearest(mode, base.green(), target.green(), opacity),
        nearest(mode, base.blue(), target.blue(), opacity));
  }

  /**
   * All 256 are tried: the formulas need no turning round, and what a picker can hold is what
   * counts. Of equals the middle one, farthest from where the mode stops giving it.
   */
  private static double nearest(BlendMode mode, double base, double target, double opacity) {
    double least = Double.POSITIVE_INFINITY;
    double first = 0;
    double last = 0;
    for (int step = 0; step <= 255; step++) {
      double off = Math.abs(mode.mixed(base, step / 255.0, opacity) - target);
      if (off < least - ROUNDING) {
        least = off;
        first = step;
        last = step;
      } else if (off <= least + ROUNDING) {
        last = step;
      }
    }
    return Math.floor((first + last) / 2) / 255;
  }

  private static boolean isWithin(double dark, double target, double light) {
    return target >= dark - STEP - ROUNDING && target <= light + STEP + ROUNDING;
  }

  private static boolean isSame(EncodedSrgb seen, EncodedSrgb target) {
    return isSame(seen.red(), target.red())
        && isSame(seen.green(), target.green())
        && isSame(seen.blue(), target.blue());
  }

  private static boolean isSame(double seen, double target) {
    return Math.abs(seen - target) <= STEP + ROUNDING;
  }
}
