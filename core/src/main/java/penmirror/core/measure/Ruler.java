package penmirror.core.measure;

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
    if (pixels.estimate(of).isEmpty()) {
      return NoReading.because(pixels.absence(of));
    }
    Estimate estimate = pixels.estimate(of).get();
    double head = marks.headFrame().map(HeadFrame::headPixels).orElse(0.0);
    if (needsHead() && head == 0) {
      return NoReading.because(Reason.HEAD_NOT_MARKED);
    }
    if (needsFigure() && pixels.figureAreaPixels() == 0) {
      return NoReading.because(Reason.NO_FIGURE);
    }
    double factor = factor(pixels, head);
    double value = factor * estimate.value();
    return measure.scale().admits(value)
        ? new Reading(measure, value, factor * estimate.standardError(), Method.FROM_PIXELS)
        : NoReading.because(Reason.OUT_OF_SCALE);
  }
}
