package penmirror.core.measure.line;

import java.util.List;
import java.util.OptionalDouble;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.Ruler;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/**
 * Weight, swelling, course and value of the line, solid black and hatching. What fills them is in
 * {@link LineFacts}, {@link Hatching} and {@link SpotBlacks}.
 */
public final class LineMeasures {
  private static final String SETS = "spreads measured on openly licensed sets, docs/measures.md";
  private static final String ESTIMATE = "common practice; spreads estimated from memory";

  public static final Measure WIDTH =
      line(
              "line.width",
              Unit.HEAD_THOUSANDTHS,
              Ruler.HEAD_THOUSANDTHS,
              Scale.LOG,
              "root of median width of the outline × median width of the inner lines / crown to chin")
          .spreads(0.1, 0.156, 0.745)
          .source(SETS)
          .build();

  public static final Measure WIDTH_BY_FIGURE =
      standIn(
              "line.width.figure",
              Unit.FIGURE_THOUSANDTHS,
              WIDTH,
              Ruler.FIGURE_THOUSANDTHS,
              "root of median width of the outline × median width of the inner lines / square root of"
                  + " the figure's area")
          .spreads(0.1, 0.187, 0.748)
          .source(SETS)
          .build();

  public static final Measure THIN =
      line(
              "line.thin",
              Unit.RATIO,
              Ruler.NONE,
              Scale.LOG,
              "width that a tenth of the line length lies below / median width")
          .spreads(0.0334, 0.25, 0.556)
          .source(SETS)
          .build();

  public static final Measure THICK =
      line(
              "line.thick",
              Unit.RATIO,
              Ruler.NONE,
              Scale.LOG,
              "width that nine tenths of the line length lie below / median width")
          .spreads(0.0161, 0.156, 0.268)
          .source(SETS)
          .build();

  public static final Measure VARIATION =
      line(
              "line.variation",
              Unit.RATIO,
              Ruler.NONE,
              Scale.LINEAR,
              "quartile range of the width over all lines / 1.349 / median width")
          .spreads(0.03, 0.129, 0.27)
          .source(SETS)
          .build();

  public static final Measure STROKE_VARIATION =
      line(
              "line.swell",
              Unit.RATIO,
              Ruler.NONE,
              Scale.LINEAR,
              "deviation of the width along a stroke / its mean width, median over strokes")
          .spreads(0.03, 0.0769, 0.141)
          .source(SETS)
          .build();

  public static final Measure TAPER =
      line(
              "line.taper",
              Unit.SHARE,
              Ruler.NONE,
              Scale.LINEAR,
              "1 − width at free ends / width at the stroke's middle, median over ends")
          .spreads(0.04, 0.155, 0.265)
          .source(SETS)
          .build();

  public static final Measure OUTLINE_INNER =
      line(
              "line.outline.inner",
              Unit.RATIO,
              Ruler.NONE,
              Scale.LOG,
              "median width of the outline / median width of the inner lines")
          .spreads(0.06, 0.12, 0.3)
          .source(ESTIMATE)
          .build();

  public static final Measure OUTLINE_SHARE =
      line(
              "line.outline.share",
              Unit.SHARE,
              Ruler.NONE,
              Scale.LINEAR,
              "length of the outline / length of all lines")
          .spreads(0.05, 0.124, 0.195)
          .source(SETS)
          .build();

  public static final Measure CLOSED =
      line(
              "line.closed",
              Unit.SHARE,
              Ruler.NONE,
              Scale.LINEAR,
              "share of the silhouette that carries a line")
          .spreads(0.05, 0.138, 0.374)
          .source(SETS)
          .build();

  public static final Measure FACE_BODY =
      line(
              "line.face.body",
              Unit.RATIO,
              Ruler.NONE,
              Scale.LOG,
              "median width of the lines inside the face / of the lines elsewhere")
          .spreads(0.06, 0.15, 0.3)
          .source(ESTIMATE)
          .build();

  public static final Measure LASH =
      line(
              "line.lash",
              Unit.RATIO,
              Ruler.NONE,
              Scale.LOG,
              "thickness of the dark above the eye's opening / below it, mean of both eyes")
          .spreads(0.1, 0.3, 0.7)
          .source(ESTIMATE)
          .build();

