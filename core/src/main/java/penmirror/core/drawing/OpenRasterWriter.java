package penmirror.core.drawing;

import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import penmirror.core.file.PngWriter;

/**
 * Writes layers as OpenRaster, which painting programs open with each layer by itself: a zip with
 * mimetype first and stored, stack.xml, one PNG a layer, the merged picture and a thumbnail.
 * Source: OpenRaster specification 0.0.6. The same layers give the same bytes.
 */
public final class OpenRasterWriter {
  private static final int THUMBNAIL_PIXELS = 256;

  private OpenRasterWriter() {}

  /**
   * A layer. Its picture, a PNG, is asked for once and not kept: no two need be in memory.
   *
   * @param name a word; two layers have two names
   * @param left pixels of the canvas to the left of it, and top above it
   */
  public record Layer(
      String name, boolean isVisible, int left, int top, Supplier<byte[]> picture) {}

  /** Each layer of a scene by itself, as large as what it covers; one that is empty is left out. */
  public static byte[] write(Scene scene) {
    BufferedImage merged =
        new BufferedImage(scene.widthPixels(), scene.heightPixels(), BufferedImage.TYPE_INT_ARGB);
    Graphics2D pen = merged.createGraphics();
    List<Layer> layers = new ArrayList<>();
    for (Scene.Layer layer : scene.layers()) {
      Rectangle part = SceneImage.bounds(scene, layer);
      if (!part.isEmpty()) {
        layers.add(
            new Layer(
                layer.name(),
                true,
                part.x,
                part.y,
                () -> {
                  BufferedImage alone = SceneImage.of(layer, part);
                  pen.drawImage(alone, part.x, part.y, null);
                  return shownAsItIs(layer, part).orElseGet(() -> png(alone));
                }));
      }
    }
    return write(layers, merged);
  }

  /**
   * @param layers the lowest first
   * @param merged what all visible ones give over each other; looked at when all were asked for
   */
  public static byte[] write(List<Layer> layers, BufferedImage merged) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      stored(zip, "mimetype", "image/openraster".getBytes(StandardCharsets.US_ASCII));
      deflated(zip, "stack.xml", stack(layers, merged).getBytes(StandardCharsets.UTF_8));
      for (Layer layer : layers) {
        stored(zip, file(layer), layer.picture().get());
      }
      stored(zip, "mergedimage.png", png(merged));
      stored(zip, "Thumbnails/thumbnail.png", png(thumbnail(merged)));
    } catch (IOException e) {
      throw new UncheckedIOException("A drawing could not be written into memory.", e);
    }
    return bytes.toByteArray();
  }

  /** A layer that is nothing but a picture, pixel for pixel, is that file. */
  private static Optional<byte[]> shownAsItIs(Scene.Layer layer, Rectangle part) {
    return layer.items().size() == 1
            && layer.items().get(0) instanceof Item.Shown shown
            && shown.mediaType().equals("image/png")
            && SceneImage.isPixelForPixel(shown)
            && part.equals(
                new Rectangle(
                    (int) shown.left(),
                    (int) shown.top(),
                    (int) shown.width(),
                    (int) shown.height()))
        ? Optional.of(shown.file())
        : Optional.empty();
  }

  private static String file(Layer layer) {
    return "data/" + layer.name() + ".png";
  }

  /** The uppermost layer stands first. */
  private static String stack(List<Layer> layers, BufferedImage merged) {
    StringWriter text = new StringWriter();
    try {
      XMLStreamWriter out = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
      out.writeStartDocument("UTF-8", "1.0");
      out.writeStartElement("image");
      out.writeAttribute("version", "0.0.6");
      out.writeAttribute("w", String.valueOf(merged.getWidth()));
      out.writeAttribute("h", String.valueOf(merged.getHeight()));
      out.writeStartElement("stack");
      for (int i = layers.size() - 1; i >= 0; i--) {
        Layer layer = layers.get(i);
        out.writeEmptyElement("layer");
        out.writeAttribute("name", layer.name());
        out.writeAttribute("src", file(layer));
        out.writeAttribute("x", String.valueOf(layer.left()));
        out.writeAttribute("y", String.valueOf(layer.top()));
        out.writeAttribute("opacity", "1.0");
        out.writeAttribute("visibility", layer.isVisible() ? "visible" : "hidden");
        out.writeAttribute("composite-op", "svg:src-over");
      }
      out.writeEndElement();
      out.writeEndElement();
      out.writeEndDocument();
      out.flush();
    } catch (XMLStreamException e) {
      throw new IllegalStateException("A drawing could not be written into memory.", e);
    }
    return text.toString();
  }

  private static BufferedImage thumbnail(BufferedImage merged) {
    double share =
        Math.min(1, THUMBNAIL_PIXELS / (double) Math.max(merged.getWidth(), merged.getHeight()));
    BufferedImage small =
        new BufferedImage(
            Math.max(1, (int) (merged.getWidth() * share)),
            Math.max(1, (int) (merged.getHeight() * share)),
            BufferedImage.TYPE_INT_ARGB);
    Graphics2D pen = small.createGraphics();
    pen.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    pen.drawImage(merged, 0, 0, small.getWidth(), small.getHeight(), null);
    pen.dispose();
    return small;
  }

  /** Its bytes as PNG. */
  public static byte[] png(BufferedImage image) {
    return PngWriter.write(image, Optional.empty());
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
    entry.setTimeLocal(LocalDateTime.of(2026, 1, 1, 0, 0));
    return entry;
  }
}
