package penmirror.core.scoring;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import penmirror.core.act.Act;
import penmirror.core.move.Move;
import penmirror.core.style.Rule;

/**
 * One act to mend, with what it would win. Numbers and identities only; {@code core.telling} says
 * it in words.
 *
 * @param act what is mended; with the direction its identity over the attempts of a redraw
 * @param direction which way the reading that is farthest off must go
 * @param changes what the hand does: moves, the one that is farthest off first; then what is
 *     redrawn, in the order in which the act is told
 * @param along other acts that come right by the same moves, or that a hand does in one go with it
 * @param pointsGained by the rules, by scoring the corrected readings again
 * @param steps how each landmark moves, in pixels of the redraw; empty for line, values, colours
 */
public record Fix(
    Act act,
    Direction direction,
    List<Change> changes,
    List<Act> along,
    double pointsGained,
    List<Move.Step> steps) {

  /** Toward more or toward less of what is measured. */
  public enum Direction {
    MORE,
    LESS;

    /** The word used in files and message keys. */
    public String word() {
      return this == MORE ? "more" : "less";
    }

    static Direction against(double z) {
      return z < 0 ? MORE : LESS;
    }
  }

  /** One thing the hand does for it. */
  public sealed interface Change {
    /** The rule it keeps afterwards, as it is now. */
    Judged score();

    Direction direction();

    /** A reading is brought to the middle of its band. */
    sealed interface Measured extends Change {
      @Override
      RuleScore score();
    }

    /** Something is drawn, or left out, as a statement says. */
    record Stated(TickScore score) implements Change {
      @Override
      public Direction direction() {
        return score.yes() ? Direction.LESS : Direction.MORE;
      }
    }

    /**
     * Landmarks go by a plain move.
     *
     * @param amount as the move counts
     * @param edgeAmount what already reaches the band
     */
    record Moved(RuleScore score, Move move, double amount, double edgeAmount) implements Measured {
      @Override
      public Direction direction() {
        return amount > 0 ? Direction.MORE : Direction.LESS;
      }
    }

    /**
     * Line, tone or colour is changed.
     *
     * @param pixelsPerUnit what one of the measure's unit is on this drawing, where it is a length
     */
    record Redrawn(RuleScore score, OptionalDouble pixelsPerUnit) implements Measured {
      @Override
      public Direction direction() {
        // What is not there at all must be drawn; a step down is more of it where it is less.
        return score
            .z()
            .map(Direction::against)
            .orElse(score.rule().centre() < 0 ? Direction.LESS : Direction.MORE);
      }
    }
  }

  public Fix {
    changes = List.copyOf(changes);
    along = List.copyOf(along);
    steps = List.copyOf(steps);
  }

  /** The same over all attempts at one redraw, for what the user said of it. */
  public String key() {
    return act.key() + "." + direction.word();
  }

  /** The act and those that come right with it. */
  public List<Act> acts() {
    List<Act> acts = new ArrayList<>(List.of(act));
    acts.addAll(along);
    return acts;
  }

  /** The readings it mends, farthest off first; none where it is a statement. */
  public List<Change.Measured> measured() {
    return changes.stream()
        .flatMap(
            change ->
                change instanceof Change.Measured measured ? Stream.of(measured) : Stream.empty())
        .toList();
  }

  /** The bands it brings readings into, farthest off first. */
  public List<Rule> rules() {
    return measured().stream().map(change -> change.score().rule()).toList();
  }
}
