package penmirror.core.raster;

import java.util.Arrays;

/**
 * Thins a mask to lines one pixel wide that keep its connections.
 *
 * <p>Source: Zhang and Suen, A fast parallel algorithm for thinning digital patterns,
 * Communications of the ACM 27 (1984), conditions (a) to (d) and (c′) to (d′). Only pixels next to
 * one that fell are looked at again, so the cost follows the outline and not the area.
 */
public final class Thinning {
  private Thinning() {}

  /** The skeleton of a mask; the mask is not modified. Pixels on the picture's edge are dropped. */
  public static Mask thin(Mask mask) {
    int width = mask.width();
    int height = mask.height();
    boolean[] set = mask.values().clone();
    for (int x = 0; x < width; x++) {
      set[x] = false;
      set[(height - 1) * width + x] = false;
    }
    for (int y = 0; y < height; y++) {
      set[y * width] = false;
      set[y * width + width - 1] = false;
    }
    int[] around = {-width, -width + 1, 1, width + 1, width, width - 1, -1, -width - 1};
    int[] candidates = new int[set.length / 4 + 16];
    int candidateCount = 0;
    for (int i = 0; i < set.length; i++) {
      if (set[i] && touchesOutside(set, i, around)) {
        if (candidateCount == candidates.length) {
          candidates = Arrays.copyOf(candidates, candidates.length * 2);
        }
        candidates[candidateCount++] = i;
      }
    }
    boolean[] queued = new boolean[set.length];
    int[] falling = new int[candidates.length];
    while (candidateCount > 0) {
      int[] next = new int[Math.max(64, candidateCount * 3)];
      int nextCount = 0;
      for (int half = 0; half < 2; half++) {
        int fallingCount = 0;
        if (falling.length < candidateCount) {
          falling = new int[candidateCount];
        }
        for (int c = 0; c < candidateCount; c++) {
          if (set[candidates[c]] && falls(set, candidates[c], around, half)) {
            falling[fallingCount++] = candidates[c];
          }
        }
        for (int f = 0; f < fallingCount; f++) {
          set[falling[f]] = false;
        }
        for (int f = 0; f < fallingCount; f++) {
          for (int step : around) {
            int neighbour = falling[f] + step;
            if (set[neighbour] && !queued[neighbour]) {
              queued[neighbour] = true;
              if (nextCount == next.length) {
                next = Arrays.copyOf(next, nextCount * 2);
              }
              next[nextCount++] = neighbour;
            }
          }
        }
      }
      for (int i = 0; i < nextCount; i++) {
        queued[next[i]] = false;
      }
      candidates = next;
      candidateCount = nextCount;
    }
    return new Mask(width, height, set);
  }

  private static boolean touchesOutside(boolean[] set, int i, int[] around) {
    for (int step : around) {
      if (!set[i + step]) {
        return true;
      }
    }
    return false;
  }

  private static boolean falls(boolean[] set, int i, int[] around, int half) {
    int neighbours = 0;
    int changes = 0;
    boolean before = set[i + around[7]];
    for (int k = 0; k < 8; k++) {
      boolean here = set[i + around[k]];
      if (here) {
        neighbours++;
        if (!before) {
          changes++;
        }
      }
      before = here;
    }
    if (neighbours < 2 || neighbours > 6 || changes != 1) {
      return false;
    }
    boolean north = set[i + around[0]];
    boolean east = set[i + around[2]];
    boolean south = set[i + around[4]];
    boolean west = set[i + around[6]];
    return half == 0
        ? !(north && east && south) && !(east && south && west)
        : !(north && east && west) && !(north && south && west);
  }
}
