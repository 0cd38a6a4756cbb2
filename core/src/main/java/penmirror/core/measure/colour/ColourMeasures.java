package penmirror.core.measure.colour;

import java.util.List;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Measure.Comparison;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.NoReading;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.Reading;
import penmirror.core.measure.Reading.Method;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/** The palette as numbers; the swatches themselves are in the pixel readings. */
public final class ColourMeasures {

  public static final Measure PALETTE_SIZE =
      Measure.of("pal.count", MeasureGroup.COLOUR, Unit.COLOURS)
          .fromPixels(
              "number of colours that carry 95 % of the figure",
              (measure, pixels, marks) ->
                  pixels.swatches().isEmpty()
                      ? NoReading.because(Reason.NO_FIGURE)
                      : new Reading(measure, pixels.coloursThatCarry(), 0, Method.FROM_PIXELS))
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(1, 1.5, 3)
          .source("common practice")
          .build();

  public static final List<Measure> ALL = List.of(PALETTE_SIZE);

  private ColourMeasures() {}
}
