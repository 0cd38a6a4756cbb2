package penmirror.core.format;

import java.util.OptionalDouble;
import penmirror.core.colour.Swatch;
import penmirror.core.figure.HeadFrame;
import penmirror.core.measure.Estimate;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.Reading;
import penmirror.core.measure.Unit;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.reading.MeasureCatalogue;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What {@code measure} prints for one picture. */
public final class MeasureJson {
  private MeasureJson() {}

  /** Where the length of the head comes from. */
  public enum HeadSource {
    MARKS("marks"),
    PROPOSED("proposed"),
    GIVEN("given"),
    NONE("none");

    private final String word;

    HeadSource(String word) {
      this.word = word;
    }
  }

  /**
   * @param headPixels of the head that was given, when {@code source} is GIVEN; otherwise ignored
   */
  public static String write(String file, Evidence evidence, HeadSource source, double headPixels) {
    PixelReadings pixels = evidence.pixels().orElseThrow();
    ObjectNode node = Json.object();
    node.put("file", file);
    node.put("width", pixels.widthPixels());
    node.put("height", pixels.heightPixels());
    double head =
        source == HeadSource.GIVEN
            ? headPixels
            : evidence.marks().headFrame().map(HeadFrame::headPixels).orElse(0.0);
    ObjectNode headNode = node.putObject("head");
    if (source == HeadSource.NONE) {
      headNode.putNull("px");
    } else {
      headNode.put("px", head);
    }
    headNode.put("from", source.word);
    ArrayNode readings = node.putArray("readings");
    pixels
        .estimate(LineMeasures.WIDTH)
        .ifPresent(width -> lineWidth(readings, width, source, head));
    MeasureCatalogue.readAll(evidence)
        .forEach(
            (measure, result) -> {
              if (measure != LineMeasures.WIDTH) {
                result.reading().ifPresent(reading -> reading(readings, reading));
              }
            });
    ArrayNode swatches = node.putArray("swatches");
    for (Swatch swatch : pixels.swatches()) {
      ObjectNode entry = swatches.addObject();
      entry.put("hex", swatch.hex()).put("share", swatch.shareOfFigure());
      if (swatch.role() == Swatch.Role.LINE) {
        entry.put("role", "line");
      } else {
        entry.putNull("role");
      }
    }
    node.set("landmarks", MarksFile.landmarks(evidence.marks()));
    return Json.line(node);
  }

  /** Line weight stands twice: in pixels always, and by the head where one is known. */
  private static void lineWidth(
      ArrayNode readings, Estimate width, HeadSource source, double head) {
    entry(
        readings,
        LineMeasures.WIDTH.key(),
        width.value(),
        Unit.PIXELS,
        width.standardError(),
        Reading.Method.FROM_PIXELS);
    if (source != HeadSource.NONE) {
      entry(
          readings,
          LineMeasures.WIDTH.key(),
          1000 * width.value() / head,
          Unit.HEAD_THOUSANDTHS,
          width.standardError().stream().map(error -> 1000 * error / head).findFirst(),
          Reading.Method.FROM_PIXELS);
    }
  }

  private static void reading(ArrayNode readings, Reading reading) {
    entry(
        readings,
        reading.measure().key(),
        reading.value(),
        reading.measure().unit(),
        reading.standardError(),
        reading.method());
  }

  private static void entry(
      ArrayNode readings,
      String key,
      double value,
      Unit unit,
      OptionalDouble standardError,
      Reading.Method method) {
    ObjectNode node =
        readings
            .addObject()
            .put("measure", key)
            .put("value", value)
            .put("unit", unit.word())
            .putNull("se")
            .put("method", method.word());
    standardError.ifPresent(error -> node.put("se", error));
  }
}
