package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import penmirror.core.figure.Landmark;
import penmirror.core.figure.Side;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Mask;

/**
 * Reads what a silhouette tells of a whole figure: where it stands, where the legs part, and hands
 * that show their skin. All in working pixels.
 */
final class BodyReader {
  /** Chances from drawn figures, docs/proposals.md. */
  private static final double TWO_FEET = 0.95;

  private static final double ONE_FOOT = 0.6;
  private static final double GAP_SEEN = 0.35;
  private static final double FINGERTIP = 0.35;
  private static final double HAIR_SIDE = 0.2;

  /** Lower than this share of the head above the chin, shoulders may come in. */
  private static final double ABOVE_CHIN = 0.1;

  private final Ground ground;
  private final double headPixels;
  private final Point chin;
  private final double[] skin;
  private final Map<Landmark, Proposal.Proposed> points = new EnumMap<>(Landmark.class);

  private BodyReader(Ground ground, double headPixels, Point chin, double[] skin) {
    this.ground = ground;
    this.headPixels = headPixels;
    this.chin = chin;
    this.skin = skin;
  }

  /**
   * Empty for a bust or a head: then the figure is cut by the picture's lower edge.
   *
   * @param skin lightness, a, b of the face
   */
  static Map<Landmark, Proposal.Proposed> read(
      Ground ground, double headPixels, Point chin, double[] skin) {
    BodyReader reader = new BodyReader(ground, headPixels, chin, skin);
    if (isWhole(ground) && ground.bottom - chin.y() > 0.9 * headPixels) {
      reader.read();
    }
    return reader.points;
  }

  /**
   * The widest places of the head and its hair above the chin, from the silhouette.
   *
   * @param top of the hair
   */
  static Map<Landmark, Proposal.Proposed> hair(Ground ground, Point top, Point chin) {
    Map<Landmark, Proposal.Proposed> points = new EnumMap<>(Landmark.class);
    double last = chin.y() - ABOVE_CHIN * (chin.y() - top.y());
    for (int y = (int) Math.ceil(top.y()); y < last; y++) {
      double axis = top.x() + (chin.x() - top.x()) * (y - top.y()) / (chin.y() - top.y());
      for (Run run : runs(ground.open, y)) {
        if (run.from() <= axis && run.to() >= axis) {
          widest(points, Landmark.HAIR_L, -1, run.from(), y);
          widest(points, Landmark.HAIR_R, 1, run.to() + 1, y);
        }
      }
    }
    return points;
  }

  private static void widest(
      Map<Landmark, Proposal.Proposed> points, Landmark landmark, int side, double x, int y) {
    Proposal.Proposed before = points.get(landmark);
    if (before == null || side * x > side * before.place().x()) {
      points.put(landmark, new Proposal.Proposed(new Point(x, y + 0.5), HAIR_SIDE));
    }
  }

  /** Whether the figure stands free of the lower edge. */
  static boolean isWhole(Ground ground) {
    return ground.bottom < ground.height - 1;
  }

  private void put(Landmark landmark, double x, double y, double confidence) {
    points.put(landmark, new Proposal.Proposed(new Point(x, y), confidence));
  }

  private record Run(int from, int to) {
    int length() {
      return to - from + 1;
    }

    double middle() {
      return (from + to) / 2.0;
    }
  }

  private static List<Run> runs(Mask mask, int y) {
    List<Run> runs = new ArrayList<>();
    int from = -1;
    for (int x = 0; x <= mask.width(); x++) {
      boolean in = mask.at(x, y);
      if (in && from < 0) {
        from = x;
      } else if (!in && from >= 0) {
        runs.add(new Run(from, x - 1));
        from = -1;
      }
    }
    return runs;
  }

  private void read() {
    int sole = ground.bottom - 1;
    double legLength = sole - chin.y();
    int ankleRow = (int) (sole - 0.06 * legLength);
    List<Run> feet =
        runs(ground.open, ankleRow).stream()
            .filter(run -> run.length() > 0.05 * headPixels)
            .sorted(Comparator.comparingInt(run -> -run.length()))
            .limit(2)
            .sorted(Comparator.comparingInt(Run::from))
            .toList();
    put(
        Landmark.SOLE,
        feet.isEmpty() ? (ground.left + ground.right) / 2.0 : feet.get(0).middle(),
        sole + 0.5,
        feet.size() == 2 ? TWO_FEET : ONE_FOOT);
    if (feet.size() == 2) {
      legs(feet.get(0), feet.get(1), sole, legLength);
    }
    hands();
  }

  private void legs(Run left, Run right, int sole, double legLength) {
    int highest = sole;
    int at = (left.to() + right.from()) / 2;
    for (int x = left.to() + 1; x < right.from(); x++) {
      int y = sole;
      while (y > chin.y() && !ground.open.at(x, y)) {
        y--;
      }
      if (y < highest) {
        highest = y;
        at = x;
      }
    }
    if (sole - highest > 0.36 * legLength) {
      put(Landmark.CROTCH, at, highest, GAP_SEEN);
    }
  }

  /** Parts of the face's colour that are not the face, one to each side. */
  private void hands() {
    boolean[] set = new boolean[ground.width * ground.height];
    for (int y = (int) chin.y(); y < ground.bottom; y++) {
      for (int x = ground.left; x < ground.right; x++) {
        int i = y * ground.width + x;
        double dl = 0.6 * (ground.lightness.values()[i] - skin[0]);
        double da = ground.a.values()[i] - skin[1];
        double db = ground.b.values()[i] - skin[2];
        set[i] = ground.figure.at(x, y) && dl * dl + da * da + db * db < 0.05 * 0.05;
      }
    }
    List<Parts.Part> parts =
        Parts.of(new Mask(ground.width, ground.height, set)).stream()
            .filter(
                part ->
                    part.area() > 0.008 * headPixels * headPixels
                        && part.area() < 0.6 * headPixels * headPixels
                        && part.top() > chin.y() + 0.3 * headPixels)
            .toList();
    for (Side side : Side.values()) {
      parts.stream()
          .filter(part -> side.outward() * (part.middleX() - chin.x()) > 0.25 * headPixels)
          .max(Comparator.comparingDouble(part -> side.outward() * part.middleX()))
          .ifPresent(part -> hand(side, part));
    }
  }

  /** The end far from the shoulder is the fingertip. */
  private void hand(Side side, Parts.Part part) {
    Point shoulder =
        new Point(chin.x() + side.outward() * 0.8 * headPixels, chin.y() + 0.4 * headPixels);
    List<Point> places = new ArrayList<>();
    for (int pixel : part.pixels()) {
      places.add(new Point(pixel % ground.width, pixel / ground.width));
    }
    places.sort(Comparator.comparingDouble(place -> place.distanceTo(shoulder)));
    int few = Math.max(1, places.size() / 100);
    Point tip = mean(places.subList(places.size() - few, places.size()));
    put(side.of(Landmark.FINGERTIP_L), tip.x(), tip.y(), FINGERTIP);
  }

  private static Point mean(List<Point> places) {
    Point sum = new Point(0, 0);
    for (Point place : places) {
      sum = sum.plus(place);
    }
    return sum.times(1.0 / places.size());
  }
}
