package penmirror.core.file;

import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.jfif.JfifDirectory;
import com.drew.metadata.png.PngDirectory;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How many pixels a picture has to an inch of the paper it was scanned from.
 *
 * @param pixelsPerInch [30, 10 000], as scanners use it
 */
public record Resolution(double pixelsPerInch) {
  private static final double MILLIMETRES_PER_INCH = 25.4;
  private static final double LEAST = 30;
  private static final double MOST = 10_000;

  public Resolution {
    if (!(pixelsPerInch >= LEAST && pixelsPerInch <= MOST)) {
      throw new IllegalArgumentException(
          "A resolution lies in 30 to 10000 px per inch, got " + pixelsPerInch);
    }
  }

  /** Length on paper of so many pixels. */
  public double millimetres(double pixels) {
    return pixels / pixelsPerInch * MILLIMETRES_PER_INCH;
  }

  /** Pixels to so many millimetres of paper. */
  public double pixels(double millimetres) {
    return millimetres / MILLIMETRES_PER_INCH * pixelsPerInch;
  }

  /** Read from PNG pHYs, JFIF density, or the TIFF and EXIF resolution tags. */
  static Optional<Resolution> statedIn(Metadata metadata) {
    for (PngDirectory png : metadata.getDirectoriesOfType(PngDirectory.class)) {
      Integer perUnit = png.getInteger(PngDirectory.TAG_PIXELS_PER_UNIT_X);
      Integer unit = png.getInteger(PngDirectory.TAG_UNIT_SPECIFIER);
      if (perUnit != null && unit != null && unit == 1) {
        return plausible(perUnit * MILLIMETRES_PER_INCH / 1000);
      }
    }
    ExifIFD0Directory tiff = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
    if (tiff != null) {
      Optional<Resolution> stated =
          scaled(
              tiff,
              ExifIFD0Directory.TAG_X_RESOLUTION,
              tiff.getInteger(ExifIFD0Directory.TAG_RESOLUTION_UNIT),
              2,
              3);
      if (stated.isPresent()) {
        return stated;
      }
    }
    JfifDirectory jfif = metadata.getFirstDirectoryOfType(JfifDirectory.class);
    return jfif == null
        ? Optional.empty()
        : scaled(jfif, JfifDirectory.TAG_RESX, jfif.getInteger(JfifDirectory.TAG_UNITS), 1, 2);
  }

  private static Optional<Resolution> scaled(
      Directory directory, int tag, @Nullable Integer unit, int inches, int centimetres) {
    Double value = directory.getDoubleObject(tag);
    if (value == null || unit == null) {
      return Optional.empty();
    }
    if (unit == inches) {
      return plausible(value);
    }
    return unit == centimetres ? plausible(value * 2.54) : Optional.empty();
  }

  /** What lies outside the range was not set by a scanner. */
  private static Optional<Resolution> plausible(double pixelsPerInch) {
    return pixelsPerInch >= LEAST && pixelsPerInch <= MOST
        ? Optional.of(new Resolution(pixelsPerInch))
        : Optional.empty();
  }
}
