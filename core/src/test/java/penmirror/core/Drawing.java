package penmirror.core;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Random;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import penmirror.core.raster.Picture;

/** A small test drawing with exact colours and strokes, antialiased like a painting program's. */
public final class Drawing {
  private final BufferedImage image;
  private final Graphics2D graphics;

  public Drawing(int widthPixels, int heightPixels, int paper) {
    image = new BufferedImage(widthPixels, heightPixels, BufferedImage.TYPE_INT_RGB);
    graphics = image.createGraphics();
    graphics.setColor(new Color(paper));
    graphics.fillRect(0, 0, widthPixels, heightPixels);
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
  }

  public Drawing fill(Shape shape, int colour) {
    graphics.setColor(new Color(colour));
    graphics.fill(shape);
    return this;
  }

  public Drawing stroke(Shape shape, double widthPixels, int colour) {
    graphics.setColor(new Color(colour));
    graphics.setStroke(
        new BasicStroke((float) widthPixels, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    graphics.draw(shape);
    return this;
  }

  /** Adds grain with the given standard deviation, in steps of 255. Seeded. */
  public Drawing grain(double deviation) {
    Random random = new Random(9);
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        int rgb = image.getRGB(x, y);
        int shift = (int) Math.round(deviation * random.nextGaussian());
        image.setRGB(
            x,
            y,
            clamp((rgb >> 16 & 255) + shift) << 16
                | clamp((rgb >> 8 & 255) + shift) << 8
                | clamp((rgb & 255) + shift));
      }
    }
    return this;
  }

  public Picture picture() {
    return Picture.from(image);
  }

  /** As it looks after being saved as a JPEG of the given quality, 0 to 1. */
  public Picture asJpeg(double quality) {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ImageWriteParam settings = writer.getDefaultWriteParam();
    settings.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    settings.setCompressionQuality((float) quality);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (var stream = ImageIO.createImageOutputStream(out)) {
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, null), settings);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      writer.dispose();
    }
    try {
      return Picture.from(ImageIO.read(new ByteArrayInputStream(out.toByteArray())));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static int clamp(int channel) {
    return Math.max(0, Math.min(255, channel));
  }
}
