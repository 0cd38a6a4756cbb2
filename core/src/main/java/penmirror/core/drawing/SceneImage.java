package penmirror.core.drawing;

import java.awt.AlphaComposite;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.ConvolveOp;
import java.awt.image.Kernel;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.jspecify.annotations.Nullable;
import penmirror.core.drawing.Item.Anchor;
import penmirror.core.drawing.Item.Field;
import penmirror.core.drawing.Item.Fill;
import penmirror.core.drawing.Item.Shown;
import penmirror.core.drawing.Item.Stroke;
import penmirror.core.drawing.Item.Within;
import penmirror.core.drawing.Item.Words;
import penmirror.core.geometry.Point;

/**
 * Draws a scene in pixels of its own canvas; what nothing covers is transparent. Words are drawn by
 * the outlines of their letters, so that a picture is the same on every machine.
 */
public final class SceneImage {
  /** Source: SVG 2, 13.5.5, initial value of stroke-miterlimit. */
  private static final float MITRE_LIMIT = 4;

  private final Rectangle part;
  private final Graphics2D pen;

  /**
   * @param part of the canvas that the picture shows
   */
  private SceneImage(BufferedImage image, Rectangle part) {
    this.part = part;
    pen = smooth(image);
    pen.translate(-part.x, -part.y);
  }

  /** All layers over each other. */
  public static BufferedImage of(Scene scene) {
    return drawn(scene.layers(), canvas(scene));
  }

  /**
   * A part of one layer alone.
   *
   * @param part of the canvas, not empty
   */
  static BufferedImage of(Scene.Layer layer, Rectangle part) {
    return drawn(List.of(layer), part);
  }

  /** The part of the canvas that a layer covers, to whole pixels; empty where it covers nothing. */
  static Rectangle bounds(Scene scene, Scene.Layer layer) {
    Rectangle2D covered = new Rectangle2D.Double();
    for (Item item : layer.items()) {
      Rectangle2D its = bounds(item);
      covered = covered.isEmpty() ? its : its.isEmpty() ? covered : covered.createUnion(its);
    }
    return covered.isEmpty() ? new Rectangle() : covered.getBounds().intersection(canvas(scene));
  }

  private static Rectangle2D bounds(Item item) {
    if (item instanceof Stroke stroke) {
      // A mitre reaches so far.
      double reach = MITRE_LIMIT * stroke.widthPixels() / 2;
      Rectangle2D line = path(List.of(stroke.outline()), false).getBounds2D();
      return new Rectangle2D.Double(
          line.getX() - reach,
          line.getY() - reach,
          line.getWidth() + 2 * reach,
          line.getHeight() + 2 * reach);
    } else if (item instanceof Fill fill) {
      return path(fill.outlines(), fill.evenOdd()).getBounds2D();
    } else if (item instanceof Within within) {
      return path(within.outlines(), false).getBounds2D();
    } else if (item instanceof Field field) {
      return new Rectangle2D.Double(field.left(), field.top(), field.width(), field.height());
    } else if (item instanceof Words words) {
      Rectangle2D letters = placed(words).getBounds2D();
      double halo = MITRE_LIMIT * words.haloPixels() / 2;
      return new Rectangle2D.Double(
          letters.getX() - halo,
          letters.getY() - halo,
          letters.getWidth() + 2 * halo,
          letters.getHeight() + 2 * halo);
    }
    Shown shown = (Shown) item;
    return new Rectangle2D.Double(shown.left(), shown.top(), shown.width(), shown.height());
  }

  private static Rectangle canvas(Scene scene) {
    return new Rectangle(scene.widthPixels(), scene.heightPixels());
  }

  private static BufferedImage drawn(List<Scene.Layer> layers, Rectangle part) {
    BufferedImage image = new BufferedImage(part.width, part.height, BufferedImage.TYPE_INT_ARGB);
    SceneImage drawing = new SceneImage(image, part);
    layers.forEach(layer -> layer.items().forEach(drawing::item));
    drawing.pen.dispose();
    return image;
  }

  private static Graphics2D smooth(BufferedImage image) {
    Graphics2D pen = image.createGraphics();
    pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    pen.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    return pen;
  }

  private void item(Item item) {
    if (item instanceof Stroke stroke) {
      stroke(stroke);
    } else if (item instanceof Fill fill) {
      fill(fill);
    } else if (item instanceof Within within) {
      within(within);
    } else if (item instanceof Field field) {
      pen.setColor(Color.decode(field.colour()));
      pen.fill(new Rectangle2D.Double(field.left(), field.top(), field.width(), field.height()));
    } else if (item instanceof Words words) {
      words(words);
    } else if (item instanceof Shown shown) {
      shown(shown);
    }
  }

  private void stroke(Stroke stroke) {
    float[] dash = new float[stroke.dashPixels().size()];
    for (int i = 0; i < dash.length; i++) {
      dash[i] = stroke.dashPixels().get(i).floatValue();
    }
    pen.setColor(Color.decode(stroke.colour()));
    pen.setStroke(stroke((float) stroke.widthPixels(), dash.length == 0 ? null : dash));
    pen.draw(path(List.of(stroke.outline()), false));
  }

  private static BasicStroke stroke(float width, float @Nullable [] dash) {
    return new BasicStroke(
        width, BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER, MITRE_LIMIT, dash, 0);
  }

