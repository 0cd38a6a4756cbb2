package penmirror.core.measure.colour;

import java.util.List;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Ruler;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/**
 * The palette as numbers; the swatches themselves are in the pixel readings. What fills them is in
 * {@link ColourFacts}. Hues are those of OKLCh in degrees: 30 red, 90 yellow, 145 green, 265 blue.
 */
public final class ColourMeasures {
  private static final String SETS = "spreads measured on openly licensed sets, docs/measures.md";
  private static final String ESTIMATE = "common practice; spreads estimated from memory";

  public static final Measure PALETTE_SIZE =
      colour(
              "pal.count",
              Unit.COLOURS,
              Scale.LINEAR,
              "number of colours that carry 95 % of the figure")
          .spreads(1, 1.5, 3)
          .source(SETS)
          .build();

  public static final Measure VARIETY =
      colour(
              "pal.variety",
              Unit.EQUAL_COLOURS,
              Scale.LINEAR,
              "exponential of the entropy of the shares: as many equal colours would be as varied")
          .spreads(0.5, 0.592, 1.26)
          .source(SETS)
          .build();

  public static final Measure LEAN =
      colour(
              "pal.lean",
              Unit.SHARE,
              Scale.LINEAR,
              "how far the hues agree, weighed by chroma and area: 1 one hue, 0 all round")
          .spreads(0.06, 0.15, 0.3)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure HUE =
      colour("pal.hue", Unit.DEGREES, Scale.CIRCULAR, "mean hue, weighed by chroma and area")
          .spreads(6, 25, 60)
          .source(ESTIMATE)
          .ofSubject()
          .build();

  public static final Measure HARMONY =
      colour(
              "pal.harmony",
              Unit.DEGREES,
              Scale.LINEAR,
              "mean distance of the hues from the best fitting of eight hue templates "
                  + "(Cohen-Or and others, Color Harmonization, 2006; sector widths from memory)")
          .spreads(2, 6, 12)
          .source(ESTIMATE)
          .notScored()
          .build();

