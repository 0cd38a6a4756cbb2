package penmirror.demoart.page;

import java.awt.AlphaComposite;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.image.BufferedImage;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;

/** A picture per layer; laid over each other they give the finished one. */
final class LayeredCanvas implements Canvas {
  private final Map<Layer, BufferedImage> images = new EnumMap<>(Layer.class);
  private final Map<Layer, FlatCanvas> canvases = new EnumMap<>(Layer.class);

  LayeredCanvas(int width, int height) {
    for (Layer layer : Layer.values()) {
      BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
      images.put(layer, image);
      canvases.put(layer, new FlatCanvas(image));
    }
  }

  Map<Layer, BufferedImage> images() {
    return images;
  }

  @Override
  public void cover(Shape shape) {
    for (Layer layer : Layer.values()) {
      if (layer == Layer.SKETCH || layer == Layer.FLATS) {
        continue;
      }
      Graphics2D eraser = Painter.smooth(Objects.requireNonNull(images.get(layer)));
      eraser.setComposite(AlphaComposite.DstOut);
      eraser.fill(shape);
      eraser.dispose();
    }
  }

  @Override
  public void fill(Layer layer, Shape shape, int rgb, double opacity) {
    canvas(layer).fill(layer, shape, rgb, opacity);
  }

  @Override
  public void lay(Layer layer, BufferedImage piece, int x, int y) {
    canvas(layer).lay(layer, piece, x, y);
  }

  private FlatCanvas canvas(Layer layer) {
    return Objects.requireNonNull(canvases.get(layer));
  }
}
