package penmirror.core.format;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Tones;
import penmirror.core.geometry.Point;
import penmirror.core.measure.RoleTones;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The colours of a figure by what they paint, as they stand in readings and style files. */
final class RoleTonesJson {
  private static final String WHERE = "a colour by role";

  private RoleTonesJson() {}

  static void write(ArrayNode array, List<RoleTones> roles) {
    for (RoleTones role : roles) {
      ObjectNode node = array.addObject();
      node.put("role", role.role().word());
      node.put("share", role.shareOfFigure());
      node.put("x", role.place().x());
      node.put("y", role.place().y());
      colour(node.putObject("base"), role.tones().base());
      role.tones().shadow().ifPresent(colour -> colour(node.putObject("shadow"), colour));
      role.tones().strip().ifPresent(colour -> colour(node.putObject("strip"), colour));
      role.tones().highlight().ifPresent(colour -> colour(node.putObject("highlight"), colour));
    }
  }

  /** None where the file is of before there were any. */
  static List<RoleTones> read(JsonNode array) throws FormatException {
    List<RoleTones> roles = new ArrayList<>();
    for (JsonNode node : array) {
      roles.add(
          new RoleTones(
              role(node.path("role").asString("")),
              new Tones(
                  colour(node.path("base")),
                  tone(node.path("shadow")),
                  tone(node.path("strip")),
                  tone(node.path("highlight"))),
              Json.requireNumber(node, "share", WHERE),
              new Point(
                  Json.requireNumber(node, "x", WHERE), Json.requireNumber(node, "y", WHERE))));
    }
    return roles;
  }

  private static Role role(String word) throws FormatException {
    return Arrays.stream(Role.values())
        .filter(role -> role.word().equals(word))
        .findFirst()
        .orElseThrow(
            () ->
                new FormatException(
                    "\""
                        + word
                        + "\" is no role of a colour; known are skin, hair, cloth, cloth-two."));
  }

  private static void colour(ObjectNode node, OkLab colour) {
    node.put("lightness", colour.lightness()).put("a", colour.a()).put("b", colour.b());
  }

  private static Optional<OkLab> tone(JsonNode node) throws FormatException {
    return node.isMissingNode() ? Optional.empty() : Optional.of(colour(node));
  }

  private static OkLab colour(JsonNode node) throws FormatException {
    return new OkLab(
        Json.requireNumber(node, "lightness", WHERE),
        Json.requireNumber(node, "a", WHERE),
        Json.requireNumber(node, "b", WHERE));
  }
}
