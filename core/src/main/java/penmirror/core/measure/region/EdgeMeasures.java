package penmirror.core.measure.region;

import java.util.List;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Ruler;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/** How strong the steps between flat colours are and how fine the detail is. */
public final class EdgeMeasures {
  private static final String SETS = "spreads measured on openly licensed sets, docs/measures.md";

  public static final Measure WEAK =
      edge(
              "edge.weak",
              Unit.COLOUR_STEP,
              Scale.SOFT_LOG,
              "OKLab step that a tenth of the border between touching flats lies below")
          .spreads(0.0663, 0.316, 1.1)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure MEDIAN =
      edge(
              "edge.median",
              Unit.COLOUR_STEP,
              Scale.SOFT_LOG,
              "OKLab step that half of the border between touching flats lies below")
          .spreads(0.0459, 0.378, 0.764)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure SOFT =
      edge(
              "edge.soft",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the border with a step below 0.07: tone on tone")
          .spreads(0.06, 0.0646, 0.146)
          .source(SETS)
          .build();

  public static final Measure MIDDLE =
      edge(
              "edge.middle",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the border with a step from 0.07 to 0.2")
          .spreads(0.0123, 0.0998, 0.205)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure RIM =
      edge(
              "edge.rim",
              Unit.LIGHTNESS,
              Scale.LINEAR,
              "mean lightness just inside the silhouette: dark where it is outlined")
          .spreads(0.0184, 0.126, 0.306)
          .source(SETS)
          .build();

  public static final Measure FLAT =
      edge("edge.flat", Unit.SHARE, Scale.LINEAR, "share of the figure that is perfectly flat")
          .spreads(0.00359, 0.0259, 0.0598)
          .source(SETS)
          .build();

  public static final Measure FINE =
      edge(
              "detail.fine",
              Unit.LOG_SHARE,
              Scale.LINEAR,
              "share of the variation of lightness from 1/350 to 2/350 of the figure's size, logarithm")
          .spreads(0.0194, 0.121, 0.324)
          .source(SETS)
          .build();

  public static final Measure COARSE =
      edge(
              "detail.coarse",
              Unit.LOG_SHARE,
              Scale.LINEAR,
              "share of the variation of lightness from 2/350 to 4/350 of the figure's size, logarithm")
          .spreads(0.0178, 0.112, 0.296)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure LEVEL =
      edge(
              "edge.level",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the lightness steps whose edge runs within 10 degrees of level")
          .spreads(0.0052, 0.0549, 0.0602)
          .source(SETS)
          .asTell()
          .build();

  public static final List<Measure> ALL =
      List.of(WEAK, MEDIAN, SOFT, MIDDLE, RIM, FLAT, FINE, COARSE, LEVEL);

  private EdgeMeasures() {}

  private static Measure.Builder edge(String key, Unit unit, Scale scale, String formula) {
    return Measure.ofPixels(key, MeasureGroup.EDGE, unit, Ruler.NONE, scale, formula);
  }
}
