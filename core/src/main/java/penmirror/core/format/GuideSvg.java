package penmirror.core.format;

import java.io.StringWriter;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import penmirror.core.geometry.Point;
import penmirror.core.measure.Wording;
import penmirror.core.planning.GuidePlan;
import penmirror.core.planning.GuidePlan.Eyes;
import penmirror.core.planning.GuidePlan.Kind;
import penmirror.core.planning.GuidePlan.Line;

/**
 * A construction guide as an SVG of the canvas's own size, to lay under a drawing: head grid, axis,
 * feature lines with their bands, the oval of the face, eye openings, mouth and shoulder marks. No
 * fonts, scripts or links, so that any drawing program opens it.
 */
public final class GuideSvg {
  private static final String BLUE = "#2A80A6";
  private static final String BLUE_TEXT = "#155A78";
  private static final String BAND = "#DBEDF4";

  private static final Base64.Encoder BASE64 = Base64.getEncoder();

  private final GuidePlan plan;
  private final XMLStreamWriter out;
  private final double axis;
  private final double hair;
  private final double textPixels;

  private GuideSvg(GuidePlan plan, XMLStreamWriter out) {
    this.plan = plan;
    this.out = out;
    axis = plan.canvas().widthPixels() / 2.0;
    // Fine at any canvas size: a thousandth of the longer side, never under a pixel.
    hair =
        Math.max(1, Math.max(plan.canvas().widthPixels(), plan.canvas().heightPixels()) / 1000.0);
    textPixels = 17 * hair;
  }

  public static String write(GuidePlan plan) {
    return write(plan, List.of());
  }

  /**
   * Something looked at beside the guide, such as a photo of a pose.
   *
   * @param words title and credit
   * @param picture a small copy
   */
  public record Beside(String words, Optional<SmallCopy> picture) {

    /** A helper with its credit, which is asked for where there is none. */
    public static Beside helper(String title, String credit, SmallCopy picture) {
      String shown = credit.isBlank() ? Wording.text("file.credit.missing") : credit;
      return new Beside(title + ". " + shown, Optional.of(picture));
    }

    public static Beside note(String words) {
      return new Beside(words, Optional.empty());
    }
  }

  /** The bytes of a small picture, which stand inside the file: a guide links to nothing. */
  public record SmallCopy(byte[] bytes, String mediaType, int widthPixels, int heightPixels) {}

  /**
   * @param beside is drawn along the left edge, upward from the ground
   */
  public static String write(GuidePlan plan, List<Beside> beside) {
    StringWriter text = new StringWriter();
    try {
      XMLStreamWriter out = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
      new GuideSvg(plan, out).write(beside);
      out.flush();
    } catch (XMLStreamException e) {
      throw new IllegalStateException("The guide could not be written.", e);
    }
    return text.toString();
  }

  private void write(List<Beside> beside) throws XMLStreamException {
    int width = plan.canvas().widthPixels();
    int height = plan.canvas().heightPixels();
    out.writeStartDocument("UTF-8", "1.0");
    out.writeStartElement("svg");
    out.writeDefaultNamespace("http://www.w3.org/2000/svg");
    attributes("width", width, "height", height, "viewBox", "0 0 " + width + " " + height);
    out.writeStartElement("title");
    characters(Wording.text("guide.title", plan.styleName()));
    out.writeEndElement();
    out.writeStartElement("desc");
    characters(Wording.text("file.caution"));
    if (!plan.uncredited().isEmpty()) {
      String titles = String.join("; ", plan.uncredited());
      characters("\n" + Wording.text("file.uncredited", titles));
    }
    out.writeEndElement();
    bands();
    grid();
    group("axis", () -> line(axis, 0, axis, height, BLUE, hair, ""));
    featureLines();
    face();
    if (!beside.isEmpty()) {
      group("beside", () -> beside(beside));
    }
    out.writeEndElement();
    out.writeEndDocument();
  }

