package penmirror.demoart.page;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Stroke;
import penmirror.demoart.manner.Role;

/**
 * Writes a rendering as layered OpenRaster: a zip with mimetype first and stored, stack.xml, one
 * PNG per layer, the merged image and a thumbnail. Source: OpenRaster specification 0.0.6.
 */
final class OpenRasterWriter {
  private static final int THUMBNAIL = 256;
  private static final int SKETCH_BLUE = 0x7FA8C9;

  private OpenRasterWriter() {}

  static byte[] write(Rendering rendering) {
    LayeredCanvas canvas = new LayeredCanvas(rendering.widthPx(), rendering.heightPx());
    rendering.painter().paint(canvas);
    sketch(canvas, rendering);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      stored(zip, "mimetype", "image/openraster".getBytes(StandardCharsets.US_ASCII));
      deflated(zip, "stack.xml", stack(rendering).getBytes(StandardCharsets.UTF_8));
      for (Map.Entry<Layer, BufferedImage> layer : canvas.images().entrySet()) {
        deflated(zip, "data/" + layer.getKey().word() + ".png", png(layer.getValue()));
      }
      deflated(zip, "data/paper.png", png(paper(rendering)));
      BufferedImage merged = rendering.image();
      deflated(zip, "mergedimage.png", png(merged));
      deflated(zip, "Thumbnails/thumbnail.png", png(thumbnail(merged)));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  private static String stack(Rendering rendering) {
    StringBuilder xml = new StringBuilder("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
    xml.append("<image version=\"0.0.6\" w=\"")
        .append(rendering.widthPx())
        .append("\" h=\"")
        .append(rendering.heightPx())
        .append("\">\n <stack>\n");
    Layer[] layers = Layer.values();
    for (int i = layers.length - 1; i >= 0; i--) {
      layer(xml, layers[i].word(), layers[i] != Layer.SKETCH);
    }
    layer(xml, "paper", true);
    return xml.append(" </stack>\n</image>\n").toString();
  }

  private static void layer(StringBuilder xml, String name, boolean visible) {
    xml.append("  <layer name=\"")
        .append(name)
        .append("\" src=\"data/")
        .append(name)
        .append(".png\" x=\"0\" y=\"0\" opacity=\"1.0\" visibility=\"")
        .append(visible ? "visible" : "hidden")
        .append("\" composite-op=\"svg:src-over\"/>\n");
  }

  private static BufferedImage paper(Rendering rendering) {
    BufferedImage image =
        new BufferedImage(rendering.widthPx(), rendering.heightPx(), BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setColor(new Color(Tones.rgb(rendering.drawing().palette().of(Role.PAPER))));
    pen.fillRect(0, 0, image.getWidth(), image.getHeight());
    pen.dispose();
    return image;
  }

  /** The rough that the parts were built on: their outlines, loosely, in blue. */
  private static void sketch(LayeredCanvas canvas, Rendering rendering) {
    double width = 2.2 / rendering.headPx();
    for (Drawing.Inked inked : rendering.drawing().inked()) {
      if (inked.part() == null || inked.part().contour() == 0) {
        continue;
      }
      Curve outline = inked.part().outline();
      double[] widths = new double[outline.points().size()];
      java.util.Arrays.fill(widths, width);
      canvas.fill(
          Layer.SKETCH,
          rendering.toPixels().createTransformedShape(new Stroke(outline, widths, 0.5).shape()),
          SKETCH_BLUE,
          0.8);
    }
  }

  private static BufferedImage thumbnail(BufferedImage merged) {
    double share =
        Math.min(1, THUMBNAIL / (double) Math.max(merged.getWidth(), merged.getHeight()));
    BufferedImage small =
        new BufferedImage(
            Math.max(1, (int) (merged.getWidth() * share)),
            Math.max(1, (int) (merged.getHeight() * share)),
            BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = small.createGraphics();
    pen.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    pen.drawImage(merged, 0, 0, small.getWidth(), small.getHeight(), null);
    pen.dispose();
    return small;
  }

  private static byte[] png(BufferedImage image) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(image, "png", bytes);
    return bytes.toByteArray();
  }

  private static void stored(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
    ZipEntry entry = entry(name);
    entry.setMethod(ZipEntry.STORED);
    entry.setSize(bytes.length);
    CRC32 check = new CRC32();
    check.update(bytes);
    entry.setCrc(check.getValue());
    zip.putNextEntry(entry);
    zip.write(bytes);
    zip.closeEntry();
  }

  private static void deflated(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
    zip.putNextEntry(entry(name));
    zip.write(bytes);
    zip.closeEntry();
  }

  /** A fixed date, so that the same drawing gives the same file. */
  private static ZipEntry entry(String name) {
    ZipEntry entry = new ZipEntry(name);
    entry.setTimeLocal(java.time.LocalDateTime.of(2026, 1, 1, 0, 0));
    return entry;
  }
}
