package penmirror.core.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.Score;
import penmirror.core.telling.FixWords;

/**
 * Many drawings held against a sheet, one a line, for a spreadsheet: CSV after RFC 4180, lines
 * ended by CR LF, points with a decimal point.
 */
public final class ScoreTable {
  private static final int WORST = 3;
  private static final String END = "\r\n";

  private ScoreTable() {}

  public static String header() {
    List<String> names =
        new ArrayList<>(
            List.of("picture", "sheet", "by the rules", "at a glance", "belongs", "covered"));
    for (int i = 1; i <= WORST; i++) {
      names.add("change " + i);
      names.add("points " + i);
    }
    return line(names);
  }

  /**
   * @param picture whose score it is; a name that a spreadsheet would take for a sum is made text
   * @param sheet empty where there is only one
   */
  public static String row(String picture, String sheet, Score score) {
    List<String> cells = new ArrayList<>();
    cells.add(picture);
    cells.add(sheet);
    cells.add(number(score.byRules()));
    cells.add(number(score.glance()));
    cells.add(score.belongs().map(belongs -> belongs ? "yes" : "no").orElse(""));
    cells.add(String.format(Locale.ROOT, "%.2f", score.coverage()));
    for (int i = 0; i < WORST; i++) {
      Optional<Fix> fix =
          i < score.fixes().size() ? Optional.of(score.fixes().get(i)) : Optional.empty();
      cells.add(fix.map(FixWords::instruction).orElse(""));
      cells.add(number(fix.map(Fix::pointsGained)));
    }
    return line(cells);
  }

  private static String number(Optional<Double> points) {
    return points.map(p -> String.format(Locale.ROOT, "%.1f", p)).orElse("");
  }

  private static String line(List<String> cells) {
    return String.join(",", cells.stream().map(ScoreTable::cell).toList()) + END;
  }

  private static String cell(String text) {
    // Common practice against cells that would be worked out when the file is opened.
    String plain = text.matches("(?s)[=+@\t\r].*") ? "'" + text : text;
    return plain.matches("(?s).*[\",\r\n].*") ? '"' + plain.replace("\"", "\"\"") + '"' : plain;
  }
}
