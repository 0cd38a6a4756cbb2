package penmirror.core.drawing;

import java.io.StringWriter;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import penmirror.core.drawing.Item.Anchor;
import penmirror.core.drawing.Item.Field;
import penmirror.core.drawing.Item.Fill;
import penmirror.core.drawing.Item.Shown;
import penmirror.core.drawing.Item.Stroke;
import penmirror.core.drawing.Item.Within;
import penmirror.core.drawing.Item.Words;
import penmirror.core.geometry.Point;

/**
 * Writes a scene as SVG of the canvas's own size. No fonts, scripts or links, so that any drawing
 * program opens it.
 */
public final class SvgWriter {
  private static final Base64.Encoder BASE64 = Base64.getEncoder();

  private final XMLStreamWriter out;

  /** Shapes that items lie within, so far. */
  private int shapes;

  private SvgWriter(XMLStreamWriter out) {
    this.out = out;
  }

  public static String write(Scene scene) {
    StringWriter text = new StringWriter();
    try {
      XMLStreamWriter out = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
      new SvgWriter(out).scene(scene);
      out.flush();
    } catch (XMLStreamException e) {
      throw new IllegalStateException("A drawing could not be written into memory.", e);
    }
    return text.toString();
  }

  private void scene(Scene scene) throws XMLStreamException {
    int width = scene.widthPixels();
    int height = scene.heightPixels();
    out.writeStartDocument("UTF-8", "1.0");
    out.writeStartElement("svg");
    out.writeDefaultNamespace("http://www.w3.org/2000/svg");
    attributes("width", width, "height", height, "viewBox", "0 0 " + width + " " + height);
    element("title", scene.title());
    element("desc", scene.description());
    for (Scene.Layer layer : scene.layers()) {
      out.writeStartElement("g");
      attributes("id", layer.name());
      for (Item item : layer.items()) {
        item(item);
      }
      out.writeEndElement();
    }
    out.writeEndElement();
    out.writeEndDocument();
  }

  private void element(String name, String text) throws XMLStreamException {
    out.writeStartElement(name);
    characters(text);
    out.writeEndElement();
  }

  private void item(Item item) throws XMLStreamException {
    if (item instanceof Stroke stroke) {
      stroke(stroke);
    } else if (item instanceof Fill fill) {
      fill(fill);
    } else if (item instanceof Within within) {
      within(within);
    } else if (item instanceof Field field) {
      field(field);
    } else if (item instanceof Words words) {
      words(words);
    } else if (item instanceof Shown shown) {
      shown(shown);
    }
  }

  private void stroke(Stroke stroke) throws XMLStreamException {
    out.writeEmptyElement("path");
    attributes(
        "d", path(stroke.outline()),
        "fill", "none",
        "stroke", stroke.colour(),
        "stroke-width", number(stroke.widthPixels()));
    if (!stroke.dashPixels().isEmpty()) {
      attributes(
          "stroke-dasharray",
          stroke.dashPixels().stream().map(SvgWriter::number).collect(Collectors.joining(" ")));
    }
  }

  private void fill(Fill fill) throws XMLStreamException {
    out.writeEmptyElement("path");
    attributes("d", paths(fill.outlines()), "fill", fill.colour());
    if (fill.opacity() < 1) {
      attributes("fill-opacity", String.format(Locale.ROOT, "%.3f", fill.opacity()));
    }
    if (fill.evenOdd()) {
      attributes("fill-rule", "evenodd");
    }
  }

  private void within(Within within) throws XMLStreamException {
    int number = ++shapes;
    out.writeStartElement("clipPath");
    attributes("id", "shape-" + number);
    out.writeEmptyElement("path");
    attributes("d", paths(within.outlines()));
    out.writeEndElement();
    if (within.softPixels() > 0) {
      out.writeStartElement("filter");
      attributes("id", "soft-" + number, "color-interpolation-filters", "sRGB");
      out.writeEmptyElement("feGaussianBlur");
      attributes("stdDeviation", number(within.softPixels()));
      out.writeEndElement();
    }
    out.writeStartElement("g");
    attributes("clip-path", "url(#shape-" + number + ")");
    out.writeStartElement("g");
    if (within.softPixels() > 0) {
      attributes("filter", "url(#soft-" + number + ")");
    }
    for (Item item : within.items()) {
      item(item);
    }
    out.writeEndElement();
    out.writeEndElement();
  }

  private static String paths(List<Outline> outlines) {
    return outlines.stream().map(SvgWriter::path).collect(Collectors.joining());
  }

  private static String path(Outline outline) {
    StringBuilder path = new StringBuilder("M").append(place(outline.start()));
    for (Outline.Piece piece : outline.pieces()) {
      if (piece instanceof Outline.Bend bend) {
        path.append("C")
            .append(place(bend.first()))
            .append(' ')
            .append(place(bend.second()))
            .append(' ')
            .append(place(bend.to()));
      } else {
        path.append("L").append(place(piece.to()));
      }
    }
    return outline.isClosed() ? path.append("Z").toString() : path.toString();
  }

  private void field(Field field) throws XMLStreamException {
    out.writeEmptyElement("rect");
    attributes(
        "x", number(field.left()),
        "y", number(field.top()),
        "width", number(field.width()),
        "height", number(field.height()),
        "fill", field.colour(),
        "data-line", field.of());
  }

  private void words(Words words) throws XMLStreamException {
    out.writeStartElement("text");
    attributes(
        "x", number(words.x()),
        "y", number(words.y()),
        "font-family", "sans-serif",
        "font-size", number(words.sizePixels()),
        "fill", words.colour(),
        "text-anchor", words.anchor() == Anchor.START ? "start" : "end",
        "stroke", "#FFFFFF",
        "stroke-width", number(words.haloPixels()),
        "paint-order", "stroke");
    characters(words.text());
    out.writeEndElement();
  }

  private void shown(Shown shown) throws XMLStreamException {
    out.writeEmptyElement("image");
    attributes(
        "x", number(shown.left()),
        "y", number(shown.top()),
        "width", number(shown.width()),
        "height", number(shown.height()),
        "href", "data:" + shown.mediaType() + ";base64," + BASE64.encodeToString(shown.file()));
  }

  /** Without what no XML may hold, such as control characters that came along with pasted words. */
  private void characters(String text) throws XMLStreamException {
    StringBuilder held = new StringBuilder();
    text.codePoints().filter(SvgWriter::isHeldByXml).forEach(held::appendCodePoint);
    out.writeCharacters(held.toString());
  }

  /** Source: XML 1.0, fifth edition, production 2, Char. */
  private static boolean isHeldByXml(int c) {
    return c == 0x9
        || c == 0xA
        || c == 0xD
        || c >= 0x20 && c <= 0xD7FF
        || c >= 0xE000 && c <= 0xFFFD
        || c >= 0x10000;
  }

  private void attributes(Object... namesAndValues) throws XMLStreamException {
    for (int i = 0; i < namesAndValues.length; i += 2) {
      out.writeAttribute(namesAndValues[i].toString(), namesAndValues[i + 1].toString());
    }
  }

  private static String place(Point point) {
    return number(point.x()) + " " + number(point.y());
  }

  private static String number(double value) {
    return String.format(Locale.ROOT, "%.2f", value);
  }
}
