package penmirror.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import penmirror.core.drawing.Item.Anchor;
import penmirror.core.drawing.Scene.Layer;
import penmirror.core.file.PictureReader;
import penmirror.core.file.PngWriter;
import penmirror.core.file.Resolution;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;

/** All writers, read back by readers that are not theirs: the same scene looks the same. */
class WritersTest {
  private static final Scene SCENE =
      new Scene(
          600,
          400,
          "A guide\u0001",
          "Credit <Odile> & ask",
          List.of(
              new Layer("fields", List.of(new Item.Field(0, 100, 600, 80, "#DBEDF4", "eyes"))),
              new Layer(
                  "lines",
                  List.of(
                      new Item.Stroke(Outline.line(300, 0, 300, 400), "#2A80A6", 10, List.of()),
                      new Item.Stroke(
                          Outline.line(0, 300, 600, 300), "#9E231B", 10, List.of(60.0, 60.0)),
                      new Item.Stroke(
                          Outline.bends(
                              new Point(100, 250),
                              new Point(100, 150),
                              new Point(200, 150),
                              new Point(200, 250),
                              new Point(200, 350),
                              new Point(100, 350),
                              new Point(100, 250)),
                          "#222326",
                          8,
                          List.of()))),
              new Layer(
                  "shapes",
                  List.of(
                      new Item.Fill(
                          Outline.of(new Rectangle2D.Double(420, 200, 100, 80), 0.1),
                          "#7C8450",
                          1,
                          false),
                      new Item.Fill(
                          List.of(
                              Outline.of(new Rectangle2D.Double(420, 320, 100, 60), 0.1).get(0),
                              Outline.of(new Rectangle2D.Double(450, 335, 40, 30), 0.1).get(0)),
                          "#9E231B",
                          0.5,
                          true),
                      new Item.Within(
                          Outline.of(new Rectangle2D.Double(420, 200, 100, 80), 0.1),
                          0,
                          List.of(new Item.Field(470, 190, 400, 200, "#3A2B55", "shadow"))))),
              new Layer(
                  "words",
                  List.of(new Item.Words(590, 60, "Eye line 目", 30, "#155A78", Anchor.END, 4)))));

  private static void looksAsDrawn(Picture picture) {
    double scale = picture.widthPixels() / 600.0;
    assertThat(picture.heightPixels() / scale).isCloseTo(400, offset(2.0));
    isAbout(picture, scale, 50, 140, 0xDBEDF4);
    isAbout(picture, scale, 50, 220, 0xFFFFFF);
    isAbout(picture, scale, 300, 370, 0x2A80A6);
    isAbout(picture, scale, 30, 300, 0x9E231B);
    isAbout(picture, scale, 90, 300, 0xFFFFFF);
    // The bend stands highest at three quarters of the way to its handles.
    isAbout(picture, scale, 150, 175, 0x222326);
    isAbout(picture, scale, 150, 325, 0x222326);
    isAbout(picture, scale, 150, 250, 0xFFFFFF);
    isAbout(picture, scale, 440, 240, 0x7C8450);
    isAbout(picture, scale, 500, 240, 0x3A2B55);
    // What lies within the shape ends at its edge.
    isAbout(picture, scale, 540, 240, 0xFFFFFF);
    // Half seen, with a hole.
    isAbout(picture, scale, 430, 350, 0xCE918D);
    isAbout(picture, scale, 470, 350, 0xFFFFFF);
  }

  private static void isAbout(Picture picture, double scale, double x, double y, int colour) {
    int found = picture.rgb((int) (y * scale) * picture.widthPixels() + (int) (x * scale));
    for (int shift = 0; shift <= 16; shift += 8) {
      assertThat(found >> shift & 255)
          .as("%.0f, %.0f is %06x", x, y, found)
          .isCloseTo(colour >> shift & 255, offset(6));
    }
  }

