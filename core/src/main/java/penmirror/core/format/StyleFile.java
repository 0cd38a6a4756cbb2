package penmirror.core.format;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import penmirror.core.act.Act;
import penmirror.core.act.Acts;
import penmirror.core.colour.EncodedSrgb;
import penmirror.core.colour.OkLab;
import penmirror.core.figure.Framing;
import penmirror.core.figure.Kind;
import penmirror.core.figure.Mood;
import penmirror.core.figure.View;
import penmirror.core.measure.Measure;
import penmirror.core.reading.MeasureCatalogue;
import penmirror.core.style.DrawingStage;
import penmirror.core.style.MeasuredWork;
import penmirror.core.style.PaletteColour;
import penmirror.core.style.Portrayal;
import penmirror.core.style.Rule;
import penmirror.core.style.Said;
import penmirror.core.style.Strength;
import penmirror.core.style.StyleSheet;
import penmirror.core.style.Ticked;
import penmirror.core.words.Wording;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A style sheet file, {@code *.style.json}: the rules with the readings of every work behind them,
 * not the pictures. Fields and measures this version does not know are kept and written back.
 */
public final class StyleFile {
  private static final String FORMAT = "pen-mirror/style";
  private static final int VERSION = 1;

  /** No value, spread or tolerance of a style is so large; sums with larger ones overflow. */
  private static final double MOST = 1e9;

  /** A rule counts some bits, a work half, once or twice. */
  private static final double MOST_WEIGHT = 1000;

  private static final int MOST_WORKS = 1_000_000;

  private final ObjectNode document;
  private final StyleSheet sheet;

  private StyleFile(ObjectNode document, StyleSheet sheet) {
    this.document = document;
    this.sheet = sheet;
  }

  public static StyleFile of(StyleSheet sheet) {
    ObjectNode document = Json.object();
    document.put("format", FORMAT).put("version", VERSION);
    document.put("name", sheet.name());
    document.put("caution", Wording.text("file.caution"));
    if (!sheet.uncredited().isEmpty()) {
      document.put("uncredited", uncredited(sheet.uncredited()));
    }
    write(document.putObject("scope").put("view", sheet.view().word()), sheet.wanted());
    ArrayNode works = document.putArray("works");
    sheet.works().forEach(work -> write(works.addObject(), work));
    ArrayNode measures = document.putArray("measures");
    for (Rule rule : sheet.rules()) {
      ObjectNode node = measures.addObject();
      write(node, rule);
      ArrayNode leftOut = Json.array();
      sheet.said().stream()
          .filter(said -> said.measure() == rule.measure())
          .forEach(said -> said.leftOut().forEach(leftOut::add));
      if (!leftOut.isEmpty()) {
        node.set("leftOut", leftOut);
      }
    }
    if (!sheet.markingErrors().isEmpty()) {
      ObjectNode errors = document.putObject("markingErrors");
      sheet.markingErrors().forEach((measure, error) -> errors.put(measure.key(), error));
    }
    ArrayNode palette = document.putArray("palette");
    for (PaletteColour colour : sheet.palette()) {
      palette
          .addObject()
          .put("hex", colour.hex())
          .put("share", colour.meanShareOfFigure())
          .put("works", colour.workCount());
    }
    ArrayNode acts = document.putArray("makeOrBreak");
    sheet.makeOrBreak().forEach(act -> acts.add(act.key()));
    if (!sheet.statements().isEmpty()) {
      ArrayNode statements = document.putArray("statements");
      for (Ticked ticked : sheet.statements()) {
        statements
            .addObject()
            .put("key", ticked.key())
            .put("text", ticked.text())
            .put("stage", ticked.stage().word())
            .put("yes", ticked.yes())
            .put("no", ticked.no());
      }
    }
    return new StyleFile(document, sheet);
  }

