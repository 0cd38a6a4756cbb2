package penmirror.core.act;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import penmirror.core.figure.Feature;
import penmirror.core.measure.Measure;
import penmirror.core.measure.colour.ColourMeasures;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.face.IrisMeasures;
import penmirror.core.measure.face.TurnMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.FreePair;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.region.EdgeMeasures;
import penmirror.core.measure.region.LimbMeasures;
import penmirror.core.measure.region.PartMeasures;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.measure.region.ShapeMeasures;
import penmirror.core.measure.shade.ShadeMeasures;

/**
 * Every act, in the order in which a sheet tells them. Each measure that speaks of manner belongs
 * to one of them; what stands in for another where heads are not marked stands beside it.
 */
public final class Acts {
  /** Under these shares nobody would say that there is any; set by eye on the demo's pictures. */
  private static final double SOME = 0.12;

  private static final double SOME_SHADOW = 0.02;
  private static final double SOME_ACCENT = 0.004;

  static final String STATEMENT = "tick.";

  private static final List<Act> ALL =
      List.of(
          of(
              "heads-tall",
              ActGroup.PROPORTION,
              Feature.BODY,
              ProportionMeasures.STATURE,
              ProportionMeasures.STATURE_WITH_HAIR,
              ProportionMeasures.STATURE_ALONG_AXIS,
              ProportionMeasures.STATURE_ALONG_AXIS_WITH_HAIR),
          of(
              "legs",
              ActGroup.PROPORTION,
              Feature.LEGS,
              ProportionMeasures.LEGS,
              ProportionMeasures.LEG_HALVES),
          of("feet", ActGroup.PROPORTION, Feature.FEET, ProportionMeasures.FOOT),
          of(
              "shoulders",
              ActGroup.PROPORTION,
              Feature.SHOULDERS,
              ProportionMeasures.SHOULDERS,
              ProportionMeasures.SHOULDER_DROP),
          of(
              "waist",
              ActGroup.PROPORTION,
              Feature.WAIST,
              ProportionMeasures.SHOULDERS_TO_WAIST,
              ProportionMeasures.HIPS_TO_WAIST),
          of(
              "arms",
              ActGroup.PROPORTION,
              Feature.ARMS,
              ProportionMeasures.ARMS,
              ProportionMeasures.ARM_HALVES),
          of(
              "limbs",
              ActGroup.PROPORTION,
              Feature.ARMS,
              LimbMeasures.FOREARM,
              LimbMeasures.BARE_FOREARM,
              LimbMeasures.CALF,
              LimbMeasures.BARE_CALF),
          of("hands", ActGroup.PROPORTION, Feature.HANDS, ProportionMeasures.HAND),
          of(
              "neck",
              ActGroup.PROPORTION,
              Feature.NECK,
              ProportionMeasures.NECK_WIDTH,
              ProportionMeasures.NECK_LENGTH),
          of(
              "face-shape",
              ActGroup.PROPORTION,
              Feature.FACE,
              ProportionMeasures.HEAD_ASPECT,
              ProportionMeasures.JAW,
              ProportionMeasures.CHIN_ANGLE,
              FaceMeasures.JAW_TURN),
          of(
              "hair-mass",
              ActGroup.PROPORTION,
              Feature.HAIR,
              ProportionMeasures.HAIR_LIFT,
              ProportionMeasures.HAIR_WIDTH),
          of(
              "eye-height",
              ActGroup.FACE,
              Feature.EYES,
              FaceMeasures.EYE_LINE,
              FaceMeasures.EYE_DROP),
          of(
              "eye-size",
              ActGroup.FACE,
              Feature.EYES,
              FaceMeasures.EYE_WIDTH,
              FaceMeasures.EYE_HEIGHT),
          of("eye-gap", ActGroup.FACE, Feature.EYES, FaceMeasures.EYE_SPACING),
          of(
              "eye-shape",
              ActGroup.FACE,
              Feature.EYES,
              FaceMeasures.EYE_ASPECT,
              FaceMeasures.EYE_TILT,
              FaceMeasures.EYE_PEAK,
              FaceMeasures.EYE_DIP),
          of(
              "far-eye",
              ActGroup.FACE,
              Feature.EYES,
              TurnMeasures.FAR_WIDTH,
              TurnMeasures.FAR_HEIGHT),
          of("lash", ActGroup.FACE, Feature.EYES, FaceMeasures.LASH, LineMeasures.LASH),
          of(
              "iris",
              ActGroup.FACE,
              Feature.EYES,
              FaceMeasures.IRIS_SIZE,
              FaceMeasures.IRIS_ASPECT,
              FaceMeasures.PUPIL),
          of(
              "eye-lights",
              ActGroup.FACE,
              Feature.EYES,
              IrisMeasures.LIGHTS,
              IrisMeasures.LIGHT_SIZE,
              IrisMeasures.LIGHT_PLACE),
          of("iris-tones", ActGroup.FACE, Feature.EYES, IrisMeasures.GLOW, IrisMeasures.RING),
          of(
              "brows",
              ActGroup.FACE,
              Feature.BROWS,
              FaceMeasures.BROW_GAP,
              FaceMeasures.BROW_SLOPE,
              FaceMeasures.BROW_ARCH),
          of(
              "nose",
              ActGroup.FACE,
              Feature.NOSE,
              FaceMeasures.NOSE_BASE_HEIGHT,
              FaceMeasures.NOSE_LENGTH),
          of(
              "mouth",
              ActGroup.FACE,
              Feature.MOUTH,
              FaceMeasures.MOUTH_LINE,
              FaceMeasures.MOUTH_WIDTH),
          of(
              "thirds",
              ActGroup.FACE,
              Feature.HAIR,
              FaceMeasures.UPPER_THIRD,
              FaceMeasures.LOWER_THIRD),
          of("ears", ActGroup.FACE, Feature.EARS, FaceMeasures.EAR_TOP, FaceMeasures.EAR_SIZE),
          over(
              "line-weight",
              ActGroup.LINE,
              LineMeasures.WIDTH,
              LineMeasures.WIDTH_BY_FIGURE,
              LineMeasures.INK),
          over(
              "line-evenness",
              ActGroup.LINE,
              LineMeasures.VARIATION,
              LineMeasures.STROKE_VARIATION,
              LineMeasures.TAPER,
              LineMeasures.THIN,
              LineMeasures.THICK),
          over(
              "outline",
              ActGroup.LINE,
              LineMeasures.OUTLINE_INNER,
              LineMeasures.CLOSED,
              LineMeasures.OUTLINE_SHARE,
              EdgeMeasures.RIM),
          over("face-line", ActGroup.LINE, LineMeasures.FACE_BODY),
          over(
              "line-character",
              ActGroup.LINE,
              LineMeasures.WOBBLE,
              LineMeasures.STROKE,
              LineMeasures.STROKE_BY_FIGURE,
              LineMeasures.CORNER),
          over(
              "line-count",
              ActGroup.LINE,
              LineMeasures.DENSITY,
              LineMeasures.DENSITY_BY_FIGURE,
              PartMeasures.HAIR_INK,
              PartMeasures.CLOTH_INK),
          over(
              "line-colour",
              ActGroup.LINE,
              LineMeasures.TINT,
              LineMeasures.DARKNESS,
              LineMeasures.CHROMA,
              LineMeasures.BLACK,
              LineMeasures.STEP),
          over("blacks", ActGroup.LINE, LineMeasures.SPOT_BLACK),
          where(
              LineMeasures.HATCH,
              SOME,
              "hatching",
              ActGroup.LINE,
              LineMeasures.HATCH,
              LineMeasures.HATCH_CROSS,
              LineMeasures.HATCH_ANGLE,
              LineMeasures.HATCH_PITCH,
              LineMeasures.HATCH_PITCH_BY_FIGURE),
          over("values", ActGroup.SHADE, ShadeMeasures.STEPS, ShadeMeasures.SHADED),
          over("shadow-amount", ActGroup.SHADE, ShadeMeasures.COVER),
          where(
              ShadeMeasures.COVER,
              SOME_SHADOW,
              "shadow-depth",
              ActGroup.SHADE,
              ShadeMeasures.LIGHTNESS_STEP,
              RoleMeasures.SKIN.lightness(),
              RoleMeasures.HAIR.lightness(),
              RoleMeasures.CLOTH.lightness()),
          where(
              ShadeMeasures.COVER,
              SOME_SHADOW,
              "shadow-colour",
              ActGroup.SHADE,
              ShadeMeasures.CHROMA_RATIO,
              ShadeMeasures.HUE_TURN,
              ShadeMeasures.RIM,
              RoleMeasures.SKIN.chroma(),
              RoleMeasures.SKIN.hue(),
              RoleMeasures.HAIR.chroma(),
              RoleMeasures.HAIR.hue(),
              RoleMeasures.CLOTH.chroma(),
              RoleMeasures.CLOTH.hue()),
          where(
              ShadeMeasures.COVER,
              SOME_SHADOW,
              "shadow-edge",
              ActGroup.SHADE,
              ShadeMeasures.EDGE,
              ShadeMeasures.EDGE_BY_FIGURE,
              ShadeMeasures.HARD,
              ShadeMeasures.GRADIENT,
              EdgeMeasures.SOFT,
              EdgeMeasures.FLAT),
          where(
              ShadeMeasures.HIGHLIGHT,
              ShadeMeasures.LEAST_HIGHLIGHT,
              "highlights",
              ActGroup.SHADE,
              ShadeMeasures.HIGHLIGHT,
              ShadeMeasures.HIGHLIGHT_STEP),
          over("light", ActGroup.SHADE, ShadeMeasures.LIGHT_FROM, ShadeMeasures.LIGHT_SPREAD),
          over(
              "value-range",
              ActGroup.SHADE,
              ShadeMeasures.VALUE_RANGE,
              ShadeMeasures.VALUE_DARK,
              ShadeMeasures.VALUE_LIGHT,
              ShadeMeasures.CONTRAST),
          over("texture", ActGroup.SHADE, EdgeMeasures.FINE, ShadeMeasures.TEXTURE),
          over(
              "colour-count", ActGroup.COLOUR, ColourMeasures.PALETTE_SIZE, ColourMeasures.VARIETY),
          over(
              "colour-strength",
              ActGroup.COLOUR,
              ColourMeasures.CHROMA_COLOURED,
              ColourMeasures.STRONGEST,
              PartMeasures.SKIN_CHROMA),
          over("warmth", ActGroup.COLOUR, ColourMeasures.WARM),
          over("harmony", ActGroup.COLOUR, ColourMeasures.HARMONY),
          where(
              ColourMeasures.ACCENT,
              SOME_ACCENT,
              "accent",
              ActGroup.COLOUR,
              ColourMeasures.ACCENT,
              ColourMeasures.ACCENT_PLACES),
          over("darkest", ActGroup.COLOUR, ColourMeasures.DARKEST, ColourMeasures.DARKEST_CHROMA),
          over("skin", ActGroup.COLOUR, ShadeMeasures.SKIN_HUES),
          over(
              "roundness",
              ActGroup.SHAPE,
              ShapeMeasures.CORNER,
              ShapeMeasures.STRAIGHT,
              ShapeMeasures.LARGE_STRAIGHT,
              PartMeasures.HAIR_STRAIGHT,
              PartMeasures.CLOTH_CORNER),
          over("focus", ActGroup.SHAPE, ColourMeasures.FOCUS));

