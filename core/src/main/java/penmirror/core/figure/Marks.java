package penmirror.core.figure;

import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Reach;

/** All landmarks known of one figure, with the view it is drawn from. Immutable. */
public record Marks(View view, Map<Landmark, Mark> landmarks) {

  public Marks {
    EnumMap<Landmark, Mark> copy = new EnumMap<>(Landmark.class);
    copy.putAll(landmarks);
    landmarks = Collections.unmodifiableMap(copy);
  }

  public static Marks none(View view) {
    return new Marks(view, Map.of());
  }

  public boolean isEmpty() {
    return landmarks.isEmpty();
  }

  /** Where the landmark is; empty when it is hidden or was never marked. */
  public Optional<Point> point(Landmark landmark) {
    Mark mark = landmarks.get(landmark);
    return mark == null ? Optional.empty() : mark.point();
  }

  /** Where the landmark is seen: as {@link #point}, and empty also where it is covered. */
  public Optional<Point> seen(Landmark landmark) {
    Mark mark = landmarks.get(landmark);
    return mark == null || mark.state() == Mark.State.ESTIMATED ? Optional.empty() : mark.point();
  }

  /**
   * @throws java.util.NoSuchElementException when the landmark has no place
   */
  public Point require(Landmark landmark) {
    return point(landmark).orElseThrow();
  }

  /** Pixels between two landmarks that both have a place. */
  public double distance(Landmark one, Landmark other) {
    return require(one).distanceTo(require(other));
  }

  public boolean isHidden(Landmark landmark) {
    Mark mark = landmarks.get(landmark);
    return mark != null && mark.state() == Mark.State.HIDDEN;
  }

  public Marks with(Landmark landmark, Mark mark) {
    EnumMap<Landmark, Mark> changed = new EnumMap<>(Landmark.class);
    changed.putAll(landmarks);
    changed.put(landmark, mark);
    return new Marks(view, changed);
  }

  /** Only some landmarks, as far as they are marked. */
  public Marks only(Collection<Landmark> which) {
    EnumMap<Landmark, Mark> kept = new EnumMap<>(Landmark.class);
    for (Landmark landmark : which) {
      Mark mark = landmarks.get(landmark);
      if (mark != null) {
        kept.put(landmark, mark);
      }
    }
    return new Marks(view, kept);
  }

  /** Without what was proposed and nobody confirmed. */
  public Marks confirmed() {
    EnumMap<Landmark, Mark> kept = new EnumMap<>(Landmark.class);
    kept.putAll(landmarks);
    kept.values().removeIf(mark -> mark.state() == Mark.State.PROPOSED);
    return new Marks(view, kept);
  }

  public Marks withView(View newView) {
    return new Marks(newView, landmarks);
  }

  /** The given landmarks moved by a rule; those without a place stay as they are. */
  public Marks moved(Iterable<Landmark> which, UnaryOperator<Point> move) {
    Marks result = this;
    for (Landmark landmark : which) {
      Mark mark = landmarks.get(landmark);
      if (mark != null && mark.point().isPresent()) {
        result = result.with(landmark, Mark.at(move.apply(mark.point().get()), mark.state()));
      }
    }
    return result;
  }

  /** The first landmark that lies farther from a picture than it can be meant; empty if none. */
  public Optional<Landmark> strayed(int widthPixels, int heightPixels) {
    return landmarks.entrySet().stream()
        .filter(
            entry ->
                entry
                    .getValue()
                    .point()
                    .filter(point -> !Reach.holds(point, widthPixels, heightPixels))
                    .isPresent())
        .map(Map.Entry::getKey)
        .findFirst();
  }

  /** The head's own frame; empty without crown and chin in two different places. */
  public Optional<HeadFrame> headFrame() {
    return point(Landmark.CROWN)
        .flatMap(crown -> point(Landmark.CHIN).flatMap(chin -> HeadFrame.of(crown, chin)));
  }
}
