package penmirror.core.coverage;

import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.face.IrisMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.region.RoleMeasures;

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

  /** Of lines, which are thin. */
  private static final double LEAST_OF_LINES = 0.34;

  private static final List<Landmark> EYE =
      List.of(
          Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER, Landmark.EYE_L_TOP, Landmark.EYE_L_BOTTOM);

  /** Read with the lines, and laid where the shadows are. */
  private static final Set<Measure> LAID_IN_SHADOWS =
      Set.of(
          LineMeasures.SPOT_BLACK,
          LineMeasures.HATCH,
          LineMeasures.HATCH_CROSS,
          LineMeasures.HATCH_ANGLE,
          LineMeasures.HATCH_PITCH,
          LineMeasures.HATCH_PITCH_BY_FIGURE);

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
    return isMarked
        ? round(placed(landmarks, marks), LEAST, marks, widthPixels, heightPixels)
        : Optional.empty();
  }

  /**
   * Round what a measure is seen by: the points it is read from; one eye for what lies in its iris
   * or on its lash; one limb; a cheek for lines and edges, where outline and inner lines lie close
   * together; the shadow for values. Round the head for all else that is read from pixels. Empty
   * where none of its points is placed, or no head tells how large the figure is.
   */
  public static Optional<PartFrame> of(
      Measure measure, Evidence evidence, int widthPixels, int heightPixels) {
    Marks marks = evidence.marks();
    if (!measure.isFromPixels()) {
      return round(placed(measure.needs(), marks), LEAST, marks, widthPixels, heightPixels);
    }
    List<Point> shadow = shadow(measure, evidence);
    if (!shadow.isEmpty()) {
      return round(shadow, LEAST, marks, widthPixels, heightPixels);
    }
    List<Point> part = onOneSide(seenBy(measure), marks);
    double least = isOfLines(measure) ? LEAST_OF_LINES : LEAST;
    return part.isEmpty()
        ? round(placed(HEAD, marks), LEAST, marks, widthPixels, heightPixels)
        : round(part, least, marks, widthPixels, heightPixels);
  }

  /** The landmarks of the left side that a reading from pixels is seen by; none for the head. */
  private static Collection<Landmark> seenBy(Measure measure) {
    if (IrisMeasures.ALL.contains(measure) || measure.key().equals(LineMeasures.LASH.key())) {
      return EYE;
    }
    if (isOfLines(measure)) {
      return List.of(Landmark.CHEEK_L);
    }
    return measure.needs(); // Limbs; nothing else that is read from pixels needs a point.
  }

  /** Lines, and the steps between colours, most of which lie along lines. */
  private static boolean isOfLines(Measure measure) {
    return measure.group() == MeasureGroup.EDGE
        || measure.group() == MeasureGroup.LINE && !LAID_IN_SHADOWS.contains(measure);
  }

  /** Inside the shadow of the skin, or else of hair or clothes; none for other readings. */
  private static List<Point> shadow(Measure measure, Evidence evidence) {
    boolean ofOne = measure.group() == MeasureGroup.ROLE;
    boolean isShade = measure.group() == MeasureGroup.SHADE || LAID_IN_SHADOWS.contains(measure);
    if (!ofOne && !isShade) {
      return List.of();
    }
    return evidence.pixels().stream()
        .flatMap(readings -> readings.roles().stream())
        .filter(tones -> !ofOne || RoleMeasures.of(tones.role()).all().contains(measure))
        .map(RoleTones::place)
        .limit(1)
        .toList();
  }

  /** Of the first side on which any of them is seen. */
  private static List<Point> onOneSide(Collection<Landmark> left, Marks marks) {
    return Arrays.stream(Side.values())
        .map(side -> left.stream().flatMap(l -> marks.seen(side.of(l)).stream()).toList())
        .filter(points -> !points.isEmpty())
        .findFirst()
        .orElse(List.of());
  }

  private static List<Point> placed(Collection<Landmark> landmarks, Marks marks) {
    return landmarks.stream().flatMap(l -> marks.point(l).stream()).toList();
  }

  private static Optional<PartFrame> round(
      List<Point> points, double least, Marks marks, int widthPixels, int heightPixels) {
    Optional<HeadFrame> head = marks.headFrame();
    if (head.isEmpty() || points.isEmpty()) {
      return Optional.empty();
    }
    double length = head.get().headPixels();
    double left = points.stream().mapToDouble(Point::x).min().orElseThrow() - AIR * length;
    double right = points.stream().mapToDouble(Point::x).max().orElseThrow() + AIR * length;
    double top = points.stream().mapToDouble(Point::y).min().orElseThrow() - AIR * length;
    double bottom = points.stream().mapToDouble(Point::y).max().orElseThrow() + AIR * length;
    double wide = Math.min(widthPixels, Math.max(right - left, least * length));
    double high = Math.min(heightPixels, Math.max(bottom - top, least * length));
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
