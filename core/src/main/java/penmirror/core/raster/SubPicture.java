package penmirror.core.raster;

import java.util.Optional;
import java.util.Random;
import penmirror.core.geometry.Point;

/** Finds where a picture was cut out of another, pixel for pixel. */
public final class SubPicture {
  private static final int PROBES = 24;
  private static final long SEED = 9;

  private SubPicture() {}

  /**
   * The upper left corner of the part in the whole, pixels of the whole; empty when it is no exact
   * cut-out. Where the part fits in several places, as a blank one does, the first by rows.
   */
  public static Optional<Point> offset(Picture whole, Picture part) {
    int freeX = whole.widthPixels() - part.widthPixels();
    int freeY = whole.heightPixels() - part.heightPixels();
    if (freeX < 0 || freeY < 0) {
      return Optional.empty();
    }
    int[] probes = probes(part);
    for (int y = 0; y <= freeY; y++) {
      for (int x = 0; x <= freeX; x++) {
        if (matches(whole, part, probes, x, y) && isSame(whole, part, x, y)) {
          return Optional.of(new Point(x, y));
        }
      }
    }
    return Optional.empty();
  }

  /** Few pixels that tell most places apart: those that differ from their left neighbour first. */
  private static int[] probes(Picture part) {
    Random random = new Random(SEED);
    int[] probes = new int[PROBES];
    int found = 0;
    for (int attempt = 0; attempt < 4000 && found < PROBES; attempt++) {
      int i = random.nextInt(part.pixelCount());
      boolean edge = i % part.widthPixels() > 0 && part.rgb(i) != part.rgb(i - 1);
      if (edge || attempt > 3000) {
        probes[found++] = i;
      }
    }
    return probes;
  }

  private static boolean matches(Picture whole, Picture part, int[] probes, int x, int y) {
    for (int probe : probes) {
      int px = x + probe % part.widthPixels();
      int py = y + probe / part.widthPixels();
      if (whole.rgb(py * whole.widthPixels() + px) != part.rgb(probe)) {
        return false;
      }
    }
    return true;
  }

  private static boolean isSame(Picture whole, Picture part, int x, int y) {
    for (int i = 0; i < part.pixelCount(); i++) {
      int px = x + i % part.widthPixels();
      int py = y + i / part.widthPixels();
      if (whole.rgb(py * whole.widthPixels() + px) != part.rgb(i)) {
        return false;
      }
    }
    return true;
  }
}
