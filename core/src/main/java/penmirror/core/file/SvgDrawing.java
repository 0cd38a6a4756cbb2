package penmirror.core.file;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.view.FloatSize;
import com.github.weisj.jsvg.view.ViewBox;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NamedNodeMap;
import org.w3c.dom.Node;
import org.xml.sax.SAXException;
import penmirror.core.file.UnusablePictureException.Reason;

/**
 * Draws an SVG file as pixels. Only what draws is let through: scripts, references that lead out of
 * the file, and entities are refused, since a picture needs none of them.
 */
final class SvgDrawing {
  /** Longer side of the picture, pixels. */
  private static final int LONGER_SIDE = 2400;

  /** With every re-use counted; a file that repeats itself without end is refused. */
  private static final long MOST_ELEMENTS = 200_000;

  /** A document type without entities of its own does no harm; old programs write it. */
  private static final Pattern PLAIN_DOCTYPE = Pattern.compile("<!DOCTYPE[^\\[>]*>");

  private static final Pattern URL = Pattern.compile("url\\(\\s*['\"]?\\s*(.)");

  private static final Pattern INLINE_PICTURE =
      Pattern.compile("data:image/(png|jpeg|gif|webp);base64,.*", Pattern.DOTALL);

  private static final Set<String> FORBIDDEN =
      Set.of("script", "foreignobject", "iframe", "object", "embed", "audio", "video", "handler");

  private SvgDrawing() {}

  static BufferedImage draw(byte[] bytes) throws UnusablePictureException {
    String text = PLAIN_DOCTYPE.matcher(new String(bytes, StandardCharsets.UTF_8)).replaceFirst("");
    byte[] plain = text.strip().getBytes(StandardCharsets.UTF_8);
    Document document = parse(plain);
    requireHarmless(document.getDocumentElement());
    if (new Weights(document).of(document.getDocumentElement()) > MOST_ELEMENTS) {
      throw refused("repeats its parts more than " + MOST_ELEMENTS + " times");
    }
    SVGDocument drawing =
        new SVGLoader().load(new ByteArrayInputStream(plain), null, LoaderContext.createDefault());
    if (drawing == null) {
      throw unreadable();
    }
    FloatSize size = drawing.size();
    if (!(size.width > 0 && size.height > 0)) {
      throw unreadable();
    }
    double scale = LONGER_SIDE / (double) Math.max(size.width, size.height);
    int width = Math.max(1, (int) Math.round(size.width * scale));
    int height = Math.max(1, (int) Math.round(size.height * scale));
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    drawing.render((java.awt.Component) null, graphics, new ViewBox(width, height));
    graphics.dispose();
    return image;
  }

  private static Document parse(byte[] bytes) throws UnusablePictureException {
    DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
    try {
      factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
      factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
      factory.setExpandEntityReferences(false);
      factory.setNamespaceAware(true);
      var builder = factory.newDocumentBuilder();
      builder.setErrorHandler(null);
      return builder.parse(new ByteArrayInputStream(bytes));
    } catch (SAXException e) {
      if (String.valueOf(e.getMessage()).contains("DOCTYPE")) {
        throw refused("declares entities");
      }
      throw unreadable();
    } catch (IOException e) {
      throw unreadable();
    } catch (ParserConfigurationException e) {
      throw new IllegalStateException("Java's own XML parser is missing a feature", e);
    }
  }

  private static void requireHarmless(Element element) throws UnusablePictureException {
    String name = String.valueOf(element.getLocalName()).toLowerCase(Locale.ROOT);
    if (FORBIDDEN.contains(name)) {
      throw refused("holds a " + name);
    }
    if (name.equals("style")) {
      requireInside(element.getTextContent());
    }
    NamedNodeMap attributes = element.getAttributes();
    for (int i = 0; i < attributes.getLength(); i++) {
      Node attribute = attributes.item(i);
      String key = String.valueOf(attribute.getLocalName()).toLowerCase(Locale.ROOT);
      String value = attribute.getNodeValue().strip();
      if (key.startsWith("on")) {
        throw refused("holds a script in " + key);
      }
      if (key.equals("href")
          && !name.equals("a")
          && !value.startsWith("#")
          && !INLINE_PICTURE.matcher(value).matches()) {
        throw refused("refers to something outside itself");
      }
      requireInside(value);
    }
    for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
      if (child instanceof Element inner) {
        requireHarmless(inner);
      }
    }
  }

  private static void requireInside(String css) throws UnusablePictureException {
    var urls = URL.matcher(css);
    while (urls.find()) {
      if (!urls.group(1).equals("#")) {
        throw refused("refers to something outside itself");
      }
    }
    if (css.contains("@import")) {
      throw refused("imports a style");
    }
  }

  /** How many elements each draws, with what it uses from elsewhere in the file. */
  private static final class Weights {
    private final Map<String, Element> byId = new HashMap<>();
    private final Map<Element, Long> known = new HashMap<>();
    private final Set<Element> open = new HashSet<>();

    Weights(Document document) {
      collect(document.getDocumentElement());
    }

    private void collect(Element element) {
      if (element.hasAttribute("id")) {
        byId.putIfAbsent(element.getAttribute("id"), element);
      }
      for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
        if (child instanceof Element inner) {
          collect(inner);
        }
      }
    }

    long of(Element element) throws UnusablePictureException {
      Long before = known.get(element);
      if (before != null) {
        return before;
      }
      if (!open.add(element)) {
        throw refused("uses itself");
      }
      long weight = 1;
      for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
        if (child instanceof Element inner) {
          weight = Math.min(weight + of(inner), MOST_ELEMENTS + 1);
        }
      }
      if ("use".equals(element.getLocalName())) {
        Element used = byId.get(reference(element));
        if (used != null) {
          weight = Math.min(weight + of(used), MOST_ELEMENTS + 1);
        }
      }
      open.remove(element);
      known.put(element, weight);
      return weight;
    }

    private static String reference(Element use) {
      String href = use.getAttribute("href");
      if (href.isEmpty()) {
        href = use.getAttributeNS("http://www.w3.org/1999/xlink", "href");
      }
      return href.startsWith("#") ? href.substring(1) : href;
    }
  }

  private static UnusablePictureException refused(String what) {
    return new UnusablePictureException(
        Reason.UNREADABLE,
        "The SVG "
            + what
            + ", which a picture needs not. Open it in a drawing program and export it as plain SVG"
            + " or PNG.");
  }

  private static UnusablePictureException unreadable() {
    return new UnusablePictureException(
        Reason.UNREADABLE,
        "The SVG could not be read: it is damaged or says no size. Export it again, or as PNG.");
  }
}
