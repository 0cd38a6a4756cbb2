package penmirror.core.format;

import penmirror.core.mixing.LayerAnswer;
import tools.jackson.databind.node.ObjectNode;

/** Writes which layer brings one colour to another. */
public final class LayerJson {
  private LayerJson() {}

  /**
   * One object; the layer's colour is left out where the mode cannot reach the target at this
   * opacity, and the least opacity where it can at none.
   */
  public static String write(LayerAnswer answer) {
    ObjectNode node = Json.object();
    node.put("mode", answer.mode().word());
    node.put("reached", answer.reached());
    answer.colour().ifPresent(colour -> node.put("layer", colour.hex()));
    node.put("nearest", answer.nearest().hex());
    node.put("seen", answer.seen().hex());
    answer.leastOpacityPercent().ifPresent(percent -> node.put("leastOpacityPercent", percent));
    return node.toString();
  }
}
