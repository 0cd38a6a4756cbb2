package penmirror.core.planning;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.move.Move;
import penmirror.core.move.MoveSolver;
import penmirror.core.move.PoseMoves;
import penmirror.core.move.Solution;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;

/**
 * A character's landmarks carried into a style: every measure the style rules at its rule, or as
 * far toward it as the user wants, with the pose kept and the figure as tall in the picture.
 *
 * @param own as the character is drawn
 * @param targets where its landmarks go, in pixels of its picture; the same landmarks
 * @param aims what each ruled measure is brought to
 * @param missed measures that cannot be brought there
 */
public record CarriedFigure(
    Marks own, Marks targets, Map<Measure, Aim> aims, List<Measure> missed) {

  /** Each round brings every measure there in turn; what one moves another brings back. */
  private static final int MOST_ROUNDS = 60;

  private static final int FIRST_ROUNDS = 8;

  /** A round that leaves more than this share of what was left helps no more. */
  private static final double HARDLY = 0.995;

  /** On the measure's scale: a ten-thousandth, or as much of a degree. */
  private static final double REACHED = 1e-5;

  /** Beyond so many rounds' worth, a measure is said to be missed. */
  private static final double MISSED = 1e-3;

  public CarriedFigure {
    aims = Map.copyOf(aims);
    missed = List.copyOf(missed);
  }

  /**
   * What one measure is brought to, in its unit.
   *
   * @param own as the character has it
   * @param target the style's, or between
   */
  public record Aim(Rule rule, double own, double target) {}

  /**
   * @param keep how much of the character's own is kept of a measure, 0 for the style's middle, 1
   *     for the character as it is, under 0 for beyond the style; of what no work holds to, nothing
   *     is changed
   */
  public static CarriedFigure of(StyleSheet sheet, Marks own, ToDoubleFunction<Measure> keep) {
    return of(sheet, own, keep, Optional.empty());
  }

  /**
   * @param anchor a work that is followed where it has a reading, rather than the middle of all
   */
  public static CarriedFigure of(
      StyleSheet sheet, Marks own, ToDoubleFunction<Measure> keep, Optional<MeasuredWork> anchor) {
    List<Goal> goals = new ArrayList<>();
    Map<Measure, Aim> aims = new LinkedHashMap<>();
    for (Move move : PoseMoves.all()) {
      Measure measure = move.measure();
      Optional<Rule> rule = sheet.ruleFor(measure, own.view()).filter(Rule::isScored);
      OptionalDouble value = measure.valueOf(own);
      if (rule.isEmpty() || value.isEmpty()) {
        continue;
      }
      double from = measure.scale().toScale(value.getAsDouble());
      double middle = rule.get().centre();
      double to =
          measure
              .scale()
              .toScale(anchor.map(a -> a.values().getOrDefault(measure, middle)).orElse(middle));
      double aim = to + keep.applyAsDouble(measure) * (from - to);
      goals.add(new Goal(move, aim));
      aims.put(measure, new Aim(rule.get(), value.getAsDouble(), measure.scale().fromScale(aim)));
    }
    Marks carried = solved(own, goals);
    List<Measure> missed =
        goals.stream()
            .filter(goal -> goal.off(carried) > MISSED)
            .map(goal -> goal.move().measure())
            .toList();
    return new CarriedFigure(own, asTall(own, carried), aims, missed);
  }

  /**
   * @param scaled where the move's measure shall be, on its scale
   */
  private record Goal(Move move, double scaled) {
    double off(Marks marks) {
      OptionalDouble value = move.measure().valueOf(marks);
      return value.isEmpty()
          ? Double.POSITIVE_INFINITY
          : Math.abs(move.measure().scale().toScale(value.getAsDouble()) - scaled);
    }
  }

  private static Marks solved(Marks own, List<Goal> goals) {
    Marks marks = own;
    double before = Double.POSITIVE_INFINITY;
    for (int round = 0; round < MOST_ROUNDS; round++) {
      for (Goal goal : goals) {
        Solution solution = MoveSolver.solve(goal.move(), marks, goal.scaled());
        if (solution instanceof Solution.Reached reached) {
          marks = goal.move().apply(marks, reached.amount());
        }
      }
      Marks now = marks;
      double left = goals.stream().mapToDouble(goal -> goal.off(now)).sum();
      // Rules that contradict each other pull to and fro for ever.
      boolean comesNoNearer = round >= FIRST_ROUNDS && left > HARDLY * before;
      if (comesNoNearer || goals.stream().allMatch(goal -> goal.off(now) < REACHED)) {
        break;
      }
      before = left;
    }
    return marks;
  }

  /** From the crown to the ground, or to the chin of a head alone; on the same ground. */
  private static Marks asTall(Marks own, Marks carried) {
    Landmark base = own.point(Landmark.SOLE).isPresent() ? Landmark.SOLE : Landmark.CHIN;
    if (own.point(Landmark.CROWN).isEmpty() || own.point(base).isEmpty()) {
      return carried;
    }
    double was = own.require(base).y() - own.require(Landmark.CROWN).y();
    double is = carried.require(base).y() - carried.require(Landmark.CROWN).y();
    if (!(was > 0 && is > 0)) {
      return carried;
    }
    double factor = was / is;
    Point ground = own.require(base);
    Point from = carried.require(base);
    return carried.moved(
        carried.landmarks().keySet(), p -> ground.plus(p.minus(from).times(factor)));
  }
}
