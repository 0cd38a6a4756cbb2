package penmirror.demoart.page;

import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import penmirror.core.drawing.Item;
import penmirror.core.drawing.Outline;
import penmirror.core.drawing.Scene;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Role;

/** A rendering as vectors: filled shapes only, shadows inside their parts. */
final class VectorPage {
  private static final double FLATNESS = 0.1;

  private final List<Item> items = new ArrayList<>();
  private final Rendering rendering;
  private final Painter painter;
  private final Tones tones;
  private final double softPixels;

  private VectorPage(Rendering rendering) {
    this.rendering = rendering;
    painter = rendering.painter();
    tones = rendering.drawing().tones();
    double edge =
        rendering.drawing().parameters().get(Parameter.SHADE_EDGE)
            / 1000
            * rendering.headPx()
            / Painter.EDGE_PER_SIGMA;
    softPixels = edge > Soft.LEAST ? edge : 0;
  }

  static Scene of(Rendering rendering) {
    VectorPage page = new VectorPage(rendering);
    page.draw();
    return new Scene(
        rendering.widthPx(),
        rendering.heightPx(),
        "",
        "",
        List.of(new Scene.Layer("drawing", page.items)));
  }

  private void draw() {
    items.add(
        new Item.Field(
            0,
            0,
            rendering.widthPx(),
            rendering.heightPx(),
            hex(Tones.rgb(rendering.drawing().palette().of(Role.PAPER))),
            "paper"));
    for (Drawing.Inked inked : rendering.drawing().inked()) {
      if (inked.part() != null) {
        part(inked.part());
      }
      for (InkLine line : inked.lines()) {
        items.add(fill(painter.shape(line), line.colour(), 1, line.stroke().centre().isClosed()));
      }
    }
  }

  private void part(Part part) {
    Role role = part.role();
    Shape outline = painter.pixels(part.outline());
    boolean shaded = part.tone() == Part.Tone.SHADED;
    items.add(fill(outline, Tones.rgb(shaded ? tones.shaded(role) : tones.lit(role)), 1, false));
    List<Outline> shape = Outline.of(outline, FLATNESS);
    List<Item> shadows = shaded || tones.isBlack(role) ? List.of() : shadows(part, outline);
    if (!shadows.isEmpty()) {
      items.add(new Item.Within(shape, softPixels, shadows));
    }
    List<Item> spots = new ArrayList<>();
    for (Part.Spot spot : part.spots()) {
      int colour =
          spot.role() == Role.INK
              ? Tones.rgb(tones.ink())
              : Tones.rgb(spot.shaded() ? tones.shaded(spot.role()) : tones.lit(spot.role()));
      spots.add(fill(painter.pixels(spot.shape()), colour, spot.opacity(), false));
    }
    if (!spots.isEmpty()) {
      items.add(new Item.Within(shape, 0, spots));
    }
  }

  private List<Item> shadows(Part part, Shape outline) {
    List<Item> shadows = new ArrayList<>();
    int dark = Tones.rgb(tones.shaded(part.role()));
    double reach = rendering.drawing().parameters().get(Parameter.SHADE_REACH);
    if (part.tone() == Part.Tone.FORM && reach > 0) {
      Shape lit =
          painter.pixels(part.lit(Inker.towardLight(rendering.drawing().parameters()), reach));
      shadows.add(unlit(lit, outline, dark));
    }
    for (Curve cast : part.castShadows()) {
      shadows.add(fill(painter.pixels(cast), dark, 1, false));
    }
    return shadows;
  }

  /** All around the lit shape, as far as the part may reach. */
  private static Item unlit(Shape lit, Shape outline, int colour) {
    Rectangle2D box = outline.getBounds2D();
    double margin = Math.max(box.getWidth(), box.getHeight());
    List<Outline> outlines =
        new ArrayList<>(
            Outline.of(
                new Rectangle2D.Double(
                    box.getX() - margin,
                    box.getY() - margin,
                    box.getWidth() + 2 * margin,
                    box.getHeight() + 2 * margin),
                FLATNESS));
    outlines.addAll(Outline.of(lit, FLATNESS));
    return new Item.Fill(outlines, hex(colour), 1, true);
  }

  private static Item fill(Shape shape, int colour, double opacity, boolean evenOdd) {
    return new Item.Fill(Outline.of(shape, FLATNESS), hex(colour), opacity, evenOdd);
  }

  private static String hex(int rgb) {
    return String.format(Locale.ROOT, "#%06X", rgb);
  }
}
