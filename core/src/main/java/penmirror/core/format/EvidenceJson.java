package penmirror.core.format;

import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import penmirror.core.colour.Swatch;
import penmirror.core.geometry.Point;
import penmirror.core.measure.colour.ColourFacts;
import penmirror.core.measure.colour.HueTemplate;
import penmirror.core.measure.colour.Palette;
import penmirror.core.measure.face.IrisReader;
import penmirror.core.measure.line.DrawnLines;
import penmirror.core.measure.line.Hatching;
import penmirror.core.measure.line.LineFacts;
import penmirror.core.measure.line.SpotBlacks;
import penmirror.core.measure.line.Stroke;
import penmirror.core.measure.region.FigureParts;
import penmirror.core.measure.region.LimbReader;
import penmirror.core.measure.shade.ShadeFacts;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.raster.Mask;
import penmirror.core.raster.PixelGrid;
import penmirror.core.reading.PixelEvidence;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What readings were read from, for drawing it over the picture: traced strokes, shadow borders,
 * and maps on a grid of at most about 640 cells a side, told as runs of (value, cells).
 */
public final class EvidenceJson {
  private static final int GRID = 640;

  /** Points of a stroke that are told; the rest lie between them. */
  private static final int STROKE_STRIDE = 3;

  private static final int MOST_BORDERS = 1500;

  private final PixelEvidence evidence;
  private final int width;
  private final int height;
  private final double cell;

  private EvidenceJson(PixelEvidence evidence) {
    this.evidence = evidence;
    int pictureWidth = evidence.readings().widthPixels();
    int pictureHeight = evidence.readings().heightPixels();
    cell = Math.max(1, Math.max(pictureWidth, pictureHeight) / (double) GRID);
    width = Math.max(1, (int) Math.round(pictureWidth / cell));
    height = Math.max(1, (int) Math.round(pictureHeight / cell));
  }

  public static String write(PixelEvidence evidence) {
    return Json.line(new EvidenceJson(evidence).document());
  }

  private ObjectNode document() {
    ObjectNode node = Json.object();
    node.put("width", evidence.readings().widthPixels());
    node.put("height", evidence.readings().heightPixels());
    node.put("lineWidth", evidence.lines().map(DrawnLines::medianWidthPixels).orElse(0.0));
    evidence.lines().ifPresent(lines -> strokes(node.putArray("strokes"), lines));
    borders(node.putArray("borders"));
    swatches(node);
    light(node);
    limbs(node.putArray("limbs"));
    irises(node.putArray("irises"));
    ObjectNode grid = node.putObject("grid");
    grid.put("width", width);
    grid.put("height", height);
    ObjectNode maps = node.putObject("maps");
    Mask figure = evidence.figure().figure();
    runs(maps.putArray("figure"), i -> figure.values()[coarse(i)] ? 1 : 0);
    runs(maps.putArray("colour"), i -> evidence.palette().labels()[coarse(i)] + 1);
    runs(maps.putArray("tone"), i -> evidence.shade().tone(coarse(i)).ordinal());
    double line = evidence.lines().map(DrawnLines::medianWidthPixels).orElse(0.0);
    Mask black = SpotBlacks.of(evidence.figure(), line);
    runs(maps.putArray("black"), i -> black.values()[coarse(i)] ? 1 : 0);
    int[] steps = evidence.flats().stepClasses();
    runs(maps.putArray("step"), i -> steps[flat(i)]);
    evidence.parts().ifPresent(parts -> parts(node, maps, parts));
    return node;
  }

  /** Where the light comes from, in degrees from above, and how far the parts differ. */
  private void light(ObjectNode node) {
    evidence
        .readings()
        .estimate(ShadeMeasures.LIGHT_FROM)
        .ifPresent(
            from -> {
              ObjectNode light = node.putObject("light");
              light.put("degrees", from.value());
              light.put(
                  "spread",
                  evidence
                      .readings()
                      .estimate(ShadeMeasures.LIGHT_SPREAD)
                      .map(s -> s.value())
                      .orElse(0.0));
            });
  }

  /** Each limb from border to border: x, y, x, y. */
  private void limbs(ArrayNode array) {
    for (LimbReader.Across limb : evidence.limbs()) {
      for (Point end : List.of(limb.from(), limb.to())) {
        array.add(Math.round(end.x() * 10) / 10.0).add(Math.round(end.y() * 10) / 10.0);
      }
    }
  }

  /** Each iris, then its lights: x, y, radius of each. */
  private void irises(ArrayNode array) {
    for (IrisReader.Iris iris : evidence.irises()) {
      ArrayNode circles = array.addArray();
      circle(circles, iris.centre(), iris.radiusPixels());
      for (IrisReader.Light light : iris.lights()) {
        circle(circles, light.at(), light.radii() * iris.radiusPixels());
      }
    }
  }

