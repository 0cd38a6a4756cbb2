package penmirror.web.mirror;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import penmirror.core.card.CardWords;
import penmirror.core.card.LinesByPlace;
import penmirror.core.telling.BrushWords;
import penmirror.core.words.Wording;
import penmirror.web.layout.SvgNumber;

/**
 * The line of a redraw beside the works', place by place.
 *
 * @param off places at which somebody would see a difference, from the top down
 * @param near names of the others
 * @param radius of a loop, pixels of the redraw
 * @param told whether any place could be told
 */
record LinePlacesPage(List<Row> off, String near, String radius, boolean told) {
  private static final double RADII_A_HEAD = 10;

  /**
   * @param at places on the redraw, such as "120,340 480,341"
   */
  record Row(String words, String at) {}

  /**
   * @param usualThousandths width of the works' lines over their heads
   * @param headPixels of the redraw
   */
  static LinePlacesPage of(
      Optional<Double> usualThousandths,
      Optional<LinesByPlace> works,
      Optional<LinesByPlace.Drawing> redraw,
      Optional<Double> headPixels) {
    if (usualThousandths.isEmpty() || works.isEmpty() || redraw.isEmpty() || headPixels.isEmpty()) {
      return new LinePlacesPage(List.of(), "", "0", false);
    }
    double head = headPixels.get();
    List<LinesByPlace.Compared> told =
        works.get().compared(usualThousandths.get(), redraw).stream()
            .filter(place -> !place.at().isEmpty())
            .toList();
    return new LinePlacesPage(
        told.stream().filter(LinesByPlace.Compared::isOff).map(place -> row(place, head)).toList(),
        told.stream()
            .filter(place -> !place.isOff())
            .map(place -> CardWords.name(place.station()))
            .collect(Collectors.joining(", ")),
        SvgNumber.of(head / RADII_A_HEAD),
        !told.isEmpty());
  }

  private static Row row(LinesByPlace.Compared place, double headPixels) {
    return new Row(
        Wording.text(
            "line.place." + way(place),
            CardWords.name(place.station()),
            pixels(place.own(), headPixels),
            pixels(place.theirs(), headPixels)),
        place.at().stream()
            .map(point -> String.format(Locale.ROOT, "%.1f,%.1f", point.x(), point.y()))
            .collect(Collectors.joining(" ")));
  }

  private static String way(LinesByPlace.Compared place) {
    if (place.theirs().isEmpty()) {
      return "closed";
    } else if (place.own().isEmpty()) {
      return "open";
    }
    return place.own().getAsDouble() < place.theirs().getAsDouble() ? "thin" : "heavy";
  }

  private static String pixels(OptionalDouble thousandths, double headPixels) {
    return thousandths.isPresent()
        ? BrushWords.pixels(thousandths.getAsDouble() * headPixels / 1000)
        : "";
  }
}
