package penmirror.demoart.page;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.image.BufferedImage;

/** One finished picture; layers fall together. */
final class FlatCanvas implements Canvas {
  private final Graphics2D graphics;

  FlatCanvas(BufferedImage image) {
    graphics = Painter.smooth(image);
  }

  @Override
  public void cover(Shape shape) {
    // Later paint lies over what was there.
  }

  @Override
  public void fill(Layer layer, Shape shape, int rgb, double opacity) {
    graphics.setColor(
        new Color((rgb >> 16) & 255, (rgb >> 8) & 255, rgb & 255, (int) Math.round(255 * opacity)));
    graphics.fill(shape);
  }

  @Override
  public void lay(Layer layer, BufferedImage piece, int x, int y) {
    graphics.drawImage(piece, x, y, null);
  }
}
