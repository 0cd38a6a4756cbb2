package penmirror.core.measure;

/**
 * The scale in which values of a measure are compared, so that equal steps mean equally much:
 * widths and ratios by their logarithm, shares by their log ratio, the rest as they are.
 */
public enum Scale {
  LINEAR {
    @Override
    public boolean admits(double value) {
      return Double.isFinite(value);
    }

    @Override
    public double toScale(double value) {
      return value;
    }

    @Override
    public double fromScale(double scaled) {
      return scaled;
    }
  },
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

  /** Whether the value lies in the open range this scale is defined on. */
  public abstract boolean admits(double value);

  /** From the measure's unit to the scale; only for values that are admitted. */
  public abstract double toScale(double value);

  public abstract double fromScale(double scaled);

  /** The word used in files. */
  public String word() {
    return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
  }
}