  private static List<Ticked> statements(JsonNode document) throws FormatException {
    List<Ticked> statements = new ArrayList<>();
    for (JsonNode node : document.path("statements")) {
      String key = node.path("key").asString("");
      String stage = node.path("stage").asString("");
      try {
        statements.add(
            new Ticked(
                key,
                node.path("text").asString(""),
                DrawingStage.ofWord(stage)
                    .orElseThrow(
                        () ->
                            new IllegalArgumentException(
                                "The statement "
                                    + key
                                    + " has no stage called \""
                                    + stage
                                    + "\".")),
                works(node, "yes", "the statement " + key),
                works(node, "no", "the statement " + key)));
      } catch (IllegalArgumentException e) {
        throw new FormatException(String.valueOf(e.getMessage()));
      }
    }
    return statements;
  }

  /** Acts this version does not know are left out. */
  private static List<Act> makeOrBreak(JsonNode document) {
    List<Act> acts = new ArrayList<>();
    for (JsonNode key : document.path("makeOrBreak")) {
      Acts.byKey(key.asString("")).filter(act -> !acts.contains(act)).ifPresent(acts::add);
    }
    return acts;
  }

  /**
   * @throws FormatException naming the field that does not fit
   */
  public static StyleFile parse(String json) throws FormatException {
    ObjectNode document = Json.parseObject(json);
    Json.requireFormat(document, FORMAT, VERSION);
    List<MeasuredWork> works = new ArrayList<>();
    for (JsonNode work : document.path("works")) {
      works.add(work(work));
    }
    List<Rule> rules = new ArrayList<>();
    List<Said> said = new ArrayList<>();
    for (JsonNode node : document.path("measures")) {
      Optional<Rule> rule = rule(node);
      rule.ifPresent(rules::add);
      if (rule.isPresent()) {
        said(rule.get(), node.path("leftOut")).ifPresent(said::add);
      }
    }
    List<PaletteColour> palette = new ArrayList<>();
    for (JsonNode node : document.path("palette")) {
      palette.add(
          new PaletteColour(
              colour(node.path("hex").asString("")),
              share(node),
              works(node, "works", "the palette")));
    }
    return new StyleFile(
        document,
        new StyleSheet(
            document.path("name").asString(""),
            view(document.path("scope").path("view").asString("front")),
            works,
            rules,
            palette,
            markingErrors(document),
            makeOrBreak(document),
            portrayal(document.path("scope")),
            said,
            statements(document)));
  }

  /** Empty where the works alone made the rule. */
  private static Optional<Said> said(Rule rule, JsonNode leftOut) throws FormatException {
    List<String> ids = new ArrayList<>();
    leftOut.forEach(id -> ids.add(id.asString("")));
    if (!rule.isSetByHand() && ids.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(
          new Said(
              rule.measure(),
              rule.isSetByHand() ? Optional.of(Said.Band.of(rule)) : Optional.empty(),
              ids));
    } catch (IllegalArgumentException e) {
      throw new FormatException(String.valueOf(e.getMessage()));
    }
  }

  public StyleSheet sheet() {
    return sheet;
  }

  public String toJson() {
    return Json.pretty(document);
  }

  private static String uncredited(List<String> titles) {
    return Wording.text("file.uncredited", String.join("; ", titles));
  }

  private static void write(ObjectNode node, MeasuredWork work) {
    node.put("id", work.id());
    node.put("title", work.title());
    node.put("credit", work.credit());
    node.put("view", work.view().word());
    write(node, work.shows());
    node.put("weight", work.weight());
    ObjectNode readings = node.putObject("readings");
    work.values().forEach((measure, value) -> readings.put(measure.key(), value));
    keys(node.putArray("notThere"), work.notThere());
    keys(node.putArray("outOfSight"), work.outOfSight());
    PixelReadingsJson.swatches(node.putArray("swatches"), work.swatches());
    PixelReadingsJson.swatches(node.putArray("flats"), work.flats());
    RoleTonesJson.write(node.putArray("roles"), work.roles());
  }

  private static void keys(ArrayNode keys, Set<Measure> measures) {
    measures.forEach(measure -> keys.add(measure.key()));
  }

