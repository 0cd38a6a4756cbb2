package penmirror.core.measure.shade;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import penmirror.core.measure.Findings;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.shade.ShadeFacts.Tone;
import penmirror.core.statistics.Bootstrap;
import penmirror.core.statistics.CircularSample;

/**
 * Where the light comes from, by how broad the shadow is along the outline of every local colour.
 *
 * <p>A shadow on a form is broadest where the outline looks away from the light and runs out where
 * it looks across: its breadth goes with the cosine between both. Of all directions that is taken
 * under which breadths fit this best. What the outline of a part mostly looks at does not matter
 * then: a long upright arm does not pull the light to its side.
 */
final class LightDirection {
  /** Half of the window by which the outline's direction is told, pixels. */
  private static final int WINDOW = 6;

  /** How far inside the outline its tone is looked up, pixels. */
  private static final int INSIDE = 4;

  private static final int LEAST_POINTS = 24;
  private static final int LEAST_DARK_POINTS = 8;

  /** Of one local colour; more would tell no more. */
  private static final int MOST_POINTS = 800;

  /**
   * What a lit place weighs beside a dark one: it may be lit because a nearer part hides the rim
   * that would be dark.
   */
  private static final double LIT_WEIGHT = 0.1;

  /** Misfit, in parts of the usual breadth, that halves what a place weighs. */
  private static final double HALVED_AT = 0.3;

  private static final int ROUNDS = 2;
  private static final int DIRECTIONS = 120;

  /** Directions fall out of the mean as they fit worse than the best by this share. */
  private static final double NEARLY_AS_GOOD = 0.05;

  /** Share of the breadths that a direction must explain to be one. */
  private static final double LEAST_EXPLAINED = 0.35;

  private LightDirection() {}

  /**
   * A place on an outline.
   *
   * @param x outward, unit length
   * @param breadth of the shadow along the inward way, pixels; 0 where the rim is lit
   */
  private record Place(double x, double y, double breadth) {}

  /**
   * @param misfits for each direction
   * @param unlit misfit when no light explains anything
   */
  private record Fit(double[] misfits, double unlit) {
    double explained() {
      return 1 - Arrays.stream(misfits).min().orElse(unlit) / unlit;
    }

    Fit plus(Fit other) {
      double[] sums = misfits.clone();
      Arrays.setAll(sums, d -> sums[d] + other.misfits[d]);
      return new Fit(sums, unlit + other.unlit);
    }

    /** Mean of the best directions, degrees clockwise from straight above; y runs down. */
    double degrees() {
      double best = Arrays.stream(misfits).min().orElse(0);
      double range = Arrays.stream(misfits).max().orElse(0) - best;
      double x = 0;
      double y = 0;
      for (int d = 0; d < DIRECTIONS; d++) {
        double weight = Math.exp((best - misfits[d]) / (NEARLY_AS_GOOD * range));
        x += weight * Math.sin(angle(d));
        y -= weight * Math.cos(angle(d));
      }
      return Math.toDegrees(Math.atan2(x, -y));
    }
  }

  private static double angle(int direction) {
    return 2 * Math.PI * direction / DIRECTIONS;
  }

  static void find(
      Materials materials,
      @Nullable ValueLevels[] levels,
      byte[] tones,
      int width,
      int height,
      Findings findings) {
    List<List<Place>> places = new ArrayList<>();
    for (int m = 0; m < levels.length; m++) {
      places.add(new ArrayList<>());
    }
    for (int y = WINDOW; y < height - WINDOW; y++) {
      for (int x = WINDOW; x < width - WINDOW; x++) {
        int here = materials.at(y * width + x);
        ValueLevels of = here < 0 ? null : levels[here];
        if (of == null || of.base() == 0 || !isOutline(materials, y * width + x, width)) {
          continue;
        }
        double[] normal = outward(materials, x, y, width, here);
        double length = Math.hypot(normal[0], normal[1]);
        if (length > 0) {
          double nx = normal[0] / length;
          double ny = normal[1] / length;
          double breadth = breadth(materials, tones, width, height, x, y, nx, ny);
          if (breadth >= 0) {
            places.get(here).add(new Place(nx, ny, breadth));
          }
        }
      }
    }
    List<Fit> fits = new ArrayList<>();
    for (List<Place> of : places) {
      Fit fit = fit(of);
      if (fit != null) {
        fits.add(fit);
      }
    }
    tell(fits, findings);
  }

  /**
   * How far the shadow reaches inward from a rim, pixels; 0 where it is lit, below 0 where nothing
   * is to be told or the shadow goes right through.
   */
  private static double breadth(
      Materials materials,
      byte[] tones,
      int width,
      int height,
      int x,
      int y,
      double nx,
      double ny) {
    int material = materials.at(y * width + x);
    for (int depth = INSIDE; ; depth++) {
      int ix = (int) Math.round(x - depth * nx);
      int iy = (int) Math.round(y - depth * ny);
      if (ix < 0 || iy < 0 || ix >= width || iy >= height) {
        return -1;
      }
      int inner = iy * width + ix;
      if (materials.at(inner) != material || tones[inner] == Tone.NONE.ordinal()) {
        return -1;
      }
      if (tones[inner] != Tone.SHADOW.ordinal()) {
        return depth == INSIDE ? 0 : depth;
      }
    }
  }