  private static final Map<String, Act> BY_KEY = new HashMap<>();
  private static final Map<Measure, Act> BY_MEASURE = new HashMap<>();

  static {
    for (Act act : ALL) {
      BY_KEY.put(act.key(), act);
      for (Measure measure : act.readings()) {
        if (BY_MEASURE.put(measure, act) != null) {
          throw new IllegalStateException(measure + " belongs to two acts.");
        }
      }
    }
  }

  /**
   * What a hand does in one go, though it is counted by two acts: it picks one colour for a shadow,
   * a brush for the outline and one for what lies inside it, one darkest dark.
   */
  private static final List<Set<Measure>> IN_ONE_GO =
      List.of(
          union(readings("shadow-depth"), readings("shadow-colour")),
          Set.of(
              LineMeasures.WIDTH,
              LineMeasures.WIDTH_BY_FIGURE,
              LineMeasures.OUTLINE_INNER,
              EdgeMeasures.RIM),
          Set.of(ShadeMeasures.VALUE_DARK, ColourMeasures.DARKEST));

  /** Acts of measures that no catalogue has, one for each. */
  private static final Map<Measure, Act> OWN = new ConcurrentHashMap<>();

  private Acts() {}

  public static List<Act> all() {
    return ALL;
  }

  public static Optional<Act> byKey(String key) {
    return Optional.ofNullable(BY_KEY.get(key))
        .or(() -> FreePair.ofKey(key).flatMap(pair -> of(pair.measure())))
        .or(
            () ->
                key.startsWith(STATEMENT)
                    ? Optional.of(ofStatement(key.substring(STATEMENT.length())))
                    : Optional.empty());
  }

