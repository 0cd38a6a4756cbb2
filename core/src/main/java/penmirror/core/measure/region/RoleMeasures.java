package penmirror.core.measure.region;

import java.util.List;
import penmirror.core.colour.Role;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Ruler;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/**
 * How skin, hair and clothes each go from light to shadow. The colours themselves are the
 * character's; the steps are the style.
 */
public final class RoleMeasures {
  private static final String ESTIMATE =
      "common practice; spreads of shade.*, wider as one part shows less";

  /**
   * The three readings of one role.
   *
   * @param lightness of the shadow less that of the light
   * @param chroma of the shadow over that of the light
   * @param hue of the shadow against the light, toward blue and violet positive
   */
  public record Steps(Measure lightness, Measure chroma, Measure hue) {
    public List<Measure> all() {
      return List.of(lightness, chroma, hue);
    }
  }

  public static final Steps SKIN = steps("skin", "the skin");
  public static final Steps HAIR = steps("hair", "the hair");
  public static final Steps CLOTH = steps("cloth", "the clothes");

  public static final List<Measure> ALL =
      List.of(SKIN, HAIR, CLOTH).stream().flatMap(steps -> steps.all().stream()).toList();

  private RoleMeasures() {}

  /** By which the shadow of a role is judged; all clothes go by the same. */
  public static Steps of(Role role) {
    return switch (role) {
      case SKIN -> SKIN;
      case HAIR -> HAIR;
      case CLOTH, CLOTH_TWO -> CLOTH;
    };
  }

  private static Steps steps(String role, String words) {
    return new Steps(
        role(role + ".shade.dl", Unit.LIGHTNESS, "lightness of the shadow less the light, " + words)
            .spreads(0.02, 0.04, 0.06)
            .source(ESTIMATE)
            .ofAStep()
            .build(),
        role(role + ".shade.dc", Unit.RATIO, "chroma of the shadow / that of the light, " + words)
            .spreads(0.08, 0.22, 0.328)
            .source(ESTIMATE)
            .build(),
        role(
                role + ".shade.dh",
                Unit.DEGREES,
                "hue of the shadow against the light, toward blue and violet positive, " + words)
            .spreads(5, 10, 16)
            .source(ESTIMATE)
            .build());
  }

  private static Measure.Builder role(String key, Unit unit, String formula) {
    return Measure.ofPixels(key, MeasureGroup.ROLE, unit, Ruler.NONE, Scale.LINEAR, formula);
  }
}
