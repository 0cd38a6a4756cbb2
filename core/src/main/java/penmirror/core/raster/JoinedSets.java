package penmirror.core.raster;

import java.util.Arrays;

/** Numbered things that are joined into sets, each told by one of its members. */
public final class JoinedSets {
  private int[] parents;
  private int size;

  /** Each of {@code size} things is a set of its own. */
  public JoinedSets(int size) {
    parents = new int[Math.max(16, size)];
    Arrays.setAll(parents, i -> i);
    this.size = size;
  }

  /** One more thing, a set of its own; its number. */
  public int add() {
    if (size == parents.length) {
      parents = Arrays.copyOf(parents, 2 * size);
    }
    parents[size] = size;
    return size++;
  }

  public int size() {
    return size;
  }

  /** The member that stands for the set, which is the lowest of it. */
  public int root(int thing) {
    int at = thing;
    while (parents[at] != at) {
      parents[at] = parents[parents[at]];
      at = parents[at];
    }
    return at;
  }

  /** Joins the sets of two things; the member that stands for both from now on. */
  public int join(int one, int other) {
    int a = root(one);
    int b = root(other);
    parents[Math.max(a, b)] = Math.min(a, b);
    return Math.min(a, b);
  }
}
