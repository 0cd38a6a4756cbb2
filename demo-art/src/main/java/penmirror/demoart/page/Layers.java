package penmirror.demoart.page;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import penmirror.core.drawing.OpenRasterWriter;
import penmirror.demoart.ink.Curve;
import penmirror.demoart.ink.Stroke;
import penmirror.demoart.manner.Role;

/** A rendering in layers as illustrators keep them, on their paper; the rough is hidden. */
final class Layers {
  private static final int SKETCH_BLUE = 0x7FA8C9;

  private Layers() {}

  static byte[] write(Rendering rendering) {
    LayeredCanvas canvas = new LayeredCanvas(rendering.widthPx(), rendering.heightPx());
    rendering.painter().paint(canvas);
    sketch(canvas, rendering);
    List<OpenRasterWriter.Layer> layers = new ArrayList<>();
    layers.add(
        new OpenRasterWriter.Layer(
            "paper", true, 0, 0, () -> OpenRasterWriter.png(paper(rendering))));
    canvas
        .images()
        .forEach(
            (layer, image) ->
                layers.add(
                    new OpenRasterWriter.Layer(
                        layer.word(),
                        layer != Layer.SKETCH,
                        0,
                        0,
                        () -> OpenRasterWriter.png(image))));
    return OpenRasterWriter.write(layers, rendering.image());
  }

  private static BufferedImage paper(Rendering rendering) {
    BufferedImage image =
        new BufferedImage(rendering.widthPx(), rendering.heightPx(), BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setColor(new Color(Tones.rgb(rendering.drawing().palette().of(Role.PAPER))));
    pen.fillRect(0, 0, image.getWidth(), image.getHeight());
    pen.dispose();
    return image;
  }

  /** The rough that the parts were built on: their outlines, loosely, in blue. */
  private static void sketch(LayeredCanvas canvas, Rendering rendering) {
    double width = 2.2 / rendering.headPx();
    for (Drawing.Inked inked : rendering.drawing().inked()) {
      if (inked.part() == null || inked.part().contour() == 0) {
        continue;
      }
      Curve outline = inked.part().outline();
      double[] widths = new double[outline.points().size()];
      Arrays.fill(widths, width);
      canvas.fill(
          Layer.SKETCH,
          rendering.toPixels().createTransformedShape(new Stroke(outline, widths, 0.5).shape()),
          SKETCH_BLUE,
          0.8);
    }
  }
}
