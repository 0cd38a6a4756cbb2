package penmirror.core.move;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import penmirror.core.figure.Feature;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Reach;
import penmirror.core.measure.Measure;

/**
 * The plain move that changes one measure. Amount 0 leaves everything as it is.
 *
 * @param name as tests and errors call it, such as eye size
 * @param feature what the hand takes hold of
 * @param measure what it changes
 * @param amount what the amount counts
 * @param shift how the landmarks go
 */
public record Move(String name, Feature feature, Measure measure, Amount amount, Shift shift) {

  /** What an amount counts, and the range in which a drawing can be meant. */
  public enum Amount {
    PIXELS(1, Reach.PIXELS),
    DEGREES(1, 180),
    /** The natural logarithm of a factor: 0 is one to one, at most twenty times. */
    FACTOR(0.05, Math.log(20));

    private final double firstStep;
    private final double most;

    Amount(double firstStep, double most) {
      this.firstStep = firstStep;
      this.most = most;
    }

    /** The step with which a search begins. */
    double firstStep() {
      return firstStep;
    }

    /** The largest amount of either sign. */
    double most() {
      return most;
    }
  }

  /** Moves landmarks by an amount; those without a place stay as they are. */
  @FunctionalInterface
  public interface Shift {
    Marks by(Marks marks, double amount);
  }

  /**
   * One landmark's way.
   *
   * @param dxPixels to the right
   * @param dyPixels down
   */
  public record Step(Landmark landmark, double dxPixels, double dyPixels) {
    public double pixels() {
      return Math.hypot(dxPixels, dyPixels);
    }
  }

  /** The same measure changed in another way. */
  Move by(String otherName, Shift otherShift) {
    return new Move(otherName, feature, measure, amount, otherShift);
  }

  public Marks apply(Marks marks, double by) {
    return shift.by(marks, by);
  }

  /** The measure's value on its scale after the move; empty where the points make no sense. */
  OptionalDouble scaledValue(Marks marks, double by) {
    OptionalDouble value = measure.valueOf(apply(marks, by));
    return value.isPresent()
        ? OptionalDouble.of(measure.scale().toScale(value.getAsDouble()))
        : OptionalDouble.empty();
  }

  /** How each landmark went from one state to another, in the order of the landmarks. */
  public static List<Step> steps(Marks before, Marks after) {
    List<Step> steps = new ArrayList<>();
    for (var entry : before.landmarks().entrySet()) {
      Mark mark = entry.getValue();
      mark.point()
          .flatMap(from -> after.point(entry.getKey()).map(to -> to.minus(from)))
          .filter(way -> !way.equals(new Point(0, 0)))
          .ifPresent(way -> steps.add(new Step(entry.getKey(), way.x(), way.y())));
    }
    return steps;
  }
}
