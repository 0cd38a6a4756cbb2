package penmirror.core.telling;

import java.util.ArrayList;
import java.util.List;
import penmirror.core.colour.ColourMatch;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;

/** How a colour mixed by eye differs from the one that was asked for. */
public final class MatchWords {
  /** Differences that are about equally seen: of OKLab lightness and chroma, of degrees. */
  private static final double LIGHT = 0.015;

  private static final double STRONG = 0.012;
  private static final double TURNED = 5;

  private MatchWords() {}

  /** Such as "Too light, a touch too red." */
  public static String told(ColourMatch match) {
    if (match.off() < ColourMatch.JUST_SEEN) {
      return Wording.text("match.right");
    }
    List<String> parts = new ArrayList<>();
    add(parts, "light", match.lighter() / LIGHT);
    add(parts, "strong", match.stronger() / STRONG);
    add(parts, "red", match.redderDegrees() / TURNED);
    return parts.isEmpty()
        ? Wording.text("match.near")
        : Spoken.sentence(String.join(", ", parts)) + ".";
  }

  private static void add(List<String> parts, String what, double steps) {
    if (Math.abs(steps) >= 1) {
      parts.add(
          Wording.text(
              "match." + what + (steps > 0 ? ".more" : ".less"),
              Wording.text(Math.abs(steps) >= 3 ? "match.too" : "match.touch")));
    }
  }
}