  private static void write(ObjectNode node, Rule rule) {
    node.put("measure", rule.measure().key());
    node.put("unit", rule.measure().unit().word());
    node.put("scale", rule.measure().scale().word());
    node.put("centre", rule.centre());
    node.put("low", rule.low());
    node.put("high", rule.high());
    node.put("spread", rule.spread());
    node.put("tolerance", rule.tolerance());
    node.put("roomBelow", rule.room().below());
    node.put("roomAbove", rule.room().above());
    node.put("n", rule.readingCount());
    node.put("strength", rule.strength().word());
    node.put("weight", rule.weight());
    node.put("handSet", rule.isSetByHand());
    node.put("grounds", word(rule.grounds()));
  }

  /** What is not known, or not asked for, is left out. */
  private static void write(ObjectNode node, Portrayal shown) {
    shown.framing().ifPresent(framing -> node.put("framing", framing.word()));
    shown.kind().ifPresent(kind -> node.put("kind", kind.word()));
    shown.mood().ifPresent(mood -> node.put("mood", mood.word()));
    if (!shown.manner().isEmpty()) {
      node.put("manner", shown.manner());
    }
  }

  /** Words that an older file does not have, or of a newer one, say nothing. */
  private static Portrayal portrayal(JsonNode node) {
    return new Portrayal(
        Framing.ofWord(node.path("framing").asString("")),
        Kind.ofWord(node.path("kind").asString("")),
        Mood.ofWord(node.path("mood").asString("")),
        node.path("manner").asString(""));
  }

