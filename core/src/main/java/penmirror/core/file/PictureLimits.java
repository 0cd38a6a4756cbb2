package penmirror.core.file;

import java.time.Duration;
import java.util.Locale;
import penmirror.core.file.UnusablePictureException.Reason;

/**
 * The largest file that is taken in, and the most that opening one may cost.
 *
 * @param drawing how long a vector or layered file may keep a processor busy; three times as long
 *     may pass while others keep it busy
 */
public record PictureLimits(long fileBytes, long pixels, int sidePixels, Duration drawing) {
  public static final PictureLimits DEFAULTS =
      new PictureLimits(60L * 1024 * 1024, 64_000_000, 16_384, Duration.ofSeconds(6));

  /**
   * @throws UnusablePictureException when a picture of that size is not taken in
   */
  void requirePixels(int width, int height) throws UnusablePictureException {
    if (width > sidePixels || height > sidePixels || (long) width * height > pixels) {
      throw new UnusablePictureException(
          Reason.TOO_MANY_PIXELS,
          String.format(
              Locale.ROOT,
              "The picture is %,d x %,d px; the limit is %d megapixels and %,d px a side. Save a"
                  + " smaller copy.",
              width,
              height,
              pixels / 1_000_000,
              sidePixels));
    }
  }
}
