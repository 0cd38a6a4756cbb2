package penmirror.core.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.PixelReadings.ValueRange;
import penmirror.core.measure.line.LineReadings;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Pixel readings as they are kept with a picture, exact to the last digit. */
public final class PixelReadingsJson {
  private PixelReadingsJson() {}

  public static String write(PixelReadings readings) {
    ObjectNode node = Json.object();
    node.put("algorithmVersion", readings.algorithmVersion());
    node.put("widthPixels", readings.widthPixels());
    node.put("heightPixels", readings.heightPixels());
    node.put("figureAreaPixels", readings.figureAreaPixels());
    readings
        .line()
        .ifPresent(
            line ->
                node.putObject("line")
                    .put("medianWidthPixels", line.medianWidthPixels())
                    .put("thinWidthPixels", line.thinWidthPixels())
                    .put("thickWidthPixels", line.thickWidthPixels())
                    .put("standardErrorPixels", line.standardErrorPixels())
                    .put("lightness", line.lightness())
                    .put("lengthPixels", line.lengthPixels()));
    readings
        .values()
        .ifPresent(
            range ->
                node.putObject("values").put("dark", range.dark()).put("light", range.light()));
    swatches(node.putArray("swatches"), readings.swatches());
    return Json.line(node);
  }

  public static PixelReadings read(String json) throws FormatException {
    ObjectNode node = Json.parseObject(json);
    String where = "pixel readings";
    return new PixelReadings(
        (int) Json.requireNumber(node, "algorithmVersion", where),
        (int) Json.requireNumber(node, "widthPixels", where),
        (int) Json.requireNumber(node, "heightPixels", where),
        (long) Json.requireNumber(node, "figureAreaPixels", where),
        node.has("line") ? Optional.of(line(node.path("line"))) : Optional.empty(),
        node.has("values")
            ? Optional.of(
                new ValueRange(
                    Json.requireNumber(node.path("values"), "dark", where),
                    Json.requireNumber(node.path("values"), "light", where)))
            : Optional.empty(),
        swatches(node.path("swatches")));
  }

  static void swatches(ArrayNode array, List<Swatch> swatches) {
    for (Swatch swatch : swatches) {
      array
          .addObject()
          .put("lightness", swatch.colour().lightness())
          .put("a", swatch.colour().a())
          .put("b", swatch.colour().b())
          .put("share", swatch.shareOfFigure())
          .put("line", swatch.role() == Swatch.Role.LINE);
    }
  }

  static List<Swatch> swatches(JsonNode array) throws FormatException {
    List<Swatch> swatches = new ArrayList<>();
    for (JsonNode node : array) {
      swatches.add(
          new Swatch(
              new OkLab(
                  Json.requireNumber(node, "lightness", "a swatch"),
                  Json.requireNumber(node, "a", "a swatch"),
                  Json.requireNumber(node, "b", "a swatch")),
              Json.requireNumber(node, "share", "a swatch"),
              node.path("line").asBoolean(false) ? Swatch.Role.LINE : Swatch.Role.UNNAMED));
    }
    return swatches;
  }

  private static LineReadings line(JsonNode node) throws FormatException {
    String where = "line";
    return new LineReadings(
        Json.requireNumber(node, "medianWidthPixels", where),
        Json.requireNumber(node, "thinWidthPixels", where),
        Json.requireNumber(node, "thickWidthPixels", where),
        Json.requireNumber(node, "standardErrorPixels", where),
        Json.requireNumber(node, "lightness", where),
        Json.requireNumber(node, "lengthPixels", where));
  }
}
