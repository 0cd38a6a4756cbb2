package penmirror.core.file;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOInvalidTreeException;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageOutputStream;

/** Writes pictures as PNG, with the resolution where one is known. */
public final class PngWriter {
  private static final String PNG_TREE = "javax_imageio_png_1.0";
  private static final double METRES_PER_INCH = 0.0254;

  /** From here on quickness is worth more than the last tenth of a file's size. */
  private static final long LARGE_PIXELS = 12_000_000;

  /** 1 is not packed at all, 0 as small as it gets. */
  private static final float QUICK = 0.9f;

  private PngWriter() {}

  /**
   * @param resolution stated in the file's pHYs chunk; empty leaves it out
   */
  public static byte[] write(BufferedImage image, Optional<Resolution> resolution) {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(bytes)) {
      writer.setOutput(stream);
      IIOMetadata metadata =
          writer.getDefaultImageMetadata(ImageTypeSpecifier.createFromRenderedImage(image), null);
      if (resolution.isPresent()) {
        state(resolution.get(), metadata);
      }
      writer.write(null, new IIOImage(image, null, metadata), packing(writer, image));
    } catch (IOException e) {
      throw new UncheckedIOException("A PNG could not be written into memory.", e);
    } finally {
      writer.dispose();
    }
    return bytes.toByteArray();
  }

  private static ImageWriteParam packing(ImageWriter writer, BufferedImage image) {
    ImageWriteParam packing = writer.getDefaultWriteParam();
    if ((long) image.getWidth() * image.getHeight() > LARGE_PIXELS) {
      packing.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      packing.setCompressionQuality(QUICK);
    }
    return packing;
  }

  private static void state(Resolution resolution, IIOMetadata metadata)
      throws IIOInvalidTreeException {
    String perMetre = String.valueOf(Math.round(resolution.pixelsPerInch() / METRES_PER_INCH));
    IIOMetadataNode phys = new IIOMetadataNode("pHYs");
    phys.setAttribute("pixelsPerUnitXAxis", perMetre);
    phys.setAttribute("pixelsPerUnitYAxis", perMetre);
    phys.setAttribute("unitSpecifier", "meter");
    IIOMetadataNode root = new IIOMetadataNode(PNG_TREE);
    root.appendChild(phys);
    metadata.mergeTree(PNG_TREE, root);
  }
}
