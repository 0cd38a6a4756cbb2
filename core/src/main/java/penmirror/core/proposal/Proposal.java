package penmirror.core.proposal;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;

/**
 * Where landmarks probably are.
 *
 * @param points in pixels of the picture; a landmark nothing is known of is absent
 * @param figure the box round the figure, pixels of the picture
 */
public record Proposal(View view, Map<Landmark, Proposed> points, Box figure) {

  /**
   * One landmark.
   *
   * @param confidence the chance that it lies within a twentieth of the head's height of where it
   *     belongs, 0 to 1
   */
  public record Proposed(Point place, double confidence) {}

  /** Right and bottom exclusive. */
  public record Box(double left, double top, double right, double bottom) {}

  public Proposal {
    EnumMap<Landmark, Proposed> copy = new EnumMap<>(Landmark.class);
    copy.putAll(points);
    points = Collections.unmodifiableMap(copy);
  }

  public Optional<Proposed> point(Landmark landmark) {
    return Optional.ofNullable(points.get(landmark));
  }

  /** The same of some landmarks only. */
  public Proposal only(Predicate<Landmark> which) {
    Map<Landmark, Proposed> some = new EnumMap<>(Landmark.class);
    points.forEach(
        (landmark, proposed) -> {
          if (which.test(landmark)) {
            some.put(landmark, proposed);
          }
        });
    return new Proposal(view, some, figure);
  }

  /** As marks that nobody confirmed yet, from a confidence on. */
  public Marks marks(double leastConfidence) {
    Marks marks = Marks.none(view);
    for (Map.Entry<Landmark, Proposed> entry : points.entrySet()) {
      if (entry.getValue().confidence() >= leastConfidence) {
        marks = marks.with(entry.getKey(), Mark.at(entry.getValue().place(), Mark.State.PROPOSED));
      }
    }
    return marks;
  }
}
