package penmirror.core.figure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.geometry.Point;

/** Something about marks that can hardly be meant, said at the landmark it is about. */
public record Doubt(Landmark at, Kind kind) {

  public enum Kind {
    OUTSIDE_THE_PICTURE,
    CROWN_BELOW_CHIN,
    CROWN_ON_CHIN,
    LEFT_AND_RIGHT_EXCHANGED,
    CORNERS_EXCHANGED,
    EYE_WITHOUT_WIDTH,
    TOP_BELOW_BOTTOM,
    SOLE_ABOVE_CHIN
  }

  private static final double SAME_PLACE_PIXELS = 1;

  /** Every doubt about these marks, in the order of the landmarks. */
  public static List<Doubt> about(Marks marks, int widthPixels, int heightPixels) {
    List<Doubt> doubts = new ArrayList<>();
    for (Landmark landmark : marks.landmarks().keySet()) {
      marks
          .point(landmark)
          .flatMap(place -> about(marks, landmark, place, widthPixels, heightPixels))
          .ifPresent(kind -> doubts.add(new Doubt(landmark, kind)));
    }
    return doubts;
  }

  private static Optional<Kind> about(
      Marks marks, Landmark landmark, Point place, int width, int height) {
    if (place.x() < 0 || place.y() < 0 || place.x() > width || place.y() > height) {
      return Optional.of(Kind.OUTSIDE_THE_PICTURE);
    }
    return switch (landmark) {
      case CROWN -> crown(marks, place);
      case SOLE -> when(above(marks, place, Landmark.CHIN), Kind.SOLE_ABOVE_CHIN);
      case EYE_L_TOP, EYE_R_TOP -> {
        Landmark bottom =
            landmark == Landmark.EYE_L_TOP ? Landmark.EYE_L_BOTTOM : Landmark.EYE_R_BOTTOM;
        yield when(below(marks, place, bottom), Kind.TOP_BELOW_BOTTOM);
      }
      case EYE_L_INNER -> eye(marks, Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER);
      case EYE_R_INNER -> eye(marks, Landmark.EYE_R_OUTER, Landmark.EYE_R_INNER);
      default -> sides(marks, landmark, place);
    };
  }

  private static Optional<Kind> crown(Marks marks, Point crown) {
    Optional<Point> chin = marks.point(Landmark.CHIN);
    if (chin.isEmpty()) {
      return Optional.empty();
    }
    if (crown.distanceTo(chin.get()) < SAME_PLACE_PIXELS) {
      return Optional.of(Kind.CROWN_ON_CHIN);
    }
    return when(crown.y() > chin.get().y(), Kind.CROWN_BELOW_CHIN);
  }

  /** Of an eye the outer corner lies away from the other eye. */
  private static Optional<Kind> eye(Marks marks, Landmark outer, Landmark inner) {
    Optional<Point> outerPlace = marks.point(outer);
    Optional<Point> innerPlace = marks.point(inner);
    if (outerPlace.isEmpty() || innerPlace.isEmpty()) {
      return Optional.empty();
    }
    if (outerPlace.get().distanceTo(innerPlace.get()) < SAME_PLACE_PIXELS) {
      return Optional.of(Kind.EYE_WITHOUT_WIDTH);
    }
    Optional<Point> other = marks.point(inner.mirrored()).or(() -> marks.point(outer.mirrored()));
    boolean turned =
        other
            .filter(o -> o.distanceTo(innerPlace.get()) > o.distanceTo(outerPlace.get()))
            .isPresent();
    return when(turned, Kind.CORNERS_EXCHANGED);
  }

  /** Left is left as seen, in an upright head; told once, at the left one. */
  private static Optional<Kind> sides(Marks marks, Landmark landmark, Point place) {
    boolean isLeft = landmark.ordinal() < landmark.mirrored().ordinal();
    Optional<Point> right = marks.point(landmark.mirrored());
    // Arms and legs cross in a pose, and from the side one eye hides the other.
    if (!isLeft || right.isEmpty() || landmark.set() == Landmark.Set.FULL) {
      return Optional.empty();
    }
    boolean exchanged =
        marks
            .headFrame()
            .map(frame -> frame.sideways(place) > frame.sideways(right.get()))
            .orElse(place.x() > right.get().x());
    return when(exchanged, Kind.LEFT_AND_RIGHT_EXCHANGED);
  }

  private static boolean above(Marks marks, Point place, Landmark other) {
    return marks.point(other).filter(o -> place.y() < o.y()).isPresent();
  }

  private static boolean below(Marks marks, Point place, Landmark other) {
    return marks
        .point(other)
        .filter(
            o ->
                marks
                    .headFrame()
                    .map(frame -> frame.height(place) > frame.height(o))
                    .orElse(place.y() > o.y()))
        .isPresent();
  }

  private static Optional<Kind> when(boolean holds, Kind kind) {
    return holds ? Optional.of(kind) : Optional.empty();
  }
}
