package penmirror.core.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import penmirror.core.geometry.Point;
import penmirror.core.geometry.Reach;
import penmirror.core.measure.FigureEdit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Corrections of the figure as they are kept with a picture and sent by a page. */
public final class FigureEditsJson {
  private static final int MOST_EDITS = 500;
  private static final int MOST_POINTS_A_STROKE = 5000;
  private static final int MOST_POINTS = 50_000;

  private FigureEditsJson() {}

  public static String write(List<FigureEdit> edits) {
    ObjectNode node = Json.object();
    node.set("edits", node(edits));
    return Json.line(node);
  }

  static ArrayNode node(List<FigureEdit> edits) {
    ArrayNode array = Json.object().putArray("edits");
    for (FigureEdit edit : edits) {
      ObjectNode one = array.addObject();
      one.put("kind", edit.kind().word());
      one.put("radius", edit.radiusPixels());
      ArrayNode points = one.putArray("points");
      edit.points().forEach(point -> points.addArray().add(point.x()).add(point.y()));
    }
    return array;
  }

  /**
   * @throws FormatException naming what does not fit; a body without strokes is none, not an empty
   *     one
   */
  public static List<FigureEdit> read(String json) throws FormatException {
    if (!(Json.parseObject(json).path("edits") instanceof ArrayNode array)) {
      throw new FormatException("Expected a list of strokes in \"edits\".");
    }
    return edits(array);
  }

  static List<FigureEdit> edits(JsonNode array) throws FormatException {
    List<FigureEdit> edits = new ArrayList<>();
    int points = 0;
    for (JsonNode node : array) {
      FigureEdit edit = edit(node);
      edits.add(edit);
      points += edit.points().size();
      if (edits.size() > MOST_EDITS || points > MOST_POINTS) {
        throw new FormatException(
            "At most " + MOST_EDITS + " strokes of " + MOST_POINTS + " points in all can be kept.");
      }
    }
    return edits;
  }

  /**
   * Strokes that were kept, as far as they can be used.
   *
   * @param leftOut how many cannot
   */
  public record Kept(List<FigureEdit> edits, int leftOut) {}

  /** Reads what was kept long ago and may hold what is refused today: that is left out. */
  public static Kept kept(String json) {
    List<FigureEdit> edits = new ArrayList<>();
    int leftOut = 0;
    try {
      for (JsonNode node : Json.parseObject(json).path("edits")) {
        try {
          edits.add(edit(node));
        } catch (FormatException e) {
          leftOut++;
        }
      }
    } catch (FormatException e) {
      leftOut++;
    }
    return new Kept(List.copyOf(edits), leftOut);
  }

  private static FigureEdit edit(JsonNode node) throws FormatException {
    List<Point> points = new ArrayList<>();
    for (JsonNode point : node.path("points")) {
      double x = point.path(0).asDouble(Double.NaN);
      double y = point.path(1).asDouble(Double.NaN);
      if (!Reach.holds(x) || !Reach.holds(y)) {
        throw new FormatException("A point of a stroke is not two numbers within a picture.");
      }
      points.add(new Point(x, y));
      if (points.size() > MOST_POINTS_A_STROKE) {
        throw new FormatException("A stroke has at most " + MOST_POINTS_A_STROKE + " points.");
      }
    }
    double radius = Json.requirePixels(node, "radius", "a stroke");
    try {
      return new FigureEdit(
          FigureEdit.Kind.valueOf(node.path("kind").asString("").toUpperCase(Locale.ROOT)),
          points,
          radius);
    } catch (IllegalArgumentException e) {
      throw new FormatException(
          "A stroke is a loop, keep, drop, face, skin, hair or cloth with points and a radius.");
    }
  }
}
