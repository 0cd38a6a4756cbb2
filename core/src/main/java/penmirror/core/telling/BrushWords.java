package penmirror.core.telling;

import java.util.Locale;
import java.util.stream.Collectors;
import penmirror.core.planning.BrushTable;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;

/** Brushes as one notes them on the edge of the paper. */
public final class BrushWords {
  private BrushWords() {}

  /** Every sort with its width, such as "Outline 18 px, inner lines 10 px". */
  public static String all(BrushTable brushes) {
    return Spoken.sentence(
        brushes.lines().stream().map(BrushWords::one).collect(Collectors.joining(", ")));
  }

  private static String one(BrushTable.Line line) {
    return Wording.text("brush.one." + line.sort().word(), pixels(line.pixels()));
  }

  /** With one decimal under ten pixels, thousands set off. */
  public static String pixels(double value) {
    return String.format(Locale.ROOT, value < 10 ? "%.1f" : "%,.0f", value);
  }
}
