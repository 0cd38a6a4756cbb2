package penmirror.core.raster;

import java.awt.geom.AffineTransform;
import java.awt.image.AffineTransformOp;
import java.awt.image.BufferedImage;

/** How a camera was held, as EXIF notes it (tag 0x0112), and how to stand the picture upright. */
enum Orientation {
  UPRIGHT(1, false, 0),
  MIRRORED(2, true, 0),
  HALF_TURN(3, false, 2),
  MIRRORED_HALF_TURN(4, true, 2),
  MIRRORED_QUARTER_LEFT(5, true, 3),
  QUARTER_RIGHT(6, false, 1),
  MIRRORED_QUARTER_RIGHT(7, true, 1),
  QUARTER_LEFT(8, false, 3);

  private final int exifValue;
  private final boolean mirrored;
  private final int quarterTurns;

  Orientation(int exifValue, boolean mirrored, int quarterTurns) {
    this.exifValue = exifValue;
    this.mirrored = mirrored;
    this.quarterTurns = quarterTurns;
  }

  /** Values outside 1 to 8 count as upright. */
  static Orientation ofExif(int value) {
    for (Orientation orientation : values()) {
      if (orientation.exifValue == value) {
        return orientation;
      }
    }
    return UPRIGHT;
  }

  /** Mirrors left to right first, then turns clockwise by quarters. */
  BufferedImage upright(BufferedImage image) {
    if (this == UPRIGHT) {
      return image;
    }
    int width = image.getWidth();
    int height = image.getHeight();
    AffineTransform transform = new AffineTransform();
    switch (quarterTurns) {
      case 1 -> transform.translate(height, 0);
      case 2 -> transform.translate(width, height);
      case 3 -> transform.translate(0, width);
      default -> {}
    }
    transform.quadrantRotate(quarterTurns);
    if (mirrored) {
      transform.translate(width, 0);
      transform.scale(-1, 1);
    }
    boolean lies = quarterTurns % 2 == 1;
    BufferedImage source = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
    source.setRGB(0, 0, width, height, Pixels.of(image), 0, width);
    BufferedImage target =
        new BufferedImage(
            lies ? height : width, lies ? width : height, BufferedImage.TYPE_INT_ARGB);
    return new AffineTransformOp(transform, AffineTransformOp.TYPE_NEAREST_NEIGHBOR)
        .filter(source, target);
  }
}
