package penmirror.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import penmirror.core.figure.Canon;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Evidence;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.Scorer;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.StyleSheet;

class ScoreTableTest {
  private static final Scorer SCORER =
      new Scorer(StyleSheet.of("The adult", View.FRONT, List.of(adult("1"), adult("2"))));

  private static MeasuredWork adult(String id) {
    return MeasuredWork.of(id, "", "", new Evidence(Canon.realistic(), Optional.empty()));
  }

  private static Score score(Marks marks) {
    return SCORER.judged(new Evidence(marks, Optional.empty()), Map.of(), act -> false);
  }

  /** After RFC 4180: a doubled quote is a quote, what stands in quotes may hold anything. */
  private static List<String> cells(String line) {
    assertThat(line).endsWith("\r\n");
    List<String> cells = new ArrayList<>();
    StringBuilder cell = new StringBuilder();
    boolean quoted = false;
    for (int i = 0; i < line.length() - 2; i++) {
      char c = line.charAt(i);
      if (c == '"' && quoted && line.charAt(i + 1) == '"') {
        cell.append('"');
        i++;
      } else if (c == '"') {
        quoted = !quoted;
      } else if (c == ',' && !quoted) {
        cells.add(cell.toString());
        cell.setLength(0);
      } else {
        cell.append(c);
      }
    }
    cells.add(cell.toString());
    return cells;
  }

  @Test
  void everyLineHasACellForEveryName() {
    List<String> names = cells(ScoreTable.header());
    Marks moved =
        Canon.realistic()
            .moved(List.of(Landmark.MOUTH_L, Landmark.MOUTH_R), p -> p.plus(new Point(0, 30)));
    List<String> cells = cells(ScoreTable.row("Bastian, \"the baker\".png", "sheet", score(moved)));
    assertThat(cells).hasSameSizeAs(names);
    assertThat(cells.get(0)).isEqualTo("Bastian, \"the baker\".png");
    assertThat(Double.parseDouble(cells.get(2))).isBetween(1.0, 99.9);
    assertThat(cells.get(names.indexOf("change 1"))).contains("px");
    assertThat(Double.parseDouble(cells.get(names.indexOf("points 1")))).isPositive();
  }

  @Test
  void whatIsNotKnownIsEmptyAndNoNameIsASum() {
    List<String> cells = cells(ScoreTable.row("=1+1", "", score(Marks.none(View.FRONT))));
    assertThat(cells.get(0)).isEqualTo("'=1+1");
    assertThat(cells.subList(1, 5)).containsOnly("");
    assertThat(cells.get(5)).isEqualTo("0.00");
  }
}
