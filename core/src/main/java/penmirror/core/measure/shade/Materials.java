package penmirror.core.measure.shade;

import java.util.HashMap;
import java.util.Map;
import penmirror.core.colour.OkLab;
import penmirror.core.measure.colour.Palette;
import penmirror.core.raster.JoinedSets;
import penmirror.core.raster.Regions;

/**
 * Which regions are one local colour in light and shadow: neighbours that differ in lightness alone
 * or nearly so. A line between two regions keeps them apart.
 *
 * <p>Two different things of like hue and value that touch without a line, such as brown hair on
 * tan skin, come out as one.
 */
public final class Materials {
  private static final double LEAST_STEP = 0.012;
  private static final double LARGEST_STEP = 0.25;
  private static final double NEARLY_GREY = 0.015;
  private static final double COLOURED = 0.05;
  private static final double HAS_HUE = 0.02;
  private static final double SAME_HUE = 35;
  private static final double LEAST_RATIO = 0.45;
  private static final double LARGEST_RATIO = 2.2;
  private static final double LEAST_CONTACT_SHARE = 0.15;
  private static final int LEAST_CONTACT = 6;
  private static final double LEAST_REGION = 0.0004;

  private final int[] of;
  private final int[] areas;

  private Materials(int[] of, int[] areas) {
    this.of = of;
    this.areas = areas;
  }

  /**
   * @param ink pixels of lines, which belong to no material; not modified
   */
  public static Materials of(Palette palette, boolean[] ink) {
    int width = palette.width();
    int height = palette.height();
    int[] labels = palette.labels().clone();
    int figure = 0;
    for (int i = 0; i < labels.length; i++) {
      figure += labels[i] >= 0 ? 1 : 0;
      if (ink[i]) {
        labels[i] = Palette.NONE;
      }
    }
    Regions regions = Regions.of(labels, width, height);
    int[] perimeters = new int[regions.count()];
    Map<Long, int[]> contacts = contacts(regions, perimeters);
    JoinedSets joined = new JoinedSets(regions.count());
    double least = LEAST_REGION * figure;
    for (Map.Entry<Long, int[]> contact : contacts.entrySet()) {
      int one = (int) (contact.getKey() >> 32);
      int other = contact.getKey().intValue();
      int length = contact.getValue()[0];
      boolean large = regions.area(one) >= least && regions.area(other) >= least;
      double shorter = Math.min(perimeters[one], perimeters[other]);
      if (large
          && length >= Math.max(LEAST_CONTACT, LEAST_CONTACT_SHARE * shorter)
          && isOneColour(
              palette.colour(regions.label(one)), palette.colour(regions.label(other)))) {
        joined.join(one, other);
      }
    }
    int[] numbers = new int[regions.count()];
    int count = 0;
    for (int r = 0; r < numbers.length; r++) {
      if (joined.root(r) == r) {
        numbers[r] = count++;
      }
    }
    int[] of = new int[labels.length];
    int[] areas = new int[count];
    for (int i = 0; i < of.length; i++) {
      of[i] = regions.at(i) < 0 ? Regions.NONE : numbers[joined.root(regions.at(i))];
      if (of[i] >= 0) {
        areas[of[i]]++;
      }
    }
    return new Materials(of, areas);
  }

  private static Map<Long, int[]> contacts(Regions regions, int[] perimeters) {
    Map<Long, int[]> contacts = new HashMap<>();
    int width = regions.width();
    int height = regions.height();
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int i = y * width + x;
        int here = regions.at(i);
        if (x + 1 < width) {
          touch(contacts, perimeters, here, regions.at(i + 1));
        }
        if (y + 1 < height) {
          touch(contacts, perimeters, here, regions.at(i + width));
        }
      }
    }
    return contacts;
  }

  private static void touch(Map<Long, int[]> contacts, int[] perimeters, int one, int other) {
    if (one == other) {
      return;
    }
    if (one >= 0) {
      perimeters[one]++;
    }
    if (other >= 0) {
      perimeters[other]++;
    }
    if (one >= 0 && other >= 0) {
      long key = (long) Math.min(one, other) << 32 | Math.max(one, other);
      contacts.computeIfAbsent(key, k -> new int[1])[0]++;
    }
  }

  /** Whether two colours can be one local colour in light and in shadow. */
  public static boolean isOneColour(OkLab one, OkLab other) {
    double step = Math.abs(one.lightness() - other.lightness());
    if (step < LEAST_STEP || step > LARGEST_STEP) {
      return false;
    }
    double weak = Math.min(one.chroma(), other.chroma());
    double strong = Math.max(one.chroma(), other.chroma());
    if (weak < NEARLY_GREY && strong > COLOURED) {
      return false;
    }
    if (weak > HAS_HUE) {
      double ratio = one.chroma() / other.chroma();
      return one.hueApart(other) <= SAME_HUE && ratio >= LEAST_RATIO && ratio <= LARGEST_RATIO;
    }
    return true;
  }

  public int count() {
    return areas.length;
  }

  /** Material of a pixel, or below 0. */
  public int at(int pixel) {
    return of[pixel];
  }

  public int area(int material) {
    return areas[material];
  }
}
