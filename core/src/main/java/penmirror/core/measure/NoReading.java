package penmirror.core.measure;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import penmirror.core.figure.Landmark;

/**
 * Why a measure has no reading. It is left out of rules and scores; it is never zero.
 *
 * @param missing the landmarks to place, where that is the reason; otherwise empty
 * @param limit where the value is known to lie beyond a limit, such as a line thinner than can be
 *     read
 */
public record NoReading(Reason reason, List<Landmark> missing, Optional<Limit> limit)
    implements MeasureResult {

  /**
   * What is known of a value that could not be read.
   *
   * @param side on which side of the limit it lies
   * @param value in the unit of the measure; on its scale
   */
  public record Limit(Side side, double value) {
    public enum Side {
      BELOW,
      ABOVE
    }
  }

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
    NO_FIGURE,
    /** The value lies outside of what the measure is defined on, such as a ratio of zero. */
    OUT_OF_SCALE,
    /** Too little of it to read, such as three free line ends. */
    TOO_LITTLE,
    /** No line has a second one beside it. */
    NO_HATCHING,
    /** No local colour has a second value. */
    NO_SHADING,
    /** No local colour is lighter in places than its base. */
    NO_HIGHLIGHT,
    /** Nothing in the figure has a hue. */
    NO_HUE,
    /** The part, such as face or cloth, was not found in the picture. */
    PART_NOT_FOUND,
    /** Corners and opening of the eyes are not marked. */
    EYES_NOT_MARKED;

    /** The word used in files. */
    public String word() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Whether the picture was read and truly has nothing of it. */
    public boolean isTrulyAbsent() {
      return this == NO_LINES
          || this == NO_SHADING
          || this == NO_HIGHLIGHT
          || this == NO_HATCHING
          || this == NO_HUE;
    }
  }

  public NoReading {
    missing = List.copyOf(missing);
  }

  public NoReading(Reason reason, List<Landmark> missing) {
    this(reason, missing, Optional.empty());
  }

  public static NoReading because(Reason reason) {
    return new NoReading(reason, List.of());
  }

  /** The value lies below or above what could be read. */
  static NoReading beyond(Reason reason, Limit.Side side, double value) {
    return new NoReading(reason, List.of(), Optional.of(new Limit(side, value)));
  }

  @Override
  public <T> T fold(Function<Reading, T> whenRead, Function<NoReading, T> whenNot) {
    return whenNot.apply(this);
  }
}
