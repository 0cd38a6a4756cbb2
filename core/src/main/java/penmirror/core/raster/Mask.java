package penmirror.core.raster;

import java.util.Arrays;

/** Yes or no per pixel, row-major. The array is shared with whoever made the mask. */
public final class Mask {
  private final int width;
  private final int height;
  private final boolean[] set;

  public Mask(int width, int height, boolean[] set) {
    if (set.length != width * height) {
      throw new IllegalArgumentException(
          "A mask of " + width + " x " + height + " got " + set.length + " values");
    }
    this.width = width;
    this.height = height;
    this.set = set;
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  public boolean[] values() {
    return set;
  }

  /** False outside the picture. */
  public boolean at(int x, int y) {
    return x >= 0 && y >= 0 && x < width && y < height && set[y * width + x];
  }

  public int count() {
    int count = 0;
    for (boolean value : set) {
      if (value) {
        count++;
      }
    }
    return count;
  }

  /**
   * Where the whole square of side {@code 2 radius + 1} round a pixel is set; what lies outside the
   * picture counts as set. This mask is not modified.
   */
  public Mask shrunk(int radius) {
    boolean[] rows = new boolean[set.length];
    for (int y = 0; y < height; y++) {
      shrunkLine(set, rows, y * width, 1, width, radius);
    }
    boolean[] both = new boolean[set.length];
    for (int x = 0; x < width; x++) {
      shrunkLine(rows, both, x, width, height, radius);
    }
    return new Mask(width, height, both);
  }

  private static void shrunkLine(
      boolean[] from, boolean[] to, int start, int stride, int length, int radius) {
    int lastUnset = -radius - 1;
    // A place stays once the next unset one to either side is farther than the radius.
    for (int k = 0; k < length + radius; k++) {
      if (k < length && !from[start + k * stride]) {
        lastUnset = k;
      }
      int middle = k - radius;
      if (middle >= 0) {
        to[start + middle * stride] = lastUnset < middle - radius;
      }
    }
  }

  /**
   * This mask without its 8-connected pieces of fewer than {@code pixels} pixels. This mask is not
   * modified.
   */
  public Mask withoutSpecks(int pixels) {
    boolean[] kept = set.clone();
    boolean[] seen = new boolean[set.length];
    int[] piece = new int[1024];
    for (int start = 0; start < set.length; start++) {
      if (!set[start] || seen[start]) {
        continue;
      }
      seen[start] = true;
      piece[0] = start;
      int size = 1;
      for (int next = 0; next < size; next++) {
        int x = piece[next] % width;
        int y = piece[next] / width;
        for (int ny = Math.max(0, y - 1); ny <= Math.min(height - 1, y + 1); ny++) {
          for (int nx = Math.max(0, x - 1); nx <= Math.min(width - 1, x + 1); nx++) {
            int neighbour = ny * width + nx;
            if (set[neighbour] && !seen[neighbour]) {
              seen[neighbour] = true;
              if (size == piece.length) {
                piece = Arrays.copyOf(piece, size * 2);
              }
              piece[size++] = neighbour;
            }
          }
        }
      }
      if (size < pixels) {
        for (int i = 0; i < size; i++) {
          kept[piece[i]] = false;
        }
      }
    }
    return new Mask(width, height, kept);
  }
}