  /** Of one local colour; null when its outline tells too little. */
  private static @Nullable Fit fit(List<Place> all) {
    // By chance: every second one row by row could be those on the left alone.
    Collections.shuffle(all, new Random(all.size()));
    List<Place> places = all.subList(0, Math.min(MOST_POINTS, all.size()));
    double each = all.size() / (double) Math.max(1, places.size());
    double[] dark =
        places.stream().mapToDouble(Place::breadth).filter(breadth -> breadth > 0).toArray();
    if (places.size() < LEAST_POINTS || dark.length < LEAST_DARK_POINTS) {
      return null;
    }
    double usual = Math.sqrt(Arrays.stream(dark).map(b -> b * b).average().orElseThrow());
    double[] misfits = new double[DIRECTIONS];
    double unlit = 0;
    for (Place place : places) {
      unlit += each * weight(place) * capped(place.breadth / usual);
    }
    for (int d = 0; d < DIRECTIONS; d++) {
      double lightX = Math.sin(angle(d));
      double lightY = -Math.cos(angle(d));
      double scale = 0;
      for (int round = 0; round <= ROUNDS; round++) {
        double product = 0;
        double square = 0;
        for (Place place : places) {
          double away = away(place, lightX, lightY);
          double off = (place.breadth - scale * away) / (HALVED_AT * usual);
          double weight = weight(place) / (round == 0 ? 1 : 1 + off * off);
          product += weight * away * place.breadth;
          square += weight * away * away;
        }
        scale = square > 0 ? product / square : 0;
      }
      for (Place place : places) {
        double off = (place.breadth - scale * away(place, lightX, lightY)) / usual;
        misfits[d] += each * weight(place) * capped(off);
      }
    }
    return new Fit(misfits, unlit);
  }

  private static double weight(Place place) {
    return place.breadth > 0 ? 1 : LIT_WEIGHT;
  }

  /** How much an outline looks away from the light, [0, 1]. */
  private static double away(Place place, double lightX, double lightY) {
    return Math.max(0, -(place.x * lightX + place.y * lightY));
  }

  private static double capped(double off) {
    return Math.min(1, off * off);
  }

  private static void tell(List<Fit> fits, Findings findings) {
    Fit light = fits.stream().reduce(Fit::plus).orElse(null);
    if (light == null || light.explained() < LEAST_EXPLAINED) {
      findings.absent(ShadeMeasures.OF_LIGHT, Reason.TOO_LITTLE);
      return;
    }
    List<Fit> telling = fits.stream().filter(fit -> fit.explained() > 0).toList();
    double[] angles = telling.stream().mapToDouble(Fit::degrees).toArray();
    double[] weights = telling.stream().mapToDouble(fit -> fit.unlit * fit.explained()).toArray();
    int[] parts = IntStream.range(0, angles.length).toArray();
    double spread = spread(angles, weights, parts);
    double from = light.degrees();
    // The parts are few and independent: what they differ by tells how sure their mean is.
    double error = Math.min(180, spread / Math.sqrt(telling.size()));
    findings.put(ShadeMeasures.LIGHT_FROM, from < 0 ? from + 360 : from, error);
    findings.put(
        ShadeMeasures.LIGHT_SPREAD,
        spread,
        Bootstrap.error(angles.length, drawn -> spread(angles, weights, drawn)));
  }

  private static double spread(double[] angles, double[] weights, int[] parts) {
    double[] some = Arrays.stream(parts).mapToDouble(part -> angles[part]).toArray();
    double[] theirs = Arrays.stream(parts).mapToDouble(part -> weights[part]).toArray();
    return CircularSample.weighted(some, theirs).deviationDegrees();
  }

  private static boolean isOutline(Materials materials, int i, int width) {
    int here = materials.at(i);
    return materials.at(i - 1) != here
        || materials.at(i + 1) != here
        || materials.at(i - width) != here
        || materials.at(i + width) != here;
  }

  /** Toward what is not this local colour. */
  private static double[] outward(Materials materials, int x, int y, int width, int here) {
    double nx = 0;
    double ny = 0;
    for (int dy = -WINDOW; dy <= WINDOW; dy++) {
      for (int dx = -WINDOW; dx <= WINDOW; dx++) {
        if (dx * dx + dy * dy <= WINDOW * WINDOW
            && materials.at((y + dy) * width + x + dx) != here) {
          nx += dx;
          ny += dy;
        }
      }
    }
    return new double[] {nx, ny};
  }
}