  private static String word(Rule.Grounds grounds) {
    return grounds.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private static Map<Measure, Double> markingErrors(JsonNode document) throws FormatException {
    Map<Measure, Double> errors = new LinkedHashMap<>();
    JsonNode node = document.path("markingErrors");
    for (Map.Entry<String, JsonNode> entry : node.properties()) {
      Optional<Measure> measure = MeasureCatalogue.byKey(entry.getKey());
      if (measure.isPresent()) {
        double error = Json.requireNumber(node, entry.getKey(), "the marking errors");
        if (!(error >= 0 && error <= MOST)) {
          throw new FormatException(
              "The marking error of " + entry.getKey() + " is 0 or more, got " + error + ".");
        }
        errors.put(measure.get(), error);
      }
    }
    return errors;
  }

  private static MeasuredWork work(JsonNode node) throws FormatException {
    Map<Measure, Double> values = new LinkedHashMap<>();
    for (Map.Entry<String, JsonNode> entry : node.path("readings").properties()) {
      Optional<Measure> measure = MeasureCatalogue.byKey(entry.getKey());
      if (measure.isPresent()) {
        double value =
            Json.requireNumber(node.path("readings"), entry.getKey(), "the readings of a work");
        values.put(measure.get(), admitted(measure.get(), value));
      }
    }
    return new MeasuredWork(
        node.path("id").asString(""),
        node.path("title").asString(""),
        node.path("credit").asString(""),
        view(node.path("view").asString("front")),
        portrayal(node),
        values,
        measures(node.path("notThere")),
        measures(node.path("outOfSight")),
        PixelReadingsJson.swatches(node.path("swatches")),
        PixelReadingsJson.swatches(node.path("flats")),
        RoleTonesJson.read(node.path("roles")),
        weight(node));
  }

  /** By their keys; measures this version does not know are left out, an older file has none. */
  private static Set<Measure> measures(JsonNode node) {
    Set<Measure> measures = new LinkedHashSet<>();
    for (JsonNode key : node) {
      MeasureCatalogue.byKey(key.asString("")).ifPresent(measures::add);
    }
    return measures;
  }

  /** How much the work counts; once where an older file does not say. */
  private static double weight(JsonNode node) throws FormatException {
    double weight = node.path("weight").asDouble(1);
    if (!(weight > 0 && weight <= MOST_WEIGHT)) {
      throw new FormatException(
          "A work's weight lies above 0 and up to " + (int) MOST_WEIGHT + ", got " + weight + ".");
    }
    return weight;
  }

  /** Empty for a measure this version does not know. */
  private static Optional<Rule> rule(JsonNode node) throws FormatException {
    Optional<Measure> known = MeasureCatalogue.byKey(node.path("measure").asString(""));
    if (known.isEmpty()) {
      return Optional.empty();
    }
    Measure measure = known.get();
    String where = "the rule for " + measure.key();
    double tolerance = Json.requireNumber(node, "tolerance", where);
    double weight = Json.requireNumber(node, "weight", where);
    double spread = Json.requireNumber(node, "spread", where);
    if (!(spread >= 0 && spread <= MOST)) {
      throw new FormatException("Expected a spread of 0 or more in " + where + ".");
    }
    if (!(tolerance > 0 && tolerance <= MOST && weight >= 0 && weight <= MOST_WEIGHT)) {
      throw new FormatException(
          "Expected a tolerance above 0 and a weight of 0 to "
              + (int) MOST_WEIGHT
              + " in "
              + where
              + ", got "
              + tolerance
              + " and "
              + weight
              + ".");
    }
    return Optional.of(
        new Rule(
            measure,
            admitted(measure, Json.requireNumber(node, "centre", where)),
            spread,
            tolerance,
            room(node, where),
            works(node, "n", where),
            strength(node.path("strength").asString("usually")),
            weight,
            grounds(node)));
  }

  /** An older file has none. */
  private static Rule.Room room(JsonNode node, String where) throws FormatException {
    double below = node.has("roomBelow") ? Json.requireNumber(node, "roomBelow", where) : 0;
    double above = node.has("roomAbove") ? Json.requireNumber(node, "roomAbove", where) : 0;
    if (!(below >= 0 && below <= MOST && above >= 0 && above <= MOST)) {
      throw new FormatException(
          "Expected a room of 0 or more on either side in "
              + where
              + ", got "
              + below
              + " and "
              + above
              + ".");
    }
    return new Rule.Room(below, above);
  }

  private static int works(JsonNode node, String field, String where) throws FormatException {
    double count = Json.requireNumber(node, field, where);
    if (!(count >= 0 && count <= MOST_WORKS)) {
      throw new FormatException(
          "\"" + field + "\" of " + where + " counts works, got " + count + ".");
    }
    return (int) count;
  }

  private static double share(JsonNode node) throws FormatException {
    double share = Json.requireNumber(node, "share", "the palette");
    if (!(share >= 0 && share <= 1)) {
      throw new FormatException("A share of the palette lies in 0 to 1, got " + share + ".");
    }
    return share;
  }

  private static double admitted(Measure measure, double value) throws FormatException {
    if (!measure.scale().admits(value) || Math.abs(value) > MOST) {
      throw new FormatException(value + " is outside what " + measure.key() + " can be.");
    }
    return value;
  }

  private static Strength strength(String word) throws FormatException {
    for (Strength strength : Strength.values()) {
      if (strength.word().equals(word)) {
        return strength;
      }
    }
    throw new FormatException(
        "Strength \"" + word.toLowerCase(Locale.ROOT) + "\" is not always, usually or free.");
  }

  private static View view(String word) throws FormatException {
    try {
      return View.ofWord(word);
    } catch (IllegalArgumentException e) {
      throw new FormatException(String.valueOf(e.getMessage()));
    }
  }

  /** An older file knows no grounds, and rules of the works alone. */
  private static Rule.Grounds grounds(JsonNode node) {
    if (node.path("handSet").asBoolean(false)) {
      return Rule.Grounds.BY_HAND;
    }
    String word = node.path("grounds").asString("");
    return Arrays.stream(Rule.Grounds.values())
        .filter(grounds -> grounds != Rule.Grounds.BY_HAND && word(grounds).equals(word))
        .findFirst()
        .orElse(Rule.Grounds.ALL);
  }

  private static OkLab colour(String hex) throws FormatException {
    try {
      return OkLab.from(EncodedSrgb.fromHex(hex));
    } catch (IllegalArgumentException e) {
      throw new FormatException(String.valueOf(e.getMessage()));
    }
  }
}
