package penmirror.demoart.page;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.Area;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.ArrayList;
import java.util.List;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Role;

/**
 * Paints every part as a label instead of a colour, without antialiasing, and counts the labels: so
 * many pixels of each local colour in the light and in the shadow.
 */
final class AreaCounter {
  private final Rendering rendering;
  private final Painter painter;
  private final BufferedImage labels;
  private final Graphics2D pen;

  private AreaCounter(Rendering rendering) {
    this.rendering = rendering;
    painter = rendering.painter();
    labels =
        new BufferedImage(rendering.widthPx(), rendering.heightPx(), BufferedImage.TYPE_INT_RGB);
    pen = labels.createGraphics();
    pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_OFF);
    pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
  }

  static List<AreaTruth> count(Rendering rendering) {
    AreaCounter counter = new AreaCounter(rendering);
    counter.paint();
    return counter.counted();
  }

  private static int label(Role role, boolean shaded) {
    return 1 + 2 * role.ordinal() + (shaded ? 1 : 0);
  }

  private void paint() {
    for (Drawing.Inked inked : rendering.drawing().inked()) {
      if (inked.part() != null) {
        paint(inked.part());
      }
      for (InkLine line : inked.lines()) {
        fill(painter.shape(line), label(Role.INK, false));
      }
    }
  }

  private void paint(Part part) {
    Tones tones = rendering.drawing().tones();
    Shape outline = painter.pixels(part.outline());
    boolean whole = part.tone() == Part.Tone.SHADED;
    fill(outline, label(part.role(), whole));
    boolean form = part.tone() == Part.Tone.FORM && !tones.isBlack(part.role());
    Area dark = new Area();
    if (form && rendering.drawing().parameters().get(Parameter.SHADE_REACH) > 0) {
      Point light = Inker.towardLight(rendering.drawing().parameters());
      dark.add(new Area(outline));
      dark.subtract(
          new Area(
              painter.pixels(
                  part.lit(light, rendering.drawing().parameters().get(Parameter.SHADE_REACH)))));
    }
    if (!tones.isBlack(part.role())) {
      for (Curve cast : part.castShadows()) {
        Area shape = new Area(painter.pixels(cast));
        shape.intersect(new Area(outline));
        dark.add(shape);
      }
    }
    fill(dark, label(part.role(), true));
    for (Part.Spot spot : part.spots()) {
      if (spot.opacity() == 1) {
        Area shape = new Area(painter.pixels(spot.shape()));
        shape.intersect(new Area(outline));
        fill(shape, label(spot.role(), false));
        if (spot.role() != Role.INK) {
          shape.intersect(dark);
          fill(shape, label(spot.role(), true));
        }
      }
    }
  }

  private void fill(Shape shape, int label) {
    Rectangle box = shape.getBounds();
    if (!box.isEmpty()) {
      pen.setColor(new Color(label));
      pen.fill(shape);
    }
  }

  private List<AreaTruth> counted() {
    long[] counts = new long[1 + 2 * Role.values().length];
    for (int label : ((DataBufferInt) labels.getRaster().getDataBuffer()).getData()) {
      counts[label & 0xFFFFFF]++;
    }
    Tones tones = rendering.drawing().tones();
    List<AreaTruth> areas = new ArrayList<>();
    for (Role role : Role.values()) {
      long lit = counts[label(role, false)];
      long shaded = counts[label(role, true)];
      if (lit + shaded > 0) {
        areas.add(
            new AreaTruth(
                role,
                lit,
                shaded,
                Tones.rgb(role == Role.INK ? tones.ink() : tones.lit(role)),
                Tones.rgb(tones.shaded(role))));
      }
    }
    return areas;
  }
}
