package penmirror.core.file;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import penmirror.core.reading.MeasureCatalogue;

/** Whatever bytes come: a picture within the limits, or a sentence. */
public final class RasterFuzz {
  /** Small, so that a run is over soon; the heap is small too. */
  static final PictureLimits LIMITS =
      new PictureLimits(4 << 20, 4_000_000, 4096, Duration.ofSeconds(4));

  private RasterFuzz() {}

  /** Loads what the first run needs: that takes longer than any run may. */
  public static void fuzzerInitialize() {
    fuzzerTestOneInput("{}".getBytes(StandardCharsets.UTF_8));
    MeasureCatalogue.all();
  }

  public static void fuzzerTestOneInput(byte[] data) {
    PictureFormat format = PictureFormat.sniff(data).orElse(null);
    if (format == null || format.isOpenedApart()) {
      return;
    }
    try {
      int pixels = RasterFile.open(data, format, LIMITS).picture().pixelCount();
      if (pixels > LIMITS.pixels()) {
        throw new IllegalStateException(pixels + " pixels came in.");
      }
    } catch (UnusablePictureException e) {
      // Told so, and nothing more.
    }
  }
}
