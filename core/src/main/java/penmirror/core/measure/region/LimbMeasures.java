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
 * How thick arms and legs are drawn, as {@link LimbReader} reads: in a sleeve, a trouser leg or a
 * boot, and bare, each by itself, as cloth makes a limb thicker.
 */
public final class LimbMeasures {
  private static final String ESTIMATE =
      "from memory; held against drawn limbs in docs/measures.md";

  public static final Measure FOREARM =
      limb("limb.arm", "the forearm in its sleeve", ELBOW_L, WRIST_L);

  public static final Measure BARE_FOREARM =
      limb("limb.arm.bare", "the bare forearm", ELBOW_L, WRIST_L);

  public static final Measure CALF = limb("limb.leg", "the calf in cloth or boot", KNEE_L, ANKLE_L);

  public static final Measure BARE_CALF = limb("limb.leg.bare", "the bare calf", KNEE_L, ANKLE_L);

  public static final List<Measure> ALL = List.of(FOREARM, BARE_FOREARM, CALF, BARE_CALF);

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

  /** A limb with its bone, and what its thickness is called. */
  enum Limb {
    ARM(ELBOW_L, WRIST_L, FOREARM, BARE_FOREARM),
    LEG(KNEE_L, ANKLE_L, CALF, BARE_CALF);

    private final Landmark from;
    private final Landmark to;
    private final Measure covered;
    private final Measure bare;

    Limb(Landmark from, Landmark to, Measure covered, Measure bare) {
      this.from = from;
      this.to = to;
      this.covered = covered;
      this.bare = bare;
    }

    /** The two ends of the bone on one side; empty where one is not marked or cannot be seen. */
    Optional<List<Point>> bone(Marks marks, Side side) {
      return marks
          .seen(side.of(from))
          .flatMap(start -> marks.seen(side.of(to)).map(end -> List.of(start, end)));
    }

    Measure thickness(boolean isBare) {
      return isBare ? bare : covered;
    }
  }
}
