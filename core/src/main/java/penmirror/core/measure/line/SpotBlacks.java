package penmirror.core.measure.line;

import penmirror.core.measure.FigurePixels;
import penmirror.core.raster.Distance;
import penmirror.core.raster.Mask;

/** Areas of solid black: black that is thicker than any line. */
public final class SpotBlacks {
  /** Thicker than this many line widths is no line. */
  private static final double WIDTHS = 2.5;

  private SpotBlacks() {}

  /**
   * @param lineWidthPixels in pixels of the picture; 0 without lines
   * @return on the copy that the figure was found on
   */
  public static Mask of(FigurePixels pixels, double lineWidthPixels) {
    Mask figure = pixels.figure();
    boolean[] dark = new boolean[figure.values().length];
    for (int i = 0; i < dark.length; i++) {
      dark[i] = figure.values()[i] && pixels.colours().at(i).isBlack();
    }
    double unit = pixels.unitPixels() / pixels.factor();
    double radius =
        Math.max(WIDTHS / 2 * lineWidthPixels / pixels.factor(), Math.max(1, 0.007 * unit));
    return opened(new Mask(figure.width(), figure.height(), dark), radius);
  }

  /** What a disc of the radius reaches inside the mask, grown back within it. */
  private static Mask opened(Mask mask, double radius) {
    float[] depth = Distance.toOutside(mask).values();
    boolean[] thin = new boolean[depth.length];
    boolean isThin = true;
    for (int i = 0; i < depth.length; i++) {
      thin[i] = depth[i] <= radius;
      isThin &= thin[i];
    }
    if (isThin) {
      return new Mask(mask.width(), mask.height(), new boolean[depth.length]);
    }
    float[] away = Distance.toOutside(new Mask(mask.width(), mask.height(), thin)).values();
    boolean[] opened = new boolean[depth.length];
    for (int i = 0; i < depth.length; i++) {
      opened[i] = mask.values()[i] && away[i] <= radius + 0.5;
    }
    return new Mask(mask.width(), mask.height(), opened);
  }
}
