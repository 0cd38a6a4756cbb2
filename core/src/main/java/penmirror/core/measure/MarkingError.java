package penmirror.core.measure;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;

/**
 * How far a landmark set by hand lies from where it belongs: one standard error along either axis,
 * in heads.
 *
 * @param heads where it differs from {@link #USUAL_HEADS}; above 0
 */
public record MarkingError(Map<Landmark, Double> heads) {

  /** Corners and other sharp places. An estimate from memory until repeat marking measures it. */
  public static final double USUAL_HEADS = 0.006;

  /** Estimated and proposed landmarks lie about this many times farther off. From memory. */
  private static final double UNSURE_FACTOR = 2.5;

  /** What holds until somebody marks twice. Estimates from memory. */
  public static final MarkingError SHIPPED = shipped();

  public MarkingError {
    EnumMap<Landmark, Double> copy = new EnumMap<>(Landmark.class);
    copy.putAll(heads);
    copy.values()
        .forEach(
            error -> {
              if (!(error > 0) || Double.isInfinite(error)) {
                throw new IllegalArgumentException("A marking error lies above 0, got " + error);
              }
            });
    heads = Collections.unmodifiableMap(copy);
  }

  /** For a mark in the state it is in, in heads. */
  public double of(Landmark landmark, Mark.State state) {
    double error = heads.getOrDefault(landmark, USUAL_HEADS);
    return state == Mark.State.PLACED ? error : error * UNSURE_FACTOR;
  }

  private static MarkingError shipped() {
    EnumMap<Landmark, Double> errors = new EnumMap<>(Landmark.class);
    for (Landmark landmark : Landmark.values()) {
      switch (landmark) {
        // Under the hair, or where a curve has no corner.
        case CROWN, HAIRLINE, CHEEK_L, CHEEK_R, JAW_L, JAW_R, NOSE_TOP -> errors.put(landmark, .01);
        case SHOULDER_L, SHOULDER_R, NECK_L, NECK_R, NECK_BASE, WAIST_L, WAIST_R, HIP_L, HIP_R ->
            errors.put(landmark, .015);
        case CROTCH, ELBOW_L, ELBOW_R, KNEE_L, KNEE_R, WRIST_L, WRIST_R, ANKLE_L, ANKLE_R ->
            errors.put(landmark, .02);
        default -> {}
      }
    }
    return new MarkingError(errors);
  }
}
