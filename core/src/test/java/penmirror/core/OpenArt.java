package penmirror.core;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.view.ViewBox;
import java.awt.Color;
import java.awt.Component;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import penmirror.core.measure.PixelReadings;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;

/** The openly licensed pictures of {@code src/test/resources/openart}, drawn at any size. */
public final class OpenArt {
  public static final int READ_PIXELS = 512;

  private static final Map<String, PixelReadings> READINGS = new ConcurrentHashMap<>();

  private OpenArt() {}

  public static List<String> icons() {
    return names("icons");
  }

  public static List<String> heads() {
    return names("heads");
  }

  /** Where the parts of each head lie at 768 pixels, found by drawing it without the part. */
  public static JsonNode truth() throws IOException {
    try (InputStream file = OpenArt.class.getResourceAsStream("/openart/heads/truth.json")) {
      return new ObjectMapper().readTree(file.readAllBytes());
    }
  }

  /** What the pixels of a head tell, drawn {@link #READ_PIXELS} wide; read once for all tests. */
  public static PixelReadings readings(String head) {
    return READINGS.computeIfAbsent(
        head, name -> new PixelReader().read(draw("heads", name, READ_PIXELS)));
  }

  /** Laid on white, antialiased, square. */
  public static Picture draw(String folder, String name, int sizePixels) {
    return draw(folder, name, sizePixels, RenderingHints.VALUE_ANTIALIAS_ON);
  }

  /** The same without blended edges: every pixel has a colour of the source. */
  public static Picture drawHard(String folder, String name, int sizePixels) {
    return draw(folder, name, sizePixels, RenderingHints.VALUE_ANTIALIAS_OFF);
  }

  private static Picture draw(String folder, String name, int sizePixels, Object antialiasing) {
    SVGDocument document =
        new SVGLoader().load(source(folder, name), null, LoaderContext.createDefault());
    if (document == null) {
      throw new IllegalArgumentException("No drawing " + folder + "/" + name);
    }
    BufferedImage image = new BufferedImage(sizePixels, sizePixels, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(Color.WHITE);
    graphics.fillRect(0, 0, sizePixels, sizePixels);
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, antialiasing);
    graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    document.render((Component) null, graphics, new ViewBox(sizePixels, sizePixels));
    graphics.dispose();
    return Picture.from(image);
  }

  /** The icons name no colour of their own; they are inked black. */
  private static InputStream source(String folder, String name) {
    String path = "/openart/" + folder + "/" + name + ".svg";
    try (InputStream stream = OpenArt.class.getResourceAsStream(path)) {
      String svg = new String(stream.readAllBytes(), StandardCharsets.UTF_8);
      return new ByteArrayInputStream(
          svg.replace("currentColor", "#000000").getBytes(StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<String> names(String folder) {
    try {
      File[] files =
          Path.of(OpenArt.class.getResource("/openart/" + folder).toURI()).toFile().listFiles();
      return Arrays.stream(files == null ? new File[0] : files)
          .map(File::getName)
          .filter(name -> name.endsWith(".svg"))
          .map(name -> name.substring(0, name.length() - 4))
          .sorted()
          .toList();
    } catch (URISyntaxException e) {
      throw new IllegalStateException(new IOException(e));
    }
  }
}
