package penmirror.core.measure.shade;

import java.util.List;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Ruler;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/**
 * Light and dark: values, shadows, highlights and where the light comes from. What fills them is in
 * {@link ShadeFacts}; pairs of touching flats are told in the region package.
 */
public final class ShadeMeasures {
  private static final String SETS = "spreads measured on openly licensed sets, docs/measures.md";
  private static final String ESTIMATE = "common practice; spreads estimated from memory";

  /** Hue that shadows are said to turn toward: between blue and violet in OKLCh. */
  public static final double COOL_HUE_DEGREES = 285;

  public static final Measure STEPS =
      shade(
              "shade.steps",
              Unit.LEVELS,
              Scale.LINEAR,
              "value steps inside one local colour, mean over the figure by area")
          .spreads(0.10, 0.25, 0.45)
          .source(SETS)
          .build();

  public static final Measure SHADED =
      shade(
              "shade.shaded",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the figure whose local colour has more than one value")
          .spreads(0.05, 0.212, 0.343)
          .source(SETS)
          .build();

  public static final Measure COVER =
      shade("shade.cover", Unit.SHARE, Scale.LINEAR, "share of the figure that lies in shadow")
          .spreads(0.02, 0.0363, 0.0775)
          .source(SETS)
          .build();

  public static final Measure LIGHTNESS_STEP =
      shade(
              "shade.dl",
              Unit.LIGHTNESS,
              Scale.LINEAR,
              "lightness of the shadow less that of the light")
          .spreads(0.015, 0.03, 0.06)
          .source(SETS)
          .ofAStep()
          .build();

  public static final Measure CHROMA_RATIO =
      shade("shade.dc", Unit.RATIO, Scale.LINEAR, "chroma of the shadow / chroma of the light")
          .spreads(0.06, 0.199, 0.328)
          .source(SETS)
          .build();

  public static final Measure HUE_TURN =
      shade(
              "shade.dh",
              Unit.DEGREES,
              Scale.LINEAR,
              "hue of the shadow against the light, toward blue and violet positive")
          .spreads(4, 8, 16)
          .source(SETS)
          .build();

  public static final Measure EDGE =
      Measure.ofPixels(
              "shade.edge",
              MeasureGroup.SHADE,
              Unit.HEAD_THOUSANDTHS,
              Ruler.HEAD_THOUSANDTHS,
              Scale.LOG,
              "width of the shadow's border from a tenth to nine tenths of the step / crown to chin")
          .spreads(0.25, 0.4, 0.8)
          .source(SETS)
          .build();

  public static final Measure EDGE_BY_FIGURE =
      Measure.of("shade.edge.figure", MeasureGroup.SHADE, Unit.FIGURE_THOUSANDTHS)
          .insteadOf(
              EDGE,
              "width of the shadow's border / square root of the figure's area",
              Ruler.FIGURE_THOUSANDTHS)
          .comparedBy(Scale.LOG, Measure.Comparison.ACROSS_VIEWS)
          .spreads(0.25, 0.4, 0.8)
          .source(SETS)
          .build();

  public static final Measure HARD =
      shade("shade.hard", Unit.SHARE, Scale.LINEAR, "share of the shadows' border that is hard")
          .spreads(0.1, 0.2, 0.4)
          .source(SETS)
          .build();

  public static final Measure RIM =
      shade(
              "shade.rim",
              Unit.RATIO,
              Scale.LINEAR,
              "chroma on the shadow's border / mean of both sides: the saturated strip")
          .spreads(0.05, 0.1, 0.2)
          .source(ESTIMATE)
          .build();

  public static final Measure GRADIENT =
      shade(
              "shade.gradient",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the figure that runs smoothly through values instead of lying flat")
          .spreads(0.02, 0.06, 0.15)
          .source(SETS)
          .build();

  /** Under this share of the figure a highlight is none: a glint is about as large. */
  public static final double LEAST_HIGHLIGHT = 0.005;

  public static final Measure HIGHLIGHT =
      shade("light.share", Unit.SHARE, Scale.LINEAR, "share of the figure in highlight")
          .spreads(0.02, 0.03, 0.06)
          .source(SETS)
          .build();

  public static final Measure HIGHLIGHT_STEP =
      shade(
              "light.dl",
              Unit.LIGHTNESS,
              Scale.LINEAR,
              "lightness of the highlight less that of its base")
          .spreads(0.015, 0.03, 0.06)
          .source(ESTIMATE)
          .ofAStep()
          .build();

  public static final Measure LIGHT_FROM =
      shade(
              "light.from",
              Unit.DEGREES,
              Scale.CIRCULAR,
              "where the light comes from, clockwise from straight above")
          .spreads(10, 25, 60)
          .source(ESTIMATE)
          .build();

  public static final Measure LIGHT_SPREAD =
      shade(
              "light.spread",
              Unit.DEGREES,
              Scale.LINEAR,
              "circular deviation of the directions along the shadows' border")
          .spreads(16, 16, 25)
          .source(ESTIMATE)
          .build();

  public static final Measure VALUE_RANGE =
      shade(
              "value.range",
              Unit.LIGHTNESS,
              Scale.LINEAR,
              "OKLab lightness of the figure at 95 % less that at 5 %")
          .spreads(0.04, 0.10, 0.20)
          .source(SETS)
          .ofAStep()
          .build();

  public static final Measure VALUE_DARK =
      shade(
              "value.dark",
              Unit.LIGHTNESS,
              Scale.LINEAR,
              "lightness that 5 % of the figure lies below")
          .spreads(0.03, 0.122, 0.248)
          .source(SETS)
          .build();

  public static final Measure VALUE_LIGHT =
      shade(
              "value.light",
              Unit.LIGHTNESS,
              Scale.LINEAR,
              "lightness that 95 % of the figure lies below")
          .spreads(0.03, 0.102, 0.131)
          .source(SETS)
          .build();

  public static final Measure CONTRAST =
      shade(
              "value.contrast",
              Unit.LIGHTNESS,
              Scale.LINEAR,
              "deviation of lightness over the figure")
          .spreads(0.00741, 0.0534, 0.123)
          .source(SETS)
          .ofAStep()
          .build();

  public static final Measure SKIN_HUES =
      shade(
              "skin.hues",
              Unit.DEGREES,
              Scale.LINEAR,
              "circular deviation of hue in the skin, weighed by chroma")
          .spreads(1, 3, 6)
          .source(ESTIMATE)
          .build();

  public static final Measure TEXTURE =
      shade(
              "texture.where",
              Unit.SHARE,
              Scale.LINEAR,
              "fine detail in the shadow / in shadow and light: one half where both have the same")
          .spreads(0.05, 0.1, 0.2)
          .source(ESTIMATE)
          .build();

  public static final Measure PAIRS =
      shade(
              "shade.pairs",
              Unit.PLACES,
              Scale.COUNT,
              "number of flats with a shadow or light of their own")
          .spreads(0.0656, 0.431, 1.09)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure PAIRS_LIT =
      shade(
              "shade.pairs.light",
              Unit.SHARE,
              Scale.LINEAR,
              "share of those borders where the lighter flat is the smaller: highlights, not shadows")
          .spreads(0.0193, 0.284, 0.322)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure ELONGATION =
      shade(
              "shade.round",
              Unit.RATIO,
              Scale.LINEAR,
              "shorter over longer axis of the shadow shapes, median by border")
          .spreads(0.0134, 0.173, 0.223)
          .source(SETS)
          .asTell()
          .build();

  public static final List<Measure> ALL =
      List.of(
          STEPS,
          SHADED,
          COVER,
          LIGHTNESS_STEP,
          CHROMA_RATIO,
          HUE_TURN,
          EDGE,
          EDGE_BY_FIGURE,
          HARD,
          RIM,
          GRADIENT,
          HIGHLIGHT,
          HIGHLIGHT_STEP,
          LIGHT_FROM,
          LIGHT_SPREAD,
          VALUE_RANGE,
          VALUE_DARK,
          VALUE_LIGHT,
          CONTRAST,
          SKIN_HUES,
          TEXTURE,
          PAIRS,
          PAIRS_LIT,
          ELONGATION);

  /** What has no meaning where no local colour has a shadow. */
  static final List<Measure> OF_SHADOW =
      List.of(LIGHTNESS_STEP, CHROMA_RATIO, HUE_TURN, EDGE, HARD, RIM, TEXTURE);

  /** What nobody can tell without a shadow, though the light comes from somewhere. */
  static final List<Measure> OF_LIGHT = List.of(LIGHT_FROM, LIGHT_SPREAD);

  private ShadeMeasures() {}

  private static Measure.Builder shade(String key, Unit unit, Scale scale, String formula) {
    return Measure.ofPixels(key, MeasureGroup.SHADE, unit, Ruler.NONE, scale, formula);
  }
}
