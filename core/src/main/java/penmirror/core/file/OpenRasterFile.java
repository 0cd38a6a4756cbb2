package penmirror.core.file;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import penmirror.core.file.UnusablePictureException.Reason;

/** An OpenRaster file, a zip of layers; its flattened picture is what is read. */
final class OpenRasterFile {
  private static final String FLATTENED = "mergedimage.png";
  private static final int MOST_ENTRIES = 2000;

  /** Within so many bytes a picture has said its size. */
  private static final int HEADER_BYTES = 4096;

  private OpenRasterFile() {}

  /** Width times height of the flattened picture; 1 where there is none. */
  static long statedPixels(byte[] bytes) {
    try {
      return RasterFile.statedPixels(start(bytes, HEADER_BYTES)).orElse(1);
    } catch (UnusablePictureException e) {
      return 1;
    }
  }

  /** The flattened picture as a PNG file; unpacked it may have four times the bytes of a file. */
  static byte[] flattened(byte[] bytes, PictureLimits limits) throws UnusablePictureException {
    long most = limits.fileBytes() * 4;
    byte[] png = start(bytes, most + 1);
    if (png.length > most) {
      throw new UnusablePictureException(
          Reason.TOO_MANY_BYTES,
          "The flattened picture inside the OpenRaster file unpacks to more than "
              + most / 1048576
              + " MB. Export a smaller copy.");
    }
    if (PictureFormat.sniff(png).filter(PictureFormat.PNG::equals).isEmpty()) {
      throw PictureReader.notAPicture();
    }
    return png;
  }

  /** The flattened picture's file, as far as so many bytes reach. */
  private static byte[] start(byte[] bytes, long mostBytes) throws UnusablePictureException {
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      int entries = 0;
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (++entries > MOST_ENTRIES) {
          break;
        }
        if (entry.getName().equals(FLATTENED)) {
          return zip.readNBytes((int) Math.min(Integer.MAX_VALUE - 8, mostBytes));
        }
      }
    } catch (ZipException | IllegalArgumentException e) {
      // A name in another character set is an IllegalArgumentException.
      throw damaged();
    } catch (IOException e) {
      throw new UnusablePictureException(
          Reason.TRUNCATED,
          "The picture is cut short: the OpenRaster file ends before its flattened picture does."
              + " Save it again.");
    }
    throw damaged();
  }

  private static UnusablePictureException damaged() {
    return new UnusablePictureException(
        Reason.UNREADABLE,
        "The OpenRaster file holds no readable flattened picture (mergedimage.png). Save it again"
            + " in your painting program.");
  }
}
