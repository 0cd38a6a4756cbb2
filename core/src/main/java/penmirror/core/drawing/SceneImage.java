package penmirror.core.drawing;

import java.awt.AlphaComposite;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
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

  private final BufferedImage image;
  private final Graphics2D pen;

  private SceneImage(BufferedImage image) {
    this.image = image;
    pen = smooth(image);
  }

  /** All layers over each other. */
  public static BufferedImage of(Scene scene) {
    return drawn(scene, scene.layers());
  }

  /** One layer alone, as large as the canvas. */
  public static BufferedImage of(Scene scene, Scene.Layer layer) {
    return drawn(scene, List.of(layer));
  }

  private static BufferedImage drawn(Scene scene, List<Scene.Layer> layers) {
    BufferedImage image =
        new BufferedImage(scene.widthPixels(), scene.heightPixels(), BufferedImage.TYPE_INT_ARGB);
    SceneImage drawing = new SceneImage(image);
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
    BufferedImage apart =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_ARGB_PRE);
    SceneImage drawing = new SceneImage(apart);
    within.items().forEach(drawing::item);
    drawing.pen.dispose();
    BufferedImage soft = within.softPixels() > 0 ? blurred(apart, within.softPixels()) : apart;
    BufferedImage shape =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_ARGB_PRE);
    Graphics2D cutter = smooth(shape);
    cutter.setColor(Color.BLACK);
    cutter.fill(path(within.outlines(), false));
    cutter.setComposite(AlphaComposite.SrcIn);
    cutter.drawImage(soft, 0, 0, null);
    cutter.dispose();
    pen.drawImage(shape, 0, 0, null);
  }

  private static BufferedImage blurred(BufferedImage sharp, double deviation) {
    int reach = (int) Math.ceil(3 * deviation);
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
    String text = Lettering.writable(words.text());
    Shape letters = Lettering.letters(text, words.sizePixels());
    double wide = Lettering.width(text, words.sizePixels());
    double left = words.anchor() == Anchor.START ? words.x() : words.x() - wide;
    Shape placed =
        AffineTransform.getTranslateInstance(left, words.y()).createTransformedShape(letters);
    if (words.haloPixels() > 0) {
      pen.setColor(Color.WHITE);
      pen.setStroke(stroke((float) words.haloPixels(), null));
      pen.draw(placed);
    }
    pen.setColor(Color.decode(words.colour()));
    pen.fill(placed);
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
