package penmirror.core.measure.region;

import static penmirror.core.figure.Landmark.ANKLE_L;
import static penmirror.core.figure.Landmark.ELBOW_L;
import static penmirror.core.figure.Landmark.KNEE_L;
import static penmirror.core.figure.Landmark.WRIST_L;

import java.util.List;
import java.util.Optional;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Measure;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.Ruler;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/**
 * How thick arms and legs are drawn, sleeves and trousers included, as {@link LimbReader} reads.
 */
public final class LimbMeasures {
  private static final String ESTIMATE =
      "from memory; held against drawn limbs in docs/measures.md";

  public static final Measure FOREARM = limb("limb.arm", "the forearm", ELBOW_L, WRIST_L);

  public static final Measure CALF = limb("limb.leg", "the calf", KNEE_L, ANKLE_L);

  public static final List<Measure> ALL = List.of(FOREARM, CALF);

  private LimbMeasures() {}

  private static Measure limb(String key, String part, Landmark from, Landmark to) {
    return Measure.ofPixels(
            key,
            MeasureGroup.PART,
            Unit.HEADS,
            Ruler.HEAD,
            Scale.LOG,
            "across the middle of " + part + " / crown to chin")
        .needsOfASide(from, to)
        .spreads(0.06, 0.1, 0.25)
        .source(ESTIMATE)
        .build();
  }

  /** The two ends of the bone on one side; empty where one is not marked or cannot be seen. */
  static Optional<List<Point>> bone(Measure measure, Marks marks, Side side) {
    Landmark from = measure == FOREARM ? ELBOW_L : KNEE_L;
    Landmark to = measure == FOREARM ? WRIST_L : ANKLE_L;
    return marks
        .seen(side.of(from))
        .flatMap(start -> marks.seen(side.of(to)).map(end -> List.of(start, end)));
  }
}
