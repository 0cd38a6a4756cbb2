package penmirror.core.format;

import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import penmirror.core.act.Act;
import penmirror.core.act.ActGroup;
import penmirror.core.move.Move;
import penmirror.core.scoring.ActScore;
import penmirror.core.scoring.Fix;
import penmirror.core.scoring.RoleScore;
import penmirror.core.scoring.RuleScore;
import penmirror.core.scoring.Score;
import penmirror.core.scoring.TickScore;
import penmirror.core.telling.FixWords;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What {@code score} prints for one redraw. Points 0 to 100, coverage and credits 0 to 1. */
public final class ScoreJson {
  private ScoreJson() {}

  public static String write(String file, Score score) {
    return write(file, "", score);
  }

  /**
   * @param style which of several sheets it was held against; empty where there is one
   */
  public static String write(String file, String style, Score score) {
    ObjectNode node = Json.object();
    node.put("file", file);
    if (!style.isEmpty()) {
      node.put("style", style);
    }
    score
        .overall()
        .ifPresentOrElse(points -> node.put("overall", points), () -> node.putNull("overall"));
    score
        .interval()
        .ifPresentOrElse(
            interval ->
                node.put("low", interval.low())
                    .put("high", interval.high())
                    .put("errorUnknown", interval.unshaken()),
            () -> node.putNull("low").putNull("high"));
    node.put("coverage", score.coverage());
    score
        .own()
        .ifPresentOrElse(
            own ->
                node.putObject("own")
                    .put("low", own.low())
                    .put("median", own.median())
                    .put("high", own.high()),
            () -> node.putNull("own"));
    put(node, "byRules", score.byRules());
    put(node, "atAGlance", score.glance());
    ObjectNode groups = node.putObject("groups");
    for (ActGroup group : ActGroup.values()) {
      Score.Share share = score.groups().get(group);
      if (share == null) {
        groups.putNull(group.word());
      } else {
        groups.put(group.word(), 100 * share.points() / share.of());
      }
    }
    ArrayNode acts = node.putArray("acts");
    score.measured().forEach(act -> write(acts.addObject(), act, score.shares().get(act.act())));
    ArrayNode measures = node.putArray("measures");
    score.rules().forEach(rule -> write(measures.addObject(), rule));
    ArrayNode statements = node.putArray("statements");
    for (ActScore answered : score.answered()) {
      TickScore tick = answered.tick().orElseThrow();
      ObjectNode statement = statements.addObject();
      statement.put("key", tick.rule().key());
      statement.put("works", tick.rule().holds().word());
      statement.put("redraw", tick.yes());
      statement.put("makesOrBreaks", answered.makesOrBreaks());
      Score.Share share = score.shares().get(answered.act());
      put(statement, "points", Optional.ofNullable(share).map(Score.Share::points));
      put(statement, "of", Optional.ofNullable(share).map(Score.Share::of));
    }
    ArrayNode roles = node.putArray("roles");
    score.roles().forEach(role -> write(roles.addObject(), role));
    ArrayNode fixes = node.putArray("fixes");
    score.fixes().forEach(fix -> write(fixes.addObject(), fix));
    return Json.line(node);
  }

  private static void put(ObjectNode node, String key, Optional<Double> points) {
    points.ifPresentOrElse(value -> node.put(key, value), () -> node.putNull(key));
  }

  /** What it reached of what it holds of the hundred by the rules. */
  private static void write(ObjectNode node, ActScore act, Score.@Nullable Share share) {
    node.put("act", act.act().key());
    node.put("makesOrBreaks", act.makesOrBreaks());
    put(node, "credit", act.credit());
    put(node, "points", Optional.ofNullable(share).map(Score.Share::points));
    put(node, "of", Optional.ofNullable(share).map(Score.Share::of));
  }

  private static void write(ObjectNode node, RuleScore score) {
    node.put("measure", score.rule().measure().key());
    score
        .reading()
        .ifPresentOrElse(
            reading -> node.put("value", reading.value()), () -> node.putNull("value"));
    score.result().absence().ifPresent(none -> node.put("reason", none.reason().word()));
    node.put("unit", score.rule().measure().unit().word());
    node.put("centre", score.rule().centre());
    node.put("tolerance", score.rule().tolerance());
    node.put("scale", score.rule().measure().scale().word());
    node.put("bandLow", score.rule().low());
    node.put("bandHigh", score.rule().high());
    score.z().ifPresentOrElse(z -> node.put("z", z), () -> node.putNull("z"));
    score
        .credit()
        .ifPresentOrElse(credit -> node.put("credit", credit), () -> node.putNull("credit"));
    node.put("weight", score.rule().weight());
  }

  private static void write(ObjectNode node, RoleScore role) {
    node.put("role", role.tones().role().word());
    node.put("base", role.tones().tones().base().toEncodedSrgb().hex());
    role.tones()
        .tones()
        .shadow()
        .ifPresentOrElse(
            shadow -> node.put("shadow", shadow.toEncodedSrgb().hex()),
            () -> node.putNull("shadow"));
    node.put("wanted", role.wanted().toEncodedSrgb().hex());
    ObjectNode misses = node.putObject("misses");
    role.misses().forEach(miss -> misses.put(miss.step().word(), miss.z()));
  }

  private static void write(ObjectNode node, Fix fix) {
    Act act = fix.act();
    node.put(
        "part",
        act.grip().map(grip -> grip.name().toLowerCase(Locale.ROOT)).orElse(act.group().word()));
    node.put("act", act.key());
    node.put("direction", fix.direction().word());
    ArrayNode along = node.putArray("along");
    fix.along().forEach(other -> along.add(other.key()));
    node.put("text", FixWords.instruction(fix));
    node.put("why", FixWords.why(fix));
    node.put("points", fix.pointsGained());
    ArrayNode moves = node.putArray("moves");
    for (Move.Step move : fix.steps()) {
      moves
          .addObject()
          .put("landmark", move.landmark().key())
          .put("dx", move.dxPixels())
          .put("dy", move.dyPixels());
    }
  }
}
