package penmirror.web.plan;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.card.CardWords;
import penmirror.core.card.LinesByPlace;
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
   * @param own of the newest attempt, were it as large; empty where it is not told
   * @param off whether somebody would see the difference
   */
  record Row(String name, String pixels, String own, boolean off) {}

  /** Whether an attempt stands beside. */
  public boolean hasOwn() {
    return rows.stream().anyMatch(row -> !row.own().isEmpty());
  }

  /**
   * @param usualThousandths width of the works' lines over their heads; empty where that is not
   *     ruled
   * @param lines empty where too few works tell a place; then there are no rows
   * @param attempt the newest whose lines were read
   * @param headPixels crown to chin on the canvas
   */
  static PlacesPage of(
      Optional<Double> usualThousandths,
      Optional<LinesByPlace> lines,
      Optional<LinesByPlace.Drawing> attempt,
      double headPixels) {
    return lines.isEmpty() || usualThousandths.isEmpty()
        ? new PlacesPage(List.of(), List.of())
        : new PlacesPage(
            lines.get().compared(usualThousandths.get(), attempt).stream()
                .map(place -> row(place, headPixels))
                .toList(),
            CardWords.of(lines.get()));
  }

  private static Row row(LinesByPlace.Compared place, double headPixels) {
    return new Row(
        CardWords.name(place.station()),
        pixels(place.theirs(), headPixels),
        pixels(place.own(), headPixels),
        place.isOff());
  }

  private static String pixels(OptionalDouble thousandths, double headPixels) {
    return thousandths.isPresent()
        ? BrushWords.pixels(thousandths.getAsDouble() * headPixels / 1000)
        : "";
  }
}
