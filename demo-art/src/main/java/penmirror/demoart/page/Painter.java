package penmirror.demoart.page;

import static penmirror.demoart.manner.Parameter.LIGHT_REACH;
import static penmirror.demoart.manner.Parameter.SHADE_EDGE;
import static penmirror.demoart.manner.Parameter.SHADE_REACH;
import static penmirror.demoart.manner.Parameter.SHADE_RIM;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import org.jspecify.annotations.Nullable;
import penmirror.core.colour.OkLab;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.manner.Role;

/** Lays a drawing onto a canvas: local colour, shadow, light, spots, hatching, contours, lines. */
final class Painter {
  /** 10 to 90 % width of a blurred edge, in standard deviations of the blur. */
  static final double EDGE_PER_SIGMA = 2.563;

  private final Drawing drawing;
  private final AffineTransform toPixels;
  private final Rectangle frame;
  private final double headPx;
  private final Point light;
  private final double reach;
  private final double sigmaPx;

  Painter(Drawing drawing, int widthPx, int heightPx, AffineTransform toPixels) {
    this.drawing = drawing;
    this.toPixels = toPixels;
    this.frame = new Rectangle(0, 0, widthPx, heightPx);
    this.headPx = Math.sqrt(Math.abs(toPixels.getDeterminant()));
    this.light = Inker.towardLight(drawing.parameters());
    this.reach = drawing.parameters().get(SHADE_REACH);
    this.sigmaPx = drawing.parameters().get(SHADE_EDGE) / 1000 * headPx / EDGE_PER_SIGMA;
  }

  static Graphics2D smooth(BufferedImage image) {
    Graphics2D graphics = image.createGraphics();
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    return graphics;
  }

  void paint(Canvas canvas) {
    for (Drawing.Inked inked : drawing.inked()) {
      if (inked.part() != null) {
        paint(canvas, inked.part());
      }
      for (InkLine line : inked.lines()) {
        canvas.fill(Layer.LINE, shape(line), line.colour(), 1);
      }
    }
  }

  /** The stroke in pixels, cut where something cuts it. */
  Shape shape(InkLine line) {
    Shape stroke = toPixels.createTransformedShape(line.shape());
    if (line.clip() == null) {
      return stroke;
    }
    Area cut = new Area(stroke);
    cut.intersect(new Area(pixels(line.clip())));
    return cut;
  }

  Shape pixels(Curve curve) {
    return toPixels.createTransformedShape(curve.path());
  }

  private void paint(Canvas canvas, Part part) {
    Shape outline = pixels(part.outline());
    Rectangle box = outline.getBounds();
    box.grow(2, 2);
    box = box.intersection(frame);
    if (box.isEmpty()) {
      return;
    }
    Tones tones = drawing.tones();
    canvas.cover(outline);
    Role role = part.role();
    boolean shaded = part.tone() == Part.Tone.SHADED;
    canvas.fill(Layer.FLATS, outline, Tones.rgb(shaded ? tones.shaded(role) : tones.lit(role)), 1);
    shade(canvas, part, role, outline, box);
    Area area = part.spots().isEmpty() ? null : new Area(outline);
    for (Part.Spot spot : part.spots()) {
      Shape shape = cut(spot, area);
      boolean opaque = spot.opacity() == 1;
      canvas.fill(opaque ? Layer.FLATS : Layer.EFFECTS, shape, colour(spot), spot.opacity());
      Rectangle spotBox = shape.getBounds();
      spotBox.grow(1, 1);
      spotBox = spotBox.intersection(frame);
      if (opaque && spot.role() != Role.INK && !spotBox.isEmpty()) {
        shade(canvas, part, spot.role(), shape, spotBox);
      }
    }
  }

  private Shape cut(Part.Spot spot, @Nullable Area part) {
    Area cut = new Area(pixels(spot.shape()));
    if (part != null) {
      cut.intersect(part);
    }
    return cut;
  }

  private int colour(Part.Spot spot) {
    Tones tones = drawing.tones();
    if (spot.role() == Role.INK) {
      return Tones.rgb(tones.ink());
    }
    return Tones.rgb(spot.shaded() ? tones.shaded(spot.role()) : tones.lit(spot.role()));
  }

  /** Shadow and light of a part, on the region of it that has the role's colour. */
  private void shade(Canvas canvas, Part part, Role role, Shape region, Rectangle box) {
    Tones tones = drawing.tones();
    boolean form = part.tone() == Part.Tone.FORM && reach > 0 && !tones.isBlack(role);
    if (part.tone() == Part.Tone.SHADED || (!form && part.castShadows().isEmpty())) {
      return;
    }
    byte[] inside = coverage(region, box);
    Soft dark = new Soft(box, sigmaPx);
    if (form) {
      dark.fill(box, Color.WHITE);
      dark.fill(pixels(part.lit(light, reach)), Color.BLACK);
    }
    for (Curve cast : part.castShadows()) {
      dark.fill(pixels(cast), Color.WHITE);
    }
    byte[] shadow = dark.samples();
    canvas.lay(Layer.SHADE, tinted(inside, shadow, tones.shaded(role), box), box.x, box.y);
    double rim = drawing.parameters().get(SHADE_RIM);
    if (rim > 1 && sigmaPx > Soft.LEAST) {
      byte[] strip = new byte[shadow.length];
      for (int i = 0; i < strip.length; i++) {
        double share = (shadow[i] & 255) / 255.0;
        strip[i] = (byte) (int) (255 * 4 * share * (1 - share) * 0.85);
      }
      canvas.lay(Layer.EFFECTS, tinted(inside, strip, tones.rim(role), box), box.x, box.y);
    }
    double bright = drawing.parameters().get(LIGHT_REACH);
    if (form && bright > 0) {
      Soft glow = new Soft(box, sigmaPx * 0.6);
      glow.fill(box, Color.WHITE);
      glow.fill(pixels(part.lit(light, -bright)), Color.BLACK);
      canvas.lay(
          Layer.EFFECTS, tinted(inside, glow.samples(), tones.light(role), box), box.x, box.y);
    }
  }

  /** How much of each pixel of the box the shape covers. */
  private static byte[] coverage(Shape shape, Rectangle box) {
    Soft sharp = new Soft(box, 0);
    sharp.fill(shape, Color.WHITE);
    return sharp.samples();
  }

  /** One colour, as opaque as both coverages together. */
  private static BufferedImage tinted(byte[] inside, byte[] share, OkLab colour, Rectangle box) {
    BufferedImage piece = new BufferedImage(box.width, box.height, BufferedImage.TYPE_INT_ARGB);
    int[] pixels = ((DataBufferInt) piece.getRaster().getDataBuffer()).getData();
    int rgb = Tones.rgb(colour);
    for (int i = 0; i < pixels.length; i++) {
      int alpha = ((inside[i] & 255) * (share[i] & 255) + 127) / 255;
      pixels[i] = (alpha << 24) | rgb;
    }
    return piece;
  }
}
