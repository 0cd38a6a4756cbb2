package penmirror.demoart.studio;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import penmirror.core.figure.Landmark;
import penmirror.demoart.manner.Manner;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.page.AreaTruth;
import penmirror.demoart.page.LineTruth;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes {@code *.truth.json}: all that is known about a drawn picture, in pixels of that picture.
 */
final class TruthFile {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private TruthFile() {}

  static String write(Illustration illustration) {
    Commission commission = illustration.commission();
    Map<String, Object> file = new LinkedHashMap<>();
    file.put("format", "pen-mirror/demo-truth");
    file.put("version", 1);
    file.put("file", commission.fileName());
    file.put("width", illustration.rendering().widthPx());
    file.put("height", illustration.rendering().heightPx());
    file.put("hand", commission.manner().name());
    file.put("subject", commission.subject().name());
    file.put("pose", commission.pose().name());
    file.put("view", commission.view().word());
    file.put("cut", commission.cut().name().toLowerCase(Locale.ROOT));
    file.put("mood", commission.mood().word());
    file.put("mirrored", commission.mirrored());
    file.put("seed", commission.seed());
    file.put("slips", commission.slips().stream().map(Slip::words).toList());
    file.put("headPx", rounded(illustration.rendering().headPx()));
    file.put("landmarks", landmarks(illustration));
    file.put("lines", lines(illustration));
    file.put("areas", areas(illustration));
    file.put("shade", shade(illustration));
    file.put("parameters", parameters(illustration));
    return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(file) + "\n";
  }

  private static Map<String, Object> landmarks(Illustration illustration) {
    Map<String, Object> all = new LinkedHashMap<>();
    for (Map.Entry<Landmark, Place> entry : illustration.places().entrySet()) {
      Map<String, Object> place = new LinkedHashMap<>();
      if (entry.getValue().seen() != Place.Seen.AWAY) {
        place.put("x", rounded(entry.getValue().point().x()));
        place.put("y", rounded(entry.getValue().point().y()));
      }
      place.put("seen", entry.getValue().seen().word());
      all.put(entry.getKey().key(), place);
    }
    return all;
  }

  private static Map<String, Object> lines(Illustration illustration) {
    Map<String, Object> all = new LinkedHashMap<>();
    int count = 0;
    for (LineTruth line : illustration.rendering().lines()) {
      Map<String, Object> one = new LinkedHashMap<>();
      one.put("strokes", line.strokes());
      one.put("lengthPx", rounded(line.lengthPx()));
      one.put("meanPx", rounded(line.meanPx()));
      one.put("medianPx", rounded(line.medianPx()));
      one.put("p10Px", rounded(line.p10Px()));
      one.put("p90Px", rounded(line.p90Px()));
      all.put(line.lineClass().word(), one);
      count += line.strokes();
    }
    all.put("count", count);
    return all;
  }

  private static List<Object> areas(Illustration illustration) {
    List<Object> all = new ArrayList<>();
    for (AreaTruth area : illustration.rendering().areas()) {
      Map<String, Object> one = new LinkedHashMap<>();
      one.put("role", area.role().word());
      one.put("litPx", area.litPx());
      one.put("shadedPx", area.shadedPx());
      one.put("lit", hex(area.litRgb()));
      one.put("shaded", hex(area.shadedRgb()));
      all.add(one);
    }
    return all;
  }

  private static Map<String, Object> shade(Illustration illustration) {
    long lit = 0;
    long shaded = 0;
    for (AreaTruth area : illustration.rendering().areas()) {
      lit += area.litPx();
      shaded += area.shadedPx();
    }
    Map<String, Object> shade = new LinkedHashMap<>();
    shade.put("share", rounded(shaded / (double) Math.max(1, lit + shaded)));
    shade.put(
        "edgePx",
        rounded(
            illustration.parameters().get(Parameter.SHADE_EDGE)
                / 1000
                * illustration.rendering().headPx()));
    shade.put("lightDegrees", rounded(illustration.rendering().lightDegrees()));
    shade.put("hatching", illustration.commission().manner().hatching().word());
    return shade;
  }

  private static Map<String, Object> parameters(Illustration illustration) {
    Manner manner = illustration.commission().manner();
    Map<String, Object> all = new LinkedHashMap<>();
    for (Parameter parameter : Parameter.values()) {
      Map<String, Object> one = new LinkedHashMap<>();
      one.put("value", rounded(illustration.parameters().get(parameter)));
      one.put("centre", rounded(manner.centre().get(parameter)));
      one.put("spread", rounded(manner.spread().getOrDefault(parameter, 0.0)));
      all.put(parameter.word(), one);
    }
    return all;
  }

  private static double rounded(double value) {
    return Math.round(value * 1e4) / 1e4;
  }

  private static String hex(int rgb) {
    return String.format(Locale.ROOT, "#%06X", rgb);
  }
}
