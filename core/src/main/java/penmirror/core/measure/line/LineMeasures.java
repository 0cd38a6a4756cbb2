package penmirror.core.measure.line;

import java.util.List;
import java.util.function.Function;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Measure.Comparison;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.MeasureResult;
import penmirror.core.measure.NoReading;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.PixelReadings;
import penmirror.core.measure.Reading;
import penmirror.core.measure.Reading.Method;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/** Weight and darkness of the line. Spreads of width are measured, see docs/measures.md. */
public final class LineMeasures {

  public static final Measure WIDTH =
      Measure.of("line.width", MeasureGroup.LINE, Unit.HEAD_THOUSANDTHS)
          .fromPixels(
              "median width over the length of all lines / crown to chin",
              (measure, pixels, marks) ->
                  lines(
                      pixels,
                      line ->
                          marks
                              .headFrame()
                              .<MeasureResult>map(frame -> width(measure, line, frame.headPixels()))
                              .orElse(NoReading.because(Reason.HEAD_NOT_MARKED))))
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.06, 0.156, 0.745)
          .source("measured on drawn sets with a stated stroke width, docs/measures.md")
          .build();

  /** Stands in for {@link #WIDTH} where heads are not marked; a sheet never rules on both. */
  public static final Measure WIDTH_BY_FIGURE =
      Measure.of("line.width.figure", MeasureGroup.LINE, Unit.FIGURE_THOUSANDTHS)
          .fromPixels(
              "median width over the length of all lines / square root of the figure's area",
              (measure, pixels, marks) ->
                  lines(pixels, line -> width(measure, line, Math.sqrt(pixels.figureAreaPixels()))))
          .comparedBy(Scale.LOG, Comparison.ACROSS_VIEWS)
          .spreads(0.06, 0.187, 0.748)
          .source("measured on drawn sets with a stated stroke width, docs/measures.md")
          .build();

  public static final Measure DARKNESS =
      Measure.of("line.dark", MeasureGroup.LINE, Unit.LIGHTNESS)
          .fromPixels(
              "median OKLab lightness along the middle of the lines",
              (measure, pixels, marks) ->
                  lines(
                      pixels,
                      line -> new Reading(measure, line.lightness(), 0, Method.FROM_PIXELS)))
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(0.03, 0.06, 0.20)
          .source("common practice")
          .build();

  public static final List<Measure> ALL = List.of(WIDTH, WIDTH_BY_FIGURE, DARKNESS);

  private LineMeasures() {}

  private static MeasureResult lines(
      PixelReadings pixels, Function<LineReadings, MeasureResult> read) {
    if (pixels.line().isEmpty()) {
      return NoReading.because(Reason.NO_LINES);
    }
    LineReadings line = pixels.line().get();
    return line.isHairline() ? NoReading.because(Reason.HAIRLINE) : read.apply(line);
  }

  private static MeasureResult width(Measure measure, LineReadings line, double lengthPixels) {
    return new Reading(
        measure,
        1000 * line.medianWidthPixels() / lengthPixels,
        1000 * line.standardErrorPixels() / lengthPixels,
        Method.FROM_PIXELS);
  }
}
