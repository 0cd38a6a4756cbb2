package penmirror.web.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import penmirror.core.measure.Measure;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.planning.BrushTable;
import penmirror.core.planning.BrushTable.Line;
import penmirror.core.planning.BrushTable.Run;
import penmirror.core.planning.GuidePlan.Canvas;
import penmirror.core.style.Rule;
import penmirror.core.style.StyleSheet;
import penmirror.core.telling.ActWords;
import penmirror.core.telling.BrushWords;
import penmirror.core.words.Spoken;
import penmirror.core.words.Wording;

/**
 * The brushes of a style on the user's canvas, drawn as large as they are.
 *
 * @param rules what the works do with line, in sentences
 * @param rows one a sort of line
 * @param facts what is set once at the brush
 * @param black how much of the figure is solid black, in words; empty for next to none
 * @param edge how a shadow ends; empty where nothing is shaded
 * @param thinnestSort the thinnest sort where it is too thin, the word in message keys
 * @param enoughHeight of a canvas on which no line is too thin; empty where none is
 */
record BrushesPage(
    List<String> rules,
    List<Row> rows,
    List<Fact> facts,
    String black,
    Optional<Edge> edge,
    String thinnestSort,
    String enoughHeight) {
  private static final double SAMPLE_PIXELS = 320;
  private static final double OWN_PIXELS = 150;
  private static final double MM_PER_INCH = 25.4;

  /** A brush may be so much off before anybody sees it. */
  private static final double NEAR_ENOUGH_PIXELS = 0.5;

  /** Under this share of the figure, black is in pupils and nostrils alone. */
  private static final double SOME_BLACK = 0.02;

  /** Under this share of the figure nobody would say that there is shadow. */
  private static final double SOME_SHADOW = 0.02;

  /** A canvas is offered in steps of so many pixels. */
  private static final double CANVAS_STEP = 100;

  /** Trembling over width, as the three hands of the demo run from even to rough. */
  private static final double EVEN = 0.08;

  private static final double ROUGH = 0.16;

  /** Where the thinnest is so near the thickest, pressure changes nothing. */
  private static final double ONE_WIDTH = 0.8;

  /**
   * One sort of line.
   *
   * @param sort the word in message keys
   * @param range such as "9 to 11"
   * @param millimetres on paper
   * @param own what the user's newest attempt drew; empty where that is not read
   */
  record Row(
      String sort, String range, String millimetres, List<Sample> samples, Optional<Own> own) {}

  /**
   * @param use whether it is the one to use
   */
  record Sample(StrokePath stroke, String pixels, boolean use) {}

  /**
   * @param off how many pixels too thin or too thick; empty where nobody would see it
   * @param thin whether it is too thin
   */
  record Own(StrokePath stroke, String pixels, String off, boolean thin) {}

  /**
   * @param key of the message that names it
   * @param value in words
   */
  record Fact(String key, String value) {}

  /**
   * @param pixels how wide it runs soft
   * @param hard whether most of it is hard
   */
  record Edge(String pixels, boolean hard, double softPixels) {}

  /**
   * @param own brushes of the newest attempt, as large as the canvas has it
   */
  static BrushesPage of(
      StyleSheet sheet,
      Canvas canvas,
      double headPixels,
      double pixelsPerInch,
      Optional<BrushTable> own) {
    BrushTable table = BrushTable.of(sheet, headPixels);
    Optional<Line> thinnest =
        table.lines().stream()
            .filter(Line::isTooThin)
            .min(Comparator.comparingDouble(Line::pixels));
    return new BrushesPage(
        ActWords.sentences(
            sheet,
            "line-weight",
            "outline",
            "face-line",
            "line-evenness",
            "line-character",
            "line-colour",
            "blacks",
            "hatching"),
        table.lines().stream().map(line -> row(line, table.run(), pixelsPerInch, own)).toList(),
        facts(table.run(), headPixels),
        centre(sheet, LineMeasures.SPOT_BLACK)
            .filter(share -> share > SOME_BLACK)
            .map(Spoken::part)
            .orElse(""),
        edge(sheet, headPixels),
        thinnest.map(line -> line.sort().word()).orElse(""),
        thinnest.map(line -> enough(canvas, line)).orElse(""));
  }

  private static Row row(Line line, Run run, double pixelsPerInch, Optional<BrushTable> own) {
    List<Sample> samples = new ArrayList<>();
    boolean strays = line.highPixels() - line.lowPixels() > NEAR_ENOUGH_PIXELS;
    if (strays) {
      samples.add(sample(line.lowPixels(), run, false));
    }
    samples.add(sample(line.pixels(), run, true));
    if (strays) {
      samples.add(sample(line.highPixels(), run, false));
    }
    return new Row(
        line.sort().word(),
        strays
            ? Wording.text(
                "brush.range",
                BrushWords.pixels(line.lowPixels()),
                BrushWords.pixels(line.highPixels()))
            : BrushWords.pixels(line.pixels()),
        Wording.number(line.pixels() / pixelsPerInch * MM_PER_INCH, 2),
        samples,
        own.flatMap(table -> own(line, table)));
  }

  private static Sample sample(double width, Run run, boolean use) {
    return new Sample(stroke(SAMPLE_PIXELS, width, run), BrushWords.pixels(width), use);
  }

  private static StrokePath stroke(double length, double width, Run run) {
    return StrokePath.of(length, width, run.taper().orElse(0.0), run.swell().orElse(0.0));
  }

  /** Of the same sort; where the attempt makes no such difference, its one brush. */
  private static Optional<Own> own(Line line, BrushTable table) {
    return table.lines().stream()
        .filter(drawn -> drawn.sort() == line.sort())
        .findFirst()
        .or(() -> table.lines().stream().filter(l -> l.sort() == BrushTable.Sort.ALL).findFirst())
        .map(
            drawn -> {
              double off =
                  drawn.pixels() < line.lowPixels()
                      ? line.lowPixels() - drawn.pixels()
                      : Math.max(0, drawn.pixels() - line.highPixels());
              return new Own(
                  stroke(OWN_PIXELS, drawn.pixels(), table.run()),
                  BrushWords.pixels(drawn.pixels()),
                  off > NEAR_ENOUGH_PIXELS ? BrushWords.pixels(off) : "",
                  drawn.pixels() < line.pixels());
            });
  }

  private static List<Fact> facts(Run run, double headPixels) {
    List<Fact> facts = new ArrayList<>();
    run.strokePixels()
        .ifPresent(
            length ->
                facts.add(
                    new Fact(
                        "stroke",
                        Wording.text(
                            "brush.stroke",
                            Wording.number(about(length), 0),
                            heads(length / headPixels)))));
    run.taper()
        .ifPresent(
            share ->
                facts.add(
                    new Fact(
                        "ends",
                        share < 0.1
                            ? Wording.text("brush.ends.blunt")
                            : Wording.text("brush.ends", Spoken.part(1 - share)))));
    run.leastPressure()
        .ifPresent(
            share ->
                facts.add(
                    new Fact(
                        "pressure",
                        share > ONE_WIDTH
                            ? Wording.text("brush.pressure.off")
                            : Wording.text("brush.pressure", Wording.number(100 * share, 0)))));
    run.wobble()
        .ifPresent(
            wobble ->
                facts.add(
                    new Fact(
                        "steadying",
                        Wording.text(
                            "brush.steadying."
                                + (wobble < EVEN ? "strong" : wobble < ROUGH ? "light" : "off")))));
    run.hatching()
        .ifPresent(
            hatching ->
                facts.add(
                    new Fact(
                        "hatching",
                        hatching
                            .angleDegrees()
                            .map(
                                angle ->
                                    Wording.text(
                                        "brush.hatching.leaning",
                                        BrushWords.pixels(hatching.pitchPixels()),
                                        Wording.number(angle, 0)))
                            .orElseGet(
                                () ->
                                    Wording.text(
                                        "brush.hatching",
                                        BrushWords.pixels(hatching.pitchPixels()))))));
    return facts;
  }

  /** Two figures: nobody pulls a stroke to the pixel. */
  private static double about(double value) {
    double unit = Math.pow(10, Math.floor(Math.log10(Math.max(1, value))) - 1);
    return Math.round(value / unit) * unit;
  }

  private static String heads(double heads) {
    return Wording.text("brush.of-a-head", Spoken.part(heads));
  }

  private static Optional<Edge> edge(StyleSheet sheet, double headPixels) {
    boolean shades =
        centre(sheet, ShadeMeasures.COVER).filter(share -> share > SOME_SHADOW).isPresent();
    boolean hard = centre(sheet, ShadeMeasures.HARD).filter(share -> share > 0.5).isPresent();
    return centre(sheet, ShadeMeasures.EDGE)
        .filter(thousandths -> shades)
        .map(thousandths -> thousandths * headPixels / 1000)
        .map(soft -> new Edge(BrushWords.pixels(soft), hard, soft));
  }

  private static String enough(Canvas canvas, Line line) {
    double factor = BrushTable.THINNEST_PIXELS / line.pixels();
    double height = Math.ceil(canvas.heightPixels() * factor / CANVAS_STEP) * CANVAS_STEP;
    return String.format(Locale.ROOT, "%,.0f", height);
  }

  private static Optional<Double> centre(StyleSheet sheet, Measure measure) {
    return sheet.rule(measure).map(Rule::centre);
  }
}
