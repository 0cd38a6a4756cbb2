package penmirror.demoart.scan;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOInvalidTreeException;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.stream.ImageOutputStream;

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
    ImageWriter writer =
        ImageIO.getImageWritersByFormatName(format.name().toLowerCase(Locale.ROOT)).next();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(bytes)) {
      writer.setOutput(stream);
      ImageWriteParam parameters = writer.getDefaultWriteParam();
      if (format == Format.TIFF) {
        parameters.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        parameters.setCompressionType("LZW");
      }
      IIOMetadata metadata =
          writer.getDefaultImageMetadata(
              ImageTypeSpecifier.createFromRenderedImage(image), parameters);
      writer.write(
          null,
          new IIOImage(
              image,
              null,
              format == Format.PNG
                  ? pngResolution(metadata, pixelsPerInch)
                  : tiffResolution(metadata, pixelsPerInch)),
          parameters);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      writer.dispose();
    }
    return bytes.toByteArray();
  }

  private static IIOMetadata pngResolution(IIOMetadata metadata, int pixelsPerInch)
      throws IIOInvalidTreeException {
    String format = "javax_imageio_png_1.0";
    String perMetre = String.valueOf(Math.round(pixelsPerInch / 0.0254));
    IIOMetadataNode phys = new IIOMetadataNode("pHYs");
    phys.setAttribute("pixelsPerUnitXAxis", perMetre);
    phys.setAttribute("pixelsPerUnitYAxis", perMetre);
    phys.setAttribute("unitSpecifier", "meter");
    IIOMetadataNode root = new IIOMetadataNode(format);
    root.appendChild(phys);
    metadata.mergeTree(format, root);
    return metadata;
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
