package penmirror.demoart.page;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.Shape;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;

/**
 * A mask of 8 bits over a box of pixels whose edges are blurred by a Gaussian.
 *
 * <p>A wide blur is worked out on a coarser grid and read between its samples: at a third of the
 * deviation per sample no step shows.
 */
final class Soft {
  /** Blur below this deviation, in pixels, is no more than antialiasing. */
  static final double LEAST = 0.4;

  private final Rectangle box;
  private final double sigma;
  private final int grain;
  private final BufferedImage image;
  private final Graphics2D pen;

  Soft(Rectangle box, double sigma) {
    this.box = box;
    this.sigma = sigma;
    grain = (int) Math.max(1, Math.min(8, sigma / 3));
    image =
        new BufferedImage(
            (box.width + grain - 1) / grain + (grain == 1 ? 0 : 1),
            (box.height + grain - 1) / grain + (grain == 1 ? 0 : 1),
            BufferedImage.TYPE_BYTE_GRAY);
    pen = Painter.smooth(image);
    pen.scale(1.0 / grain, 1.0 / grain);
    pen.translate(-box.x, -box.y);
  }

  void fill(Shape shape, Color shade) {
    if (shape == box) {
      Rectangle all = new Rectangle(box);
      all.grow(grain, grain);
      pen.setColor(shade);
      pen.fill(all);
      return;
    }
    pen.setColor(shade);
    pen.fill(shape);
  }

  /** One value per pixel of the box, row by row. */
  byte[] samples() {
    pen.dispose();
    byte[] coarse = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
    int w = image.getWidth();
    int h = image.getHeight();
    if (sigma > LEAST) {
      Blur.gaussian(coarse, w, h, sigma / grain);
    }
    if (grain == 1) {
      byte[] same = new byte[box.width * box.height];
      for (int y = 0; y < box.height; y++) {
        System.arraycopy(coarse, y * w, same, y * box.width, box.width);
      }
      return same;
    }
    byte[] fine = new byte[box.width * box.height];
    // Weights in 256ths: integers keep this, the busiest loop of a soft picture, quick.
    int[] column = new int[box.width];
    int[] across = new int[box.width];
    for (int x = 0; x < box.width; x++) {
      double u = Math.max(0, (x + 0.5) / grain - 0.5);
      column[x] = (int) u;
      across[x] = (int) ((u - column[x]) * 256);
    }
    for (int y = 0; y < box.height; y++) {
      double v = Math.max(0, (y + 0.5) / grain - 0.5);
      int row = Math.min(h - 2, (int) v);
      int down = (int) ((v - row) * 256);
      int upper = row * w;
      for (int x = 0; x < box.width; x++) {
        int at = upper + column[x];
        int top = (coarse[at] & 255) * (256 - across[x]) + (coarse[at + 1] & 255) * across[x];
        int base =
            (coarse[at + w] & 255) * (256 - across[x]) + (coarse[at + w + 1] & 255) * across[x];
        fine[y * box.width + x] = (byte) ((top * (256 - down) + base * down + 32768) >> 16);
      }
    }
    return fine;
  }
}
