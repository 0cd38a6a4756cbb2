package penmirror.core.coverage;

import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;

/**
 * The piece of a picture that shows one part, in pixels of the picture; never beyond its edges.
 *
 * @param x left edge
 * @param y upper edge
 * @param width above 0
 * @param height above 0
 */
public record PartFrame(double x, double y, double width, double height) {
  /** Air on every side, of the head's length. */
  private static final double AIR = 0.14;

  /** No piece is smaller, of the head's length: one wants to see where one is. */
  private static final double LEAST = 0.5;

  private static final List<Landmark> HEAD =
      List.of(Landmark.CROWN, Landmark.CHIN, Landmark.CHEEK_L, Landmark.CHEEK_R);

  /**
   * Round the part's points; round the whole head for hair; empty where the part has no points, or
   * none that is placed, or no head tells how large it is.
   */
  public static Optional<PartFrame> of(Part part, Marks marks, int widthPixels, int heightPixels) {
    Set<Landmark> landmarks = new LinkedHashSet<>(part.landmarks());
    if (part == Part.HAIR || part == Part.FACE_SHAPE) {
      landmarks.addAll(HEAD);
    }
    boolean isMarked = part.landmarks().stream().anyMatch(l -> marks.point(l).isPresent());
    return isMarked ? round(landmarks, marks, widthPixels, heightPixels) : Optional.empty();
  }

  /**
   * Round the points that a measure is read from; round the head where it is read from pixels.
   * Empty where none of them is placed, or no head tells how large the figure is.
   */
  public static Optional<PartFrame> of(
      Measure measure, Marks marks, int widthPixels, int heightPixels) {
    Collection<Landmark> points = measure.isFromPixels() ? HEAD : measure.needs();
    return round(points, marks, widthPixels, heightPixels);
  }

  private static Optional<PartFrame> round(
      Collection<Landmark> landmarks, Marks marks, int widthPixels, int heightPixels) {
    Optional<HeadFrame> head = marks.headFrame();
    List<Point> points = landmarks.stream().flatMap(l -> marks.point(l).stream()).toList();
    if (head.isEmpty() || points.isEmpty()) {
      return Optional.empty();
    }
    double length = head.get().headPixels();
    double left = points.stream().mapToDouble(Point::x).min().orElseThrow() - AIR * length;
    double right = points.stream().mapToDouble(Point::x).max().orElseThrow() + AIR * length;
    double top = points.stream().mapToDouble(Point::y).min().orElseThrow() - AIR * length;
    double bottom = points.stream().mapToDouble(Point::y).max().orElseThrow() + AIR * length;
    double wide = Math.min(widthPixels, Math.max(right - left, LEAST * length));
    double high = Math.min(heightPixels, Math.max(bottom - top, LEAST * length));
    return Optional.of(
        new PartFrame(
            held((left + right - wide) / 2, widthPixels - wide),
            held((top + bottom - high) / 2, heightPixels - high),
            wide,
            high));
  }

  /** As an SVG names what of a picture is seen. */
  public String viewBox() {
    return String.format(Locale.ROOT, "%.0f %.0f %.0f %.0f", x, y, width, height);
  }

  private static double held(double value, double most) {
    return Math.max(0, Math.min(most, value));
  }
}
