package penmirror.core.file;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.DocumentLimits;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.view.FloatSize;
import com.github.weisj.jsvg.view.ViewBox;
import java.awt.Component;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
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
  static final int LONGER_SIDE = 2400;

  /** With every re-use counted; a file that repeats itself without end is refused. */
  private static final long MOST_ELEMENTS = 200_000;

  /** A step of a filter goes over the whole picture, as much work as so many small shapes. */
  private static final long FILTER_STEP_ELEMENTS = 1000;

  /** Layers within layers, as drawing programs write them, are some dozens. */
  private static final int MOST_NESTED = 256;

  private static final int MOST_NESTED_USES = 64;

  /** A document type without entities of its own does no harm; old programs write it. */
  private static final Pattern PLAIN_DOCTYPE = Pattern.compile("<!DOCTYPE[^\\[>]*>");

  private static final Pattern URL = Pattern.compile("url\\(\\s*['\"]?\\s*(.)");

  private static final Pattern INTERNAL_URL = Pattern.compile("url\\(\\s*['\"]?\\s*#([^'\")\\s]+)");

  private static final Pattern INLINE_PICTURE =
      Pattern.compile("data:image/(?:png|jpeg|gif|webp);base64,(.*)", Pattern.DOTALL);

  private static final Pattern CLASS = Pattern.compile("\\.([A-Za-z_][\\w-]*)");

  private static final Set<String> FORBIDDEN =
      Set.of("script", "foreignobject", "iframe", "object", "embed", "audio", "video", "handler");

  private static final LoaderContext LOADING =
      LoaderContext.builder()
          .documentLimits(new DocumentLimits(MOST_NESTED, MOST_NESTED_USES, (int) MOST_ELEMENTS))
          .build();

  private SvgDrawing() {}

  /**
   * @throws UnusablePictureException when it does more than draw, is damaged, or repeats itself
   *     without end
   */
  static BufferedImage draw(byte[] bytes, PictureLimits limits) throws UnusablePictureException {
    byte[] plain = requireDrawable(bytes, limits);
    SVGDocument drawing = new SVGLoader().load(new ByteArrayInputStream(plain), null, LOADING);
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
    drawing.render((Component) null, graphics, new ViewBox(width, height));
    graphics.dispose();
    return image;
  }

  /**
   * What is asked before anything is drawn.
   *
   * @return the same file without its document type
   */
  static byte[] requireDrawable(byte[] bytes, PictureLimits limits)
      throws UnusablePictureException {
    String text = PLAIN_DOCTYPE.matcher(new String(bytes, StandardCharsets.UTF_8)).replaceFirst("");
    byte[] plain = text.strip().getBytes(StandardCharsets.UTF_8);
    requireShallow(plain);
    Document document = parse(plain);
    requireHarmless(document.getDocumentElement(), limits);
    if (new Weights(document).of(document.getDocumentElement()) > MOST_ELEMENTS) {
      throw refused("repeats its parts more than " + MOST_ELEMENTS + " times");
    }
    return plain;
  }

  /** What follows goes down the tree by calling itself, so its depth is told first. */
  private static void requireShallow(byte[] bytes) throws UnusablePictureException {
    XMLInputFactory factory = XMLInputFactory.newFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    try {
      XMLStreamReader xml = factory.createXMLStreamReader(new ByteArrayInputStream(bytes));
      int depth = 0;
      while (xml.hasNext()) {
        int event = xml.next();
        if (event == XMLStreamReader.START_ELEMENT && ++depth > MOST_NESTED) {
          throw refused("nests its parts more than " + MOST_NESTED + " deep");
        }
        if (event == XMLStreamReader.END_ELEMENT) {
          depth--;
        }
      }
    } catch (XMLStreamException e) {
      // The parser that follows says what is wrong.
    }
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

  private static void requireHarmless(Element element, PictureLimits limits)
      throws UnusablePictureException {
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
      if (key.equals("href") && !name.equals("a") && !value.startsWith("#")) {
        requireReadable(value, limits);
      }
      requireInside(value);
    }
    for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
      if (child instanceof Element inner) {
        requireHarmless(inner, limits);
      }
    }
  }

  /** A picture inside the drawing is held to the limits of one alone. */
  private static void requireReadable(String href, PictureLimits limits)
      throws UnusablePictureException {
    Matcher inline = INLINE_PICTURE.matcher(href);
    if (!inline.matches()) {
      throw refused("refers to something outside itself");
    }
    byte[] bytes;
    try {
      bytes = Base64.getMimeDecoder().decode(inline.group(1));
    } catch (IllegalArgumentException e) {
      throw refused("holds a damaged picture");
    }
    RasterFile.requirePixels(bytes, limits);
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

  /**
   * How many elements each draws, with what it uses from elsewhere in the file: by {@code href}, by
   * {@code url(#…)} in an attribute, or by a rule of the file's own style sheet for its class.
   */
  private static final class Weights {
    private final Map<String, Element> byId = new HashMap<>();
    private final Map<String, Set<String>> idsOfClass = new HashMap<>();
    private final Map<Element, Long> known = new HashMap<>();
    private final Set<Element> open = new HashSet<>();

    Weights(Document document) {
      collect(document.getDocumentElement());
    }

    private void collect(Element element) {
      if (element.hasAttribute("id")) {
        byId.putIfAbsent(element.getAttribute("id"), element);
      }
      if ("style".equals(element.getLocalName())) {
        collectRules(element.getTextContent());
      }
      for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
        if (child instanceof Element inner) {
          collect(inner);
        }
      }
    }

    private void collectRules(String css) {
      for (String rule : css.split("}")) {
        int brace = rule.indexOf('{');
        Set<String> used = brace < 0 ? Set.of() : idsIn(rule.substring(brace));
        if (!used.isEmpty()) {
          Matcher classes = CLASS.matcher(rule.substring(0, brace));
          while (classes.find()) {
            idsOfClass.computeIfAbsent(classes.group(1), name -> new HashSet<>()).addAll(used);
          }
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
      boolean isFilterStep = String.valueOf(element.getLocalName()).startsWith("fe");
      long weight = isFilterStep ? FILTER_STEP_ELEMENTS : 1;
      for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
        if (child instanceof Element inner) {
          weight = Math.min(weight + of(inner), MOST_ELEMENTS + 1);
        }
      }
      for (String id : used(element)) {
        Element used = byId.get(id);
        if (used != null) {
          weight = Math.min(weight + of(used), MOST_ELEMENTS + 1);
        }
      }
      open.remove(element);
      known.put(element, weight);
      return weight;
    }

    /** Every id it refers to, as often as it does: a marker is drawn once for each mention. */
    private List<String> used(Element element) {
      List<String> used = new ArrayList<>();
      NamedNodeMap attributes = element.getAttributes();
      for (int i = 0; i < attributes.getLength(); i++) {
        String value = attributes.item(i).getNodeValue().strip();
        if ("href".equals(attributes.item(i).getLocalName()) && value.startsWith("#")) {
          used.add(value.substring(1));
        } else {
          used.addAll(idsIn(value));
        }
      }
      for (String name : element.getAttribute("class").strip().split("\\s+")) {
        used.addAll(idsOfClass.getOrDefault(name, Set.of()));
      }
      return used;
    }

    private static Set<String> idsIn(String css) {
      Set<String> ids = new HashSet<>();
      Matcher urls = INTERNAL_URL.matcher(css);
      while (urls.find()) {
        ids.add(urls.group(1));
      }
      return ids;
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
