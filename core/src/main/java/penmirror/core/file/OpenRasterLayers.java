package penmirror.core.file;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.jspecify.annotations.Nullable;
import penmirror.core.file.UnusablePictureException.Reason;

/**
 * Where an OpenRaster file is drawn on, apart from its paper: the visible layers above a lowest one
 * that covers the whole canvas. Groups are taken as what lies in them; blending and masks are not
 * heeded, since they change what is seen and hardly where.
 *
 * <p>Source: OpenRaster specification 0.0.6, layers stack.
 */
final class OpenRasterLayers {
  private static final int MOST_LAYERS = 500;
  private static final long MOST_BYTES = 256L * 1024 * 1024;

  /** Pixels; no canvas is so large that a layer could lie this far off and be meant. */
  private static final int FARTHEST = 1_000_000;

  private record Layer(String source, int x, int y) {}

  private OpenRasterLayers() {}

  /**
   * Coverage of every pixel, 0 to 255; empty where there is no such paper, or where the layers
   * cannot be read: then the flattened picture has to do.
   *
   * @throws UnusablePictureException when a layer lies where no canvas is: the file is damaged
   */
  static Optional<byte[]> drawnOn(byte[] bytes, int width, int height)
      throws UnusablePictureException {
    try {
      Map<String, byte[]> files = files(bytes);
      byte[] stack = files.get("stack.xml");
      if (stack == null) {
        return Optional.empty();
      }
      List<Layer> layers = visible(stack);
      if (layers.size() < 2) {
        return Optional.empty();
      }
      byte[] coverage = new byte[width * height];
      Layer lowest = layers.get(layers.size() - 1);
      if (!lay(files.get(lowest.source), lowest, coverage, width, height) || !isFull(coverage)) {
        return Optional.empty();
      }
      coverage = new byte[width * height];
      for (Layer layer : layers.subList(0, layers.size() - 1)) {
        if (!lay(files.get(layer.source), layer, coverage, width, height)) {
          return Optional.empty();
        }
      }
      return Optional.of(coverage);
    } catch (IOException | XMLStreamException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static boolean isFull(byte[] coverage) {
    for (byte value : coverage) {
      if ((value & 255) < 255) {
        return false;
      }
    }
    return true;
  }

  private static Map<String, byte[]> files(byte[] bytes) throws IOException {
    Map<String, byte[]> files = new HashMap<>();
    long total = 0;
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        boolean wanted = entry.getName().equals("stack.xml") || entry.getName().startsWith("data/");
        if (wanted && files.size() < MOST_LAYERS) {
          byte[] file = zip.readNBytes((int) (MOST_BYTES - total));
          total += file.length;
          if (total >= MOST_BYTES) {
            throw new IOException("The layers unpack to too much.");
          }
          files.put(entry.getName(), file);
        }
      }
    }
    return files;
  }

  /** Topmost first. */
  private static List<Layer> visible(byte[] stack)
      throws XMLStreamException, UnusablePictureException {
    XMLInputFactory factory = XMLInputFactory.newFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    XMLStreamReader xml = factory.createXMLStreamReader(new ByteArrayInputStream(stack));
    List<Layer> layers = new ArrayList<>();
    while (xml.hasNext()) {
      if (xml.next() == XMLStreamReader.START_ELEMENT && xml.getLocalName().equals("layer")) {
        boolean hidden = "hidden".equals(xml.getAttributeValue(null, "visibility"));
        String source = xml.getAttributeValue(null, "src");
        if (!hidden && source != null) {
          layers.add(new Layer(source, offset(xml, "x"), offset(xml, "y")));
        }
      }
    }
    return layers;
  }

  private static int offset(XMLStreamReader xml, String name) throws UnusablePictureException {
    String value = xml.getAttributeValue(null, name);
    double offset;
    try {
      offset = value == null ? 0 : Double.parseDouble(value);
    } catch (NumberFormatException e) {
      return 0;
    }
    if (!(Math.abs(offset) <= FARTHEST)) {
      throw new UnusablePictureException(
          Reason.UNREADABLE,
          "The OpenRaster file places a layer at "
              + name
              + " = "
              + value
              + ", where no canvas is. Save it again in your painting program.");
    }
    return (int) offset;
  }

  /** False when the layer cannot be read, or is far larger than the canvas. */
  private static boolean lay(
      byte @Nullable [] png, Layer layer, byte[] coverage, int width, int height)
      throws IOException {
    if (png == null) {
      return false;
    }
    BufferedImage image = decoded(png, 2L * width * height);
    if (image == null) {
      return false;
    }
    for (int y = Math.max(0, -layer.y); y < image.getHeight() && y + layer.y < height; y++) {
      for (int x = Math.max(0, -layer.x); x < image.getWidth() && x + layer.x < width; x++) {
        int at = (y + layer.y) * width + x + layer.x;
        int alpha = image.getRGB(x, y) >>> 24;
        // What is left uncovered by both: the one lies over the other.
        int open = (255 - (coverage[at] & 255)) * (255 - alpha) / 255;
        coverage[at] = (byte) (255 - open);
      }
    }
    return true;
  }

  private static @Nullable BufferedImage decoded(byte[] png, long mostPixels) throws IOException {
    try (ImageInputStream stream = ImageIO.createImageInputStream(new ByteArrayInputStream(png))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
      if (!readers.hasNext()) {
        return null;
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(stream, true, true);
        long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
        return pixels > Math.max(mostPixels, 1_000_000) ? null : reader.read(0);
      } finally {
        reader.dispose();
      }
    }
  }
}
