package penmirror.core.coverage;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Predicate;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;

/**
 * Which pictures to look at for a part, nearest to the case in hand first. What matters more weighs
 * more: the side above all, then whether it has to be mirrored, then the light, then how close the
 * picture comes (weights are our own choice).
 */
public final class PickFinder {
  /** Lights that differ by more than this do not belong side by side, degrees. */
  public static final int MOST_LIGHT_DEGREES = 30;

  private static final double OTHER_VIEW = 4;
  private static final double MIRRORED = 1;
  private static final double OPPOSITE_LIGHT = 2;
  private static final double UNKNOWN_LIGHT = 0.7;
  private static final double FRAMING_STEP = 0.5;

  /**
   * What is to be drawn, or what a picture shows.
   *
   * @param lightDegrees where the light comes from, clockwise from above
   */
  public record Case(
      View view, Optional<Turn> turn, OptionalInt lightDegrees, Optional<Framing> framing) {}

  /** A picture that could be looked at. */
  public record Candidate(long id, Case shown, boolean isAnchor) {}

  /**
   * @param mirrored whether a mirrored copy would fit better
   * @param lightDiffers whether its light, mirrored if so, is more than 30° off the case's
   */
  public record Pick(long id, double distance, boolean mirrored, boolean lightDiffers) {}

  private PickFinder() {}

  /** Candidates that show the part, nearest first. */
  public static List<Pick> nearest(
      Case inHand, List<Candidate> candidates, Predicate<Candidate> showsPart) {
    return candidates.stream()
        .filter(showsPart)
        .map(candidate -> pick(inHand, candidate))
        .sorted(Comparator.comparingDouble(Pick::distance).thenComparingLong(Pick::id))
        .toList();
  }

  private static Pick pick(Case inHand, Candidate candidate) {
    Case shown = candidate.shown();
    boolean mirrored = isOpposite(inHand.turn(), shown.turn());
    OptionalInt light =
        mirrored && shown.lightDegrees().isPresent()
            ? OptionalInt.of(Math.floorMod(-shown.lightDegrees().getAsInt(), 360))
            : shown.lightDegrees();
    double distance = shown.view() == inHand.view() ? 0 : OTHER_VIEW;
    distance += mirrored ? MIRRORED : 0;
    distance += lightDistance(inHand.lightDegrees(), light);
    distance += FRAMING_STEP * framingSteps(inHand.framing(), shown.framing());
    // The one picture chosen to lean on comes first among equals.
    distance -= candidate.isAnchor() ? 0.25 : 0;
    return new Pick(candidate.id(), distance, mirrored, lightDiffers(inHand.lightDegrees(), light));
  }

  private static boolean isOpposite(Optional<Turn> one, Optional<Turn> other) {
    return one.isPresent()
        && other.isPresent()
        && one.get() != Turn.AHEAD
        && other.get() != Turn.AHEAD
        && one.get() != other.get();
  }

  /** Whether two lights, both known, lie more than 30° apart. */
  public static boolean lightDiffers(OptionalInt one, OptionalInt other) {
    return one.isPresent()
        && other.isPresent()
        && apart(one.getAsInt(), other.getAsInt()) > MOST_LIGHT_DEGREES;
  }

  private static double lightDistance(OptionalInt one, OptionalInt other) {
    return one.isPresent() && other.isPresent()
        ? OPPOSITE_LIGHT * apart(one.getAsInt(), other.getAsInt()) / 180.0
        : UNKNOWN_LIGHT;
  }

  private static int apart(int one, int other) {
    int difference = Math.floorMod(one - other, 360);
    return Math.min(difference, 360 - difference);
  }

  private static int framingSteps(Optional<Framing> one, Optional<Framing> other) {
    return one.isPresent() && other.isPresent()
        ? Math.abs(one.get().ordinal() - other.get().ordinal())
        : 1;
  }
}
