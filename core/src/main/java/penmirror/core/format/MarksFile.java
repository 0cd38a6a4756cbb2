package penmirror.core.format;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A marks file, {@code *.marks.json}: the landmarks of one figure in one picture.
 *
 * <p>Fields this version does not know are kept and written back.
 */
public final class MarksFile {
  private static final String FORMAT = "pen-mirror/marks";
  private static final int VERSION = 1;

  private final ObjectNode document;
  private final Marks marks;

  private MarksFile(ObjectNode document, Marks marks) {
    this.document = document;
    this.marks = marks;
  }

  public static MarksFile of(Marks marks) {
    ObjectNode document = Json.object();
    document.put("format", FORMAT).put("version", VERSION);
    return new MarksFile(document, marks);
  }

  /** The picture that was marked. */
  public record MarkedImage(String file, String sha256, int widthPixels, int heightPixels) {}

  /** The same file with a note of the picture it belongs to. */
  public MarksFile about(MarkedImage image) {
    ObjectNode copy = document.deepCopy();
    copy.putObject("image")
        .put("file", image.file())
        .put("sha256", image.sha256())
        .put("width", image.widthPixels())
        .put("height", image.heightPixels());
    return new MarksFile(copy, marks);
  }

  /** The same file with what was ticked on the picture: yes, no or unclear by statement. */
  public MarksFile ticked(Map<String, String> statements) {
    ObjectNode copy = document.deepCopy();
    ObjectNode node = copy.putObject("statements");
    statements.forEach(node::put);
    return new MarksFile(copy, marks);
  }

  /** What was ticked; empty where the file says nothing. */
  public Map<String, String> statements() {
    Map<String, String> statements = new LinkedHashMap<>();
    document
        .path("statements")
        .properties()
        .forEach(entry -> statements.put(entry.getKey(), entry.getValue().asString("")));
    return statements;
  }

  /** The same as far as it is clear: whether a statement holds, by its key. */
  public Map<String, Boolean> clearAnswers() {
    Map<String, Boolean> answers = new LinkedHashMap<>();
    statements()
        .forEach(
            (key, answer) -> {
              if (answer.equals("yes") || answer.equals("no")) {
                answers.put(key, answer.equals("yes"));
              }
            });
    return answers;
  }

  /** The picture it was made on; empty when the file does not say how large that was. */
  public Optional<MarkedImage> image() {
    JsonNode image = document.path("image");
    if (!image.path("width").isInt() || !image.path("height").isInt()) {
      return Optional.empty();
    }
    return Optional.of(
        new MarkedImage(
            image.path("file").asString(""),
            image.path("sha256").asString(""),
            image.path("width").asInt(),
            image.path("height").asInt()));
  }

  /**
   * @throws FormatException naming the field that does not fit
   */
  public static MarksFile parse(String json) throws FormatException {
    ObjectNode document = Json.parseObject(json);
    Json.requireFormat(document, FORMAT, VERSION);
    return new MarksFile(document, marks(document));
  }

  public Marks marks() {
    return marks;
  }

  public String toJson() {
    ObjectNode copy = document.deepCopy();
    copy.put("view", marks.view().word());
    copy.set("landmarks", landmarks(marks));
    return Json.pretty(copy);
  }

  /** The landmarks alone, as they stand in marks files and in the output of measure. */
  public static String landmarksJson(Marks marks) {
    return Json.line(landmarks(marks));
  }

  /** Reads what {@link #landmarksJson} writes. */
  public static Marks ofLandmarksJson(View view, String json) throws FormatException {
    return new Marks(view, landmarks(Json.parseObject(json)));
  }

  /**
   * Landmarks that were kept, as far as they can be used.
   *
   * @param leftOut keys of those that cannot: of another version, or where no picture is
   */
  public record Kept(Marks marks, List<String> leftOut) {}

  /**
   * Reads what was kept long ago and may hold what is refused today: that is left out and named.
   */
  public static Kept keptLandmarks(View view, String json) {
    Map<Landmark, Mark> landmarks = new EnumMap<>(Landmark.class);
    List<String> leftOut = new ArrayList<>();
    ObjectNode node;
    try {
      node = Json.parseObject(json);
    } catch (FormatException e) {
      return new Kept(Marks.none(view), List.of("all"));
    }
    for (Map.Entry<String, JsonNode> entry : node.properties()) {
      Optional<Landmark> landmark = Landmark.ofKey(entry.getKey());
      try {
        landmarks.put(
            landmark.orElseThrow(() -> new FormatException("not known")),
            mark(entry.getKey(), entry.getValue()));
      } catch (FormatException e) {
        leftOut.add(entry.getKey());
      }
    }
    return new Kept(new Marks(view, landmarks), List.copyOf(leftOut));
  }

  static ObjectNode landmarks(Marks marks) {
    ObjectNode node = Json.object();
    marks
        .landmarks()
        .forEach(
            (landmark, mark) -> {
              ObjectNode entry = node.putObject(landmark.key());
              mark.point().ifPresent(point -> entry.put("x", point.x()).put("y", point.y()));
              entry.put("state", mark.state().word());
            });
    return node;
  }

  private static Marks marks(ObjectNode document) throws FormatException {
    View view;
    try {
      view = View.ofWord(document.path("view").asString("front"));
    } catch (IllegalArgumentException e) {
      throw new FormatException(String.valueOf(e.getMessage()));
    }
    if (!(document.path("landmarks") instanceof ObjectNode landmarks)) {
      throw new FormatException("Expected an object in \"landmarks\".");
    }
    return new Marks(view, landmarks(landmarks));
  }

  private static Map<Landmark, Mark> landmarks(ObjectNode node) throws FormatException {
    Map<Landmark, Mark> landmarks = new EnumMap<>(Landmark.class);
    for (Map.Entry<String, JsonNode> entry : node.properties()) {
      Optional<Landmark> landmark = Landmark.ofKey(entry.getKey());
      if (landmark.isEmpty()) {
        throw new FormatException("Landmark \"" + entry.getKey() + "\" is not known.");
      }
      landmarks.put(landmark.get(), mark(entry.getKey(), entry.getValue()));
    }
    return landmarks;
  }

  private static Mark mark(String key, JsonNode node) throws FormatException {
    Mark.State state;
    try {
      state = Mark.State.ofWord(node.path("state").asString("placed"));
    } catch (IllegalArgumentException e) {
      throw new FormatException(String.valueOf(e.getMessage()));
    }
    if (state == Mark.State.HIDDEN) {
      return Mark.hidden();
    }
    return Mark.at(
        new Point(
            Json.requirePixels(node, "x", "landmark " + key),
            Json.requirePixels(node, "y", "landmark " + key)),
        state);
  }
}
