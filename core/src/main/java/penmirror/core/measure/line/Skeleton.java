package penmirror.core.measure.line;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Plane;
import penmirror.core.raster.Thinning;

/** The thinned ink, cut at its junctions into paths in walking order. */
final class Skeleton {
  private final int width;
  private final int height;
  private final boolean[] set;
  private final Plane depth;
  private final int[] around;

  private Skeleton(Mask thinned, Plane depth) {
    width = thinned.width();
    height = thinned.height();
    set = thinned.values();
    this.depth = depth;
    // Straight neighbours first, so that a walk does not cut corners.
    around = new int[] {-width, 1, width, -1, -width + 1, width + 1, width - 1, -width - 1};
  }

  /**
   * @param thinned the ink thinned to lines of one pixel; taken over and modified
   * @param depth distance to the outside of the ink; not modified
   */
  static Skeleton of(Mask thinned, Plane depth) {
    Skeleton skeleton = new Skeleton(thinned, depth);
    skeleton.dropStaircases();
    skeleton.dropSpurs();
    return skeleton;
  }

  /**
   * A run of skeleton pixels without a junction inside.
   *
   * @param xs pixel columns in walking order
   * @param ys pixel rows
   * @param closed whether the last pixel touches the first
   * @param junctionDistances pixels along the path to the nearest junction; infinite without one
   * @param startsFree whether the first pixel touches no junction
   */
  record Path(
      double[] xs,
      double[] ys,
      boolean closed,
      double[] junctionDistances,
      boolean startsFree,
      boolean endsFree) {
    int length() {
      return xs.length;
    }

    boolean touchesJunction() {
      return !Double.isInfinite(junctionDistances[0]);
    }
  }

  List<Path> paths() {
    List<Path> paths = new ArrayList<>();
    for (int[] run : runs()) {
      paths.add(path(run));
    }
    return paths;
  }

  private Path path(int[] run) {
    int n = run.length;
    double[] xs = new double[n];
    double[] ys = new double[n];
    double[] distances = new double[n];
    boolean junctionAtStart = touchesJunction(run[0]);
    boolean junctionAtEnd = touchesJunction(run[n - 1]);
    for (int i = 0; i < n; i++) {
      xs[i] = run[i] % width;
      ys[i] = run[i] / width;
      distances[i] =
          Math.min(
              junctionAtStart ? i + 1 : Double.POSITIVE_INFINITY,
              junctionAtEnd ? n - i : Double.POSITIVE_INFINITY);
    }
    boolean closed =
        n > 8
            && !junctionAtStart
            && !junctionAtEnd
            && Math.abs(xs[0] - xs[n - 1]) <= 1
            && Math.abs(ys[0] - ys[n - 1]) <= 1;
    return new Path(
        xs, ys, closed, distances, !closed && !junctionAtStart, !closed && !junctionAtEnd);
  }

  /**
   * Thinning leaves corners where a diagonal step would do; they would look like junctions. Source:
   * Holt, Stewart, Clint and Perrott, An improved parallel thinning algorithm, Communications of
   * the ACM 30 (1987).
   */
  private void dropStaircases() {
    for (int i = width + 1; i < set.length - width - 1; i++) {
      if (!set[i]) {
        continue;
      }
      boolean n = set[i - width];
      boolean e = set[i + 1];
      boolean s = set[i + width];
      boolean w = set[i - 1];
      boolean ne = set[i - width + 1];
      boolean se = set[i + width + 1];
      boolean sw = set[i + width - 1];
      boolean nw = set[i - width - 1];
      boolean corner =
          n && (e && !ne && !sw && (!w || !s) || w && !nw && !se && (!e || !s))
              || s && (e && !se && !nw && (!w || !n) || w && !sw && !ne && (!e || !n));
      if (corner) {
        set[i] = false;
      }
    }
  }

  /**
   * Thinning grows a short spur where an outline bulges; drop those shorter than the line is wide.
   */
  private void dropSpurs() {
    List<int[]> spurs = new ArrayList<>();
    for (int[] run : runs()) {
      boolean start = touchesJunction(run[0]);
      boolean end = touchesJunction(run[run.length - 1]);
      if (start != end) {
        int junction = junctionBeside(start ? run[0] : run[run.length - 1]);
        if (run.length < 1.2 * depth.values()[junction] + 1) {
          spurs.add(run);
        }
      }
    }
    for (int[] spur : spurs) {
      for (int pixel : spur) {
        set[pixel] = false;
      }
    }
    Mask again = Thinning.thin(new Mask(width, height, set));
    System.arraycopy(again.values(), 0, set, 0, set.length);
    dropStaircases();
  }

  private List<int[]> runs() {
    boolean[] walked = new boolean[set.length];
    List<int[]> runs = new ArrayList<>();
    // Open runs from their ends first; what is left then are closed loops.
    for (boolean loops : new boolean[] {false, true}) {
      for (int i = width; i < set.length - width; i++) {
        if (set[i] && !walked[i] && !isJunction(i) && (loops || freeNeighbours(i) <= 1)) {
          runs.add(walk(i, walked));
        }
      }
    }
    return runs;
  }

  private int[] walk(int from, boolean[] walked) {
    int[] run = new int[64];
    int size = 0;
    int at = from;
    while (at >= 0) {
      walked[at] = true;
      if (size == run.length) {
        run = Arrays.copyOf(run, 2 * size);
      }
      run[size++] = at;
      int next = -1;
      for (int step : around) {
        int neighbour = at + step;
        if (set[neighbour] && !walked[neighbour] && !isJunction(neighbour)) {
          next = neighbour;
          break;
        }
      }
      at = next;
    }
    return Arrays.copyOf(run, size);
  }

  private int freeNeighbours(int i) {
    int count = 0;
    for (int step : around) {
      if (set[i + step] && !isJunction(i + step)) {
        count++;
      }
    }
    return count;
  }

  private boolean touchesJunction(int i) {
    return junctionBeside(i) >= 0;
  }

  private int junctionBeside(int i) {
    for (int step : around) {
      if (set[i + step] && isJunction(i + step)) {
        return i + step;
      }
    }
    return -1;
  }

  private boolean isJunction(int i) {
    if (i < width + 1 || i >= set.length - width - 1) {
      return false;
    }
    int count = 0;
    for (int step : around) {
      if (set[i + step]) {
        count++;
      }
    }
    return count >= 3;
  }
}