  private void fill(Fill fill) {
    Color colour = Color.decode(fill.colour());
    pen.setColor(
        new Color(
            colour.getRed(),
            colour.getGreen(),
            colour.getBlue(),
            (int) Math.round(255 * fill.opacity())));
    pen.fill(path(fill.outlines(), fill.evenOdd()));
  }

  /** Drawn apart, softened, and cut by the shape with its own smooth edge. */
  private void within(Within within) {
    Path2D shape = path(within.outlines(), false);
    Rectangle seen = shape.getBounds();
    // Nothing outside is seen, but as far as a blur reaches it is seen through the blur.
    int margin = 1 + reach(within.softPixels());
    seen.grow(margin, margin);
    seen = seen.intersection(part);
    if (seen.isEmpty()) {
      return;
    }
    BufferedImage apart = seeThrough(seen);
    SceneImage drawing = new SceneImage(apart, seen);
    within.items().forEach(drawing::item);
    drawing.pen.dispose();
    BufferedImage soft = within.softPixels() > 0 ? blurred(apart, within.softPixels()) : apart;
    BufferedImage cut = seeThrough(seen);
    Graphics2D cutter = smooth(cut);
    cutter.translate(-seen.x, -seen.y);
    cutter.setColor(Color.BLACK);
    cutter.fill(shape);
    cutter.setComposite(AlphaComposite.SrcIn);
    cutter.drawImage(soft, seen.x, seen.y, null);
    cutter.dispose();
    pen.drawImage(cut, seen.x, seen.y, null);
  }

  private static BufferedImage seeThrough(Rectangle part) {
    return new BufferedImage(part.width, part.height, BufferedImage.TYPE_INT_ARGB_PRE);
  }

  /** How far a blur takes anything along, in pixels. */
  private static int reach(double deviation) {
    return (int) Math.ceil(3 * deviation);
  }

  private static BufferedImage blurred(BufferedImage sharp, double deviation) {
    int reach = reach(deviation);
    float[] weights = new float[2 * reach + 1];
    float sum = 0;
    for (int i = -reach; i <= reach; i++) {
      weights[i + reach] = (float) Math.exp(-i * i / (2 * deviation * deviation));
      sum += weights[i + reach];
    }
    for (int i = 0; i < weights.length; i++) {
      weights[i] /= sum;
    }
    BufferedImage across = convolved(sharp, new Kernel(weights.length, 1, weights));
    return convolved(across, new Kernel(1, weights.length, weights));
  }

  private static BufferedImage convolved(BufferedImage image, Kernel kernel) {
    return new ConvolveOp(kernel, ConvolveOp.EDGE_NO_OP, null)
        .filter(image, new BufferedImage(image.getWidth(), image.getHeight(), image.getType()));
  }

  private void words(Words words) {
    Shape placed = placed(words);
    if (words.haloPixels() > 0) {
      pen.setColor(Color.WHITE);
      pen.setStroke(stroke((float) words.haloPixels(), null));
      pen.draw(placed);
    }
    pen.setColor(Color.decode(words.colour()));
    pen.fill(placed);
  }

  private static Shape placed(Words words) {
    String text = Lettering.writable(words.text());
    Shape letters = Lettering.letters(text, words.sizePixels());
    double wide = Lettering.width(text, words.sizePixels());
    double left = words.anchor() == Anchor.START ? words.x() : words.x() - wide;
    return AffineTransform.getTranslateInstance(left, words.y()).createTransformedShape(letters);
  }

  /** Whether a picture lies on whole pixels, as large as it is. */
  static boolean isPixelForPixel(Shown shown) {
    try (ImageInputStream in =
        ImageIO.createImageInputStream(new ByteArrayInputStream(shown.file()))) {
      ImageReader reader = ImageIO.getImageReaders(in).next();
      reader.setInput(in);
      boolean isAsLarge =
          reader.getWidth(0) == shown.width() && reader.getHeight(0) == shown.height();
      reader.dispose();
      return isAsLarge
          && shown.left() == Math.rint(shown.left())
          && shown.top() == Math.rint(shown.top());
    } catch (IOException e) {
      throw new UncheckedIOException("A picture in a drawing could not be read.", e);
    }
  }

  private void shown(Shown shown) {
    try {
      BufferedImage picture = ImageIO.read(new ByteArrayInputStream(shown.file()));
      AffineTransform onto = AffineTransform.getTranslateInstance(shown.left(), shown.top());
      onto.scale(shown.width() / picture.getWidth(), shown.height() / picture.getHeight());
      pen.drawImage(picture, onto, null);
    } catch (IOException e) {
      throw new UncheckedIOException("A picture in a drawing could not be read.", e);
    }
  }

  private static Path2D path(List<Outline> outlines, boolean evenOdd) {
    Path2D path = new Path2D.Double(evenOdd ? Path2D.WIND_EVEN_ODD : Path2D.WIND_NON_ZERO);
    for (Outline outline : outlines) {
      path.moveTo(outline.start().x(), outline.start().y());
      for (Outline.Piece piece : outline.pieces()) {
        Point to = piece.to();
        if (piece instanceof Outline.Bend bend) {
          path.curveTo(
              bend.first().x(),
              bend.first().y(),
              bend.second().x(),
              bend.second().y(),
              to.x(),
              to.y());
        } else {
          path.lineTo(to.x(), to.y());
        }
      }
      if (outline.isClosed()) {
        path.closePath();
      }
    }
    return path;
  }
}
