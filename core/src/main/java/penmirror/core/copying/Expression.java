package penmirror.core.copying;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;

/**
 * What a face does otherwise than the face it was drawn after, each in the frame of its own head:
 * size, turn and place of the head make no difference.
 *
 * @param offPixels on the copy's canvas, signed as the sort says; never so little that a hand marks
 *     it so twice
 */
public record Expression(Sort sort, double offPixels) {
  /** A hundredth of a head is a usual error of marking. */
  private static final double LEAST_HEADS = 0.012;

  /** What a face can do. */
  public enum Sort {
    /** Corners of the mouth against its middle; down is positive. */
    CORNERS,
    /** Brows over the eyes; up is positive. */
    BROWS,
    /** Height of the opening; wider is positive. */
    OPENING,
    /** Iris in the opening; to the right of the picture is positive. */
    GAZE,
    /** The same up and down; down is positive. */
    GAZE_DOWN;

    /** The word used in message keys. */
    public String word() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /** What differs, the farthest first; none where a head is not marked, or nothing does. */
  public static List<Expression> of(Marks work, Marks copy) {
    Optional<HeadFrame> of = work.headFrame();
    Optional<HeadFrame> is = copy.headFrame();
    if (of.isEmpty() || is.isEmpty()) {
      return List.of();
    }
    List<Expression> all = new ArrayList<>();
    for (Sort sort : Sort.values()) {
      OptionalDouble was = read(sort, work, of.get());
      OptionalDouble now = read(sort, copy, is.get());
      if (was.isPresent() && now.isPresent()) {
        double heads = now.getAsDouble() - was.getAsDouble();
        if (Math.abs(heads) >= LEAST_HEADS) {
          all.add(new Expression(sort, heads * is.get().headPixels()));
        }
      }
    }
    all.sort(Comparator.comparingDouble(one -> -Math.abs(one.offPixels())));
    return all;
  }

  private static OptionalDouble read(Sort sort, Marks marks, HeadFrame head) {
    return switch (sort) {
      case CORNERS ->
          between(
              mean(marks, head::height, Landmark.MOUTH_L, Landmark.MOUTH_R),
              mean(marks, head::height, Landmark.MOUTH_TOP, Landmark.MOUTH_BOTTOM));
      case BROWS ->
          between(
              mean(
                  marks,
                  head::height,
                  Landmark.EYE_L_OUTER,
                  Landmark.EYE_L_INNER,
                  Landmark.EYE_R_INNER,
                  Landmark.EYE_R_OUTER),
              mean(
                  marks,
                  head::height,
                  Landmark.BROW_L_INNER,
                  Landmark.BROW_L_PEAK,
                  Landmark.BROW_R_INNER,
                  Landmark.BROW_R_PEAK));
      case OPENING ->
          between(
              mean(marks, head::height, Landmark.EYE_L_BOTTOM, Landmark.EYE_R_BOTTOM),
              mean(marks, head::height, Landmark.EYE_L_TOP, Landmark.EYE_R_TOP));
      case GAZE ->
          between(
              mean(marks, head::sideways, Landmark.IRIS_L_CENTRE, Landmark.IRIS_R_CENTRE),
              mean(
                  marks,
                  head::sideways,
                  Landmark.EYE_L_OUTER,
                  Landmark.EYE_L_INNER,
                  Landmark.EYE_R_INNER,
                  Landmark.EYE_R_OUTER));
      case GAZE_DOWN ->
          between(
              mean(marks, head::height, Landmark.IRIS_L_CENTRE, Landmark.IRIS_R_CENTRE),
              mean(
                  marks,
                  head::height,
                  Landmark.EYE_L_TOP,
                  Landmark.EYE_L_BOTTOM,
                  Landmark.EYE_R_TOP,
                  Landmark.EYE_R_BOTTOM));
    };
  }

  private static OptionalDouble between(OptionalDouble one, OptionalDouble other) {
    return one.isPresent() && other.isPresent()
        ? OptionalDouble.of(one.getAsDouble() - other.getAsDouble())
        : OptionalDouble.empty();
  }

  /** Empty unless all of them are marked: one side alone would be off by the tilt of a face. */
  private static OptionalDouble mean(
      Marks marks, ToDoubleFunction<Point> of, Landmark... landmarks) {
    return Stream.of(landmarks).allMatch(one -> marks.point(one).isPresent())
        ? Stream.of(landmarks).map(marks::require).mapToDouble(of).average()
        : OptionalDouble.empty();
  }
}
