package penmirror.core.format;

import penmirror.core.geometry.Reach;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes JSON trees, and refuses what does not fit with a sentence. */
final class Json {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();

  private Json() {}

  static ArrayNode array() {
    return JsonNodeFactory.instance.arrayNode();
  }

  static ObjectNode object() {
    return MAPPER.createObjectNode();
  }

  static String line(JsonNode node) {
    return MAPPER.writeValueAsString(node);
  }

  static String pretty(JsonNode node) {
    return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(node);
  }

  static ObjectNode parseObject(String json) throws FormatException {
    try {
      JsonNode node = MAPPER.readTree(json);
      if (node instanceof ObjectNode object) {
        return object;
      }
      throw new FormatException("Expected a JSON object in braces.");
    } catch (JacksonException e) {
      throw new FormatException("Not readable as JSON: " + e.getOriginalMessage());
    }
  }

  /** Checks the format's name and that its version is not newer than ours. */
  static void requireFormat(ObjectNode node, String format, int version) throws FormatException {
    String found = node.path("format").asString("");
    if (!found.equals(format)) {
      throw new FormatException(
          "Expected \"format\": \"" + format + "\", found \"" + found + "\".");
    }
    int foundVersion = node.path("version").asInt(0);
    if (foundVersion > version) {
      throw new FormatException(
          "Made by a newer Pen Mirror: version "
              + foundVersion
              + ", this one reads up to "
              + version
              + ". Update Pen Mirror.");
    }
    if (foundVersion < 1) {
      throw new FormatException("Expected \"version\": 1 or later.");
    }
  }

  static double requireNumber(JsonNode node, String field, String where) throws FormatException {
    JsonNode value = node.path(field);
    if (!value.isNumber() || !Double.isFinite(value.asDouble())) {
      throw new FormatException(
          "Expected a number in \"" + field + "\" of " + where + ", found " + value + ".");
    }
    return value.asDouble();
  }

  /** A coordinate or a length in pixels that can belong to a picture. */
  static double requirePixels(JsonNode node, String field, String where) throws FormatException {
    double pixels = requireNumber(node, field, where);
    if (!Reach.holds(pixels)) {
      throw new FormatException(
          "\""
              + field
              + "\" of "
              + where
              + " lies where no picture is: "
              + pixels
              + " px. Within "
              + (int) Reach.PIXELS
              + " px of its corner is what can be meant.");
    }
    return pixels;
  }
}
