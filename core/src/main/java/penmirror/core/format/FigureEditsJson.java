package penmirror.core.format;

import java.util.ArrayList;
import java.util.List;
import penmirror.core.geometry.Point;
import penmirror.core.measure.FigureEdit;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Corrections of the figure as they are kept with a picture and sent by a page. */
public final class FigureEditsJson {
  private static final int MOST_EDITS = 500;
  private static final int MOST_POINTS = 5000;

  private FigureEditsJson() {}

  public static String write(List<FigureEdit> edits) {
    ObjectNode node = Json.object();
    ArrayNode array = node.putArray("edits");
    for (FigureEdit edit : edits) {
      ObjectNode one = array.addObject();
      one.put("kind", edit.kind().word());
      one.put("radius", edit.radiusPixels());
      ArrayNode points = one.putArray("points");
      edit.points().forEach(point -> points.addArray().add(point.x()).add(point.y()));
    }
    return Json.line(node);
  }

  /**
   * @throws FormatException naming what does not fit
   */
  public static List<FigureEdit> read(String json) throws FormatException {
    List<FigureEdit> edits = new ArrayList<>();
    for (JsonNode one : Json.parseObject(json).path("edits")) {
      List<Point> points = new ArrayList<>();
      for (JsonNode point : one.path("points")) {
        double x = point.path(0).asDouble(Double.NaN);
        double y = point.path(1).asDouble(Double.NaN);
        if (!Double.isFinite(x) || !Double.isFinite(y)) {
          throw new FormatException("A point of a stroke is not two numbers.");
        }
        points.add(new Point(x, y));
      }
      if (points.size() > MOST_POINTS || edits.size() >= MOST_EDITS) {
        throw new FormatException(
            "At most " + MOST_EDITS + " strokes of " + MOST_POINTS + " points can be kept.");
      }
      try {
        FigureEdit.Kind kind =
            FigureEdit.Kind.valueOf(
                one.path("kind").asString("").toUpperCase(java.util.Locale.ROOT));
        edits.add(new FigureEdit(kind, points, Json.requireNumber(one, "radius", "a stroke")));
      } catch (IllegalArgumentException e) {
        throw new FormatException(
            "A stroke is a loop, keep, drop, face, skin, hair or cloth with points and a radius.");
      }
    }
    return edits;
  }
}
