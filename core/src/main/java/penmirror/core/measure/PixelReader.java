package penmirror.core.measure;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import penmirror.core.colour.OkLabPlanes;
import penmirror.core.colour.Swatch;
import penmirror.core.measure.PixelReadings.ValueRange;
import penmirror.core.measure.colour.PaletteReader;
import penmirror.core.measure.line.LineReader;
import penmirror.core.measure.line.LineReadings;
import penmirror.core.raster.Mask;
import penmirror.core.raster.Picture;

/** Reads line, values and colours off a picture. Same picture, same readings. */
public final class PixelReader {

  /** Raised whenever a reading of the same picture may change. Stored with every reading. */
  public static final int ALGORITHM_VERSION = 1;

  /** The figure and its colours are read on a copy of at most about this many pixels. */
  private static final int COARSE_PIXELS = 1_000_000;

  /** The stretches of the work, in order. */
  public enum Step {
    FIGURE,
    LINES,
    COLOURS
  }

  /** Told when a step begins. May end the work by throwing {@link CancellationException}. */
  @FunctionalInterface
  public interface Progress {
    void begins(Step step);
  }

  public PixelReadings read(Picture picture) {
    return read(picture, step -> {});
  }

  /**
   * @throws CancellationException when {@code progress} throws it
   */
  public PixelReadings read(Picture picture, Progress progress) {
    progress.begins(Step.FIGURE);
    int factor = Math.max(1, (int) Math.sqrt(picture.pixelCount() / (double) COARSE_PIXELS));
    Picture coarse = picture.shrunk(factor);
    OkLabPlanes colours = OkLabPlanes.of(coarse.pixelCount(), coarse::rgb);
    Mask figure = FigureMask.of(colours, coarse.widthPixels(), coarse.heightPixels());

    progress.begins(Step.LINES);
    Optional<LineReadings> lines = new LineReader().read(picture);

    progress.begins(Step.COLOURS);
    List<Swatch> swatches =
        new PaletteReader().read(colours, figure, lines.map(LineReadings::lightness));
    return new PixelReadings(
        ALGORITHM_VERSION,
        picture.widthPixels(),
        picture.heightPixels(),
        (long) figure.count() * factor * factor,
        lines,
        valueRange(colours, figure),
        swatches);
  }

  private static Optional<ValueRange> valueRange(OkLabPlanes colours, Mask figure) {
    int[] histogram = new int[1001];
    int total = 0;
    for (int i = 0; i < colours.size(); i++) {
      if (figure.values()[i]) {
        histogram[Math.max(0, Math.min(1000, Math.round(colours.lightness(i) * 1000)))]++;
        total++;
      }
    }
    if (total == 0) {
      return Optional.empty();
    }
    return Optional.of(
        new ValueRange(
            lightnessBelow(histogram, 0.05 * total), lightnessBelow(histogram, 0.95 * total)));
  }

  private static double lightnessBelow(int[] histogram, double count) {
    int sum = 0;
    for (int i = 0; i < histogram.length; i++) {
      sum += histogram[i];
      if (sum >= count) {
        return i / 1000.0;
      }
    }
    return 1;
  }
}
