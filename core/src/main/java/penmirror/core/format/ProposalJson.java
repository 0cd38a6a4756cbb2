package penmirror.core.format;

import penmirror.core.proposal.Proposal;
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
