package penmirror.core.file;

import penmirror.core.raster.Picture;

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
  Picture upright(Picture picture) {
    if (this == UPRIGHT) {
      return picture;
    }
    int width = picture.widthPixels();
    int height = picture.heightPixels();
    boolean lies = quarterTurns % 2 == 1;
    int newWidth = lies ? height : width;
    int[] rgb = new int[picture.pixelCount()];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int across = mirrored ? width - 1 - x : x;
        int to =
            switch (quarterTurns) {
              case 1 -> across * newWidth + height - 1 - y;
              case 2 -> (height - 1 - y) * newWidth + width - 1 - across;
              case 3 -> (width - 1 - across) * newWidth + y;
              default -> y * newWidth + across;
            };
        rgb[to] = picture.rgb(y * width + x);
      }
    }
    return Picture.of(newWidth, lies ? width : height, rgb);
  }
}
