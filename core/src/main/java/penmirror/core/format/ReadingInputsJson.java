package penmirror.core.format;

import penmirror.core.figure.View;
import penmirror.core.reading.ReadingInputs;
import tools.jackson.databind.node.ObjectNode;

/** What readings were made from, as it is kept beside them. */
public final class ReadingInputsJson {
  private ReadingInputsJson() {}

  public static String write(ReadingInputs inputs) {
    ObjectNode node = Json.object();
    node.put("picture", inputs.pictureSha256());
    node.set("heeded", MarksFile.landmarks(inputs.heeded()));
    node.set("strokes", FigureEditsJson.node(inputs.strokes()));
    node.put("algorithmVersion", inputs.algorithmVersion());
    return Json.line(node);
  }

  /**
   * @throws FormatException naming what does not fit
   */
  public static ReadingInputs read(String json) throws FormatException {
    ObjectNode node = Json.parseObject(json);
    return new ReadingInputs(
        node.path("picture").asString(""),
        MarksFile.ofLandmarksJson(View.FRONT, Json.line(node.path("heeded"))),
        FigureEditsJson.edits(node.path("strokes")),
        (int) Json.requireNumber(node, "algorithmVersion", "the inputs of readings"));
  }

  /** By which inputs are found; equal for equal inputs alone. Lower-case hex, 64 digits. */
  public static String hash(ReadingInputs inputs) {
    return Sha256.of(write(inputs));
  }
}
