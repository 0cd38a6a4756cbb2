package penmirror.core.file;

import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** The open formats taken in, told by what a file begins with and not by its name. */
public enum PictureFormat {
  PNG("image/png", true),
  JPEG("image/jpeg", true),
  WEBP("image/webp", true),
  GIF("image/gif", true),
  BMP("image/bmp", true),
  TIFF("image/tiff", false),
  /** Could hold scripts, so it is shown as pixels only. */
  SVG("image/svg+xml", false),
  OPENRASTER("image/openraster", false);

  private static final int LOOK_AHEAD = 4096;

  private final String mediaType;
  private final boolean shownByBrowsers;

  PictureFormat(String mediaType, boolean shownByBrowsers) {
    this.mediaType = mediaType;
    this.shownByBrowsers = shownByBrowsers;
  }

  public String mediaType() {
    return mediaType;
  }

  /** Whether the file itself can be put on a page. */
  public boolean isShownByBrowsers() {
    return shownByBrowsers;
  }

  /** Whether only running it tells what it costs, so that it is opened in a process of its own. */
  boolean isOpenedApart() {
    return this == SVG || this == OPENRASTER;
  }

  public static Optional<PictureFormat> ofMediaType(String mediaType) {
    for (PictureFormat format : values()) {
      if (format.mediaType.equals(mediaType)) {
        return Optional.of(format);
      }
    }
    return Optional.empty();
  }

  /** Empty for anything that is none of these. */
  static Optional<PictureFormat> sniff(byte[] bytes) {
    if (startsWith(bytes, 0, 0x89, 'P', 'N', 'G', 0x0D, 0x0A, 0x1A, 0x0A)) {
      return Optional.of(PNG);
    }
    if (startsWith(bytes, 0, 0xFF, 0xD8, 0xFF)) {
      return Optional.of(JPEG);
    }
    if (startsWith(bytes, 0, 'R', 'I', 'F', 'F') && startsWith(bytes, 8, 'W', 'E', 'B', 'P')) {
      return Optional.of(WEBP);
    }
    if (startsWith(bytes, 0, 'G', 'I', 'F', '8') && bytes.length > 10) {
      return Optional.of(GIF);
    }
    if (startsWith(bytes, 0, 'I', 'I', 42, 0) || startsWith(bytes, 0, 'M', 'M', 0, 42)) {
      return Optional.of(TIFF);
    }
    if (startsWith(bytes, 0, 'B', 'M') && startsWith(bytes, 6, 0, 0, 0, 0)) {
      return Optional.of(BMP);
    }
    if (isZip(bytes)) {
      return contains(bytes, "mimetypeimage/openraster", 64)
          ? Optional.of(OPENRASTER)
          : Optional.empty();
    }
    return startsLikeXml(bytes) && contains(bytes, "<svg", LOOK_AHEAD)
        ? Optional.of(SVG)
        : Optional.empty();
  }

  /** Any zip, an OpenRaster picture among them. */
  public static boolean isZip(byte[] bytes) {
    return startsWith(bytes, 0, 'P', 'K', 3, 4);
  }

  private static boolean startsLikeXml(byte[] bytes) {
    String start =
        new String(bytes, 0, Math.min(bytes.length, 64), StandardCharsets.UTF_8).stripLeading();
    return start.startsWith("<") || start.startsWith("\uFEFF<");
  }

  private static boolean contains(byte[] bytes, String word, int within) {
    return new String(bytes, 0, Math.min(bytes.length, within), StandardCharsets.ISO_8859_1)
        .contains(word);
  }

  private static boolean startsWith(byte[] bytes, int at, int... signature) {
    if (bytes.length < at + signature.length) {
      return false;
    }
    for (int i = 0; i < signature.length; i++) {
      if ((bytes[at + i] & 255) != signature[i]) {
        return false;
      }
    }
    return true;
  }
}
