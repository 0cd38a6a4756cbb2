package penmirror.demoart.page;

import static org.assertj.core.api.Assertions.assertThat;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.view.ViewBox;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import penmirror.core.file.PictureReader;
import penmirror.core.raster.Picture;
import penmirror.core.reading.PixelReader;
import penmirror.demoart.studio.Commission;
import penmirror.demoart.studio.DemoStudio;
import penmirror.demoart.studio.Illustration;

/** The same drawing as a flat picture, in layers, and as vectors. */
class LayersTest {
  private static final List<Commission> SAMPLE =
      List.of(
          DemoStudio.odileMarrow().sources().get(0),
          DemoStudio.casimirThole().sources().get(6),
          DemoStudio.inesVantour().sources().get(4));

  /** OpenRaster 0.0.6: mimetype first and stored, a stack, every layer a PNG, merged, thumbnail. */
  @Test
  void anOpenRasterFileKeepsTheRulesOfItsSpecification() throws Exception {
    Map<String, byte[]> entries = new LinkedHashMap<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(ora(SAMPLE.get(0))))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (entries.isEmpty()) {
          assertThat(entry.getName()).isEqualTo("mimetype");
          assertThat(entry.getMethod()).isEqualTo(ZipEntry.STORED);
        }
        entries.put(entry.getName(), zip.readAllBytes());
      }
    }
    assertThat(new String(entries.get("mimetype"), StandardCharsets.US_ASCII))
        .isEqualTo("image/openraster");
    Element image =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new ByteArrayInputStream(entries.get("stack.xml")))
            .getDocumentElement();
    assertThat(image.getAttribute("w")).isEqualTo("350");
    NodeList layers = image.getElementsByTagName("layer");
    assertThat(layers.getLength()).isEqualTo(6);
    for (int i = 0; i < layers.getLength(); i++) {
      Element layer = (Element) layers.item(i);
      assertThat(entries).containsKey(layer.getAttribute("src"));
      assertThat(layer.getAttribute("visibility"))
          .isEqualTo(layer.getAttribute("name").equals("sketch") ? "hidden" : "visible");
    }
    assertThat(read(entries.get("Thumbnails/thumbnail.png")).getHeight()).isLessThanOrEqualTo(256);
    assertThat(entries).containsKey("mergedimage.png");
  }

  /** Above the paper nothing but the figure is drawn, so the layers tell it exactly. */
  @Test
  void layersTellTheFigure() throws Exception {
    Picture layered = new PictureReader().open(ora(SAMPLE.get(0))).picture();
    Picture flat = Picture.from(Illustration.of(SAMPLE.get(0), 0.25).image());
    assertThat(layered.widthPixels()).isEqualTo(flat.widthPixels());
    assertThat(layered.hasTransparency()).isTrue();
    assertThat(layered.coverage(0)).isZero();
    int paper = flat.rgb(0);
    int wrong = 0;
    for (int i = 0; i < flat.pixelCount(); i++) {
      boolean differs = colourStep(flat.rgb(i), paper) > 24;
      wrong += differs && layered.coverage(i) < 0.02 ? 1 : 0;
    }
    assertThat(wrong).as("drawn pixels that no layer covers").isZero();
    assertThat(new PixelReader().read(layered).figureAreaPixels())
        .as("what the figure encloses is no figure")
        .isLessThanOrEqualTo(new PixelReader().read(flat).figureAreaPixels());
  }

  private static int colourStep(int one, int other) {
    return Math.abs((one >> 16 & 255) - (other >> 16 & 255))
        + Math.abs((one >> 8 & 255) - (other >> 8 & 255))
        + Math.abs((one & 255) - (other & 255));
  }

  /** Laid over each other, the visible layers are the finished picture. */
  @Test
  void theLayersTogetherGiveThePicture() throws Exception {
    for (Commission commission : SAMPLE) {
      BufferedImage merged = null;
      BufferedImage stacked = null;
      Map<String, BufferedImage> data = new LinkedHashMap<>();
      try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(ora(commission)))) {
        for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
          byte[] bytes = zip.readAllBytes();
          if (entry.getName().endsWith(".png")) {
            data.put(entry.getName(), read(bytes));
          }
        }
      }
      merged = data.get("mergedimage.png");
      stacked =
          new BufferedImage(merged.getWidth(), merged.getHeight(), BufferedImage.TYPE_INT_RGB);
      Graphics2D pen = stacked.createGraphics();
      for (String layer : List.of("paper", "flats", "shade", "effects", "line")) {
        pen.drawImage(data.get("data/" + layer + ".png"), 0, 0, null);
      }
      pen.dispose();
      assertThat(share(merged, stacked, 24)).as(commission.title()).isLessThan(0.012);
    }
  }

  /** An independent renderer makes the same picture of the vectors. */
  @Test
  void theVectorsShowTheSamePicture() {
    for (Commission commission : SAMPLE.subList(0, 2)) {
      Illustration drawn = Illustration.of(commission, 0.25);
      BufferedImage flat = drawn.image();
      SVGDocument svg =
          new SVGLoader()
              .load(
                  new ByteArrayInputStream(
                      drawn.rendering().svg().getBytes(StandardCharsets.UTF_8)),
                  null,
                  LoaderContext.createDefault());
      assertThat(svg).isNotNull();
      BufferedImage image =
          new BufferedImage(flat.getWidth(), flat.getHeight(), BufferedImage.TYPE_INT_RGB);
      Graphics2D pen = image.createGraphics();
      pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
      pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
      svg.render(null, pen, new ViewBox(0, 0, flat.getWidth(), flat.getHeight()));
      pen.dispose();
      assertThat(share(flat, image, 40)).as(commission.title()).isLessThan(0.02);
    }
  }

  private static byte[] ora(Commission commission) {
    return Illustration.of(commission, 0.25).rendering().openRaster();
  }

  private static BufferedImage read(byte[] png) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(png));
  }

  /** Share of pixels in which any channel differs by more than so many levels. */
  private static double share(BufferedImage a, BufferedImage b, int levels) {
    int differing = 0;
    for (int y = 0; y < a.getHeight(); y++) {
      for (int x = 0; x < a.getWidth(); x++) {
        int p = a.getRGB(x, y);
        int q = b.getRGB(x, y);
        if (Math.abs((p >> 16 & 255) - (q >> 16 & 255)) > levels
            || Math.abs((p >> 8 & 255) - (q >> 8 & 255)) > levels
            || Math.abs((p & 255) - (q & 255)) > levels) {
          differing++;
        }
      }
    }
    return differing / (double) (a.getWidth() * a.getHeight());
  }
}
