package penmirror.core.drawing;

import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import penmirror.core.drawing.Item.Anchor;
import penmirror.core.drawing.Item.Field;
import penmirror.core.drawing.Item.Fill;
import penmirror.core.drawing.Item.Shown;
import penmirror.core.drawing.Item.Stroke;
import penmirror.core.drawing.Item.Within;
import penmirror.core.drawing.Item.Words;
import penmirror.core.geometry.Point;

/**
 * Writes scenes as a PDF, a page each, as large on paper as the canvas is: to be printed at full
 * size and laid under the drawing. Words stand in Helvetica, which every reader has; what it cannot
 * write is left out.
 */
public final class PdfWriter {
  private static final double POINTS_PER_INCH = 72;

  /** Source: ISO 32000-1, annex C: no side of a page may be longer, in points. */
  private static final double LONGEST_SIDE_POINTS = 14_400;

  private final PDDocument document;
  private final PDPageContentStream out;
  private final PDFont font = new PDType1Font(Standard14Fonts.FontName.HELVETICA);
  private final double scale;
  private final double heightPoints;

  private PdfWriter(PDDocument document, PDPageContentStream out, double scale, double height) {
    this.document = document;
    this.out = out;
    this.scale = scale;
    heightPoints = height;
  }

  /**
   * @param pixelsPerInch of the canvas, above 0
   * @throws IllegalArgumentException when a side would be longer than a page may be, 5 m
   */
  public static byte[] write(Scene scene, double pixelsPerInch) {
    return write(List.of(scene), pixelsPerInch);
  }

  /**
   * One page a scene.
   *
   * @param scenes one at least; the first says what the file is
   * @param pixelsPerInch of every canvas, above 0
   * @throws IllegalArgumentException without a scene, or when a side would be longer than a page
   *     may be, 5 m
   */
  public static byte[] write(List<Scene> scenes, double pixelsPerInch) {
    if (scenes.isEmpty()) {
      throw new IllegalArgumentException("A file has a page at least, got no scene.");
    }
    double scale = POINTS_PER_INCH / pixelsPerInch;
    try (PDDocument document = new PDDocument()) {
      PDDocumentInformation about = new PDDocumentInformation();
      about.setTitle(scenes.get(0).title());
      about.setSubject(scenes.get(0).description());
      document.setDocumentInformation(about);
      for (Scene scene : scenes) {
        page(document, scene, scale);
      }
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      document.save(bytes);
      return bytes.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException("A drawing could not be written into memory.", e);
    }
  }

  private static void page(PDDocument document, Scene scene, double scale) throws IOException {
    double width = scene.widthPixels() * scale;
    double height = scene.heightPixels() * scale;
    if (!(scale > 0) || Math.max(width, height) > LONGEST_SIDE_POINTS) {
      throw new IllegalArgumentException(
          "At "
              + POINTS_PER_INCH / scale
              + " px per inch the page would be longer than 5 m. Give the canvas's own number.");
    }
    PDPage page = new PDPage(new PDRectangle((float) width, (float) height));
    document.addPage(page);
    try (PDPageContentStream out = new PDPageContentStream(document, page)) {
      new PdfWriter(document, out, scale, height).layers(scene);
    }
  }

  private void layers(Scene scene) throws IOException {
    for (Scene.Layer layer : scene.layers()) {
      items(layer.items());
    }
  }

  private void items(List<Item> items) throws IOException {
    for (Item item : items) {
      if (item instanceof Stroke stroke) {
        stroke(stroke);
      } else if (item instanceof Fill fill) {
        fill(fill);
      } else if (item instanceof Within within) {
        out.saveGraphicsState();
        for (Outline outline : within.outlines()) {
          outline(outline);
        }
        out.clip();
        items(within.items());
        out.restoreGraphicsState();
      } else if (item instanceof Field field) {
        out.setNonStrokingColor(Color.decode(field.colour()));
        out.addRect(
            x(field.left()),
            y(field.top() + field.height()),
            length(field.width()),
            length(field.height()));
        out.fill();
      } else if (item instanceof Words words) {
        words(words);
      } else if (item instanceof Shown shown) {
        PDImageXObject image = PDImageXObject.createFromByteArray(document, shown.file(), "beside");
        out.drawImage(
            image,
            x(shown.left()),
            y(shown.top() + shown.height()),
            length(shown.width()),
            length(shown.height()));
      }
    }
  }

  private void stroke(Stroke stroke) throws IOException {
    out.setStrokingColor(Color.decode(stroke.colour()));
    out.setLineWidth(length(stroke.widthPixels()));
    float[] dash = new float[stroke.dashPixels().size()];
    for (int i = 0; i < dash.length; i++) {
      dash[i] = length(stroke.dashPixels().get(i));
    }
    out.setLineDashPattern(dash, 0);
    outline(stroke.outline());
    out.stroke();
  }

  private void fill(Fill fill) throws IOException {
    PDExtendedGraphicsState seen = new PDExtendedGraphicsState();
    seen.setNonStrokingAlphaConstant((float) fill.opacity());
    out.saveGraphicsState();
    out.setGraphicsStateParameters(seen);
    out.setNonStrokingColor(Color.decode(fill.colour()));
    for (Outline outline : fill.outlines()) {
      outline(outline);
    }
    if (fill.evenOdd()) {
      out.fillEvenOdd();
    } else {
      out.fill();
    }
    out.restoreGraphicsState();
  }

  private void outline(Outline outline) throws IOException {
    out.moveTo(x(outline.start().x()), y(outline.start().y()));
    for (Outline.Piece piece : outline.pieces()) {
      Point to = piece.to();
      if (piece instanceof Outline.Bend bend) {
        out.curveTo(
            x(bend.first().x()),
            y(bend.first().y()),
            x(bend.second().x()),
            y(bend.second().y()),
            x(to.x()),
            y(to.y()));
      } else {
        out.lineTo(x(to.x()), y(to.y()));
      }
    }
    if (outline.isClosed()) {
      out.closePath();
    }
  }

  private void words(Words words) throws IOException {
    String text = Lettering.writable(words.text());
    if (text.isEmpty()) {
      return;
    }
    float size = length(words.sizePixels());
    float wide = font.getStringWidth(text) / 1000 * size;
    float left = words.anchor() == Anchor.START ? x(words.x()) : x(words.x()) - wide;
    // The white around the letters first, then the letters.
    for (boolean halo : new boolean[] {true, false}) {
      out.beginText();
      out.setFont(font, size);
      out.setRenderingMode(halo ? RenderingMode.STROKE : RenderingMode.FILL);
      out.setLineDashPattern(new float[0], 0);
      out.setLineWidth(length(words.haloPixels()));
      out.setStrokingColor(Color.WHITE);
      out.setNonStrokingColor(Color.decode(words.colour()));
      out.newLineAtOffset(left, y(words.y()));
      out.showText(text);
      out.endText();
    }
  }

  private float x(double pixels) {
    return (float) (pixels * scale);
  }

  /** A PDF counts from the lower edge up. */
  private float y(double pixels) {
    return (float) (heightPoints - pixels * scale);
  }

  private float length(double pixels) {
    return (float) (pixels * scale);
  }
}
