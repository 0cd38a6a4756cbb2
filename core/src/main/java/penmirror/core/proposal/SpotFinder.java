package penmirror.core.proposal;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Morphology;
import penmirror.core.raster.Plane;

/** Finds what could be a feature: dark and bright parts of every size, in the upper figure. */
final class SpotFinder {
  private static final int[] RADII = {2, 4, 8, 16, 32, 64};
  private static final double[] DARK = {0.07, 0.28};
  private static final double[] BRIGHT = {0.15};
  private static final int SMALLEST_AREA_PIXELS = 6;
  private static final int RING_SAMPLES = 500;
  private static final int MOST_FOUND = 420;
  private static final int MOST_KEPT = 220;

  /** OKLab distance within which what lies round a part is one colour. */
  private static final double SAME = 0.06;

  private final Ground ground;

  private SpotFinder(Ground ground) {
    this.ground = ground;
  }

  /** The likeliest first, {@value #MOST_KEPT} at the most. */
  static List<Spot> find(Ground ground) {
    return new SpotFinder(ground).find();
  }

  private List<Spot> find() {
    Plane smooth = smoothed(ground.luma);
    Plane inverse = inverted(smooth);
    double largest = 0.16 * Math.min(ground.boxWidth(), ground.boxHeight()) + 2;
    List<Found> found =
        Arrays.stream(RADII)
            .filter(radius -> radius <= largest)
            .parallel()
            .boxed()
            .flatMap(
                radius ->
                    Stream.concat(
                        found(smooth, radius, DARK, false), found(inverse, radius, BRIGHT, true)))
            .collect(Collectors.toCollection(ArrayList::new));
    List<Found> single = new ArrayList<>();
    found.sort(Comparator.comparingDouble(f -> -f.weight()));
    for (Found candidate : found) {
      if (single.size() < MOST_FOUND && single.stream().noneMatch(candidate::isNearly)) {
        single.add(candidate);
      }
    }
    return single.stream()
        .map(this::spot)
        .sorted(Comparator.comparingDouble(spot -> -spot.rank()))
        .limit(MOST_KEPT)
        .toList();
  }

  private record Found(Parts.Part part, double contrast, boolean bright) {
    double weight() {
      return contrast * Math.sqrt(part.area());
    }

    /** Same sign, nearly the same box. */
    boolean isNearly(Found other) {
      double size = Math.max(part.width(), part.height());
      return bright == other.bright
          && Math.abs(part.middleX() - other.part.middleX()) <= 0.2 * size
          && Math.abs(part.middleY() - other.part.middleY()) <= 0.2 * size
          && Math.abs(Math.log(part.width() / (double) other.part.width())) < 0.3
          && Math.abs(Math.log(part.height() / (double) other.part.height())) < 0.3;
    }
  }

  private Stream<Found> found(Plane whole, int radius, double[] thresholds, boolean bright) {
    // Large parts are sought on a smaller copy: their boxes need no single pixels.
    int factor = radius >= 16 ? 2 : 1;
    Plane plane = shrunk(whole, factor);
    float[] contrast =
        difference(Morphology.octagonClosing(plane, radius / factor), plane).values();
    List<Found> found = new ArrayList<>();
    for (double threshold : thresholds) {
      boolean[] set = new boolean[contrast.length];
      for (int i = 0; i < set.length; i++) {
        set[i] = contrast[i] > threshold;
      }
      for (Parts.Part part : Parts.of(new Mask(plane.width(), plane.height(), set))) {
        Parts.Part large = part.times(factor);
        if (isFeatureOf(large, radius)) {
          double sum = 0;
          for (int pixel : part.pixels()) {
            sum += contrast[pixel];
          }
          found.add(new Found(large, sum / part.area(), bright));
        }
      }
    }
    return found.stream();
  }

  /** Of the size the radius looks for, and in the upper figure. */
  private boolean isFeatureOf(Parts.Part part, int radius) {
    double depth = ground.boxHeight() > 1.5 * ground.boxWidth() ? 0.62 : 0.9;
    double lowest = ground.top + depth * ground.boxHeight();
    int longer = Math.max(part.width(), part.height());
    return part.area() >= SMALLEST_AREA_PIXELS
        && longer >= 3
        && longer >= 0.8 * radius
        && longer <= 6 * radius
        && part.middleX() >= ground.left
        && part.middleX() < ground.right
        && part.middleY() >= ground.top
        && part.middleY() < lowest;
  }

