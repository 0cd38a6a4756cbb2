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

  private OpenRasterFile() {}

  /**
   * The flattened picture as a PNG file.
   *
   * @param mostBytes no entry is unpacked beyond this
   */
  static byte[] flattened(byte[] bytes, long mostBytes) throws UnusablePictureException {
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      int entries = 0;
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (++entries > MOST_ENTRIES) {
          break;
        }
        if (entry.getName().equals(FLATTENED)) {
          byte[] png = zip.readNBytes((int) Math.min(Integer.MAX_VALUE - 8, mostBytes + 1));
          if (png.length > mostBytes) {
            throw new UnusablePictureException(
                Reason.TOO_MANY_BYTES,
                "The flattened picture inside the OpenRaster file unpacks to more than "
                    + mostBytes / 1048576
                    + " MB. Export a smaller copy.");
          }
          return png;
        }
      }
    } catch (ZipException e) {
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
