package penmirror.web.look;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import penmirror.core.geometry.Reach;
import penmirror.web.layout.Texts;
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
  record Shape(
      @Nullable String kind, @Nullable List<@Nullable Double> points, @Nullable String text) {}

  /**
   * The same notes written anew, with nothing in them but what is known.
   *
   * @throws IllegalArgumentException naming what is wrong
   */
  static String checked(String json) {
    List<@Nullable Shape> shapes;
    try {
      shapes = Arrays.asList(JSON.readValue(json, Shape[].class));
    } catch (JacksonException e) {
      throw new IllegalArgumentException("Drawn notes are a JSON list of shapes.", e);
    }
    if (shapes.size() > MOST_SHAPES) {
      throw new IllegalArgumentException(
          "A work holds " + MOST_SHAPES + " drawn notes, got " + shapes.size() + ".");
    }
    return JSON.writeValueAsString(shapes.stream().map(DrawnNotes::checked).toList());
  }

  /** Whether two notes say the same, however they are spaced. */
  static boolean areSame(String one, String other) {
    return JSON.readTree(one).equals(JSON.readTree(other));
  }

  private static boolean isOnAPicture(@Nullable Double pixels) {
    return pixels != null && Reach.holds(pixels);
  }

  private static Shape checked(@Nullable Shape shape) {
    if (shape == null) {
      throw new IllegalArgumentException("A drawn note is a shape, got nothing.");
    }
    List<Double> points = shape.points() == null ? List.of() : shape.points();
    boolean fits =
        switch (String.valueOf(shape.kind())) {
          case "line" -> points.size() >= 4 && points.size() % 2 == 0;
          case "ellipse" -> points.size() == 4;
          case "words" -> points.size() == 2;
          default -> false;
        };
    if (!fits
        || points.size() > MOST_POINTS
        || !points.stream().allMatch(DrawnNotes::isOnAPicture)) {
      throw new IllegalArgumentException(
          "A drawn note is a line, an ellipse or words on the picture, got " + shape.kind() + ".");
    }
    return new Shape(
        shape.kind(), points, Texts.cut(shape.text() == null ? "" : shape.text(), LONGEST_TEXT));
  }
}
