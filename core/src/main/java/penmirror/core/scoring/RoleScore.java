package penmirror.core.scoring;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Tones;
import penmirror.core.measure.Measure;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.measure.shade.ShadeMeasures;
import penmirror.core.style.ShadeLaw;
import penmirror.core.style.StyleSheet;

/**
 * One colour of a redraw by what it paints, held against how the works go from light to shadow. The
 * colour in the light is the character's and is not judged.
 *
 * @param tones as they are laid
 * @param wanted the shadow of the same light as the works would lay it
 * @param misses the steps that lie outside their bands; empty where it has no shadow at all
 */
public record RoleScore(RoleTones tones, OkLab wanted, List<Miss> misses) {

  /** What a step changes. */
  public enum Step {
    DEPTH,
    STRENGTH,
    TURN;

    /** The word used in message keys. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * @param z in tolerances of the rule, signed, outside of −1 to 1
   */
  public record Miss(Step step, double z) {}

  public RoleScore {
    misses = List.copyOf(misses);
  }

  /** None where the works do not shade, or have no rule of how. */
  static List<RoleScore> of(StyleSheet sheet, List<RoleTones> roles) {
    List<RoleScore> scores = new ArrayList<>();
    for (RoleTones tones : roles) {
      ShadeLaw.of(sheet, tones.role())
          .ifPresent(
              law ->
                  scores.add(
                      new RoleScore(
                          tones,
                          law.laidOn(tones.tones().base()),
                          tones.tones().shadow().isPresent()
                              ? misses(sheet, tones, tones.tones().shadow().get())
                              : List.of())));
    }
    return scores;
  }

  /** The two readings by which a step is judged: of this role, and of the whole figure. */
  public List<Measure> readings(Step step) {
    RoleMeasures.Steps steps = RoleMeasures.of(tones.role());
    return switch (step) {
      case DEPTH -> List.of(steps.lightness(), ShadeMeasures.LIGHTNESS_STEP);
      case STRENGTH -> List.of(steps.chroma(), ShadeMeasures.CHROMA_RATIO);
      case TURN -> List.of(steps.hue(), ShadeMeasures.HUE_TURN);
    };
  }

  /**
   * Its shadow with some steps as the works lay them and the others as they are laid; empty where
   * it has none.
   */
  public Optional<OkLab> shadowWith(Set<Step> mended) {
    OkLab base = tones.tones().base();
    ShadeLaw aim = ShadeLaw.between(base, wanted);
    return tones
        .tones()
        .shadow()
        .map(shadow -> ShadeLaw.between(base, shadow))
        .map(
            own ->
                new ShadeLaw(
                        (mended.contains(Step.DEPTH) ? aim : own).lightnessStep(),
                        (mended.contains(Step.STRENGTH) ? aim : own).chromaRatio(),
                        (mended.contains(Step.TURN) ? aim : own).towardCoolDegrees())
                    .shadowOf(base));
  }

  /** Whether more than the depth of its shadow was asked. */
  public boolean isColourAsked() {
    return isColourAsked(tones.tones());
  }

  private static boolean isColourAsked(Tones tones) {
    return ShadeLaw.hasHue(tones.base()) && tones.shadow().filter(ShadeLaw::hasHue).isPresent();
  }

  private static List<Miss> misses(StyleSheet sheet, RoleTones tones, OkLab shadow) {
    ShadeLaw laid = ShadeLaw.between(tones.tones().base(), shadow);
    RoleMeasures.Steps steps = RoleMeasures.of(tones.role());
    List<Miss> misses = new ArrayList<>();
    miss(sheet, steps.lightness(), ShadeMeasures.LIGHTNESS_STEP, laid.lightnessStep())
        .ifPresent(z -> misses.add(new Miss(Step.DEPTH, z)));
    if (isColourAsked(tones.tones())) {
      miss(sheet, steps.chroma(), ShadeMeasures.CHROMA_RATIO, laid.chromaRatio())
          .ifPresent(z -> misses.add(new Miss(Step.STRENGTH, z)));
      if (ShadeLaw.canTurn(tones.tones().base())) {
        miss(sheet, steps.hue(), ShadeMeasures.HUE_TURN, laid.towardCoolDegrees())
            .ifPresent(z -> misses.add(new Miss(Step.TURN, z)));
      }
    }
    return misses;
  }

  private static Optional<Double> miss(
      StyleSheet sheet, Measure ofRole, Measure ofAll, double value) {
    return ShadeLaw.rule(sheet, ofRole, ofAll)
        .map(rule -> rule.z(value))
        .filter(z -> Math.abs(z) > 1);
  }
}
