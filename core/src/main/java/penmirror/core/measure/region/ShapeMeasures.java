package penmirror.core.measure.region;

import java.util.List;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Ruler;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/** Silhouette and regions: round or angular, whole or scalloped. */
public final class ShapeMeasures {
  private static final String SETS = "spreads measured on openly licensed sets, docs/measures.md";
  private static final String ESTIMATE = "common practice; spreads estimated from memory";

  public static final Measure ROUND =
      shape("shape.round", Unit.RATIO, Scale.LINEAR, "shorter over longer axis of the silhouette")
          .spreads(0.00881, 0.072, 0.147)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure SOLID =
      shape(
              "shape.solid",
              Unit.SHARE,
              Scale.LINEAR,
              "area of the silhouette / area of its convex hull")
          .spreads(0.00488, 0.0514, 0.0813)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure EXTENT =
      shape("shape.extent", Unit.SHARE, Scale.LINEAR, "area of the silhouette / area of its box")
          .spreads(0.0059, 0.0665, 0.0985)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure CONCAVE =
      shape("shape.concave", Unit.SHARE, Scale.LINEAR, "inward share of the silhouette's turning")
          .spreads(0.00214, 0.0206, 0.0357)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure CORNER =
      shape(
              "shape.corner",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the silhouette's turning that lies in corners of over 30 degrees")
          .spreads(0.015, 0.14, 0.18)
          .source(ESTIMATE)
          .build();

  public static final Measure STRAIGHT =
      shape("shape.straight", Unit.SHARE, Scale.LINEAR, "straight share of the silhouette")
          .spreads(0.01, 0.07, 0.1)
          .source(ESTIMATE)
          .build();

  public static final Measure LEVEL =
      shape(
              "shape.level",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the silhouette within 8 degrees of level")
          .spreads(0.0021, 0.0340, 0.0384)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure UPRIGHT =
      shape(
              "shape.upright",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the silhouette within 8 degrees of upright")
          .spreads(0.0042, 0.0486, 0.0699)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure REGIONS_WIGGLE =
      shape(
              "region.wiggle",
              Unit.RATIO,
              Scale.LOG,
              "turning of a region's outline / one full turn, median by length: 1 convex, more scalloped")
          .spreads(0.0481, 0.462, 0.802)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure REGIONS_CONCAVE =
      shape("region.concave", Unit.SHARE, Scale.LINEAR, "inward share of the regions' turning")
          .spreads(0.00436, 0.038, 0.0726)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure REGIONS_LEVEL =
      shape(
              "region.level",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the regions' outlines within 8 degrees of level")
          .spreads(0.0036, 0.0404, 0.0601)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure REGIONS =
      shape("region.count", Unit.PLACES, Scale.COUNT, "number of flat regions")
          .spreads(0.034, 0.407, 0.563)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure REGIONS_SPREAD =
      shape(
              "region.spread",
              Unit.RATIO,
              Scale.LINEAR,
              "deviation of the logarithm of the regions' areas")
          .spreads(0.024, 0.292, 0.399)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure REGIONS_LARGEST =
      shape("region.largest", Unit.SHARE, Scale.LINEAR, "largest region / figure")
          .spreads(0.0091, 0.106, 0.152)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure REGIONS_ELONGATED =
      shape(
              "region.round",
              Unit.RATIO,
              Scale.LINEAR,
              "shorter over longer axis of the regions, median")
          .spreads(0.0086, 0.114, 0.143)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure REGIONS_COMPACT =
      shape(
              "region.compact",
              Unit.RATIO,
              Scale.LOG,
              "4π · area / outline² of the regions, median by area: 1 for a disc")
          .spreads(0.032, 0.448, 0.571)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure DISCS =
      shape("region.discs", Unit.SHARE, Scale.LINEAR, "share of the regions that are nearly discs")
          .spreads(0.009, 0.125, 0.15)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure LARGE_STRAIGHT =
      shape(
              "region.straight",
              Unit.SHARE,
              Scale.LINEAR,
              "straight share of the outlines of large regions")
          .spreads(0.0041, 0.0466, 0.0669)
          .source(SETS)
          .build();

  public static final List<Measure> ALL =
      List.of(
          ROUND,
          SOLID,
          EXTENT,
          CONCAVE,
          CORNER,
          STRAIGHT,
          LEVEL,
          UPRIGHT,
          REGIONS_WIGGLE,
          REGIONS_CONCAVE,
          REGIONS_LEVEL,
          REGIONS,
          REGIONS_SPREAD,
          REGIONS_LARGEST,
          REGIONS_ELONGATED,
          REGIONS_COMPACT,
          DISCS,
          LARGE_STRAIGHT);

  private ShapeMeasures() {}

  private static Measure.Builder shape(String key, Unit unit, Scale scale, String formula) {
    return Measure.ofPixels(key, MeasureGroup.SHAPE, unit, Ruler.NONE, scale, formula);
  }
}
