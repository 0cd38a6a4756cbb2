package penmirror.core.reading;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import penmirror.core.measure.Evidence;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureResult;
import penmirror.core.measure.colour.ColourMeasures;
import penmirror.core.measure.face.FaceMeasures;
import penmirror.core.measure.face.IrisMeasures;
import penmirror.core.measure.face.TurnMeasures;
import penmirror.core.measure.line.LineMeasures;
import penmirror.core.measure.proportion.FreePair;
import penmirror.core.measure.proportion.ProportionMeasures;
import penmirror.core.measure.region.LimbMeasures;
import penmirror.core.measure.region.RegionFacts;
import penmirror.core.measure.region.RoleMeasures;
import penmirror.core.measure.shade.ShadeMeasures;

/** Every measure there is, in the order in which a sheet lists them. */
public final class MeasureCatalogue {
  private static final Map<String, Measure> BY_KEY = new LinkedHashMap<>();

  static {
    List<Measure> all = new ArrayList<>();
    all.addAll(ProportionMeasures.ALL);
    all.addAll(LimbMeasures.ALL);
    all.addAll(FaceMeasures.ALL);
    all.addAll(TurnMeasures.ALL);
    all.addAll(IrisMeasures.ALL);
    all.addAll(LineMeasures.ALL);
    all.addAll(ShadeMeasures.ALL);
    all.addAll(RoleMeasures.ALL);
    all.addAll(ColourMeasures.ALL);
    all.addAll(RegionFacts.all());
    for (Measure measure : all) {
      if (BY_KEY.put(measure.key(), measure) != null) {
        throw new IllegalStateException("Two measures have the key " + measure.key());
      }
    }
  }

  private MeasureCatalogue() {}

  public static List<Measure> all() {
    return List.copyOf(BY_KEY.values());
  }

  /** Of the catalogue, or a ratio of the user's own. */
  public static Optional<Measure> byKey(String key) {
    return Optional.ofNullable(BY_KEY.get(key)).or(() -> FreePair.measureOfKey(key));
  }

  /** Of those read from pixels the few that are told first, where there is no room for all. */
  public static List<Measure> toldFirst() {
    return List.of(
        LineMeasures.WIDTH,
        LineMeasures.VARIATION,
        LineMeasures.TAPER,
        LineMeasures.OUTLINE_INNER,
        LineMeasures.DARKNESS,
        LineMeasures.SPOT_BLACK,
        ShadeMeasures.STEPS,
        ShadeMeasures.COVER,
        ShadeMeasures.LIGHTNESS_STEP,
        ShadeMeasures.HUE_TURN,
        ShadeMeasures.EDGE,
        ShadeMeasures.VALUE_RANGE,
        ColourMeasures.PALETTE_SIZE,
        ColourMeasures.CHROMA);
  }

  /** The catalogue, and after it what else there is among others. */
  public static List<Measure> with(Collection<Measure> others) {
    Set<Measure> all = new LinkedHashSet<>(BY_KEY.values());
    all.addAll(others);
    return List.copyOf(all);
  }

  /** The same, with measures that the catalogue does not have. */
  public static Map<Measure, MeasureResult> readAll(Evidence evidence, Collection<Measure> others) {
    Map<Measure, MeasureResult> results = readAll(evidence);
    others.forEach(measure -> results.computeIfAbsent(measure, m -> m.read(evidence)));
    return results;
  }

  /** Every measure read from one picture, in the catalogue's order. */
  public static Map<Measure, MeasureResult> readAll(Evidence evidence) {
    Map<Measure, MeasureResult> results = new LinkedHashMap<>();
    for (Measure measure : BY_KEY.values()) {
      results.put(measure, measure.read(evidence));
    }
    return results;
  }
}
