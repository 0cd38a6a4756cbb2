package penmirror.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import penmirror.core.drawing.Item.Anchor;
import penmirror.core.drawing.Scene.Layer;
import penmirror.core.file.PictureReader;
import penmirror.core.geometry.Point;
import penmirror.core.raster.Picture;

/** Both writers, read back by readers that are not theirs: the same scene looks the same. */
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
    assertThat(document.getElementsByTagName("g").getLength()).isEqualTo(3);
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
}
