package penmirror.core.planning;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import penmirror.core.figure.Facing;
import penmirror.core.figure.Feature;
import penmirror.core.figure.Framing;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Mark;
import penmirror.core.figure.Marks;
import penmirror.core.figure.Turn;
import penmirror.core.figure.View;
import penmirror.core.geometry.Point;
import penmirror.core.statistics.Sample;

/**
 * Where a hand has each landmark of a head seen from one side: over its works, in the head's own
 * frame, all of them turned to the right.
 *
 * @param works how many heads went into it
 * @param zones what at least a third of them show
 */
public record SeenHead(View view, int works, Map<Landmark, Zone> zones) {
  private static final double LEAST_SHARE = 1 / 3.0;

  /** The middle eight tenths. */
  private static final double LOW = 0.1;

  private static final double HIGH = 0.9;

  private static final double UPRIGHT_PIXELS = 100;

  /**
   * Where one landmark lies.
   *
   * @param across to the right of the axis, in heads; the median, as is down
   * @param down from the crown, in heads
   * @param acrossGive half the width of the middle eight tenths of the works, in heads
   * @param works how many show it
   */
  public record Zone(double across, double down, double acrossGive, double downGive, int works) {
    /** From so many works on it says how much a hand lets it move. */
    static final int ENOUGH = 3;

    boolean isKnown() {
      return works >= ENOUGH;
    }
  }

  public SeenHead {
    zones = Collections.unmodifiableMap(new EnumMap<>(zones));
  }

  /**
   * @param drawn marks of works; only those of this view, with a head's frame and of which it is
   *     clear where they look, are taken
   * @return empty for a view from behind, or where nothing could be taken
   */
  public static Optional<SeenHead> of(View view, List<Marks> drawn) {
    Map<Landmark, List<Point>> places = new EnumMap<>(Landmark.class);
    int works = 0;
    for (Marks marks : drawn) {
      Optional<Turn> facing = Facing.of(marks);
      Optional<HeadFrame> frame = marks.headFrame();
      if (marks.view() != view || facing.isEmpty() || frame.isEmpty()) {
        continue;
      }
      works++;
      if (facing.get() != Turn.LEFT) {
        place(places, frame.get(), marks);
      }
      // A head from the front is as often turned round: what it shows is even then.
      if (facing.get() != Turn.RIGHT) {
        Marks other = Facing.mirrored(marks, frame.get().crown().x());
        place(places, other.headFrame().orElseThrow(), other);
      }
    }
    Map<Landmark, Zone> zones = new EnumMap<>(Landmark.class);
    int perWork = view == View.FRONT ? 2 : 1;
    for (Map.Entry<Landmark, List<Point>> known : places.entrySet()) {
      double shown = known.getValue().size() / (double) perWork;
      if (shown >= LEAST_SHARE * works) {
        zones.put(known.getKey(), zone(known.getValue(), (int) Math.round(shown)));
      }
    }
    return works == 0 ? Optional.empty() : Optional.of(new SeenHead(view, works, zones));
  }

  private static void place(Map<Landmark, List<Point>> places, HeadFrame frame, Marks marks) {
    Arrays.stream(Landmark.values())
        .filter(SeenHead::isOfTheHead)
        .forEach(
            landmark ->
                marks
                    .point(landmark)
                    .ifPresent(
                        p ->
                            places
                                .computeIfAbsent(named(landmark, marks), any -> new ArrayList<>())
                                .add(new Point(frame.sideways(p), frame.height(p)))));
  }

  private static boolean isOfTheHead(Landmark landmark) {
    return Framing.FACE.canShow(landmark) || Feature.NECK.landmarks().contains(landmark);
  }

  /** The one side that a profile shows, by whichever name it was marked. */
  private static Landmark named(Landmark landmark, Marks marks) {
    Landmark other = landmark.mirrored();
    boolean isAlone = marks.point(other).isEmpty();
    return marks.view() == View.SIDE && isAlone && other.ordinal() < landmark.ordinal()
        ? other
        : landmark;
  }

  private static Zone zone(List<Point> places, int works) {
    Sample across = Sample.of(places.stream().mapToDouble(Point::x).toArray());
    Sample down = Sample.of(places.stream().mapToDouble(Point::y).toArray());
    return new Zone(across.median(), down.median(), give(across), give(down), works);
  }

  private static double give(Sample sample) {
    return (sample.quantile(HIGH) - sample.quantile(LOW)) / 2;
  }

  /** The middle of all zones as the marks of one upright head, 100 px high. */
  public Marks upright() {
    return on(new HeadFrame(new Point(0, 0), new Point(0, UPRIGHT_PIXELS)));
  }

  /**
   * The middle of all zones as the marks of one head.
   *
   * @param frame of an upright head
   */
  Marks on(HeadFrame frame) {
    Map<Landmark, Mark> marks = new EnumMap<>(Landmark.class);
    zones.forEach(
        (landmark, zone) -> {
          Point at = frame.at(zone.across(), zone.down());
          marks.put(landmark, Mark.placed(at.x(), at.y()));
        });
    return new Marks(view, marks);
  }
}
