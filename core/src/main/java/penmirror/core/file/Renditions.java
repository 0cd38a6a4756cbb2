package penmirror.core.file;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import penmirror.core.raster.Picture;

/** Smaller copies of pictures, to be looked at and never measured. */
public final class Renditions {
  private static final float QUALITY = 0.9f;

  private Renditions() {}

  /**
   * A JPEG whose longer side has so many pixels, or the picture's own if it is smaller.
   *
   * <p>Whole blocks are averaged first, so that thin lines do not fall between the pixels.
   */
  public static byte[] jpeg(Picture picture, int longerSide) {
    int longer = Math.max(picture.widthPixels(), picture.heightPixels());
    Picture near = picture.shrunk(Math.max(1, longer / (2 * longerSide)));
    double scale =
        Math.min(1, longerSide / (double) Math.max(near.widthPixels(), near.heightPixels()));
    int width = Math.max(1, (int) Math.round(near.widthPixels() * scale));
    int height = Math.max(1, (int) Math.round(near.heightPixels() * scale));
    BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = small.createGraphics();
    graphics.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    graphics.drawImage(near.toImage(), 0, 0, width, height, null);
    graphics.dispose();
    return encoded(small);
  }

  private static byte[] encoded(BufferedImage image) {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(bytes)) {
      ImageWriteParam settings = writer.getDefaultWriteParam();
      settings.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      settings.setCompressionQuality(QUALITY);
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, null), settings);
    } catch (IOException e) {
      throw new UncheckedIOException("A JPEG could not be written into memory.", e);
    } finally {
      writer.dispose();
    }
    return bytes.toByteArray();
  }
}
