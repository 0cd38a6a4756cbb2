package penmirror.core.format;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.proposal.Proposal;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A proposal as JSON: the figure's box, and each landmark with its state and confidence. */
public final class ProposalJson {
  private ProposalJson() {}

  public static String write(Proposal proposal) {
    return write(Json.object(), proposal);
  }

  /**
   * @param file named first, for a line of many
   */
  public static String write(String file, Proposal proposal) {
    return write(Json.object().put("file", file), proposal);
  }

  /**
   * A proposal that was written before. Landmarks that are not known are passed over, as a newer
   * program may have more.
   *
   * @throws FormatException when it is no proposal
   */
  public static Proposal read(View view, String json) throws FormatException {
    JsonNode document = Json.parseObject(json);
    JsonNode box = document.path("figure");
    Map<Landmark, Proposal.Proposed> points = new EnumMap<>(Landmark.class);
    for (Map.Entry<String, JsonNode> entry : document.path("landmarks").properties()) {
      Optional<Landmark> landmark = Landmark.ofKey(entry.getKey());
      if (landmark.isPresent()) {
        JsonNode at = entry.getValue();
        Point place =
            new Point(
                Json.requirePixels(at, "x", entry.getKey()),
                Json.requirePixels(at, "y", entry.getKey()));
        points.put(
            landmark.get(),
            new Proposal.Proposed(place, Json.requireNumber(at, "confidence", entry.getKey())));
      }
    }
    return new Proposal(
        view,
        points,
        new Proposal.Box(
            Json.requirePixels(box, "left", "figure"),
            Json.requirePixels(box, "top", "figure"),
            Json.requirePixels(box, "right", "figure"),
            Json.requirePixels(box, "bottom", "figure")));
  }

  private static String write(ObjectNode document, Proposal proposal) {
    Proposal.Box box = proposal.figure();
    document
        .putObject("figure")
        .put("left", rounded(box.left()))
        .put("top", rounded(box.top()))
        .put("right", rounded(box.right()))
        .put("bottom", rounded(box.bottom()));
    document.set("landmarks", landmarks(proposal));
    return Json.line(document);
  }

  static ObjectNode landmarks(Proposal proposal) {
    ObjectNode landmarks = Json.object();
    proposal
        .points()
        .forEach(
            (landmark, proposed) ->
                landmarks
                    .putObject(landmark.key())
                    .put("x", rounded(proposed.place().x()))
                    .put("y", rounded(proposed.place().y()))
                    .put("state", "proposed")
                    .put("confidence", Math.round(100 * proposed.confidence()) / 100.0));
    return landmarks;
  }

  /** To the hundredth of a pixel: no proposal is better than that. */
  private static double rounded(double pixels) {
    return Math.round(100 * pixels) / 100.0;
  }
}
