package penmirror.web.look;

import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Notes drawn over a picture, checked before they are kept: they are shown as SVG again. */
final class DrawnNotes {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final int MOST_SHAPES = 500;
  private static final int MOST_POINTS = 4000;
  private static final int LONGEST_TEXT = 200;

  private DrawnNotes() {}

  /**
   * One shape, in pixels of the picture.
   *
   * @param kind line, ellipse or words
   * @param points x and y in turn: of a line's points, an ellipse's two corners, the words' start
   */
  record Shape(String kind, List<Double> points, String text) {}

  /**
   * The same notes written anew, with nothing in them but what is known.
   *
   * @throws IllegalArgumentException naming what is wrong
   */
  static String checked(String json) {
    List<Shape> shapes;
    try {
      shapes = List.of(JSON.readValue(json, Shape[].class));
    } catch (JacksonException e) {
      throw new IllegalArgumentException("Drawn notes are a JSON list of shapes.", e);
    }
    if (shapes.size() > MOST_SHAPES) {
      throw new IllegalArgumentException(
          "A work holds " + MOST_SHAPES + " drawn notes, got " + shapes.size() + ".");
    }
    return JSON.writeValueAsString(shapes.stream().map(DrawnNotes::checked).toList());
  }

  private static Shape checked(Shape shape) {
    List<Double> points = shape.points() == null ? List.of() : shape.points();
    boolean fits =
        switch (String.valueOf(shape.kind())) {
          case "line" -> points.size() >= 4 && points.size() % 2 == 0;
          case "ellipse" -> points.size() == 4;
          case "words" -> points.size() == 2;
          default -> false;
        };
    if (!fits || points.size() > MOST_POINTS || !points.stream().allMatch(Double::isFinite)) {
      throw new IllegalArgumentException(
          "A drawn note is a line, an ellipse or words, got " + shape.kind() + ".");
    }
    String text = shape.text() == null ? "" : shape.text().strip();
    return new Shape(
        shape.kind(),
        points,
        text.length() <= LONGEST_TEXT ? text : text.substring(0, LONGEST_TEXT));
  }
}
