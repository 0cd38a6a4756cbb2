package penmirror.core.file;

import java.util.Locale;
import java.util.Optional;
import penmirror.core.file.UnusablePictureException.Reason;
import penmirror.core.raster.Picture;

/**
 * Opens picture files of all {@link PictureFormat}s, sniffed by content and not by name.
 *
 * <p>The camera's orientation is applied and colours are brought to sRGB by the file's own profile.
 * SVG is drawn 2400 px on its longer side; of OpenRaster the flattened picture is taken, and from
 * its layers where it is drawn on; of moving pictures the first frame. These two are opened in a
 * process of their own ({@link DrawingProcess}), since nothing but running them tells what they
 * cost.
 */
public final class PictureReader {
  private final PictureLimits limits;
  private final DrawingProcess drawing;

  public PictureReader() {
    this(PictureLimits.DEFAULTS);
  }

  public PictureReader(PictureLimits limits) {
    this(limits, DrawingProcess.shared());
  }

  public PictureReader(PictureLimits limits, DrawingProcess drawing) {
    this.limits = limits;
    this.drawing = drawing;
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
    return format.isOpenedApart()
        ? drawing.open(bytes, limits)
        : RasterFile.open(bytes, format, limits);
  }

  /**
   * How many pixels opening a file will yield at most, told from its header: what it will cost.
   * What cannot be told counts as one pixel, since it will be refused.
   */
  public long statedPixels(byte[] bytes) {
    Optional<PictureFormat> format = PictureFormat.sniff(bytes);
    if (format.isEmpty()) {
      return 1;
    }
    if (format.get() == PictureFormat.SVG) {
      return (long) SvgDrawing.LONGER_SIDE * SvgDrawing.LONGER_SIDE;
    }
    return format.get() == PictureFormat.OPENRASTER
        ? OpenRasterFile.statedPixels(bytes)
        : RasterFile.statedPixels(bytes).orElse(1);
  }

  static UnusablePictureException notAPicture() {
    return new UnusablePictureException(
        Reason.NOT_A_PICTURE,
        "The file is not a picture of a kind that is read here (PNG, JPEG, WebP, TIFF, GIF, BMP,"
            + " SVG, OpenRaster), whatever its name says. Export it as PNG or JPEG.");
  }
}
