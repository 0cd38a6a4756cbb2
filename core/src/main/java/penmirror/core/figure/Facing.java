package penmirror.core.figure;

import static penmirror.core.figure.Landmark.*;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.geometry.Point;

/** Which way a marked head looks, and the same head looking the other way. */
public final class Facing {
  /** What lies toward the side a head is turned to. */
  private static final List<Landmark> FACE =
      List.of(
          EYE_L_OUTER,
          EYE_L_INNER,
          EYE_R_INNER,
          EYE_R_OUTER,
          NOSE_TOP,
          NOSE_BASE,
          MOUTH_L,
          MOUTH_R,
          MOUTH_TOP);

  /** What bounds the head, from side to side, or lies behind a face seen from the side. */
  private static final List<Landmark> BOUNDS =
      List.of(CHEEK_L, CHEEK_R, EAR_L_TOP, EAR_R_TOP, EAR_L_BASE, EAR_R_BASE);

  /** In heads; a head less turned than this says nothing. */
  private static final double HARDLY = 0.01;

  private Facing() {}

  /**
   * A head from the front looks ahead; a turned one to the side where its features lie within its
   * bounds, else off its axis. Empty for a back, without a head's frame or without features.
   */
  public static Optional<Turn> of(Marks marks) {
    if (marks.view() == View.FRONT) {
      return Optional.of(Turn.AHEAD);
    }
    if (marks.view() == View.BACK) {
      return Optional.empty();
    }
    return marks.headFrame().flatMap(frame -> turned(marks, frame));
  }

  private static Optional<Turn> turned(Marks marks, HeadFrame frame) {
    OptionalDouble face = middle(marks, frame, FACE);
    if (face.isEmpty()) {
      return Optional.empty();
    }
    double aside = face.getAsDouble() - middle(marks, frame, BOUNDS).orElse(0);
    return Math.abs(aside) < HARDLY
        ? Optional.empty()
        : Optional.of(aside > 0 ? Turn.RIGHT : Turn.LEFT);
  }

  private static OptionalDouble middle(Marks marks, HeadFrame frame, List<Landmark> which) {
    return which.stream()
        .flatMap(landmark -> marks.point(landmark).stream())
        .mapToDouble(frame::sideways)
        .average();
  }

  /** As in a mirror, about an upright line: what was on the left is on the right. */
  public static Marks mirrored(Marks marks, double aboutX) {
    Map<Landmark, Mark> other = new EnumMap<>(Landmark.class);
    marks
        .landmarks()
        .forEach(
            (landmark, mark) ->
                other.put(
                    landmark.mirrored(),
                    mark.point()
                        .map(p -> Mark.at(new Point(2 * aboutX - p.x(), p.y()), mark.state()))
                        .orElse(mark)));
    return new Marks(marks.view(), other);
  }
}