  public static final Measure WARM =
      colour(
              "pal.warm",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the coloured area with a hue from 330 over red to 110 degrees")
          .spreads(0.08, 0.194, 0.231)
          .source(SETS)
          .build();

  public static final Measure CHROMA =
      colour("pal.chroma", Unit.CHROMA, Scale.LINEAR, "mean chroma of the figure")
          .spreads(0.012, 0.03, 0.0523)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure CHROMA_COLOURED =
      colour(
              "pal.chroma.coloured",
              Unit.CHROMA,
              Scale.LINEAR,
              "mean chroma of the area that has a hue: chroma above 0.03")
          .spreads(0.012, 0.03, 0.0523)
          .source(SETS)
          .build();

  public static final Measure CHROMA_HIGH =
      colour(
              "pal.chroma.high",
              Unit.CHROMA,
              Scale.LINEAR,
              "chroma that a tenth of the figure exceeds")
          .spreads(0.012, 0.035, 0.06)
          .source(ESTIMATE)
          .ofSubject()
          .build();

  public static final Measure STRONGEST =
      colour(
              "pal.strongest",
              Unit.CHROMA,
              Scale.LINEAR,
              "strongest chroma among colours of at least half a per cent of the figure")
          .spreads(0.00461, 0.0413, 0.0768)
          .source(SETS)
          .build();

  public static final Measure WEAKEST =
      colour(
              "pal.weakest",
              Unit.CHROMA,
              Scale.LINEAR,
              "weakest chroma among colours of at least half a per cent of the figure")
          .spreads(0.000825, 0.00571, 0.0137)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure LIGHT =
      colour("pal.light", Unit.LIGHTNESS, Scale.LINEAR, "mean lightness of the figure")
          .spreads(0.03, 0.123, 0.157)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure LIGHT_RANGE =
      colour(
              "pal.light.range",
              Unit.LIGHTNESS,
              Scale.LINEAR,
              "lightest less darkest of the colours that carry 95 % of the figure")
          .spreads(0.04, 0.1, 0.2)
          .source(ESTIMATE)
          .asTell()
          .build();

  public static final Measure DARKEST =
      colour(
              "pal.darkest",
              Unit.LIGHTNESS,
              Scale.LINEAR,
              "lightness of the darkest colour of at least 0.2 % of the figure: what stands for black")
          .spreads(0.0078, 0.0294, 0.13)
          .source(SETS)
          .build();

  public static final Measure DARKEST_CHROMA =
      colour("pal.darkest.chroma", Unit.CHROMA, Scale.LINEAR, "chroma of that darkest colour")
          .spreads(0.00215, 0.00864, 0.0358)
          .source(SETS)
          .build();

  public static final Measure WHITE =
      colour(
              "pal.white",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the figure that is white: lightness above 0.95, chroma below 0.03")
          .spreads(0.03, 0.0492, 0.264)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure BLACK =
      colour(
              "pal.black",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the figure that is black: lightness below 0.35, chroma below 0.08")
          .spreads(0.03, 0.165, 0.218)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure GREY =
      colour(
              "pal.grey",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the figure without hue: chroma below 0.03")
          .spreads(0.05, 0.146, 0.375)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure UNDERTONE_A =
      colour(
              "pal.neutral.a",
              Unit.LAB,
              Scale.LINEAR,
              "mean a* of what has no hue: greenish below, reddish above 0")
          .spreads(0.5, 1.2, 2.5)
          .source(ESTIMATE)
          .ofSubject()
          .build();

  public static final Measure UNDERTONE_B =
      colour(
              "pal.neutral.b",
              Unit.LAB,
              Scale.LINEAR,
              "mean b* of what has no hue: bluish below, yellowish above 0")
          .spreads(0.5, 1.5, 3)
          .source(ESTIMATE)
          .ofSubject()
          .build();

  public static final Measure REDS =
      colour(
              "pal.reds",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the figure with a hue from 0 to 50 degrees and chroma above 0.04")
          .spreads(0.0189, 0.186, 0.315)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure YELLOWS =
      colour(
              "pal.yellows",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the figure with a hue from 50 to 110 degrees and chroma above 0.04")
          .spreads(0.0183, 0.174, 0.305)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure ACCENT =
      colour(
              "pal.accent",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the figure in small strong colours far from all large ones; 0 without any")
          .spreads(0.013, 0.015, 0.03)
          .source(ESTIMATE)
          .build();

  public static final Measure ACCENT_PLACES =
      colour("pal.accent.places", Unit.PLACES, Scale.COUNT, "in how many places an accent stands")
          .spreads(0.45, 0.5, 0.9)
          .source(ESTIMATE)
          .build();

  public static final Measure FOCUS =
      colour(
              "focus.contrast",
              Unit.RATIO,
              Scale.LINEAR,
              "lightness step from the face to what surrounds it / deviation of lightness in the figure")
          .spreads(0.1, 0.4, 0.8)
          .source(ESTIMATE)
          .build();

  public static final Measure FIGURE_GROUND =
      colour(
              "figure.ground",
              Unit.COLOUR_STEP,
              Scale.LINEAR,
              "OKLab distance from the figure's mean colour to the background's")
          .spreads(0.02, 0.08, 0.15)
          .source(ESTIMATE)
          .ofSubject()
          .build();

  public static final List<Measure> ALL =
      List.of(
          PALETTE_SIZE,
          VARIETY,
          LEAN,
          HUE,
          HARMONY,
          WARM,
          CHROMA,
          CHROMA_COLOURED,
          CHROMA_HIGH,
          STRONGEST,
          WEAKEST,
          LIGHT,
          LIGHT_RANGE,
          DARKEST,
          DARKEST_CHROMA,
          WHITE,
          BLACK,
          GREY,
          UNDERTONE_A,
          UNDERTONE_B,
          REDS,
          YELLOWS,
          ACCENT,
          ACCENT_PLACES,
          FOCUS,
          FIGURE_GROUND);

  /** What has no meaning where nothing has a hue. */
  static final List<Measure> OF_HUE = List.of(LEAN, HUE, HARMONY, WARM, CHROMA_COLOURED);

  private ColourMeasures() {}

  private static Measure.Builder colour(String key, Unit unit, Scale scale, String formula) {
    return Measure.ofPixels(key, MeasureGroup.COLOUR, unit, Ruler.NONE, scale, formula);
  }
}
