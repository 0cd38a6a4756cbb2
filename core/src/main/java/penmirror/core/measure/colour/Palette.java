package penmirror.core.measure.colour;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import penmirror.core.colour.OkLab;
import penmirror.core.colour.Swatch;

/**
 * The flat colours of a figure and which pixel has which.
 *
 * @param labels row-major place in {@code swatches}; {@link #NONE} outside the figure and where the
 *     colour is too small to count
 * @param swatches largest first
 * @param flat pixels all of whose neighbours have their colour
 */
public record Palette(int width, int height, int[] labels, List<Swatch> swatches, boolean[] flat) {
  public static final int NONE = -1;

  /** A swatch this near to the line's colour in OKLab is the line. */
  private static final double LINE_NEAR = 0.035;

  /** Grey enough to be taken for ink by its lightness alone. */
  private static final double GREY_CHROMA = 0.08;

  public Palette {
    swatches = List.copyOf(swatches);
  }

  public OkLab colour(int label) {
    return swatches.get(label).colour();
  }

  /** Pixels of each colour. */
  public int[] counts() {
    int[] counts = new int[swatches.size()];
    for (int label : labels) {
      if (label != NONE) {
        counts[label]++;
      }
    }
    return counts;
  }

  /**
   * The swatches with the line named among them. Lines too thin to leave a flat pixel come out as
   * no swatch, so they are added with the share they cover.
   */
  public List<Swatch> withLine(OkLab line, double shareOfFigure) {
    List<Swatch> named = new ArrayList<>();
    boolean found = false;
    for (Swatch swatch : swatches) {
      boolean grey = swatch.colour().chroma() < GREY_CHROMA && line.chroma() < GREY_CHROMA;
      boolean isLine =
          swatch.colour().distanceTo(line) < LINE_NEAR
              || grey && Math.abs(swatch.colour().lightness() - line.lightness()) < LINE_NEAR;
      found |= isLine;
      named.add(
          isLine ? new Swatch(swatch.colour(), swatch.shareOfFigure(), Swatch.Role.LINE) : swatch);
    }
    if (!found && shareOfFigure > 0.001) {
      named.add(new Swatch(line, Math.min(1, shareOfFigure), Swatch.Role.LINE));
      named.sort(Comparator.comparingDouble(swatch -> -swatch.shareOfFigure()));
    }
    return named;
  }
}
