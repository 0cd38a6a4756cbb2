package penmirror.core.proposal;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;

/**
 * Where landmarks lie in the marked figures of a study, in one frame: the mean place and how far
 * the figures differ.
 */
final class LearnedShape {

  /** Figures differ at least about this much; counts as two more figures. In units of the frame. */
  private static final double LEAST_SPREAD = 0.10;

  /** Mean place and spread along either axis, in units of the frame. */
  record Place(Point mean, double spread, int count) {}

  private final Map<Landmark, Place> places = new EnumMap<>(Landmark.class);

  private LearnedShape() {}

  /** From the picture into a frame; empty when the figure's marks do not give the frame. */
  @FunctionalInterface
  interface FrameOf {
    Optional<Frame> of(Marks marks);
  }

  @FunctionalInterface
  interface Frame {
    Point inFrame(Point picture);
  }

  static LearnedShape of(
      List<MarkedFigure> figures, FrameOf frameOf, ToDoubleFunction<Landmark> leastSpread) {
    Map<Landmark, double[]> sums = new EnumMap<>(Landmark.class);
    for (MarkedFigure figure : figures) {
      Optional<Frame> frame = frameOf.of(figure.marks());
      if (frame.isPresent()) {
        for (Landmark landmark : figure.marks().landmarks().keySet()) {
          figure
              .marks()
              .point(landmark)
              .ifPresent(
                  place -> {
                    Point at = frame.get().inFrame(place);
                    double[] sum = sums.computeIfAbsent(landmark, key -> new double[5]);
                    sum[0]++;
                    sum[1] += at.x();
                    sum[2] += at.y();
                    sum[3] += at.x() * at.x();
                    sum[4] += at.y() * at.y();
                  });
        }
      }
    }
    LearnedShape shape = new LearnedShape();
    sums.forEach(
        (landmark, sum) -> {
          double n = sum[0];
          Point mean = new Point(sum[1] / n, sum[2] / n);
          double deviations =
              Math.max(0, sum[3] - n * mean.x() * mean.x())
                  + Math.max(0, sum[4] - n * mean.y() * mean.y());
          double least = leastSpread.applyAsDouble(landmark);
          double variance = (deviations / 2 + 2 * least * least) / (n + 1);
          shape.places.put(landmark, new Place(mean, Math.sqrt(variance), (int) n));
        });
    return shape;
  }

  /** In the frame of the eyes: origin between them, their distance the unit. */
  static LearnedShape ofFaces(List<MarkedFigure> figures) {
    return of(figures, LearnedShape::eyeFrame, landmark -> LEAST_SPREAD);
  }

  static Optional<Frame> eyeFrame(Marks marks) {
    Optional<Point> left = FacePatch.eye(marks, Landmark.EYE_L_OUTER, Landmark.EYE_L_INNER);
    Optional<Point> right = FacePatch.eye(marks, Landmark.EYE_R_INNER, Landmark.EYE_R_OUTER);
    if (left.isEmpty() || right.isEmpty() || left.get().distanceTo(right.get()) < 1) {
      return Optional.empty();
    }
    Point origin = left.get().midpointTo(right.get());
    double unit = left.get().distanceTo(right.get());
    Point across = right.get().minus(left.get()).times(1 / unit);
    Point down = new Point(-across.y(), across.x());
    return Optional.of(
        place -> {
          Point off = place.minus(origin).times(1 / unit);
          return new Point(off.dot(across), off.dot(down));
        });
  }

  boolean isEmpty() {
    return places.isEmpty();
  }

  Optional<Place> place(Landmark landmark) {
    return Optional.ofNullable(places.get(landmark));
  }

  Map<Landmark, Place> places() {
    return places;
  }
}
