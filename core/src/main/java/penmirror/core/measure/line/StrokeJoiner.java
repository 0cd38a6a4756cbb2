package penmirror.core.measure.line;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import penmirror.core.raster.JoinedSets;

/**
 * Joins strokes that a junction cut apart where one runs straight on into the other, as the pen
 * did.
 */
final class StrokeJoiner {
  /** Cosine between the outgoing directions under which two ends run on into each other. */
  private static final double STRAIGHT_ON = -0.8;

  private final List<Stroke> strokes;
  private final double reach;
  private final int tangentSpan;

  StrokeJoiner(List<Stroke> strokes, double width) {
    this.strokes = strokes;
    reach = Math.max(5, 2 * width);
    tangentSpan = (int) Math.max(4, 2 * width);
  }

  /** One end of a stroke, with the unit step that leads out of it. */
  private record End(int stroke, double x, double y, double dx, double dy) {}

  private record Pair(int one, int other, double cosine) {}

  /** Length of each joined stroke, pixels. */
  double[] lengths() {
    List<End> ends = ends();
    List<Pair> pairs = pairs(ends);
    pairs.sort(Comparator.comparingDouble(Pair::cosine));
    boolean[] taken = new boolean[ends.size()];
    JoinedSets joined = new JoinedSets(strokes.size());
    for (Pair pair : pairs) {
      if (!taken[pair.one] && !taken[pair.other]) {
        taken[pair.one] = true;
        taken[pair.other] = true;
        joined.join(ends.get(pair.one).stroke, ends.get(pair.other).stroke);
      }
    }
    double[] sums = new double[strokes.size()];
    for (int i = 0; i < strokes.size(); i++) {
      sums[joined.root(i)] += strokes.get(i).length();
    }
    return Arrays.stream(sums).filter(sum -> sum > 0).toArray();
  }

  private List<End> ends() {
    List<End> ends = new ArrayList<>();
    for (int s = 0; s < strokes.size(); s++) {
      Stroke stroke = strokes.get(s);
      if (!stroke.closed()) {
        if (!stroke.startsFree()) {
          ends.add(end(stroke, s, 0, Math.min(stroke.size() - 1, tangentSpan)));
        }
        if (!stroke.endsFree()) {
          int last = stroke.size() - 1;
          ends.add(end(stroke, s, last, Math.max(0, last - tangentSpan)));
        }
      }
    }
    return ends;
  }

  private static End end(Stroke stroke, int s, int at, int inner) {
    double dx = stroke.xs()[at] - stroke.xs()[inner];
    double dy = stroke.ys()[at] - stroke.ys()[inner];
    double length = Math.max(1e-9, Math.hypot(dx, dy));
    return new End(s, stroke.xs()[at], stroke.ys()[at], dx / length, dy / length);
  }

  private List<Pair> pairs(List<End> ends) {
    Map<Long, List<Integer>> cells = new HashMap<>();
    for (int i = 0; i < ends.size(); i++) {
      cells.computeIfAbsent(cell(ends.get(i), 0, 0), key -> new ArrayList<>()).add(i);
    }
    List<Pair> pairs = new ArrayList<>();
    for (int i = 0; i < ends.size(); i++) {
      End one = ends.get(i);
      for (int cy = -1; cy <= 1; cy++) {
        for (int cx = -1; cx <= 1; cx++) {
          for (int j : cells.getOrDefault(cell(one, cx, cy), List.of())) {
            End other = ends.get(j);
            if (j > i && Math.hypot(one.x - other.x, one.y - other.y) <= reach) {
              double cosine = one.dx * other.dx + one.dy * other.dy;
              if (cosine < STRAIGHT_ON) {
                pairs.add(new Pair(i, j, cosine));
              }
            }
          }
        }
      }
    }
    return pairs;
  }

  private long cell(End end, int dx, int dy) {
    return ((long) Math.floor(end.x / reach) + dx) * 1_000_003L
        + (long) Math.floor(end.y / reach)
        + dy;
  }
}