  private static Plane shrunk(Plane plane, int factor) {
    if (factor == 1) {
      return plane;
    }
    int width = (plane.width() + factor - 1) / factor;
    int height = (plane.height() + factor - 1) / factor;
    float[] result = new float[width * height];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        float sum = 0;
        int count = 0;
        for (int sy = y * factor; sy < Math.min(plane.height(), (y + 1) * factor); sy++) {
          for (int sx = x * factor; sx < Math.min(plane.width(), (x + 1) * factor); sx++) {
            sum += plane.values()[sy * plane.width() + sx];
            count++;
          }
        }
        result[y * width + x] = sum / count;
      }
    }
    return new Plane(width, height, result);
  }

  private Spot spot(Found found) {
    Parts.Part part = found.part();
    int marginX = Math.max(2, (int) Math.round(0.4 * part.width()));
    int marginY = Math.max(2, (int) Math.round(0.4 * part.height()));
    int[] ring = ring(part, marginX, marginY);
    double[] colour = medianColour(ring);
    long same = Arrays.stream(ring).filter(i -> distance(i, colour) < SAME).count();
    return new Spot(
        part.left(),
        part.top(),
        part.right(),
        part.bottom(),
        part.area(),
        found.contrast(),
        found.bright(),
        colour,
        ring.length == 0 ? 0 : same / (double) ring.length);
  }

  /**
   * Some of the pixels round a part, evenly spread: a large part needs no more than a small one.
   */
  private int[] ring(Parts.Part part, int marginX, int marginY) {
    double area = (part.width() + 2.0 * marginX) * (part.height() + 2.0 * marginY);
    int step = Math.max(1, (int) Math.sqrt(area / RING_SAMPLES));
    int[] ring = new int[4 * RING_SAMPLES];
    int count = 0;
    for (int y = part.top() - marginY; y < part.bottom() + marginY; y += step) {
      for (int x = part.left() - marginX; x < part.right() + marginX; x += step) {
        boolean inBox =
            x >= part.left() - 1 && x <= part.right() && y >= part.top() - 1 && y <= part.bottom();
        boolean inPicture = x >= 0 && y >= 0 && x < ground.width && y < ground.height;
        if (!inBox && inPicture && count < ring.length) {
          ring[count++] = y * ground.width + x;
        }
      }
    }
    return Arrays.copyOf(ring, count);
  }

  private double[] medianColour(int[] pixels) {
    return new double[] {
      median(ground.lightness, pixels), median(ground.a, pixels), median(ground.b, pixels)
    };
  }

  private static double median(Plane plane, int[] pixels) {
    double[] values = Arrays.stream(pixels).mapToDouble(i -> plane.values()[i]).toArray();
    Arrays.sort(values);
    return values.length == 0 ? 0 : values[values.length / 2];
  }

  private double distance(int pixel, double[] colour) {
    double dl = ground.lightness.values()[pixel] - colour[0];
    double da = ground.a.values()[pixel] - colour[1];
    double db = ground.b.values()[pixel] - colour[2];
    return Math.sqrt(dl * dl + da * da + db * db);
  }

  /** Gaussian of 0.6 pixels. */
  private static Plane smoothed(Plane plane) {
    float[] kernel = {0.0025f, 0.165f, 0.665f, 0.165f, 0.0025f};
    return along(along(plane, kernel, 1, 0), kernel, 0, 1);
  }

  private static Plane along(Plane plane, float[] kernel, int dx, int dy) {
    float[] result = new float[plane.values().length];
    for (int y = 0; y < plane.height(); y++) {
      for (int x = 0; x < plane.width(); x++) {
        float sum = 0;
        for (int k = -2; k <= 2; k++) {
          int nx = Math.max(0, Math.min(plane.width() - 1, x + k * dx));
          int ny = Math.max(0, Math.min(plane.height() - 1, y + k * dy));
          sum += kernel[k + 2] * plane.values()[ny * plane.width() + nx];
        }
        result[y * plane.width() + x] = Math.max(0, Math.min(1, sum));
      }
    }
    return new Plane(plane.width(), plane.height(), result);
  }

  private static Plane inverted(Plane plane) {
    float[] result = new float[plane.values().length];
    for (int i = 0; i < result.length; i++) {
      result[i] = 1 - plane.values()[i];
    }
    return new Plane(plane.width(), plane.height(), result);
  }

  private static Plane difference(Plane one, Plane other) {
    float[] result = new float[one.values().length];
    for (int i = 0; i < result.length; i++) {
      result[i] = one.values()[i] - other.values()[i];
    }
    return new Plane(one.width(), one.height(), result);
  }
}
