package penmirror.demoart.page;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.PathIterator;
import java.util.Locale;
import penmirror.core.geometry.Point;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Role;

/** Writes a rendering as SVG 1.1: filled paths only, shadows clipped to their parts. */
final class SvgWriter {
  private final StringBuilder out = new StringBuilder();
  private final Rendering rendering;
  private final Painter painter;
  private final Tones tones;
  private int clips;

  private SvgWriter(Rendering rendering) {
    this.rendering = rendering;
    this.painter = rendering.painter();
    this.tones = rendering.drawing().tones();
  }

  static String write(Rendering rendering) {
    SvgWriter writer = new SvgWriter(rendering);
    writer.write();
    return writer.out.toString();
  }

  private void write() {
    out.append(
        String.format(
            Locale.ROOT,
            "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%1$d\" height=\"%2$d\""
                + " viewBox=\"0 0 %1$d %2$d\">%n",
            rendering.widthPx(),
            rendering.heightPx()));
    double edge =
        rendering.drawing().parameters().get(Parameter.SHADE_EDGE)
            / 1000
            * rendering.headPx()
            / Painter.EDGE_PER_SIGMA;
    if (edge > Soft.LEAST) {
      out.append(
          String.format(
              Locale.ROOT,
              "<defs><filter id=\"soft\" color-interpolation-filters=\"sRGB\">"
                  + "<feGaussianBlur stdDeviation=\"%.2f\"/></filter></defs>%n",
              edge));
    }
    out.append(
        String.format(
            Locale.ROOT,
            "<rect width=\"%d\" height=\"%d\" fill=\"%s\"/>%n",
            rendering.widthPx(),
            rendering.heightPx(),
            hex(Tones.rgb(rendering.drawing().palette().of(Role.PAPER)))));
    for (Drawing.Inked inked : rendering.drawing().inked()) {
      if (inked.part() != null) {
        part(inked.part(), edge > Soft.LEAST);
      }
      for (InkLine line : inked.lines()) {
        fill(painter.shape(line), line.colour(), 1, line.stroke().centre().isClosed());
      }
    }
    out.append("</svg>\n");
  }

  private void part(Part part, boolean soft) {
    Role role = part.role();
    Shape outline = painter.pixels(part.outline());
    boolean shaded = part.tone() == Part.Tone.SHADED;
    fill(outline, Tones.rgb(shaded ? tones.shaded(role) : tones.lit(role)), 1, false);
    double reach = rendering.drawing().parameters().get(Parameter.SHADE_REACH);
    boolean form = part.tone() == Part.Tone.FORM && reach > 0 && !tones.isBlack(role);
    if (part.spots().isEmpty() && !form && part.castShadows().isEmpty()) {
      return;
    }
    String clip = "c" + clips++;
    out.append("<clipPath id=\"").append(clip).append("\"><path d=\"");
    path(outline);
    out.append("\"/></clipPath>\n<g clip-path=\"url(#").append(clip).append(")\">\n");
    if (!shaded && (form || !part.castShadows().isEmpty()) && !tones.isBlack(role)) {
      out.append(soft ? "<g filter=\"url(#soft)\">\n" : "<g>\n");
      int dark = Tones.rgb(tones.shaded(role));
      if (form) {
        Point light = Inker.towardLight(rendering.drawing().parameters());
        unlit(painter.pixels(part.lit(light, reach)), outline, dark);
      }
      for (Curve cast : part.castShadows()) {
        fill(painter.pixels(cast), dark, 1, false);
      }
      out.append("</g>\n");
    }
    for (Part.Spot spot : part.spots()) {
      int colour =
          spot.role() == Role.INK
              ? Tones.rgb(tones.ink())
              : Tones.rgb(spot.shaded() ? tones.shaded(spot.role()) : tones.lit(spot.role()));
      fill(painter.pixels(spot.shape()), colour, spot.opacity(), false);
    }
    out.append("</g>\n");
  }

  /** All around the lit shape, as far as the part may reach. */
  private void unlit(Shape lit, Shape outline, int colour) {
    java.awt.geom.Rectangle2D box = outline.getBounds2D();
    double margin = Math.max(box.getWidth(), box.getHeight());
    out.append("<path fill-rule=\"evenodd\" fill=\"").append(hex(colour)).append("\" d=\"");
    java.awt.geom.Rectangle2D all =
        new java.awt.geom.Rectangle2D.Double(
            box.getX() - margin,
            box.getY() - margin,
            box.getWidth() + 2 * margin,
            box.getHeight() + 2 * margin);
    path(all);
    path(lit);
    out.append("\"/>\n");
  }

  private void fill(Shape shape, int colour, double opacity, boolean evenOdd) {
    out.append("<path fill=\"").append(hex(colour)).append('"');
    if (opacity < 0.999) {
      out.append(String.format(Locale.ROOT, " fill-opacity=\"%.3f\"", opacity));
    }
    if (evenOdd) {
      out.append(" fill-rule=\"evenodd\"");
    }
    out.append(" d=\"");
    path(shape);
    out.append("\"/>\n");
  }

  private void path(Shape shape) {
    double[] at = new double[6];
    for (PathIterator it = shape.getPathIterator(new AffineTransform(), 0.1);
        !it.isDone();
        it.next()) {
      switch (it.currentSegment(at)) {
        case PathIterator.SEG_MOVETO -> point('M', at);
        case PathIterator.SEG_LINETO -> point('L', at);
        default -> out.append('Z');
      }
    }
  }

  private void point(char command, double[] at) {
    out.append(command)
        .append(Math.round(at[0] * 100) / 100.0)
        .append(' ')
        .append(Math.round(at[1] * 100) / 100.0);
  }

  private static String hex(int rgb) {
    return String.format(Locale.ROOT, "#%06X", rgb);
  }
}
