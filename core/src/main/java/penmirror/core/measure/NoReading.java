package penmirror.core.measure;

import java.util.List;
import java.util.function.Function;
import penmirror.core.figure.Landmark;

/**
 * Why a measure has no reading. It is left out of rules and scores; it is never zero.
 *
 * @param missing the landmarks to place, where that is the reason; otherwise empty
 */
public record NoReading(Reason reason, List<Landmark> missing) implements MeasureResult {

  public enum Reason {
    /** Landmarks it needs are not marked yet. */
    LANDMARKS_MISSING,
    /** Landmarks it needs are marked as hidden. */
    LANDMARKS_HIDDEN,
    /** It does not hold in this view. */
    NOT_IN_THIS_VIEW,
    /** The points lie so that no figure comes out, such as an eye without width. */
    POINTS_IMPOSSIBLE,
    /** The pixels have not been read yet. */
    PIXELS_NOT_READ,
    /** No line was found in the picture. */
    NO_LINES,
    /** Lines thinner than two pixels, whose width cannot be trusted. */
    HAIRLINE,
    /** The width is known in pixels, but not in heads: crown and chin are not marked. */
    HEAD_NOT_MARKED,
    /** Nothing stands out from the background. */
    NO_FIGURE
  }

  public NoReading {
    missing = List.copyOf(missing);
  }

  public static NoReading because(Reason reason) {
    return new NoReading(reason, List.of());
  }

  @Override
  public <T> T fold(Function<Reading, T> whenRead, Function<NoReading, T> whenNot) {
    return whenNot.apply(this);
  }
}
