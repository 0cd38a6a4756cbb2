package penmirror.core.style;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Role;
import penmirror.core.colour.Swatch;
import penmirror.core.colour.Tones;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.RoleTones;
import penmirror.core.measure.shade.ShadeMeasures;

/** Works of a hand that shades as a test says. */
public final class ShadedWorks {
  private final Map<Measure, Double> values = new HashMap<>();
  private final List<MeasuredWork> works = new ArrayList<>();

  /** Each step as a rule of the whole figure. */
  public ShadedWorks(double lightnessStep, double chromaRatio, double towardCoolDegrees) {
    values.put(ShadeMeasures.COVER, 0.3);
    values.put(ShadeMeasures.LIGHTNESS_STEP, lightnessStep);
    values.put(ShadeMeasures.CHROMA_RATIO, chromaRatio);
    values.put(ShadeMeasures.HUE_TURN, towardCoolDegrees);
  }

  /** From now on every work has this reading, too. */
  public ShadedWorks with(Measure measure, double value) {
    values.put(measure, value);
    return this;
  }

  /** One more work, with the colours of some roles. */
  public ShadedWorks work(RoleTones... roles) {
    works.add(
        new MeasuredWork(
            "" + works.size(),
            "Work " + works.size(),
            "",
            View.FRONT,
            Portrayal.ANY,
            values,
            Set.of(),
            Set.of(),
            List.of(new Swatch(new OkLab(0.25, 0.02, 0.01), 0.1, Swatch.Role.LINE)),
            List.of(),
            List.of(roles),
            1));
    return this;
  }

  public StyleSheet sheet() {
    return StyleSheet.of("A hand", View.FRONT, works);
  }

  public static RoleTones laid(Role role, OkLab light, OkLab shadow) {
    Tones tones = new Tones(light, Optional.of(shadow), Optional.empty(), Optional.empty());
    return new RoleTones(role, tones, 0.2, new Point(10.5, 20.5));
  }
}
