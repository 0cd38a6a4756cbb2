package penmirror.core.scoring;

import java.util.List;
import java.util.Locale;
import penmirror.core.move.Move;
import penmirror.core.style.Rule;

/**
 * One thing to change in the redraw, with what it would win.
 *
 * @param instruction verb, object, amount, such as "Lower both eyes 14 px"
 * @param why the reading against its rule, in one line
 * @param miss how it looks now, such as "eyes too high"
 * @param pointsGained of the overall score, by scoring the corrected readings again
 * @param moves how each landmark moves, in pixels of the redraw; empty for line, values, colours
 * @param rules the rules it mends, worst first
 */
public record Fix(
    Part part,
    String instruction,
    String why,
    String miss,
    double pointsGained,
    List<Move.Step> moves,
    List<Rule> rules) {

  /** What is taken hold of when it is mended; moves of one part are joined. */
  public enum Part {
    EYES,
    BROWS,
    NOSE,
    MOUTH,
    FACE,
    EARS,
    HAIR,
    NECK,
    SHOULDERS,
    WAIST,
    ARMS,
    LEGS,
    FEET,
    BODY,
    LINE,
    VALUES,
    EDGES,
    PARTS,
    COLOURS;

    /** The word used in files. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  public Fix {
    moves = List.copyOf(moves);
    rules = List.copyOf(rules);
  }
}
