package penmirror.core.file;

import java.nio.charset.StandardCharsets;
import penmirror.core.reading.MeasureCatalogue;

/** The zip, its stack and its layers, as the drawing process reads them. */
public final class OpenRasterFuzz {
  private OpenRasterFuzz() {}

  /** Loads what the first run needs: that takes longer than any run may. */
  public static void fuzzerInitialize() {
    fuzzerTestOneInput("{}".getBytes(StandardCharsets.UTF_8));
    MeasureCatalogue.all();
  }

  public static void fuzzerTestOneInput(byte[] data) {
    if (PictureFormat.sniff(data).filter(PictureFormat.OPENRASTER::equals).isEmpty()) {
      return;
    }
    try {
      ApartFile.open(data, RasterFuzz.LIMITS);
    } catch (UnusablePictureException e) {
      // Told so, and nothing more.
    }
  }
}