  public static final Measure WOBBLE =
      line(
              "line.wobble",
              Unit.RATIO,
              Ruler.NONE,
              Scale.LOG,
              "trembling of the line's middle about its smooth course, root mean square / width")
          .spreads(0.15, 0.35, 0.5)
          .source(SETS)
          .build();

  public static final Measure STROKE =
      line(
              "line.stroke",
              Unit.HEADS,
              Ruler.HEAD,
              Scale.LOG,
              "median length of strokes, joined where they run straight on / crown to chin")
          .spreads(0.12, 0.3, 0.55)
          .source(ESTIMATE)
          .build();

  public static final Measure STROKE_BY_FIGURE =
      standIn(
              "line.stroke.figure",
              Unit.RATIO,
              STROKE,
              Ruler.FIGURE,
              "median length of strokes / square root of the figure's area")
          .spreads(0.12, 0.3, 0.55)
          .source(ESTIMATE)
          .build();

  public static final Measure DENSITY =
      line(
              "line.density",
              Unit.HEADS_PER_HEAD,
              Ruler.PER_HEAD,
              Scale.LOG,
              "length of all lines / area of the figure, by the head")
          .spreads(0.12, 0.25, 0.5)
          .source(ESTIMATE)
          .build();

  public static final Measure DENSITY_BY_FIGURE =
      standIn(
              "line.density.figure",
              Unit.FIGURES_PER_FIGURE,
              DENSITY,
              Ruler.PER_FIGURE,
              "length of all lines / square root of the figure's area")
          .spreads(0.12, 0.25, 0.5)
          .source(ESTIMATE)
          .build();

  public static final Measure INK =
      line(
              "line.ink",
              Unit.SHARE,
              Ruler.NONE,
              Scale.LINEAR,
              "area of the lines / area of the figure")
          .spreads(0.01, 0.0306, 0.0636)
          .source(SETS)
          .build();

  public static final Measure DARKNESS =
      line(
              "line.dark",
              Unit.LIGHTNESS,
              Ruler.NONE,
              Scale.LINEAR,
              "median OKLab lightness along the middle of the lines")
          .spreads(0.08, 0.08, 0.20)
          .source(SETS)
          .build();

  public static final Measure CHROMA =
      line(
              "line.chroma",
              Unit.CHROMA,
              Ruler.NONE,
              Scale.LINEAR,
              "median OKLab chroma along the middle of the lines")
          .spreads(0.015, 0.02, 0.045)
          .source(SETS)
          .build();

  public static final Measure BLACK =
      line(
              "line.black",
              Unit.SHARE,
              Ruler.NONE,
              Scale.LINEAR,
              "share of the line length that is black: lightness below 0.35, chroma below 0.08")
          .spreads(0.05, 0.107, 0.405)
          .source(SETS)
          .build();

  public static final Measure TINT =
      line(
              "line.colour",
              Unit.SHARE,
              Ruler.NONE,
              Scale.LINEAR,
              "share of the line beside coloured fills that has the fill's hue within 40 degrees")
          .spreads(0.05, 0.15, 0.35)
          .source(ESTIMATE)
          .build();

  public static final Measure STEP =
      line(
              "line.step",
              Unit.LIGHTNESS,
              Ruler.NONE,
              Scale.LINEAR,
              "how much darker the line is than what it lies on, median along the lines")
          .spreads(0.0258, 0.128, 0.43)
          .source(SETS)
          .ofAStep()
          .build();

  public static final Measure HEIGHT =
      line(
              "line.low",
              Unit.OF_THE_HEIGHT,
              Ruler.NONE,
              Scale.LINEAR,
              "mean height of the lines in the figure, 0 at its top and 1 at its foot")
          .spreads(0.00634, 0.0691, 0.106)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure CORNER =
      line(
              "line.corner",
              Unit.SHARE,
              Ruler.NONE,
              Scale.LINEAR,
              "share of the lines' turning that lies in corners of over 30 degrees")
          .spreads(0.014, 0.163, 0.231)
          .source(SETS)
          .build();

  public static final Measure LEVEL =
      line(
              "line.level",
              Unit.SHARE,
              Ruler.NONE,
              Scale.LINEAR,
              "share of the line length within 10 degrees of level")
          .spreads(0.0059, 0.0713, 0.0989)
          .source(ESTIMATE)
          .asTell()
          .build();