  /** Without what no XML may hold, such as control characters that came along with pasted words. */
  private void characters(String text) throws XMLStreamException {
    StringBuilder held = new StringBuilder();
    text.codePoints().filter(GuideSvg::isHeldByXml).forEach(held::appendCodePoint);
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

  private void beside(List<Beside> beside) throws XMLStreamException {
    double left = 4 * hair;
    double widest = 0.2 * plan.canvas().widthPixels();
    double tallest = 0.09 * plan.canvas().heightPixels();
    double bottom = plan.canvas().heightPixels() - 6 * hair;
    for (Beside item : beside) {
      text(left, bottom, item.words(), "start");
      bottom -= 1.2 * textPixels;
      if (item.picture().isPresent()) {
        SmallCopy copy = item.picture().get();
        double scale = Math.min(widest / copy.widthPixels(), tallest / copy.heightPixels());
        double tall = copy.heightPixels() * scale;
        out.writeEmptyElement("image");
        attributes(
            "x", number(left),
            "y", number(bottom - tall),
            "width", number(copy.widthPixels() * scale),
            "height", number(tall),
            "href", "data:" + copy.mediaType() + ";base64," + BASE64.encodeToString(copy.bytes()));
        bottom -= tall + textPixels;
      }
    }
  }

  @FunctionalInterface
  private interface Drawing {
    void draw() throws XMLStreamException;
  }

  private void group(String id, Drawing drawing) throws XMLStreamException {
    out.writeStartElement("g");
    attributes("id", id);
    drawing.draw();
    out.writeEndElement();
  }

  private void bands() throws XMLStreamException {
    group(
        "bands",
        () -> {
          for (Line line : plan.lines()) {
            double tall = line.abovePixels() + line.belowPixels();
            if (tall > 0) {
              out.writeEmptyElement("rect");
              attributes(
                  "x", 0,
                  "y", number(line.yPixels() - line.abovePixels()),
                  "width", plan.canvas().widthPixels(),
                  "height", number(tall),
                  "fill", BAND,
                  "data-line", line.kind().name().toLowerCase(Locale.ROOT));
            }
          }
        });
  }

  private void grid() throws XMLStreamException {
    group(
        "head-grid",
        () -> {
          double bottom = plan.canvas().heightPixels();
          for (int head = 0; plan.crownPixels() + head * plan.headPixels() < bottom; head++) {
            double y = plan.crownPixels() + head * plan.headPixels();
            line(0, y, plan.canvas().widthPixels(), y, BLUE, hair * 0.8, hair + " " + 4 * hair);
            text(4 * hair, y - 3 * hair, Integer.toString(head), "start");
          }
        });
  }

  private void featureLines() throws XMLStreamException {
    group(
        "lines",
        () -> {
          double lowestText = Double.NEGATIVE_INFINITY;
          for (Line line : plan.lines()) {
            boolean solid =
                line.kind() == Kind.CROWN || line.kind() == Kind.CHIN || line.kind() == Kind.GROUND;
            line(
                0,
                line.yPixels(),
                plan.canvas().widthPixels(),
                line.yPixels(),
                BLUE,
                hair * 1.4,
                solid ? "" : 9 * hair + " " + 4 * hair);
            // Names step aside downward when lines lie close.
            lowestText = Math.max(line.yPixels() - 3 * hair, lowestText + 1.1 * textPixels);
            text(plan.canvas().widthPixels() - 4 * hair, lowestText, line.name(), "end");
          }
        });
  }

  private void face() throws XMLStreamException {
    group(
        "face",
        () -> {
          if (plan.face().isPresent()) {
            egg(plan.face().get().pixels() / 2);
          }
          double eyeLine = height(Kind.EYES);
          if (plan.eyes().isPresent() && eyeLine > 0) {
            eye(plan.eyes().get(), eyeLine, -1);
            eye(plan.eyes().get(), eyeLine, 1);
          }
          double mouthLine = height(Kind.MOUTH);
          if (plan.mouth().isPresent() && mouthLine > 0) {
            double half = plan.mouth().get().pixels() / 2;
            line(axis - half, mouthLine, axis + half, mouthLine, BLUE_TEXT, 2.4 * hair, "");
          }
          double shoulderLine = height(Kind.SHOULDERS);
          if (plan.shoulders().isPresent() && shoulderLine > 0) {
            double half = plan.shoulders().get().pixels() / 2;
            cross(axis - half, shoulderLine);
            cross(axis + half, shoulderLine);
          }
        });
  }

  /** Height of a line on the canvas; 0 when the plan has none. */
  private double height(Kind kind) {
    return plan.lines().stream()
        .filter(line -> line.kind() == kind)
        .mapToDouble(Line::yPixels)
        .findFirst()
        .orElse(0);
  }

  /** Skull above, jaw below: widest at the cheeks, a little under half way down. */
  private void egg(double half) throws XMLStreamException {
    double head = plan.headPixels();
    double top = plan.crownPixels();
    double wide = top + 0.5 * head;
    double chin = top + head;
    String path =
        String.format(
            Locale.ROOT,
            "M%.2f %.2fC%.2f %.2f %.2f %.2f %.2f %.2fC%.2f %.2f %.2f %.2f %.2f %.2f"
                + "C%.2f %.2f %.2f %.2f %.2f %.2fC%.2f %.2f %.2f %.2f %.2f %.2fZ",
            axis,
            top,
            axis + 0.62 * half,
            top,
            axis + half,
            top + 0.24 * head,
            axis + half,
            wide,
            axis + half,
            wide + 0.26 * head,
            axis + 0.46 * half,
            chin,
            axis,
            chin,
            axis - 0.46 * half,
            chin,
            axis - half,
            wide + 0.26 * head,
            axis - half,
            wide,
            axis - half,
            top + 0.24 * head,
            axis - 0.62 * half,
            top,
            axis,
            top);
    path(path, 1.6 * hair);
  }

  /**
   * The opening, corner to corner; its height is not ruled yet, so only its width says something.
   */
  private void eye(Eyes eyes, double y, int side) throws XMLStreamException {
    double half = eyes.widthPixels() / 2;
    Point centre = new Point(axis + side * (eyes.gapPixels() / 2 + half), y);
    double tilt = Math.toRadians(eyes.tiltDegrees()) * -side;
    List<Point> points = new ArrayList<>();
    for (double[] p :
        new double[][] {{-1, 0}, {-0.5, -0.75}, {0.5, -0.75}, {1, 0}, {0.5, 0.6}, {-0.5, 0.6}}) {
      double px = p[0] * half;
      double py = p[1] * half;
      points.add(
          centre.plus(
              new Point(
                  px * Math.cos(tilt) - py * Math.sin(tilt),
                  px * Math.sin(tilt) + py * Math.cos(tilt))));
    }
    path(
        String.format(
            Locale.ROOT,
            "M%.2f %.2fC%.2f %.2f %.2f %.2f %.2f %.2fC%.2f %.2f %.2f %.2f %.2f %.2fZ",
            points.get(0).x(),
            points.get(0).y(),
            points.get(1).x(),
            points.get(1).y(),
            points.get(2).x(),
            points.get(2).y(),
            points.get(3).x(),
            points.get(3).y(),
            points.get(4).x(),
            points.get(4).y(),
            points.get(5).x(),
            points.get(5).y(),
            points.get(0).x(),
            points.get(0).y()),
        1.8 * hair);
  }

  private void cross(double x, double y) throws XMLStreamException {
    double arm = 8 * hair;
    line(x - arm, y, x + arm, y, BLUE_TEXT, 2.2 * hair, "");
    line(x, y - arm, x, y + arm, BLUE_TEXT, 2.2 * hair, "");
  }

  private void path(String path, double strokePixels) throws XMLStreamException {
    out.writeEmptyElement("path");
    attributes("d", path, "fill", "none", "stroke", BLUE, "stroke-width", number(strokePixels));
  }

  private void line(
      double x1, double y1, double x2, double y2, String colour, double strokePixels, String dash)
      throws XMLStreamException {
    out.writeEmptyElement("path");
    attributes(
        "d",
        "M" + number(x1) + " " + number(y1) + "L" + number(x2) + " " + number(y2),
        "fill",
        "none",
        "stroke",
        colour,
        "stroke-width",
        number(strokePixels));
    if (!dash.isEmpty()) {
      attributes("stroke-dasharray", dash);
    }
  }

  private void text(double x, double y, String text, String anchor) throws XMLStreamException {
    out.writeStartElement("text");
    attributes(
        "x",
        number(x),
        "y",
        number(y),
        "font-family",
        "sans-serif",
        "font-size",
        number(textPixels),
        "fill",
        BLUE_TEXT,
        "text-anchor",
        anchor,
        "stroke",
        "#FFFFFF",
        "stroke-width",
        number(4 * hair),
        "paint-order",
        "stroke");
    characters(text);
    out.writeEndElement();
  }

  private void attributes(Object... namesAndValues) throws XMLStreamException {
    for (int i = 0; i < namesAndValues.length; i += 2) {
      out.writeAttribute(namesAndValues[i].toString(), namesAndValues[i + 1].toString());
    }
  }

  private static String number(double value) {
    return String.format(Locale.ROOT, "%.2f", value);
  }
}
