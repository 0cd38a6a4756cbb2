package penmirror.core.measure;

import java.util.List;
import java.util.Optional;
import penmirror.core.colour.Swatch;
import penmirror.core.measure.line.LineReadings;

/**
 * What the pixels of one picture tell, in pixels and without any landmark, so that it can be kept
 * with the picture and computed again.
 *
 * @param algorithmVersion {@link PixelReader#ALGORITHM_VERSION} of the reader that made them
 * @param figureAreaPixels pixels that are not background; 0 when nothing stands out
 * @param line empty when the picture has no lines
 * @param values empty without a figure
 * @param swatches largest first
 */
public record PixelReadings(
    int algorithmVersion,
    int widthPixels,
    int heightPixels,
    long figureAreaPixels,
    Optional<LineReadings> line,
    Optional<ValueRange> values,
    List<Swatch> swatches) {

  /**
   * Where the figure's values run from dark to light, in OKLab lightness.
   *
   * @param dark lightness that 5 % of the figure lies below
   * @param light lightness that 95 % of the figure lies below
   */
  public record ValueRange(double dark, double light) {
    public double extent() {
      return light - dark;
    }
  }

  public PixelReadings {
    swatches = List.copyOf(swatches);
  }

  /** How many swatches, largest first, carry 95 % of what the swatches cover. */
  public int coloursThatCarry() {
    double total = swatches.stream().mapToDouble(Swatch::shareOfFigure).sum();
    double sum = 0;
    int count = 0;
    for (Swatch swatch : swatches) {
      if (sum >= 0.95 * total) {
        break;
      }
      sum += swatch.shareOfFigure();
      count++;
    }
    return count;
  }
}
