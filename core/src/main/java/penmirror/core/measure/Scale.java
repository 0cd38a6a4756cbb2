package penmirror.core.measure;

import java.util.Arrays;
import java.util.Locale;
import penmirror.core.statistics.CircularSample;

/**
 * The scale in which values of a measure are compared, so that equal steps mean equally much:
 * widths and ratios by their logarithm, shares by their log ratio, the rest as they are.
 */
public enum Scale {
  LINEAR,
  LOG {
    @Override
    public boolean admits(double value) {
      return Double.isFinite(value) && value > 0;
    }

    @Override
    public double toScale(double value) {
      return Math.log(value);
    }

    @Override
    public double fromScale(double scaled) {
      return Math.exp(scaled);
    }
  },
  /** Steps between colours: by ratio, down to where a step cannot be seen. */
  SOFT_LOG {
    @Override
    public boolean admits(double value) {
      return Double.isFinite(value) && value > -SOFT;
    }

    @Override
    public double toScale(double value) {
      return Math.log(value + SOFT);
    }

    @Override
    public double fromScale(double scaled) {
      return Math.exp(scaled) - SOFT;
    }
  },
  /** Numbers of things, none included. */
  COUNT {
    @Override
    public boolean admits(double value) {
      return Double.isFinite(value) && value > -1;
    }

    @Override
    public double toScale(double value) {
      return Math.log1p(value);
    }

    @Override
    public double fromScale(double scaled) {
      return Math.expm1(scaled);
    }
  },
  /** Directions and hues in degrees: 350 and 10 are 20 apart. */
  CIRCULAR {
    @Override
    public double difference(double value, double centre) {
      return Math.IEEEremainder(value - centre, 360);
    }

    @Override
    public double[] unwrapped(double[] values) {
      return around(values, 360);
    }

    @Override
    public double told(double value) {
      return value - 360 * Math.floor(value / 360);
    }
  },
  /** Slants in degrees that have no head and tail: 85 and −85 are 10 apart. */
  AXIAL {
    @Override
    public double difference(double value, double centre) {
      return Math.IEEEremainder(value - centre, 180);
    }

    @Override
    public double[] unwrapped(double[] values) {
      return around(values, 180);
    }

    @Override
    public double told(double value) {
      return value - 180 * Math.ceil(value / 180 - 0.5);
    }
  },
  LOG_RATIO {
    @Override
    public boolean admits(double value) {
      return value > 0 && value < 1;
    }

    @Override
    public double toScale(double value) {
      return Math.log(value / (1 - value));
    }

    @Override
    public double fromScale(double scaled) {
      return 1 / (1 + Math.exp(-scaled));
    }
  };

  /** A colour step that is about the least one sees, in OKLab. */
  private static final double SOFT = 0.02;

  /** How far a value lies from a centre, in the scale; both in the measure's unit. */
  public double difference(double value, double centre) {
    return toScale(value) - toScale(centre);
  }

  /**
   * Values as numbers that can be averaged: turned by whole rounds so that they lie around their
   * circular mean. The same values for scales that do not run in a circle; in the scale.
   */
  public double[] unwrapped(double[] values) {
    return Arrays.stream(values).map(this::toScale).toArray();
  }

  /**
   * A value as it is told: on scales that run in a circle within one round, [0, 360) for directions
   * and hues, (-90, 90] for slants; itself on all others.
   */
  public double told(double value) {
    return value;
  }

  private static double[] around(double[] values, double round) {
    double[] turned = Arrays.stream(values).map(v -> v * 360 / round).toArray();
    double mean = CircularSample.of(turned).meanDegrees() * round / 360;
    return Arrays.stream(values).map(v -> mean + Math.IEEEremainder(v - mean, round)).toArray();
  }

  /** Whether the value lies in the open range this scale is defined on. */
  public boolean admits(double value) {
    return Double.isFinite(value);
  }

  /** From the measure's unit to the scale; only for values that are admitted. */
  public double toScale(double value) {
    return value;
  }

  public double fromScale(double scaled) {
    return scaled;
  }

  /** The word used in files. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
