package penmirror.core.mixing;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import penmirror.core.colour.EncodedSrgb;

/**
 * How a layer changes what lies under it, channel by channel, on encoded sRGB as painting programs
 * count.
 *
 * <p>Source: W3C Compositing and Blending Level 1, section 9.1, separable blend modes.
 */
public enum BlendMode {
  MULTIPLY {
    @Override
    public double of(double base, double layer) {
      return base * layer;
    }
  },
  SCREEN {
    @Override
    public double of(double base, double layer) {
      return base + layer - base * layer;
    }
  },
  OVERLAY {
    @Override
    public double of(double base, double layer) {
      return HARD_LIGHT.of(layer, base);
    }
  },
  SOFT_LIGHT {
    @Override
    public double of(double base, double layer) {
      if (layer <= 0.5) {
        return base - (1 - 2 * layer) * base * (1 - base);
      }
      double lifted = base <= 0.25 ? ((16 * base - 12) * base + 4) * base : Math.sqrt(base);
      return base + (2 * layer - 1) * (lifted - base);
    }
  },
  HARD_LIGHT {
    @Override
    public double of(double base, double layer) {
      return layer <= 0.5 ? MULTIPLY.of(base, 2 * layer) : SCREEN.of(base, 2 * layer - 1);
    }
  },
  DARKEN {
    @Override
    public double of(double base, double layer) {
      return Math.min(base, layer);
    }
  },
  LIGHTEN {
    @Override
    public double of(double base, double layer) {
      return Math.max(base, layer);
    }
  },
  COLOR_DODGE {
    @Override
    public double of(double base, double layer) {
      if (base == 0) {
        return 0;
      }
      return layer == 1 ? 1 : Math.min(1, base / (1 - layer));
    }
  },
  COLOR_BURN {
    @Override
    public double of(double base, double layer) {
      if (base == 1) {
        return 1;
      }
      return layer == 0 ? 0 : 1 - Math.min(1, (1 - base) / layer);
    }
  };

  /**
   * One channel under a full layer. For a fixed base it never falls as the layer's channel rises.
   *
   * @param base [0, 1]
   * @param layer [0, 1]
   * @return [0, 1]
   */
  public abstract double of(double base, double layer);

  /**
   * What is seen of an opaque colour under a layer.
   *
   * @param opacity of the layer, [0, 1]
   */
  public EncodedSrgb over(EncodedSrgb base, EncodedSrgb layer, double opacity) {
    return new EncodedSrgb(
        mixed(base.red(), layer.red(), opacity),
        mixed(base.green(), layer.green(), opacity),
        mixed(base.blue(), layer.blue(), opacity));
  }

  /** One channel of {@link #over}. */
  double mixed(double base, double layer, double opacity) {
    return (1 - opacity) * base + opacity * of(base, layer);
  }

  /** The word on the command line and in message keys, as the source writes it. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  public static Optional<BlendMode> ofWord(String word) {
    return Stream.of(values()).filter(mode -> mode.word().equals(word)).findFirst();
  }
}
