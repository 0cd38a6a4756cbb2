package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import penmirror.core.raster.Mask;

/** The connected pieces of a mask, diagonal neighbours included. */
final class Parts {
  private Parts() {}

  /**
   * One piece.
   *
   * @param pixels row-major indices
   * @param right exclusive
   * @param bottom exclusive
   */
  record Part(int[] pixels, int area, int left, int top, int right, int bottom) {

    /** Where it lies in a picture so many times larger. Its pixels stay those of the small one. */
    Part times(int factor) {
      return factor == 1
          ? this
          : new Part(
              pixels,
              area * factor * factor,
              left * factor,
              top * factor,
              right * factor,
              bottom * factor);
    }

    private Part grown(int by) {
      return new Part(pixels, area, left - by, top - by, right + by, bottom + by);
    }

    int width() {
      return right - left;
    }

    int height() {
      return bottom - top;
    }

    double middleX() {
      return (left + right - 1) / 2.0;
    }

    double middleY() {
      return (top + bottom - 1) / 2.0;
    }
  }

  /**
   * The pieces once all that is at most {@code 2 cut} wide is cut through; their boxes reach as far
   * as before, their pixels are those that are left. What is cut through at the mask's border
   * counts as ending there.
   */
  static List<Part> cut(Mask mask, int cut) {
    if (cut == 0) {
      return of(mask);
    }
    return of(mask.shrunk(cut)).stream().map(part -> part.grown(cut)).toList();
  }

  static List<Part> of(Mask mask) {
    int width = mask.width();
    int height = mask.height();
    boolean[] set = mask.values();
    boolean[] seen = new boolean[set.length];
    List<Part> parts = new ArrayList<>();
    int[] queue = new int[256];
    for (int start = 0; start < set.length; start++) {
      if (!set[start] || seen[start]) {
        continue;
      }
      seen[start] = true;
      queue[0] = start;
      int size = 1;
      int left = width;
      int top = height;
      int right = 0;
      int bottom = 0;
      for (int next = 0; next < size; next++) {
        int x = queue[next] % width;
        int y = queue[next] / width;
        left = Math.min(left, x);
        right = Math.max(right, x + 1);
        top = Math.min(top, y);
        bottom = Math.max(bottom, y + 1);
        for (int ny = Math.max(0, y - 1); ny <= Math.min(height - 1, y + 1); ny++) {
          for (int nx = Math.max(0, x - 1); nx <= Math.min(width - 1, x + 1); nx++) {
            int neighbour = ny * width + nx;
            if (set[neighbour] && !seen[neighbour]) {
              seen[neighbour] = true;
              if (size == queue.length) {
                queue = Arrays.copyOf(queue, size * 2);
              }
              queue[size++] = neighbour;
            }
          }
        }
      }
      parts.add(new Part(Arrays.copyOf(queue, size), size, left, top, right, bottom));
    }
    return parts;
  }

  /**
   * Mean row of those pixels of some parts that lie between two columns; 0 where there are none.
   *
   * @param width of the mask the parts were found in
   */
  static double meanRow(List<Part> parts, int width, double from, double to) {
    double sum = 0;
    int count = 0;
    for (Parts.Part part : parts) {
      for (int pixel : part.pixels()) {
        if (pixel % width >= from && pixel % width < to) {
          sum += pixel / width;
          count++;
        }
      }
    }
    return count == 0 ? 0 : sum / count;
  }
}
