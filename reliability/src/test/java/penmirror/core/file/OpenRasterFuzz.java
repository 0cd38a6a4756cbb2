package penmirror.core.file;

/** The zip, its stack and its layers, as the drawing process reads them. */
public final class OpenRasterFuzz {
  private OpenRasterFuzz() {}

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
