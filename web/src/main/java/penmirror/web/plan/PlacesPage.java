package penmirror.web.plan;

import java.util.List;
import java.util.Optional;
import penmirror.core.card.CardWords;
import penmirror.core.card.LinesByPlace;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.BrushWords;

/**
 * The brush place by place.
 *
 * @param rows from the top down
 * @param told what the works do so, in sentences
 */
record PlacesPage(List<Row> rows, List<String> told) {

  /**
   * @param pixels on the canvas; empty where the works leave the line open
   */
  record Row(String name, String pixels) {}

  /**
   * @param lines empty where too few works tell a place; then there are no rows
   * @param headPixels crown to chin on the canvas
   */
  static PlacesPage of(StyleSheet sheet, Optional<LinesByPlace> lines, double headPixels) {
    Optional<Double> usual =
        sheet
            .rule(LineMeasures.WIDTH)
            .map(Rule::centre)
            .map(thousandths -> thousandths * headPixels / 1000);
    return lines.isEmpty() || usual.isEmpty()
        ? new PlacesPage(List.of(), List.of())
        : new PlacesPage(
            lines.get().places().stream().map(placed -> row(placed, usual.get())).toList(),
            CardWords.of(lines.get()));
  }

  private static Row row(LinesByPlace.Placed placed, double usual) {
    return new Row(
        CardWords.name(placed),
        placed.isOpen() || placed.overMedian().isEmpty()
            ? ""
            : BrushWords.pixels(usual * placed.overMedian().getAsDouble()));
  }
}
