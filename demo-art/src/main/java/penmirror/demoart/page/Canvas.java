package penmirror.demoart.page;

import java.awt.Shape;
import java.awt.image.BufferedImage;

/** What a drawing is laid on, piece by piece from back to front, in pixels. */
interface Canvas {
  /** A part comes down here: what lies beneath it no longer shows. */
  void cover(Shape shape);

  /**
   * @param opacity (0, 1]
   */
  void fill(Layer layer, Shape shape, int rgb, double opacity);

  /** Lays an image with alpha whose top left pixel is at (x, y). */
  void lay(Layer layer, BufferedImage piece, int x, int y);
}
