package penmirror.core.file;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.twelvemonkeys.imageio.plugins.jpeg.JPEGImageReaderSpi;
import com.twelvemonkeys.imageio.plugins.tiff.TIFFImageReaderSpi;
import com.twelvemonkeys.imageio.plugins.webp.WebPImageReaderSpi;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.EnumSet;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.spi.IIORegistry;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import penmirror.core.file.UnusablePictureException.Reason;
import penmirror.core.raster.Picture;

/**
 * Opens picture files of all {@link PictureFormat}s, sniffed by content and not by name.
 *
 * <p>Size is checked on the header before any pixel is decoded, so a decompression bomb costs
 * nothing. The camera's orientation is applied and colours are brought to sRGB by the file's own
 * profile. SVG is drawn 2400 px on its longer side; of OpenRaster the flattened picture is taken,
 * and from its layers where it is drawn on; of moving pictures the first frame.
 */
public final class PictureReader {
  private static final int JPEG_END_OF_IMAGE = 0xD9;

  /** Formats whose decoder has applied a sound profile by itself. */
  private static final Set<PictureFormat> DECODER_CONVERTS =
      EnumSet.of(PictureFormat.JPEG, PictureFormat.WEBP);

  static {
    // Not left to scanning: in a packed application that depends on the thread which comes first.
    IIORegistry registry = IIORegistry.getDefaultInstance();
    registry.registerServiceProvider(new JPEGImageReaderSpi());
    registry.registerServiceProvider(new TIFFImageReaderSpi());
    registry.registerServiceProvider(new WebPImageReaderSpi());
  }

  private final PictureLimits limits;

  public PictureReader() {
    this(PictureLimits.DEFAULTS);
  }

  public PictureReader(PictureLimits limits) {
    this.limits = limits;
  }

  /** What became of the file's colour profile. */
  public enum Profile {
    /** The file has none; its numbers were read as sRGB. */
    NONE,
    /** Colours were brought to sRGB by it. */
    CONVERTED,
    /** It cannot be used; the numbers were read as sRGB. */
    BROKEN
  }

  /**
   * A picture with the format its file was in.
   *
   * @param resolution as the file states it; empty if it states none
   */
  public record Opened(
      Picture picture, PictureFormat format, Optional<Resolution> resolution, Profile profile) {}

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
    PictureFormat format = PictureFormat.sniff(bytes).orElseThrow(PictureReader::notAPicture);
    return switch (format) {
      case SVG ->
          new Opened(Picture.from(SvgDrawing.draw(bytes)), format, Optional.empty(), Profile.NONE);
      case OPENRASTER -> {
        Opened flat = openPixels(flattened(bytes), PictureFormat.PNG);
        Picture picture = flat.picture();
        Optional<byte[]> drawnOn =
            OpenRasterLayers.drawnOn(bytes, picture.widthPixels(), picture.heightPixels());
        yield new Opened(
            drawnOn.map(picture::withCoverage).orElse(picture),
            format,
            flat.resolution(),
            flat.profile());
      }
      default -> openPixels(bytes, format);
    };
  }

  private byte[] flattened(byte[] bytes) throws UnusablePictureException {
    byte[] png = OpenRasterFile.flattened(bytes, limits.fileBytes() * 4);
    if (PictureFormat.sniff(png).filter(PictureFormat.PNG::equals).isEmpty()) {
      throw notAPicture();
    }
    return png;
  }

  private Opened openPixels(byte[] bytes, PictureFormat format) throws UnusablePictureException {
    if (!endsProperly(bytes, format)) {
      throw truncated();
    }
    Metadata metadata = metadata(bytes);
    BufferedImage image = decode(bytes);
    Optional<byte[]> found = EmbeddedProfile.find(bytes, format);
    Optional<ICC_ColorSpace> space = found.flatMap(EmbeddedProfile::colourSpace);
    Profile profile =
        found.isEmpty() ? Profile.NONE : space.isPresent() ? Profile.CONVERTED : Profile.BROKEN;
    Orientation orientation = Orientation.ofExif(exifOrientation(metadata));
    boolean isColour = image.getColorModel().getColorSpace().getType() == ColorSpace.TYPE_RGB;
    Picture picture = Picture.from(isColour ? ToSrgb.asItStands(image) : image);
    if (isColour && space.isPresent() && !DECODER_CONVERTS.contains(format)) {
      picture = ToSrgb.converted(picture, space.get());
    }
    // Grey samples are taken as they stand; their profiles differ little from sRGB's own curve.
    return new Opened(
        orientation.upright(picture),
        format,
        Resolution.statedIn(metadata),
        isColour ? profile : Profile.NONE);
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

  /** Some decoders fill what is missing with grey; what the file says of its own end tells. */
  private static boolean endsProperly(byte[] bytes, PictureFormat format) {
    ByteBuffer little = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    return switch (format) {
      case JPEG -> endsWithJpegMark(bytes);
      case WEBP -> (little.getInt(4) & 0xFFFFFFFFL) + 8 <= bytes.length;
      case BMP -> (little.getInt(2) & 0xFFFFFFFFL) <= bytes.length;
      case GIF -> endsWithGifMark(bytes);
      default -> true;
    };
  }

  private static boolean endsWithJpegMark(byte[] bytes) {
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

  private static boolean endsWithGifMark(byte[] bytes) {
    int end = bytes.length - 1;
    while (end > 0 && bytes[end] == 0) {
      end--;
    }
    return bytes[end] == ';';
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

  private static UnusablePictureException notAPicture() {
    return new UnusablePictureException(
        Reason.NOT_A_PICTURE,
        "The file is not a picture of a kind that is read here (PNG, JPEG, WebP, TIFF, GIF, BMP,"
            + " SVG, OpenRaster), whatever its name says. Export it as PNG or JPEG.");
  }
}
