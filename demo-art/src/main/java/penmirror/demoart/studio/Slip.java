package penmirror.demoart.studio;

import penmirror.core.colour.OkLab;
import penmirror.demoart.manner.Palette;
import penmirror.demoart.manner.Parameter;
import penmirror.demoart.manner.Parameters;
import penmirror.demoart.manner.Role;

/** One way in which a redraw strays from the style, named so that a reader can look for it. */
public sealed interface Slip permits Slip.Scaled, Slip.Stepped, Slip.Recoloured {
  /** What went wrong, in words. */
  String words();

  default Parameters apply(Parameters parameters) {
    return parameters;
  }

  default Palette apply(Palette palette) {
    return palette;
  }

  /** A parameter multiplied. */
  record Scaled(String words, Parameter parameter, double factor) implements Slip {
    @Override
    public Parameters apply(Parameters parameters) {
      return parameters.times(parameter, factor);
    }
  }

  /** A parameter moved. */
  record Stepped(String words, Parameter parameter, double step) implements Slip {
    @Override
    public Parameters apply(Parameters parameters) {
      return parameters.plus(parameter, step);
    }
  }

  /** One colour off, by a step in OKLab. */
  record Recoloured(String words, Role role, double lightness, double a, double b) implements Slip {
    @Override
    public Palette apply(Palette palette) {
      OkLab is = palette.of(role);
      return palette.with(role, new OkLab(is.lightness() + lightness, is.a() + a, is.b() + b));
    }
  }
}
