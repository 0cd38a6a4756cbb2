package penmirror.core.move;

import java.util.OptionalDouble;
import org.hipparchus.analysis.solvers.AllowedSolution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import penmirror.core.figure.Marks;

/**
 * Finds how far a move must go. The measure itself is asked at each step, so that whatever else
 * moves along is counted in.
 *
 * <p>From 0 it walks both ways in steps that double, until the target lies between two of them, and
 * closes in there (Brent's method of higher order, Hipparchus). Of two amounts that both reach it
 * the smaller is taken.
 */
public final class MoveSolver {
  /** How near an amount is found. */
  private static final double ACCURACY = 1e-11;

  /**
   * Where the measure jumps, such as an angle at half a turn, a target is not reached by closing.
   */
  private static final double NEAR = 1e-6;

  private static final int MOST_DOUBLINGS = 40;
  private static final int MOST_HALVINGS = 40;
  private static final int MOST_EVALUATIONS = 200;
  private static final int ORDER = 5;

  private MoveSolver() {}

  /**
   * The amount that brings the move's measure to a value.
   *
   * @param targetScaled on the measure's scale
   */
  public static Solution solve(Move move, Marks marks, double targetScaled) {
    OptionalDouble here = move.scaledValue(marks, 0);
    if (here.isEmpty()) {
      return new Solution.Unreadable();
    }
    double miss = here.getAsDouble() - targetScaled;
    if (miss == 0) {
      return new Solution.Reached(0);
    }
    Walk up = new Walk(move, marks, targetScaled, miss, 1);
    Walk down = new Walk(move, marks, targetScaled, miss, -1);
    for (int i = 0; i < MOST_DOUBLINGS && !(up.isOver() && down.isOver()); i++) {
      for (Walk walk : new Walk[] {up, down}) {
        walk.step();
        if (walk.isAcross()) {
          double amount = walk.closeIn();
          OptionalDouble reached = move.scaledValue(marks, amount);
          if (reached.isPresent() && Math.abs(reached.getAsDouble() - targetScaled) < NEAR) {
            return new Solution.Reached(amount);
          }
          walk.stop();
        }
      }
    }
    return new Solution.OutOfReach();
  }

  /** A walk to one side, until the miss changes its sign. */
  private static final class Walk {
    private final Move move;
    private final Marks marks;
    private final double target;
    private final int side;
    private final double missAtStart;
    private double before;
    private double now;
    private double step;
    private boolean across;
    private boolean over;

    Walk(Move move, Marks marks, double target, double missAtStart, int side) {
      this.move = move;
      this.marks = marks;
      this.target = target;
      this.missAtStart = missAtStart;
      this.side = side;
      step = move.amount().firstStep();
    }

    boolean isOver() {
      return over;
    }

    boolean isAcross() {
      return across && !over;
    }

    void stop() {
      over = true;
    }

    void step() {
      if (over) {
        return;
      }
      double most = move.amount().most();
      double length = Math.min(step, most - Math.abs(now));
      OptionalDouble ahead = OptionalDouble.empty();
      // Where the points stop making sense the walk goes as near as it can.
      for (int i = 0; i < MOST_HALVINGS && length > 0; i++) {
        ahead = move.scaledValue(marks, now + side * length);
        if (ahead.isPresent()) {
          break;
        }
        length /= 2;
        step = length;
      }
      if (ahead.isEmpty() || now + side * length == now) {
        over = true;
        return;
      }
      before = now;
      now += side * length;
      step *= 2;
      across = Math.signum(ahead.getAsDouble() - target) != Math.signum(missAtStart);
    }

    double closeIn() {
      return new BracketingNthOrderBrentSolver(ACCURACY, ACCURACY, 1e-15, ORDER)
          .solve(
              MOST_EVALUATIONS,
              amount -> move.scaledValue(marks, amount).orElseThrow() - target,
              Math.min(before, now),
              Math.max(before, now),
              AllowedSolution.ANY_SIDE);
    }
  }
}
