package penmirror.core.figure;

import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import penmirror.core.geometry.Point;

/** What is known of one landmark in one picture. */
public final class Mark {

  /** How a landmark stands. */
  public enum State {
    /** Put there by hand. */
    PLACED,
    /** Offered by the tool, not confirmed yet; counts with a wider error. */
    PROPOSED,
    /** Not visible but inferred, such as a crown under hair; counts with a wider error. */
    ESTIMATED,
    /** Not to be seen in this view: measures that need it have no reading. */
    HIDDEN;

    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }

    public static State ofWord(String word) {
      for (State state : values()) {
        if (state.word().equals(word)) {
          return state;
        }
      }
      throw new IllegalArgumentException(
          "Landmark state \""
              + word
              + "\" is not known. Use placed, proposed, estimated or hidden.");
    }
  }

  private final State state;
  private final @Nullable Point point;

  private Mark(State state, @Nullable Point point) {
    this.state = state;
    this.point = point;
  }

  public static Mark placed(double x, double y) {
    return at(new Point(x, y), State.PLACED);
  }

  public static Mark at(Point point, State state) {
    if (state == State.HIDDEN) {
      throw new IllegalArgumentException("A hidden landmark has no place.");
    }
    return new Mark(state, point);
  }

  public static Mark hidden() {
    return new Mark(State.HIDDEN, null);
  }

  public State state() {
    return state;
  }

  /** Empty when hidden. */
  public Optional<Point> point() {
    return Optional.ofNullable(point);
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof Mark mark && state == mark.state && point().equals(mark.point());
  }

  @Override
  public int hashCode() {
    return state.hashCode() * 31 + point().hashCode();
  }

  @Override
  public String toString() {
    return state.word() + point().map(p -> " at " + p.x() + ", " + p.y()).orElse("");
  }
}
