package penmirror.core.measure.region;

import java.util.List;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Ruler;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/** Face, hair and cloth each for itself, as {@link FigureParts} finds them. */
public final class PartMeasures {
  private static final String SETS = "spreads measured on openly licensed sets, docs/measures.md";

  public static final Measure FACE_STEP =
      part(
              "face.step",
              Unit.COLOUR_STEP,
              Scale.SOFT_LOG,
              "median OKLab step between flats in the face")
          .spreads(0.0479, 0.341, 0.798)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure FACE_CONTRAST =
      part("face.contrast", Unit.LIGHTNESS, Scale.LINEAR, "deviation of lightness in the face")
          .spreads(0.0053, 0.0546, 0.088)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure HAIR_STEP =
      part(
              "hair.step",
              Unit.COLOUR_STEP,
              Scale.SOFT_LOG,
              "median OKLab step between flats in the hair")
          .spreads(0.0474, 0.432, 0.79)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure HAIR_INK =
      part("hair.ink", Unit.SHARE, Scale.LINEAR, "share of the hair that is line")
          .spreads(0.0171, 0.15, 0.284)
          .source(SETS)
          .build();

  public static final Measure HAIR_DETAIL =
      part(
              "hair.detail",
              Unit.RATIO,
              Scale.COUNT,
              "border between flats in the hair / square root of its area")
          .spreads(0.0494, 0.539, 0.824)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure HAIR_CONTRAST =
      part("hair.contrast", Unit.LIGHTNESS, Scale.LINEAR, "deviation of lightness in the hair")
          .spreads(0.00617, 0.0636, 0.103)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure HAIR_STRAIGHT =
      part(
              "hair.straight",
              Unit.SHARE,
              Scale.LINEAR,
              "straight share of the outline of the largest hair flat")
          .spreads(0.08, 0.08, 0.0914)
          .source(SETS)
          .build();

  public static final Measure HAIR_CHROMA =
      part("hair.chroma", Unit.CHROMA, Scale.LINEAR, "chroma of the largest hair flat")
          .spreads(0.0043, 0.0533, 0.0717)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure HAIR_BLACK =
      part("hair.black", Unit.SHARE, Scale.LINEAR, "share of the hair with lightness below 0.35")
          .spreads(0.024, 0.341, 0.401)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure CLOTH_STEP =
      part(
              "cloth.step",
              Unit.COLOUR_STEP,
              Scale.SOFT_LOG,
              "median OKLab step between flats in the clothes")
          .spreads(0.052, 0.558, 0.864)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure CLOTH_INK =
      part("cloth.ink", Unit.SHARE, Scale.LINEAR, "share of the clothes that is line")
          .spreads(0.0151, 0.129, 0.252)
          .source(SETS)
          .build();

  public static final Measure CLOTH_DETAIL =
      part(
              "cloth.detail",
              Unit.RATIO,
              Scale.COUNT,
              "border between flats in the clothes / square root of their area")
          .spreads(0.0417, 0.399, 0.695)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure CLOTH_CONTRAST =
      part("cloth.contrast", Unit.LIGHTNESS, Scale.LINEAR, "deviation of lightness in the clothes")
          .spreads(0.00679, 0.0582, 0.113)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure CLOTH_LIGHT =
      part(
              "cloth.light",
              Unit.LIGHTNESS,
              Scale.LINEAR,
              "lightness of the largest flat of the clothes")
          .spreads(0.0165, 0.197, 0.275)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure CLOTH_CHROMA =
      part("cloth.chroma", Unit.CHROMA, Scale.LINEAR, "chroma of the largest flat of the clothes")
          .spreads(0.00468, 0.0522, 0.078)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure CLOTH_BLACK =
      part(
              "cloth.black",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the clothes with lightness below 0.35")
          .spreads(0.0169, 0.119, 0.282)
          .source(SETS)
          .ofSubject()
          .build();

  public static final Measure CLOTH_STRAIGHT =
      part(
              "cloth.straight",
              Unit.SHARE,
              Scale.LINEAR,
              "straight share of the outline of the largest flat of the clothes")
          .spreads(0.0115, 0.0992, 0.191)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure CLOTH_CORNER =
      part(
              "cloth.corner",
              Unit.SHARE,
              Scale.LINEAR,
              "share of that outline's turning that lies in corners")
          .spreads(0.0134, 0.139, 0.223)
          .source(SETS)
          .build();

  public static final Measure FEATURE_CONTRAST =
      part(
              "feature.step",
              Unit.COLOUR_STEP,
              Scale.SOFT_LOG,
              "median OKLab step from the skin to the features of the face")
          .spreads(0.0479, 0.488, 0.798)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure FEATURE_RED =
      part("feature.red", Unit.SHARE, Scale.LINEAR, "red share of the features: lips, blush, nose")
          .spreads(0.0132, 0.131, 0.22)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure FEATURE_DARK =
      part(
              "feature.dark",
              Unit.SHARE,
              Scale.LINEAR,
              "share of the features with lightness below 0.35")
          .spreads(0.022, 0.276, 0.37)
          .source(SETS)
          .asTell()
          .build();

  public static final Measure SKIN_CHROMA =
      part("skin.chroma", Unit.CHROMA, Scale.LINEAR, "chroma of the skin")
          .spreads(0.00272, 0.0314, 0.0454)
          .source(SETS)
          .build();

  public static final Measure SKIN_HUE =
      part(
              "skin.hue",
              Unit.DEGREES,
              Scale.CIRCULAR,
              "hue of the skin, where its chroma exceeds 0.02")
          .spreads(1.4, 15.9, 22.8)
          .source(SETS)
          .ofSubject()
          .build();

  public static final List<Measure> ALL =
      List.of(
          FACE_STEP,
          FACE_CONTRAST,
          HAIR_STEP,
          HAIR_INK,
          HAIR_DETAIL,
          HAIR_CONTRAST,
          HAIR_STRAIGHT,
          HAIR_CHROMA,
          HAIR_BLACK,
          CLOTH_STEP,
          CLOTH_INK,
          CLOTH_DETAIL,
          CLOTH_CONTRAST,
          CLOTH_LIGHT,
          CLOTH_CHROMA,
          CLOTH_BLACK,
          CLOTH_STRAIGHT,
          CLOTH_CORNER,
          FEATURE_CONTRAST,
          FEATURE_RED,
          FEATURE_DARK,
          SKIN_CHROMA,
          SKIN_HUE);

  static final List<Measure> OF_FACE =
      List.of(
          FACE_STEP,
          FACE_CONTRAST,
          FEATURE_CONTRAST,
          FEATURE_RED,
          FEATURE_DARK,
          SKIN_CHROMA,
          SKIN_HUE);
  static final List<Measure> OF_HAIR =
      List.of(
          HAIR_STEP, HAIR_INK, HAIR_DETAIL, HAIR_CONTRAST, HAIR_STRAIGHT, HAIR_CHROMA, HAIR_BLACK);
  static final List<Measure> OF_CLOTH =
      List.of(
          CLOTH_STEP,
          CLOTH_INK,
          CLOTH_DETAIL,
          CLOTH_CONTRAST,
          CLOTH_LIGHT,
          CLOTH_CHROMA,
          CLOTH_BLACK,
          CLOTH_STRAIGHT,
          CLOTH_CORNER);

  private PartMeasures() {}

  private static Measure.Builder part(String key, Unit unit, Scale scale, String formula) {
    return Measure.ofPixels(key, MeasureGroup.PART, unit, Ruler.NONE, scale, formula);
  }
}
