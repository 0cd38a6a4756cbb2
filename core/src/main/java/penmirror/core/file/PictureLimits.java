package penmirror.core.file;

/**
 * The largest file that is taken in. Raising a limit costs memory: a picture needs about 40 bytes a
 * pixel while it is measured.
 */
public record PictureLimits(long fileBytes, long pixels, int sidePixels) {
  public static final PictureLimits DEFAULTS =
      new PictureLimits(60L * 1024 * 1024, 64_000_000, 16_384);
}