  @Test
  void theSvgIsSoundAndLooksAsDrawn() throws Exception {
    byte[] svg = SvgWriter.write(SCENE).getBytes(StandardCharsets.UTF_8);
    Document document =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new ByteArrayInputStream(svg));
    assertThat(document.getElementsByTagName("g").getLength()).isEqualTo(6);
    assertThat(document.getElementsByTagName("title").item(0).getTextContent())
        .isEqualTo("A guide");
    assertThat(document.getElementsByTagName("text").item(0).getTextContent())
        .isEqualTo("Eye line 目");
    looksAsDrawn(new PictureReader().open(svg).picture());
  }

  /** 600 x 400 px at 150 px an inch are four inches by two and two thirds. */
  @Test
  void thePdfIsAsLargeOnPaperAsTheCanvasAndLooksAsDrawn() throws Exception {
    try (PDDocument document = Loader.loadPDF(PdfWriter.write(SCENE, 150))) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      assertThat((double) document.getPage(0).getMediaBox().getWidth() / 72)
          .isCloseTo(4, offset(1e-4));
      assertThat((double) document.getPage(0).getMediaBox().getHeight() / 72)
          .isCloseTo(8.0 / 3, offset(1e-4));
      assertThat(document.getDocumentInformation().getSubject()).contains("Credit <Odile> & ask");
      // What Helvetica cannot write is left out, the rest stands.
      assertThat(new PDFTextStripper().getText(document)).contains("Eye line");
      BufferedImage page = new PDFRenderer(document).renderImageWithDPI(0, 300);
      looksAsDrawn(Picture.from(page));
    }
  }

  @Test
  void aPageLongerThanAReaderOpensIsRefused() {
    Scene banner = new Scene(20_000, 100, "", "", List.of());
    assertThatThrownBy(() -> PdfWriter.write(banner, 30))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("longer than 5 m");
    assertThatThrownBy(() -> PdfWriter.write(banner, 0))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void thePngLooksAsDrawnAndIsTransparentWhereNothingIs() throws Exception {
    byte[] png = PngWriter.write(SceneImage.of(SCENE), Optional.of(new Resolution(150)));

    Picture picture = new PictureReader().open(png).picture();

    looksAsDrawn(picture);
    assertThat(picture.coverage(220 * 600 + 50)).isZero();
    assertThat(picture.coverage(140 * 600 + 50)).isEqualTo(1);
    assertThat(picture.coverage(350 * 600 + 430)).isCloseTo(0.5, offset(0.01));
  }

  /** The words of the PDF and those of the picture are the same letters at the same place. */
  @Test
  void wordsOfThePngLieWhereThoseOfThePdfLie() throws Exception {
    BufferedImage png = SceneImage.of(SCENE);
    try (PDDocument document = Loader.loadPDF(PdfWriter.write(SCENE, 72))) {
      BufferedImage page = new PDFRenderer(document).renderImageWithDPI(0, 72);
      int both = 0;
      int one = 0;
      for (int y = 30; y < 70; y++) {
        for (int x = 380; x < 600; x++) {
          boolean here = (png.getRGB(x, y) >>> 24) > 128 && (png.getRGB(x, y) & 255) < 200;
          boolean there = (page.getRGB(x, y) & 255) < 200;
          both += here && there ? 1 : 0;
          one += here != there ? 1 : 0;
        }
      }
      assertThat(both).isGreaterThan(400);
      assertThat(one).isLessThan(both / 4);
    }
  }

  @Test
  void anOpenRasterFileHoldsEveryLayerByItselfAndTheWhole() throws Exception {
    byte[] file = OpenRasterWriter.write(SCENE);
    Map<String, byte[]> entries = new LinkedHashMap<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        entries.put(entry.getName(), zip.readAllBytes());
      }
    }

    assertThat(entries.keySet())
        .containsExactly(
            "mimetype",
            "stack.xml",
            "data/fields.png",
            "data/lines.png",
            "data/shapes.png",
            "data/words.png",
            "mergedimage.png",
            "Thumbnails/thumbnail.png");
    NodeList layers =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new ByteArrayInputStream(entries.get("stack.xml")))
            .getElementsByTagName("layer");
    assertThat(((Element) layers.item(0)).getAttribute("name")).isEqualTo("words");
    assertThat(((Element) layers.item(3)).getAttribute("src")).isEqualTo("data/fields.png");
    looksAsDrawn(new PictureReader().open(entries.get("mergedimage.png")).picture());
    Picture lines = new PictureReader().open(entries.get("data/lines.png")).picture();
    assertThat(lines.coverage(140 * 600 + 50)).as("the field is not among the lines").isZero();
    assertThat(lines.rgb(370 * 600 + 300)).isEqualTo(0x2A80A6);
    // A layer is no larger than what it covers, and lies where that is.
    Picture shapes = new PictureReader().open(entries.get("data/shapes.png")).picture();
    Element placed = (Element) layers.item(1);
    int left = Integer.parseInt(placed.getAttribute("x"));
    int top = Integer.parseInt(placed.getAttribute("y"));
    assertThat(left).isBetween(410, 420);
    assertThat(top).isBetween(190, 200);
    assertThat(shapes.widthPixels()).isBetween(100, 110);
    assertThat(shapes.rgb((240 - top) * shapes.widthPixels() + 440 - left)).isEqualTo(0x7C8450);
    assertThat(OpenRasterWriter.write(SCENE)).as("the same drawing").isEqualTo(file);
  }

  /**
   * Source: a box of ink blurred by a deviation of d is half as dark at its edge, and dark 2 d in.
   */
  @Test
  void aSoftEdgeIsHalfAsDarkAtItsPlace() {
    Scene soft =
        new Scene(
            200,
            100,
            "",
            "",
            List.of(
                new Layer(
                    "shadow",
                    List.of(
                        new Item.Within(
                            Outline.of(new Rectangle2D.Double(0, 0, 200, 100), 0.1),
                            8,
                            List.of(new Item.Field(100, -50, 200, 200, "#000000", "s")))))));
    BufferedImage image = SceneImage.of(soft);
    assertThat(image.getRGB(100, 50) >>> 24).isCloseTo(132, offset(8));
    assertThat(image.getRGB(120, 50) >>> 24).isGreaterThan(250);
    assertThat(image.getRGB(80, 50) >>> 24).isLessThan(5);
  }
}
