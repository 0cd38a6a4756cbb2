package penmirror.core.format;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;
import penmirror.core.measure.Estimate;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
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
    ObjectNode estimates = node.putObject("estimates");
    readings
        .estimates()
        .forEach(
            (key, estimate) -> {
              ArrayNode array = estimates.putArray(key).add(estimate.value());
              estimate.standardError().ifPresent(array::add);
            });
    ObjectNode absences = node.putObject("absences");
    readings.absences().forEach((key, reason) -> absences.put(key, reason.name()));
    swatches(node.putArray("flats"), readings.flats());
    swatches(node.putArray("swatches"), readings.swatches());
    RoleTonesJson.write(node.putArray("roles"), readings.roles());
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
        estimates(node.path("estimates")),
        absences(node.path("absences")),
        swatches(node.path("swatches")),
        swatches(node.path("flats")),
        RoleTonesJson.read(node.path("roles")));
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

  private static Map<String, Estimate> estimates(JsonNode node) throws FormatException {
    Map<String, Estimate> estimates = new HashMap<>();
    for (Map.Entry<String, JsonNode> entry : node.properties()) {
      double value = entry.getValue().path(0).asDouble(Double.NaN);
      boolean known = entry.getValue().size() > 1;
      double error = known ? entry.getValue().path(1).asDouble(Double.NaN) : 0;
      if (!Double.isFinite(value) || !(error >= 0) || Double.isInfinite(error)) {
        throw new FormatException(
            "The estimate of " + entry.getKey() + " is not a number with its error.");
      }
      estimates.put(
          entry.getKey(), known ? Estimate.of(value, error) : Estimate.withoutError(value));
    }
    return estimates;
  }

  private static Map<String, Reason> absences(JsonNode node) throws FormatException {
    Map<String, Reason> absences = new HashMap<>();
    for (Map.Entry<String, JsonNode> entry : node.properties()) {
      String word = entry.getValue().asString("");
      try {
        absences.put(entry.getKey(), Reason.valueOf(word));
      } catch (IllegalArgumentException e) {
        throw new FormatException(
            "\"" + word + "\" is no reason why " + entry.getKey() + " was not read.");
      }
    }
    return absences;
  }
}
