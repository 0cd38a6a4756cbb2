package penmirror.core.file;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.twelvemonkeys.imageio.plugins.jpeg.JPEGImageReaderSpi;
import com.twelvemonkeys.imageio.plugins.tiff.TIFFImageReaderSpi;
import com.twelvemonkeys.imageio.plugins.webp.WebPImageReaderSpi;
import java.awt.Dimension;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.EnumSet;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.spi.IIORegistry;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import penmirror.core.file.PictureReader.Opened;
import penmirror.core.file.PictureReader.Profile;
import penmirror.core.file.UnusablePictureException.Reason;
import penmirror.core.raster.Picture;

/**
 * Opens files that hold pixels. Size is checked on the header before any pixel is decoded, so a
 * decompression bomb costs nothing; whatever a damaged file makes its decoder do, the answer is a
 * picture or a sentence.
 */
final class RasterFile {
  private static final int JPEG_END_OF_IMAGE = 0xD9;
  private static final int PNG_SIGNATURE_BYTES = 8;

  /** Length, name and check sum around a chunk's data. */
  private static final int PNG_CHUNK_FRAME_BYTES = 12;

  /** "IEND". */
  private static final int PNG_END = 0x49454E44;

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

  private RasterFile() {}

  /** Width times height as the header says, without decoding a pixel; empty where it says none. */
  static OptionalLong statedPixels(byte[] bytes) {
    return stated(bytes)
        .map(size -> OptionalLong.of((long) size.width * size.height))
        .orElse(OptionalLong.empty());
  }

  /**
   * @throws UnusablePictureException when the picture is larger than the limits
   */
  static void requirePixels(byte[] bytes, PictureLimits limits) throws UnusablePictureException {
    Dimension size = stated(bytes).orElseThrow(RasterFile::damaged);
    limits.requirePixels(size.width, size.height);
  }

  private static Optional<Dimension> stated(byte[] bytes) {
    try (ImageInputStream stream =
        new MemoryCacheImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
      if (!readers.hasNext()) {
        return Optional.empty();
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(stream, true, true);
        return Optional.of(new Dimension(reader.getWidth(0), reader.getHeight(0)));
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException e) {
      return Optional.empty();
    }
  }

  /**
   * @throws UnusablePictureException when it is damaged, cut short or larger than the limits
   */
  static Opened open(byte[] bytes, PictureFormat format, PictureLimits limits)
      throws UnusablePictureException {
    try {
      return opened(bytes, format, limits);
    } catch (OutOfMemoryError e) {
      throw new UnusablePictureException(
          Reason.TOO_COSTLY,
          "The picture needs more memory than there is just now. Save a smaller copy, or give Pen"
              + " Mirror more (PEN_MIRROR_MEMORY).");
    } catch (RuntimeException | StackOverflowError e) {
      // Decoders of damaged files fail in more ways than they declare.
      throw damaged();
    }
  }

  private static Opened opened(byte[] bytes, PictureFormat format, PictureLimits limits)
      throws UnusablePictureException {
    if (!endsProperly(bytes, format)) {
      throw truncated();
    }
    Metadata metadata = metadata(bytes);
    BufferedImage image = decode(bytes, limits);
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

  private static BufferedImage decode(byte[] bytes, PictureLimits limits)
      throws UnusablePictureException {
    try (ImageInputStream stream =
        new MemoryCacheImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
      if (!readers.hasNext()) {
        throw PictureReader.notAPicture();
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(stream, true, true);
        limits.requirePixels(reader.getWidth(0), reader.getHeight(0));
        boolean[] endsEarly = new boolean[1];
        reader.addIIOReadWarningListener(
            (source, warning) -> endsEarly[0] |= tellsOfAnEarlyEnd(warning));
        BufferedImage image = reader.read(0);
        if (endsEarly[0]) {
          throw truncated(); // The decoder would fill what is missing with grey.
        }
        return image;
      } finally {
        reader.dispose();
      }
    } catch (EOFException e) {
      throw truncated();
    } catch (IOException | RuntimeException e) {
      // ImageIO reports a short or damaged file through many exception types.
      if (mentionsEnd(e)) {
        throw truncated();
      }
      throw damaged();
    }
  }

  /** Some decoders fill what is missing with grey; what the file says of its own end tells. */
  private static boolean endsProperly(byte[] bytes, PictureFormat format) {
    ByteBuffer little = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    return switch (format) {
      case PNG -> endsWithPngMark(bytes);
      case JPEG -> endsWithJpegMark(bytes);
      case WEBP -> (little.getInt(4) & 0xFFFFFFFFL) + 8 <= bytes.length;
      case BMP -> (little.getInt(2) & 0xFFFFFFFFL) <= bytes.length;
      case GIF -> endsWithGifMark(bytes);
      default -> true;
    };
  }

  /** Goes from chunk to chunk, each of which says its length, until the one that ends the file. */
  private static boolean endsWithPngMark(byte[] bytes) {
    ByteBuffer big = ByteBuffer.wrap(bytes);
    long at = PNG_SIGNATURE_BYTES;
    while (at + PNG_CHUNK_FRAME_BYTES <= bytes.length) {
      long length = big.getInt((int) at) & 0xFFFFFFFFL;
      if (big.getInt((int) at + 4) == PNG_END) {
        return true;
      }
      at += PNG_CHUNK_FRAME_BYTES + length;
    }
    return false;
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
    } catch (ImageProcessingException | IOException | RuntimeException e) {
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
      if (cause instanceof EOFException || tellsOfAnEarlyEnd(String.valueOf(cause.getMessage()))) {
        return true;
      }
    }
    return false;
  }

  private static boolean tellsOfAnEarlyEnd(String message) {
    String told = message.toLowerCase(Locale.ROOT);
    return told.contains("unexpected end") || told.contains("premature") || told.contains("eof");
  }

  private static UnusablePictureException truncated() {
    return new UnusablePictureException(
        Reason.TRUNCATED,
        "The picture is cut short: the file ends before the picture does. Copy or export it"
            + " again.");
  }

  private static UnusablePictureException damaged() {
    return new UnusablePictureException(
        Reason.UNREADABLE,
        "The picture could not be decoded: its data is damaged or uses an unusual kind of colour."
            + " Open it in a painting program and save it as an RGB PNG.");
  }
}