  public static final Measure UPRIGHT =
      line(
              "line.upright",
              Unit.SHARE,
              Ruler.NONE,
              Scale.LINEAR,
              "share of the line length within 10 degrees of upright")
          .spreads(0.0059, 0.0713, 0.0989)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure SPOT_BLACK =
      line(
              "black.share",
              Unit.SHARE,
              Ruler.NONE,
              Scale.LINEAR,
              "area of black thicker than 2.5 line widths / area of the figure")
          .spreads(0.02, 0.05, 0.12)
          .source(ESTIMATE)
          .build();

  public static final Measure HATCH =
      line(
              "hatch.share",
              Unit.SHARE,
              Ruler.NONE,
              Scale.LINEAR,
              "share of the line length that is hatching")
          .spreads(0.04, 0.078, 0.123)
          .source(SETS)
          .build();

  public static final Measure HATCH_CROSS =
      line(
              "hatch.kind",
              Unit.SHARE,
              Ruler.NONE,
              Scale.LINEAR,
              "share of the hatching that crosses its main direction: 0 parallel, one half crossed")
          .spreads(0.06, 0.12, 0.25)
          .source(ESTIMATE)
          .build();

  public static final Measure HATCH_ANGLE =
      line(
              "hatch.angle",
              Unit.DEGREES,
              Ruler.NONE,
              Scale.AXIAL,
              "main direction of the hatching against level, rising to the right positive")
          .spreads(4, 12, 40)
          .source(ESTIMATE)
          .build();

  public static final Measure HATCH_PITCH =
      line(
              "hatch.pitch",
              Unit.HEAD_THOUSANDTHS,
              Ruler.HEAD_THOUSANDTHS,
              Scale.LOG,
              "median distance of hatching lines, middle to middle / crown to chin")
          .spreads(0.06, 0.18, 0.5)
          .source(ESTIMATE)
          .build();

  public static final Measure HATCH_PITCH_BY_FIGURE =
      standIn(
              "hatch.pitch.figure",
              Unit.FIGURE_THOUSANDTHS,
              HATCH_PITCH,
              Ruler.FIGURE_THOUSANDTHS,
              "median distance of hatching lines / square root of the figure's area")
          .spreads(0.06, 0.2, 0.5)
          .source(ESTIMATE)
          .build();

  /** What a hairline cannot tell. */
  static final List<Measure> OF_WIDTH =
      List.of(
          WIDTH,
          THIN,
          THICK,
          VARIATION,
          STROKE_VARIATION,
          TAPER,
          OUTLINE_INNER,
          OUTLINE_SHARE,
          CLOSED,
          WOBBLE,
          FACE_BODY);

  static final List<Measure> OF_HATCHING = List.of(HATCH_CROSS, HATCH_ANGLE, HATCH_PITCH);

  public static final List<Measure> ALL =
      List.of(
          WIDTH,
          WIDTH_BY_FIGURE,
          THIN,
          THICK,
          VARIATION,
          STROKE_VARIATION,
          TAPER,
          OUTLINE_INNER,
          OUTLINE_SHARE,
          CLOSED,
          FACE_BODY,
          LASH,
          WOBBLE,
          STROKE,
          STROKE_BY_FIGURE,
          DENSITY,
          DENSITY_BY_FIGURE,
          INK,
          DARKNESS,
          CHROMA,
          BLACK,
          TINT,
          STEP,
          HEIGHT,
          CORNER,
          LEVEL,
          UPRIGHT,
          SPOT_BLACK,
          HATCH,
          HATCH_CROSS,
          HATCH_ANGLE,
          HATCH_PITCH,
          HATCH_PITCH_BY_FIGURE);

  /** How heavy the line is, in pixels; empty without lines, and where they are hairlines. */
  public static OptionalDouble widthPixels(PixelReadings pixels) {
    return pixels
        .estimate(WIDTH)
        .map(width -> OptionalDouble.of(width.value()))
        .orElse(OptionalDouble.empty());
  }

  private LineMeasures() {}

  private static Measure.Builder line(
      String key, Unit unit, Ruler ruler, Scale scale, String formula) {
    return Measure.ofPixels(key, MeasureGroup.LINE, unit, ruler, scale, formula);
  }

  private static Measure.Builder standIn(
      String key, Unit unit, Measure of, Ruler ruler, String formula) {
    return Measure.of(key, MeasureGroup.LINE, unit)
        .insteadOf(of, formula, ruler)
        .comparedBy(Scale.LOG, Measure.Comparison.ACROSS_VIEWS);
  }
}
