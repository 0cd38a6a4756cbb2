package penmirror.core.raster;

/**
 * Connected pieces of equal label; pixels touch along their sides. Numbered in the order in which
 * their first pixel is met.
 *
 * <p>Two passes over the rows with a union-find, so the cost is that of the pixels.
 */
public final class Regions {
  /** What has no region. */
  public static final int NONE = -1;

  private final int width;
  private final int height;
  private final int[] of;
  private final int[] labels;
  private final int[] areas;

  private Regions(int width, int height, int[] of, int[] labels, int[] areas) {
    this.width = width;
    this.height = height;
    this.of = of;
    this.labels = labels;
    this.areas = areas;
  }

  /**
   * @param labels row-major; below 0 belongs to no region; not modified
   */
  public static Regions of(int[] labels, int width, int height) {
    int[] provisional = new int[labels.length];
    JoinedSets sets = new JoinedSets(0);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int i = y * width + x;
        int label = labels[i];
        if (label < 0) {
          provisional[i] = NONE;
          continue;
        }
        int left = x > 0 && labels[i - 1] == label ? provisional[i - 1] : NONE;
        int above = y > 0 && labels[i - width] == label ? provisional[i - width] : NONE;
        if (left < 0 && above < 0) {
          provisional[i] = sets.add();
        } else if (left >= 0 && above >= 0 && left != above) {
          provisional[i] = sets.join(left, above);
        } else {
          provisional[i] = left >= 0 ? left : above;
        }
      }
    }
    int[] numbers = new int[sets.size()];
    int count = 0;
    for (int p = 0; p < numbers.length; p++) {
      int root = sets.root(p);
      numbers[p] = root == p ? count++ : numbers[root];
    }
    int[] areas = new int[count];
    int[] regionLabels = new int[count];
    for (int i = 0; i < labels.length; i++) {
      if (provisional[i] >= 0) {
        provisional[i] = numbers[provisional[i]];
        areas[provisional[i]]++;
        regionLabels[provisional[i]] = labels[i];
      }
    }
    return new Regions(width, height, provisional, regionLabels, areas);
  }

  /** Areas of the connected pieces of a mask. */
  public static int[] areas(boolean[] set, int width, int height) {
    return of(set, width, height).areas;
  }

  /** The connected pieces of a mask. */
  public static Regions of(boolean[] set, int width, int height) {
    int[] labels = new int[set.length];
    for (int i = 0; i < set.length; i++) {
      labels[i] = set[i] ? 0 : NONE;
    }
    return of(labels, width, height);
  }

  public int count() {
    return areas.length;
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  /** Region of a pixel, or {@link #NONE}. */
  public int at(int pixel) {
    return of[pixel];
  }

  public int label(int region) {
    return labels[region];
  }

  public int area(int region) {
    return areas[region];
  }

  /** Left, top, right and bottom of every region, the last two exclusive. */
  public int[][] boxes() {
    int[][] boxes = new int[count()][];
    for (int i = 0; i < of.length; i++) {
      if (of[i] < 0) {
        continue;
      }
      int x = i % width;
      int y = i / width;
      int[] box = boxes[of[i]];
      if (box == null) {
        boxes[of[i]] = new int[] {x, y, x + 1, y + 1};
      } else {
        box[0] = Math.min(box[0], x);
        box[2] = Math.max(box[2], x + 1);
        box[3] = y + 1;
      }
    }
    return boxes;
  }
}