  private static void circle(ArrayNode array, Point middle, double radius) {
    for (double value : new double[] {middle.x(), middle.y(), radius}) {
      array.add(Math.round(value * 10) / 10.0);
    }
  }

  /** Pixel of the copy that colours were read on, under a cell of the grid. */
  private int coarse(int cellIndex) {
    return evidence.figure().coarseIndex(pictureX(cellIndex), pictureY(cellIndex));
  }

  private double pictureX(int cellIndex) {
    return PixelGrid.toLarge(cellIndex % width, cell);
  }

  private double pictureY(int cellIndex) {
    return PixelGrid.toLarge(cellIndex / width, cell);
  }

  private int flat(int cellIndex) {
    return evidence.flats().index(pictureX(cellIndex), pictureY(cellIndex));
  }

  private void runs(ArrayNode array, IntUnaryOperator value) {
    int before = value.applyAsInt(0);
    int count = 0;
    for (int i = 0; i < width * height; i++) {
      int here = value.applyAsInt(i);
      if (here != before) {
        array.add(before).add(count);
        before = here;
        count = 0;
      }
      count++;
    }
    array.add(before).add(count);
  }

  /** Each stroke: kinds of its points as text, and x, y, width of each, in tenths of a pixel. */
  private void strokes(ArrayNode array, DrawnLines lines) {
    boolean[][] outline = LineFacts.outline(lines, evidence.figure());
    boolean[][] hatched = Hatching.hatched(lines, evidence.figure());
    for (int s = 0; s < lines.strokes().size(); s++) {
      Stroke stroke = lines.strokes().get(s);
      ObjectNode node = array.addObject();
      StringBuilder kinds = new StringBuilder();
      ArrayNode points = node.putArray("p");
      int last = stroke.size() - 1;
      for (int i = 0; i <= last; i = i < last ? Math.min(last, i + STROKE_STRIDE) : last + 1) {
        if (stroke.isRead(i)) {
          points.add(tenths(lines.toPicture(stroke.xs()[i])));
          points.add(tenths(lines.toPicture(stroke.ys()[i])));
          points.add(tenths(stroke.widths()[i] * lines.factor()));
          kinds.append(hatched[s][i] ? 'h' : outline[s][i] ? 'o' : 'i');
        }
      }
      node.put("k", kinds.toString());
    }
  }

  private static long tenths(double pixels) {
    return Math.round(10 * pixels);
  }

  /** Each place: x, y, step toward the light in hundredths, width, 1 where hard. */
  private void borders(ArrayNode array) {
    var borders = evidence.shade().borders();
    int stride = Math.max(1, borders.size() / MOST_BORDERS);
    int factor = evidence.figure().factor();
    for (int k = 0; k < borders.size(); k += stride) {
      ShadeFacts.Border border = borders.get(k);
      array
          .addArray()
          .add(Math.round((border.x() + 0.5) * factor))
          .add(Math.round((border.y() + 0.5) * factor))
          .add(Math.round(100 * border.lightX()))
          .add(Math.round(100 * border.lightY()))
          .add(tenths(border.widthPixels() * factor))
          .add(border.hard() ? 1 : 0);
    }
  }

  private void swatches(ObjectNode node) {
    ArrayNode array = node.putArray("swatches");
    Palette palette = evidence.palette();
    for (Swatch swatch : palette.swatches()) {
      array
          .addObject()
          .put("hex", swatch.hex())
          .put("share", swatch.shareOfFigure())
          .put("lightness", swatch.colour().lightness())
          .put("chroma", swatch.colour().chroma())
          .put("hue", swatch.colour().hueDegrees());
    }
    ArrayNode accents = node.putArray("accents");
    ColourFacts.accentLabels(palette).forEach(accents::add);
    Optional<HueTemplate.Fit> fit = ColourFacts.harmony(palette.swatches());
    fit.ifPresent(
        best -> {
          ObjectNode harmony = node.putObject("harmony");
          harmony.put("template", best.template().name());
          harmony.put("turn", best.turnDegrees());
          ArrayNode sectors = harmony.putArray("sectors");
          best.template().eachSector((middle, width) -> sectors.addArray().add(middle).add(width));
        });
  }

  private void parts(ObjectNode node, ObjectNode maps, FigureParts parts) {
    runs(maps.putArray("part"), i -> parts.at(flat(i)).ordinal());
    int factor = evidence.flats().factor();
    ArrayNode face = node.putArray("face");
    for (int side : parts.faceBox()) {
      face.add(side * factor);
    }
  }
}
