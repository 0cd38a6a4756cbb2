package penmirror.core.measure;

import java.util.Optional;
import java.util.OptionalDouble;
import penmirror.core.figure.HeadFrame;
import penmirror.core.figure.Marks;
import penmirror.core.measure.NoReading.Reason;
import penmirror.core.measure.Reading.Method;

/** What an estimate in pixels is divided by to become a reading. */
public enum Ruler {
  /** A share, a ratio, a colour: nothing to divide. */
  NONE {
    @Override
    double factor(PixelReadings pixels, double headPixels) {
      return 1;
    }
  },
  HEAD {
    @Override
    double factor(PixelReadings pixels, double headPixels) {
      return 1 / headPixels;
    }
  },
  HEAD_THOUSANDTHS {
    @Override
    double factor(PixelReadings pixels, double headPixels) {
      return 1000 / headPixels;
    }
  },
  /** A length per area: how many heads of line lie on a head's square. */
  PER_HEAD {
    @Override
    double factor(PixelReadings pixels, double headPixels) {
      return headPixels;
    }
  },
  /** By the root of the figure's area, which needs no marks and does not heed the framing. */
  FIGURE {
    @Override
    double factor(PixelReadings pixels, double headPixels) {
      return 1 / Math.sqrt(pixels.figureAreaPixels());
    }
  },
  FIGURE_THOUSANDTHS {
    @Override
    double factor(PixelReadings pixels, double headPixels) {
      return 1000 / Math.sqrt(pixels.figureAreaPixels());
    }
  },
  PER_FIGURE {
    @Override
    double factor(PixelReadings pixels, double headPixels) {
      return Math.sqrt(pixels.figureAreaPixels());
    }
  };

  /** Factor from the estimate to the reading; finite and above 0 where the ruler has a length. */
  abstract double factor(PixelReadings pixels, double headPixels);

  /**
   * Nothing of it, or all of it, where the scale has no place for either: what is known is that it
   * lies beyond the last value a page would tell.
   */
  private static NoReading atTheEnd(Measure measure, double value) {
    double step = Math.pow(10, -measure.unit().decimals());
    if (value <= 0 && measure.scale().admits(step)) {
      return NoReading.beyond(Reason.OUT_OF_SCALE, NoReading.Limit.Side.BELOW, step);
    }
    return measure.scale().admits(1 - step) && value >= 1
        ? NoReading.beyond(Reason.OUT_OF_SCALE, NoReading.Limit.Side.ABOVE, 1 - step)
        : NoReading.because(Reason.OUT_OF_SCALE);
  }

  private static OptionalDouble times(double factor, OptionalDouble error) {
    return error.isPresent() ? OptionalDouble.of(factor * error.getAsDouble()) : error;
  }

  /** The length in pixels that a value of a measure by this ruler is; empty without the length. */
  OptionalDouble pixels(double value, PixelReadings readings, Marks marks) {
    double head = marks.headFrame().map(HeadFrame::headPixels).orElse(0.0);
    boolean known = (needsHead() && head > 0) || (needsFigure() && readings.figureAreaPixels() > 0);
    return known ? OptionalDouble.of(value / factor(readings, head)) : OptionalDouble.empty();
  }

  private boolean needsHead() {
    return this == HEAD || this == HEAD_THOUSANDTHS || this == PER_HEAD;
  }

  private boolean needsFigure() {
    return this == FIGURE || this == FIGURE_THOUSANDTHS || this == PER_FIGURE;
  }

  /**
   * @param of the measure whose estimate is read; another than {@code measure} where two measures
   *     tell one estimate by two rulers
   */
  MeasureResult read(Measure measure, Measure of, PixelReadings pixels, Marks marks) {
    Optional<Estimate> found = pixels.estimate(of);
    Reason absence = pixels.absence(of);
    boolean isHairline = absence == Reason.HAIRLINE && measure.isLength();
    if (found.isEmpty() && !isHairline) {
      return NoReading.because(absence);
    }
    double head = marks.headFrame().map(HeadFrame::headPixels).orElse(0.0);
    if (needsHead() && head == 0) {
      return NoReading.because(found.isPresent() ? Reason.HEAD_NOT_MARKED : absence);
    }
    if (needsFigure() && pixels.figureAreaPixels() == 0) {
      return NoReading.because(Reason.NO_FIGURE);
    }
    double factor = factor(pixels, head);
    if (found.isEmpty()) {
      return NoReading.beyond(
          absence, NoReading.Limit.Side.BELOW, factor * PixelReadings.HAIRLINE_PIXELS);
    }
    Estimate estimate = found.get();
    double value = factor * estimate.value();
    return measure.scale().admits(value)
        ? new Reading(measure, value, times(factor, estimate.standardError()), Method.FROM_PIXELS)
        : atTheEnd(measure, value);
  }
}