  /** To do as a statement says, or never to. */
  public static Act ofStatement(String key) {
    return new Act(STATEMENT + key, ActGroup.TICKS, Optional.empty(), List.of(), Optional.empty());
  }

  /** The act a measure is a reading of; empty for what is no manner. */
  public static Optional<Act> of(Measure measure) {
    return Optional.ofNullable(BY_MEASURE.get(measure))
        .or(() -> FreePair.of(measure).map(pair -> OWN.computeIfAbsent(measure, Acts::own)));
  }

  /** Whether bringing two readings right is one thing to do. */
  public static boolean areDoneInOneGo(Measure one, Measure other) {
    return IN_ONE_GO.stream().anyMatch(go -> go.contains(one) && go.contains(other));
  }

  private static List<Measure> readings(String key) {
    return Objects.requireNonNull(BY_KEY.get(key)).readings();
  }

  private static Set<Measure> union(List<Measure> some, List<Measure> more) {
    Set<Measure> all = new HashSet<>(some);
    all.addAll(more);
    return all;
  }

  /** A ratio of the user's own is an act by itself. */
  private static Act own(Measure measure) {
    return new Act(
        measure.key(), ActGroup.PROPORTION, Optional.empty(), List.of(measure), Optional.empty());
  }

  private static Act of(String key, ActGroup group, Feature grip, Measure... readings) {
    return new Act(key, group, Optional.of(grip), List.of(readings), Optional.empty());
  }

  /** An act that says how something is, which must be there first. */
  private static Act where(
      Measure presence, double least, String key, ActGroup group, Measure... readings) {
    return new Act(
        key,
        group,
        Optional.empty(),
        List.of(readings),
        Optional.of(new Act.Presence(presence, least)));
  }

  private static Act over(String key, ActGroup group, Measure... readings) {
    return new Act(key, group, Optional.empty(), List.of(readings), Optional.empty());
  }
}
