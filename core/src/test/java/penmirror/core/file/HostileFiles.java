package penmirror.core.file;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;

/** Files made to do harm, by name; see the README beside those that are kept. */
public final class HostileFiles {
  private static final List<String> KEPT =
      List.of(
          "patterns.svg",
          "masks.svg",
          "markers.svg",
          "blur.svg",
          "hugetile.svg",
          "dash2.svg",
          "negx.ora",
          "badname.ora");

  private HostileFiles() {}

  public static Map<String, byte[]> all() {
    Map<String, byte[]> files = new LinkedHashMap<>();
    KEPT.forEach(name -> files.put(name, kept(name)));
    files.put("deep.svg", svg("<g>".repeat(100_000) + "</g>".repeat(100_000)));
    files.put("manyblur.svg", manyBlurs());
    files.put(
        "inline.svg",
        svg(
            "<image width='100' height='100' href='data:image/png;base64,"
                + Base64.getEncoder().encodeToString(tallPng(467, 120_000))
                + "'/>"));
    files.put("stylesheet.svg", byStyleSheet());
    files.put("no-end.png", withoutEnd(png()));
    files.put("forged-end.jpg", forgedEnd(jpeg()));
    return files;
  }

  static byte[] svg(String inside) {
    return ("<svg xmlns='http://www.w3.org/2000/svg' width='1000' height='1000'>"
            + inside
            + "</svg>")
        .getBytes(StandardCharsets.UTF_8);
  }

  private static byte[] manyBlurs() {
    return svg(
        "<filter id='f'>"
            + "<feGaussianBlur stdDeviation='50'/>".repeat(3000)
            + "</filter><rect width='1000' height='1000' fill='red' filter='url(#f)'/>");
  }

  /** Patterns that refer to each other through rules for their classes. */
  private static byte[] byStyleSheet() {
    StringBuilder text = new StringBuilder("<style>");
    for (int level = 0; level < 9; level++) {
      text.append(".c").append(level).append("{fill:url(#p").append(level + 1).append(")}");
    }
    text.append("</style><rect class='c0' width='1000' height='1000'/>");
    for (int level = 1; level < 10; level++) {
      text.append("<pattern id='p").append(level).append("' width='.1' height='.1'>");
      text.append(("<rect class='c" + level + "' width='9' height='9'/>").repeat(8));
      text.append("</pattern>");
    }
    return svg(text.toString());
  }

  /** All zero, so that a few kilobytes unpack to fifty megapixels. */
  private static byte[] tallPng(int width, int height) {
    try {
      ByteArrayOutputStream packed = new ByteArrayOutputStream();
      try (DeflaterOutputStream deflater =
          new DeflaterOutputStream(packed, new Deflater(Deflater.BEST_COMPRESSION))) {
        byte[] row = new byte[1 + width];
        for (int y = 0; y < height; y++) {
          deflater.write(row);
        }
      }
      ByteArrayOutputStream file = new ByteArrayOutputStream();
      file.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
      byte[] header =
          ByteBuffer.allocate(13)
              .putInt(width)
              .putInt(height)
              .put(new byte[] {8, 0, 0, 0, 0})
              .array();
      chunk(file, "IHDR", header);
      chunk(file, "IDAT", packed.toByteArray());
      chunk(file, "IEND", new byte[0]);
      return file.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void chunk(ByteArrayOutputStream file, String name, byte[] data)
      throws IOException {
    byte[] named = new byte[4 + data.length];
    System.arraycopy(name.getBytes(StandardCharsets.US_ASCII), 0, named, 0, 4);
    System.arraycopy(data, 0, named, 4, data.length);
    CRC32 crc = new CRC32();
    crc.update(named);
    file.write(ByteBuffer.allocate(4).putInt(data.length).array());
    file.write(named);
    file.write(ByteBuffer.allocate(4).putInt((int) crc.getValue()).array());
  }

  static byte[] withoutEnd(byte[] png) {
    return Arrays.copyOf(png, png.length - 12);
  }

  /** The first half, with the two bytes that say the picture is over. */
  static byte[] forgedEnd(byte[] jpeg) {
    byte[] half = Arrays.copyOf(jpeg, jpeg.length / 2 + 2);
    half[half.length - 2] = (byte) 0xFF;
    half[half.length - 1] = (byte) 0xD9;
    return half;
  }

  static byte[] png() {
    return encoded("png");
  }

  static byte[] jpeg() {
    return encoded("jpeg");
  }

  /** Stripes of many colours, so that a file of it is not over after a few bytes. */
  private static byte[] encoded(String format) {
    BufferedImage image = new BufferedImage(300, 200, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    for (int x = 0; x < 300; x += 5) {
      graphics.setColor(Color.getHSBColor(x / 300f, 0.8f, 0.9f));
      graphics.fillRect(x, x / 3, 5, 200);
    }
    graphics.dispose();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, format, bytes);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  private static byte[] kept(String name) {
    try (InputStream stream = HostileFiles.class.getResourceAsStream("/hostile/" + name)) {
      return stream.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
