package penmirror.core.measure.shade;

import java.util.List;
import penmirror.core.measure.Measure;
import penmirror.core.measure.Measure.Comparison;
import penmirror.core.measure.MeasureGroup;
import penmirror.core.measure.MeasureResult;
import penmirror.core.measure.NoReading;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.Reading;
import penmirror.core.measure.Reading.Method;
import penmirror.core.measure.Scale;
import penmirror.core.measure.Unit;

/** Light and dark. */
public final class ShadeMeasures {

  public static final Measure VALUE_RANGE =
      Measure.of("value.range", MeasureGroup.SHADE, Unit.LIGHTNESS)
          .fromPixels(
              "OKLab lightness of the figure at 95 % less that at 5 %",
              (measure, pixels, marks) ->
                  pixels
                      .values()
                      .<MeasureResult>map(
                          range -> new Reading(measure, range.extent(), 0, Method.FROM_PIXELS))
                      .orElse(NoReading.because(Reason.NO_FIGURE)))
          .comparedBy(Scale.LINEAR, Comparison.ACROSS_VIEWS)
          .spreads(0.04, 0.10, 0.20)
          .source("common practice")
          .build();

  public static final List<Measure> ALL = List.of(VALUE_RANGE);

  private ShadeMeasures() {}
}
