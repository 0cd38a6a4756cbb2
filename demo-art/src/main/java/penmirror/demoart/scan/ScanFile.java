package penmirror.demoart.scan;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.Optional;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOInvalidTreeException;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.stream.ImageOutputStream;
import penmirror.core.file.PngWriter;
import penmirror.core.file.Resolution;

/** Writes a scan as a file that states its resolution. */
public final class ScanFile {

  /** What the scanner writes. */
  public enum Format {
    PNG,
    TIFF;

    public String extension() {
      return this == PNG ? "png" : "tif";
    }
  }

  private ScanFile() {}

  public static byte[] write(BufferedImage image, int pixelsPerInch, Format format) {
    return format == Format.PNG
        ? PngWriter.write(image, Optional.of(new Resolution(pixelsPerInch)))
        : tiff(image, pixelsPerInch);
  }

  private static byte[] tiff(BufferedImage image, int pixelsPerInch) {
    ImageWriter writer = javasOwnWriter();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(bytes)) {
      writer.setOutput(stream);
      ImageWriteParam parameters = writer.getDefaultWriteParam();
      parameters.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      parameters.setCompressionType("LZW");
      IIOMetadata metadata =
          writer.getDefaultImageMetadata(
              ImageTypeSpecifier.createFromRenderedImage(image), parameters);
      writer.write(
          null, new IIOImage(image, null, tiffResolution(metadata, pixelsPerInch)), parameters);
    } catch (IOException e) {
      throw new UncheckedIOException("A TIFF could not be written into memory.", e);
    } finally {
      writer.dispose();
    }
    return bytes.toByteArray();
  }

  /** Other libraries bring TIFF writers too, with metadata of another kind. */
  private static ImageWriter javasOwnWriter() {
    Iterator<ImageWriter> writers = ImageIO.getImageWritersByFormatName("tiff");
    while (writers.hasNext()) {
      ImageWriter writer = writers.next();
      if (writer.getOriginatingProvider().getClass().getModule() == ImageIO.class.getModule()) {
        return writer;
      }
    }
    throw new IllegalStateException("Every Java from 9 on writes TIFF");
  }

  private static IIOMetadata tiffResolution(IIOMetadata metadata, int pixelsPerInch)
      throws IIOInvalidTreeException {
    TIFFDirectory directory = TIFFDirectory.createFromMetadata(metadata);
    BaselineTIFFTagSet tags = BaselineTIFFTagSet.getInstance();
    long[][] value = {{pixelsPerInch, 1}};
    for (int number :
        new int[] {BaselineTIFFTagSet.TAG_X_RESOLUTION, BaselineTIFFTagSet.TAG_Y_RESOLUTION}) {
      TIFFTag tag = tags.getTag(number);
      directory.addTIFFField(new TIFFField(tag, TIFFTag.TIFF_RATIONAL, 1, value));
    }
    directory.addTIFFField(
        new TIFFField(
            tags.getTag(BaselineTIFFTagSet.TAG_RESOLUTION_UNIT),
            TIFFTag.TIFF_SHORT,
            1,
            new char[] {BaselineTIFFTagSet.RESOLUTION_UNIT_INCH}));
    return directory.getAsMetadata();
  }
}
