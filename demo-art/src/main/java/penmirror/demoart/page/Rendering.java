package penmirror.demoart.page;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.awt.image.BufferedImage;
import java.util.List;
import penmirror.core.drawing.SvgWriter;
import penmirror.core.geometry.Point;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Role;

/**
 * A drawing on a sheet of so many pixels.
 *
 * @param toPixels from heads of the page to pixels; no skew, one scale both ways, perhaps mirrored
 */
public record Rendering(Drawing drawing, int widthPx, int heightPx, AffineTransform toPixels) {
  /** Longest side that is drawn. */
  public static final int LARGEST = 4096;

  public Rendering {
    if (widthPx < 1 || heightPx < 1 || widthPx > LARGEST || heightPx > LARGEST) {
      throw new IllegalArgumentException(
          "A picture is drawn at 1 to "
              + LARGEST
              + " px a side, got "
              + widthPx
              + " x "
              + heightPx);
    }
    toPixels = new AffineTransform(toPixels);
  }

  /** Pixels to one head. */
  public double headPx() {
    return Math.sqrt(Math.abs(toPixels.getDeterminant()));
  }

  /** The finished picture on its paper. */
  public BufferedImage image() {
    BufferedImage image = new BufferedImage(widthPx, heightPx, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(new Color(Tones.rgb(drawing.palette().of(Role.PAPER))));
    graphics.fillRect(0, 0, widthPx, heightPx);
    graphics.dispose();
    painter().paint(new FlatCanvas(image));
    return image;
  }

  /** Whether a place on the page, in heads, lies inside the picture. */
  public boolean shows(Point place) {
    Point at = pixel(place);
    return at.x() >= 0 && at.y() >= 0 && at.x() < widthPx && at.y() < heightPx;
  }

  /** Where a place on the page, in heads, lies in the picture, in pixels. */
  public Point pixel(Point place) {
    Point2D at = toPixels.transform(new Point2D.Double(place.x(), place.y()), null);
    return new Point(at.getX(), at.getY());
  }

  /** Left and right change places in a mirrored picture. */
  public boolean isMirrored() {
    return toPixels.getDeterminant() < 0;
  }

  /** Width and length of the lines by class, from the strokes themselves. */
  public List<LineTruth> lines() {
    return LineRuler.measure(this);
  }

  /** How much heavier the silhouette is than the other lines, median by median. */
  public double outlineToInner() {
    return LineRuler.outlineToInner(this);
  }

  /** Area and colours by role, counted on a picture of labels. */
  public List<AreaTruth> areas() {
    return AreaCounter.count(this);
  }

  /** Where the light comes from as it is seen, degrees clockwise from straight above. */
  public double lightDegrees() {
    double angle = drawing.parameters().get(Parameter.LIGHT_ANGLE);
    return isMirrored() ? -angle : angle;
  }

  /** Parts of one name alone, black on white, hidden or not. */
  public BufferedImage alone(String partName) {
    BufferedImage image = new BufferedImage(widthPx, heightPx, BufferedImage.TYPE_BYTE_GRAY);
    Graphics2D graphics = Painter.smooth(image);
    graphics.setColor(Color.WHITE);
    graphics.fillRect(0, 0, widthPx, heightPx);
    graphics.setColor(Color.BLACK);
    for (Drawing.Inked inked : drawing.inked()) {
      if (inked.part() != null && inked.part().name().equals(partName)) {
        graphics.fill(painter().pixels(inked.part().outline()));
      }
    }
    graphics.dispose();
    return image;
  }

  /** The finished picture as vectors. */
  public String svg() {
    return SvgWriter.write(VectorPage.of(this));
  }

  /** The picture in layers: sketch (hidden), flats, shade, effects, line. */
  public byte[] openRaster() {
    return Layers.write(this);
  }

  Painter painter() {
    return new Painter(drawing, widthPx, heightPx, toPixels);
  }
}
