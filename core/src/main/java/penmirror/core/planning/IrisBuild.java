package penmirror.core.planning;

import java.util.Optional;
import penmirror.core.measure.Measure;
import penmirror.core.measure.face.IrisMeasures;
import penmirror.core.style.Rule;
import penmirror.core.style.Strength;
import penmirror.core.style.StyleSheet;

/**
 * What the works set into an iris, as far as it is ruled.
 *
 * @param lights 0 for none, and where that is not ruled
 * @param lightRadii radius of the largest over that of the iris, 0 without lights
 * @param lightDegrees where it lies, clockwise from straight above; empty where that is not ruled
 * @param isRinged whether its rim is darker
 * @param isLitFromBelow whether it is lighter below
 */
public record IrisBuild(
    int lights,
    double lightRadii,
    Optional<Double> lightDegrees,
    boolean isRinged,
    boolean isLitFromBelow) {

  /** OKLab lightness that is seen as a ring, and as a glow; as the sentences have it. */
  private static final double SEEN = 0.05;

  /** As most lights are; used where their size differs from work to work. */
  private static final double USUAL_RADII = 0.25;

  static IrisBuild of(StyleSheet sheet) {
    int lights = (int) Math.round(held(sheet, IrisMeasures.LIGHTS).orElse(0.0));
    return new IrisBuild(
        lights,
        lights == 0 ? 0 : held(sheet, IrisMeasures.LIGHT_SIZE).orElse(USUAL_RADII),
        held(sheet, IrisMeasures.LIGHT_PLACE),
        held(sheet, IrisMeasures.RING).filter(step -> step > SEEN).isPresent(),
        held(sheet, IrisMeasures.GLOW).filter(step -> step > SEEN).isPresent());
  }

  private static Optional<Double> held(StyleSheet sheet, Measure measure) {
    return sheet.rule(measure).filter(rule -> rule.strength() != Strength.FREE).map(Rule::centre);
  }
}
