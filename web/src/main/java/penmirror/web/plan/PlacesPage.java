package penmirror.web.plan;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.card.CardWords;
import penmirror.core.card.LinesByPlace;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.line.LinePlaces;
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

  /** Whether an attempt stands beside. */
  public boolean hasOwn() {
    return rows.stream().anyMatch(row -> !row.own().isEmpty());
  }

  /** A brush off by more than this share is seen beside the other. */
  private static final double SEEN = 0.2;

  /**
   * @param pixels on the canvas; empty where the works leave the line open
   * @param own of the newest attempt, were it as large; empty where it is not told
   * @param off whether somebody would see the difference
   */
  record Row(String name, String pixels, String own, boolean off) {}

  /**
   * The newest attempt whose lines were read.
   *
   * @param usualThousandths width of its lines over the head
   */
  record Attempt(List<LinePlaces.Seen> seen, double usualThousandths) {}

  /**
   * @param lines empty where too few works tell a place; then there are no rows
   * @param headPixels crown to chin on the canvas
   */
  static PlacesPage of(
      StyleSheet sheet,
      Optional<LinesByPlace> lines,
      Optional<Attempt> attempt,
      double headPixels) {
    Optional<Double> usual =
        sheet
            .rule(LineMeasures.WIDTH)
            .map(Rule::centre)
            .map(thousandths -> thousandths * headPixels / 1000);
    return lines.isEmpty() || usual.isEmpty()
        ? new PlacesPage(List.of(), List.of())
        : new PlacesPage(
            lines.get().places().stream()
                .map(placed -> row(placed, usual.get(), attempt, headPixels))
                .toList(),
            CardWords.of(lines.get()));
  }

  private static Row row(
      LinesByPlace.Placed placed, double usual, Optional<Attempt> attempt, double headPixels) {
    OptionalDouble theirs = placed.isOpen() ? OptionalDouble.empty() : placed.overMedian();
    Optional<Double> own =
        attempt.flatMap(
            of -> {
              OptionalDouble over = LinesByPlace.at(placed.station(), of.seen());
              return over.isPresent()
                  ? Optional.of(over.getAsDouble() * of.usualThousandths() * headPixels / 1000)
                  : Optional.empty();
            });
    boolean off =
        own.isPresent()
            && (theirs.isEmpty()
                || Math.abs(own.get() / (usual * theirs.getAsDouble()) - 1) > SEEN);
    return new Row(
        CardWords.name(placed),
        theirs.isPresent() ? BrushWords.pixels(usual * theirs.getAsDouble()) : "",
        own.map(BrushWords::pixels).orElse(""),
        off);
  }
}
