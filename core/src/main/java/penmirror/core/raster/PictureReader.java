package penmirror.core.raster;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import penmirror.core.raster.UnusablePictureException.Reason;

/**
 * Opens PNG and JPEG files, and TIFF where scans are taken, sniffed by content and not by name.
 *
 * <p>Size is checked on the header before any pixel is decoded, so a decompression bomb costs
 * nothing. The camera's orientation is applied. Colour profiles are not converted yet: numbers are
 * read as sRGB.
 */
public final class PictureReader {
  private static final int JPEG_END_OF_IMAGE = 0xD9;

  private final PictureLimits limits;
  private final boolean takesTiff;

  public PictureReader() {
    this(PictureLimits.DEFAULTS);
  }

  public PictureReader(PictureLimits limits) {
    this(limits, false);
  }

  private PictureReader(PictureLimits limits, boolean takesTiff) {
    this.limits = limits;
    this.takesTiff = takesTiff;
  }

  /** Takes what scanners write: TIFF as well. */
  public static PictureReader forScans() {
    return new PictureReader(PictureLimits.DEFAULTS, true);
  }

  /** The open formats taken in, with the media type under which a browser shows them. */
  public enum Format {
    PNG("image/png"),
    JPEG("image/jpeg"),
    /** From scanners; browsers do not show it. */
    TIFF("image/tiff");

    private final String mediaType;

    Format(String mediaType) {
      this.mediaType = mediaType;
    }

    public String mediaType() {
      return mediaType;
    }
  }

  /**
   * A picture with the format its file was in.
   *
   * @param resolution as the file states it; empty if it states none
   */
  public record Opened(Picture picture, Format format, Optional<Resolution> resolution) {}

  /**
   * @param bytes the whole file
   * @throws UnusablePictureException when it is empty, too large, not a picture, or cut short
   */
  public Opened open(byte[] bytes) throws UnusablePictureException {
    if (bytes.length == 0) {
      throw new UnusablePictureException(
          Reason.EMPTY, "The file is empty (0 bytes). Save or export it again.");
    }
    if (bytes.length > limits.fileBytes()) {
      throw new UnusablePictureException(
          Reason.TOO_MANY_BYTES,
          String.format(
              Locale.ROOT,
              "The file has %.1f MB, the limit is %d MB. Save it smaller or with more compression.",
              bytes.length / 1048576.0,
              limits.fileBytes() / 1048576));
    }
    Format format = sniff(bytes);
    if (format == Format.JPEG && !endsProperly(bytes)) {
      throw truncated();
    }
    BufferedImage image = decode(bytes);
    Metadata metadata = metadata(bytes);
    return new Opened(
        Picture.from(Orientation.ofExif(exifOrientation(metadata)).upright(image)),
        format,
        Resolution.statedIn(metadata));
  }

  private BufferedImage decode(byte[] bytes) throws UnusablePictureException {
    try (ImageInputStream stream =
        new MemoryCacheImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
      if (!readers.hasNext()) {
        throw notAPicture();
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(stream, true, true);
        requireSize(reader.getWidth(0), reader.getHeight(0));
        return reader.read(0);
      } finally {
        reader.dispose();
      }
    } catch (java.io.EOFException e) {
      throw truncated();
    } catch (IOException | RuntimeException e) {
      // ImageIO reports a short or damaged file through many exception types.
      if (mentionsEnd(e)) {
        throw truncated();
      }
      throw new UnusablePictureException(
          Reason.UNREADABLE,
          "The picture could not be decoded: its data is damaged or uses an unusual kind of colour."
              + " Open it in a painting program and save it as an RGB PNG.");
    }
  }

  private void requireSize(int width, int height) throws UnusablePictureException {
    if (width > limits.sidePixels()
        || height > limits.sidePixels()
        || (long) width * height > limits.pixels()) {
      throw new UnusablePictureException(
          Reason.TOO_MANY_PIXELS,
          String.format(
              Locale.ROOT,
              "The picture is %,d x %,d px; the limit is %d megapixels and %,d px a side. Save a"
                  + " smaller copy.",
              width,
              height,
              limits.pixels() / 1_000_000,
              limits.sidePixels()));
    }
  }

  private Format sniff(byte[] bytes) throws UnusablePictureException {
    if (startsWith(bytes, 0x89, 'P', 'N', 'G', 0x0D, 0x0A, 0x1A, 0x0A)) {
      return Format.PNG;
    }
    if (startsWith(bytes, 0xFF, 0xD8, 0xFF)) {
      return Format.JPEG;
    }
    if (takesTiff && (startsWith(bytes, 'I', 'I', 42, 0) || startsWith(bytes, 'M', 'M', 0, 42))) {
      return Format.TIFF;
    }
    throw notAPicture();
  }

  private static boolean startsWith(byte[] bytes, int... signature) {
    if (bytes.length < signature.length) {
      return false;
    }
    for (int i = 0; i < signature.length; i++) {
      if ((bytes[i] & 255) != signature[i]) {
        return false;
      }
    }
    return true;
  }

  /** A JPEG cut short decodes with its lower part grey; only the missing end mark gives it away. */
  private static boolean endsProperly(byte[] bytes) {
    for (int i = bytes.length - 1; i > 0; i--) {
      if ((bytes[i] & 255) == JPEG_END_OF_IMAGE && (bytes[i - 1] & 255) == 0xFF) {
        return true;
      }
      if (bytes.length - i > 65_536) {
        return false;
      }
    }
    return false;
  }

  /** A damaged note beside the picture is no reason to refuse the picture. */
  private static Metadata metadata(byte[] bytes) {
    try {
      return ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes));
    } catch (ImageProcessingException | IOException e) {
      return new Metadata();
    }
  }

  private static int exifOrientation(Metadata metadata) {
    try {
      ExifIFD0Directory directory = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
      if (directory != null && directory.containsTag(ExifIFD0Directory.TAG_ORIENTATION)) {
        return directory.getInt(ExifIFD0Directory.TAG_ORIENTATION);
      }
    } catch (MetadataException e) {
      // As above: the picture itself may be sound.
    }
    return 1;
  }

  private static boolean mentionsEnd(Throwable error) {
    for (Throwable cause = error; cause != null; cause = cause.getCause()) {
      String message = String.valueOf(cause.getMessage()).toLowerCase(Locale.ROOT);
      if (cause instanceof java.io.EOFException
          || message.contains("unexpected end")
          || message.contains("premature")
          || message.contains("eof")) {
        return true;
      }
    }
    return false;
  }

  private static UnusablePictureException truncated() {
    return new UnusablePictureException(
        Reason.TRUNCATED,
        "The picture is cut short: the file ends before the picture does. Copy or export it"
            + " again.");
  }

  private UnusablePictureException notAPicture() {
    return new UnusablePictureException(
        Reason.NOT_A_PICTURE,
        takesTiff
            ? "The file is not a PNG, JPEG or TIFF picture, whatever its name says. Scan it again"
                + " as one of these."
            : "The file is not a PNG or JPEG picture, whatever its name says. Export it as PNG or"
                + " JPEG.");
  }
}
